package westtide.style;

import java.util.Collections;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import westtide.rhythm.Figure;
import westtide.song.drum.LaneId;
import westtide.song.id.PartId;
import westtide.song.pattern.Arpeggio;
import westtide.theory.voicing.ChordMember;

/** What a part of an ensemble is there for. */
public sealed interface Job {
  /** Does what fits the kind of job. */
  <R> R accept(Kinds<R> kinds);

  /**
   * One answer a kind of job, so that none is forgotten.
   *
   * @param <R> what is answered
   */
  interface Kinds<R> {
    /** For the chords once more. */
    R bed(Bed job);

    /** For what another part plays. */
    R twin(Twin job);

    /** For broken chords. */
    R broken(Broken job);

    /** For a line beside the lead. */
    R beside(Beside job);

    /** For more drums. */
    R percussion(Percussion job);
  }

  /**
   * The chords once more, in a rhythm of its own: a pad that holds them, a pluck on the off-beats.
   *
   * @param octaves octaves above (positive) or below the chord part
   * @param without members left out
   * @param figure its rhythm; empty holds each chord for its length
   * @param strum milliseconds from note to note; 0 strikes all at once
   */
  record Bed(int octaves, Set<ChordMember> without, Optional<Figure> figure, int strum)
      implements Job {
    /** Copies the members. */
    public Bed {
      without = members(without);
    }

    @Override
    public <R> R accept(Kinds<R> kinds) {
      return kinds.bed(this);
    }
  }

  /**
   * What another part plays, on another instrument.
   *
   * @param of the part
   * @param octaves octaves above (positive) or below it
   * @param velocity added to its velocities
   * @param without members of the chord left out
   */
  record Twin(PartId of, int octaves, int velocity, Set<ChordMember> without) implements Job {
    /** Copies the members. */
    public Twin {
      without = members(without);
    }

    @Override
    public <R> R accept(Kinds<R> kinds) {
      return kinds.twin(this);
    }
  }

  /**
   * The notes of the chords one after another.
   *
   * @param rule in which order and how fast
   */
  record Broken(Arpeggio rule) implements Job {
    @Override
    public <R> R accept(Kinds<R> kinds) {
      return kinds.broken(this);
    }
  }

  /**
   * A line that hears the lead.
   *
   * @param kind how it goes beside it
   * @param octaves octaves above (positive) or below where it would stand
   */
  record Beside(Kind kind, int octaves) implements Job {
    /** How a line goes beside another. */
    public enum Kind {
      /** Few notes in its rests. */
      COUNTER,
      /** Its first bar of two, in the bar after it. */
      ANSWER,
      /** The tops of the chords, held and quiet. */
      GHOST,
      /** Short hard chords at the start of every second bar. */
      STABS,
      /** A bar in the rhythm of the style, repeated. */
      RIFF
    }

    @Override
    public <R> R accept(Kinds<R> kinds) {
      return kinds.beside(this);
    }
  }

  /**
   * More drums, beside the kit.
   *
   * @param bars length of what they play
   * @param lanes what each of them plays
   */
  record Percussion(int bars, Map<LaneId, LaneHabit> lanes) implements Job {
    /** Copies the lanes, keeping the order. */
    public Percussion {
      lanes = Collections.unmodifiableMap(new LinkedHashMap<>(lanes));
    }

    @Override
    public <R> R accept(Kinds<R> kinds) {
      return kinds.percussion(this);
    }
  }

  private static Set<ChordMember> members(Set<ChordMember> some) {
    Set<ChordMember> out = EnumSet.noneOf(ChordMember.class);
    out.addAll(some);
    return Collections.unmodifiableSet(out);
  }
}
