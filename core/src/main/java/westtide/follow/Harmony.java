package westtide.follow;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.rhythm.Meter;
import westtide.rhythm.Tempo;
import westtide.rhythm.Ticks;
import westtide.song.Brief;
import westtide.song.chord.ChordRhythm;
import westtide.song.chord.PlacedChord;
import westtide.song.chord.Progression;
import westtide.theory.NoteName;

/**
 * What a following part hears in a section.
 *
 * @param progression the name of the progression the chords are of
 * @param chords the chords from tick 0 to the end of the section, without gaps
 * @param meter the meter
 * @param tempo the tempo, by which strummed milliseconds become ticks
 * @param rhythm the rhythm of the progression; empty leaves it to each part
 * @param octave octaves by which chord parts stand higher or lower than usual
 */
public record Harmony(
    String progression,
    List<PlacedChord> chords,
    Meter meter,
    Tempo tempo,
    Optional<ChordRhythm> rhythm,
    int octave) {
  /**
   * As far as a stroke may stray from the place it is meant for: less than half a step, in ticks.
   */
  static final int STRAY = Ticks.PER_STEP / 2;

  /** Copies the chords. */
  public Harmony {
    chords = List.copyOf(chords);
  }

  /** A progression repeated over a number of bars, its pushes played. */
  public static Harmony of(Progression progression, int bars, Brief brief) {
    return over(progression, bars * brief.meter().ticksPerBar(), brief);
  }

  /** A progression repeated over so many ticks, its pushes played. */
  public static Harmony over(Progression progression, int ticks, Brief brief) {
    return new Harmony(
        progression.name(),
        progression.pushed(ticks),
        brief.meter(),
        brief.tempo(),
        progression.rhythm(),
        progression.octave());
  }

  /** The same chords over a bass note that stays. */
  public Harmony overPedal(NoteName bass) {
    List<PlacedChord> held = chords.stream().map(chord -> chord.overBass(bass)).toList();
    return new Harmony(progression, held, meter, tempo, rhythm, octave);
  }

  /** What is heard from a tick on, for so many ticks, as if it began there. */
  public Harmony from(int tick, int ticks) {
    List<PlacedChord> heard = new ArrayList<>();
    for (PlacedChord chord : chords) {
      int start = Math.max(chord.start(), tick);
      int end = Math.min(chord.end(), tick + ticks);
      if (end > start) {
        heard.add(new PlacedChord(start - tick, end - start, chord.span(), chord.push()));
      }
    }
    return new Harmony(progression, heard, meter, tempo, rhythm, octave);
  }

  /**
   * Where a stroke belongs that may stray from its place: the start of a chord that it comes less
   * than half a step before, or where it is. A pushed note takes the chord it is pushed towards.
   */
  int towards(int tick) {
    return after(tick).map(PlacedChord::start).filter(start -> start - tick < STRAY).orElse(tick);
  }

  /** Length in ticks. */
  public int ticks() {
    return chords.isEmpty() ? 0 : chords.get(chords.size() - 1).end();
  }

  /** The chord at a tick inside the section. */
  public PlacedChord at(int tick) {
    int index = index(tick);
    if (index < 0 || !chords.get(index).covers(tick)) {
      throw new IllegalArgumentException("no chord at tick " + tick);
    }
    return chords.get(index);
  }

  /** Whether nothing is played at a tick inside the section. */
  public boolean rests(int tick) {
    return at(tick).span().articulation().rest();
  }

  /** The first chord that starts after a tick, if the section has one. */
  public Optional<PlacedChord> after(int tick) {
    int next = index(tick) + 1;
    return next < chords.size() ? Optional.of(chords.get(next)) : Optional.empty();
  }

  /** The place of the last chord that starts at a tick or before. */
  private int index(int tick) {
    int low = 0;
    int high = chords.size();
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (chords.get(middle).start() <= tick) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low - 1;
  }
}
