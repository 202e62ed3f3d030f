package westtide.review.form;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import westtide.compose.form.TransitionDraft;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.Edit;
import westtide.song.edit.form.FormEdits;
import westtide.song.edit.form.SectionEdits;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.id.SectionId;
import westtide.song.mix.Curve;
import westtide.style.Style;

/**
 * How a section could reach an energy: levels of its parts one after another, each the one that
 * comes nearest; then a curve of the level where levels alone do not reach, and what announces it
 * where it rises.
 *
 * @param section the section
 * @param wanted the energy asked for, 0 to 100
 * @param before its energy now
 * @param after the energy the proposal reaches
 * @param steps what is changed, each with its reason
 * @param edit everything together
 */
public record EnergyProposal(
    SectionId section, int wanted, double before, double after, List<String> steps, Edit edit) {
  private static final int MOST_STEPS = 8;
  private static final double NEAR = 2.5;
  private static final int MOST_TENTHS = 120;

  /** Copies the steps. */
  public EnergyProposal {
    steps = List.copyOf(steps);
  }

  /** Whether it changes anything. */
  public boolean any() {
    return !steps.isEmpty();
  }

  /**
   * A proposal; empty when it was cancelled.
   *
   * @param score the song now
   * @param style its style
   * @param id the section
   * @param wanted the energy asked for, held inside 0 to 100
   */
  public static Optional<EnergyProposal> of(
      Score score, Style style, SectionId id, int wanted, BooleanSupplier cancelled) {
    int goal = Math.max(0, Math.min(100, wanted));
    Search search = new Search(score, style, id, goal);
    while (!cancelled.getAsBoolean() && search.step()) {
      // the next change is looked for from the one before
    }
    return cancelled.getAsBoolean() ? Optional.empty() : Optional.of(search.found());
  }

  /** Looks for one change after another. */
  private static final class Search {
    private final Song song;
    private final Style style;
    private final SectionId id;
    private final int place;
    private final int wanted;
    private final double before;
    private final List<Edit> edits = new ArrayList<>();
    private final List<String> steps = new ArrayList<>();
    private Score score;
    private double reached;

    Search(Score score, Style style, SectionId id, int wanted) {
      this.song = score.song();
      this.style = style;
      this.id = id;
      this.place = song.form().place(id).orElseThrow();
      this.wanted = wanted;
      this.score = score;
      this.before = energy(score);
      this.reached = before;
    }

    private double energy(Score of) {
      Section section = of.song().form().sections().get(place);
      return Energy.of(of).mean(of.song().form().startBar(place), section.bars());
    }

    private record Step(Edit edit, String said, Score score, double energy) {}

    boolean step() {
      if (Math.abs(wanted - reached) <= NEAR || edits.size() >= MOST_STEPS) {
        return false;
      }
      Optional<Step> best = Optional.empty();
      for (Part part : score.song().parts()) {
        Optional<Step> step = level(part);
        if (step.isPresent() && nearer(step.get(), best)) {
          best = step;
        }
      }
      best.ifPresent(this::take);
      return best.isPresent();
    }

    private boolean nearer(Step step, Optional<Step> best) {
      double off = Math.abs(wanted - step.energy());
      double now = best.map(b -> Math.abs(wanted - b.energy())).orElse(Math.abs(wanted - reached));
      return off < now - 0.3;
    }

    private void take(Step step) {
      edits.add(step.edit());
      steps.add(step.said());
      score = step.score();
      reached = step.energy();
    }

    private Optional<Step> level(Part part) {
      if (part.role() == Role.MARKS) {
        return Optional.empty();
      }
      Section section = score.song().form().sections().get(place);
      Level was = section.cell(part.id(), section.bars() / 2).level();
      Level is = wanted > reached ? was.fuller() : was.emptier();
      if (was == is) {
        return Optional.empty();
      }
      List<Edit> each = new ArrayList<>();
      section
          .cells(part.id())
          .forEach(
              cell ->
                  each.add(
                      FormEdits.level(
                          id,
                          part.id(),
                          cell.fromBar(),
                          cell.beat(),
                          wanted > reached ? cell.level().fuller() : cell.level().emptier())));
      Edit edit = Edit.together(part.name() + " " + is, each);
      Score after = score.after(edit.apply(score.song()));
      double energy = energy(after);
      String said =
          String.format(
              java.util.Locale.ROOT,
              "%s %s instead of %s: %+.0f",
              part.name(),
              is,
              was,
              energy - reached);
      return Optional.of(new Step(edit, said, after, energy));
    }

    EnergyProposal found() {
      if (wanted < reached - NEAR) {
        quieter();
      }
      if (wanted > before + NEAR && place > 0) {
        announce();
      }
      Edit all = Edit.together("Reach an energy of " + wanted, edits);
      return new EnergyProposal(id, wanted, before, reached, steps, all);
    }

    /** A curve brings down what still plays when levels cannot go lower. */
    private void quieter() {
      int tenths = (int) -Math.min(MOST_TENTHS, Math.round((reached - wanted) * 6));
      List<Edit> curves = new ArrayList<>();
      for (Part part : score.song().parts(Role.CHORDS)) {
        curves.add(
            FormEdits.curves(
                id, part.id(), List.of(Curve.straight(Curve.Kind.LEVEL, tenths / 2, tenths))));
      }
      if (!curves.isEmpty() && tenths < 0) {
        Edit edit = Edit.together("Bring the chords down", curves);
        Score after = score.after(edit.apply(score.song()));
        take(
            new Step(
                edit,
                "the chords fall by " + -tenths / 10 + " dB over the section",
                after,
                energy(after)));
      }
    }

    private void announce() {
      Song now = score.song();
      if (!now.form().sections().get(place).entry().isEmpty()) {
        return;
      }
      new TransitionDraft(style, now)
          .of(id)
          .ifPresent(
              proposal -> {
                edits.add(new SectionEdits(id, SectionEdits.Scope.THIS).enter(proposal.marks()));
                steps.add("entered by " + proposal.marks().get(0) + ": " + proposal.why());
                score = Score.of(edits.get(edits.size() - 1).apply(now));
                reached = energy(score);
              });
    }
  }
}
