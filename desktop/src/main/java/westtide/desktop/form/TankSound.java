package westtide.desktop.form;

import java.util.ArrayList;
import java.util.List;
import westtide.song.form.CellSound;
import westtide.song.form.Thinning;
import westtide.song.mix.Mix;

/** How a tank sounds otherwise than usual, in few signs. */
final class TankSound {
  private TankSound() {}

  /** A sign for each way it differs, the one that is heard most first. */
  static List<String> signs(CellSound sound) {
    List<String> out = new ArrayList<>();
    if (sound.octave() != 0) {
      out.add((sound.octave() > 0 ? "8va+" : "8va−") + Math.abs(sound.octave()));
    }
    if (!sound.thinning().equals(Thinning.NONE)) {
      out.add("thinned");
    }
    if (sound.lowPass() < Mix.OPEN) {
      out.add("≤ " + hertz(sound.lowPass()));
    }
    if (!sound.instrument().isEmpty()) {
      out.add(sound.instrument());
    }
    return out;
  }

  private static String hertz(int hertz) {
    return hertz >= 1000 ? Math.round(hertz / 100.0) / 10.0 + " kHz" : hertz + " Hz";
  }
}
