package westtide.level;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;

/**
 * How loud each preview instrument is in the course of a note: the mean power after the weighting
 * of ITU-R BS.1770 in seven stretches from the strike on, measured once at full velocity, by key
 * and by force (which changes colour). Between the keys and forces that were measured it goes on
 * evenly in dB.
 */
final class VoiceLoudness {
  /** Where the stretches begin and end, in ms after the strike; the last one goes on. */
  static final int[] EDGES = {0, 50, 100, 200, 400, 800, 1600, 3200};

  private static final String TABLE = "voice-loudness.csv";
  private static final int COLUMNS = 3;
  private static final VoiceLoudness SHIPPED = new VoiceLoudness();

  /** By instrument, force in per cent and key: dB of each stretch. */
  private final Map<String, NavigableMap<Integer, NavigableMap<Integer, double[]>>> byInstrument =
      new HashMap<>();

  private VoiceLoudness() {
    try (InputStream in = VoiceLoudness.class.getResourceAsStream(TABLE);
        BufferedReader lines =
            new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
      lines.lines().skip(1).forEach(this::add);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The table of the instruments that ship with the product. */
  static VoiceLoudness shipped() {
    return SHIPPED;
  }

  private void add(String line) {
    String[] cells = line.split(",");
    double[] decibels = new double[cells.length - COLUMNS];
    for (int i = 0; i < decibels.length; i++) {
      decibels[i] = Double.parseDouble(cells[COLUMNS + i]);
    }
    byInstrument
        .computeIfAbsent(cells[0], name -> new TreeMap<>())
        .computeIfAbsent(Integer.valueOf(cells[1]), force -> new TreeMap<>())
        .put(Integer.valueOf(cells[2]), decibels);
  }

  /** The power in each stretch, 1 at full scale; empty for an instrument that was not measured. */
  Optional<double[]> powers(String instrument, int key, double force) {
    return Optional.ofNullable(byInstrument.get(instrument))
        .map(forces -> powers(forces, key, 100 * force));
  }

  /** The power so many seconds after the strike, evenly in dB between the middles of stretches. */
  static double at(double[] powers, double seconds) {
    if (powers.length == 0) {
      return 0;
    }
    double millis = 1000 * seconds;
    int next = 0;
    while (next < powers.length && middle(next) < millis) {
      next++;
    }
    if (next == 0 || next == powers.length) {
      return powers[Math.max(0, next - 1)];
    }
    double share = (millis - middle(next - 1)) / (middle(next) - middle(next - 1));
    return powers[next - 1] * Math.pow(powers[next] / powers[next - 1], share);
  }

  private static double middle(int stretch) {
    return (EDGES[stretch] + EDGES[stretch + 1]) / 2.0;
  }

  private static double[] powers(
      NavigableMap<Integer, NavigableMap<Integer, double[]>> forces, int key, double force) {
    double[] soft = between(forces.firstEntry().getValue(), key);
    double[] hard = between(forces.lastEntry().getValue(), key);
    double share = share(force, forces.firstKey(), forces.lastKey());
    double[] out = new double[soft.length];
    for (int i = 0; i < out.length; i++) {
      out[i] = Math.pow(10, (soft[i] + share * (hard[i] - soft[i])) / 10);
    }
    return out;
  }

  private static double[] between(NavigableMap<Integer, double[]> keys, int key) {
    int held = Math.max(keys.firstKey(), Math.min(keys.lastKey(), key));
    Map.Entry<Integer, double[]> below = keys.floorEntry(held);
    Map.Entry<Integer, double[]> above = keys.ceilingEntry(held);
    double share = share(held, below.getKey(), above.getKey());
    double[] out = new double[below.getValue().length];
    for (int i = 0; i < out.length; i++) {
      out[i] = below.getValue()[i] + share * (above.getValue()[i] - below.getValue()[i]);
    }
    return out;
  }

  private static double share(double value, int from, int to) {
    return from == to ? 0 : Math.max(0, Math.min(1, (value - from) / (to - from)));
  }
}
