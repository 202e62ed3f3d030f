package westtide.file.sound;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import westtide.found.SoundNotes;
import westtide.song.found.Origin;
import westtide.song.found.Recording;
import westtide.text.Plain;

/**
 * Reads RIFF/WAVE: {@code fmt} of 16, 18 or 40 bytes, whole or floating point samples, and what
 * {@code LIST}, {@code acid}, {@code smpl} and {@code cue} say (Microsoft and IBM 1991; layouts
 * from memory).
 */
final class WavReader {
  private static final ByteOrder ORDER = ByteOrder.LITTLE_ENDIAN;
  private static final int PCM = 1;
  private static final int FLOAT = 3;
  private static final int EXTENSIBLE = 0xFFFE;
  private static final int ROOT_IS_SET = 2;
  private static final int ONE_SHOT = 1;
  private static final int CUE_BYTES = 24;
  private static final int MOST_CUES = 1024;

  private final Chunks chunks;

  WavReader(Chunks chunks) {
    this.chunks = chunks;
  }

  SoundFile.Sound read(String name) throws IOException {
    ByteBuffer format =
        chunks
            .find("fmt ", ORDER)
            .filter(bytes -> bytes.limit() >= 16)
            .orElseThrow(() -> new IllegalArgumentException("it does not say how it is written"));
    Chunks.Chunk data = null;
    SoundNotes notes = SoundNotes.NONE;
    for (Chunks.Chunk chunk : chunks.all(ORDER)) {
      if (chunk.id().equals("data") && data == null) {
        data = chunk;
      } else {
        notes = told(notes, chunk);
      }
    }
    if (data == null) {
      throw new IllegalArgumentException("there is no sound in it");
    }
    Recording recording = samples(format).read(name, chunks, data);
    return new SoundFile.Sound(recording, notes);
  }

  private static PcmSamples samples(ByteBuffer format) {
    int kind = format.getShort(0) & 0xFFFF;
    if (kind == EXTENSIBLE && format.limit() >= 26) {
      kind = format.getShort(24) & 0xFFFF;
    }
    if (kind != PCM && kind != FLOAT) {
      throw new IllegalArgumentException(
          "it is compressed (kind " + kind + "); write it as plain WAV or FLAC first");
    }
    int bytes = ((format.getShort(14) & 0xFFFF) + 7) / 8;
    return new PcmSamples(
        format.getInt(4), format.getShort(2) & 0xFFFF, bytes, kind == FLOAT, bytes == 1, ORDER);
  }

  private SoundNotes told(SoundNotes notes, Chunks.Chunk chunk) throws IOException {
    return switch (chunk.id()) {
      case "acid" -> acid(notes, chunks.bytes(chunk, ORDER));
      case "smpl" -> sampler(notes, chunks.bytes(chunk, ORDER));
      case "cue " -> cues(notes, chunks.bytes(chunk, ORDER));
      case "LIST" -> list(notes, chunk);
      default -> notes;
    };
  }

  private static SoundNotes acid(SoundNotes notes, ByteBuffer bytes) {
    if (bytes.limit() < CUE_BYTES) {
      return notes;
    }
    int flags = bytes.getInt(0);
    SoundNotes out =
        (flags & ROOT_IS_SET) != 0 ? notes.withRootKey(bytes.getShort(4) & 0xFFFF) : notes;
    boolean oneShot = (flags & ONE_SHOT) != 0;
    return oneShot ? out : out.withBeats(bytes.getInt(12)).withTempo(bytes.getFloat(20));
  }

  private static SoundNotes sampler(SoundNotes notes, ByteBuffer bytes) {
    if (bytes.limit() < 36) {
      return notes;
    }
    SoundNotes out = notes;
    boolean loops = bytes.getInt(28) > 0 && bytes.limit() >= 36 + CUE_BYTES;
    return loops ? out.withLoop(bytes.getInt(44), bytes.getInt(48)) : out;
  }

  private static SoundNotes cues(SoundNotes notes, ByteBuffer bytes) {
    List<Integer> out = new ArrayList<>();
    for (int at = 4; at + CUE_BYTES <= bytes.limit() && out.size() < MOST_CUES; at += CUE_BYTES) {
      int frame = bytes.getInt(at + 20);
      if (frame >= 0) {
        out.add(frame);
      }
    }
    return notes.withCues(out);
  }

  private SoundNotes list(SoundNotes notes, Chunks.Chunk list) throws IOException {
    if (list.size() < 4 || !chunks.text(list.at(), 4).equals("INFO")) {
      return notes;
    }
    SoundNotes out = notes;
    for (Chunks.Chunk one : chunks.within(list.at() + 4, list.at() + list.size(), ORDER)) {
      String said = said(chunks.bytes(one, ORDER));
      out = out.withOrigin(written(one.id(), said));
    }
    return out;
  }

  private static UnaryOperator<Origin> written(String id, String said) {
    return switch (id) {
      case "INAM" -> origin -> origin.withSource(said);
      case "IART" -> origin -> origin.withAuthor(said);
      case "ICOP" -> origin -> origin.withLicence(said);
      case "ICMT" -> origin -> origin.withCredit(said);
      default -> UnaryOperator.identity();
    };
  }

  private static String said(ByteBuffer bytes) {
    String text = new String(bytes.array(), 0, bytes.limit(), StandardCharsets.UTF_8);
    int end = text.indexOf('\0');
    return Plain.of(end < 0 ? text : text.substring(0, end)).strip();
  }
}
