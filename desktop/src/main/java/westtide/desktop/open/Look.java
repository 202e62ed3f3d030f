package westtide.desktop.open;

import atlantafx.base.theme.PrimerLight;
import java.util.List;
import javafx.application.Application;
import javafx.scene.Scene;
import javafx.scene.text.Font;

/** Fonts and stylesheets: the base theme, a palette, and the house over both. */
public final class Look {
  private static final List<String> FONTS =
      List.of(
          "Andika-Regular.ttf",
          "Andika-Bold.ttf",
          "GentiumPlus-Italic.ttf",
          "NotoSansMono-Regular.ttf");

  private static final double TEXT_PIXELS = 13;

  private Look() {}

  /** Loads the fonts that ship with the application. */
  public static void load() {
    Application.setUserAgentStylesheet(new PrimerLight().getUserAgentStylesheet());
    for (String font : FONTS) {
      Font.loadFont(Look.class.getResourceAsStream("/westtide/desktop/fonts/" + font), 13);
    }
  }

  /** Gives a scene the style sheets of the application, in a palette and a size of text. */
  public static void dress(Scene scene, Palette palette, int textPercent) {
    scene.getStylesheets().setAll(url(palette.sheet()), url("west-tide.css"));
    scene.getRoot().setStyle("-fx-font-size: " + TEXT_PIXELS * textPercent / 100 + "px;");
  }

  private static String url(String name) {
    return Look.class.getResource("/westtide/desktop/" + name).toExternalForm();
  }
}
