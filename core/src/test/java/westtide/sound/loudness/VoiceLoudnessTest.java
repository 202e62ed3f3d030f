package westtide.sound.loudness;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import westtide.sound.instrument.InstrumentBook;
import westtide.sound.voice.Family;
import westtide.sound.voice.Instrument;
import westtide.sound.voice.Strike;
import westtide.theory.Pitch;

/**
 * The table levels are estimated from is what the voices really play. With {@code
 * -Dvoices.loudness=FILE} every row is measured and written; else a third of them is compared.
 */
class VoiceLoudnessTest {
  private static final Path TABLE = Path.of("src/main/resources/westtide/level/voice-loudness.csv");
  private static final String HEADER =
      "instrument,force %,key,0-50 ms,50-100,100-200,200-400,400-800,800-1600,from 1600";
  private static final int[] EDGES = {0, 50, 100, 200, 400, 800, 1600, 3200};
  private static final int RATE = 48_000;
  private static final int[] FORCES = {40, 80};
  private static final int DRUM_KEY = 69;
  private static final double SILENT = -99;

  /** One row: an instrument struck with a force on a key. */
  private record Row(Instrument instrument, int force, int key) {
    String name() {
      return instrument.name() + "," + force + "," + key;
    }

    double[] measured() {
      Map<String, Integer> usual = instrument.values(Map.of());
      int last = EDGES[EDGES.length - 1] * RATE / 1000;
      double hertz = key == DRUM_KEY ? 440 : Pitch.hertz(key);
      List<Strike.Pitched> pitch = List.of(new Strike.Pitched(0, hertz));
      float[] sound = instrument.recipe().play(new Strike(RATE, last, pitch, force / 100.0, usual));
      KWeighting weighting = new KWeighting(RATE);
      double[] out = new double[EDGES.length - 1];
      for (int i = 0; i < out.length; i++) {
        int from = Math.min(sound.length, EDGES[i] * RATE / 1000);
        int until = Math.min(sound.length, EDGES[i + 1] * RATE / 1000);
        double energy = weighting.energy(sound, from, until);
        double power = energy / ((EDGES[i + 1] - EDGES[i]) * RATE / 1000.0);
        double decibels = 10 * Math.log10(power) + 20 * Math.log10(instrument.gain());
        out[i] = Math.max(SILENT, decibels);
      }
      return out;
    }

    String line() {
      StringBuilder out = new StringBuilder(name());
      for (double decibels : measured()) {
        out.append(String.format(Locale.ROOT, ",%.1f", decibels));
      }
      return out.toString();
    }
  }

  private static List<Row> rows() {
    return InstrumentBook.shipped().instruments().stream()
        .sorted(Comparator.comparing(Instrument::name))
        .flatMap(VoiceLoudnessTest::rows)
        .toList();
  }

  private static Stream<Row> rows(Instrument instrument) {
    IntStream keys =
        instrument.family() == Family.DRUM
            ? IntStream.of(DRUM_KEY)
            : IntStream.rangeClosed(4, 18).map(step -> 6 * step);
    List<Integer> all = keys.boxed().toList();
    return IntStream.of(FORCES)
        .boxed()
        .flatMap(force -> all.stream().map(key -> new Row(instrument, force, key)));
  }

  @Test
  void theTableIsWhatTheVoicesPlay() throws IOException {
    List<Row> rows = rows();
    Optional<String> wanted = Optional.ofNullable(System.getProperty("voices.loudness"));
    if (wanted.isPresent()) {
      List<String> lines = new ArrayList<>(List.of(HEADER));
      lines.addAll(rows.parallelStream().map(Row::line).toList());
      Files.write(Path.of(wanted.get()), lines);
    }
    List<String> table = Files.readAllLines(TABLE);
    assertThat(table).hasSize(rows.size() + 1);
    IntStream.range(0, rows.size())
        .filter(at -> at % 3 == 0)
        .parallel()
        .forEach(at -> compare(rows.get(at), table.get(at + 1)));
  }

  private static void compare(Row row, String line) {
    assertThat(line).startsWith(row.name() + ",");
    String[] cells = line.substring(row.name().length() + 1).split(",");
    double[] measured = row.measured();
    for (int i = 0; i < measured.length; i++) {
      assertThat(Double.parseDouble(cells[i])).as(line).isCloseTo(measured[i], within(0.06));
    }
  }
}
