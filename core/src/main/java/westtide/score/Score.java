package westtide.score;

import java.util.List;
import java.util.Optional;
import westtide.song.Role;
import westtide.song.Song;

/**
 * The notes of a whole song.
 *
 * @param song what it was made of
 * @param parts every part of the song, in its order
 * @param ticks length of the song
 */
public record Score(Song song, List<ScoredPart> parts, int ticks) {
  /** Copies the parts. */
  public Score {
    parts = List.copyOf(parts);
  }

  /** The score of a song; equal songs give equal scores on every machine. */
  public static Score of(Song song) {
    return new Scoring(song).score();
  }

  /** The part of that id. */
  public Optional<ScoredPart> part(String id) {
    return parts.stream().filter(scored -> scored.part().id().equals(id)).findFirst();
  }

  /** The first part with a role. */
  public Optional<ScoredPart> part(Role role) {
    return parts.stream().filter(scored -> scored.part().role() == role).findFirst();
  }
}
