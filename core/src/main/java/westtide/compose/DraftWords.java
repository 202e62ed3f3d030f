package westtide.compose;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.compose.form.FormChanges;
import westtide.song.Part;
import westtide.song.PatternDescription;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.form.Cell;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;
import westtide.song.line.Note;
import westtide.song.pattern.LowLine;
import westtide.song.pattern.Pattern;
import westtide.style.CoreParts;

/** What tells one draft from another, in a few words a part. */
public final class DraftWords {
  private DraftWords() {}

  /** How its lead and its low end go: what no picture of form and drums tells. */
  public static String tune(Song song) {
    List<String> out = new ArrayList<>();
    lead(song).map(line -> "lead of " + line).ifPresent(out::add);
    for (Role role : List.of(Role.SUB, Role.BASS)) {
      song.parts(role).stream().findFirst().flatMap(DraftWords::low).ifPresent(out::add);
    }
    return String.join(" · ", out);
  }

  /** What one part plays. */
  public static String of(Song song, PartId id) {
    Part part = song.part(id).orElseThrow();
    Optional<String> own =
        switch (part.role()) {
          case DRUMS -> drums(song, part, SongDraft.MAIN);
          case LINE -> lead(song, part, SongDraft.MAIN);
          case SUB, BASS -> low(part);
          case CHORDS, MARKS, FOUND -> Optional.empty();
        };
    return own.orElseGet(() -> PatternDescription.main(part, song));
  }

  /** Who plays in a section, the fullest first, and how its drums and its lead go. */
  public static String of(Song song, SectionId id) {
    Section section = song.form().find(id).orElseThrow();
    List<String> out = new ArrayList<>();
    for (Level level : List.of(Level.LIFTED, Level.FULL, Level.HALF, Level.HINT)) {
      List<String> names = new ArrayList<>();
      for (Part part : song.parts()) {
        if (FormChanges.highest(section, part.id()) == level && part.role() != Role.MARKS) {
          names.add(part.name() + entrance(section, part));
        }
      }
      if (!names.isEmpty()) {
        out.add(level + ": " + String.join(", ", names));
      }
    }
    played(section, CoreParts.DRUMS)
        .flatMap(name -> drums(song, song.part(CoreParts.DRUMS).orElseThrow(), name))
        .ifPresent(out::add);
    played(section, CoreParts.LEAD)
        .flatMap(name -> lead(song, song.part(CoreParts.LEAD).orElseThrow(), name))
        .map(line -> "lead of " + line)
        .ifPresent(out::add);
    return String.join(" · ", out);
  }

  /** The first pattern a part plays in a section. */
  private static Optional<String> played(Section section, PartId part) {
    return section.cells(part).stream()
        .filter(cell -> cell.level() != Level.OUT)
        .map(Cell::pattern)
        .findFirst();
  }

  private static String entrance(Section section, Part part) {
    List<Cell> cells = section.cells(part.id());
    boolean late = cells.size() > 1 && cells.get(0).level() == Level.OUT;
    return late ? " from bar " + (cells.get(1).fromBar() + 1) : "";
  }

  private static Optional<String> drums(Song song, Part part, String pattern) {
    return Optional.of(part)
        .flatMap(drums -> drums.groove(pattern, song.brief().meter()))
        .map(
            groove ->
                "kick "
                    + hits(groove, DrumVoice.KICK)
                    + " and hats "
                    + hits(groove, DrumVoice.CLOSED_HAT)
                    + " in "
                    + groove.bars()
                    + " bars");
  }

  private static int hits(Pattern.Drums groove, DrumVoice voice) {
    return groove.find(voice.lane()).map(DrumLane::lane).map(lane -> lane.hits().size()).orElse(0);
  }

  private static Optional<String> lead(Song song) {
    return song.part(CoreParts.LEAD).flatMap(part -> lead(song, part, SongDraft.MAIN));
  }

  private static Optional<String> lead(Song song, Part part, String pattern) {
    return Optional.of(part)
        .map(line -> line.pattern(pattern).pattern())
        .filter(Pattern.Written.class::isInstance)
        .map(Pattern.Written.class::cast)
        .filter(line -> !line.notes().isEmpty())
        .map(line -> line(song, line.notes()));
  }

  private static String line(Song song, List<Note> notes) {
    int end = 2 * song.brief().meter().ticksPerBar();
    long count = notes.stream().filter(note -> note.start() < end).count();
    int low = notes.stream().mapToInt(Note::key).min().orElseThrow();
    int high = notes.stream().mapToInt(Note::key).max().orElseThrow();
    return count
        + " notes in two bars, "
        + song.brief().key().pitch(low)
        + " to "
        + song.brief().key().pitch(high);
  }

  private static Optional<String> low(Part part) {
    return part.rules(LowLine.class).stream()
        .findFirst()
        .map(rule -> part.name() + " " + rule.rhythm() + ", " + rule.pitches());
  }
}
