package westtide.compose.line;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import westtide.rhythm.Figure;
import westtide.rhythm.Meter;
import westtide.rhythm.Ticks;
import westtide.song.id.Seed;
import westtide.style.LineLanguage;

/**
 * The plan of a line before it has notes: a rhythm for each of its two-bar units, where the third
 * goes, what leads in, and the one gesture it is known by. All of it is drawn once, so that the
 * search for good notes never settles on the rhythm that is easiest to fill.
 *
 * @param units the rhythm of each unit, in ticks from its start
 * @param third what becomes of the third unit of four
 * @param pickUps whether the end of a unit leads into the next
 * @param signature what the line is known by
 */
record LineSketch(List<List<Spot>> units, Third third, boolean pickUps, Signature signature) {
  /** Bars of a unit. */
  static final int UNIT_BARS = 2;

  private static final int CYCLE_DENSITY = 45;
  private static final int CYCLE_LEAST = 3;
  private static final List<String> PLANS = List.of("aAab", "abac", "aabA", "a-ab", "aaAb", "abaA");

  /**
   * Where a note goes.
   *
   * @param start tick in its unit
   * @param ticks its length
   */
  record Spot(int start, int ticks) {}

  /** What becomes of the third unit of four. */
  enum Third {
    RISES,
    FALLS,
    STAYS,
    THINS
  }

  /** The one gesture a line is known by. */
  enum Signature {
    NONE,
    REPEATED_NOTE,
    OCTAVE,
    TRIPLET,
    GRACE_NOTE,
    SILENCE
  }

  /** A sketch for so many bars in a language. */
  static LineSketch draw(LineLanguage language, int bars, Meter meter, Random random) {
    Drawing drawing = new Drawing(language, meter, random);
    List<Spot> a = drawing.unit();
    List<Spot> b = drawing.other(a);
    List<Spot> c = drawing.other(b);
    List<Spot> again = drawing.closed(a);
    String plan = Seed.pick(PLANS, random);
    List<List<Spot>> units = new ArrayList<>();
    int count = (bars + UNIT_BARS - 1) / UNIT_BARS;
    for (int i = 0; i < count; i++) {
      units.add(
          switch (plan.charAt(i % plan.length())) {
            case 'A' -> again;
            case 'b' -> b;
            case 'c' -> c;
            case '-' -> a.stream().filter(s -> s.start() >= meter.ticksPerBar()).toList();
            default -> a;
          });
    }
    int last = units.size() - 1;
    units.set(last, breathing(units.get(last), UNIT_BARS * meter.ticksPerBar()));
    return new LineSketch(units, third(random), random.nextBoolean(), signature(language, random));
  }

  /** The last beat left free, so that the line breathes before it comes round. */
  private static List<Spot> breathing(List<Spot> unit, int end) {
    int free = end - Ticks.PER_QUARTER;
    return unit.stream()
        .filter(spot -> spot.start() < free)
        .map(spot -> new Spot(spot.start(), Math.min(spot.ticks(), free - spot.start())))
        .toList();
  }

  private static Third third(Random random) {
    int draw = random.nextInt(100);
    return draw < 36
        ? Third.RISES
        : draw < 70 ? Third.FALLS : draw < 85 ? Third.STAYS : Third.THINS;
  }

  /** Three of four lines have one; triplets only where the language has them. */
  private static Signature signature(LineLanguage language, Random random) {
    if (random.nextInt(4) == 0) {
      return Signature.NONE;
    }
    Signature drawn = Signature.values()[1 + random.nextInt(Signature.values().length - 1)];
    return drawn == Signature.TRIPLET && !language.triplets() ? Signature.REPEATED_NOTE : drawn;
  }

  /** A sketch of one pass of a cycle of so many steps. */
  static LineSketch cycle(int steps, Random random) {
    List<Spot> pass = new ArrayList<>();
    while (pass.size() < CYCLE_LEAST) {
      pass.clear();
      for (int step = 0; step < steps; step++) {
        if (step == 0 || random.nextInt(100) < CYCLE_DENSITY) {
          pass.add(new Spot(Ticks.ofSteps(step), Ticks.PER_STEP));
        }
      }
    }
    return new LineSketch(List.of(pass), Third.STAYS, false, Signature.NONE);
  }

  /** A rhythm of two bars from the halves of a language. */
  static List<Spot> rhythm(LineLanguage language, Meter meter, Random random) {
    return new Drawing(language, meter, random).unit();
  }

  private record Drawing(LineLanguage language, Meter meter, Random random) {
    List<Spot> unit() {
      Figure open = Seed.pick(language.opens(), random);
      Figure second = random.nextBoolean() ? open : Seed.pick(language.opens(), random);
      List<Spot> out = new ArrayList<>();
      add(out, open, 0, 0);
      add(out, Seed.pick(language.answers(), random), 0, 1);
      add(out, second, 1, 0);
      add(out, Seed.pick(language.closes(), random), 1, 1);
      return out;
    }

    /** Another rhythm than one that is there, where the language has one. */
    List<Spot> other(List<Spot> than) {
      List<Spot> out = unit();
      for (int i = 0; i < 8 && out.equals(than); i++) {
        out = unit();
      }
      return out;
    }

    /** The same up to its last half bar, which closes otherwise. */
    List<Spot> closed(List<Spot> unit) {
      int half = meter.ticksPerBar() + Ticks.ofSteps(LineLanguage.HALF);
      List<Spot> out = new ArrayList<>();
      unit.stream().filter(spot -> spot.start() < half).forEach(out::add);
      add(out, Seed.pick(language.closes(), random), 1, 1);
      return out;
    }

    private void add(List<Spot> out, Figure half, int bar, int place) {
      int from = Ticks.ofSteps(place * LineLanguage.HALF);
      for (Figure.Stroke stroke : half.strokes()) {
        int inBar = from + Ticks.ofSteps(stroke.step());
        if (inBar < meter.ticksPerBar()) {
          out.add(new Spot(bar * meter.ticksPerBar() + inBar, Ticks.ofSteps(stroke.steps())));
        }
      }
    }
  }
}
