package westtide.play;

import java.util.Optional;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.DataLine;
import javax.sound.sampled.LineUnavailableException;
import javax.sound.sampled.SourceDataLine;

/** The machine's own audio line, 16 bit stereo. */
public final class SystemOutput implements AudioOutput {
  private static final int BYTES_A_FRAME = 4;
  private static final float FULL = 32_767;

  private final SourceDataLine line;
  private final int rate;
  private final byte[] bytes;

  private SystemOutput(SourceDataLine line, int rate, int blockFrames) {
    this.line = line;
    this.rate = rate;
    this.bytes = new byte[blockFrames * BYTES_A_FRAME];
  }

  /** Opens the usual line for blocks of a length; empty when the machine has none to give. */
  public static Optional<AudioOutput> open(int rate, int blockFrames) {
    AudioFormat format = new AudioFormat(rate, 16, 2, true, false);
    DataLine.Info info = new DataLine.Info(SourceDataLine.class, format);
    if (!AudioSystem.isLineSupported(info)) {
      return Optional.empty();
    }
    try {
      SourceDataLine line = (SourceDataLine) AudioSystem.getLine(info);
      line.open(format, AHEAD_MILLIS * rate / 1000 * BYTES_A_FRAME);
      return Optional.of(new SystemOutput(line, rate, blockFrames));
    } catch (LineUnavailableException | IllegalArgumentException | SecurityException e) {
      return Optional.empty();
    }
  }

  @Override
  public String name() {
    return "system audio";
  }

  @Override
  public boolean audible() {
    return true;
  }

  @Override
  public int rate() {
    return rate;
  }

  @Override
  public void write(float[] left, float[] right, int frames) {
    for (int i = 0; i < frames; i++) {
      put(i * BYTES_A_FRAME, left[i]);
      put(i * BYTES_A_FRAME + 2, right[i]);
    }
    if (!line.isRunning()) {
      line.start();
    }
    int taken = line.write(bytes, 0, frames * BYTES_A_FRAME);
    if (taken < frames * BYTES_A_FRAME) {
      throw new IllegalStateException("the audio line took " + taken + " bytes and no more");
    }
  }

  private void put(int at, float sample) {
    int value = Math.round(Math.max(-1, Math.min(1, sample)) * FULL);
    bytes[at] = (byte) value;
    bytes[at + 1] = (byte) (value >> 8);
  }

  @Override
  public int pending() {
    return (line.getBufferSize() - line.available()) / BYTES_A_FRAME;
  }

  @Override
  public void rest() {
    line.drain();
    line.stop();
  }

  @Override
  public void close() {
    line.close();
  }
}
