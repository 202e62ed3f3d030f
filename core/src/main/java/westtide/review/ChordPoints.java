package westtide.review;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiPredicate;
import westtide.follow.ChordVoicings;
import westtide.rhythm.Figure;
import westtide.rhythm.Ticks;
import westtide.score.Score;
import westtide.song.Song;
import westtide.song.chord.ChordRhythm;
import westtide.song.chord.ChordSpan;
import westtide.style.Style;
import westtide.theory.voicing.VoicingKind;

/** Points of the checklist that are read from the chords. */
final class ChordPoints {
  static final Map<String, BiPredicate<Score, Style>> ALL =
      Map.of(
          "chords as rich as usual",
          (score, style) -> style.chords().sevenths().contains(sevenths(score.song())),
          "sevenths",
          (score, style) -> sevenths(score.song()) > 0,
          "second progression",
          (score, style) -> score.song().progressions().size() > 1,
          "chords strummed",
          (score, style) ->
              spans(score.song()).stream().anyMatch(span -> span.manner().strum().isPresent()),
          "two-note stacks",
          (score, style) ->
              spread(score.song(), VoicingKind.OCTAVE_STACK)
                  || spread(score.song(), VoicingKind.TWO_NOTES),
          "wide chords",
          (score, style) ->
              spread(score.song(), VoicingKind.OPEN) || spread(score.song(), VoicingKind.DROP_2),
          "chords plucked",
          (score, style) ->
              figure(score.song())
                  .map(f -> f.strokes().size() * 16 >= 4 * f.length())
                  .orElse(false),
          "chords off the beat",
          (score, style) -> figure(score.song()).map(ChordPoints::offBeat).orElse(false));

  private ChordPoints() {}

  private static List<ChordSpan> spans(Song song) {
    return song.progressions().stream().flatMap(row -> row.spans().stream()).toList();
  }

  private static double sevenths(Song song) {
    List<ChordSpan> spans = song.progressions().get(0).spans();
    return spans.stream().filter(s -> s.chord().quality().seventh()).count()
        / (double) spans.size();
  }

  private static boolean spread(Song song, VoicingKind kind) {
    return ChordVoicings.rule(song).kind() == kind
        || spans(song).stream().anyMatch(span -> span.manner().kind().equals(Optional.of(kind)));
  }

  private static Optional<Figure> figure(Song song) {
    return song.progressions()
        .get(0)
        .rhythm()
        .map(ChordRhythm::figure)
        .orElse(ChordVoicings.rule(song).figure());
  }

  private static boolean offBeat(Figure figure) {
    long off =
        figure.strokes().stream()
            .filter(stroke -> Ticks.ofSteps(stroke.step()) % Ticks.PER_QUARTER != 0)
            .count();
    return off * 2 >= figure.strokes().size();
  }
}
