package westtide.file.sound;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.file.disk.UnusableFileException;
import westtide.song.found.Origin;
import westtide.song.found.Recording;

class SoundFileTest {
  private static final int RATE = 44_100;

  @TempDir private Path folder;

  private static Recording noise(int bits, int sides, int frames) {
    Random random = new Random(9);
    double steps = bits == 32 ? 0 : 1L << (bits - 1);
    float[][] out = new float[sides][frames];
    for (float[] side : out) {
      for (int i = 0; i < frames; i++) {
        double value = 1.8 * random.nextDouble() - 0.9;
        side[i] = (float) (steps == 0 ? value : 0.0 + Math.rint(value * steps) / steps);
      }
    }
    return Recording.of("noise", RATE, bits, out);
  }

  private Path written(Recording recording, Origin origin) throws IOException {
    Path path = folder.resolve("a.wav");
    SoundWriter.write(recording, origin, path);
    return path;
  }

  @ParameterizedTest
  @CsvSource({"8,1", "8,2", "16,1", "16,2", "24,1", "24,2", "32,2"})
  void whatIsWrittenIsReadAsItWas(int bits, int sides) throws Exception {
    Recording noise = noise(bits, sides, 12_345);
    Recording read = SoundFile.read(written(noise, Origin.UNKNOWN)).recording();
    assertThat(read).isEqualTo(noise);
    assertThat(read.bits()).isEqualTo(bits);
    assertThat(read.side(sides - 1)).containsExactly(noise.side(sides - 1));
  }

  /** Debian's sox writes the same samples in other ways; they are the same recording. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "b.aiff",
        "b.flac",
        "-e floating-point -b 32 b.wav",
        "-b 24 b.wav",
        "-b 24 b.flac",
        "-b 32 b.wav",
        "-e floating-point -b 64 b.wav",
        "b.aifc"
      })
  void whatAnotherProgramWritesIsTheSame(String words) throws Exception {
    Recording noise = noise(16, 2, 30_001);
    Path from = written(noise, Origin.UNKNOWN);
    String[] parts = words.split(" ");
    List<String> command = new java.util.ArrayList<>(List.of("sox", from.toString()));
    command.addAll(List.of(parts));
    String name = parts[parts.length - 1];
    command.set(command.size() - 1, folder.resolve(name).toString());
    if (!ran(command)) {
      return;
    }
    assertThat(SoundFile.read(folder.resolve(name)).recording()).isEqualTo(noise);
  }

  private static boolean ran(List<String> command) throws Exception {
    try {
      Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
      process.getInputStream().readAllBytes();
      assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
      assertThat(process.exitValue()).isZero();
      return true;
    } catch (IOException e) {
      System.out.println("sox is not installed; its files are passed over");
      return false;
    }
  }

  @Test
  void whereItIsFromIsKept() throws Exception {
    Origin origin = new Origin("Harbour strings", "Nobody", "free", "thanks", false);
    SoundFile.Sound read = SoundFile.read(written(noise(16, 1, 100), origin));
    assertThat(read.notes().origin()).isEqualTo(origin);
  }

  /** {@code acid} of 24 bytes and {@code smpl}: layouts from memory. */
  @Test
  void whatTheFileSaysOfItselfIsRead() throws Exception {
    byte[] plain = Files.readAllBytes(written(noise(16, 1, 1000), Origin.UNKNOWN));
    ByteBuffer more =
        ByteBuffer.allocate(8 + 24 + 8 + 36 + 24 + 8 + 28).order(ByteOrder.LITTLE_ENDIAN);
    more.put("acid".getBytes(StandardCharsets.US_ASCII)).putInt(24);
    more.putInt(2).putShort((short) 57).putShort((short) 0).putFloat(0);
    more.putInt(16).putShort((short) 4).putShort((short) 4).putFloat(92.99f);
    more.put("smpl".getBytes(StandardCharsets.US_ASCII)).putInt(60);
    more.put(new byte[28]).putInt(1).putInt(0).putInt(0).putInt(0).putInt(10).putInt(900);
    more.putInt(0).putInt(0);
    more.put("cue ".getBytes(StandardCharsets.US_ASCII)).putInt(28).putInt(1);
    more.putInt(1).putInt(0).putInt(0).putInt(0).putInt(0).putInt(441);
    Path path = folder.resolve("told.wav");
    byte[] all = new byte[plain.length + more.capacity()];
    System.arraycopy(plain, 0, all, 0, plain.length);
    System.arraycopy(more.array(), 0, all, plain.length, more.capacity());
    Files.write(path, all);
    var notes = SoundFile.read(path).notes();
    assertThat(notes.tempo().orElseThrow()).isCloseTo(92.99, within());
    assertThat(notes.beats()).hasValue(16);
    assertThat(notes.rootKey()).hasValue(57);
    assertThat(notes.loop().orElseThrow().last()).isEqualTo(900);
    assertThat(notes.cues()).containsExactly(441);
  }

  private static org.assertj.core.data.Offset<Double> within() {
    return org.assertj.core.data.Offset.offset(1e-4);
  }

  @Test
  void aFileThatIsCutShortIsReadAsFarAsItGoes() throws Exception {
    byte[] whole = Files.readAllBytes(written(noise(16, 2, 1000), Origin.UNKNOWN));
    Path path = folder.resolve("cut.wav");
    Files.write(path, java.util.Arrays.copyOf(whole, whole.length - 2001));
    assertThat(SoundFile.read(path).recording().frames()).isEqualTo(499);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"", "no sound at all", "RIFF\0\0\0\0WAVE", "fLaC\0\0\0\0", "FORM....AIFF"})
  void whatIsNoSoundIsRefusedInOneSentence(String content) throws Exception {
    Path path = folder.resolve("odd.wav");
    Files.writeString(path, content);
    assertThatThrownBy(() -> SoundFile.read(path))
        .isInstanceOf(UnusableFileException.class)
        .hasMessageContaining("cannot be brought in");
  }

  @Test
  void aMissingFileIsTold() {
    assertThatThrownBy(() -> SoundFile.read(folder.resolve("none.wav")))
        .isInstanceOf(UnusableFileException.class)
        .hasMessageContaining("is not there");
  }

  /** Every byte of a small file changed in turn: read, or refused in a sentence. */
  @Test
  void noDamageBringsItDown() throws Exception {
    byte[] whole = Files.readAllBytes(written(noise(16, 2, 40), Origin.UNKNOWN));
    Path path = folder.resolve("damaged.wav");
    int read = 0;
    for (int i = 0; i < 60; i++) {
      for (int value : new int[] {0, 1, 127, 255}) {
        byte[] damaged = whole.clone();
        damaged[i] = (byte) value;
        Files.write(path, damaged);
        try {
          read += SoundFile.read(path).recording().frames() > 0 ? 1 : 0;
        } catch (UnusableFileException e) {
          assertThat(e.getMessage()).doesNotContain("Exception");
        }
      }
    }
    assertThat(read).isPositive();
  }
}
