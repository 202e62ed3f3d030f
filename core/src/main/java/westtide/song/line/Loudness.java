package westtide.song.line;

/** The three velocities a line in writing tells apart. */
enum Loudness {
  SOFT("_", 1, 66),
  PLAIN("", 77, 92),
  ACCENT("^", 104, 112);

  private final String mark;
  private final int from;
  private final int velocity;

  Loudness(String mark, int from, int velocity) {
    this.mark = mark;
    this.from = from;
    this.velocity = velocity;
  }

  static Loudness of(int velocity) {
    return velocity >= ACCENT.from ? ACCENT : velocity >= PLAIN.from ? PLAIN : SOFT;
  }

  String mark() {
    return mark;
  }

  int velocity() {
    return velocity;
  }
}
