package westtide.crate;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import westtide.compose.SongDraft;
import westtide.draft.Draft;
import westtide.rhythm.Tempo;
import westtide.rhythm.Ticks;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.score.SectionScore;
import westtide.score.event.ScoredNote;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.form.SectionKind;
import westtide.song.found.Origin;
import westtide.song.found.Recording;
import westtide.sound.Mixdown;
import westtide.style.Style;
import westtide.style.StyleBook;
import westtide.theory.Key;
import westtide.theory.Scale;

/**
 * Makes invented loops: some bars of a draft's hook, few of its parts, at a tempo and a tuning of
 * their own, with nothing or noise before the first beat, worn or clean, in one channel or two. It
 * stands in for a shelf of records, so that found sound can be worked with where there is none. The
 * same seed is the same loop on every machine.
 */
public final class Crate {
  private static final int SLOWEST = 72;
  private static final int FASTEST = 132;
  private static final int LEAST_VELOCITY = 30;
  private static final int LEAST_LEVEL = -140;
  private static final double SAME_SECONDS = 0.05;
  private static final double BIT16 = 32768;
  private static final List<String> STYLES =
      List.of("soul", "lo-fi", "boom-bap", "afro-pop", "deep-house", "bounce", "cloud", "trap");

  /** Progressions that say where they are at home, all of four bars (common practice). */
  private static final List<String> SAD =
      List.of(
          "i7 | VImaj7 | iv7 | v7",
          "i9 | iv9 | i9 | VII",
          "i | VII | VI | VII",
          "i7 | III | VII | iv7",
          "i9 | v7 | VImaj7 | iv9",
          "i | VI | III | VII");

  private static final List<String> BRIGHT =
      List.of(
          "Imaj7 | vi7 | ii7 | V7",
          "I | V | vi | IV",
          "Imaj9 | IVmaj7 | Imaj9 | V9sus",
          "I | iii7 | IVmaj7 | V",
          "Imaj7 | ii7 | IVmaj7 | V7");

  private final long seed;
  private final boolean minor;
  private final double pace;

  private Crate(long seed, boolean minor, double pace) {
    this.seed = seed;
    this.minor = minor;
    this.pace = pace;
  }

  /** The loop of a seed. */
  public static Crate of(long seed) {
    return new Crate(seed, false, 1);
  }

  /** The same in a minor key. */
  public Crate inMinor() {
    return new Crate(seed, true, pace);
  }

  /** The same a tenth slower. */
  public Crate slower() {
    return new Crate(seed, minor, pace * 0.9);
  }

  /** What was drawn before anything is rendered. */
  private record Wish(
      Style style,
      Tempo tempo,
      Key key,
      String chords,
      int bars,
      int cents,
      int rate,
      boolean mono,
      boolean drums,
      boolean line,
      boolean ringsOver,
      double lead,
      double upbeat,
      Wear wear) {}

  /** The loop, rendered. */
  public CrateLoop loop() {
    Wish wish = wish(new Random(seed * 0x9E3779B97F4A7C15L + 17));
    Score score = score(wish);
    return cut(wish, score, rendered(score, wish));
  }

  private Wish wish(Random random) {
    random.nextInt();
    Style style = StyleBook.shipped().get(STYLES.get(random.nextInt(STYLES.size())));
    double drawn = SLOWEST + (FASTEST - SLOWEST) * random.nextDouble();
    double bpm = Math.max(SLOWEST, drawn * pace);
    Tempo tempo = Tempo.nearest(random.nextInt(2) == 0 ? Math.rint(bpm) : bpm);
    boolean sad = random.nextInt(3) > 0 || minor;
    Key key = Key.usual(random.nextInt(12), sad ? Scale.MINOR : Scale.MAJOR);
    int bars = List.of(2, 4, 4, 8, 8).get(random.nextInt(5));
    int cents = random.nextInt(4) == 0 ? 0 : random.nextInt(71) - 35;
    return new Wish(
        style,
        tempo,
        key,
        drawn(random, sad ? SAD : BRIGHT),
        bars,
        cents,
        random.nextInt(2) == 0 ? 44_100 : 48_000,
        random.nextInt(4) == 0,
        random.nextInt(10) < 6,
        random.nextInt(10) < 4,
        random.nextInt(4) == 0,
        random.nextInt(6) == 0 ? 0 : 0.05 + 0.6 * random.nextDouble(),
        random.nextInt(8) == 0 ? random.nextInt(2) == 0 ? 1 : 0.5 : 0,
        Wear.drawn(random));
  }

  /** The first bars of a hook, with the parts that are kept. */
  private Score score(Wish wish) {
    Song drafted =
        Draft.of(
                SongDraft.in(wish.style())
                    .withSeed(seed)
                    .withTempo(wish.tempo())
                    .withKey(wish.key())
                    .withChords(wish.chords()))
            .song();
    Song tuned = drafted.withBrief(drafted.brief().withCents(wish.cents()));
    int place = tuned.form().last(SectionKind.HOOK).orElse(0);
    Score hook = SectionScore.of(Score.of(tuned), place);
    int ticks = wish.bars() * tuned.brief().meter().ticksPerBar();
    List<ScoredPart> parts = new ArrayList<>();
    for (ScoredPart part : kept(hook, wish, ticks)) {
      List<ScoredNote> inside =
          part.between(0, ticks).stream()
              .filter(note -> note.velocity() >= LEAST_VELOCITY)
              .map(note -> note.withVelocity(evened(note.velocity())))
              .map(note -> note.end() > ticks ? note.endingAt(ticks) : note)
              .toList();
      parts.add(new ScoredPart(plain(part.part()), inside, List.of(), part.motions()));
    }
    return new Score(hook.song(), parts, ticks);
  }

  /** As a record is levelled: what is soft comes up, so that all of it is heard. */
  private static int evened(int velocity) {
    return 70 + velocity * 57 / 127;
  }

  private static Part plain(Part part) {
    return part.withMix(
        part.mix().withLevel(Math.max(LEAST_LEVEL, part.mix().level())).withDelay(0));
  }

  /** Chords, what plays lowest and, as drawn, a line and drums: of each who plays most. */
  private static List<ScoredPart> kept(Score hook, Wish wish, int ticks) {
    List<ScoredPart> out = new ArrayList<>();
    busiest(hook, ticks, Role.CHORDS).ifPresent(out::add);
    busiest(hook, ticks, Role.BASS, Role.SUB).ifPresent(out::add);
    if (wish.line() || !wish.drums()) {
      busiest(hook, ticks, Role.LINE).ifPresent(out::add);
    }
    if (wish.drums()) {
      busiest(hook, ticks, Role.DRUMS).ifPresent(out::add);
    }
    return out;
  }

  private static Optional<ScoredPart> busiest(Score hook, int ticks, Role... roles) {
    return hook.parts().stream()
        .filter(part -> List.of(roles).contains(part.part().role()))
        .filter(part -> !part.between(0, ticks).isEmpty())
        .max(Comparator.comparingInt(part -> part.between(0, ticks).size()));
  }

  private static float[][] rendered(Score score, Wish wish) {
    Mixdown mixdown = Mixdown.of(score, wish.rate());
    double seconds = score.song().brief().tempo().millis(score.ticks()) / 1000;
    int frames = (int) Math.round((seconds + Mixdown.TAIL_SECONDS) * wish.rate());
    float[][] out = new float[2][frames + wish.rate()];
    int[] at = {0};
    try {
      mixdown.beforeLimiter(
          (left, right, count) -> {
            int fits = Math.min(count, out[0].length - at[0]);
            System.arraycopy(left, 0, out[0], at[0], fits);
            System.arraycopy(right, 0, out[1], at[0], fits);
            at[0] += fits;
          },
          Mixdown.Watch.NOBODY);
    } catch (IOException e) {
      throw new UncheckedIOException("samples in memory cannot fail", e);
    }
    return out;
  }

  /**
   * The loop out of what was rendered: rotated for an upbeat, with its lead-in, worn and levelled.
   */
  private CrateLoop cut(Wish wish, Score score, float[]... rendered) {
    double beat = wish.tempo().millis(Ticks.PER_QUARTER) / 1000;
    int loop = (int) Math.round(wish.bars() * 4 * beat * wish.rate());
    int upbeat = (int) Math.round(wish.upbeat() * beat * wish.rate());
    int lead = (int) Math.round(wish.lead() * wish.rate());
    int tail = wish.ringsOver() ? (int) (0.8 * wish.rate()) : 0;
    Random random = new Random(seed + 5);
    float[][] sides = new float[wish.mono() ? 1 : 2][];
    for (int side = 0; side < sides.length; side++) {
      float[] from = wish.mono() ? Recording.middle(rendered) : rendered[side];
      float[] folded = folded(from, loop, tail);
      float[] out = new float[lead + upbeat + loop + tail];
      System.arraycopy(folded, loop - upbeat, out, lead, upbeat);
      System.arraycopy(folded, 0, out, lead + upbeat, loop + tail);
      sides[side] = out;
    }
    wish.wear().over(sides, wish.rate(), random);
    level(sides);
    double downbeat = (lead + upbeat) / (double) wish.rate();
    List<Double> onsets = onsets(score, wish, downbeat, beat);
    String name = "crate " + seed + ", " + wish.style().name().toLowerCase(java.util.Locale.ROOT);
    return new CrateLoop(
        Recording.of(name, wish.rate(), 16, sides),
        new Origin(
            "The crate, loop " + seed,
            "West Tide",
            "made by the application, free to use",
            "none needed",
            true),
        wish.style().id(),
        onsets.isEmpty() ? downbeat : onsets.get(0),
        downbeat,
        wish.tempo().bpm(),
        wish.bars(),
        wish.key(),
        wish.cents(),
        score.song().brief().swing().hundredths() / 100.0,
        onsets);
  }

  private static String drawn(Random random, List<String> from) {
    return from.get(random.nextInt(from.size()));
  }

  /** What rings on after the loop is heard over its beginning, as on a record, or after it. */
  private static float[] folded(float[] rendered, int loop, int tail) {
    float[] out = Arrays.copyOf(rendered, loop + tail);
    if (tail == 0) {
      for (int i = loop; i < rendered.length; i++) {
        out[(i - loop) % loop] += rendered[i];
      }
    }
    for (int i = 0; i < tail; i++) {
      out[loop + i] *= (float) (1 - i / (double) tail);
    }
    return out;
  }

  private static void level(float[]... sides) {
    float peak = 1e-6f;
    for (float[] side : sides) {
      for (float sample : side) {
        peak = Math.max(peak, Math.abs(sample));
      }
    }
    for (float[] side : sides) {
      for (int i = 0; i < side.length; i++) {
        side[i] = (float) (Math.rint(side[i] / peak * 0.8 * BIT16) / BIT16);
      }
    }
  }

  private static List<Double> onsets(Score score, Wish wish, double downbeat, double beat) {
    List<Double> starts = new ArrayList<>();
    double end = wish.bars() * 4 * beat;
    for (ScoredPart part : score.parts()) {
      for (ScoredNote note : part.notes()) {
        double at = note.start() / (double) Ticks.PER_QUARTER * beat;
        if (note.since() == 0 && at < end) {
          starts.add(downbeat + at);
          if (end - at <= wish.upbeat() * beat + 1e-9) {
            starts.add(downbeat + at - end);
          }
        }
      }
    }
    List<Double> out = new ArrayList<>();
    double[] last = {Double.NEGATIVE_INFINITY};
    starts.stream()
        .sorted()
        .forEach(
            at -> {
              if (at - last[0] > SAME_SECONDS) {
                out.add(at);
              }
              last[0] = at;
            });
    return out;
  }
}
