package westtide.song.pattern;

import java.util.ArrayList;
import java.util.List;
import westtide.rhythm.Meter;
import westtide.song.chord.PlacedChord;
import westtide.song.line.Note;

/**
 * How a written line sits on the chords below it. Strong beats are the beats of the meter.
 *
 * @param notes the line, in order of start
 * @param chords the chords from tick 0 on, covering every note's start
 * @param meter the meter
 */
public record LineFit(List<Note> notes, List<PlacedChord> chords, Meter meter) {
  /** The interval in semitones past which a step back is wanted: a fourth. */
  public static final int LEAP = 5;

  /** Sorts nothing and copies both lists. */
  public LineFit {
    notes = List.copyOf(notes);
    chords = List.copyOf(chords);
  }

  /** The notes that start on a beat. */
  public List<Note> strong() {
    return notes.stream().filter(note -> note.start() % meter.ticksPerBeat() == 0).toList();
  }

  /** Whether a note belongs to the chord it starts on. */
  public boolean onChord(Note note) {
    return chords.stream()
        .filter(chord -> chord.covers(note.start()))
        .anyMatch(chord -> chord.chord().contains(note.key() % 12));
  }

  /** Share of the notes on beats that are chord tones, 0 to 1; 1 when there is none. */
  public double chordToneShare() {
    List<Note> strong = strong();
    return strong.isEmpty()
        ? 1
        : strong.stream().filter(this::onChord).count() / (double) strong.size();
  }

  /** Strong notes a semitone above a tone of their chord that do not fall at once into it. */
  public List<Note> rubs() {
    List<Note> out = new ArrayList<>();
    for (Note note : strong()) {
      if (!onChord(note) && semitoneAboveTone(note) && !resolvesDown(note)) {
        out.add(note);
      }
    }
    return out;
  }

  /** Notes of so many ticks or more that stand a semitone above a tone of their chord. */
  public List<Note> grating(int ticks) {
    return notes.stream()
        .filter(note -> note.ticks() >= ticks && !onChord(note) && semitoneAboveTone(note))
        .toList();
  }

  /** Leaps past a fourth that are not followed by a step back, counted by their first note. */
  public int openLeaps() {
    int open = 0;
    for (int i = 0; i + 2 < notes.size(); i++) {
      int leap = interval(i);
      int next = interval(i + 1);
      boolean back = Integer.signum(next) == -Integer.signum(leap) && Math.abs(next) <= LEAP;
      open += Math.abs(leap) > LEAP && !back ? 1 : 0;
    }
    return open;
  }

  /** Share of moves between neighbours larger than two semitones, 0 to 1. */
  public double leapShare() {
    if (notes.size() < 2) {
      return 0;
    }
    int leaps = 0;
    for (int i = 0; i + 1 < notes.size(); i++) {
      leaps += Math.abs(interval(i)) > 2 ? 1 : 0;
    }
    return leaps / (double) (notes.size() - 1);
  }

  /** Distance from the lowest to the highest note, in semitones. */
  public int range() {
    int low = notes.stream().mapToInt(Note::key).min().orElse(0);
    return notes.stream().mapToInt(Note::key).max().orElse(0) - low;
  }

  private int interval(int index) {
    return notes.get(index + 1).key() - notes.get(index).key();
  }

  private boolean semitoneAboveTone(Note note) {
    return chords.stream()
        .filter(chord -> chord.covers(note.start()))
        .anyMatch(chord -> chord.chord().contains(Math.floorMod(note.key() - 1, 12)));
  }

  private boolean resolvesDown(Note note) {
    return notes.stream()
        .filter(next -> next.start() > note.start())
        .findFirst()
        .map(next -> next.key() == note.key() - 1 && next.start() - note.start() <= 480)
        .orElse(false);
  }
}
