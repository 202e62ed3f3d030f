package westtide.song.edit;

import java.util.LinkedHashSet;
import java.util.Set;
import westtide.rhythm.Feel;
import westtide.rhythm.Swing;
import westtide.rhythm.Tempo;
import westtide.song.Plan;
import westtide.song.Song;
import westtide.theory.Interval;
import westtide.theory.Key;

/** Edits of the brief, the title and the list of findings left alone. */
public final class BriefEdits {
  private BriefEdits() {}

  /** Names the song. */
  public static Edit title(String title) {
    return Edit.of("Name the song " + title, song -> song.withTitle(title));
  }

  /** Names what the song belongs to. */
  public static Edit project(String project) {
    return Edit.of("Set the project", song -> song.withProject(project));
  }

  /** Sets the style the song is measured against; notes stay. */
  public static Edit style(String id, Feel feel) {
    return Edit.of(
        "Choose the style " + id,
        song -> song.withBrief(song.brief().withStyle(id).withFeel(feel)));
  }

  /** Sets the tempo; every note keeps its musical place. */
  public static Edit tempo(Tempo tempo) {
    return Edit.of(
        "Set the tempo to " + tempo, song -> song.withBrief(song.brief().withTempo(tempo)));
  }

  /** Sets how fast the tempo feels. */
  public static Edit feel(Feel feel) {
    return Edit.of("Feel the tempo " + feel, song -> song.withBrief(song.brief().withFeel(feel)));
  }

  /** Sets the swing. */
  public static Edit swing(Swing swing) {
    return Edit.of(
        "Set the swing to " + swing + " %", song -> song.withBrief(song.brief().withSwing(swing)));
  }

  /** Sets the key the nearest way; chords and written lines keep their degrees. */
  public static Edit key(Key key) {
    return key(key, KeyMove.NEAREST);
  }

  /** Sets the key; written notes go that way. */
  public static Edit key(Key key, KeyMove move) {
    return Edit.of(
        "Set the key to " + key, song -> new KeyChange(song.brief().key(), key, move).apply(song));
  }

  /** Transposes the whole song by semitones: everything moves alike and sounds the same. */
  public static Edit transpose(int semitones) {
    String way = (semitones < 0 ? "down " : "up ") + Interval.semitones(Math.abs(semitones));
    return Edit.of(
        "Transpose the song " + way,
        song -> KeyChange.by(song.brief().key(), semitones).apply(song));
  }

  /** Tunes the whole song by cents, −100 to 100. */
  public static Edit cents(int cents) {
    return Edit.of(
        "Tune the song by " + cents + " cents",
        song -> song.withBrief(song.brief().withCents(cents)));
  }

  /** Plans the length of the song and the time for it. */
  public static Edit plan(Plan plan) {
    return Edit.of("Change the plan", song -> song.withBrief(song.brief().withPlan(plan)));
  }

  /** Leaves a finding as it is, so that it is not raised again. */
  public static Edit leave(String finding) {
    return Edit.of("Leave a finding as it is", song -> withLeft(song, finding));
  }

  private static Song withLeft(Song song, String finding) {
    Set<String> left = new LinkedHashSet<>(song.dismissed());
    left.add(finding);
    return song.withDismissed(left);
  }

  /** Raises every finding again that was left. */
  public static Edit recallLeft() {
    return Edit.of("Show left findings again", song -> song.withDismissed(Set.of()));
  }
}
