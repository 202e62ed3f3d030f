package westtide.song.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import westtide.song.Form;
import westtide.song.Section;
import westtide.song.SectionKind;
import westtide.song.Song;
import westtide.song.chord.Progression;
import westtide.theory.NoteName;

/** Edits of which progressions a song has and which sections use them. */
public final class RowEdits {
  private RowEdits() {}

  /** Adds a copy of a progression under a name the song does not have yet. */
  public static Edit copy(String from, String name) {
    return Edit.of(
        "Copy the " + from + " progression as " + name,
        song -> {
          List<Progression> rows = new ArrayList<>(song.progressions());
          rows.add(song.progression(from).withName(name));
          return song.withProgressions(rows);
        });
  }

  /** Calls a progression something else. */
  public static Edit rename(String from, String name) {
    return Edit.of(
        "Call the progression " + name,
        song -> {
          List<Progression> more = new ArrayList<>(song.progressions());
          more.replaceAll(p -> p.name().equals(from) ? p.withName(name) : p);
          List<Progression> both = new ArrayList<>(song.progressions());
          both.add(song.progression(from).withName(name));
          Song known = song.withProgressions(both);
          return sections(known, s -> using(s, from, name)).withProgressions(more);
        });
  }

  /** Takes a progression away; sections that used it take the first one left. The last stays. */
  public static Edit remove(String name) {
    return Edit.of(
        "Take the " + name + " progression away",
        song -> {
          List<Progression> rows =
              song.progressions().stream().filter(p -> !p.name().equals(name)).toList();
          if (rows.isEmpty()) {
            return song;
          }
          return sections(song, s -> using(s, name, rows.get(0).name())).withProgressions(rows);
        });
  }

  /** Lets every section of a kind use a progression. */
  public static Edit use(SectionKind kind, String name) {
    return Edit.of(
        "Use the " + name + " progression",
        song -> sections(song, s -> s.word().kind() == kind ? s.withProgression(name) : s));
  }

  /** Holds the bass on a note in every section of a kind; empty lets it move. */
  public static Edit pedal(SectionKind kind, Optional<NoteName> note) {
    return Edit.of(
        note.map(n -> "Hold " + n + " in the bass").orElse("Let the bass move"),
        song -> sections(song, s -> s.word().kind() == kind ? s.withPedal(note) : s));
  }

  private static Section using(Section section, String from, String to) {
    return section.progression().equals(from) ? section.withProgression(to) : section;
  }

  private static Song sections(Song song, UnaryOperator<Section> change) {
    return song.withForm(new Form(song.form().sections().stream().map(change).toList()));
  }
}
