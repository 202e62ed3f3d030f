package westtide.desktop.drums;

import java.util.function.IntConsumer;
import java.util.function.IntSupplier;
import java.util.function.Supplier;
import westtide.desktop.kit.NumberField;
import westtide.rhythm.Hit;
import westtide.rhythm.Tempo;

/** How late (positive) or early something is: one value in ticks, and in ms at the song's tempo. */
final class LatenessFields {
  private final Supplier<Tempo> tempo;
  private final IntConsumer take;
  private final NumberField ticks;
  private final NumberField millis;

  /**
   * Two fields for one value.
   *
   * @param id of the field of ticks; that of milliseconds has {@code -ms} after it
   * @param now the value in ticks
   * @param take uses another, −120 to 120 ticks
   */
  LatenessFields(String id, Supplier<Tempo> tempo, IntSupplier now, IntConsumer take) {
    this.tempo = tempo;
    this.take = take;
    int most = Hit.MOST_NUDGE;
    this.ticks = NumberField.held(id, "late, ticks", -most, most, now, take).inline();
    this.millis =
        NumberField.whole(
                id + "-ms", "or ms", this::takeMillis, by -> nudge(millis(now.getAsInt()) + by))
            .inline();
  }

  NumberField ticks() {
    return ticks;
  }

  NumberField millis() {
    return millis;
  }

  void show(int late) {
    ticks.show(String.valueOf(late));
    millis.show(String.valueOf(millis(late)));
  }

  private int millis(int late) {
    return (int) Math.round(tempo.get().millis(late));
  }

  private void nudge(int wanted) {
    int most = most();
    takeMillis(Math.max(-most, Math.min(most, wanted)));
  }

  private int most() {
    return (int) tempo.get().millis(Hit.MOST_NUDGE);
  }

  private void takeMillis(int wanted) {
    if (Math.abs(wanted) > most()) {
      throw new IllegalArgumentException(
          "at this tempo -" + most() + " to " + most() + " ms, but was " + wanted);
    }
    take.accept((int) tempo.get().ticks(wanted));
  }
}
