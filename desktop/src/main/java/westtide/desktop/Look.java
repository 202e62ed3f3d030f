package westtide.desktop;

import atlantafx.base.theme.PrimerLight;
import java.util.List;
import javafx.application.Application;
import javafx.scene.Scene;
import javafx.scene.text.Font;

/** Fonts and stylesheets: the base theme, the day palette, and the house over both. */
final class Look {
  private static final List<String> FONTS =
      List.of(
          "Andika-Regular.ttf",
          "Andika-Bold.ttf",
          "GentiumPlus-Italic.ttf",
          "NotoSansMono-Regular.ttf");

  private Look() {}

  static void load() {
    Application.setUserAgentStylesheet(new PrimerLight().getUserAgentStylesheet());
    for (String font : FONTS) {
      Font.loadFont(Look.class.getResourceAsStream("fonts/" + font), 13);
    }
  }

  static void dress(Scene scene) {
    scene.getStylesheets().add(url("day.css"));
    scene.getStylesheets().add(url("west-tide.css"));
  }

  private static String url(String name) {
    return Look.class.getResource(name).toExternalForm();
  }
}
