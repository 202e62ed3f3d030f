package westtide.follow;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import westtide.song.chord.PlacedChord;
import westtide.song.line.ChordDegree;
import westtide.song.line.ChordDegree.Of;
import westtide.song.line.ChordNote;
import westtide.song.line.Note;
import westtide.theory.Interval;
import westtide.theory.Key;
import westtide.theory.NoteName;
import westtide.theory.Pitch;

/**
 * The height of notes that are attached to the chords heard, and back: which degree of its chord a
 * note is. The bass of a chord stands in the octave that begins at the lowest note, every other
 * member in the octave above it; degrees of the key count from the tonic in the lowest octave.
 *
 * @param harmony the chords heard
 * @param key the key, whose scale fills in what a chord has no member for
 * @param lowest MIDI note from which the octave of the basses begins
 */
public record ChordDegrees(Harmony harmony, Key key, int lowest) {
  private static final int NEAR = 2;
  private static final int LONGEST = 16;

  /** The notes of a pattern repeated over all that is heard; where the chords rest it rests. */
  public List<Note> resolve(List<ChordNote> notes, int patternTicks) {
    List<Note> out = new ArrayList<>();
    over(notes, patternTicks, (index, note) -> out.add(note));
    return out;
  }

  /** For each note of {@link #resolve} its place in the pattern. */
  public List<Integer> origins(List<ChordNote> notes, int patternTicks) {
    List<Integer> out = new ArrayList<>();
    over(notes, patternTicks, (index, note) -> out.add(index));
    return out;
  }

  private void over(List<ChordNote> notes, int patternTicks, BiConsumer<Integer, Note> sink) {
    for (int from = 0; from < harmony.ticks(); from += patternTicks) {
      for (int i = 0; i < notes.size(); i++) {
        ChordNote note = notes.get(i);
        int at = from + note.start();
        if (note.start() < patternTicks && at < harmony.ticks() && !harmony.rests(at)) {
          sink.accept(i, new Note(at, note.ticks(), midi(note, at), note.velocity(), note.slide()));
        }
      }
    }
  }

  /** The MIDI note of an attached note at a tick, held inside 0 to 127. */
  public int midi(ChordNote note, int tick) {
    return held(height(note.degree(), chord(note.degree(), tick)) + 12 * note.octave());
  }

  private static int held(int midi) {
    return midi < 0 ? Math.floorMod(midi, 12) : midi > 127 ? 108 + midi % 12 : midi;
  }

  private PlacedChord chord(ChordDegree degree, int tick) {
    PlacedChord here = harmony.at(tick);
    return degree.next() ? harmony.after(tick).orElse(harmony.chords().get(0)) : here;
  }

  private int bass(PlacedChord chord) {
    return Pitch.atOrAbove(lowest, chord.chord().bass().pitchClass());
  }

  private int height(ChordDegree degree, PlacedChord chord) {
    if (degree.ofKey()) {
      int home = Pitch.atOrAbove(lowest, key.tonic().pitchClass());
      return home + Interval.ofDegree(degree.tone(), degree.shift()).semitones();
    }
    int bass = bass(chord);
    if (degree.tone() == 1 || degree.tone() == 8) {
      return bass + (degree.tone() == 8 ? 12 : 0) + degree.shift();
    }
    int pitchClass =
        Math.floorMod(chord.chord().root().pitchClass() + semitones(degree.tone(), chord), 12);
    int above = Pitch.atOrAbove(bass, pitchClass);
    return above + (degree.tone() > 8 ? 12 : 0) + degree.shift();
  }

  /** Semitones above the root: the member of the chord, else the step of the scale. */
  private int semitones(int tone, PlacedChord chord) {
    Optional<Interval> member = chord.chord().quality().tone(tone);
    return member.map(Interval::semitones).orElseGet(() -> scaleStep(tone, chord));
  }

  private int scaleStep(int tone, PlacedChord chord) {
    NoteName root = chord.chord().root();
    List<NoteName> scale = key.chordKey().notes();
    for (int i = 0; i < scale.size(); i++) {
      if (scale.get(i).pitchClass() == root.pitchClass() && scale.size() == 7) {
        int goal = scale.get((i + tone - 1) % scale.size()).pitchClass();
        return Math.floorMod(goal - root.pitchClass(), 12);
      }
    }
    return Interval.ofDegree(tone, 0).semitones();
  }

  /**
   * Notes as degrees of the chords they are heard over: members of the chord first, then what leads
   * into the next chord, else a distance from the bass.
   */
  public List<ChordNote> attach(List<Note> notes) {
    return notes.stream().map(this::attach).toList();
  }

  /**
   * The shortest pattern of whole bars that plays those notes over all that is heard; where there
   * is none, the first sixteen bars.
   *
   * @param barTicks ticks of a bar
   */
  public Written written(List<Note> notes, int barTicks) {
    int bars = harmony.ticks() / barTicks;
    for (int wanted = 1; wanted < bars && wanted < LONGEST; wanted *= 2) {
      List<ChordNote> attached = attach(before(notes, wanted * barTicks));
      if (resolve(attached, wanted * barTicks).equals(notes)) {
        return new Written(wanted, attached);
      }
    }
    int most = Math.min(LONGEST, bars);
    return new Written(most, attach(before(notes, most * barTicks)));
  }

  /**
   * What a rule played, in writing.
   *
   * @param bars its length
   * @param notes its notes
   */
  public record Written(int bars, List<ChordNote> notes) {}

  private static List<Note> before(List<Note> notes, int end) {
    return notes.stream().filter(note -> note.start() < end).toList();
  }

  /** One note as a degree of the chord it is heard over. */
  public ChordNote attach(Note note) {
    PlacedChord here = harmony.at(note.start());
    int bass = bass(here);
    if (Math.floorMod(note.key() - bass, 12) == 0) {
      return of(note, ChordDegree.ROOT, (note.key() - bass) / 12);
    }
    for (Interval tone : here.chord().quality().tones()) {
      ChordDegree degree = new ChordDegree(Math.min(14, tone.degree()), 0, Of.CHORD);
      int away = note.key() - height(degree, here);
      if (degree.tone() > 1 && away % 12 == 0) {
        return of(note, degree, away / 12);
      }
    }
    int next = bass(chord(new ChordDegree(1, 0, Of.NEXT_CHORD), note.start()));
    int octave = Math.floorDiv(note.key() - next + 6, 12);
    int shift = note.key() - next - 12 * octave;
    if (Math.abs(shift) <= NEAR) {
      return of(note, new ChordDegree(1, shift, Of.NEXT_CHORD), octave);
    }
    int own = Math.floorDiv(note.key() - bass + 6, 12);
    return of(note, new ChordDegree(1, note.key() - bass - 12 * own, Of.CHORD), own);
  }

  private static ChordNote of(Note note, ChordDegree degree, int octave) {
    int held = Math.max(-4, Math.min(4, octave));
    return new ChordNote(note.start(), note.ticks(), degree, held, note.velocity(), note.slide());
  }
}
