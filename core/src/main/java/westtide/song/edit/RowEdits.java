package westtide.song.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import westtide.song.Song;
import westtide.song.chord.Progression;
import westtide.song.form.ChordOption;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.song.pattern.FollowRule;
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

  /** Calls a progression something else, wherever it is used. */
  public static Edit rename(String from, String name) {
    return Edit.of(
        "Rename the " + from + " progression to " + name,
        song -> {
          List<Progression> rows = new ArrayList<>(song.progressions());
          rows.replaceAll(p -> p.name().equals(from) ? p.withName(name) : p);
          return pointed(song, rows, from, name);
        });
  }

  /**
   * Deletes a progression; sections and parts that used it take the first one left. The last stays.
   */
  public static Edit remove(String name) {
    return Edit.of(
        "Delete the " + name + " progression",
        song -> {
          List<Progression> rows =
              song.progressions().stream().filter(p -> !p.name().equals(name)).toList();
          return rows.isEmpty() ? song : pointed(song, rows, name, rows.get(0).name());
        });
  }

  private static Song pointed(Song song, List<Progression> rows, String from, String to) {
    return song.withEachForm(
        rows,
        song.parts().stream()
            .map(p -> p.withRule(FollowRule.Chords.class, rule -> using(rule, from, to)))
            .toList(),
        form -> form.each(s -> using(s, from, to)));
  }

  private static FollowRule.Chords using(FollowRule.Chords rule, String from, String to) {
    return rule.withOwn(
        rule.own()
            .withProgression(rule.own().progression().map(name -> name.equals(from) ? to : name))
            .withKept(
                rule.own().kept().stream()
                    .map(
                        kept ->
                            kept.progression().equals(from)
                                ? new FollowRule.Kept(to, kept.chord(), kept.voicing())
                                : kept)
                    .toList()));
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

  /**
   * Lets low parts of the sections of a kind play the note of their pedal alone, or their lines.
   */
  public static Edit strictPedal(SectionKind kind, boolean strict) {
    return Edit.of(
        strict ? "Keep low parts to the pedal" : "Let low parts move over the pedal",
        song ->
            sections(
                song, s -> s.word().kind() == kind ? s.with(ChordOption.STRICT_PEDAL, strict) : s));
  }

  private static Section using(Section section, String from, String to) {
    return section.progression().equals(from) ? section.withProgression(to) : section;
  }

  private static Song sections(Song song, UnaryOperator<Section> change) {
    return song.withForm(song.form().each(change));
  }
}
