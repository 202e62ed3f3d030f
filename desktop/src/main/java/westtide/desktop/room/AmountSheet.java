package westtide.desktop.room;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;
import javafx.scene.Node;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Fold;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.NumberField;
import westtide.desktop.kit.sheet.ScaleSheet;

/** Numbers of one thing: scales to pull, and under "exact" fields to type into. */
public final class AmountSheet<T> extends VBox {
  private final List<Amount<T>> amounts;
  private final BiConsumer<Amount<T>, Integer> taken;
  private final List<NumberField> fields = new ArrayList<>();
  private final Fold exact;
  private final ScaleSheet scales;
  private T thing;

  /**
   * A sheet of numbers without a thing.
   *
   * @param id the id of the scales
   * @param name what they are the numbers of
   * @param amounts the numbers, in order
   * @param taken takes another value of one of them
   */
  public AmountSheet(
      String id, String name, List<Amount<T>> amounts, BiConsumer<Amount<T>, Integer> taken) {
    super(4);
    this.amounts = amounts;
    this.taken = taken;
    FlowPane pane = new FlowPane(12, 4);
    for (Amount<T> amount : amounts) {
      NumberField field =
          new NumberField(
                  amount.id() + "-exact",
                  amount.name(),
                  typed -> taken.accept(amount, amount.parse(typed)),
                  steps -> nudge(amount, steps))
              .compact();
      fields.add(field);
      pane.getChildren().add(field);
    }
    this.scales = new ScaleSheet(id, name, this::typeExactly);
    this.exact = new Fold(id + "-exact", "exact", "Type the numbers to the digit", pane);
    getChildren().addAll(exact, scales);
  }

  /** The word that shows the fields for exact values. */
  public Node exact() {
    return exact.head();
  }

  /** What can be done with the scales and by which keys. */
  public KeyTable keys() {
    return scales.keys();
  }

  /** Shows the numbers of a thing. */
  public void show(T shown) {
    thing = shown;
    scales.show(
        amounts.stream()
            .map(amount -> amount.scale(shown, to -> taken.accept(amount, to)))
            .toList());
    for (int i = 0; i < amounts.size(); i++) {
      Amount<T> amount = amounts.get(i);
      fields.get(i).show(amount.plain(amount.get().applyAsInt(shown)));
    }
  }

  private void nudge(Amount<T> amount, int steps) {
    int to = amount.get().applyAsInt(thing) + steps * amount.step();
    taken.accept(amount, Math.max(amount.low(), Math.min(amount.high(), to)));
  }

  private void typeExactly(String id) {
    exact.open();
    for (int i = 0; i < amounts.size(); i++) {
      if (amounts.get(i).id().equals(id)) {
        fields.get(i).focus();
      }
    }
  }
}
