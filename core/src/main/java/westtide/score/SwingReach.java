package westtide.score;

import java.util.List;
import westtide.rhythm.Swing;
import westtide.song.Song;

/**
 * How many notes of a song the swing moves.
 *
 * @param moved notes that start later than they are written
 * @param notes all notes
 */
public record SwingReach(int moved, int notes) {
  /** Compares a score with the same song played straight. */
  public static SwingReach of(Score score) {
    Song song = score.song();
    Swing straight = song.brief().swing().withHundredths(Swing.STRAIGHT.hundredths());
    Score plain = Score.of(song.withBrief(song.brief().withSwing(straight)));
    int moved = 0;
    int notes = 0;
    for (int i = 0; i < score.parts().size(); i++) {
      List<ScoredNote> swung = score.parts().get(i).notes();
      List<ScoredNote> still = plain.parts().get(i).notes();
      notes += swung.size();
      for (int n = 0; n < Math.min(swung.size(), still.size()); n++) {
        moved += swung.get(n).start() != still.get(n).start() ? 1 : 0;
      }
    }
    return new SwingReach(moved, notes);
  }
}
