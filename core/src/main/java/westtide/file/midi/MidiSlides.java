package westtide.file.midi;

import java.util.ArrayList;
import java.util.List;
import javax.sound.midi.InvalidMidiDataException;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.ShortMessage;
import westtide.score.event.ScoredNote;

/**
 * The notes of a part as MIDI events with its slides, either as notes that overlap or as bends of
 * one note. Pitch bend has 14 bits around 8192 (MIDI 1.0, from memory); a slide of more than {@link
 * #RANGE} semitones is struck.
 */
final class MidiSlides {
  /** Semitones of pitch bend each way. */
  static final int RANGE = 24;

  private static final int MIDDLE = 8192;
  private static final int HIGHEST = 16383;
  private static final int TICKS_A_POINT = 12;

  private final int channel;
  private final List<MidiEvent> out = new ArrayList<>();

  private MidiSlides(int channel) {
    this.channel = channel;
  }

  /** Whether a part slides at all. */
  static boolean any(List<ScoredNote> notes) {
    return notes.stream().anyMatch(note -> note.slide() > 0);
  }

  /** Events of notes in order of start, not sorted. */
  static List<MidiEvent> events(List<ScoredNote> notes, int channel, Slides slides)
      throws InvalidMidiDataException {
    MidiSlides events = new MidiSlides(channel);
    if (slides == Slides.BEND) {
      events.bent(notes);
    } else {
      events.overlapping(notes);
    }
    return events.out;
  }

  private void overlapping(List<ScoredNote> notes) throws InvalidMidiDataException {
    for (int i = 0; i < notes.size(); i++) {
      ScoredNote note = notes.get(i);
      int over = i + 1 < notes.size() && joins(note, notes.get(i + 1)) ? overlap(notes, i + 1) : 0;
      note(note, note.end() + over);
    }
  }

  /** An overlap ends before the note it reaches into does. */
  private static int overlap(List<ScoredNote> notes, int index) {
    ScoredNote goal = notes.get(index);
    return Math.min(goal.slide(), Math.max(1, goal.ticks() - 1));
  }

  /** Whether the second of two notes is reached by a slide from the first. */
  private static boolean joins(ScoredNote note, ScoredNote next) {
    return next.slide() > 0 && note.end() == next.start() && note.key() != next.key();
  }

  private void bent(List<ScoredNote> notes) throws InvalidMidiDataException {
    int at = 0;
    while (at < notes.size()) {
      int end = at;
      while (end + 1 < notes.size() && bends(notes, at, end + 1)) {
        end++;
      }
      note(notes.get(at), notes.get(end).end());
      for (int i = at + 1; i <= end; i++) {
        bend(notes.get(at), notes.get(i - 1), notes.get(i));
      }
      if (end > at) {
        bend(notes.get(end).end(), 0);
      }
      at = end + 1;
    }
  }

  private static boolean bends(List<ScoredNote> notes, int first, int index) {
    int away = Math.abs(notes.get(index).key() - notes.get(first).key());
    return joins(notes.get(index - 1), notes.get(index)) && away <= RANGE;
  }

  private void bend(ScoredNote struck, ScoredNote from, ScoredNote to)
      throws InvalidMidiDataException {
    double start = from.key() - struck.key();
    double goal = to.key() - struck.key();
    int length = Math.min(to.slide(), to.ticks());
    for (int tick = 0; tick < length; tick += TICKS_A_POINT) {
      bend(to.start() + tick, start + (goal - start) * tick / length);
    }
    bend(to.start() + length, goal);
  }

  private void bend(int tick, double semitones) throws InvalidMidiDataException {
    int value = (int) Math.round(MIDDLE + semitones * MIDDLE / RANGE);
    int held = Math.max(0, Math.min(HIGHEST, value));
    add(tick, new ShortMessage(ShortMessage.PITCH_BEND, channel, held & 0x7F, held >> 7));
  }

  private void note(ScoredNote note, int end) throws InvalidMidiDataException {
    add(note.start(), new ShortMessage(ShortMessage.NOTE_ON, channel, note.key(), note.velocity()));
    add(end, new ShortMessage(ShortMessage.NOTE_OFF, channel, note.key(), 0));
  }

  private void add(int tick, ShortMessage message) {
    out.add(new MidiEvent(message, tick));
  }
}
