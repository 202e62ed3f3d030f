package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import westtide.desktop.open.Preferences;

class PreferencesTest {
  @TempDir private Path folder;

  @Test
  void areReadBackAsTheyWere() {
    Path file = folder.resolve("deeper").resolve("preferences.properties");
    Preferences set = new Preferences(-31, 0, true, true);
    set.write(file);
    assertThat(Preferences.read(file)).isEqualTo(set);
  }

  @Test
  void areAsUsualWhenTheFileIsMissingOrDamaged() throws IOException {
    Path file = folder.resolve("preferences.properties");
    assertThat(Preferences.read(file)).isEqualTo(Preferences.USUAL);
    Files.writeString(file, "listening=very loud");
    assertThat(Preferences.read(file)).isEqualTo(Preferences.USUAL);
    Files.writeString(file, "break=-4");
    assertThat(Preferences.read(file)).isEqualTo(Preferences.USUAL);
  }

  @Test
  void refuseWhatIsOutsideTheirRange() {
    assertThatThrownBy(() -> new Preferences(3, 45, false, false))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("-60 to 0 dB, but was 3");
    assertThatThrownBy(() -> new Preferences(-3, 241, false, false))
        .hasMessageContaining("but was 241");
  }
}
