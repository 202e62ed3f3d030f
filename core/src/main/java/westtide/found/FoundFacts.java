package westtide.found;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import westtide.song.found.Recording;
import westtide.theory.Key;
import westtide.theory.KeyFinder;

/**
 * What a sound that was brought in is, found from its samples. Times are seconds from the file's
 * first sample.
 *
 * @param begins where sound begins: silence or noise before it is left out
 * @param ends where it ends
 * @param downbeat the first beat of the first whole bar
 * @param bars bars of four beats from there on
 * @param tempos tempi it may have, the likeliest first; the half and the double among them
 * @param keys keys it may be in, the likeliest first
 * @param cents how far it lies above (positive) or below the tempered scale, −50 to 50
 * @param onsets where something begins
 * @param pitchClasses how strong each of the twelve is, C first, the strongest 1
 * @param tonal how much of it is pitched, 0 noise to 1
 */
public record FoundFacts(
    double begins,
    double ends,
    double downbeat,
    int bars,
    List<TempoGuess> tempos,
    List<KeyFinder.Guess> keys,
    double cents,
    List<Double> onsets,
    List<Double> pitchClasses,
    double tonal) {
  private static final int GUESSES = 5;
  private static final double SHARPNESS = 5;

  /**
   * A tempo it may have.
   *
   * @param bpm beats a minute
   * @param bars how many bars it then has
   * @param sure how sure it is among all, 0 to 1
   */
  public record TempoGuess(double bpm, int bars, double sure) {}

  /** Copies the lists. */
  public FoundFacts {
    tempos = List.copyOf(tempos);
    keys = List.copyOf(keys);
    onsets = List.copyOf(onsets);
    pitchClasses = List.copyOf(pitchClasses);
  }

  /** The likeliest tempo, in BPM. */
  public double tempo() {
    return tempos.get(0).bpm();
  }

  /** The likeliest key; none where nothing has a pitch. */
  public Optional<Key> key() {
    return keys.stream().map(KeyFinder.Guess::key).findFirst();
  }

  /** The facts of a recording, with what its file says of itself taken first. */
  public static FoundFacts of(Recording recording, SoundNotes notes) {
    float[] middle = recording.middle();
    Decimated sound = Decimated.of(middle, recording.rate(), Decimated.ONSETS);
    OnsetCurve curve = OnsetCurve.of(sound);
    List<OnsetCurve.Onset> heard = curve.onsets();
    Bounds bounds = Bounds.of(sound, heard);
    List<OnsetCurve.Onset> onsets =
        heard.stream().filter(onset -> onset.seconds() >= bounds.begins() - 0.002).toList();
    Chroma chroma = new Chroma(Decimated.of(middle, recording.rate(), Decimated.PITCHES));
    double cents = chroma.cents(bounds.begins(), bounds.ends());
    LoopFinder finder = new LoopFinder(onsets, bounds.begins(), bounds.ends());
    List<Loop> loops = loops(finder, curve, onsets, bounds, notes);
    Loop best = finder.fromItsDownbeat(loops.get(0), curve, chroma, cents);
    Harmony harmony = new Harmony(chroma, cents);
    return new FoundFacts(
        bounds.begins(),
        bounds.ends(),
        best.downbeat(),
        best.bars(),
        guesses(best, loops),
        harmony.keys(best),
        cents,
        onsets.stream().map(OnsetCurve.Onset::seconds).toList(),
        harmony.pitchClasses(best),
        harmony.tonal(best));
  }

  private static List<Loop> loops(
      LoopFinder finder,
      OnsetCurve curve,
      List<OnsetCurve.Onset> onsets,
      Bounds bounds,
      SoundNotes notes) {
    List<Pulse.Tempo> tempi =
        notes
            .tempo()
            .map(bpm -> List.of(new Pulse.Tempo(bpm, 1)))
            .orElseGet(() -> onsets.size() < 3 ? List.of() : new Pulse(curve, onsets).tempi());
    List<Loop> found = finder.loops(tempi);
    return found.isEmpty() ? List.of(asItIs(bounds)) : found;
  }

  /** A sound without a pulse: as many bars as come nearest to 98 BPM. */
  private static Loop asItIs(Bounds bounds) {
    double seconds = Math.max(0.05, bounds.ends() - bounds.begins());
    int bars = 1;
    while (240 * bars / seconds < 70 && bars < 64) {
      bars *= 2;
    }
    return new Loop(bounds.begins(), Math.min(400, 240 * bars / seconds), bars, 0);
  }

  /** One reading a tempo, with the half and the double of the best named. */
  private static List<TempoGuess> guesses(Loop best, List<Loop> loops) {
    Map<Long, Loop> apart = new LinkedHashMap<>();
    apart.put(Math.round(60 * Math.log(best.bpm())), best);
    for (Loop loop : loops) {
      apart.putIfAbsent(Math.round(60 * Math.log(loop.bpm())), loop);
    }
    for (double factor : new double[] {0.5, 2}) {
      Loop other =
          new Loop(
              best.downbeat(),
              best.bpm() * factor,
              (int) Math.max(1, Math.round(best.bars() * factor)),
              best.score() - 0.6);
      long place = Math.round(60 * Math.log(other.bpm()));
      apart.merge(
          place, other, (there, made) -> other.withScore(Math.max(there.score(), made.score())));
    }
    List<Loop> all = new ArrayList<>(apart.values());
    all.sort(Comparator.comparingDouble(Loop::score).reversed());
    double sum =
        all.stream().mapToDouble(l -> Math.exp(SHARPNESS * (l.score() - best.score()))).sum();
    return all.stream()
        .limit(GUESSES)
        .map(
            loop ->
                new TempoGuess(
                    loop.bpm(),
                    loop.bars(),
                    Math.exp(SHARPNESS * (loop.score() - best.score())) / sum))
        .toList();
  }
}
