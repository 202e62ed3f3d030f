package westtide.desktop.line;

import java.util.Comparator;
import java.util.List;
import java.util.function.IntFunction;
import java.util.function.UnaryOperator;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.scene.Node;
import javafx.scene.control.ListView;
import javafx.scene.control.SelectionMode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.NumberField;
import westtide.desktop.kit.Page;
import westtide.rhythm.Velocity;
import westtide.song.line.Note;
import westtide.theory.Pitch;

/**
 * The notes of a line as a list, in any order, with exact values for the chosen one; velocities far
 * from the others are marked.
 */
final class NoteListPage implements Page<LineScene> {
  private static final int FAR = 36;

  private final LineBench bench;
  private final ListView<String> list = new ListView<>();
  private final ObservableList<String> rows = FXCollections.observableArrayList();
  private final Chips<Order> orders = new Chips<>("note-order-", Order::toString, this::order);
  private final NumberField at = field("note-at", "start, ticks", this::start);
  private final NumberField pitch =
      new NumberField("note-pitch", "note", this::pitch, by -> change(n -> key(n, n.key() + by)))
          .compact();
  private final NumberField velocity = field("note-velocity", "velocity", this::velocity);
  private final NumberField length = field("note-length", "length, ticks", this::length);
  private final NumberField slide = field("note-slide", "slide, ticks", this::slide);
  private final HBox box;
  private List<Note> shown = List.of();
  private LineScene scene;
  private Order now = Order.PLACE;
  private boolean showing;

  /** What the list is sorted by. */
  private enum Order {
    PLACE("place", Comparator.comparingInt(Note::start)),
    PITCH("pitch", Comparator.comparingInt(Note::key)),
    VELOCITY("velocity", Comparator.comparingInt(Note::velocity)),
    LENGTH("length", Comparator.comparingInt(Note::ticks));

    private final String title;
    private final Comparator<Note> comparator;

    Order(String title, Comparator<Note> comparator) {
      this.title = title;
      this.comparator = comparator;
    }

    @Override
    public String toString() {
      return title;
    }
  }

  NoteListPage(LineBench bench) {
    this.bench = bench;
    orders.getStyleClass().add("small-chips");
    list.setId("note-list");
    list.setItems(rows);
    list.setPrefHeight(118);
    list.setMinHeight(72);
    list.getSelectionModel().setSelectionMode(SelectionMode.SINGLE);
    list.getSelectionModel()
        .selectedIndexProperty()
        .addListener((o, was, is) -> pick(is.intValue()));
    HBox.setHgrow(list, Priority.ALWAYS);
    this.box =
        Controls.row(
            14,
            list,
            Controls.column(
                4,
                Controls.row(6, Controls.label("sort by", "small"), orders),
                Controls.flow(at, pitch, velocity, length, slide)));
  }

  private NumberField field(String id, String name, IntFunction<UnaryOperator<Note>> set) {
    return NumberField.whole(
            id,
            name,
            value -> change(set.apply(value)),
            by -> change(note -> nudged(set, id, note, by)))
        .compact();
  }

  private static Note nudged(IntFunction<UnaryOperator<Note>> set, String id, Note note, int by) {
    int value =
        switch (id) {
          case "note-at" -> note.start() + by * 10;
          case "note-velocity" -> Velocity.held((long) note.velocity() + by);
          case "note-length" -> note.ticks() + by * 10;
          default -> note.slide() + by * 10;
        };
    return set.apply(Math.max(0, value)).apply(note);
  }

  private UnaryOperator<Note> start(int tick) {
    int last = scene.line().ticks() - 1;
    if (tick < 0 || tick > last) {
      throw new IllegalArgumentException(
          "a start is tick 0 to " + last + " of the pattern, but was " + tick);
    }
    return note -> note.withStart(tick);
  }

  private void pitch(String typed) {
    int midi = Pitch.parse(typed.strip()).midi();
    change(note -> key(note, midi));
  }

  private static Note key(Note note, int midi) {
    return note.withKey(Math.max(0, Math.min(127, midi)));
  }

  private UnaryOperator<Note> velocity(int value) {
    Velocity.checked(value);
    return note -> note.withVelocity(value);
  }

  private UnaryOperator<Note> length(int ticks) {
    if (ticks < 1) {
      throw new IllegalArgumentException("a note lasts 1 tick or more, but was " + ticks);
    }
    return note -> note.withTicks(ticks);
  }

  private UnaryOperator<Note> slide(int ticks) {
    if (ticks < 0 || ticks > 7680) {
      throw new IllegalArgumentException("a slide takes 0 to 7680 ticks, but was " + ticks);
    }
    return note -> note.withSlide(ticks);
  }

  private void change(UnaryOperator<Note> change) {
    if (scene == null || scene.chosen().isEmpty()) {
      bench.context().messages().done("Choose a note first: a row of the list, or a note above.");
      return;
    }
    List<Note> after = scene.chosen().stream().map(change).toList();
    if (!after.equals(scene.chosen())) {
      bench.put("Set a note exactly", scene.chosen(), after);
    }
  }

  private void pick(int index) {
    if (!showing && index >= 0 && index < shown.size()) {
      bench.choose(List.of(shown.get(index)));
    }
  }

  private void order(Order chosen) {
    now = chosen;
    bench.refresh();
  }

  @Override
  public String title() {
    return "note list";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(LineScene wanted) {
    scene = wanted;
    showing = true;
    orders.show(List.of(Order.values()), now);
    shown = wanted.line().notes().stream().sorted(now.comparator).toList();
    double middle = shown.stream().mapToInt(Note::velocity).average().orElse(0);
    List<String> words = shown.stream().map(note -> row(note, middle)).toList();
    if (!rows.equals(words)) {
      rows.setAll(words);
    }
    List<Note> chosen = wanted.chosen();
    list.getSelectionModel().clearSelection();
    if (chosen.size() == 1) {
      int index = shown.indexOf(chosen.get(0));
      list.getSelectionModel().select(index);
      list.scrollTo(Math.max(0, index - 1));
      Note note = chosen.get(0);
      at.show(String.valueOf(note.start()));
      pitch.show(wanted.line().song().brief().key().pitch(note.key()).toString());
      velocity.show(String.valueOf(note.velocity()));
      length.show(String.valueOf(note.ticks()));
      slide.show(String.valueOf(note.slide()));
    } else {
      List.of(at, pitch, velocity, length, slide).forEach(field -> field.show(""));
    }
    showing = false;
  }

  private String row(Note note, double middle) {
    boolean far = Math.abs(note.velocity() - middle) > FAR;
    return scene.line().position(note.start())
        + "   "
        + scene.line().song().brief().key().pitch(note.key())
        + "   velocity "
        + note.velocity()
        + (far ? " ◂ far from the others" : "")
        + "   "
        + note.ticks()
        + " ticks"
        + (note.slide() > 0 ? "   slide " + note.slide() : "");
  }
}
