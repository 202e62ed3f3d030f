package westtide.review.drums;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import westtide.review.finding.Check;
import westtide.review.finding.Finding;
import westtide.review.finding.FindingId;
import westtide.review.finding.Fix;
import westtide.review.finding.Measure;
import westtide.review.finding.Severity;
import westtide.rhythm.BarLines;
import westtide.rhythm.StepGrid;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.score.event.ScoredNote;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.edit.Edit;
import westtide.song.edit.form.FormEdits;
import westtide.song.form.Form;
import westtide.song.form.Section;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;
import westtide.style.Style;

/**
 * How drums repeat: which bars of a section are like an earlier bar of it, as they sound.
 *
 * @param sections by section, for each bar whether drums play and it is like an earlier one
 */
record DrumRepeats(List<List<Bar>> sections) {
  private static final String FILL = "fill";
  private static final int SHORTEST = 4;
  private static final double THROUGH_WRITTEN_MOST = 0.85;
  private static final double HYPNOTIC_LEAST = 0.3;

  /** Share of all strokes of two bars that both have, from which on one repeats the other. */
  private static final double ALIKE = 0.84;

  /** A bar of drums. */
  enum Bar {
    SILENT,
    NEW,
    /** Nearly the strokes of an earlier bar. */
    VARIED,
    LIKE_EARLIER
  }

  /** A stroke within its bar, by thirty-seconds: how loud and how exactly is no difference. */
  private record Stroke(int place, ScoredNote.Struck struck) {}

  static DrumRepeats of(Score score, Part drums) {
    Form form = score.song().form();
    BarLines lines = score.song().barLines();
    Optional<ScoredPart> part = score.part(drums.id());
    List<List<Bar>> out = new ArrayList<>();
    int start = 0;
    for (int i = 0; i < form.sections().size(); i++) {
      Set<Set<Stroke>> earlier = new HashSet<>();
      List<Bar> bars = new ArrayList<>();
      for (int b = 0; b < form.sections().get(i).bars(); b++) {
        int from = lines.tick(start + b);
        int to = lines.tick(start + b + 1);
        Set<Stroke> strokes = part.map(p -> strokes(p, from, to)).orElse(Set.of());
        bars.add(bar(strokes, earlier));
        earlier.add(strokes);
      }
      out.add(bars);
      start += bars.size();
    }
    return new DrumRepeats(out);
  }

  private static Bar bar(Set<Stroke> strokes, Set<Set<Stroke>> earlier) {
    if (strokes.isEmpty()) {
      return Bar.SILENT;
    }
    if (earlier.contains(strokes)) {
      return Bar.LIKE_EARLIER;
    }
    return earlier.stream().anyMatch(other -> alike(strokes, other)) ? Bar.VARIED : Bar.NEW;
  }

  /** Whether two bars have most of their strokes in common: a ghost note more is no other bar. */
  private static boolean alike(Set<Stroke> one, Set<Stroke> other) {
    long common = one.stream().filter(other::contains).count();
    return common >= ALIKE * (one.size() + other.size() - common);
  }

  private static Set<Stroke> strokes(ScoredPart part, int from, int to) {
    Set<Stroke> out = new HashSet<>();
    for (ScoredNote note : part.between(from, to)) {
      note.struck().ifPresent(s -> out.add(new Stroke(place(note.start() - from), s)));
    }
    return out;
  }

  private static int place(int tick) {
    return Math.round(tick / (float) StepGrid.THIRTY_SECONDS.ticks());
  }

  private double share() {
    long repeated = count(Bar.LIKE_EARLIER) + count(Bar.VARIED);
    long played = count(Bar.NEW) + repeated;
    return played == 0 ? 0 : repeated / (double) played;
  }

  private long count(Bar kind) {
    return sections.stream().flatMap(List::stream).filter(bar -> bar == kind).count();
  }

  Measure measure(Style style) {
    boolean through = style.groove().schools().throughWritten();
    return Measure.of(
        "repetition, % of bars",
        Math.round(100 * share()) + " %",
        share(),
        1,
        through ? 0 : HYPNOTIC_LEAST,
        through ? THROUGH_WRITTEN_MOST : 1);
  }

  /** A song whose drums repeat against the habit of its style. */
  Optional<Finding> againstSchool(Style style) {
    boolean through = style.groove().schools().throughWritten();
    boolean off = through ? share() > THROUGH_WRITTEN_MOST : share() < HYPNOTIC_LEAST;
    if (!off || count(Bar.NEW) == 0) {
      return Optional.empty();
    }
    return Optional.of(
        new Finding(
            FindingId.of(Check.DRUMS_REPEATS).at(Math.round(share() * 20)),
            Severity.NOTE,
            Math.round(100 * share()) + " % of the bars repeat an earlier one",
            "all sections",
            through
                ? style.name() + " is usually evolving: grow the groove to eight bars."
                : style.name() + " usually keeps one groove and lets lanes come and go.",
            Optional.empty()));
  }

  /** Sections that end as they went on though something else follows. */
  List<Finding> missingFills(Song song, Part drums) {
    List<Finding> out = new ArrayList<>();
    for (int i = 0; i + 1 < sections.size(); i++) {
      List<Bar> bars = sections.get(i);
      boolean plain = bars.get(bars.size() - 1) == Bar.LIKE_EARLIER;
      boolean goesOn = sections.get(i + 1).get(0) != Bar.SILENT;
      if (plain && goesOn && bars.size() >= SHORTEST) {
        out.add(missingFill(song, drums, i));
      }
    }
    return out;
  }

  private static Finding missingFill(Song song, Part drums, int index) {
    Form form = song.form();
    Section section = form.sections().get(index);
    int last = section.bars() - 1;
    Optional<Fix> fix =
        drums
            .find(FILL)
            .map(fill -> new Fix("play the fill there", filling(form.id(index), drums.id(), last)));
    return new Finding(
        FindingId.of(Check.DRUMS_NOFILL, drums.id()).at("#" + form.id(index), section.bars()),
        Severity.NOTE,
        "No fill of " + drums.name() + " before " + form.label(index + 1),
        "bar " + (form.startBar(index) + section.bars()),
        "The last bar repeats an earlier one; a change of section is usually announced.",
        fix);
  }

  private static Edit filling(SectionId id, PartId part, int bar) {
    return Edit.of(
        "Play the fill before a change",
        song -> {
          Song split = FormEdits.split(id, part, bar).apply(song);
          return FormEdits.pattern(id, part, bar, FILL).apply(split);
        });
  }
}
