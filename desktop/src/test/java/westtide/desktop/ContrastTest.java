package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.scene.paint.Color;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.desktop.open.Look;

/** That text stands out from its ground in both palettes. */
class ContrastTest {
  /** WCAG 2.1, success criterion 1.4.3: at least 4.5 to 1 for text (formula from memory). */
  @ParameterizedTest
  @CsvSource({
    "ink, paper",
    "ink, sheet",
    "ink, shoal",
    "ink, shoal-pale",
    "ink, sand-pale",
    "ink-soft, paper",
    "ink-soft, sheet",
    "ink-soft, shoal",
    "ink-soft, sand-pale",
    "ink, shoal-deep",
    "deep, sheet",
    "sheet, deep",
    "sheet, ink",
    "alarm, sheet",
    "sheet, buoy-dark"
  })
  void textStandsOutFromItsGround(String text, String ground) throws IOException {
    for (String sheet : List.of("day.css", "night.css")) {
      assertThat(contrast(sheet, text, ground)).as(sheet).isGreaterThanOrEqualTo(4.5);
    }
  }

  /**
   * WCAG 2.1, success criterion 1.4.11: at least 3 to 1 for the ring of the focus (from memory).
   */
  @ParameterizedTest
  @CsvSource({"focus, paper", "focus, sheet"})
  void theFocusRingStandsOutFromItsNeighbours(String ring, String ground) throws IOException {
    for (String sheet : List.of("day.css", "night.css")) {
      assertThat(contrast(sheet, ring, ground)).as(sheet).isGreaterThanOrEqualTo(3);
    }
  }

  private static double contrast(String sheet, String text, String ground) throws IOException {
    double light = luminance(token(sheet, text));
    double dark = luminance(token(sheet, ground));
    return (Math.max(light, dark) + 0.05) / (Math.min(light, dark) + 0.05);
  }

  private static Color token(String sheet, String name) throws IOException {
    try (var in = Look.class.getResourceAsStream("/westtide/desktop/" + sheet)) {
      String css = new String(in.readAllBytes(), StandardCharsets.UTF_8);
      Matcher matcher = Pattern.compile("-wt-" + name + ": (#\\w{6});").matcher(css);
      assertThat(matcher.find()).isTrue();
      return Color.web(matcher.group(1));
    }
  }

  private static double luminance(Color color) {
    return 0.2126 * linear(color.getRed())
        + 0.7152 * linear(color.getGreen())
        + 0.0722 * linear(color.getBlue());
  }

  private static double linear(double channel) {
    return channel <= 0.03928 ? channel / 12.92 : Math.pow((channel + 0.055) / 1.055, 2.4);
  }
}
