package westtide.file.audio;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import westtide.sound.block.Blocks;

/**
 * Writes stereo samples as RIFF/WAVE with a {@code fmt} chunk of 16 bytes (Microsoft and IBM, 1991,
 * from memory). 16 bit samples are dithered with triangular noise from a fixed seed, so that quiet
 * tails fade into noise instead of steps and the same song gives the same file; 24 bit samples are
 * rounded.
 */
final class WavWriter {
  private static final int HEADER = 44;
  private static final int FORMAT_BYTES = 16;
  private static final short PCM = 1;
  private static final short SIDES = 2;

  private final OutputStream out;
  private final WavFormat format;
  private final double full;
  private final boolean dithers;
  private byte[] bytes = new byte[0];
  private long state = 0x9E3779B97F4A7C15L;
  private float peak;

  WavWriter(OutputStream out, WavFormat format, long frames) throws IOException {
    this.out = out;
    this.format = format;
    this.full = (1L << (format.bits() - 1)) - 1.0;
    this.dithers = format.bits() == 16;
    out.write(header(format, frames));
  }

  private static byte[] header(WavFormat format, long frames) throws IOException {
    long data = frames * format.frameBytes();
    if (data > Integer.MAX_VALUE - HEADER) {
      throw new IOException("the song is longer than a WAV file can hold");
    }
    return ByteBuffer.allocate(HEADER)
        .order(ByteOrder.LITTLE_ENDIAN)
        .put("RIFF".getBytes(StandardCharsets.US_ASCII))
        .putInt((int) (HEADER - 8 + data))
        .put("WAVEfmt ".getBytes(StandardCharsets.US_ASCII))
        .putInt(FORMAT_BYTES)
        .putShort(PCM)
        .putShort(SIDES)
        .putInt(format.rate())
        .putInt(format.rate() * format.frameBytes())
        .putShort((short) format.frameBytes())
        .putShort((short) format.bits())
        .put("data".getBytes(StandardCharsets.US_ASCII))
        .putInt((int) data)
        .array();
  }

  void write(float[] left, float[] right, int frames) throws IOException {
    int length = frames * format.frameBytes();
    bytes = bytes.length < length ? new byte[length] : bytes;
    put(left, frames, 0);
    put(right, frames, format.frameBytes() / SIDES);
    out.write(bytes, 0, length);
  }

  /** The loudest sample so far; above 1 it did not fit and was cut. */
  double peak() {
    return peak;
  }

  private void put(float[] samples, int frames, int from) {
    peak = Math.max(peak, Blocks.peak(samples, frames));
    if (dithers) {
      putTwoBytes(samples, frames, from);
    } else {
      putThreeBytes(samples, frames, from);
    }
  }

  private void putTwoBytes(float[] samples, int frames, int from) {
    int at = from;
    for (int i = 0; i < frames; i++) {
      int value = rounded(samples[i] * full + (noise() + noise()));
      bytes[at] = (byte) value;
      bytes[at + 1] = (byte) (value >> 8);
      at += SIDES * 2;
    }
  }

  private void putThreeBytes(float[] samples, int frames, int from) {
    int at = from;
    for (int i = 0; i < frames; i++) {
      int value = rounded(samples[i] * full);
      bytes[at] = (byte) value;
      bytes[at + 1] = (byte) (value >> 8);
      bytes[at + 2] = (byte) (value >> 16);
      at += SIDES * 3;
    }
  }

  /** The nearest step, held to what the format can hold. */
  private int rounded(double scaled) {
    if (scaled >= full) {
      return (int) full;
    }
    if (scaled <= -full) {
      return (int) -full;
    }
    return (int) (scaled < 0 ? scaled - 0.5 : scaled + 0.5);
  }

  /** Half a step either way. */
  private double noise() {
    state ^= state << 13;
    state ^= state >>> 7;
    state ^= state << 17;
    return state * (0.5 / (1L << 62) / 2);
  }
}
