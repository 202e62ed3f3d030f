package westtide.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.rhythm.Hit;
import westtide.rhythm.Meter;
import westtide.rhythm.Position;
import westtide.rhythm.StepLane;
import westtide.rhythm.Ticks;
import westtide.rhythm.Velocity;
import westtide.score.Score;
import westtide.song.DrumLane;
import westtide.song.DrumVoice;
import westtide.song.Part;
import westtide.song.Pattern;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.Variant;
import westtide.song.edit.DrumEdits;
import westtide.style.Style;

/** Density, off-beats, velocity slips and swing that moves nothing. */
final class DrumSoundings {
  private static final int SLIP = 25;
  private static final int GHOST_STEP = 7;

  private final Song song;
  private final Style style;
  private final Meter meter;

  DrumSoundings(Score score, Style style) {
    this.song = score.song();
    this.style = style;
    this.meter = song.brief().meter();
  }

  StageSoundings take() {
    Optional<Part> drums = song.part(Role.DRUMS);
    if (drums.isEmpty()) {
      return new StageSoundings(List.of(), List.of());
    }
    List<Finding> findings = new ArrayList<>();
    for (Variant variant : drums.get().variants()) {
      if (variant.pattern() instanceof Pattern.Drums groove) {
        addSlips(new DrumEdits(drums.get().id(), variant.name()), groove, findings);
      }
    }
    Variant first = drums.get().variants().get(0);
    Pattern.Drums groove = (Pattern.Drums) first.pattern();
    addIdleSwing(new DrumEdits(drums.get().id(), first.name()), groove, findings);
    return new StageSoundings(measures(groove), findings);
  }

  private List<Measure> measures(Pattern.Drums groove) {
    List<Hit> hits = groove.lanes().stream().flatMap(lane -> over(groove, lane).stream()).toList();
    double perBar = hits.size() / (double) groove.bars();
    long offBeat =
        hits.stream().filter(h -> h.step() * Ticks.PER_STEP % meter.ticksPerBeat() != 0).count();
    double share = hits.isEmpty() ? 0 : offBeat / (double) hits.size();
    long swung = hits.stream().filter(this::swung).count();
    return List.of(
        new Measure(
            "hits a bar",
            String.valueOf(Math.round(perBar)),
            perBar,
            0,
            48,
            style.groove().hitsPerBar()),
        Measure.of("off the beat", Math.round(100 * share) + " %", share, 1, 0.3, 0.8),
        Measure.of(
            "swing acts on",
            swung + " of " + hits.size(),
            swung,
            Math.max(1, hits.size()),
            song.brief().swing().straight() ? 0 : 1,
            hits.size()));
  }

  private List<Hit> over(Pattern.Drums groove, DrumLane lane) {
    return lane.lane().over(groove.bars() * meter.stepsPerBar());
  }

  private void addSlips(DrumEdits edits, Pattern.Drums groove, List<Finding> findings) {
    for (DrumLane lane : groove.lanes()) {
      List<Integer> sorted = lane.lane().hits().stream().map(Hit::velocity).sorted().toList();
      if (sorted.size() < 4) {
        continue;
      }
      int next = sorted.get(sorted.size() - 2);
      int median = sorted.get(sorted.size() / 2);
      for (Hit hit : lane.lane().hits()) {
        if (hit.velocity() - next >= SLIP) {
          findings.add(slip(edits, lane.voice(), hit, next, median));
        }
      }
    }
  }

  private Finding slip(DrumEdits edits, DrumVoice voice, Hit hit, int next, int median) {
    return new Finding(
        "drums.slip."
            + edits.variant()
            + "."
            + voice.name()
            + "."
            + hit.step()
            + "."
            + hit.velocity(),
        Weight.WARNING,
        voice + " at " + hit.velocity() + " among " + next + "s",
        "groove " + edits.variant() + ", " + at(hit.step()),
        "It is "
            + (hit.velocity() - next)
            + " above the next loudest of its lane; more than 25 is an accent or a slip.",
        Optional.of(new Fix("bring it to " + median, edits.velocity(voice, hit.step(), median))));
  }

  private void addIdleSwing(DrumEdits edits, Pattern.Drums groove, List<Finding> findings) {
    boolean acts =
        groove.lanes().stream()
            .flatMap(lane -> over(groove, lane).stream())
            .anyMatch(hit -> swung(hit) || hit.strokes() > 1);
    if (song.brief().swing().straight() || acts) {
      return;
    }
    StepLane ghost =
        StepLane.empty(groove.bars() * meter.stepsPerBar()).with(Hit.of(GHOST_STEP, Velocity.SOFT));
    Optional<StepLane> snare = groove.lane(DrumVoice.SNARE);
    StepLane changed =
        snare.map(lane -> lane.with(Hit.of(GHOST_STEP, Velocity.SOFT))).orElse(ghost);
    findings.add(
        new Finding(
            "drums.swing",
            Weight.WARNING,
            "Swing of " + song.brief().swing() + " % moves nothing",
            "groove " + edits.variant(),
            "Swing delays only the off-steps, and this groove has no hit on one.",
            Optional.of(new Fix("add a ghost on step 8", edits.lane(DrumVoice.SNARE, changed)))));
  }

  /** Whether the hit stands on the second of a pair that swing would delay. */
  private boolean swung(Hit hit) {
    int unit = song.brief().swing().grid().ticks();
    return Math.floorMod(Ticks.ofSteps(hit.step()), 2 * unit) >= unit;
  }

  private String at(int step) {
    return Position.of(Ticks.ofSteps(step), meter).toString();
  }
}
