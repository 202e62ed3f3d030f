package westtide.desktop.frame;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.TilePane;
import javafx.scene.layout.VBox;
import westtide.desktop.files.UnsavedWork;
import westtide.desktop.kit.Controls;
import westtide.file.Recovery;
import westtide.rhythm.Feel;
import westtide.song.Song;
import westtide.style.Style;

/**
 * The first sheet: choose a style and begin, open the demo, open a file, or take up what a crash
 * left.
 */
public final class StartSheet extends VBox {
  /**
   * What can be begun with.
   *
   * @param style begins a song in a style
   * @param demo opens a demo song
   * @param file opens a recent file
   * @param choose lets a file be chosen
   * @param recover takes up what a crash left
   * @param letGo deletes what a crash left
   * @param open the title of the song that is open behind, if there is one
   * @param back goes back to it
   */
  public record Ways(
      Consumer<Style> style,
      Consumer<Song> demo,
      Consumer<Path> file,
      Runnable choose,
      Consumer<Recovery.Left> recover,
      Consumer<Recovery.Left> letGo,
      Optional<String> open,
      Runnable back) {}

  private static final int COLUMNS = 6;
  private static final double CARD_WIDTH = 176;
  private static final double CARD_HEIGHT = 62;

  private final Ways ways;

  /** The sheet a session begins with; what is chosen there is handed over. */
  public StartSheet(
      List<Style> styles, List<Song> demos, List<Path> recent, List<UnsavedWork> left, Ways ways) {
    this.ways = ways;
    setId("start-sheet");
    getStyleClass().add("start");
    setAlignment(Pos.CENTER);
    setPadding(new Insets(20, 60, 20, 60));
    setSpacing(left.isEmpty() ? 18 : 8);
    getChildren()
        .addAll(
            Controls.label("West Tide", "grand-title"),
            Controls.label(
                "Program a beat: choose a style, and a first draft is ready to change."));
    ways.open()
        .ifPresent(
            title ->
                getChildren()
                    .add(Controls.action("start-back", "◂ back to " + title, ways.back())));
    if (!left.isEmpty()) {
      getChildren().add(leftOver(left));
    }
    getChildren().add(styles(styles));
    HBox below = Controls.row(60, demos(demos), files(recent));
    below.setAlignment(Pos.TOP_CENTER);
    getChildren().addAll(below, new CourseLine());
  }

  private TilePane styles(List<Style> styles) {
    TilePane table = new TilePane(10, 10);
    table.setAlignment(Pos.CENTER);
    table.setPrefColumns(COLUMNS);
    table.setMaxWidth(COLUMNS * (CARD_WIDTH + 10));
    for (Style style : styles) {
      table.getChildren().add(card(style));
    }
    return table;
  }

  private Button card(Style style) {
    Label name = Controls.label(style.name(), "strong");
    String tempo =
        Math.round(style.tempo().low()) + " to " + Math.round(style.tempo().high()) + " BPM";
    boolean half = style.feel() == Feel.HALF;
    Label words = Controls.label(half ? tempo + ", half-time" : tempo, "small");
    Button card = new Button();
    card.setGraphic(Controls.column(2, name, words));
    card.setId("begin-" + style.id());
    card.setAccessibleText("Begin in the style " + style.name());
    card.getStyleClass().setAll("button", "start-card");
    card.setPrefSize(CARD_WIDTH, CARD_HEIGHT);
    Controls.explained(card, style.summary());
    card.setOnAction(event -> ways.style().accept(style));
    return card;
  }

  private VBox demos(List<Song> demos) {
    VBox column =
        Controls.column(
            3,
            Controls.title("Look at a demo song"),
            Controls.label("Music for a radio serial on a tidal island", "small"));
    for (int i = 0; i < demos.size(); i++) {
      Song song = demos.get(i);
      String words = song.title() + " · " + song.brief().tempo() + " · " + song.brief().key();
      column.getChildren().add(Controls.action("demo-" + i, words, () -> ways.demo().accept(song)));
    }
    column.setPrefWidth(400);
    return column;
  }

  private VBox files(List<Path> recent) {
    VBox column =
        Controls.column(
            3,
            Controls.title("Go on with a file"),
            Controls.action("open-file", "choose a song file …", ways.choose()));
    for (int i = 0; i < recent.size(); i++) {
      Path file = recent.get(i);
      column
          .getChildren()
          .add(
              Controls.explained(
                  Controls.action(
                      "recent-" + i, file.getFileName().toString(), () -> ways.file().accept(file)),
                  file.toString()));
    }
    column.setPrefWidth(400);
    return column;
  }

  private VBox leftOver(List<UnsavedWork> left) {
    VBox card =
        Controls.column(4, Controls.label("The last session ended without saving", "strong"));
    card.getStyleClass().addAll("finding", "warning");
    card.setMaxWidth(860);
    for (int i = 0; i < left.size(); i++) {
      Recovery.Left work = left.get(i).left();
      String of = work.file().map(f -> " (" + f.getFileName() + ")").orElse("");
      card.getChildren()
          .add(
              Controls.row(
                  12,
                  Controls.action(
                      "recover-" + i,
                      "recover " + work.song().title() + of,
                      () -> ways.recover().accept(work)),
                  Controls.action("let-go-" + i, "discard", () -> ways.letGo().accept(work))));
      card.getChildren().add(Controls.wrapped(left.get(i).words(), "small"));
    }
    return card;
  }
}
