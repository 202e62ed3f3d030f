package westtide.score;

import westtide.rhythm.Swing;
import westtide.score.event.ScoredNote;

/**
 * How many notes of a song its swing moves.
 *
 * @param moved notes that start later than they would straight
 * @param notes all notes
 */
public record SwingReach(int moved, int notes) {
  /** Counts the notes of a score; lanes with a swing of their own are not moved by the song's. */
  public static SwingReach of(Score score) {
    Swing swing = score.song().brief().swing();
    int moved = 0;
    int notes = 0;
    for (ScoredPart part : score.parts()) {
      for (Passage passage : part.passages()) {
        for (ScoredNote note : passage.notes()) {
          notes++;
          moved +=
              !ownSwing(passage, note, swing) && swing.at(note.start()) != note.start() ? 1 : 0;
        }
      }
    }
    return new SwingReach(moved, notes);
  }

  private static boolean ownSwing(Passage passage, ScoredNote note, Swing song) {
    return note.struck()
        .flatMap(struck -> passage.groove().flatMap(groove -> groove.find(struck.lane())))
        .filter(lane -> !lane.swing(song).equals(song))
        .isPresent();
  }
}
