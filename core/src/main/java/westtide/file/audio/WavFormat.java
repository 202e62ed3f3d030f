package westtide.file.audio;

/**
 * How samples are written.
 *
 * @param rate samples a second, 44 100 or 48 000
 * @param bits bits a sample, 16 or 24
 */
public record WavFormat(int rate, int bits) {
  /** 24 bit at 48 kHz. */
  public static final WavFormat USUAL = new WavFormat(48_000, 24);

  /** Checks both. */
  public WavFormat {
    if (rate != 44_100 && rate != 48_000) {
      throw new IllegalArgumentException("a sample rate is 44100 or 48000 Hz, but was " + rate);
    }
    if (bits != 16 && bits != 24) {
      throw new IllegalArgumentException("a sample has 16 or 24 bits, but was " + bits);
    }
  }

  /** Bytes of one sample of both sides. */
  int frameBytes() {
    return 2 * bits / 8;
  }
}
