package westtide.song.mix;

/** The room a part is sent to. */
public enum ReverbKind {
  /** Close walls: 0.5 s until it has died away by 60 dB, duller than what is sent. */
  SMALL("small room"),
  /** Dense at once and bright, 1.4 s, like a plate of steel. */
  PLATE("plate"),
  /** Late and wide, 2.6 s. */
  HALL("hall");

  private final String title;

  ReverbKind(String title) {
    this.title = title;
  }

  @Override
  public String toString() {
    return title;
  }
}
