package westtide.fuzz;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Inputs that once broke something, as small as they could be made. */
class FuzzCasesTest {
  private static final Path CASES = Path.of("src/test/resources/fuzz");

  @TempDir private Path folder;

  static Stream<Path> cases() throws IOException {
    try (Stream<Path> files = Files.list(CASES)) {
      return files.sorted().toList().stream();
    }
  }

  @ParameterizedTest
  @MethodSource("cases")
  void whatOnceBrokeSomethingHolds(Path file) throws IOException {
    byte[] input = Files.readAllBytes(file);
    Promises promises = new Promises(folder);
    switch (file.getFileName().toString().replaceAll("-.*", "")) {
      case "song" -> promises.song(input);
      case "style" -> promises.style(input);
      case "midi" -> promises.midi(input);
      case "line" -> promises.line(input);
      default -> throw new IllegalArgumentException("no kind of input is called like " + file);
    }
  }
}
