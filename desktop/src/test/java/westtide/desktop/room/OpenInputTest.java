package westtide.desktop.room;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;

import java.util.Optional;
import javax.sound.midi.MidiUnavailableException;
import org.junit.jupiter.api.Test;
import westtide.play.PadInput;

class OpenInputTest {
  private final PadInput device = mock(PadInput.class);
  private final PadInput.Struck listener = mock(PadInput.Struck.class);
  private final OpenInput input = new OpenInput();

  @Test
  void deviceThatIsInUseIsNamedAndIsNotTakenForOpen() throws Exception {
    doThrow(new MidiUnavailableException("busy")).when(device).open(listener);

    assertEquals(
        Optional.of("North pads is in use by another program; close that and try again."),
        input.open(Optional.of(device), "North pads", listener));
    input.close();
    verify(device, never()).close();
  }

  @Test
  void openingAnotherClosesTheFirst() throws Exception {
    assertEquals(Optional.empty(), input.open(Optional.of(device), "North pads", listener));
    assertEquals(Optional.of(device), input.as(PadInput.class));

    input.open(Optional.empty(), "computer keys", listener);

    verify(device).close();
    assertEquals(Optional.empty(), input.as(PadInput.class));
  }
}
