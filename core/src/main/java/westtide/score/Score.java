package westtide.score;

import java.util.List;
import java.util.Optional;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.id.PartId;

/**
 * The notes of a whole song, each with where it comes from.
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
    return new Scoring(song, part -> Optional.empty()).score();
  }

  /**
   * The score of a song that came from the one of this score by an edit: the same as {@link #of},
   * but parts the edit did not reach are taken over.
   */
  public Score after(Song edited) {
    return new Scoring(edited, new ScoreReuse(this, edited)).score();
  }

  /** The part of that id. */
  public Optional<ScoredPart> part(PartId id) {
    return parts.stream().filter(scored -> scored.part().id().equals(id)).findFirst();
  }

  /** The parts with a role, in order. */
  public List<ScoredPart> parts(Role role) {
    return parts.stream().filter(scored -> scored.part().role() == role).toList();
  }
}
