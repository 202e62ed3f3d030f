package westtide.desktop.frame.start;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.files.DemoSong;
import westtide.desktop.files.SongOutline;
import westtide.desktop.files.UnsavedWork;
import westtide.desktop.kit.Controls;
import westtide.file.Recovery;
import westtide.file.SongFile;
import westtide.song.Song;
import westtide.style.StyleOutline;

/**
 * The first sheet: choose a style and begin, take up what a crash left, go on with a file, or open
 * a demo song. A style is heard while it is held; a field finds by name, tempo and title.
 */
public final class StartSheet extends VBox {
  private static final double SONGS_WIDTH = 336;
  private static final double NARROW_SONGS = 290;
  private static final double NARROW = 1120;
  private static final int MOST_RECENT = 4;

  /**
   * What can be begun with.
   *
   * @param style begins a song in a style
   * @param hear plays a draft in a style, the one that would be begun
   * @param silence ends that
   * @param demo opens a demo song
   * @param file opens a recent file
   * @param outline finds out beside the window what a song is, once it is read
   * @param choose lets a file be chosen
   * @param recover takes up what a crash left
   * @param letGo deletes what a crash left
   * @param open the title of the song that is open behind, if there is one
   * @param back goes back to it
   */
  public record Ways(
      Consumer<StyleOutline> style,
      Consumer<StyleOutline> hear,
      Runnable silence,
      Consumer<DemoSong> demo,
      Consumer<Path> file,
      BiConsumer<Callable<Song>, Consumer<SongOutline>> outline,
      Runnable choose,
      Consumer<Recovery.Left> recover,
      Consumer<Recovery.Left> letGo,
      Optional<String> open,
      Runnable back) {}

  private final Ways ways;
  private final CardFinder finder = new CardFinder();
  private final SongCards left = new SongCards(finder);
  private final SongCards recent = new SongCards(finder);
  private final SongCards demos = new SongCards(finder);
  private boolean reaching;
  private final TextField search =
      Controls.field("start-find", "find a style, a tempo, a song    /");

  /** The sheet a session begins with; what is chosen there is handed over. */
  public StartSheet(
      List<StyleOutline> styles,
      List<DemoSong> demos,
      List<Path> recent,
      List<UnsavedWork> left,
      Ways ways) {
    this.ways = ways;
    StyleCards cards = new StyleCards(styles, ways, finder);
    setId("start-sheet");
    getStyleClass().add("start");
    setSpacing(8);
    setPadding(new Insets(16, 48, 10, 48));
    VBox songs = songs(demos, recent, left);
    HBox columns = Controls.row(44, cards, songs);
    columns.setAlignment(Pos.TOP_LEFT);
    HBox.setHgrow(cards, Priority.ALWAYS);
    songs.minWidthProperty().bind(widthProperty().map(w -> wide(w.doubleValue())));
    songs.prefWidthProperty().bind(songs.minWidthProperty());
    VBox.setVgrow(columns, Priority.ALWAYS);
    getChildren().addAll(head(), columns, new CourseLine());
    addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    addEventFilter(KeyEvent.KEY_TYPED, this::typed);
  }

  /** Gives the keys to the first style. */
  public void focusFirst() {
    finder.first("").ifPresent(Button::requestFocus);
  }

  private static double wide(double window) {
    return window < NARROW ? NARROW_SONGS : SONGS_WIDTH;
  }

  private HBox head() {
    VBox words =
        Controls.column(
            0,
            Controls.label("What do you want to make?", "question"),
            Controls.label(
                "A style gives a whole first arrangement. Hold one to hear it; a click opens it.",
                "small"));
    search.setPrefColumnCount(22);
    search.textProperty().addListener((o, was, now) -> finder.show(now));
    search.setOnAction(event -> finder.first(search.getText()).ifPresent(Button::fire));
    HBox row =
        Controls.row(
            28,
            Controls.whole(Controls.label("West Tide", "start-title")),
            words,
            Controls.spring(),
            search);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private VBox songs(List<DemoSong> shipped, List<Path> files, List<UnsavedWork> work) {
    VBox column = Controls.column(4);
    ways.open()
        .ifPresent(
            title ->
                column
                    .getChildren()
                    .add(Controls.action("start-back", "◂ back to " + title, ways.back())));
    if (!work.isEmpty() || !files.isEmpty()) {
      column.getChildren().add(Headings.ruled("Go on with"));
    }
    addLeft(work);
    for (int i = 0; i < Math.min(files.size(), MOST_RECENT); i++) {
      addFile(i, files.get(i));
    }
    shipped.forEach(this::addDemo);
    column
        .getChildren()
        .addAll(
            left,
            recent,
            Headings.ruled("Demo songs"),
            Controls.label("music for a radio serial on a tidal island", "small"),
            demos,
            Controls.action("open-file", "open a song file …", ways.choose()));
    return column;
  }

  private void addDemo(DemoSong song) {
    demos
        .add(
            "demo-" + demos.getChildren().size(),
            song.outline().title(),
            Optional.empty(),
            () -> ways.demo().accept(song))
        .showing(song.outline());
  }

  private void addFile(int place, Path file) {
    SongCards.Song card =
        recent.add(
            "recent-" + place,
            file.getFileName().toString(),
            Optional.of(file.toString()),
            () -> ways.file().accept(file));
    ways.outline().accept(() -> SongFile.read(file), card::showing);
  }

  private void addLeft(List<UnsavedWork> work) {
    for (int i = 0; i < work.size(); i++) {
      Recovery.Left one = work.get(i).left();
      String of = one.file().map(f -> " (" + f.getFileName() + ")").orElse("");
      SongCards.Song card =
          left.add(
                  "recover-" + i,
                  "unsaved: " + one.song().title() + of,
                  Optional.of("The last session ended without saving. Click: recover it."),
                  () -> ways.recover().accept(one),
                  "unsaved")
              .saying(work.get(i).words());
      ways.outline().accept(one::song, card::showing);
      left.getChildren()
          .add(Controls.action("let-go-" + i, "discard", () -> ways.letGo().accept(one)));
    }
  }

  /** The sign of the key that reached the field is not what is looked for. */
  private void typed(KeyEvent event) {
    if (reaching) {
      event.consume();
    }
    reaching = false;
  }

  private void key(KeyEvent event) {
    if (event.getCode() == KeyCode.SLASH && !search.isFocused()) {
      event.consume();
      reaching = true;
      search.requestFocus();
    } else if (event.getCode() == KeyCode.ESCAPE && !search.getText().isEmpty()) {
      event.consume();
      search.clear();
    }
  }
}
