package westtide.score.drum;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import westtide.rhythm.Meter;
import westtide.rhythm.Ticks;
import westtide.rhythm.Velocity;
import westtide.score.event.ScoredNote;
import westtide.score.event.Source;
import westtide.song.Part;
import westtide.song.drum.DrumVoice;
import westtide.song.form.Transition;
import westtide.song.form.TransitionEffect;

/**
 * What the drums play up to a boundary in place of some of their lanes: fills, a snare build, a
 * stick count (common practice).
 */
public final class DrumFill {
  private static final int SOFT = 56;
  private static final int LOUD = 118;
  private static final int TOM_SEMITONES = 5;

  private final Part part;
  private final int from;
  private final int to;
  private final Transition what;
  private final TransitionEffect.Fill.Figure figure;
  private final Meter meter;

  /** A fill of a part over a stretch of ticks. */
  public DrumFill(
      Part part, int from, int to, Transition what, TransitionEffect.Fill fill, Meter meter) {
    this.figure = fill.figure();
    this.part = part;
    this.from = from;
    this.to = to;
    this.what = what;
    this.meter = meter;
  }

  /** Whether a stroke of the groove gives way to it. */
  public boolean replaces(ScoredNote note) {
    if (note.struck().isEmpty()) {
      return false;
    }
    DrumVoice voice = note.struck().get().lane().voice();
    return switch (figure) {
      case SNARE -> Set.of(DrumVoice.SNARE, DrumVoice.CLAP).contains(voice);
      case TOMS -> voice != DrumVoice.KICK;
      case HATS -> Set.of(DrumVoice.CLOSED_HAT, DrumVoice.OPEN_HAT).contains(voice);
      case WITHOUT_KICK -> voice == DrumVoice.KICK || voice == DrumVoice.SNARE;
      case BUILD ->
          Set.of(DrumVoice.SNARE, DrumVoice.CLAP).contains(voice)
              || voice == DrumVoice.KICK && note.start() >= to - (to - from) / 4;
      case STICKS -> true;
    };
  }

  /** What the fill strikes, in the order of time. */
  public List<ScoredNote> strokes() {
    return switch (figure) {
      case SNARE -> rising(DrumVoice.SNARE, Ticks.PER_QUARTER / 2, Ticks.PER_STEP);
      case TOMS -> toms();
      case HATS -> rising(DrumVoice.CLOSED_HAT, Ticks.PER_STEP / 2, Ticks.PER_STEP / 2);
      case WITHOUT_KICK -> turn();
      case BUILD -> build();
      case STICKS -> sticks();
    };
  }

  /** Strokes at one distance in the first half and another in the second, louder and louder. */
  private List<ScoredNote> rising(DrumVoice voice, int first, int second) {
    List<ScoredNote> out = new ArrayList<>();
    int middle = from + (to - from) / 2;
    for (int tick = from; tick < to; tick += tick < middle ? first : second) {
      out.add(stroke(voice, tick, second, swell(tick), 0));
    }
    return out;
  }

  /** Quarters, then eighths, then sixteenths, louder and louder. */
  private List<ScoredNote> build() {
    List<ScoredNote> out = new ArrayList<>();
    int tick = from;
    while (tick < to) {
      double done = (tick - from) / (double) (to - from);
      int next =
          done < 0.5 ? Ticks.PER_QUARTER : done < 0.75 ? Ticks.PER_QUARTER / 2 : Ticks.PER_STEP;
      out.add(stroke(DrumVoice.SNARE, tick, Ticks.PER_STEP, swell(tick), 0));
      tick += next;
    }
    return out;
  }

  private List<ScoredNote> toms() {
    List<ScoredNote> out = new ArrayList<>();
    for (int tick = from; tick < to; tick += Ticks.PER_STEP) {
      int step = (tick - from) / Ticks.PER_STEP;
      if (step % 4 != 1) {
        double done = (tick - from) / (double) (to - from);
        int semitones = (int) Math.round(TOM_SEMITONES - 2 * TOM_SEMITONES * done);
        out.add(stroke(DrumVoice.TOM, tick, Ticks.PER_STEP, swell(tick), semitones));
      }
    }
    return out;
  }

  /** The kick is gone; two snares turn round before the one. */
  private List<ScoredNote> turn() {
    List<ScoredNote> out = new ArrayList<>();
    int middle = to - (to - from) / 2;
    out.add(stroke(DrumVoice.SNARE, middle, Ticks.PER_STEP, LOUD - 20, 0));
    for (int back = 1; back <= 2 && to - back * Ticks.PER_STEP > middle; back++) {
      out.add(stroke(DrumVoice.SNARE, to - back * Ticks.PER_STEP, Ticks.PER_STEP, SOFT + 20, 0));
    }
    return out;
  }

  private List<ScoredNote> sticks() {
    List<ScoredNote> out = new ArrayList<>();
    for (int tick = from; tick < to; tick += meter.ticksPerBeat()) {
      out.add(stroke(DrumVoice.STICK, tick, Ticks.PER_STEP, LOUD - 18, 0));
    }
    return out;
  }

  private int swell(int tick) {
    return (int) Math.round(SOFT + (LOUD - SOFT) * (tick - from) / (double) (to - from));
  }

  private ScoredNote stroke(DrumVoice voice, int tick, int ticks, int velocity, int semitones) {
    return new ScoredNote(
        tick,
        Math.max(1, Math.min(ticks, to - tick)),
        part.sound(voice.lane()).note(),
        Velocity.held(Math.round(velocity * what.depth() / 100.0)),
        tick,
        0,
        0,
        Source.TRANSITION,
        Optional.of(new ScoredNote.Struck(voice.lane(), semitones)),
        "");
  }
}
