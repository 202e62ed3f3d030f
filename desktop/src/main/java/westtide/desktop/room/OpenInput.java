package westtide.desktop.room;

import java.util.Optional;
import javax.sound.midi.MidiUnavailableException;
import westtide.play.PadInput;

/** What a take is played on while it is taken: at most one device is open, and none stays open. */
public final class OpenInput {
  private Optional<PadInput> device = Optional.empty();

  /**
   * Opens a device, after closing what was open.
   *
   * @param wanted what is played on; empty for the keys of the computer
   * @param name what the person chose it as
   * @return what stands in the way, for the person; empty when it is open
   */
  public Optional<String> open(Optional<PadInput> wanted, String name, PadInput.Struck struck) {
    close();
    try {
      if (wanted.isPresent()) {
        wanted.get().open(struck);
      }
      device = wanted;
      return Optional.empty();
    } catch (MidiUnavailableException e) {
      return Optional.of(name + " is in use by another program; close that and try again.");
    }
  }

  /** The device, if it is open and one of a kind. */
  public <D extends PadInput> Optional<D> as(Class<D> kind) {
    return device.filter(kind::isInstance).map(kind::cast);
  }

  /** Closes the device; nothing listens any more. */
  public void close() {
    device.ifPresent(PadInput::close);
    device = Optional.empty();
  }
}
