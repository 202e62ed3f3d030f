package westtide.file.sound;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The chunks of a RIFF or IFF file: four letters, a length, bytes padded to even length. */
final class Chunks {
  private static final int HEADER = 12;
  private static final int HEAD = 8;
  private static final int MOST = 4096;
  private static final int MOST_BYTES = 1 << 20;

  private final FileChannel channel;

  /**
   * A chunk.
   *
   * @param id its four letters
   * @param at where its bytes begin
   * @param size how many there are, never more than the file holds
   */
  record Chunk(String id, long at, long size) {}

  Chunks(FileChannel channel) {
    this.channel = channel;
  }

  /** The chunks of the file, those of a damaged end cut at its last byte. */
  List<Chunk> all(ByteOrder order) throws IOException {
    return within(HEADER, channel.size(), order);
  }

  /** The chunks in a stretch of the file. */
  List<Chunk> within(long from, long to, ByteOrder order) throws IOException {
    List<Chunk> out = new ArrayList<>();
    long at = from;
    while (at + HEAD <= to && out.size() < MOST) {
      ByteBuffer head = bytes(at, HEAD, order);
      String id = text(at, 4);
      long size = Math.min(Integer.toUnsignedLong(head.getInt(4)), to - at - HEAD);
      out.add(new Chunk(id, at + HEAD, size));
      at += HEAD + size + (size & 1);
    }
    return out;
  }

  Optional<ByteBuffer> find(String id, ByteOrder order) throws IOException {
    for (Chunk chunk : all(order)) {
      if (chunk.id().equals(id)) {
        return Optional.of(bytes(chunk, order));
      }
    }
    return Optional.empty();
  }

  ByteBuffer bytes(Chunk chunk, ByteOrder order) throws IOException {
    return bytes(chunk.at(), (int) Math.min(MOST_BYTES, chunk.size()), order);
  }

  /** That many bytes, fewer at the end of the file. */
  ByteBuffer bytes(long at, int count, ByteOrder order) throws IOException {
    ByteBuffer out = ByteBuffer.allocate(count).order(order);
    fill(out, at);
    return out.flip();
  }

  void fill(ByteBuffer into, long at) throws IOException {
    long from = at;
    while (into.hasRemaining()) {
      int read = channel.read(into, from);
      if (read < 0) {
        return;
      }
      from += read;
    }
  }

  String text(long at, int count) throws IOException {
    ByteBuffer found = bytes(at, count, ByteOrder.BIG_ENDIAN);
    return new String(found.array(), 0, found.limit(), StandardCharsets.ISO_8859_1);
  }
}
