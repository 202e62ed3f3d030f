package westtide.song.chord;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import westtide.rhythm.Meter;
import westtide.rhythm.Ticks;
import westtide.song.line.Note;
import westtide.theory.Chord;
import westtide.theory.ChordNamer;
import westtide.theory.Key;
import westtide.theory.voicing.Voicing;

/**
 * Chords that were played with the hand as chord symbols with the voicing they were played in. Keys
 * struck within a thirty-second of each other are one chord; it lasts until the next.
 *
 * @param key the key in which they are named
 * @param meter the meter
 */
public record PlayedChords(Key key, Meter meter) {
  private static final int TOGETHER = Ticks.PER_STEP / 2;
  private static final int LEAST = 3;
  private static final int GRID = 2 * Ticks.PER_STEP;

  /**
   * The chords of so many bars, or nothing where no three keys were struck together. Changes are
   * put on eighths; the first chord begins the bars.
   */
  public List<ChordSpan> of(List<Note> notes, int bars) {
    int end = bars * meter.ticksPerBar();
    TreeMap<Integer, List<Integer>> struck = new TreeMap<>();
    for (List<Note> together : groups(notes)) {
      TreeSet<Integer> keys = new TreeSet<>();
      together.forEach(note -> keys.add(note.key()));
      int start = (together.get(0).start() + GRID / 2) / GRID * GRID;
      if (keys.size() >= LEAST && start < end && named(List.copyOf(keys)).isPresent()) {
        struck.putIfAbsent(struck.isEmpty() ? 0 : start, List.copyOf(keys));
      }
    }
    List<ChordSpan> out = new ArrayList<>();
    for (int start : struck.keySet()) {
      Integer next = struck.higherKey(start);
      List<Integer> keys = struck.get(start);
      Chord chord = named(keys).orElseThrow();
      out.add(
          ChordSpan.of(chord, (next == null ? end : next) - start)
              .withArticulation(a -> a.withOwn(Optional.of(new Voicing(keys)))));
    }
    return out;
  }

  private static List<List<Note>> groups(List<Note> notes) {
    List<List<Note>> out = new ArrayList<>();
    for (Note note : notes) {
      boolean joins =
          !out.isEmpty() && note.start() - out.get(out.size() - 1).get(0).start() <= TOGETHER;
      if (!joins) {
        out.add(new ArrayList<>());
      }
      out.get(out.size() - 1).add(note);
    }
    return out;
  }

  private Optional<Chord> named(List<Integer> keys) {
    return ChordNamer.in(key).names(keys).stream().map(ChordNamer.Name::chord).findFirst();
  }
}
