package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;

class WordsTest {
  @Test
  void wordsOfTheLauncherAreUnderstood() {
    Words demo = Words.of(List.of("demo", "--exit-after", "20"));
    assertThat(demo.demo()).isTrue();
    assertThat(demo.exitAfter()).contains(20.0);
    assertThat(Words.of(List.of("a.tide")).file()).contains(Path.of("a.tide"));
    assertThat(Words.of(List.of("screenshots", "out")).pictures()).contains(Path.of("out"));
  }

  @Test
  void wordsThatMakeNoSenseAreSaid() {
    assertThatThrownBy(() -> Words.of(List.of("demo", "--exit-after", "soon")))
        .hasMessageContaining("soon");
    assertThatThrownBy(() -> Words.of(List.of("demo", "--exit-after")))
        .hasMessageContaining("needs a word");
  }
}
