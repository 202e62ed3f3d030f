package westtide.song.pattern;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import westtide.rhythm.Meter;
import westtide.rhythm.StepLane;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.drum.PlacedHit;
import westtide.song.drum.Restart;
import westtide.song.line.ChordNote;
import westtide.song.line.Note;
import westtide.theory.Key;

/**
 * What a part plays: drum lanes, a variation of them, written notes or a rule. It repeats from the
 * start of its section.
 */
public sealed interface Pattern {
  /** Does what fits the kind of pattern. */
  <R> R accept(Kinds<R> kinds);

  /**
   * One answer a kind of pattern, so that none is forgotten.
   *
   * @param <R> what is answered
   */
  interface Kinds<R> {
    /** For a groove. */
    R drums(Drums pattern);

    /** For a groove that follows another. */
    R varied(Varied pattern);

    /** For a written line. */
    R written(Written pattern);

    /** For a phrase. */
    R phrase(Phrase pattern);

    /** For a line attached to the chords. */
    R attached(Attached pattern);

    /** For a part that follows. */
    R following(Following pattern);
  }

  /**
   * A groove.
   *
   * @param bars length in bars, 1 to 16
   * @param restart when lanes of their own length all begin again
   * @param lanes the lanes, each once
   */
  record Drums(int bars, Restart restart, List<DrumLane> lanes) implements Pattern {
    /** Copies the lanes and checks that none stands twice. */
    public Drums {
      lanes = List.copyOf(lanes);
      checkBars(bars);
      if (lanes.stream().map(DrumLane::id).distinct().count() != lanes.size()) {
        throw new IllegalArgumentException("a groove has each lane once");
      }
    }

    /** A groove whose lanes restart with it. */
    public Drums(int bars, List<DrumLane> lanes) {
      this(bars, Restart.WITH_GROOVE, lanes);
    }

    @Override
    public <R> R accept(Kinds<R> kinds) {
      return kinds.drums(this);
    }

    /** The lane of that name, if there is one. */
    public Optional<DrumLane> find(LaneId id) {
      return lanes.stream().filter(lane -> lane.id().equals(id)).findFirst();
    }

    /** The steps of the first lane of a drum, if there is one. */
    public Optional<StepLane> lane(DrumVoice voice) {
      return find(voice.lane()).map(DrumLane::lane);
    }

    /** The same bars and restart with other lanes. */
    public Drums withLanes(List<DrumLane> other) {
      return new Drums(bars, restart, other);
    }

    /** The same lanes restarting elsewhere. */
    public Drums withRestart(Restart other) {
      return new Drums(bars, other, lanes);
    }

    /** The groove with a lane in place of the one of its name, or as its last. */
    public Drums with(DrumLane lane) {
      if (find(lane.id()).isPresent()) {
        return each(old -> old.id().equals(lane.id()) ? lane : old);
      }
      List<DrumLane> more = new ArrayList<>(lanes);
      more.add(lane);
      return withLanes(more);
    }

    /** The groove without a lane. */
    public Drums without(LaneId id) {
      return withLanes(lanes.stream().filter(lane -> !lane.id().equals(id)).toList());
    }

    /** The groove with every lane changed. */
    public Drums each(UnaryOperator<DrumLane> change) {
      return withLanes(lanes.stream().map(change).toList());
    }

    /** The groove with the steps of a lane changed; one it lacks stays lacking. */
    public Drums withLane(LaneId id, UnaryOperator<StepLane> change) {
      return each(l -> l.id().equals(id) ? l.withLane(change.apply(l.lane())) : l);
    }

    /** The groove repeated, or cut, to a number of bars; lanes of their own length stay. */
    public Drums over(int wanted, Meter meter) {
      return GrooveLink.of(this, wanted, meter).base();
    }

    /** Where the hits of one of its lanes fall in the groove, with its restarts. */
    public List<PlacedHit> laid(DrumLane lane, Meter meter) {
      return lane.laid(ticks(meter), restartTicks(lane, meter));
    }

    /** Ticks from one restart of a lane to the next: its own, or those of all lanes. */
    public int restartTicks(DrumLane lane, Meter meter) {
      return lane.restart().orElse(restart).ticks(ticks(meter));
    }

    /** Ticks of the groove in a meter. */
    public int ticks(Meter meter) {
      return bars * meter.ticksPerBar();
    }
  }

  /**
   * A groove that grew from another of its part and follows it wherever it was not changed.
   *
   * @param parent name of the groove it grew from
   * @param bars length in bars, 1 to 16; the parent is repeated or cut
   * @param changes in what it differs
   */
  record Varied(String parent, int bars, List<GrooveChange> changes) implements Pattern {
    /** Copies the changes. */
    public Varied {
      changes = List.copyOf(changes);
      checkBars(bars);
    }

    @Override
    public <R> R accept(Kinds<R> kinds) {
      return kinds.varied(this);
    }

    /** The same link to a groove of another name. */
    public Varied withParent(String name) {
      return new Varied(name, bars, changes);
    }

    /** The same link with other changes. */
    public Varied withChanges(List<GrooveChange> other) {
      return new Varied(parent, bars, other);
    }

    /** The groove it is when its parent is that one. */
    public Drums groove(Drums parentGroove, Meter meter) {
      return GrooveLink.of(parentGroove, bars, meter).with(changes);
    }

    /** The same link with the changes that lead to a groove. */
    public Varied leadingTo(Drums groove, Drums parentGroove, Meter meter) {
      return new Varied(
          parent, groove.bars(), GrooveLink.of(parentGroove, groove.bars(), meter).to(groove));
    }
  }

  /**
   * A written line.
   *
   * @param bars length in bars, 1 to 16
   * @param notes the notes, in order of start and height
   * @param cycle its length in steps where that is not its bars
   */
  record Written(int bars, List<Note> notes, LineCycle cycle) implements Pattern {
    /** Sorts and copies the notes and checks the length. */
    public Written {
      checkBars(bars);
      if (cycle.steps() > 16 * bars) {
        throw new IllegalArgumentException(
            "a cycle lies inside its bars, but was " + cycle.steps() + " steps in " + bars);
      }
      notes =
          notes.stream()
              .sorted(Comparator.comparingInt(Note::start).thenComparingInt(Note::key))
              .toList();
    }

    /** A line as long as its bars. */
    public Written(int bars, List<Note> notes) {
      this(bars, notes, LineCycle.NONE);
    }

    @Override
    public <R> R accept(Kinds<R> kinds) {
      return kinds.written(this);
    }

    /** The same length with other notes. */
    public Written withNotes(List<Note> other) {
      return new Written(bars, other, cycle);
    }

    /** The same notes coming round after other steps. */
    public Written withCycle(LineCycle other) {
      return new Written(bars, notes, other);
    }

    /** Ticks from one pass to the next. */
    public int ticks(Meter meter) {
      return cycle.ticks(bars, meter);
    }

    /** The tick of the line that is heard at a tick of its section. */
    public int within(int tick, Meter meter) {
      return tick % cycle.restartTicks(tick + 1, meter) % ticks(meter);
    }
  }

  /**
   * A motif and the units that lead from it, each linked to it until it is changed by itself.
   *
   * @param unitBars bars of the motif and of every unit, 1 to 8
   * @param motif its notes
   * @param units what follows, the first usually being the motif; 16 bars in all at most
   */
  record Phrase(int unitBars, List<Note> motif, List<PhraseUnit> units) implements Pattern {
    /** Copies the lists and checks the length. */
    public Phrase {
      motif = List.copyOf(motif);
      units = List.copyOf(units);
      checkBars(unitBars * Math.max(1, units.size()));
      if (unitBars < 1 || units.isEmpty()) {
        throw new IllegalArgumentException("a phrase has units of a bar or more, but had none");
      }
    }

    @Override
    public <R> R accept(Kinds<R> kinds) {
      return kinds.phrase(this);
    }

    /** Length in bars. */
    public int bars() {
      return unitBars * units.size();
    }

    /** The phrase as it is played. */
    public Written written(Key key, Meter meter) {
      int ticks = unitBars * meter.ticksPerBar();
      List<Note> out = new ArrayList<>();
      for (int i = 0; i < units.size(); i++) {
        for (Note note : units.get(i).notes(motif, key, ticks)) {
          out.add(note.withStart(note.start() + i * ticks));
        }
      }
      return new Written(bars(), out);
    }

    /**
     * The phrase that plays those notes: what was changed in a unit that is the motif itself
     * changes the motif, and with it all that follows; what was changed elsewhere becomes that
     * unit's own.
     */
    public Phrase leadingTo(List<Note> notes, Key key, Meter meter) {
      int ticks = unitBars * meter.ticksPerBar();
      List<Note> before = written(key, meter).notes();
      List<Note> changed = motif;
      List<PhraseUnit> out = new ArrayList<>();
      for (int i = 0; i < units.size(); i++) {
        PhraseUnit unit = units.get(i);
        List<Note> old = slice(before, i, ticks);
        List<Note> now = slice(notes, i, ticks);
        if (now.equals(old)) {
          out.add(unit);
        } else if (unit.change() == PhraseUnit.Change.MOTIF && unit.own().isEmpty()) {
          changed = now;
          out.add(unit);
        } else {
          out.add(unit.withOwn(now));
        }
      }
      return new Phrase(unitBars, changed, out);
    }

    private static List<Note> slice(List<Note> notes, int unit, int ticks) {
      return notes.stream()
          .filter(note -> note.start() / ticks == unit)
          .map(note -> note.withStart(note.start() - unit * ticks))
          .sorted(Comparator.comparingInt(Note::start).thenComparingInt(Note::key))
          .toList();
    }

    /** The notes of a unit that are not what the motif makes of it, in ticks of the phrase. */
    public List<Note> differing(Key key, Meter meter) {
      int ticks = unitBars * meter.ticksPerBar();
      List<Note> out = new ArrayList<>();
      for (int i = 0; i < units.size(); i++) {
        List<Note> expected = units.get(i).derived(motif, key, ticks);
        for (Note note : units.get(i).notes(motif, key, ticks)) {
          if (!expected.contains(note)) {
            out.add(note.withStart(note.start() + i * ticks));
          }
        }
      }
      return out;
    }
  }

  /**
   * A line written in degrees of the chords that are heard, so that it follows them.
   *
   * @param bars length in bars, 1 to 16
   * @param lowest MIDI note from which the octave of the basses begins, 12 to 72
   * @param notes the notes, in order of start
   */
  record Attached(int bars, int lowest, List<ChordNote> notes) implements Pattern {
    /** Sorts and copies the notes. */
    public Attached {
      checkBars(bars);
      if (lowest < 12 || lowest > 72) {
        throw new IllegalArgumentException(
            "the lowest note of a line on chords is 12 to 72, but was " + lowest);
      }
      notes = notes.stream().sorted(Comparator.comparingInt(ChordNote::start)).toList();
    }

    @Override
    public <R> R accept(Kinds<R> kinds) {
      return kinds.attached(this);
    }

    /** The same length and height with other notes. */
    public Attached withNotes(List<ChordNote> other) {
      return new Attached(bars, lowest, other);
    }

    /** The same notes in another octave or from another note. */
    public Attached withLowest(int midi) {
      return new Attached(bars, midi, notes);
    }
  }

  /**
   * A part that follows.
   *
   * @param rule how
   */
  record Following(FollowRule rule) implements Pattern {
    @Override
    public <R> R accept(Kinds<R> kinds) {
      return kinds.following(this);
    }
  }

  private static void checkBars(int bars) {
    if (bars < 1 || bars > 16) {
      throw new IllegalArgumentException("a pattern has 1 to 16 bars, but was " + bars);
    }
  }
}
