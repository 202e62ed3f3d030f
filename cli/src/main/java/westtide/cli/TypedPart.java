package westtide.cli;

import java.util.Optional;
import westtide.draft.Draft;
import westtide.follow.ChordDegrees;
import westtide.follow.Harmony;
import westtide.follow.KeyFigures;
import westtide.song.Song;
import westtide.song.edit.Edit;
import westtide.song.edit.part.TypedLines;
import westtide.song.form.Form;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
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

  /** The text in degrees of the key, for the hooks of a draft; joining parts hear it. */
  Draft.Line asLine() {
    return new Draft.Line(
        song -> TypedLines.find(song, part).isPresent(),
        song -> written(song, TypedLines.line(song, part, text)));
  }

  /**
   * The text in members of the chords heard and degrees of the key, for the hooks of a draft once
   * everybody is in it.
   */
  Draft.Line asLow() {
    return new Draft.Line(song -> false, song -> written(song, TypedLines.low(song, part, text)));
  }

  /** What a low line could have meant otherwise in the first hook of the song; empty if nothing. */
  Optional<String> told(Song song) {
    Form form = song.form();
    Section hook =
        form.sections().stream()
            .filter(section -> section.word().kind() == SectionKind.HOOK)
            .findFirst()
            .orElse(form.sections().get(0));
    Harmony heard = Harmony.of(song.progression(hook.progression()), hook.bars(), song.brief());
    return TypedLines.find(song, part)
        .flatMap(found -> found.find(TypedLines.PATTERN))
        .map(NamedPattern::pattern)
        .filter(Pattern.Attached.class::isInstance)
        .map(Pattern.Attached.class::cast)
        .flatMap(
            line ->
                new KeyFigures(new ChordDegrees(heard, song.brief().key(), line.lowest()))
                    .told(line.notes()));
  }

  private Song written(Song song, Reading<Edit> reading) {
    if (reading instanceof Reading.Problem<Edit> problem) {
      throw new IllegalArgumentException(
          "in the line of " + part + ", column " + problem.column() + ": " + problem.message());
    }
    return reading.orElseThrow().apply(song);
  }
}
