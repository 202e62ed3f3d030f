package westtide.file.midi;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HexFormat;
import java.util.List;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.Sequence;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** MIDI files of any content, as bytes written by hand and by the JDK's own writer. */
class MidiReadingTest {
  private static final String HEADER = "4D546864 00000006 0000 0001 0060 ";

  @TempDir private Path folder;

  private Path file(String hex) throws IOException {
    byte[] bytes = HexFormat.of().parseHex(hex.replace(" ", ""));
    return Files.write(folder.resolve("a.mid"), bytes);
  }

  /** A kick by a status of its own, a snare by running status a beat later (96 ticks). */
  @Test
  void runningStatusIsRead() throws IOException {
    Path file = file(HEADER + "4D54726B 0000000B  00 99 24 64  60 26 50  00 FF2F00");
    assertThat(MidiReading.notes(file))
        .containsExactly(
            new MidiReading.Struck(9, 0x24, 0, 0x64), new MidiReading.Struck(9, 0x26, 960, 0x50));
  }

  @Test
  void theJdksOwnFilesAreReadAlike() throws Exception {
    Sequence sequence = new Sequence(Sequence.PPQ, 480);
    Track track = sequence.createTrack();
    for (int i = 0; i < 200; i++) {
      track.add(new MidiEvent(new ShortMessage(0x90, i % 16, i % 128, 1 + i % 127), i * 37L));
      track.add(new MidiEvent(new ShortMessage(0xE0, i % 16, i % 128, 64), i * 37L + 1));
      track.add(new MidiEvent(new ShortMessage(0xC0, i % 16, i % 128, 0), i * 37L + 2));
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    MidiSystem.write(sequence, 1, out);
    Path file = Files.write(folder.resolve("jdk.mid"), out.toByteArray());
    List<MidiReading.Struck> notes = MidiReading.notes(file);
    assertThat(notes).hasSize(200);
    for (int i = 0; i < 200; i++) {
      assertThat(notes.get(i))
          .isEqualTo(new MidiReading.Struck(i % 16, i % 128, i * 37L * 2, 1 + i % 127));
    }
  }

  @ParameterizedTest
  @CsvSource({
    "4D546864 00000006 0000 0001 0000, 0 ticks to a quarter note",
    "4D546864 00000006 0000 0001 E728, frames of a film",
    "4D546864 FFFFFFFF 0000 0001 0060, has 4294967295 bytes",
    "4D546864 00000006 0000 0001 0060 4D54726B FFFFFFF0 00, has 4294967280 bytes",
    "4D546864 00000006 0000 0001 0060 4D54726B 00000006 00 FF 01 FFFFFF, a track ends inside",
    "4D546864 00000006 0000 0001 0060 4D54726B 00000007 00 FF 01 FFFFFF7F, longer than its track",
    "4D546864 00000006 0000 0001 0060 4D54726B 00000003 00 24 64, an event has no status",
    "4D546864 00000006 0000 0001 0060 4D54726B 00000006 FFFFFFFF7F 99, longer than four bytes",
    "4D546864 00000006 0000 0001 0060 4D54726B 00000004 00 99 24 80, over 127",
    "4D546864 00000006 0000 0001 0001 4D54726B 00000008 FFFFFF7F 99 24 64 00, four hours",
    "52494646 00000006 0000 0001 0060, does not begin as one"
  })
  void whatIsWrongIsToldInOneSentence(String hex, String told) throws IOException {
    Path file = file(hex);
    assertThatThrownBy(() -> MidiReading.notes(file))
        .hasMessageContaining(told)
        .hasMessageContaining("could not be read as a MIDI file");
  }
}
