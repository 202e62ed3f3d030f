package westtide.file.midi;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import westtide.file.FileNames;
import westtide.rhythm.Ticks;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.score.SectionScore;
import westtide.score.event.AutomationTarget;
import westtide.score.event.Motion;
import westtide.score.event.ScoredNote;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.drum.LaneId;
import westtide.song.drum.LaneSound;
import westtide.song.mix.Mix;

/**
 * The MIDI files a song comes apart into, under the names of {@link FileNames}: a part, a section,
 * a drum lane each. A file is made when it is asked for, so that its name costs nothing.
 */
public final class MidiPieces {
  private MidiPieces() {}

  /**
   * A file that can be made.
   *
   * @param name what it is called
   * @param made what it holds, as the options say
   */
  public record Piece(String name, Made made) {}

  /** Makes what a file holds. */
  public interface Made {
    /** The bytes of a Standard MIDI File. */
    byte[] with(MidiOptions options);
  }

  /** The whole song. */
  public static List<Piece> whole(Score score) {
    return List.of(piece(FileNames.midi(score.song()), score, score.parts()));
  }

  /** One file for each part that plays. */
  public static List<Piece> parts(Score score) {
    return MidiFile.playing(score).stream()
        .map(part -> piece(FileNames.midi(score.song(), part.part()), score, List.of(part)))
        .toList();
  }

  /** One file for each section: what starts in it, its transitions and its curves. */
  public static List<Piece> sections(Score score) {
    return IntStream.range(0, score.song().form().sections().size())
        .mapToObj(
            place ->
                new Piece(
                    FileNames.midiSection(score.song(), place),
                    options -> {
                      Score section = SectionScore.of(score, place);
                      return MidiFile.bytes(section, section.parts(), options);
                    }))
        .toList();
  }

  /** One file for each lane that plays, of every drum part. */
  public static List<Piece> lanes(Score score) {
    return score.parts(Role.DRUMS).stream().flatMap(p -> lanes(score, p).stream()).toList();
  }

  /** One file for each lane of a drum part that plays. */
  public static List<Piece> lanes(Score score, ScoredPart drums) {
    return drums.notes().stream()
        .flatMap(note -> note.struck().stream())
        .map(ScoredNote.Struck::lane)
        .distinct()
        .sorted(Comparator.comparingInt(LaneId::index))
        .map(lane -> lane(score, drums, lane))
        .toList();
  }

  private static Piece piece(String name, Score score, List<ScoredPart> parts) {
    return new Piece(name, options -> MidiFile.bytes(score, parts, options));
  }

  private static Piece lane(Score score, ScoredPart drums, LaneId lane) {
    Part part = drums.part();
    return new Piece(
        FileNames.midi(score.song(), part, lane),
        options -> {
          List<ScoredNote> strokes =
              drums.notes().stream()
                  .filter(note -> note.struck().filter(s -> s.lane().equals(lane)).isPresent())
                  .toList();
          ScoredPart alone =
              new ScoredPart(
                  alone(part, lane), strokes, drums.passages(), swept(part, lane, strokes));
          return MidiFile.bytes(score, List.of(alone), MidiOptions.USUAL);
        });
  }

  /** The side of every stroke of a lane that goes from side to side, held until the next. */
  private static Map<AutomationTarget, Motion> swept(
      Part part, LaneId lane, List<ScoredNote> strokes) {
    LaneSound sound = part.sound(lane);
    if (!sound.sweep().moves()) {
      return Map.of();
    }
    int[] starts = strokes.stream().mapToInt(ScoredNote::start).distinct().sorted().toArray();
    List<Motion.Piece> pieces = new ArrayList<>();
    for (int i = 0; i < starts.length; i++) {
      int end = i + 1 < starts.length ? starts[i + 1] : starts[i] + Ticks.PER_QUARTER;
      int pan = beside(part.mix(), sound.panAt(starts[i]));
      pieces.add(new Motion.Piece(starts[i], end, pan, pan));
    }
    return Map.of(AutomationTarget.PAN, new Motion(pieces));
  }

  private static int beside(Mix mix, int pan) {
    return Math.max(-100, Math.min(100, mix.pan() + pan));
  }

  /** A part whose place in the mix is that of one of its lanes. */
  private static Part alone(Part part, LaneId lane) {
    LaneSound sound = part.sound(lane);
    Mix mix = part.mix();
    int level = mix.level() == Mix.SILENT ? Mix.SILENT : mix.level() + sound.level();
    return part.withMix(
        mix.withLevel(Math.max(Mix.SILENT, Math.min(Mix.LOUDEST, level)))
            .withPan(beside(mix, sound.pan())));
  }
}
