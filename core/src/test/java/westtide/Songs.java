package westtide;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import westtide.compose.SongDraft;
import westtide.rhythm.Feel;
import westtide.rhythm.Meter;
import westtide.rhythm.StepLane;
import westtide.rhythm.Swing;
import westtide.rhythm.Tempo;
import westtide.song.Brief;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.chord.ChordLine;
import westtide.song.chord.Notation;
import westtide.song.chord.Progression;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.form.Cell;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionWord;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.style.StyleBook;
import westtide.theory.Key;

/** Small songs for tests. */
public final class Songs {
  private static final StyleBook BOOK = StyleBook.shipped();

  private Songs() {}

  /** The shipped styles. */
  public static StyleBook book() {
    return BOOK;
  }

  /** A draft in a style from a seed. */
  public static Song draft(String style, long seed) {
    return SongDraft.in(BOOK.get(style)).withSeed(seed).song();
  }

  /** Notes in order of start. */
  public static List<Note> inOrder(List<Note> notes) {
    return notes.stream().sorted(Comparator.comparingInt(Note::start)).toList();
  }

  /** A brief at 120 BPM in common time. */
  public static Brief brief(String key, int swing) {
    return Brief.of(
        "trap", Tempo.of(120), Feel.FULL, Meter.COMMON, Key.parse(key), Swing.of(swing));
  }

  /** A progression called hook. */
  public static Progression progression(Brief brief, String line) {
    return Progression.of(
        "hook", Notation.NAMES, ChordLine.in(brief.key(), brief.meter()).parse(line).orElseThrow());
  }

  /** One hook of that many bars in which every part plays in full. */
  public static Song oneHook(Brief brief, String chords, int bars, Part... parts) {
    List<Part> list = List.of(parts);
    Map<PartId, List<Cell>> cells = new java.util.LinkedHashMap<>();
    list.forEach(
        part ->
            cells.put(part.id(), List.of(new Cell(0, Level.FULL, part.patterns().get(0).name()))));
    Section hook = Section.of(SectionWord.HOOK, bars, "hook", cells);
    return new Song(
        "Test",
        "",
        1,
        brief,
        List.of(progression(brief, chords)),
        list,
        new Form(List.of(hook)),
        Set.of(),
        "{}");
  }

  /** A part with one pattern called A. */
  public static Part part(String id, Role role, Pattern pattern) {
    return Part.of(PartId.of(id), id, role, 0, List.of(new NamedPattern("A", pattern)));
  }

  /** A groove of one bar from lane texts: a voice, then its text. */
  public static Pattern.Drums groove(int bars, Object... lanes) {
    List<DrumLane> out = new java.util.ArrayList<>();
    for (int i = 0; i < lanes.length; i += 2) {
      out.add(DrumLane.of((DrumVoice) lanes[i], StepLane.parse((String) lanes[i + 1])));
    }
    return new Pattern.Drums(bars, out);
  }

  /** The song as it comes back from a file. */
  public static Song filed(Song song) throws java.io.IOException {
    java.nio.file.Path file = java.nio.file.Files.createTempFile("song", ".tide");
    try {
      westtide.file.SongFile.write(song, file);
      return westtide.file.SongFile.read(file);
    } finally {
      java.nio.file.Files.deleteIfExists(file);
    }
  }
}
