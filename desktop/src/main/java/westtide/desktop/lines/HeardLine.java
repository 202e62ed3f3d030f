package westtide.desktop.lines;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.desktop.open.SongView;
import westtide.follow.Harmony;
import westtide.score.Passage;
import westtide.score.ScoredNote;
import westtide.song.Note;
import westtide.song.Part;
import westtide.song.Pattern;
import westtide.song.PatternDescription;
import westtide.song.Section;
import westtide.song.Song;
import westtide.song.chord.PlacedChord;
import westtide.song.chord.Progression;

/**
 * A pattern of a line over the chords that are heard where it plays: in the selected section, or in
 * the first that plays it.
 *
 * @param part the part
 * @param pattern the name of the pattern
 * @param line its notes; of a pattern that follows, what it plays in the section
 * @param written whether the notes are written and can be changed
 * @param progression the progression heard below it
 * @param chords the chords as they are heard, from the start of the pattern to its end
 * @param words what it is heard over, or what it follows
 */
record HeardLine(
    Part part,
    String pattern,
    Pattern.Written line,
    boolean written,
    Progression progression,
    List<PlacedChord> chords,
    String words) {
  private static final int MOST_BARS = 16;

  static HeardLine of(SongView view, Part part, String pattern, int selected) {
    Song song = view.song();
    Optional<Passage> passage = passage(view, part, pattern, selected);
    int place = passage.map(Passage::place).orElse(selected);
    Section section = song.form().sections().get(place);
    Optional<Pattern.Written> own =
        part.pattern(pattern).pattern() instanceof Pattern.Written written
            ? Optional.of(written)
            : Optional.empty();
    Pattern.Written line = own.orElseGet(() -> played(passage, section));
    Progression row = song.progression(section.progression());
    Harmony harmony = Harmony.of(row, line.bars(), song.brief());
    List<PlacedChord> chords = section.pedal().map(harmony::overPedal).orElse(harmony).chords();
    String heard =
        passage.isPresent()
            ? "over the " + row.name() + " chords, in the " + song.form().label(place)
            : "over the " + row.name() + " chords; no section plays it yet";
    String words =
        own.isPresent() ? heard : PatternDescription.of(part.pattern(pattern).pattern(), song);
    return new HeardLine(part, pattern, line, own.isPresent(), row, chords, words);
  }

  /** The page, from 0, that shows what is played in a bar of the section: patterns repeat. */
  int page(int bar) {
    return bar % line.bars() / LinePage.BARS;
  }

  /** The bar of the section at which a page begins, in the same repeat as another bar. */
  int bar(int page, int other) {
    return other - other % line.bars() + page * LinePage.BARS;
  }

  private static Optional<Passage> passage(SongView view, Part part, String pattern, int selected) {
    List<Passage> all =
        view.score().part(part.id()).stream()
            .flatMap(scored -> scored.passages().stream())
            .filter(passage -> passage.name().equals(pattern))
            .toList();
    return all.stream()
        .filter(passage -> passage.place() == selected)
        .findFirst()
        .or(() -> all.stream().findFirst());
  }

  private static Pattern.Written played(Optional<Passage> passage, Section section) {
    int bars = Math.min(MOST_BARS, section.bars());
    List<Note> notes = new ArrayList<>();
    passage.ifPresent(
        heard -> {
          for (ScoredNote note : heard.notes()) {
            int start = Math.max(0, note.written() - heard.sectionStart());
            notes.add(new Note(start, note.ticks(), note.key(), note.velocity()));
          }
        });
    return new Pattern.Written(bars, notes);
  }
}
