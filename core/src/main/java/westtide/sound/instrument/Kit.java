package westtide.sound.instrument;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import westtide.song.drum.DrumVoice;
import westtide.song.mix.Patch;

/**
 * A set of drums: which instrument each voice is heard with, how loud and where it stands.
 *
 * @param name what people choose it by
 * @param pieces one a voice
 */
public record Kit(String name, Map<DrumVoice, Piece> pieces) {
  /** The kits that ship with the product, the usual one first. */
  public static final List<Kit> SHIPPED = List.of(tide(), club(), dust());

  /**
   * One drum of a kit.
   *
   * @param patch its instrument and settings
   * @param decibels its level against the kick's full
   * @param pan −100 left to 100 right
   */
  public record Piece(Patch patch, int decibels, int pan) {}

  /** Copies the pieces. */
  public Kit {
    pieces = Map.copyOf(pieces);
  }

  /** The kit of that name, if there is one. */
  public static Optional<Kit> find(String name) {
    return SHIPPED.stream().filter(kit -> kit.name().equals(name)).findFirst();
  }

  /** The piece a voice is heard with. */
  public Piece piece(DrumVoice voice) {
    return pieces.get(voice);
  }

  private static Kit tide() {
    Map<DrumVoice, Piece> out = usual();
    out.put(DrumVoice.KICK, new Piece(Patch.of("kick").with("tune", 46).with("decay", 260), 0, 0));
    out.put(DrumVoice.PERCUSSION, new Piece(Patch.of("low percussion"), -9, 25));
    return new Kit("tide kit", out);
  }

  private static Kit club() {
    Map<DrumVoice, Piece> out = usual();
    out.put(
        DrumVoice.KICK,
        new Piece(Patch.of("kick").with("tune", 52).with("decay", 300).with("click", 60), 0, 0));
    out.put(DrumVoice.CLAP, new Piece(Patch.of("clap").with("decay", 300), -6, 0));
    out.put(DrumVoice.OPEN_HAT, new Piece(Patch.of("open hat").with("decay", 300), -13, 8));
    return new Kit("club kit", out);
  }

  private static Kit dust() {
    Map<DrumVoice, Piece> out = usual();
    out.put(
        DrumVoice.KICK,
        new Piece(
            Patch.of("kick").with("tune", 58).with("decay", 210).with("drive", 9).with("drop", 24),
            0,
            0));
    out.put(
        DrumVoice.SNARE,
        new Piece(Patch.of("snare").with("tune", 205).with("decay", 170).with("wires", 90), -4, 0));
    out.put(DrumVoice.CLOSED_HAT, new Piece(Patch.of("closed hat").with("tone", 6800), -14, -12));
    return new Kit("dust kit", out);
  }

  private static Map<DrumVoice, Piece> usual() {
    Map<DrumVoice, Piece> out = new LinkedHashMap<>();
    out.put(DrumVoice.KICK, new Piece(Patch.of("kick"), 0, 0));
    out.put(DrumVoice.SNARE, new Piece(Patch.of("snare"), -5, 0));
    out.put(DrumVoice.CLAP, new Piece(Patch.of("clap"), -5, 0));
    out.put(DrumVoice.CLOSED_HAT, new Piece(Patch.of("closed hat"), -13, -10));
    out.put(DrumVoice.OPEN_HAT, new Piece(Patch.of("open hat"), -13, -10));
    out.put(DrumVoice.PERCUSSION, new Piece(Patch.of("high conga"), -10, 25));
    out.put(DrumVoice.RIM, new Piece(Patch.of("rim"), -9, 15));
    out.put(DrumVoice.SHAKER, new Piece(Patch.of("shaker"), -15, 30));
    out.put(DrumVoice.RIDE, new Piece(Patch.of("ride"), -13, 20));
    out.put(DrumVoice.CRASH, new Piece(Patch.of("crash"), -9, -15));
    out.put(DrumVoice.TOM, new Piece(Patch.of("tom"), -6, -20));
    out.put(DrumVoice.WOOD_BLOCK, new Piece(Patch.of("wood block"), -14, 35));
    out.put(DrumVoice.TAMBOURINE, new Piece(Patch.of("tambourine"), -14, -30));
    out.put(DrumVoice.STICK, new Piece(Patch.of("stick"), -8, 0));
    out.put(DrumVoice.COWBELL, new Piece(Patch.of("cowbell"), -13, 20));
    return out;
  }
}
