package westtide.cli;

import westtide.song.Song;
import westtide.song.edit.Edit;
import westtide.song.edit.TypedLines;
import westtide.text.Reading;

/**
 * A line as it is typed on the command line, {@code "Bell: 5 - . b6"}: the name of a part, a colon
 * and its text.
 */
final class TypedPart {
  private final String part;
  private final String text;

  /**
   * Reads the name.
   *
   * @throws IllegalArgumentException when there is none
   */
  TypedPart(String typed) {
    int colon = typed.indexOf(':');
    this.part = colon < 0 ? "" : typed.substring(0, colon).strip();
    if (part.isEmpty()) {
      throw new IllegalArgumentException(
          "a line is a part, a colon and its notes, such as \"Bell: 5 - . b6\", but was \""
              + typed
              + "\"");
    }
    this.text = typed.substring(colon + 1);
  }

  /** Whether a song has a part of that name. */
  boolean isIn(Song song) {
    return TypedLines.find(song, part).isPresent();
  }

  /** The song with the text, in degrees of the key, in its hooks. */
  Song lineInto(Song song) {
    return written(song, TypedLines.line(song, part, text));
  }

  /** The song with the text, in degrees of the chords heard, in its hooks. */
  Song lowInto(Song song) {
    return written(song, TypedLines.low(song, part, text));
  }

  private Song written(Song song, Reading<Edit> reading) {
    if (reading instanceof Reading.Problem<Edit> problem) {
      throw new IllegalArgumentException(
          "in the line of " + part + ", column " + problem.column() + ": " + problem.message());
    }
    return reading.orElseThrow().apply(song);
  }
}
