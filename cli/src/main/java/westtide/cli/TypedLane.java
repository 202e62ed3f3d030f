package westtide.cli;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import westtide.compose.groove.GrooveDraft;
import westtide.rhythm.LaneText;
import westtide.rhythm.StepLane;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.edit.drum.DrumEdits;
import westtide.text.Reading;

/**
 * A lane as it is typed on the command line, {@code "hat: x.o.x.x3."}. A voice is called by its
 * name or by a word of it, and a number when it is stacked; {@code hat} is the closed one.
 */
final class TypedLane {
  /** Steps of a bar: new songs are in four four. */
  private static final int STEPS = 16;

  private final LaneId voice;
  private final StepLane lane;

  /**
   * Reads voice and lane.
   *
   * @throws IllegalArgumentException when either is not understood; the message points
   */
  TypedLane(String text) {
    int colon = text.indexOf(':');
    if (colon < 0) {
      throw new IllegalArgumentException(
          "a lane is a voice, a colon and its steps, such as \"hat: x.x.\", but was \""
              + text
              + "\"");
    }
    this.voice = voice(text.substring(0, colon).strip().toLowerCase(Locale.ROOT));
    Reading<StepLane> reading = LaneText.read(text.substring(colon + 1).strip(), STEPS);
    if (reading instanceof Reading.Problem<StepLane> problem) {
      throw new IllegalArgumentException(
          "in the lane of " + voice + ", column " + problem.column() + ": " + problem.message());
    }
    this.lane = reading.orElseThrow();
  }

  private static LaneId voice(String word) {
    boolean numbered = word.matches(".* [1-9]");
    String name = numbered ? word.substring(0, word.length() - 2) : word;
    int number = numbered ? word.charAt(word.length() - 1) - '0' : 1;
    return Arrays.stream(DrumVoice.values())
        .filter(voice -> called(voice, name))
        .findFirst()
        .map(voice -> new LaneId(voice, number))
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "no drum is called \""
                        + word
                        + "\"; there are "
                        + Arrays.stream(DrumVoice.values())
                            .map(voice -> voice.toString().toLowerCase(Locale.ROOT))
                            .collect(Collectors.joining(", "))));
  }

  private static boolean called(DrumVoice voice, String word) {
    String name = voice.toString().toLowerCase(Locale.ROOT);
    return name.equals(word) || Arrays.asList(name.split(" ")).contains(word);
  }

  /** The lane that is typed. */
  LaneId voice() {
    return voice;
  }

  /** The song with the lane in its main groove, added where the groove lacks the voice. */
  Song into(Song song) {
    Part drums =
        song.parts(Role.DRUMS).stream()
            .findFirst()
            .orElseThrow(() -> new IllegalArgumentException("the song has no drums"));
    DrumEdits edits = new DrumEdits(drums.id(), GrooveDraft.MAIN);
    Song there = edits.addLane(voice).apply(song);
    return edits
        .whole(
            "Write the " + voice + " lane",
            voice,
            l -> l.withLane(lane).withAccents(Optional.empty()))
        .apply(there);
  }
}
