package westtide.follow;

import java.util.List;
import java.util.Optional;
import westtide.rhythm.Meter;
import westtide.rhythm.Tempo;
import westtide.song.Brief;
import westtide.song.chord.ChordRhythm;
import westtide.song.chord.PlacedChord;
import westtide.song.chord.Progression;
import westtide.theory.NoteName;

/**
 * What a following part hears in a section.
 *
 * @param chords the chords from tick 0 to the end of the section, without gaps
 * @param kicks ticks of the kick hits, ascending; empty where no drums are written
 * @param meter the meter
 * @param tempo the tempo, by which strummed milliseconds become ticks
 * @param rhythm the rhythm of the progression; empty leaves it to each part
 * @param octave octaves by which chord parts stand higher or lower than usual
 */
public record Harmony(
    List<PlacedChord> chords,
    List<Integer> kicks,
    Meter meter,
    Tempo tempo,
    Optional<ChordRhythm> rhythm,
    int octave) {
  /** Copies the lists. */
  public Harmony {
    chords = List.copyOf(chords);
    kicks = List.copyOf(kicks);
  }

  /** A progression repeated over a number of bars, its pushes played. */
  public static Harmony of(Progression progression, int bars, Brief brief, List<Integer> kicks) {
    int ticks = bars * brief.meter().ticksPerBar();
    return new Harmony(
        progression.pushed(ticks),
        kicks,
        brief.meter(),
        brief.tempo(),
        progression.rhythm(),
        progression.octave());
  }

  /** The same chords over a bass note that stays. */
  public Harmony overPedal(NoteName bass) {
    List<PlacedChord> held = chords.stream().map(chord -> chord.overBass(bass)).toList();
    return new Harmony(held, kicks, meter, tempo, rhythm, octave);
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
