package westtide.desktop.kit;

import java.util.List;
import java.util.Objects;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;

/**
 * A choice of one among a few, shown as words in outlines. They are one Tab stop: the arrows move
 * the focus among them, Space, Enter or a click chooses.
 *
 * @param <T> what is chosen
 */
public final class Chips<T> extends HBox {
  private final String prefix;
  private final Function<T, String> words;
  private final Consumer<T> chosen;
  private boolean again;
  private Pane box = this;
  private List<T> choices = List.of();
  private T selected;
  private final RovingFocus focus = RovingFocus.over(this, () -> box.getChildren());

  /** Chips whose ids are {@code prefix} and the choice's words in lower case joined by hyphens. */
  public Chips(String prefix, Function<T, String> words, Consumer<T> chosen) {
    super(6);
    this.prefix = prefix;
    this.words = words;
    this.chosen = chosen;
    setAlignment(javafx.geometry.Pos.CENTER_LEFT);
    setMinWidth(USE_PREF_SIZE);
  }

  /** The same chips going on below where they do not fit. */
  public Chips<T> wrapping() {
    box = Controls.flow();
    HBox.setHgrow(box, Priority.ALWAYS);
    getChildren().setAll(box);
    setMinWidth(0);
    return this;
  }

  /** The same chips also telling when the chosen one is chosen again. */
  public Chips<T> telling() {
    again = true;
    return this;
  }

  /** Shows the choices with one selected; nothing is rebuilt when both are as before. */
  public void show(List<T> shown, T now) {
    if (shown.equals(choices) && Objects.equals(now, selected)) {
      return;
    }
    boolean same = shown.equals(choices);
    choices = List.copyOf(shown);
    selected = now;
    if (!same) {
      build();
    }
    light();
  }

  /** Shows the choices with any number of them lit; each press is told. */
  public void showMany(List<T> shown, List<T> lit) {
    again = true;
    show(shown, null);
    for (int i = 0; i < choices.size(); i++) {
      ((ToggleButton) box.getChildren().get(i)).setSelected(lit.contains(choices.get(i)));
    }
  }

  private void light() {
    for (int i = 0; i < choices.size(); i++) {
      ((ToggleButton) box.getChildren().get(i)).setSelected(choices.get(i).equals(selected));
    }
    focus.enterAt(selected == null ? 0 : Math.max(0, choices.indexOf(selected)));
  }

  private void build() {
    box.getChildren().clear();
    for (T choice : choices) {
      ToggleButton chip = new ToggleButton(words.apply(choice));
      chip.setId(prefix + Controls.idOf(words.apply(choice)));
      chip.getStyleClass().setAll("toggle-button", "chip");
      chip.setMinWidth(USE_PREF_SIZE);
      chip.setOnAction(event -> choose(choice));
      box.getChildren().add(chip);
    }
  }

  private void choose(T choice) {
    boolean another = !choice.equals(selected);
    selected = choice;
    light();
    if (another || again) {
      chosen.accept(choice);
    }
  }
}
