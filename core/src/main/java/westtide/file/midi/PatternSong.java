package westtide.file.midi;

import java.util.List;
import java.util.Map;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.PlayedBars;
import westtide.song.Song;
import westtide.song.chord.ChordArticulation;
import westtide.song.chord.Progression;
import westtide.song.form.Cell;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionWord;
import westtide.song.id.PartId;
import westtide.song.pattern.Pattern;

/** A song of one section in which one part plays one pattern through once. */
final class PatternSong {
  private PatternSong() {}

  static Song of(Song song, PartId part, String name) {
    Part playing = song.part(part).orElseThrow();
    Pattern pattern = playing.pattern(name).pattern();
    Section section =
        Section.of(
            SectionWord.HOOK,
            pattern.accept(new Bars(song, playing, name)),
            progression(song, part, name),
            Map.of(part, List.of(new Cell(0, Level.FULL, name))));
    Form form = new Form(List.of(section));
    return pattern instanceof Pattern.Following || pattern instanceof Pattern.Attached
        ? song.withForm(form)
        : song.with(unmarked(song), List.of(playing), form);
  }

  /**
   * The progression it is heard over first, or where it never plays the one most of the song is
   * over.
   */
  private static String progression(Song song, PartId part, String pattern) {
    return Score.of(song).part(part).stream()
        .flatMap(scored -> scored.passages().stream())
        .filter(passage -> passage.name().equals(pattern))
        .map(passage -> song.form().sections().get(passage.place()).progression())
        .findFirst()
        .orElseGet(() -> new PlayedBars(song).progression().name());
  }

  /** The progressions without what single parts leave out, since the parts are not there. */
  private static List<Progression> unmarked(Song song) {
    return song.progressions().stream()
        .map(
            row ->
                row.withSpans(
                    row.spans().stream()
                        .map(span -> span.withArticulation(ChordArticulation::withoutParts))
                        .toList()))
        .toList();
  }

  /** How many bars each kind of pattern has; a rule plays its progression through. */
  private record Bars(Song song, Part part, String name) implements Pattern.Kinds<Integer> {
    @Override
    public Integer drums(Pattern.Drums pattern) {
      return pattern.bars();
    }

    @Override
    public Integer varied(Pattern.Varied pattern) {
      return pattern.bars();
    }

    @Override
    public Integer written(Pattern.Written pattern) {
      return pattern.bars();
    }

    @Override
    public Integer phrase(Pattern.Phrase pattern) {
      return pattern.bars();
    }

    @Override
    public Integer attached(Pattern.Attached pattern) {
      return pattern.bars();
    }

    @Override
    public Integer following(Pattern.Following pattern) {
      String row = progression(song, part.id(), name);
      return Math.min(Section.MOST_BARS, song.progression(row).bars(song.brief().meter()));
    }
  }
}
