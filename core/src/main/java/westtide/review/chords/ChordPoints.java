package westtide.review.chords;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiPredicate;
import java.util.stream.Stream;
import westtide.rhythm.Figure;
import westtide.rhythm.Ticks;
import westtide.score.Score;
import westtide.song.Song;
import westtide.song.chord.ChordRhythm;
import westtide.song.chord.ChordSpan;
import westtide.song.pattern.FollowRule;
import westtide.style.Style;
import westtide.theory.voicing.VoicingKind;

/** Points of the checklist that are read from the chords. */
public final class ChordPoints {
  /** The points of the checklist about chords, and when they are reached. */
  public static final Map<String, BiPredicate<Score, Style>> ALL =
      Map.of(
          "chords as rich as usual",
          (score, style) -> style.chords().sevenths().contains(sevenths(score.song())),
          "sevenths",
          (score, style) -> sevenths(score.song()) > 0,
          "second progression",
          (score, style) -> score.song().progressions().size() > 1,
          "chords strummed",
          (score, style) ->
              spans(score.song()).stream().anyMatch(span -> span.articulation().strum().isPresent())
                  || score.song().rules(FollowRule.Chords.class).stream()
                      .anyMatch(ChordPoints::strums),
          "two-note stacks",
          (score, style) ->
              spread(score.song(), VoicingKind.OCTAVE_STACK)
                  || spread(score.song(), VoicingKind.TWO_NOTES),
          "wide chords",
          (score, style) ->
              spread(score.song(), VoicingKind.OPEN) || spread(score.song(), VoicingKind.DROP_2),
          "chords plucked",
          (score, style) ->
              figures(score.song()).anyMatch(f -> f.strokes().size() * 16 >= 4 * f.length()),
          "chords off the beat",
          (score, style) -> figures(score.song()).anyMatch(ChordPoints::offBeat));

  private ChordPoints() {}

  private static List<ChordSpan> spans(Song song) {
    return song.progressions().stream().flatMap(row -> row.spans().stream()).toList();
  }

  private static double sevenths(Song song) {
    List<ChordSpan> spans = spans(song);
    return spans.stream().filter(s -> s.chord().quality().seventh()).count()
        / (double) spans.size();
  }

  private static boolean spread(Song song, VoicingKind kind) {
    return song.rules(FollowRule.Chords.class).stream().anyMatch(rule -> rule.kind() == kind)
        || spans(song).stream()
            .anyMatch(span -> span.articulation().kind().equals(Optional.of(kind)));
  }

  private static boolean strums(FollowRule.Chords rule) {
    return rule.own().strum().filter(strum -> strum.millis() > 0).isPresent();
  }

  /** The rhythms chord parts play: their own, the progressions', or the rule's where none has. */
  private static Stream<Figure> figures(Song song) {
    return song.rules(FollowRule.Chords.class).stream()
        .flatMap(
            rule ->
                rule.own().rhythm().isPresent()
                    ? rule.own().rhythm().get().figure().stream()
                    : song.progressions().stream()
                        .flatMap(
                            row ->
                                row
                                    .rhythm()
                                    .map(ChordRhythm::figure)
                                    .orElse(rule.figure())
                                    .stream()));
  }

  private static boolean offBeat(Figure figure) {
    long off =
        figure.strokes().stream()
            .filter(stroke -> Ticks.ofSteps(stroke.step()) % Ticks.PER_QUARTER != 0)
            .count();
    return off * 2 >= figure.strokes().size();
  }
}
