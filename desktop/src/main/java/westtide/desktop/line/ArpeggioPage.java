package westtide.desktop.line;

import java.util.List;
import java.util.Optional;
import java.util.function.IntFunction;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.Page;
import westtide.desktop.kit.TypedLine;
import westtide.desktop.kit.sheet.ScaleSheet;
import westtide.rhythm.Figure;
import westtide.song.Song;
import westtide.song.edit.PartNames;
import westtide.song.edit.line.ArpeggioEdits;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.pattern.Arpeggio;
import westtide.text.Reading;
import westtide.theory.Pitch;

/** An arpeggio in place of written notes: it follows the chords heard. */
final class ArpeggioPage implements Page<LineScene> {
  private static final int USUAL_LOWEST = 60;

  private final LineBench bench;
  private final Chips<Arpeggio.Order> orders =
      new Chips<Arpeggio.Order>(
              "arp-order-",
              Arpeggio.Order::toString,
              order -> change("Order", rule -> rule.withOrder(order)))
          .wrapping();
  private final Chips<Arpeggio.Rate> rates =
      new Chips<Arpeggio.Rate>(
              "arp-rate-",
              Arpeggio.Rate::toString,
              rate -> change("Rate", rule -> rule.withRate(rate)))
          .wrapping();
  private final ScaleSheet scales =
      new ScaleSheet("arp-scales", "Numbers of the arpeggio", id -> {});
  private final TypedLine steps = new TypedLine("arp-steps", "x X o . -", this::steps);
  private final RuleBox box;
  private LineScene scene;

  ArpeggioPage(LineBench bench) {
    this.bench = bench;
    orders.getStyleClass().add("small-chips");
    rates.getStyleClass().add("small-chips");
    HBox.setHgrow(orders, Priority.ALWAYS);
    HBox.setHgrow(rates, Priority.ALWAYS);
    HBox.setHgrow(steps, Priority.ALWAYS);
    Controls.explained(
        steps.field(),
        "Steps at the rate of the arpeggio, of any length: x strikes, X accents, o softens, . rests,"
            + " - holds the note on");
    VBox settings =
        Controls.column(
            4,
            Controls.row(8, Controls.label("order", "small"), orders),
            Controls.row(8, Controls.label("rate", "small"), rates),
            scales,
            Controls.row(
                8,
                Controls.label("steps", "small"),
                steps,
                Controls.explained(
                    Controls.action("arp-reseed", "reseed", this::reseed), "Another random order"),
                Controls.explained(
                    Controls.action("arp-second", "second arpeggio", this::second),
                    "Another part with the same chords in the free register, on the other side")));
    this.box =
        new RuleBox(
            Controls.action("arp-begin", "make this pattern an arpeggio", this::begin),
            "It plays the notes of the chords heard, and follows them; undo brings the notes"
                + " back.",
            settings);
  }

  private Optional<Arpeggio> rule() {
    return scene == null
        ? Optional.empty()
        : scene.line().part().pattern(scene.line().pattern()).rule(Arpeggio.class);
  }

  private ArpeggioEdits edits() {
    return new ArpeggioEdits(scene.line().part().id(), scene.line().pattern());
  }

  private void change(String what, UnaryOperator<Arpeggio> change) {
    if (rule().isPresent()) {
      bench.context().apply(edits().change(what, change));
    }
  }

  /** It begins where the line it replaces lies. */
  private void begin() {
    int lowest = scene.line().notes().stream().mapToInt(Note::key).min().orElse(USUAL_LOWEST);
    bench.context().apply(edits().begin(Arpeggio.of(Math.max(12, Math.min(108, lowest)))));
  }

  private void reseed() {
    change("Seed", rule -> rule.withOrder(Arpeggio.Order.RANDOM).withSeed(rule.seed() + 1));
  }

  private void second() {
    Song song = bench.context().open().song();
    PartId id = PartNames.freeId(song, scene.line().part().role());
    bench.context().apply(edits().second(id));
  }

  private Optional<Reading.Problem<?>> steps(String typed) {
    try {
      Figure figure = new Figure(typed);
      change("Steps", rule -> rule.withSteps(figure));
      return Optional.empty();
    } catch (IllegalArgumentException e) {
      return Optional.of(new Reading.Problem<>(1, e.getMessage()));
    }
  }

  @Override
  public String title() {
    return "arpeggio";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(LineScene shown) {
    scene = shown;
    Optional<Arpeggio> rule = rule();
    box.show(rule.isPresent());
    rule.ifPresent(this::show);
  }

  private void show(Arpeggio rule) {
    orders.show(List.of(Arpeggio.Order.values()), rule.order());
    rates.show(List.of(Arpeggio.Rate.values()), rule.rate());
    steps.show(rule.steps().text());
    scales.show(
        List.of(
            scale("octaves", 1, 4, rule.octaves(), String::valueOf, Arpeggio::withOctaves),
            scale("gate, %", 10, 100, rule.gate(), String::valueOf, Arpeggio::withGate),
            scale(
                "lowest note",
                24,
                96,
                rule.lowest(),
                midi -> Pitch.of(midi).toString(),
                Arpeggio::withLowest),
            scale(
                "level rises over, bars",
                0,
                16,
                rule.swellBars(),
                bars -> bars == 0 ? "no" : String.valueOf(bars),
                Arpeggio::withSwell),
            scale(
                "flourish every, bars",
                0,
                16,
                rule.flourishBars(),
                bars -> bars == 0 ? "never" : String.valueOf(bars),
                Arpeggio::withFlourish)));
  }

  /** Gives an arpeggio with a number changed. */
  private interface Set {
    Arpeggio to(Arpeggio rule, int value);
  }

  private ScaleSheet.Scale scale(
      String name, int low, int high, int value, IntFunction<String> words, Set set) {
    String id = "arp-" + name.split("[ ,]")[0];
    int held = Math.max(low, Math.min(high, value));
    return new ScaleSheet.Scale(
        id, name, low, high, 1, false, held, words, to -> change(name, rule -> set.to(rule, to)));
  }
}
