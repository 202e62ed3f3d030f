package westtide.review.form;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import westtide.review.finding.Check;
import westtide.review.finding.Finding;
import westtide.review.finding.FindingId;
import westtide.review.finding.Fix;
import westtide.review.finding.Measure;
import westtide.review.finding.Severity;
import westtide.review.finding.StageSoundings;
import westtide.rhythm.Clock;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.PlayedBars;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.Edit;
import westtide.song.edit.form.FormEdits;
import westtide.song.form.Form;
import westtide.song.form.FormLine;
import westtide.song.form.Level;
import westtide.song.form.Mark;
import westtide.song.form.SectionKind;
import westtide.song.form.TransitionEffect;
import westtide.song.form.TransitionKind;
import westtide.style.Span;
import westtide.style.Style;

/** Length, the lift of the hook, empty bars and stretches in which nothing changes. */
public final class FormSoundings {
  /** How long a finished track usually is, in seconds (common practice). */
  public static final Span USUAL_SECONDS = new Span(140, 210, 140);

  private final Score score;
  private final Song song;
  private final Form form;
  private final Energy energy;
  private final Style style;
  private final PlacedSections sections;

  /** Of a score. */
  public FormSoundings(Score score, Style style, Energy energy) {
    this.score = score;
    this.song = score.song();
    this.form = song.form();
    this.energy = energy;
    this.style = style;
    this.sections = new PlacedSections(song, energy);
  }

  /** What is measured and found. */
  public StageSoundings take() {
    List<Finding> findings = new ArrayList<>();
    addFlatHooks(findings);
    addEmptySections(findings);
    addLength(findings);
    findings.addAll(new ArrangementFindings(score, style, sections).all());
    return new StageSoundings(measures(), findings);
  }

  private List<Measure> measures() {
    double seconds = song.millis() / 1000;
    double calm = calm();
    double lift = calm == 0 ? 0 : mean(SectionKind.HOOK) - calm;
    int still = longestStill();
    return List.of(
        new Measure("length", Clock.of(song.millis()), seconds, 0, 360, USUAL_SECONDS),
        Measure.of("hook above verse", String.valueOf(Math.round(lift)), lift, 60, 10, 45),
        Measure.of("longest stretch unchanged", still + " bars", still, 32, 1, 8));
  }

  /**
   * The energy hooks are compared with: the verses', or the grooves' where there is no verse; 0 for
   * neither.
   */
  private double calm() {
    double verse = mean(SectionKind.VERSE);
    return verse > 0 ? verse : mean(SectionKind.GROOVE);
  }

  private double mean(SectionKind kind) {
    double sum = 0;
    int bars = 0;
    for (int i = 0; i < form.sections().size(); i++) {
      if (sections.kind(i) == kind) {
        sum += sections.mean(i) * sections.at(i).bars();
        bars += sections.at(i).bars();
      }
    }
    return bars == 0 ? 0 : sum / bars;
  }

  private int longestStill() {
    int longest = 0;
    for (int place = 0; place < sections.count(); place++) {
      int last = 0;
      for (int change : sections.partChanges(place)) {
        longest = Math.max(longest, change - last);
        last = change;
      }
    }
    return longest;
  }

  private void addFlatHooks(List<Finding> findings) {
    double calm = calm();
    if (calm == 0) {
      return;
    }
    for (int i = 0; i < form.sections().size(); i++) {
      double own = sections.mean(i);
      if (sections.kind(i) == SectionKind.HOOK && own <= calm) {
        findings.add(
            new Finding(
                FindingId.of(Check.FORM_FLAT).at("#" + form.id(i)),
                Severity.WARNING,
                "The " + form.label(i) + " does not rise",
                sections.bars(i),
                "Its energy is "
                    + Math.round(own)
                    + ", the calmer sections' "
                    + Math.round(calm)
                    + "; the style wants about "
                    + style.form().energy().get(SectionKind.HOOK)
                    + ". A hook lands because it is fuller.",
                Optional.of(new Fix("fill the " + form.label(i), fill(i)))));
      }
    }
  }

  /** Everything in full but the bass, which leaves the hook to the 808 where there is one. */
  private Edit fill(int index) {
    boolean sub = !song.parts(Role.SUB).isEmpty();
    return FormEdits.fill(
        form.id(index),
        song.parts().stream()
            .filter(part -> part.role() != Role.BASS || !sub)
            .map(Part::id)
            .toList());
  }

  private void addEmptySections(List<Finding> findings) {
    for (int i = 0; i < form.sections().size(); i++) {
      int first = form.startBar(i);
      int end = first + form.sections().get(i).bars();
      for (int bar = first; bar < end; bar++) {
        if (energy.bars().get(bar) == 0 && !stopped(i, bar)) {
          findings.add(empty(i, bar + 1));
          break;
        }
      }
    }
  }

  /** Whether a bar is silent because everything stops on purpose, before a section or in it. */
  private boolean stopped(int index, int bar) {
    int beats = song.brief().meter().beats();
    int inside = bar - form.startBar(index);
    boolean last = index + 1 == form.sections().size();
    List<Mark> marks = new ArrayList<>(form.sections().get(index).marks());
    if (!last) {
      int end = form.sections().get(index).bars();
      form.sections().get(index + 1).entry().forEach(what -> marks.add(new Mark(end, what)));
    }
    return marks.stream()
        .anyMatch(
            mark -> mark.transition().kind().effect().accept(new Stopping(mark, inside, beats)));
  }

  /**
   * Whether a transition may leave a bar silent.
   *
   * @param mark the transition and its bar
   * @param bar the bar that is looked at
   * @param beats beats of a bar
   */
  private record Stopping(Mark mark, int bar, int beats)
      implements TransitionEffect.Families<Boolean> {
    private boolean before() {
      boolean reaches = (mark.bar() - bar) * beats <= mark.transition().beats();
      return reaches && bar < mark.bar();
    }

    @Override
    public Boolean silence(TransitionEffect.Silence effect) {
      return mark.transition().kind().place() == TransitionKind.Place.BEFORE && before();
    }

    @Override
    public Boolean stopOnBackbeat(TransitionEffect.StopOnBackbeat effect) {
      return bar > mark.bar() && (bar - mark.bar()) * beats <= mark.transition().beats();
    }

    @Override
    public Boolean held(TransitionEffect.Held effect) {
      return before();
    }

    @Override
    public Boolean sweep(TransitionEffect.Sweep effect) {
      return effect.way() == TransitionEffect.Sweep.Way.FADING && bar >= mark.bar();
    }

    @Override
    public Boolean fill(TransitionEffect.Fill effect) {
      return false;
    }

    @Override
    public Boolean sound(TransitionEffect.Sound effect) {
      return false;
    }

    @Override
    public Boolean run(TransitionEffect.Run effect) {
      return false;
    }
  }

  private Finding empty(int index, int bar) {
    Optional<Fix> fix =
        new PlayedBars(song)
            .part(Role.CHORDS)
            .map(
                chords ->
                    new Fix(
                        "bring in " + chords.name(),
                        FormEdits.level(form.id(index), chords.id(), 0, Level.HALF)));
    return new Finding(
        FindingId.of(Check.FORM_EMPTY).at("#" + form.id(index), bar),
        Severity.WARNING,
        "Nothing plays from bar " + bar,
        form.label(index),
        "A silent bar is a strong effect before a drop and a hole anywhere else.",
        fix);
  }

  /** Whether the form is one of the style's own, whose length is meant. */
  private boolean isTheStyles() {
    return style.form().templates().stream()
        .map(template -> FormLine.parse(template.line()).orElseThrow())
        .anyMatch(
            items ->
                items.size() == form.sections().size()
                    && IntStream.range(0, items.size())
                        .allMatch(
                            i ->
                                items.get(i).means(form.sections().get(i))
                                    && items.get(i).bars() == form.sections().get(i).bars()));
  }

  private void addLength(List<Finding> findings) {
    double seconds = song.millis() / 1000;
    boolean usual = USUAL_SECONDS.contains(seconds);
    if (usual || isTheStyles()) {
      return;
    }
    findings.add(
        new Finding(
            FindingId.of(Check.FORM_LENGTH).at(Math.round(seconds)),
            Severity.NOTE,
            "The song lasts " + Clock.of(song.millis()),
            form.bars() + " bars",
            "2:20 to 3:30 is usual today; "
                + (seconds < USUAL_SECONDS.low()
                    ? "lengthen a section or add one"
                    : "shorten a section or delete one")
                + " where it matters.",
            Optional.empty()));
  }
}
