package westtide.heard;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import westtide.sound.Mixdown;

/** What one or several renderings add up to, both sides one after the other. */
public final class SummedStems {
  private static final int SIDES = 2;

  private final float[] samples;

  /** Nothing yet, of a length in samples a side. */
  public SummedStems(int frames) {
    samples = new float[SIDES * frames];
  }

  /** Adds one rendering from its beginning on. */
  public Mixdown.Sink one() {
    int[] at = {0};
    return (left, right, frames) -> {
      for (int i = 0; i < frames; i++) {
        samples[at[0]++] += left[i];
        samples[at[0]++] += right[i];
      }
    };
  }

  /** Writes it as 32-bit floats, the low byte first. */
  public void write(Path file) throws IOException {
    int lot = 1 << 16;
    ByteBuffer bytes = ByteBuffer.allocate(lot * Float.BYTES).order(ByteOrder.LITTLE_ENDIAN);
    try (OutputStream out = Files.newOutputStream(file)) {
      for (int from = 0; from < samples.length; from += lot) {
        int count = Math.min(lot, samples.length - from);
        bytes.asFloatBuffer().put(samples, from, count);
        out.write(bytes.array(), 0, count * Float.BYTES);
      }
    }
  }
}
