package westtide.found;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import westtide.song.found.FoundSound;
import westtide.theory.Key;

/**
 * The chord of each bar of a loop, guessed from its pitch classes: the triad or seventh whose notes
 * hold most of what is heard and whose root is where the bass is (weights of our own).
 */
public final class ChordGuess {
  private static final double BASS = 0.6;
  private static final double OTHER = 0.55;
  private static final double OUT_OF_KEY = 0.12;
  private static final List<Template> TEMPLATES =
      List.of(
          new Template("", 0, 4, 7),
          new Template("m", 0, 3, 7),
          new Template("7", 0, 4, 7, 10),
          new Template("m7", 0, 3, 7, 10),
          new Template("maj7", 0, 4, 7, 11),
          new Template("m7b5", 0, 3, 6, 10));

  private ChordGuess() {}

  private record Template(String suffix, int... tones) {}

  /**
   * A guess.
   *
   * @param name the chord, such as {@code F#m7}
   * @param sure how far it lies before the next likely one, 0 to 1
   */
  public record Guess(String name, double sure) {}

  /** One chord a bar, as many as the loop has, at most sixteen. */
  public static List<Guess> of(FoundSound sound) {
    Chroma chroma =
        new Chroma(
            Decimated.of(sound.recording().middle(), sound.recording().rate(), Decimated.PITCHES));
    double rate = sound.recording().rate();
    double bar = sound.frames() / sound.bars() / rate;
    double from = sound.downbeat() / rate;
    List<Guess> out = new ArrayList<>();
    for (int i = 0; i < Math.min(16, sound.bars()); i++) {
      Chroma.Bins bins = chroma.bins(from + i * bar, from + (i + 1) * bar, sound.cents());
      Chroma.Bins first = chroma.bins(from + i * bar, from + (i + 0.4) * bar, sound.cents());
      out.add(guess(bins.all(), first.bass(), sound));
    }
    return out;
  }

  /** The guesses as a line of chords, one a bar. */
  public static String line(List<Guess> guesses) {
    return guesses.stream().map(Guess::name).collect(Collectors.joining(" | "));
  }

  private static Guess guess(double[] all, double[] bass, FoundSound sound) {
    double best = -1;
    double second = -1;
    String name = "C";
    for (int root = 0; root < 12; root++) {
      for (Template template : TEMPLATES) {
        double score = score(all, bass, root, template, sound);
        if (score > best) {
          second = best;
          best = score;
          name = spelled(root, sound) + template.suffix();
        } else {
          second = Math.max(second, score);
        }
      }
    }
    return new Guess(name, Math.max(0, Math.min(1, 4 * (best - second))));
  }

  private static double score(
      double[] all, double[] bass, int root, Template template, FoundSound sound) {
    double inside = 0;
    double total = 1e-9;
    double low = 1e-9;
    for (int i = 0; i < 12; i++) {
      total += all[i];
      low += bass[i];
    }
    double weakest = 1;
    double foreign = 0;
    for (int tone : template.tones()) {
      int pitchClass = (root + tone) % 12;
      double share = all[pitchClass] / total;
      inside += share;
      weakest = Math.min(weakest, share);
      foreign += sound.key().filter(key -> !key.contains(pitchClass)).isPresent() ? OUT_OF_KEY : 0;
    }
    double even = Math.min(0.12, weakest) * 2;
    double size = template.tones().length == 3 ? 0 : 0.06;
    return inside + even - size - foreign - OTHER * (1 - inside) + BASS * bass[root] / low;
  }

  private static String spelled(int pitchClass, FoundSound sound) {
    Key key = sound.key().orElse(Key.parse("C major"));
    return key.pitch(60 + pitchClass).name().toString();
  }
}
