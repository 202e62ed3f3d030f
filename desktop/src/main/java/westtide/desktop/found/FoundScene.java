package westtide.desktop.found;

import java.util.Optional;
import westtide.desktop.open.SongView;
import westtide.found.FoundFacts;
import westtide.rhythm.Tempo;
import westtide.song.Part;
import westtide.song.found.FoundSound;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;

/**
 * What the sheet of a found sound shows.
 *
 * @param view the song
 * @param part the part in front
 * @param sound what it plays
 * @param pattern which of its patterns
 * @param heard what was found of it; empty until it is
 */
record FoundScene(
    SongView view, Part part, FoundSound sound, NamedPattern pattern, Optional<Heard> heard) {
  /** What is found of a recording beside the window. */
  record Heard(FoundFacts facts, Envelope envelope) {}

  Optional<FoundFacts> facts() {
    return heard.map(Heard::facts);
  }

  Tempo tempo() {
    return view.song().brief().tempo();
  }

  /** The pattern, where it is a line of pieces. */
  Optional<Pattern.Written> line() {
    return pattern.pattern() instanceof Pattern.Written written
        ? Optional.of(written)
        : Optional.empty();
  }
}
