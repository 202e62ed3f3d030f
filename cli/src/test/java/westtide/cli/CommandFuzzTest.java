package westtide.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;
import java.util.random.RandomGenerator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Command lines of any words, {@code fuzz.cases} of them or for {@code fuzz.seconds}: done, or
 * refused in one sentence, and nothing is written but below the folder that was named.
 */
@Tag("check")
class CommandFuzzTest {
  private static final long SECONDS = Long.getLong("fuzz.seconds", Integer.MAX_VALUE);
  private static final long CASES =
      SECONDS < Integer.MAX_VALUE ? Long.MAX_VALUE : Long.getLong("fuzz.cases", 800);
  private static final long SEED = Long.getLong("fuzz.seed", 1);
  private static final List<String> WORDS =
      List.of(
          "styles",
          "new",
          "show",
          "export",
          "help",
          "--style",
          "trap",
          "house",
          "--tempo",
          "146",
          "-5",
          "1e9",
          "--key",
          "F# minor",
          "H♯",
          "--chords",
          "i9 | VImaj7",
          "|",
          "--form",
          "intro 8, hook 16 stop",
          "tag 6 beats",
          "hook 999999999999",
          "--seed",
          "7",
          "--lane",
          "hat: x.o.x3.",
          "kick: ",
          "--line",
          "Bell: 5 - . b6",
          "--low",
          "808: R - ~8",
          "--swing",
          "58",
          "--title",
          "",
          "x".repeat(5000),
          "-o",
          "--midi",
          "--parts",
          "--slides",
          "bend",
          "--json",
          "--notes",
          "--help",
          "--",
          "-",
          "@/etc/passwd",
          "\u0000",
          "../up.tide");

  @TempDir private Path folder;

  @Test
  void commandLinesOfAnyWords() throws IOException {
    Path inside = Files.createDirectories(folder.resolve("in"));
    long end = System.nanoTime() + SECONDS * 1_000_000_000L;
    long tried = 0;
    for (long i = SEED; tried < CASES && System.nanoTime() < end; i++, tried++) {
      RandomGenerator random = new SplittableRandom(i);
      List<String> words = words(random, inside);
      StringWriter out = new StringWriter();
      StringWriter err = new StringWriter();
      int status = Main.run(new PrintWriter(out, true), new PrintWriter(err, true), array(words));
      String what = "seed " + i + ": " + words;
      assertThat(status).as(what).isIn(0, 2);
      assertThat(err.toString()).as(what).doesNotContain("Exception", "\tat ");
      if (status == 2 && !err.toString().isEmpty()) {
        assertThat(err.toString().strip().lines()).as(what).hasSize(1);
        assertThat(err.toString()).as(what).hasSizeLessThan(800);
      }
    }
    try (Stream<Path> files = Files.list(folder)) {
      assertThat(files).as("written outside").containsExactly(inside);
    }
    System.out.println("command: " + tried + " lines from seed " + SEED);
  }

  private static String[] array(List<String> words) {
    return words.toArray(String[]::new);
  }

  /** Often a command that works with a word changed, added or left out. */
  private static List<String> words(RandomGenerator random, Path inside) {
    String song = inside.resolve("song" + random.nextInt(3) + ".tide").toString();
    List<List<String>> whole =
        List.of(
            List.of("new", "--style", "trap", "--seed", "3", "-o", song),
            List.of("export", song, "--midi", inside.resolve("m.mid").toString()),
            List.of("export", song, "--parts", inside.resolve("parts").toString()),
            List.of("show", song, "--json"));
    List<String> out = new ArrayList<>(whole.get(random.nextInt(whole.size())));
    for (int i = random.nextInt(4); i > 0 && !out.isEmpty(); i--) {
      int at = random.nextInt(out.size());
      String word = WORDS.get(random.nextInt(WORDS.size()));
      boolean names =
          Arrays.asList("-o", "--midi", "--parts").contains(out.get(Math.max(0, at - 1)));
      switch (random.nextInt(3)) {
        case 0 -> out.remove(at);
        case 1 -> out.set(at, names ? inside.resolve("odd name ♯").toString() : word);
        default -> out.add(at, word);
      }
    }
    out.replaceAll(word -> word.startsWith("..") ? inside.resolve("x.tide").toString() : word);
    return out;
  }
}
