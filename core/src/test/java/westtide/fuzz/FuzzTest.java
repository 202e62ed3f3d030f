package westtide.fuzz;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import westtide.Songs;
import westtide.file.SongFile;
import westtide.file.midi.MidiFile;
import westtide.sampling.Sampled;
import westtide.sampling.Samples;
import westtide.score.Score;
import westtide.song.Song;
import westtide.style.Style;

/**
 * Altered songs, styles, MIDI files and typed lines from {@code fuzz.seed} on, so many of a kind or
 * for {@code fuzz.seconds}. What is found is kept, made small, in {@code target/fuzz}; once it is
 * mended it goes to the cases that {@link FuzzCasesTest} tries each time.
 */
@Sampled
class FuzzTest {
  private static final Optional<Long> SECONDS = Optional.ofNullable(Long.getLong("fuzz.seconds"));
  private static final long SEED = Long.getLong("fuzz.seed", 1);
  private static final ObjectMapper MAPPER = new ObjectMapper();

  @TempDir private Path folder;

  /** So many cases in a usual run, so many in the longer one, or as long as was asked for. */
  private static Fuzzing fuzzing(String name, int few, int many) {
    Fuzzing.Budget budget =
        SECONDS
            .map(Fuzzing.Budget::seconds)
            .orElseGet(() -> Fuzzing.Budget.cases(Samples.count(few, many)));
    return new Fuzzing(name, budget, SEED, Path.of("target", "fuzz"));
  }

  private List<byte[]> songs() throws IOException {
    List<byte[]> out = new ArrayList<>();
    for (Style style : Songs.book().styles()) {
      Path file = folder.resolve(style.id() + ".tide");
      SongFile.write(Songs.draft(style.id(), 3), file);
      out.add(Files.readAllBytes(file));
    }
    return out;
  }

  /** Mostly what is still JSON, sometimes only bytes. */
  private static Fuzzing.Maker altered(List<byte[]> seeds, List<JsonNode> trees) {
    return random -> {
      int which = random.nextInt(seeds.size());
      return random.nextInt(4) == 0
          ? Mutations.of(seeds.get(which), seeds, random)
          : TreeMutations.of(trees.get(which), random);
    };
  }

  @Test
  void songsOfAnyContent() throws IOException {
    List<byte[]> seeds = songs();
    List<JsonNode> trees = new ArrayList<>();
    for (byte[] song : seeds) {
      trees.add(MAPPER.readTree(song));
    }
    assertThat(fuzzing("song", 40, 1500).run(altered(seeds, trees), new Promises(folder)::song))
        .isEmpty();
  }

  @Test
  void stylesOfAnyContent() throws IOException {
    List<JsonNode> trees = new ArrayList<>();
    List<byte[]> seeds = new ArrayList<>();
    for (Style style : Songs.book().styles()) {
      trees.add(style.write());
      seeds.add(MAPPER.writeValueAsBytes(style.write()));
    }
    assertThat(fuzzing("style", 15, 500).run(altered(seeds, trees), new Promises(folder)::style))
        .isEmpty();
  }

  @Test
  void midiOfAnyContent() throws IOException {
    List<byte[]> seeds = new ArrayList<>();
    for (Song song : List.of(Songs.draft("trap", 1), Songs.draft("house", 2))) {
      Path file = folder.resolve("seed.mid");
      MidiFile.write(Score.of(song), file);
      seeds.add(Files.readAllBytes(file));
    }
    seeds.add(
        new byte[] {
          'M',
          'T',
          'h',
          'd',
          0,
          0,
          0,
          6,
          0,
          0,
          0,
          1,
          0,
          96,
          'M',
          'T',
          'r',
          'k',
          0,
          0,
          0,
          8,
          0,
          (byte) 0x99,
          36,
          100,
          0,
          (byte) 0xFF,
          0x2F,
          0
        });
    assertThat(
            fuzzing("midi", 300, 8000)
                .run(
                    random -> Mutations.of(seeds.get(random.nextInt(seeds.size())), seeds, random),
                    new Promises(folder)::midi))
        .isEmpty();
  }

  @Test
  void linesOfAnyContent() throws IOException {
    List<byte[]> seeds = new ArrayList<>();
    for (String line :
        List.of(
            "intro 8, hook 16 drums-out crash, groove 4 x2, tag 6 beats, verse 16 riser:8:60 gap 2",
            "F#m9 | Dmaj7 . . A/C# | Bm7",
            "i9 | VImaj7 III | iv7 <<VI VI@1 % (i | VI)x2",
            "x.o.x3.X|x.o.x3.X",
            "1_ 2 b3^ 5~ . (1 2)x2 % | 8",
            "F# minor",
            "146.5",
            "54 %",
            "7/8",
            "C#maj7#11/G#",
            "Bb-1",
            "60 62 Eb4 G#3",
            "clap 2",
            "x---x---",
            "riser:8:60")) {
      seeds.add(line.getBytes(StandardCharsets.UTF_8));
    }
    assertThat(
            fuzzing("line", 2000, 40_000)
                .run(
                    random -> Mutations.of(seeds.get(random.nextInt(seeds.size())), seeds, random),
                    new Promises(folder)::line))
        .isEmpty();
  }
}
