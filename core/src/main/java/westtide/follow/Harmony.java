package westtide.follow;

import java.util.List;
import java.util.Optional;
import westtide.rhythm.Meter;
import westtide.song.PlacedChord;
import westtide.song.Progression;

/**
 * What a following part hears in a section.
 *
 * @param chords the chords from tick 0 to the end of the section, without gaps
 * @param kicks ticks of the kick hits, ascending; empty where no drums are written
 * @param meter the meter
 */
public record Harmony(List<PlacedChord> chords, List<Integer> kicks, Meter meter) {
  /** Copies the lists. */
  public Harmony {
    chords = List.copyOf(chords);
    kicks = List.copyOf(kicks);
  }

  /** A progression repeated over a number of bars. */
  public static Harmony of(Progression progression, int bars, Meter meter, List<Integer> kicks) {
    return new Harmony(progression.over(bars * meter.ticksPerBar()), kicks, meter);
  }

  /** Length in ticks. */
  public int ticks() {
    return chords.isEmpty() ? 0 : chords.get(chords.size() - 1).end();
  }

  /** The chord at a tick inside the section. */
  public PlacedChord at(int tick) {
    return chords.stream()
        .filter(chord -> chord.covers(tick))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("no chord at tick " + tick));
  }

  /** The first chord that starts after a tick, if the section has one. */
  public Optional<PlacedChord> after(int tick) {
    return chords.stream().filter(chord -> chord.start() > tick).findFirst();
  }
}
