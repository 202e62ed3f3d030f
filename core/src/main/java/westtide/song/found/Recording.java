package westtide.song.found;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/**
 * The samples of a sound that was brought in. They are never changed: what is done to them is done
 * on the way to the ear. Two recordings of the same samples are the same recording.
 *
 * <p>One whose file is missing keeps its place, its name and its length, and is silent.
 */
public final class Recording {
  /** The longest recording, in seconds. */
  public static final int MOST_SECONDS = 600;

  /** The lowest and highest rates, in Hz. */
  public static final int LOWEST_RATE = 4000;

  /** The highest rate, in Hz. */
  public static final int HIGHEST_RATE = 192_000;

  private static final int ID_BYTES = 10;
  private static final int LOT = 8192;

  private final String id;
  private final String name;
  private final int rate;
  private final int bits;
  private final int channels;
  private final int frames;
  private final float[][] sides;

  private Recording(
      String id, String name, int rate, int bits, int channels, int frames, float[][] sides) {
    this.id = id;
    this.name = name;
    this.rate = rate;
    this.bits = bits;
    this.channels = channels;
    this.frames = frames;
    this.sides = sides;
  }

  /**
   * A recording of samples, which are kept as they are and belong to it from now on.
   *
   * @param name what its file is called, without ending
   * @param rate samples a second
   * @param bits how finely they were written: 8, 16, 24, or 32 for floating point
   * @param sides one side or two of equal length, −1 to 1
   * @throws IllegalArgumentException when there is nothing in it, or too much
   */
  public static Recording of(String name, int rate, int bits, float[]... sides) {
    if (rate < LOWEST_RATE || rate > HIGHEST_RATE) {
      throw new IllegalArgumentException(
          "its rate is "
              + rate
              + " Hz; recordings of "
              + LOWEST_RATE
              + " to "
              + HIGHEST_RATE
              + " Hz are read");
    }
    if (sides.length < 1 || sides.length > 2) {
      throw new IllegalArgumentException(
          "it has " + sides.length + " channels; recordings of one or two are read");
    }
    int frames = sides[0].length;
    if (frames == 0) {
      throw new IllegalArgumentException("there is no sound in it");
    }
    if (frames > (long) MOST_SECONDS * rate) {
      throw new IllegalArgumentException(
          "it is longer than "
              + MOST_SECONDS / 60
              + " minutes; cut out the part you want and bring that in");
    }
    return new Recording(idOf(rate, sides), name, rate, bits, sides.length, frames, sides);
  }

  /** A recording whose samples are not there. */
  public static Recording missing(
      String id, String name, int rate, int bits, int channels, int frames) {
    return new Recording(id, name, rate, bits, channels, frames, new float[0][]);
  }

  /** The same samples under another name. */
  public Recording withName(String other) {
    return new Recording(id, other, rate, bits, channels, frames, sides);
  }

  /** What it is known by: the same for the same samples, whatever file they were in. */
  public String id() {
    return id;
  }

  /** What its file was called, without ending. */
  public String name() {
    return name;
  }

  /** Samples a second. */
  public int rate() {
    return rate;
  }

  /** How finely its file was written: 8, 16, 24, or 32 for floating point. */
  public int bits() {
    return bits;
  }

  /** One side, or two. */
  public int channels() {
    return channels;
  }

  /** Samples a side. */
  public int frames() {
    return frames;
  }

  /** How long it is. */
  public double seconds() {
    return frames / (double) rate;
  }

  /** Whether its samples are there. */
  public boolean isThere() {
    return sides.length > 0;
  }

  /** The samples of a side, 0 or 1, which nobody changes; both sides of a mono recording are it. */
  public float[] side(int side) {
    return sides[Math.min(side, sides.length - 1)];
  }

  /** Both sides as one. */
  public float[] middle() {
    return sides.length == 0 ? new float[0] : middle(sides);
  }

  /** One side, or two of equal length, as one; a single side is handed back itself. */
  public static float[] middle(float[]... sides) {
    if (sides.length < 2) {
      return sides[0];
    }
    float[] out = new float[sides[0].length];
    for (int i = 0; i < out.length; i++) {
      out[i] = (sides[0][i] + sides[1][i]) / 2;
    }
    return out;
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Recording that && id.equals(that.id) && isThere() == that.isThere();
  }

  @Override
  public int hashCode() {
    return id.hashCode();
  }

  @Override
  public String toString() {
    return name + " (" + id + ")";
  }

  private static String idOf(int rate, float[]... sides) {
    try {
      MessageDigest digest = MessageDigest.getInstance("SHA-256");
      ByteBuffer bytes = ByteBuffer.allocate(LOT).order(ByteOrder.LITTLE_ENDIAN);
      bytes.putInt(rate).putInt(sides.length);
      for (float[] side : sides) {
        for (float sample : side) {
          if (bytes.remaining() < Float.BYTES) {
            digest.update(bytes.flip());
            bytes.clear();
          }
          bytes.putFloat(sample == 0 ? 0 : sample);
        }
      }
      digest.update(bytes.flip());
      return HexFormat.of().formatHex(digest.digest(), 0, ID_BYTES);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java has SHA-256", e);
    }
  }
}
