package westtide.file;

import java.util.List;
import java.util.Map;
import westtide.song.Cell;
import westtide.song.Form;
import westtide.song.Level;
import westtide.song.Part;
import westtide.song.Pattern;
import westtide.song.Section;
import westtide.song.SectionWord;
import westtide.song.Song;
import westtide.song.Variant;

/** A song of one section in which one part plays one pattern through once. */
final class PatternSong {
  private PatternSong() {}

  static Song of(Song song, String part, String variant) {
    Part playing = song.part(part).orElseThrow();
    int bars = bars(song, playing, playing.variant(variant));
    Section section =
        Section.of(
            SectionWord.HOOK,
            bars,
            song.progressions().get(0).name(),
            Map.of(part, List.of(new Cell(0, Level.FULL, variant))));
    return song.withParts(List.of(playing)).withForm(new Form(List.of(section)));
  }

  private static int bars(Song song, Part part, Variant variant) {
    if (variant.pattern() instanceof Pattern.Written written) {
      return written.bars();
    }
    return part.groove(variant.name(), song.brief().meter())
        .map(Pattern.Drums::bars)
        .orElse(song.form().sections().get(0).bars());
  }
}
