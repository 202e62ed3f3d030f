package westtide.song.found;

import java.util.function.Consumer;

/**
 * Where a sound is from, and whether it may be used. Who may use what is decided by the law of the
 * place and by people who know it; this only keeps what was found out.
 *
 * @param source the record, library or place it was taken from
 * @param author who made it
 * @param licence under which it may be used
 * @param credit how its author wants to be named
 * @param cleared whether its use is settled
 */
public record Origin(String source, String author, String licence, String credit, boolean cleared) {
  /** Nothing is known of it. */
  public static final Origin UNKNOWN = new Origin("", "", "", "", false);

  /** The same from another source. */
  public Origin withSource(String other) {
    return with(copy -> copy.source = other);
  }

  /** The same by another author. */
  public Origin withAuthor(String other) {
    return with(copy -> copy.author = other);
  }

  /** The same under another licence. */
  public Origin withLicence(String other) {
    return with(copy -> copy.licence = other);
  }

  /** The same with another credit. */
  public Origin withCredit(String other) {
    return with(copy -> copy.credit = other);
  }

  /** The same, cleared or not. */
  public Origin withCleared(boolean settled) {
    return with(copy -> copy.cleared = settled);
  }

  /** What is known of it, in a line; empty when nothing is. */
  public String line() {
    StringBuilder out = new StringBuilder();
    add(out, source);
    add(out, author);
    add(out, licence);
    return out.toString();
  }

  private static void add(StringBuilder out, String what) {
    if (!what.isBlank()) {
      out.append(out.length() == 0 ? "" : ", ").append(what.strip());
    }
  }

  private Origin with(Consumer<Copy> change) {
    Copy copy = new Copy(this);
    change.accept(copy);
    return copy.made();
  }

  private static final class Copy {
    private String source;
    private String author;
    private String licence;
    private String credit;
    private boolean cleared;

    Copy(Origin from) {
      source = from.source;
      author = from.author;
      licence = from.licence;
      credit = from.credit;
      cleared = from.cleared;
    }

    Origin made() {
      return new Origin(source, author, licence, credit, cleared);
    }
  }
}
