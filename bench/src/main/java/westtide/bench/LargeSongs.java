package westtide.bench;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import westtide.compose.SongDraft;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.PartNames;
import westtide.song.edit.part.PartEdits;
import westtide.song.form.Cell;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionWord;
import westtide.song.id.PartId;
import westtide.style.StyleBook;

/** Songs larger than people make them, grown from a draft by copying its parts and sections. */
final class LargeSongs {
  private static final List<SectionWord> WORDS =
      List.of(SectionWord.VERSE, SectionWord.HOOK, SectionWord.BRIDGE, SectionWord.HOOK);

  private LargeSongs() {}

  /** 16 parts, 150 bars, about 20 000 notes. */
  static Song ensemble() {
    return grown(16, 15, 10);
  }

  /** A song with its first parts once more until it has 16; each plays where its model does. */
  static Song sixteen(Song song) {
    Song out = song;
    for (int i = 0; out.parts().size() < 16; i++) {
      Part model = song.parts().get(i);
      PartId id = PartNames.freeId(out, model.role());
      out = new PartEdits(model.id()).duplicate(id).apply(out);
    }
    return out;
  }

  /** 64 parts, 500 sections, 2000 bars. */
  static Song huge() {
    return grown(64, 500, 4);
  }

  /** The demos and the two large songs, by their names. */
  static Map<String, Song> all() throws IOException {
    Map<String, Song> out = new LinkedHashMap<>();
    for (String demo : Demos.NAMES) {
      out.put(demo, Demos.read(demo));
    }
    out.put("16 parts, 150 bars", ensemble());
    out.put("64 parts, 500 sections", huge());
    return out;
  }

  private static Song grown(int parts, int sections, int bars) {
    Song song =
        SongDraft.in(StyleBook.shipped().get("house")).withSeed(3).withTitle("Large").song();
    for (int i = 0; song.parts().size() < parts; i++) {
      Part model = song.parts().get(i % 5);
      PartId id = PartNames.freeId(song, model.role());
      boolean doubled = model.role() != Role.DRUMS && i % 3 == 2;
      song =
          doubled
              ? new PartEdits(model.id()).doubled(id, model.name(), 1, Set.of()).apply(song)
              : new PartEdits(model.id()).duplicate(id).apply(song);
    }
    List<Section> form = new ArrayList<>();
    for (int i = 0; i < sections; i++) {
      Map<PartId, List<Cell>> cells = new LinkedHashMap<>();
      for (Part part : song.parts()) {
        boolean in = (i + song.parts().indexOf(part)) % 2 == 0;
        String pattern = part.usual().name();
        cells.put(
            part.id(),
            List.of(
                new Cell(0, in ? Level.HALF : Level.OUT, pattern),
                new Cell(bars / 2, in ? Level.FULL : Level.OUT, pattern)));
      }
      form.add(
          Section.of(WORDS.get(i % WORDS.size()), bars, song.progressions().get(0).name(), cells));
    }
    return song.withForm(new Form(form));
  }
}
