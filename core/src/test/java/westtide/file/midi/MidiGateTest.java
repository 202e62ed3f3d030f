package westtide.file.midi;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.ShortMessage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import westtide.rhythm.Figure;
import westtide.song.mix.Gate;

/** Rhythmic volume as a file and other programs have it. */
class MidiGateTest {
  @TempDir Path folder;

  private static final Gate GATE = new Gate(new Figure("x-.x.."), 75);

  /**
   * MIDI 1.0, from memory: controller 11 is expression, 127 full; read as 40·log10, a quarter of
   * the level is half of 127. The pattern of six sixteenths comes round after 1440 ticks.
   */
  @Test
  void itOpensAndClosesOnItsStepsAsExpression() throws Exception {
    List<MidiEvent> events = MidiGate.of(GATE, 3, 2880);
    assertThat(events.stream().map(MidiGateTest::words))
        .containsExactly(
            "0 11 127",
            "480 11 64",
            "720 11 127",
            "960 11 64",
            "1440 11 127",
            "1920 11 64",
            "2160 11 127",
            "2400 11 64");
    assertThat(events).allMatch(e -> ((ShortMessage) e.getMessage()).getChannel() == 3);
    assertThat(MidiGate.of(GATE.withDepth(0), 3, 2880)).isEmpty();
  }

  private static String words(MidiEvent event) {
    ShortMessage message = (ShortMessage) event.getMessage();
    return event.getTick() + " " + message.getData1() + " " + message.getData2();
  }

  @Test
  void itIsOpenWhereTheFigureIs() {
    assertThat(Stream.of(0, 240, 480, 720).map(GATE::gain)).containsExactly(1.0, 1.0, 0.25, 1.0);
    assertThatThrownBy(() -> GATE.withDepth(101)).hasMessageContaining("0 to 100");
  }
}
