package westtide.desktop.drums;

import java.util.Locale;
import java.util.function.IntConsumer;
import java.util.function.IntSupplier;
import java.util.function.Supplier;
import westtide.desktop.kit.NumberField;
import westtide.rhythm.Hit;
import westtide.rhythm.Tempo;

/**
 * How late (positive) or early something is: typed as ticks or, with {@code ms} behind it, as
 * milliseconds at the song's tempo; shown as both.
 */
final class OffsetField {
  private final Supplier<Tempo> tempo;
  private final IntConsumer take;
  private final NumberField field;

  /**
   * A field.
   *
   * @param now the value in ticks
   * @param take uses another, −120 to 120 ticks
   */
  OffsetField(String id, Supplier<Tempo> tempo, IntSupplier now, IntConsumer take) {
    this.tempo = tempo;
    this.take = take;
    this.field =
        new NumberField(
                id,
                "offset",
                this::takeTyped,
                by -> take.accept(Hit.heldNudge(now.getAsInt() + by)))
            .inline()
            .wide();
  }

  NumberField node() {
    return field;
  }

  void show(int ticks) {
    field.show(ticks == 0 ? "0" : ticks + " = " + Math.round(tempo.get().millis(ticks)) + " ms");
  }

  private void takeTyped(String typed) {
    String text = typed.strip().toLowerCase(Locale.ROOT).replace('−', '-');
    if (text.contains("=")) {
      text = text.substring(0, text.indexOf('=')).strip();
    }
    boolean millis = text.endsWith("ms");
    String number = millis ? text.substring(0, text.length() - 2).strip() : text;
    if (!number.matches("[-+]?\\d{1,4}")) {
      throw new IllegalArgumentException("type ticks, such as 12, or milliseconds, such as 5 ms");
    }
    int value = Integer.parseInt(number);
    if (millis) {
      takeMillis(value);
    } else {
      take.accept(value);
    }
  }

  private void takeMillis(int wanted) {
    int most = (int) tempo.get().millis(Hit.MOST_NUDGE);
    if (Math.abs(wanted) > most) {
      throw new IllegalArgumentException(
          "at this tempo -" + most + " to " + most + " ms, but was " + wanted);
    }
    take.accept((int) tempo.get().ticks(wanted));
  }
}
