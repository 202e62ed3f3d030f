package westtide.file.sound;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import westtide.song.found.Recording;

/**
 * How samples lie in a file.
 *
 * @param rate samples a second
 * @param channels sides, one or two
 * @param bytes bytes a sample and side
 * @param floating whether they are floating point
 * @param unsigned whether the lowest of eight bits is 0
 * @param order which byte comes first
 */
record PcmSamples(
    int rate, int channels, int bytes, boolean floating, boolean unsigned, ByteOrder order) {
  private static final int LOT = 1 << 14;

  PcmSamples {
    if (channels < 1 || channels > 2) {
      throw new IllegalArgumentException(
          "it has " + channels + " channels; recordings of one or two are read");
    }
    if (bytes < 1 || bytes > (floating ? 8 : 4) || floating && bytes < 4) {
      throw new IllegalArgumentException("it has samples of " + 8 * bytes + " bits");
    }
  }

  private int frameBytes() {
    return channels * bytes;
  }

  /** Reads what lies in a stretch of the file. */
  Recording read(String name, Chunks file, Chunks.Chunk data) throws IOException {
    long frames = data.size() / frameBytes();
    if (rate > 0 && frames > (long) Recording.MOST_SECONDS * rate) {
      throw new IllegalArgumentException(
          "it is longer than "
              + Recording.MOST_SECONDS / 60
              + " minutes; cut out the part you want and bring that in");
    }
    float[][] sides = new float[channels][(int) frames];
    ByteBuffer lot = ByteBuffer.allocate(LOT * frameBytes()).order(order);
    for (int from = 0; from < frames; from += LOT) {
      int count = (int) Math.min(LOT, frames - from);
      lot.clear().limit(count * frameBytes());
      file.fill(lot, data.at() + (long) from * frameBytes());
      lot.position(0).limit(count * frameBytes());
      for (int i = 0; i < count; i++) {
        for (int side = 0; side < channels; side++) {
          sides[side][from + i] = next(lot);
        }
      }
    }
    return Recording.of(name, rate, floating ? 32 : Math.min(32, 8 * bytes), sides);
  }

  private float next(ByteBuffer lot) {
    if (floating) {
      float value = bytes == 4 ? lot.getFloat() : (float) lot.getDouble();
      return Float.isFinite(value) ? value : 0;
    }
    return switch (bytes) {
      case 1 -> (unsigned ? (lot.get() & 0xFF) - 128 : lot.get()) / 128f;
      case 2 -> lot.getShort() / 32768f;
      case 3 -> three(lot) / 8388608f;
      default -> (float) (lot.getInt() / 2147483648.0);
    };
  }

  private int three(ByteBuffer lot) {
    int a = lot.get();
    int b = lot.get() & 0xFF;
    int c = lot.get();
    return order == ByteOrder.BIG_ENDIAN
        ? a << 16 | b << 8 | c & 0xFF
        : c << 16 | b << 8 | a & 0xFF;
  }
}
