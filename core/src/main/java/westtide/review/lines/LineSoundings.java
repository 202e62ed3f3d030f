package westtide.review.lines;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Function;
import westtide.review.finding.Measure;
import westtide.review.finding.StageSoundings;
import westtide.score.Passage;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.song.PlayedBars;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.line.Note;
import westtide.song.pattern.LineFit;
import westtide.style.Style;

/**
 * Every line against the chords heard wherever it plays. The same slip of a pattern is told once,
 * at the first place it is heard.
 */
public final class LineSoundings {
  private final Score score;
  private final Song song;
  private final boolean rubsAreMeant;
  private final boolean bright;

  /** Of a score. */
  public LineSoundings(Score score, Style style) {
    this.score = score;
    this.bright = style.lead().bright();
    this.rubsAreMeant = !style.lead().language().cycles().isEmpty();
    this.song = score.song();
  }

  /** What is measured and found. */
  public StageSoundings take() {
    SoundingNotes sounding = new SoundingNotes();
    FoundOnce out = new FoundOnce();
    look(fits(), line -> line.passage().start(), out);
    look(slips(sounding), LineSoundings::soundsAs, out);
    new MeetingLines(score, sounding).look(out);
    new LoopFindings(score).look(out);
    return new StageSoundings(measures(), out.all());
  }

  /** Lines of few pitches that run against the bar rub on purpose: they never resolve. */
  private List<LineCheck> fits() {
    return rubsAreMeant
        ? List.of(ChordFit.OUTSIDE)
        : List.of(ChordFit.RUB, ChordFit.END, ChordFit.OUTSIDE);
  }

  private static List<LineCheck> slips(SoundingNotes sounding) {
    return List.of(
        new LostLine(sounding),
        new ClashingNotes(sounding),
        new LoudNotes(),
        new StruckAgain(),
        new ShortNotes(),
        new Stragglers());
  }

  /** Looks at every passage of every line that is not like one looked at before. */
  private void look(List<LineCheck> checks, Function<HeardLine, Object> likeness, FoundOnce out) {
    for (ScoredPart part : score.parts(Role.LINE)) {
      Set<Object> heard = new HashSet<>();
      for (Passage passage : part.passages()) {
        HeardLine line = new HeardLine(score, part, passage);
        if (heard.add(likeness.apply(line))) {
          checks.forEach(check -> check.look(line, out));
        }
      }
    }
  }

  /** Passages of a line sound alike where the line and the parts of chords play the same. */
  private static Object soundsAs(HeardLine line) {
    Passage passage = line.passage();
    List<String> beds =
        line.beds().stream()
            .map(bed -> bed.passage(passage.start()).map(Passage::name).orElse("-"))
            .toList();
    return List.of(passage.name(), passage.harmony().progression(), beds);
  }

  /** The figures of the pattern heard longest of the line heard longest. */
  private List<Measure> measures() {
    PlayedBars played = new PlayedBars(song);
    return played
        .part(Role.LINE)
        .flatMap(part -> score.part(part.id()))
        .map(scored -> measures(scored, played.pattern(scored.part())))
        .orElse(List.of());
  }

  /** The figures of a pattern of a line, over the chords of all passages that play it. */
  public List<Measure> measures(ScoredPart part, String pattern) {
    int notes = 0;
    int ticks = 0;
    double strong = 0;
    double onChord = 0;
    double moves = 0;
    double leaps = 0;
    int low = 128;
    int high = -1;
    for (Passage passage : part.passages()) {
      if (!passage.name().equals(pattern) || passage.notes().isEmpty()) {
        continue;
      }
      LineFit fit = new HeardLine(score, part, passage).fit();
      notes += fit.notes().size();
      ticks += passage.end() - passage.start();
      strong += fit.strong().size();
      onChord += fit.chordToneShare() * fit.strong().size();
      moves += fit.notes().size() - 1;
      leaps += fit.leapShare() * (fit.notes().size() - 1);
      low = Math.min(low, fit.notes().stream().mapToInt(Note::key).min().orElse(low));
      high = Math.max(high, fit.notes().stream().mapToInt(Note::key).max().orElse(high));
    }
    if (notes == 0) {
      return List.of();
    }
    double perBar = notes * (double) song.brief().meter().ticksPerBar() / ticks;
    return List.of(
        share("chord tones on beats", strong == 0 ? 1 : onChord / strong, 0.6, 1),
        share(
            "leaps over two semitones",
            moves == 0 ? 0 : leaps / moves,
            bright ? 0.15 : 0.05,
            bright ? 0.75 : 0.6),
        Measure.of("range, semitones", String.valueOf(high - low), high - low, 24, 5, 16),
        Measure.of("notes a bar", String.format(Locale.ROOT, "%.1f", perBar), perBar, 16, 1.5, 8),
        repetition(part, pattern));
  }

  /** How its two-bar units repeat, as letters, and the share that repeats an earlier rhythm. */
  private Measure repetition(ScoredPart part, String pattern) {
    LinePlan plan =
        part.passages().stream()
            .filter(passage -> passage.name().equals(pattern))
            .findFirst()
            .map(
                passage ->
                    LinePlan.of(
                        new HeardLine(score, part, passage).fit().notes(),
                        2 * song.brief().meter().ticksPerBar()))
            .orElse(new LinePlan("", 0));
    return Measure.of("repetition, two bars", plan.letters(), plan.repeated(), 1, 0.25, 0.9);
  }

  private static Measure share(String name, double share, double low, double high) {
    return Measure.of(name, Math.round(100 * share) + " %", share, 1, low, high);
  }
}
