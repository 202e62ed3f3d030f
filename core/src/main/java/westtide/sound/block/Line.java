package westtide.sound.block;

/** A delay line that is read and written a block at a time; it is no shorter than a block. */
public final class Line {
  private final float[] ring;
  private final float[] kept;
  private int at;

  /** One of a length in samples. */
  public Line(int length, int block) {
    ring = new float[Math.max(length, block)];
    kept = new float[block];
  }

  /** The next samples to leave; they stay until they are written over. */
  public void read(float[] out, int length) {
    int first = Math.min(length, ring.length - at);
    System.arraycopy(ring, at, out, 0, first);
    System.arraycopy(ring, 0, out, first, length - first);
  }

  /** Puts samples in the place of those that left. */
  public void write(float[] in, int length) {
    int first = Math.min(length, ring.length - at);
    System.arraycopy(in, 0, ring, at, first);
    System.arraycopy(in, first, ring, 0, length - first);
    at = (at + length) % ring.length;
  }

  /** Gives samples for those that leave. */
  public void swap(float[] samples, int length) {
    read(kept, length);
    write(samples, length);
    System.arraycopy(kept, 0, samples, 0, length);
  }
}
