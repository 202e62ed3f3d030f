package westtide.file.sound;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import westtide.found.SoundNotes;
import westtide.song.found.Recording;
import westtide.text.Plain;

/**
 * Reads AIFF and uncompressed AIFF-C (Apple 1989 and 1991, from memory): {@code COMM} with its rate
 * as an 80 bit number, {@code SSND} with an offset, names in chunks of text.
 */
final class AiffReader {
  private static final ByteOrder ORDER = ByteOrder.BIG_ENDIAN;
  private static final int EXPONENT_BIAS = 16383;
  private static final int SOUND_HEAD = 8;

  private final Chunks chunks;

  AiffReader(Chunks chunks) {
    this.chunks = chunks;
  }

  SoundFile.Sound read(String name) throws IOException {
    ByteBuffer format =
        chunks
            .find("COMM", ORDER)
            .filter(bytes -> bytes.limit() >= 18)
            .orElseThrow(() -> new IllegalArgumentException("it does not say how it is written"));
    PcmSamples samples = samples(format);
    Chunks.Chunk data = null;
    SoundNotes notes = SoundNotes.NONE;
    for (Chunks.Chunk chunk : chunks.all(ORDER)) {
      if (chunk.id().equals("SSND") && chunk.size() >= SOUND_HEAD) {
        int offset = Math.max(0, chunks.bytes(chunk.at(), 4, ORDER).getInt(0));
        long skipped = Math.min(chunk.size(), (long) SOUND_HEAD + offset);
        data = new Chunks.Chunk("SSND", chunk.at() + skipped, chunk.size() - skipped);
      } else {
        notes = told(notes, chunk);
      }
    }
    if (data == null) {
      throw new IllegalArgumentException("there is no sound in it");
    }
    Recording recording = samples.read(name, chunks, data);
    return new SoundFile.Sound(recording, notes);
  }

  private static PcmSamples samples(ByteBuffer format) {
    String kind =
        format.limit() < 22
            ? "NONE"
            : new String(format.array(), 18, 4, StandardCharsets.ISO_8859_1);
    boolean floating = kind.equalsIgnoreCase("fl32") || kind.equalsIgnoreCase("fl64");
    boolean swapped = kind.equals("sowt");
    if (!floating && !swapped && !kind.equals("NONE") && !kind.equals("twos")) {
      throw new IllegalArgumentException(
          "it is compressed (" + Plain.of(kind) + "); write it as plain AIFF, WAV or FLAC first");
    }
    int bytes = ((format.getShort(6) & 0xFFFF) + 7) / 8;
    return new PcmSamples(
        (int) Math.round(extended(format)),
        format.getShort(0) & 0xFFFF,
        bytes,
        floating,
        false,
        swapped ? ByteOrder.LITTLE_ENDIAN : ORDER);
  }

  /** A number of 80 bits: sign and exponent in two bytes, the mantissa in eight. */
  private static double extended(ByteBuffer format) {
    int exponent = (format.getShort(8) & 0x7FFF) - EXPONENT_BIAS;
    double mantissa = (format.getLong(10) >>> 1) / (double) (1L << 62);
    return mantissa * Math.pow(2, exponent);
  }

  private SoundNotes told(SoundNotes notes, Chunks.Chunk chunk) throws IOException {
    return switch (chunk.id()) {
      case "NAME" -> notes.withOrigin(origin -> origin.withSource(said(chunk)));
      case "AUTH" -> notes.withOrigin(origin -> origin.withAuthor(said(chunk)));
      case "(c) " -> notes.withOrigin(origin -> origin.withLicence(said(chunk)));
      case "ANNO" -> notes.withOrigin(origin -> origin.withCredit(said(chunk)));
      default -> notes;
    };
  }

  private String said(Chunks.Chunk chunk) {
    try {
      ByteBuffer bytes = chunks.bytes(chunk, ORDER);
      return Plain.of(new String(bytes.array(), 0, bytes.limit(), StandardCharsets.UTF_8)).strip();
    } catch (IOException e) {
      return "";
    }
  }
}
