package westtide.song.form;

import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.Set;
import westtide.song.id.PartId;

/**
 * What keeps a section the same as others: an edit of one of a group changes all of them, except in
 * what a section has of its own.
 *
 * @param group the number of the group, 1 or more
 * @param different whether edits of this section stay with it
 * @param own parts whose arrangement is this section's own
 */
public record SectionLink(int group, boolean different, Set<PartId> own) {
  /** Copies the parts and checks the number. */
  public SectionLink {
    if (group < 1) {
      throw new IllegalArgumentException("a group of sections is 1 or more, but was " + group);
    }
    own = Collections.unmodifiableSet(new LinkedHashSet<>(own));
  }

  /** A section that is the same as the others of its group. */
  public static SectionLink of(int group) {
    return new SectionLink(group, false, Set.of());
  }

  /** The same with edits that stay with this section, or that reach the others again. */
  public SectionLink withDifferent(boolean other) {
    return new SectionLink(group, other, own);
  }

  /** The same with a part of its own. */
  public SectionLink withOwn(PartId part) {
    Set<PartId> more = new LinkedHashSet<>(own);
    more.add(part);
    return new SectionLink(group, different, more);
  }

  /** The same with a part that is as in the others again. */
  public SectionLink withoutOwn(PartId part) {
    Set<PartId> fewer = new LinkedHashSet<>(own);
    fewer.remove(part);
    return new SectionLink(group, different, fewer);
  }
}
