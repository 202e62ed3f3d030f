package westtide.song.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.song.Song;

/**
 * The songs a session went through. Undo and redo move along the list; an edit after an undo drops
 * what was undone. The saved mark tells whether the present song is the one in the file.
 *
 * @param steps the songs with the edit that made each, oldest first
 * @param at index of the present song
 * @param savedAt index of the song in the file, −1 when none of the steps is
 */
public record History(List<Step> steps, int at, int savedAt) {
  private static final int LONGEST = 1000;

  /**
   * A song and how it came about.
   *
   * @param song the song
   * @param edit the name of the edit that made it; empty for the first
   * @param gesture the gesture it was made in; empty when it stands alone
   */
  public record Step(Song song, String edit, String gesture) {}

  /** Copies the steps. */
  public History {
    steps = List.copyOf(steps);
  }

  /** A session that begins with a song not yet in a file. */
  public static History unsaved(Song song) {
    return new History(List.of(new Step(song, "", "")), 0, -1);
  }

  /** A session that begins with a song as it is in its file. */
  public static History saved(Song song) {
    return new History(List.of(new Step(song, "", "")), 0, 0);
  }

  /** The present song. */
  public Song song() {
    return steps.get(at).song();
  }

  /** The history after an edit that stands alone; unchanged when the edit changes nothing. */
  public History plus(Edit edit) {
    return plus(edit, "");
  }

  /**
   * The history after an edit made in a gesture; unchanged when the edit changes nothing. Edits
   * that follow each other in the same gesture, such as one drag, are one step; an empty one stands
   * for none.
   */
  public History plus(Edit edit, String gesture) {
    Song after = edit.apply(song());
    if (after.equals(song())) {
      return this;
    }
    boolean merges = !gesture.isEmpty() && gesture.equals(steps.get(at).gesture()) && at != savedAt;
    List<Step> kept = new ArrayList<>(steps.subList(0, merges ? at : at + 1));
    kept.add(new Step(after, edit.name(song()), gesture));
    int saved = savedAt > at ? -1 : savedAt;
    int dropped = Math.max(0, kept.size() - LONGEST);
    List<Step> rest = kept.subList(dropped, kept.size());
    return new History(rest, rest.size() - 1, Math.max(-1, saved - dropped));
  }

  /** The history with another of its steps present, by its index. */
  public History goTo(int step) {
    return new History(steps, Math.max(0, Math.min(steps.size() - 1, step)), savedAt);
  }

  /** One step back; the same history at the beginning. */
  public History undo() {
    return at == 0 ? this : goTo(at - 1);
  }

  /** One step forward again; the same history at the end. */
  public History redo() {
    return at == steps.size() - 1 ? this : goTo(at + 1);
  }

  /** The name of what undo would take back. */
  public Optional<String> undoable() {
    return at == 0 ? Optional.empty() : Optional.of(steps.get(at).edit());
  }

  /** The name of what redo would bring back. */
  public Optional<String> redoable() {
    return at == steps.size() - 1 ? Optional.empty() : Optional.of(steps.get(at + 1).edit());
  }

  /** The history with its saved mark on the step whose song was written, if it is still there. */
  public History markSaved(Song written) {
    for (int i = 0; i < steps.size(); i++) {
      if (steps.get(i).song() == written) {
        return new History(steps, at, i);
      }
    }
    return this;
  }

  /** Whether the present song differs from the one in the file. */
  public boolean changed() {
    return at != savedAt;
  }
}
