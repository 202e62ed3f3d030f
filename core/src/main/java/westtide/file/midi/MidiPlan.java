package westtide.file.midi;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import westtide.score.ScoredNote;
import westtide.score.ScoredPart;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneSound;
import westtide.song.id.PartId;

/**
 * Where each part goes in a MIDI file: pitched parts take the channels in order and leave the tenth
 * to the drums; a second drum part and the sixteenth pitched part go on to the next port of sixteen
 * channels.
 *
 * @param places the port and channel of each part that plays, in order
 * @param notes the notes drum lanes are written as
 * @param notices what a person should know about the file, a sentence each
 */
public record MidiPlan(Map<PartId, Place> places, LaneNotes notes, List<String> notices) {
  static final int DRUM_CHANNEL = 9;
  private static final int CHANNELS = 16;

  /**
   * Where a part goes.
   *
   * @param port 0 or more, of sixteen channels each
   * @param channel 0 to 15
   */
  public record Place(int port, int channel) {}

  /** The plan for parts that are written into one file. */
  public static MidiPlan of(List<ScoredPart> parts) {
    List<ScoredPart> playing = parts.stream().filter(ScoredPart::plays).toList();
    Map<PartId, Place> places = new LinkedHashMap<>();
    int pitched = 0;
    int drums = 0;
    for (ScoredPart part : playing) {
      if (part.part().role() == Role.DRUMS) {
        places.put(part.part().id(), new Place(drums++, DRUM_CHANNEL));
      } else {
        int within = pitched % (CHANNELS - 1);
        int channel = within < DRUM_CHANNEL ? within : within + 1;
        places.put(part.part().id(), new Place(pitched++ / (CHANNELS - 1), channel));
      }
    }
    LaneNotes notes =
        LaneNotes.of(playing.stream().filter(p -> p.part().role() == Role.DRUMS).toList());
    return new MidiPlan(places, notes, notices(playing, places, notes));
  }

  /** The notes of a part as the file says them: drum lanes on the notes they are written as. */
  public List<ScoredNote> written(ScoredPart part) {
    return part.part().role() == Role.DRUMS ? MidiDrums.written(part, notes) : part.notes();
  }

  /** Whether parts go beyond the first sixteen channels. */
  public boolean ports() {
    return places.values().stream().anyMatch(place -> place.port() > 0);
  }

  private static List<String> notices(
      List<ScoredPart> playing, Map<PartId, Place> places, LaneNotes notes) {
    List<String> out = new ArrayList<>();
    List<String> drums = beyond(playing, places, true);
    if (!drums.isEmpty()) {
      out.add(
          String.join(", ", drums)
              + ": so that level and side stay its own. A program without ports plays it with the"
              + " other drums on channel 10.");
    }
    List<String> pitched = beyond(playing, places, false);
    if (!pitched.isEmpty()) {
      out.add(
          "A MIDI port has fifteen channels for pitched parts, so more ports are used: "
              + String.join(", ", pitched)
              + ". Where a program knows one port only, take one file a part.");
    }
    for (ScoredPart part : playing) {
      if (part.part().role() == Role.DRUMS) {
        moved(part.part(), notes).ifPresent(out::add);
        untuned(part).ifPresent(out::add);
      }
    }
    return out;
  }

  /** Parts that are not on the first port, with their port. */
  private static List<String> beyond(
      List<ScoredPart> playing, Map<PartId, Place> places, boolean drums) {
    return playing.stream()
        .map(ScoredPart::part)
        .filter(part -> (part.role() == Role.DRUMS) == drums)
        .filter(part -> places.get(part.id()).port() > 0)
        .map(part -> part.name() + " on port " + (places.get(part.id()).port() + 1))
        .toList();
  }

  private static Optional<String> moved(Part part, LaneNotes notes) {
    List<String> moved = new ArrayList<>();
    notes
        .byLane()
        .forEach(
            (lane, note) -> {
              int wanted = part.sound(lane.lane()).note();
              if (lane.part().equals(part.id()) && wanted != note) {
                moved.add(lane.lane() + " as " + note + " instead of " + wanted);
              }
            });
    return moved.isEmpty()
        ? Optional.empty()
        : Optional.of(
            part.name() + ", so that no two drums share a note: " + String.join(", ", moved) + ".");
  }

  /** What a map of one note a drum cannot say. */
  private static Optional<String> untuned(ScoredPart part) {
    long hits =
        part.notes().stream()
            .filter(note -> note.struck().filter(drum -> drum.semitones() != 0).isPresent())
            .filter(note -> !note.of(DrumVoice.TOM))
            .count();
    List<String> lanes = new ArrayList<>();
    part.notes().stream()
        .flatMap(note -> note.struck().stream())
        .map(ScoredNote.Struck::lane)
        .distinct()
        .sorted(Comparator.comparingInt(lane -> lane.index()))
        .forEach(
            lane -> {
              LaneSound sound = part.part().sound(lane);
              if (sound.cents() != 0) {
                lanes.add(lane + " by " + sound.cents() + " cents");
              }
            });
    if (hits == 0 && lanes.isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        part.part().name()
            + ": a drum map has one note a drum, so MIDI leaves out"
            + (hits == 0 ? "" : " the pitch of " + hits + " hits")
            + (hits > 0 && !lanes.isEmpty() ? " and" : "")
            + (lanes.isEmpty() ? "" : " the tuning of " + String.join(", ", lanes))
            + "; preview and WAV have it.");
  }
}
