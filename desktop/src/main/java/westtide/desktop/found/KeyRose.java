package westtide.desktop.found;

import java.util.List;
import java.util.Optional;
import westtide.desktop.kit.Drawing;
import westtide.song.found.FoundSound;
import westtide.theory.Key;

/** How strong each note is in a loop, round by fifths from its home note; notes of its key full. */
final class KeyRose extends Drawing {
  private static final int NOTES = 12;
  private static final int FIFTH = 7;
  private static final int MIDDLE = 60;
  private static final double HALF = 0.2;
  private static final Key USUAL = Key.parse("C major");

  private Optional<FoundScene> scene = Optional.empty();

  KeyRose() {
    super("How strong each note is in the loop", false);
    setId("key-rose");
    setMinSize(150, 110);
    setPrefSize(220, 190);
  }

  void show(FoundScene shown) {
    scene = Optional.of(shown);
    redraw();
  }

  @Override
  protected void draw() {
    scene.ifPresent(this::draw);
  }

  private void draw(FoundScene shown) {
    FoundSound sound = shown.sound();
    Key key = sound.key().orElse(USUAL);
    double radius = Math.max(10, Math.min(getWidth(), getHeight()) / 2 - scaled(16));
    List<Double> strengths =
        shown.heard().map(heard -> heard.facts().pitchClasses()).orElse(List.of());
    for (int place = 0; place < NOTES; place++) {
      int note = Math.floorMod(key.tonic().pitchClass() + FIFTH * place, NOTES);
      double angle = 2 * Math.PI * place / NOTES - Math.PI / 2;
      boolean in = sound.key().isPresent() && key.contains(note);
      if (!strengths.isEmpty()) {
        petal(angle, radius * 0.82 * strengths.get(note), in);
      }
      textCentred(
          getWidth() / 2 + (radius + scaled(4)) * Math.cos(angle),
          getHeight() / 2 + (radius + scaled(4)) * Math.sin(angle) + scaled(4),
          60,
          (place == 0 ? key.tonic() : key.pitch(MIDDLE + note).name()).toString(),
          place == 0 && sound.key().isPresent() ? "figure" : "soft");
    }
  }

  private void petal(double angle, double length, boolean in) {
    double x = getWidth() / 2;
    double y = getHeight() / 2;
    polygon(
        new double[] {
          x,
          y,
          x + length * Math.cos(angle - HALF),
          y + length * Math.sin(angle - HALF),
          x + length * Math.cos(angle + HALF),
          y + length * Math.sin(angle + HALF)
        },
        "petal",
        in ? "in" : "out");
  }
}
