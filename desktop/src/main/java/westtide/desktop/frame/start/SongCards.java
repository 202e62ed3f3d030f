package westtide.desktop.frame.start;

import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.files.SongOutline;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.EnergySketch;

/** A column of songs, each with its energy drawn. */
final class SongCards extends VBox {
  private static final double WATER_WIDTH = 100;
  private static final double WATER_HEIGHT = 26;

  private final CardFinder finder;

  SongCards(CardFinder finder) {
    this.finder = finder;
    setSpacing(2);
  }

  /** A song that can be opened; what is not known yet comes later, in its kept place. */
  final class Song {
    private final Label facts = Controls.label("", "small");
    private final EnergySketch water = new EnergySketch();
    private final Button button = new Button();

    private Song(String id, String title, String... classes) {
      Label name = Controls.label(title, classes.length == 0 ? new String[] {"strong"} : classes);
      VBox words = Controls.column(0, name, facts);
      HBox.setHgrow(words, Priority.ALWAYS);
      words.setMinWidth(0);
      water.setMinSize(WATER_WIDTH, WATER_HEIGHT);
      water.setPrefSize(WATER_WIDTH, WATER_HEIGHT);
      HBox row = Controls.row(8, words, water);
      row.prefWidthProperty().bind(button.widthProperty().subtract(16));
      button.setGraphic(row);
      button.setId(id);
      button.getStyleClass().setAll("button", "start-card");
      button.setMaxWidth(Double.MAX_VALUE);
      button.setAccessibleText("Open " + title);
    }

    /** Says something in the place of tempo, key and length. */
    Song saying(String words) {
      facts.setText(words);
      return this;
    }

    /** Shows what the song is. */
    Song showing(SongOutline song) {
      water.show(song.sections());
      return facts.getText().isEmpty() ? saying(song.facts()) : this;
    }
  }

  /** Adds a song at the end. */
  Song add(String id, String title, Optional<String> explained, Runnable open, String... classes) {
    Song song = new Song(id, title, classes);
    song.button.setOnAction(event -> open.run());
    explained.ifPresent(words -> Controls.explained(song.button, words));
    finder.add(song.button, title.toLowerCase(Locale.ROOT)::contains);
    getChildren().add(song.button);
    return song;
  }
}
