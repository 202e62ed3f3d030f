package westtide.desktop.levels;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Fold;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.NumberField;
import westtide.desktop.kit.sheet.ScaleSheet;
import westtide.desktop.room.Amount;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.edit.Edit;
import westtide.song.edit.MixEdits;
import westtide.song.mix.Mix;
import westtide.sound.instrument.InstrumentBook;
import westtide.sound.voice.Instrument;
import westtide.sound.voice.Setting;

/**
 * The numbers of a part, those of its instrument and those of its place in the mix: scales to pull,
 * and under "exact" fields to type into.
 */
final class PartNumbers extends VBox {
  private final Consumer<Edit> apply;
  private final Runnable heard;
  private final FlowPane settings = new FlowPane(12, 4);
  private final List<NumberField> amounts =
      MixAmounts.STRIP.stream().map(amount -> field(amount.id(), amount.name())).toList();
  private final Fold exact;
  private final ScaleSheet scales =
      new ScaleSheet("part-numbers", "Numbers of the part", this::typeExactly);
  private List<Number> numbers = List.of();
  private Part part;

  /**
   * A number of the part.
   *
   * @param id the id of its field
   * @param scale how it is pulled
   * @param typed takes what was typed
   */
  private record Number(String id, ScaleSheet.Scale scale, Consumer<String> typed) {}

  /**
   * Numbers without a part.
   *
   * @param apply does an edit
   * @param heard lets the part sound after its instrument changed
   */
  PartNumbers(Consumer<Edit> apply, Runnable heard) {
    super(4);
    this.apply = apply;
    this.heard = heard;
    this.exact =
        new Fold(
            "levels-exact",
            "exact",
            "Type the numbers of the part to the digit",
            settings,
            new FlowPane(12, 4, amounts.toArray(NumberField[]::new)));
    getChildren().addAll(exact, scales);
  }

  /** The word that shows the fields for exact values. */
  Node exact() {
    return exact.head();
  }

  /** What can be done with the scales and by which keys. */
  KeyTable keys() {
    return scales.keys();
  }

  void show(Part shown) {
    List<String> before = ids();
    part = shown;
    numbers = numbers(shown);
    scales.show(numbers.stream().map(Number::scale).toList());
    if (!before.equals(ids())) {
      settings
          .getChildren()
          .setAll(
              numbers.stream()
                  .limit(numbers.size() - amounts.size())
                  .map(number -> field(number.id(), number.scale().name()))
                  .toList());
    }
    for (int i = 0; i < numbers.size(); i++) {
      field(i).show(plain(numbers.get(i).scale().shown()));
    }
  }

  /** The fields of the instrument come before those of the mix, as the numbers do. */
  private NumberField field(int index) {
    int own = settings.getChildren().size();
    return index < own ? (NumberField) settings.getChildren().get(index) : amounts.get(index - own);
  }

  private List<String> ids() {
    return numbers.stream().map(Number::id).toList();
  }

  private static String plain(String shown) {
    return shown.replace('−', '-');
  }

  private NumberField field(String id, String name) {
    return new NumberField(
            id,
            name,
            typed -> now(id).typed().accept(typed),
            steps -> {
              ScaleSheet.Scale scale = now(id).scale();
              scale.set().accept(held(scale, scale.value() + steps * scale.step()));
            })
        .compact();
  }

  private static int held(ScaleSheet.Scale scale, int value) {
    return Math.max(scale.low(), Math.min(scale.high(), value));
  }

  private Number now(String id) {
    return numbers.stream().filter(n -> n.id().equals(id)).findFirst().orElseThrow();
  }

  /** Opens the field of a number. */
  void typeExactly(String id) {
    exact.open();
    for (int i = 0; i < numbers.size(); i++) {
      if (numbers.get(i).id().equals(id)) {
        field(i).focus();
      }
    }
  }

  private List<Number> numbers(Part of) {
    List<Number> out = new ArrayList<>();
    settings(of).forEach(setting -> out.add(number(of, setting)));
    MixAmounts.STRIP.forEach(amount -> out.add(number(of, amount)));
    return out;
  }

  private Number number(Part of, Amount<Mix> amount) {
    return new Number(
        amount.id(),
        amount.scale(of.mix(), to -> set(amount, to)),
        typed -> set(amount, amount.parse(typed)));
  }

  private void set(Amount<Mix> amount, int value) {
    apply.accept(MixEdits.mix(part.id(), amount.name(), mix -> amount.set().to(mix, value)));
  }

  private Number number(Part of, Setting setting) {
    String id = "setting-" + setting.name();
    String unit = setting.unit().isEmpty() ? "" : ", " + setting.unit();
    int step = Math.max(1, (setting.high() - setting.low()) / 60);
    return new Number(
        id,
        new ScaleSheet.Scale(
            id,
            setting.name() + unit,
            setting.low(),
            setting.high(),
            step,
            setting.unit().equals("Hz"),
            setting.held(of.patch().settings().getOrDefault(setting.name(), setting.usual())),
            String::valueOf,
            to -> set(setting, to)),
        typed -> set(setting, parse(setting, typed)));
  }

  private void set(Setting setting, int value) {
    apply.accept(MixEdits.setting(part.id(), setting.name(), value));
    heard.run();
  }

  private static List<Setting> settings(Part of) {
    if (of.role() == Role.DRUMS) {
      return List.of();
    }
    Optional<Instrument> instrument = InstrumentBook.shipped().find(of.patch().instrument());
    return instrument.map(Instrument::settings).orElse(List.of());
  }

  private static int parse(Setting setting, String typed) {
    String trimmed = typed.strip();
    if (!trimmed.matches("\\d{1,6}")
        || setting.held(Integer.parseInt(trimmed)) != Integer.parseInt(trimmed)) {
      throw new IllegalArgumentException(
          setting.name()
              + " is a whole number from "
              + setting.low()
              + " to "
              + setting.high()
              + ", but was \""
              + typed
              + "\"");
    }
    return Integer.parseInt(trimmed);
  }
}
