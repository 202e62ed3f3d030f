package westtide.song.form;

import westtide.rhythm.Velocity;

/** How full a part's tank is in a section; it scales the velocities. Full plays what is written. */
public enum Level {
  OUT("out", 0),
  HINT("hint", 45),
  HALF("half", 72),
  FULL("full", 100),
  LIFTED("lifted", 112);

  private final String title;
  private final int percent;

  Level(String title, int percent) {
    this.title = title;
    this.percent = percent;
  }

  /** The level of that title; throws {@link IllegalArgumentException} when there is none. */
  public static Level parse(String title) {
    for (Level level : values()) {
      if (level.title.equals(title)) {
        return level;
      }
    }
    throw new IllegalArgumentException(
        "a level is out, hint, half, full or lifted, but was \"" + title + "\"");
  }

  /** A velocity at this level, held inside 1 to 127. */
  public int scale(int velocity) {
    return Velocity.held(Math.round(velocity * percent / 100.0));
  }

  /** The next fuller level; lifted stays lifted. */
  public Level fuller() {
    return values()[Math.min(ordinal() + 1, values().length - 1)];
  }

  /** The next emptier level; out stays out. */
  public Level emptier() {
    return values()[Math.max(ordinal() - 1, 0)];
  }

  @Override
  public String toString() {
    return title;
  }
}
