package westtide.file.sound;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import westtide.file.disk.UnusableFileException;
import westtide.file.disk.WholeFile;
import westtide.song.found.Origin;
import westtide.song.found.Recording;

/**
 * Writes recordings as WAV exactly as they are: what was read with 8, 16 or 24 bits in as many,
 * anything else as floating point; where they are from in {@code LIST}/{@code INFO}.
 */
public final class SoundWriter {
  private static final ByteOrder ORDER = ByteOrder.LITTLE_ENDIAN;
  private static final int FORMAT_BYTES = 16;
  private static final int LOT = 1 << 14;

  private final Recording recording;
  private final Origin origin;

  private SoundWriter(Recording recording, Origin origin) {
    this.recording = recording;
    this.origin = origin;
  }

  /**
   * Writes a recording, an old file replaced whole.
   *
   * @throws UnusableFileException when the place cannot be written
   */
  public static void write(Recording recording, Origin origin, Path path)
      throws UnusableFileException {
    WholeFile.write(path, new SoundWriter(recording, origin)::written);
  }

  /** A recording as the bytes of a file. */
  public static byte[] bytes(Recording recording, Origin origin) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      new SoundWriter(recording, origin).write(out);
    } catch (IOException e) {
      throw new UncheckedIOException("bytes in memory cannot fail", e);
    }
    return out.toByteArray();
  }

  private boolean written(OutputStream out) throws IOException {
    write(out);
    return true;
  }

  private void write(OutputStream out) throws IOException {
    byte[] info = info();
    int bytes = recording.bits() / 8;
    long data = (long) recording.frames() * recording.channels() * bytes;
    long odd = data & 1;
    int infoBytes = info.length == 0 ? 0 : 8 + info.length;
    out.write(
        ByteBuffer.allocate(12 + 8 + FORMAT_BYTES)
            .order(ORDER)
            .put(letters("RIFF"))
            .putInt((int) (4 + 8 + FORMAT_BYTES + infoBytes + 8 + data + odd))
            .put(letters("WAVEfmt "))
            .putInt(FORMAT_BYTES)
            .putShort((short) (recording.bits() == 32 ? 3 : 1))
            .putShort((short) recording.channels())
            .putInt(recording.rate())
            .putInt(recording.rate() * recording.channels() * bytes)
            .putShort((short) (recording.channels() * bytes))
            .putShort((short) recording.bits())
            .array());
    if (info.length > 0) {
      chunk(out, "LIST", info);
    }
    out.write(letters("data"));
    out.write(ByteBuffer.allocate(4).order(ORDER).putInt((int) data).array());
    samples(out, bytes);
    if (odd == 1) {
      out.write(0);
    }
  }

  private void samples(OutputStream out, int bytes) throws IOException {
    int sides = recording.channels();
    ByteBuffer lot = ByteBuffer.allocate(LOT * sides * bytes).order(ORDER);
    for (int i = 0; i < recording.frames(); i++) {
      for (int side = 0; side < sides; side++) {
        put(lot, recording.side(side)[i]);
      }
      if (!lot.hasRemaining()) {
        out.write(lot.array());
        lot.clear();
      }
    }
    out.write(lot.array(), 0, lot.position());
  }

  private void put(ByteBuffer lot, float sample) {
    switch (recording.bits()) {
      case 8 -> lot.put((byte) (held(sample * 128, 127) + 128));
      case 16 -> lot.putShort((short) held(sample * 32768, 32767));
      case 24 -> {
        int value = held(sample * 8388608, 8388607);
        lot.put((byte) value).put((byte) (value >> 8)).put((byte) (value >> 16));
      }
      default -> lot.putFloat(sample);
    }
  }

  private static int held(double value, int most) {
    return (int) Math.max(-most - 1, Math.min(most, Math.rint(value)));
  }

  private byte[] info() throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(letters("INFO"));
    text(out, "INAM", origin.source());
    text(out, "IART", origin.author());
    text(out, "ICOP", origin.licence());
    text(out, "ICMT", origin.credit());
    return out.size() == 4 ? new byte[0] : out.toByteArray();
  }

  private static void text(OutputStream out, String id, String said) throws IOException {
    if (!said.isBlank()) {
      chunk(out, id, (said + '\0').getBytes(StandardCharsets.UTF_8));
    }
  }

  private static void chunk(OutputStream out, String id, byte[] bytes) throws IOException {
    out.write(letters(id));
    out.write(ByteBuffer.allocate(4).order(ORDER).putInt(bytes.length).array());
    out.write(bytes);
    if ((bytes.length & 1) == 1) {
      out.write(0);
    }
  }

  private static byte[] letters(String text) {
    return text.getBytes(StandardCharsets.US_ASCII);
  }
}
