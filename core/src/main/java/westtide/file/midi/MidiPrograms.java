package westtide.file.midi;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javax.sound.midi.InvalidMidiDataException;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.ShortMessage;
import westtide.score.event.ScoredNote;
import westtide.sound.instrument.InstrumentBook;

/**
 * Changes of program where notes of a part are heard with another instrument than the part's: each
 * stands right before the note it is for.
 */
final class MidiPrograms {
  private MidiPrograms() {}

  /**
   * Note events with changes of program between them.
   *
   * @param events the note events, sorted
   * @param notes the notes
   * @param own the program of the part
   */
  static List<MidiEvent> among(List<MidiEvent> events, List<ScoredNote> notes, int own)
      throws InvalidMidiDataException {
    Map<Long, Integer> programs = programs(notes, own);
    if (programs.isEmpty()) {
      return events;
    }
    List<MidiEvent> out = new ArrayList<>();
    int current = own;
    for (MidiEvent event : events) {
      ShortMessage message = (ShortMessage) event.getMessage();
      if (message.getCommand() == ShortMessage.NOTE_ON) {
        int wanted = programs.getOrDefault(place(event.getTick(), message.getData1()), own);
        if (wanted != current) {
          out.add(
              new MidiEvent(
                  new ShortMessage(ShortMessage.PROGRAM_CHANGE, message.getChannel(), wanted, 0),
                  event.getTick()));
          current = wanted;
        }
      }
      out.add(event);
    }
    return out;
  }

  private static Map<Long, Integer> programs(List<ScoredNote> notes, int own) {
    Map<Long, Integer> out = new HashMap<>();
    for (ScoredNote note : notes) {
      if (!note.instrument().isEmpty()) {
        int program =
            InstrumentBook.shipped()
                .find(note.instrument())
                .map(instrument -> instrument.program())
                .orElse(own);
        out.put(place(note.start(), note.key()), program);
      }
    }
    return out;
  }

  private static long place(long tick, int key) {
    return tick << 8 | key;
  }
}
