package westtide.desktop.chords;

import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.TypedLine;
import westtide.desktop.kit.sheet.NoteStrip;
import westtide.text.Reading;
import westtide.theory.ChordNamer;
import westtide.theory.Key;
import westtide.theory.Pitch;
import westtide.theory.voicing.Voicing;

/** Names what is placed on a strip of notes, typed, or taken from the chosen chord. */
final class NamePage implements ChordPage {
  private final ChordChoice choice;
  private final NoteStrip strip;
  private final TypedLine typed =
      new TypedLine("name-notes", "notes, such as A2 C4 E4", this::take);
  private final VBox names = new VBox(3);
  private final VBox box = new VBox(6);
  private final TreeSet<Integer> placed = new TreeSet<>();
  private static final double LEAST = 40;

  private Key key = Key.parse("C");

  NamePage(ChordChoice choice) {
    this.choice = choice;
    this.strip = new NoteStrip("name-strip", this::toggle);
    strip.setMinHeight(48);
    strip.setPrefHeight(48);
    HBox.setHgrow(typed, Priority.ALWAYS);
    ScrollPane scroll = new ScrollPane(names);
    scroll.setPrefHeight(LEAST);
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    box.getChildren()
        .addAll(
            Controls.row(
                8,
                typed,
                Controls.action("name-chosen", "use the chosen chord's", this::takeChosen),
                Controls.action("name-clear", "clear", this::clear)),
            strip,
            scroll);
  }

  @Override
  public String title() {
    return "name these notes";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(ChordScene scene) {
    key = scene.brief().key();
    refresh();
  }

  private void refresh() {
    strip.show(key, placed);
    typed.show(placed.stream().map(k -> key.pitch(k).toString()).collect(Collectors.joining(" ")));
    names.getChildren().clear();
    List<ChordNamer.Name> found = ChordNamer.in(key).names(List.copyOf(placed));
    for (int i = 0; i < found.size(); i++) {
      names.getChildren().add(row(found.get(i), i));
    }
    if (found.isEmpty()) {
      names
          .getChildren()
          .add(
              Controls.label(
                  placed.size() < 2
                      ? "Place two notes or more: click the strip, walk it with the arrows and"
                          + " press Enter, or type."
                      : "No usual chord has just these notes.",
                  "small"));
    }
  }

  private HBox row(ChordNamer.Name found, int index) {
    Label name = Controls.label(found.chord().toString(), "strong");
    name.setId("name-" + index);
    name.setMinWidth(120);
    Label why = Controls.wrapped(found.why(), "small");
    HBox.setHgrow(why, Priority.ALWAYS);
    why.setMaxWidth(Double.MAX_VALUE);
    return Controls.row(
        6,
        name,
        why,
        Controls.action("name-take-" + index, "replace the chord", () -> takeName(found)));
  }

  private void takeName(ChordNamer.Name found) {
    choice.apply(choice.edits().replace(choice.chord(), found.chord()), choice.chord());
    choice.lay(List.copyOf(placed), -1);
  }

  private void toggle(int midi) {
    if (!placed.remove(midi)) {
      placed.add(midi);
    }
    if (!placed.isEmpty()) {
      choice.sound(new Voicing(List.copyOf(placed)));
    }
    refresh();
  }

  private void takeChosen() {
    placed.clear();
    placed.addAll(choice.scene().voicing().keys());
    refresh();
  }

  private void clear() {
    placed.clear();
    refresh();
  }

  private Optional<Reading.Problem<?>> take(String text) {
    TreeSet<Integer> read = new TreeSet<>();
    for (String word : text.strip().split("\\s+")) {
      if (!word.isEmpty()) {
        try {
          read.add(Pitch.parse(word).midi());
        } catch (IllegalArgumentException e) {
          return Optional.of(new Reading.Problem<>(text.indexOf(word) + 1, e.getMessage()));
        }
      }
    }
    placed.clear();
    placed.addAll(read);
    refresh();
    return Optional.empty();
  }
}
