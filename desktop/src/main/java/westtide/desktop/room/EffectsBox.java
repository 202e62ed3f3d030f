package westtide.desktop.room;

import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.UnaryOperator;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.KeyTable;
import westtide.rhythm.NoteValue;
import westtide.song.mix.Effects;
import westtide.song.mix.Equaliser;
import westtide.song.mix.Tremolo;

/**
 * What is done to a part or a drum lane on its way: scales to pull, and the tremolo's note value.
 */
public final class EffectsBox extends VBox {
  private static final List<Amount<Effects>> AMOUNTS =
      List.of(
          band("low", "below 140 Hz, dB", Equaliser::low, Equaliser::withLow),
          band("mid", "around the middle, dB", Equaliser::mid, Equaliser::withMid),
          new Amount<>(
              "fx-mid-hertz",
              "the middle, Hz",
              200,
              8000,
              50,
              0,
              fx -> fx.equaliser().midHertz(),
              (fx, v) -> fx.withEqualiser(fx.equaliser().withMidHertz(v))),
          band("high", "above 5 kHz, dB", Equaliser::high, Equaliser::withHigh),
          plain("attack", "attack, softer to harder", -100, Effects::attack, Effects::withAttack),
          plain(
              "sustain",
              "sustain, shorter to longer",
              -100,
              Effects::sustain,
              Effects::withSustain),
          plain("tape", "tape colour, %", 0, Effects::tape, Effects::withTape),
          plain("grain", "bit crush, %", 0, Effects::grain, Effects::withGrain),
          plain("phaser", "phaser, %", 0, Effects::phaser, Effects::withPhaser),
          plain("chorus", "chorus, %", 0, Effects::chorus, Effects::withChorus),
          tremolo("depth", "tremolo depth, %", 0, 100, Tremolo::depth, Tremolo::withDepth),
          tremolo("swing", "tremolo swing, %", 50, 75, Tremolo::swing, Tremolo::withSwing),
          tremolo(
              "stereo", "tremolo left and right, %", 0, 100, Tremolo::stereo, Tremolo::withStereo));

  private final AmountSheet<Effects> sheet;
  private final Chips<NoteValue> rates;

  /**
   * Effects of nothing yet.
   *
   * @param prefix begins the ids
   * @param change does an edit, by what it sets
   */
  public EffectsBox(String prefix, BiConsumer<String, UnaryOperator<Effects>> change) {
    super(6);
    this.sheet =
        new AmountSheet<>(
            prefix + "effects",
            "Effects",
            AMOUNTS,
            (amount, value) ->
                change.accept(amount.name(), effects -> amount.set().to(effects, value)));
    this.rates =
        new Chips<>(
            prefix + "tremolo-",
            NoteValue::toString,
            rate ->
                change.accept("tremolo rate", fx -> fx.withTremolo(fx.tremolo().withRate(rate))));
    getChildren()
        .addAll(
            Controls.flow(Controls.label("tremolo rate", "small"), rates, sheet.exact()), sheet);
  }

  /** Reads a number. */
  private interface Reads<V> {
    int of(V value);
  }

  private static Amount<Effects> band(
      String id, String name, Reads<Equaliser> get, Amount.Change<Equaliser> set) {
    return new Amount<>(
        "fx-" + id,
        name,
        -Equaliser.MOST,
        Equaliser.MOST,
        5,
        1,
        fx -> get.of(fx.equaliser()),
        (fx, v) -> fx.withEqualiser(set.to(fx.equaliser(), v)));
  }

  private static Amount<Effects> plain(
      String id, String name, int low, Reads<Effects> get, Amount.Change<Effects> set) {
    return new Amount<>("fx-" + id, name, low, 100, 5, 0, get::of, set);
  }

  private static Amount<Effects> tremolo(
      String id, String name, int low, int high, Reads<Tremolo> get, Amount.Change<Tremolo> set) {
    return new Amount<>(
        "fx-tremolo-" + id,
        name,
        low,
        high,
        id.equals("swing") ? 1 : 5,
        0,
        fx -> get.of(fx.tremolo()),
        (fx, v) -> fx.withTremolo(set.to(fx.tremolo(), v)));
  }

  /** Shows what is done. */
  public void show(Effects effects) {
    sheet.show(effects);
    rates.show(Tremolo.RATES, effects.tremolo().rate());
  }

  /** What can be done with the scales and by which keys. */
  public KeyTable keys() {
    return sheet.keys();
  }
}
