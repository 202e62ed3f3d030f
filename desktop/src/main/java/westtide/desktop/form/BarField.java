package westtide.desktop.form;

import java.util.function.Consumer;
import westtide.desktop.kit.NumberField;

/** A field for a bar of a section and, behind a point, a beat: {@code 5} or {@code 5.3}. */
final class BarField {
  private BarField() {}

  /**
   * A place as it is typed, from 1.
   *
   * @param bar the bar, from 0
   * @param beat the beat, from 0
   */
  record Typed(int bar, int beat) {
    static Typed parse(String text) {
      String plain = text.strip().replaceFirst("^(from )?bar ", "");
      if (!plain.matches("\\d{1,3}(\\.\\d{1,2})?")) {
        throw new IllegalArgumentException(
            "a place is a bar such as 5, or a bar and a beat such as 5.3, but was \""
                + text
                + "\"");
      }
      String[] numbers = plain.split("\\.");
      int bar = Integer.parseInt(numbers[0]);
      int beat = numbers.length > 1 ? Integer.parseInt(numbers[1]) : 1;
      if (bar < 1 || beat < 1) {
        throw new IllegalArgumentException("bars and beats are counted from 1, but was " + plain);
      }
      return new Typed(bar - 1, beat - 1);
    }

    @Override
    public String toString() {
      return (bar + 1) + (beat == 0 ? "" : "." + (beat + 1));
    }
  }

  static NumberField of(String id, String name, Consumer<Typed> take) {
    return new NumberField(id, name, text -> take.accept(Typed.parse(text)), by -> {}).inline();
  }
}
