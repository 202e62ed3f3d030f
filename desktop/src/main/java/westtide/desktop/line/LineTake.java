package westtide.desktop.line;

import java.util.ArrayList;
import java.util.List;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.line.PlayedLine;

/**
 * What was played into a line in one go. It belongs to that line, and can be quantised again: the
 * notes it made the last time give way to the new ones, and whatever else the line has by then
 * stays.
 */
final class LineTake {
  private final PartId part;
  private final String pattern;
  private final NoteRecorder recorder;
  private List<Note> made = List.of();

  LineTake(PartId part, String pattern, NoteRecorder recorder) {
    this.part = part;
    this.pattern = pattern;
    this.recorder = recorder;
  }

  /** Whether it was played into a line. */
  boolean in(HeardLine line) {
    return part.equals(line.part().id()) && pattern.equals(line.pattern());
  }

  NoteRecorder recorder() {
    return recorder;
  }

  /** The notes the take made the last time that are still there. */
  List<Note> made(HeardLine line) {
    List<Note> there = new ArrayList<>(line.notes());
    return made.stream().filter(there::remove).toList();
  }

  /** The notes of the take on a grid; latency in nanoseconds. */
  List<Note> on(PlayedLine grid, long latency) {
    made = grid.notes(recorder.played(latency));
    return made;
  }
}
