package westtide.review.finding;

import java.util.List;
import java.util.function.Function;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.song.Role;

/**
 * Something of a song that a check reads. Where all inputs of a stage are the same before and after
 * an edit, what was found there is too.
 */
public enum Input {
  /** Style, tempo, meter, key, swing and length. */
  BRIEF(score -> score.song().brief()),
  /** The rows of chords. */
  PROGRESSIONS(score -> score.song().progressions()),
  /** Sections, what plays in them, transitions. */
  FORM(score -> score.song().form()),
  /** Which part is the main one. */
  MAIN(score -> score.song().main()),
  /** What drums play. */
  DRUMS(score -> parts(score.parts(Role.DRUMS))),
  /** What lines play. */
  LINES(score -> parts(score.parts(Role.LINE))),
  /** What chords play, as parts. */
  CHORDS(score -> parts(score.parts(Role.CHORDS))),
  /** What found sound plays, as parts. */
  FOUND(score -> parts(score.parts(Role.FOUND))),
  /** What every part plays and how it sounds. */
  PARTS(score -> parts(score.parts())),
  /** What a rendering measured: an edit makes it old. */
  RENDERING(score -> new Object());

  private final Function<Score, Object> read;

  Input(Function<Score, Object> read) {
    this.read = read;
  }

  /** Whether it is the same in two scores; a part that was scored anew is another. */
  public boolean same(Score before, Score after) {
    return read.apply(before).equals(read.apply(after));
  }

  private static List<Identity> parts(List<ScoredPart> parts) {
    return parts.stream().map(Identity::new).toList();
  }

  /** A scored part, equal to itself alone: comparing its notes would cost as much as a check. */
  private record Identity(ScoredPart part) {
    @Override
    public boolean equals(Object other) {
      return other instanceof Identity that && that.part == part;
    }

    @Override
    public int hashCode() {
      return System.identityHashCode(part);
    }
  }
}
