package westtide.song.form;

import java.util.Collections;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.Set;
import westtide.song.drum.LaneId;
import westtide.song.mix.Range;
import westtide.theory.voicing.ChordMember;

/**
 * Which notes of a part are left out over a cell: by what they are in the chord heard, by the drum
 * that is struck, or by strength.
 *
 * @param without members of the chord that are not played
 * @param lanes lanes of drums that are not played
 * @param softest notes softer than this are not played, 0 to 127; 0 plays all
 */
public record Thinning(Set<ChordMember> without, Set<LaneId> lanes, int softest) {
  /** Every note is played. */
  public static final Thinning NONE = new Thinning(Set.of(), Set.of(), 0);

  /** Copies the sets and checks the strength. */
  public Thinning {
    without =
        Collections.unmodifiableSet(
            without.isEmpty() ? EnumSet.noneOf(ChordMember.class) : EnumSet.copyOf(without));
    lanes = Collections.unmodifiableSet(new LinkedHashSet<>(lanes));
    Range.check("the softest note", softest, 0, 127, "(velocity)");
  }

  /** The same with other members left out. */
  public Thinning withoutMembers(Set<ChordMember> other) {
    return new Thinning(other, lanes, softest);
  }

  /** The same with other lanes left out. */
  public Thinning withoutLanes(Set<LaneId> other) {
    return new Thinning(without, other, softest);
  }

  /** The same with another softest note that is played. */
  public Thinning withSoftest(int velocity) {
    return new Thinning(without, lanes, velocity);
  }
}
