package westtide.desktop.frame;

import java.util.function.Consumer;
import javafx.beans.binding.Bindings;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;
import westtide.desktop.kit.Controls;
import westtide.desktop.open.OpenSong;
import westtide.desktop.open.SongView;
import westtide.desktop.play.PlayBar;
import westtide.desktop.play.PlayPosition;
import westtide.song.Brief;

/**
 * The top of the window: what the song is, whether it is saved, undo and redo, and the way to every
 * action.
 */
public final class TopBar extends HBox {
  private static final double WIDE = 1200;
  private static final double MIDDLING = 1080;
  private static final double NARROW = 1180;
  private static final double NAME = 128;
  private static final PseudoClass NARROWED = PseudoClass.getPseudoClass("narrowed");

  private final Label title = Controls.label("", "title");
  private final Label project = Controls.label("", "small");
  private final PulledFact key;
  private final PulledFact tempo;
  private final Label felt = Controls.label("", "small");
  private final PulledFact swing;
  private final Label saved = Controls.label("", "small");
  private final Button undo;
  private final Button redo;
  private final Button history;
  private final OpenSong open;
  private final PlayBar play;
  private final Runnable versions;

  /**
   * What keeps the song.
   *
   * @param save writes it to its file
   * @param versions shows what was written before
   */
  public record Saving(Runnable save, Runnable versions) {}

  /**
   * The bar over everything: what the song is, playing, files and actions.
   *
   * @param type brings up a field of Brief, by its id
   */
  public TopBar(
      OpenSong open,
      PlayBar play,
      Runnable find,
      Runnable keys,
      Saving saving,
      Consumer<String> type) {
    this.open = open;
    this.versions = saving.versions();
    this.play = play;
    BriefPulls pulls = new BriefPulls(open);
    key =
        new PulledFact(
            "bridge-key", "key, by semitones", pulls::key, () -> type.accept("key-tonic"));
    tempo = new PulledFact("bridge-tempo", "tempo, BPM", pulls::tempo, () -> type.accept("tempo"));
    swing = new PulledFact("bridge-swing", "swing, %", pulls::swing, () -> type.accept("swing"));
    getStyleClass().add("bridge");
    VBox name = Controls.column(0, title, project);
    name.setPrefWidth(216);
    name.setMinWidth(NAME);
    VBox swung = summary("swing", swing);
    swung.visibleProperty().bind(widthProperty().greaterThan(WIDE));
    swung.managedProperty().bind(swung.visibleProperty());
    undo = icon("undo", Feather.CORNER_UP_LEFT, "Undo", open::undo);
    redo = icon("redo", Feather.CORNER_UP_RIGHT, "Redo", open::redo);
    history = icon("history", Feather.CLOCK, "History of this session", this::openHistory);
    Controls.explained(history, "What was done in this session; go back or forward to any of it");
    saved.setId("saved-state");
    title.setId("bridge-title");
    title.setWrapText(true);
    widthProperty().addListener((o, was, is) -> fit(is.doubleValue()));
    Button finder = Controls.action("find-action", "Find   /", find);
    finder.setAccessibleText("Find an action   /");
    Controls.explained(finder, "Find an action   /");
    finder.getStyleClass().setAll("button", "find");
    finder
        .textProperty()
        .bind(Bindings.when(widthProperty().greaterThan(MIDDLING)).then("Find   /").otherwise("/"));
    felt.visibleProperty().bind(widthProperty().greaterThan(MIDDLING));
    felt.managedProperty().bind(felt.visibleProperty());
    Button keyCard = Controls.action("open-keys", "?", keys);
    keyCard.setAccessibleText("Keys   ?");
    Controls.explained(keyCard, "Every key, here and anywhere   ?");
    keyCard.getStyleClass().setAll("button", "find");
    Button saver = Controls.action("save", "save", saving.save());
    getChildren()
        .addAll(
            name,
            summary("key", key),
            summary("tempo", Controls.row(6, tempo, felt)),
            swung,
            Controls.spring(),
            play,
            Controls.spring(),
            Controls.whole(Controls.column(0, saved, Controls.row(2, saver, undo, redo, history))),
            Controls.row(4, finder, keyCard));
  }

  /** Shows the song as it is now. */
  public void show(SongView view) {
    Brief brief = view.song().brief();
    title.setText(view.song().title());
    project.setText(view.song().project());
    Controls.explained(title, view.song().title());
    fit(getWidth());
    key.setText(brief.key().toString());
    tempo.setText(brief.tempo().toString());
    felt.setText("felt " + brief.felt());
    swing.setText(brief.swing() + " %");
    saved.setText(open.changed() ? open.file().isPresent() ? "changed" : "not saved yet" : "saved");
    undo.setDisable(open.undoable().isEmpty());
    redo.setDisable(open.redoable().isEmpty());
    Controls.explained(undo, open.undoable().map(name -> "Undo: " + name).orElse("Undo"));
    Controls.explained(redo, open.redoable().map(name -> "Redo: " + name).orElse("Redo"));
  }

  /** A narrow window has the title on two lines, and no room for the project. */
  private void fit(double width) {
    boolean narrow = width < NARROW;
    title.pseudoClassStateChanged(NARROWED, narrow);
    project.setManaged(!narrow && !project.getText().isEmpty());
    project.setVisible(project.isManaged());
  }

  /** Opens the list of what was done. */
  public void openHistory() {
    open.steps().ifPresent(steps -> HistoryList.open(history, steps, open::goTo, versions));
  }

  /** Shows where the song is in this frame. */
  public void follow(PlayPosition moment) {
    play.follow(moment, open.song());
  }

  private static VBox summary(String name, Region figure) {
    figure.setMinWidth(USE_PREF_SIZE);
    VBox fact = Controls.column(0, Controls.label(name, "small"), figure);
    fact.setMinWidth(USE_PREF_SIZE);
    return fact;
  }

  private static Button icon(String id, Feather icon, String words, Runnable run) {
    Button button = Controls.action(id, "", run);
    FontIcon graphic = new FontIcon(icon);
    graphic.getStyleClass().add("icon");
    button.setGraphic(graphic);
    button.setAccessibleText(words);
    return button;
  }
}
