package westtide.desktop.open;

/** The colours the window is drawn in. */
public enum Palette {
  /** A chart room by day. */
  DAY("day", "day.css"),
  /** The same chart by a dim lamp. */
  NIGHT_WATCH("night watch", "night.css");

  private final String title;
  private final String sheet;

  Palette(String title, String sheet) {
    this.title = title;
    this.sheet = sheet;
  }

  /** The name of its style sheet. */
  String sheet() {
    return sheet;
  }

  /** The other one. */
  public Palette other() {
    return this == DAY ? NIGHT_WATCH : DAY;
  }

  @Override
  public String toString() {
    return title;
  }
}
