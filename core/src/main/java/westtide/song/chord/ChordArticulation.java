package westtide.song.chord;

import java.util.Collections;
import java.util.EnumSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Consumer;
import westtide.song.id.PartId;
import westtide.theory.voicing.ChordMember;
import westtide.theory.voicing.Voicing;
import westtide.theory.voicing.VoicingKind;

/**
 * How one chord of a row is played, where that differs from the rest of the part.
 *
 * @param push ticks by which the change comes before its place, 0 to 960: a push
 * @param rest whether nothing is played: chord parts, 808 and bass that follow are silent
 * @param kind how its notes are spread; empty leaves it to the part
 * @param inversion which of its tones is the lowest note, 0 the root, 1 the third, 2 the fifth, 3
 *     the seventh, to 6; empty leaves the bass as the chord is written
 * @param own the notes chosen one by one; empty lets voice leading choose
 * @param strum how its notes enter; empty strikes them at once
 * @param without what single parts leave out of this chord
 */
public record ChordArticulation(
    int push,
    boolean rest,
    Optional<VoicingKind> kind,
    Optional<Integer> inversion,
    Optional<Voicing> own,
    Optional<Strum> strum,
    Map<PartId, Set<ChordMember>> without) {
  /** On time, sounding, laid out by the part. */
  public static final ChordArticulation PLAIN =
      new ChordArticulation(
          0,
          false,
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          Map.of());

  private static final int EARLIEST = 960;
  private static final int MOST_TURNS = 6;

  /** Checks the ranges. */
  public ChordArticulation {
    if (push < 0 || push > EARLIEST) {
      throw new IllegalArgumentException("a push is 0 to 960 ticks early, but was " + push);
    }
    inversion.ifPresent(ChordArticulation::checkInversion);
    Map<PartId, Set<ChordMember>> ordered = new TreeMap<>();
    without.forEach(
        (part, members) -> {
          if (!members.isEmpty()) {
            ordered.put(part, Collections.unmodifiableSet(EnumSet.copyOf(members)));
          }
        });
    without = Collections.unmodifiableMap(ordered);
  }

  private static void checkInversion(int turns) {
    if (turns < 0 || turns > MOST_TURNS) {
      throw new IllegalArgumentException("an inversion is 0 to 6, but was " + turns);
    }
  }

  /** The same, pushed by ticks. */
  public ChordArticulation withPush(int ticks) {
    return with(copy -> copy.push = ticks);
  }

  /** The same, silent or not. */
  public ChordArticulation withRest(boolean silent) {
    return with(copy -> copy.rest = silent);
  }

  /** The same spread another way; notes chosen one by one are let go. */
  public ChordArticulation withKind(Optional<VoicingKind> other) {
    return with(
        copy -> {
          copy.kind = other;
          copy.own = Optional.empty();
        });
  }

  /** The same in another inversion; notes chosen one by one are let go. */
  public ChordArticulation withInversion(Optional<Integer> turns) {
    return with(
        copy -> {
          copy.inversion = turns;
          copy.own = Optional.empty();
        });
  }

  /** The same with notes of its own. */
  public ChordArticulation withOwn(Optional<Voicing> notes) {
    return with(copy -> copy.own = notes);
  }

  /** What a part leaves out of this chord. */
  public Set<ChordMember> without(PartId part) {
    return without.getOrDefault(part, Set.of());
  }

  /** The same with other members left out by a part; none takes its entry away. */
  public ChordArticulation withWithout(PartId part, Set<ChordMember> members) {
    Map<PartId, Set<ChordMember>> more = new TreeMap<>(without);
    more.put(part, members);
    return with(copy -> copy.without = more);
  }

  /** The same with every part playing all of it. */
  public ChordArticulation withoutParts() {
    return with(copy -> copy.without = Map.of());
  }

  /** The same strummed another way. */
  public ChordArticulation withStrum(Optional<Strum> other) {
    return with(copy -> copy.strum = other);
  }

  private ChordArticulation with(Consumer<Copy> change) {
    Copy copy = new Copy(this);
    change.accept(copy);
    return copy.made();
  }

  /** Its values by their names, so that one of them can be another. */
  private static final class Copy {
    private int push;
    private boolean rest;
    private Optional<VoicingKind> kind;
    private Optional<Integer> inversion;
    private Optional<Voicing> own;
    private Optional<Strum> strum;
    private Map<PartId, Set<ChordMember>> without;

    Copy(ChordArticulation from) {
      push = from.push;
      rest = from.rest;
      kind = from.kind;
      inversion = from.inversion;
      own = from.own;
      strum = from.strum;
      without = from.without;
    }

    ChordArticulation made() {
      return new ChordArticulation(push, rest, kind, inversion, own, strum, without);
    }
  }
}
