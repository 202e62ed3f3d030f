package westtide.sound.instrument;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import westtide.sound.voice.Instrument;

/**
 * All preview instruments, by name. Their gains bring held ones near −8 LUFS over 400 ms and drums
 * to a full peak, by our own meter.
 */
public final class InstrumentBook {
  private static final InstrumentBook SHIPPED = new InstrumentBook(all());

  private final Map<String, Instrument> byName = new LinkedHashMap<>();

  private InstrumentBook(List<Instrument> instruments) {
    instruments.forEach(instrument -> byName.put(instrument.name(), instrument));
  }

  /** The instruments that ship with the product. */
  public static InstrumentBook shipped() {
    return SHIPPED;
  }

  /** All of them, family by family. */
  public List<Instrument> instruments() {
    return List.copyOf(byName.values());
  }

  /** The instrument of that name, if there is one. */
  public Optional<Instrument> find(String name) {
    return Optional.ofNullable(byName.get(name));
  }

  /** The instrument of that name; throws {@link IllegalArgumentException} when there is none. */
  public Instrument get(String name) {
    return find(name)
        .orElseThrow(() -> new IllegalArgumentException("no instrument is called " + name));
  }

  /** The instrument a name is heard with: an unknown one as an electric piano. */
  public Instrument heard(String name) {
    return find(name).orElseGet(() -> get("electric piano"));
  }

  private static List<Instrument> all() {
    return Stream.of(
            DrumInstruments.all(),
            LowInstruments.all(),
            KeyInstruments.all(),
            LineInstruments.all())
        .flatMap(List::stream)
        .toList();
  }
}
