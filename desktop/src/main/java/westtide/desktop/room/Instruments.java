package westtide.desktop.room;

import java.util.Comparator;
import java.util.List;
import westtide.song.Role;
import westtide.sound.instrument.InstrumentBook;
import westtide.sound.instrument.Kit;
import westtide.sound.voice.Family;
import westtide.sound.voice.Instrument;

/** Which instruments a part of a role can be heard with. */
public final class Instruments {
  private Instruments() {}

  /** Their names: kits for drums, low instruments first for low parts and last for others. */
  public static List<String> names(Role role) {
    if (role == Role.DRUMS) {
      return Kit.SHIPPED.stream().map(Kit::name).toList();
    }
    boolean low = role == Role.SUB || role == Role.BASS;
    return InstrumentBook.shipped().instruments().stream()
        .filter(i -> i.family() != Family.DRUM)
        .sorted(Comparator.comparing((Instrument i) -> low != (i.family() == Family.LOW)))
        .map(Instrument::name)
        .toList();
  }

  /** The General MIDI program nearest to an instrument; {@code usual} for a kit. */
  public static int program(String instrument, int usual) {
    return InstrumentBook.shipped().find(instrument).map(Instrument::program).orElse(usual);
  }
}
