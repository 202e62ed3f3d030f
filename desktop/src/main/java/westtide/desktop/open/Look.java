package westtide.desktop.open;

import java.util.List;
import javafx.application.Application;
import javafx.scene.Scene;
import javafx.scene.text.Font;
import westtide.desktop.kit.Zoomed;

/** Fonts and stylesheets: the base of every control, a palette, and the house over both. */
public final class Look {
  private static final List<String> FONTS =
      List.of(
          "Andika-Regular.ttf",
          "Andika-Bold.ttf",
          "GentiumPlus-Italic.ttf",
          "NotoSansMono-Regular.ttf");

  private static final double TEXT_PIXELS = 13;

  private Look() {}

  /** Loads the base of every control and the fonts that ship with the application. */
  public static void load() {
    Application.setUserAgentStylesheet(url("base.css"));
    for (String font : FONTS) {
      Font.loadFont(Look.class.getResourceAsStream("/westtide/desktop/fonts/" + font), 13);
    }
  }

  /**
   * Gives a scene the style sheets of the application, in a palette and a size of text. Smaller
   * text leaves the drawings as they are; with larger text all of the window grows.
   *
   * @param textPercent 90 to 200 %
   */
  public static void dress(Scene scene, Palette palette, int textPercent) {
    scene.getStylesheets().setAll(url(palette.sheet()), url("west-tide.css"));
    double text = textPercent / 100.0;
    scene.getRoot().setStyle("-fx-font-size: " + TEXT_PIXELS * Math.min(1, text) + "px;");
    if (scene.getRoot() instanceof Zoomed window) {
      window.zoom(Math.max(1, text));
    }
  }

  private static String url(String name) {
    return Look.class.getResource("/westtide/desktop/" + name).toExternalForm();
  }
}
