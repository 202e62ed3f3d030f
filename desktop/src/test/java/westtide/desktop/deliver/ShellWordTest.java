package westtide.desktop.deliver;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * What is pasted is read by the system's own shell, which must give back the word and run nothing.
 */
class ShellWordTest {
  @ParameterizedTest
  @ValueSource(
      strings = {
        "plain.tide", "two words", "$(touch ran)", "`touch ran`", "it's", "\"quoted\"", "a;b",
            "a\nb",
        "-n", "", "*", "~", "!1", "\\", "F♯ minor", "'; touch ran; '"
      })
  void theShellGivesTheWordBack(String word) throws Exception {
    Process shell =
        new ProcessBuilder("sh", "-c", "printf %s. " + ShellWord.of(word))
            .redirectErrorStream(true)
            .start();
    String said = new String(shell.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(shell.waitFor(20, TimeUnit.SECONDS)).isTrue();
    assertThat(said).isEqualTo(word + ".");
  }
}
