package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.review.finding.Stage;

/** In a new window a room is its drawing: how much of the window it takes, measured there. */
class DrawingShareTest extends WindowTest {
  private static final List<String> FRAME = List.of("tide-chart", "soundings-open");

  @Override
  boolean pagesOpen() {
    return false;
  }

  @Override
  void begin() {
    shell.begin(demo(0));
  }

  @ParameterizedTest
  @CsvSource({
    "1280, 800, 45, 35",
    "1920, 1080, 50, 40",
  })
  void theRoomIsItsDrawing(int width, int height, int most, int brief) {
    interact(
        () -> {
          window.setWidth(width);
          window.setHeight(height);
        });
    for (Stage stage : Stage.values()) {
      if (stage != Stage.DELIVER) {
        go(stage);
        assertThat(share()).as(stage.toString()).isGreaterThan(stage == Stage.BRIEF ? brief : most);
      }
    }
  }

  private double share() {
    double area = 0;
    for (Node drawing : lookup(".drawing").queryAll()) {
      if (!FRAME.contains(drawing.getId()) && seen(drawing) && !inAnother(drawing)) {
        Bounds bounds = drawing.localToScene(drawing.getLayoutBounds());
        area += bounds.getWidth() * bounds.getHeight();
      }
    }
    return 100 * area / (window.getScene().getWidth() * window.getScene().getHeight());
  }

  private static boolean inAnother(Node node) {
    for (Node at = node.getParent(); at != null; at = at.getParent()) {
      if (at.getStyleClass().contains("drawing")) {
        return true;
      }
    }
    return false;
  }
}
