package westtide.review.lowend;

import java.util.ArrayList;
import java.util.List;
import westtide.rhythm.Tempo;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.score.event.ScoredNote;
import westtide.song.Role;
import westtide.song.drum.DrumVoice;

/**
 * A stretch in which a low note and a kick sound at once.
 *
 * @param note the low note
 * @param kick the tick of the song at which the kick starts
 * @param ticks how long both sound
 * @param millis the same in milliseconds
 */
public record KickOverlap(ScoredNote note, int kick, int ticks, double millis) {
  /** Milliseconds after which the body of a kick is over (common practice). */
  public static final double KICK_MILLIS = 150;

  /** Every stretch in which a low part sounds with a kick, in order. */
  public static List<KickOverlap> of(Score score, ScoredPart low) {
    Tempo tempo = score.song().brief().tempo();
    double tickMillis = tempo.millis(1);
    int body = (int) Math.round(KICK_MILLIS / tickMillis);
    int longest = low.longest();
    List<KickOverlap> out = new ArrayList<>();
    for (ScoredPart drums : score.parts(Role.DRUMS)) {
      for (ScoredNote kick : drums.notes()) {
        if (kick.of(DrumVoice.KICK)) {
          for (ScoredNote note : low.between(kick.start() - longest, kick.start() + 1)) {
            int ticks = Math.min(note.end(), kick.start() + body) - kick.start();
            if (note.start() <= kick.start() && ticks > 0) {
              out.add(new KickOverlap(note, kick.start(), ticks, ticks * tickMillis));
            }
          }
        }
      }
    }
    return out;
  }

  /** Whether the note starts with the kick, rather than sounding on into it. */
  public boolean together() {
    return note.start() == kick;
  }
}
