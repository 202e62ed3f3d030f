package westtide.desktop.drums;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.pattern.Pattern;
import westtide.sound.instrument.InstrumentBook;
import westtide.sound.voice.Family;

/**
 * A lane that can be added to a groove: a drum, another of a drum that is there, or any instrument
 * of the drums as percussion.
 *
 * @param id the lane it becomes
 * @param instrument what it is heard with; empty for the kit's own
 */
record NewLane(LaneId id, String instrument) {
  /** Every lane a groove can get, drums it lacks first; a name is offered once. */
  static List<NewLane> of(Pattern.Drums groove) {
    List<NewLane> missing = new ArrayList<>();
    List<NewLane> again = new ArrayList<>();
    for (DrumVoice voice : DrumVoice.values()) {
      int number = free(groove, voice);
      if (number <= LaneId.MOST) {
        (number == 1 ? missing : again).add(new NewLane(new LaneId(voice, number), ""));
      }
    }
    missing.addAll(again);
    int percussion = free(groove, DrumVoice.PERCUSSION);
    if (percussion <= LaneId.MOST) {
      LaneId id = new LaneId(DrumVoice.PERCUSSION, percussion);
      Set<String> named =
          missing.stream()
              .map(lane -> lane.toString().toLowerCase(Locale.ROOT))
              .collect(Collectors.toSet());
      InstrumentBook.shipped().instruments().stream()
          .filter(instrument -> instrument.family() == Family.DRUM)
          .map(instrument -> new NewLane(id, instrument.name()))
          .filter(lane -> !named.contains(lane.toString()))
          .forEach(missing::add);
    }
    return missing;
  }

  private static int free(Pattern.Drums groove, DrumVoice voice) {
    return 1
        + groove.lanes().stream()
            .map(DrumLane::id)
            .filter(id -> id.voice() == voice)
            .mapToInt(LaneId::number)
            .max()
            .orElse(0);
  }

  /** Its name, such as "Tom 2" or "zap". */
  @Override
  public String toString() {
    return instrument.isEmpty() ? id.toString() : instrument.toLowerCase(Locale.ROOT);
  }
}
