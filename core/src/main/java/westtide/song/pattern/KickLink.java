package westtide.song.pattern;

/**
 * The two schools of kick and 808: every 808 note starts with a kick, or the kick goes its own way.
 */
public enum KickLink {
  LOCKED("locked to the kick"),
  INDEPENDENT("own rhythm");

  private final String title;

  KickLink(String title) {
    this.title = title;
  }

  @Override
  public String toString() {
    return title;
  }
}
