package westtide.draft;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import westtide.compose.Arranger;
import westtide.compose.SongDraft;
import westtide.compose.SongRedraft;
import westtide.compose.groove.GrooveVariations;
import westtide.level.DraftLevels;
import westtide.song.Song;
import westtide.style.CoreParts;
import westtide.style.Style;

/**
 * A whole song of a style: the sketch of its five core parts with what was wished for, the parts of
 * the style's ensemble that join and hear them, and the levels.
 *
 * @param sketch style, seed, title and what was wished for
 * @param groove how the drums and the swing of the sketch are changed before others join
 * @param ownGroove whether the drums are the person's own, which no arrangement varies
 * @param lines lines that are written by hand
 * @param ensemble whether the parts of the style's ensemble join
 */
public record Draft(
    SongDraft sketch,
    UnaryOperator<Song> groove,
    boolean ownGroove,
    List<Line> lines,
    boolean ensemble) {
  /**
   * A line written by hand into a part.
   *
   * @param fits whether a song has the part it is for
   * @param into a song → the song with the line
   */
  public record Line(Predicate<Song> fits, UnaryOperator<Song> into) {}

  /** Copies the lines. */
  public Draft {
    lines = List.copyOf(lines);
  }

  /** A draft of a sketch with everybody in it. */
  public static Draft of(SongDraft sketch) {
    return new Draft(sketch, UnaryOperator.identity(), false, List.of(), true);
  }

  /** A draft of a style from a seed. */
  public static Draft in(Style style, long seed) {
    return of(SongDraft.in(style).withSeed(seed));
  }

  /** The same with drums and swing changed; {@code own} where no arrangement may vary the drums. */
  public Draft withGroove(UnaryOperator<Song> change, boolean own) {
    return new Draft(sketch, change, own, lines, ensemble);
  }

  /** The same with a line written by hand; whoever joins hears it. */
  public Draft withLine(Line line) {
    List<Line> more = new ArrayList<>(lines);
    more.add(line);
    return new Draft(sketch, groove, ownGroove, more, ensemble);
  }

  /** The same with its five core parts only, as they were wished for. */
  public Draft core() {
    return new Draft(sketch, groove, ownGroove, lines, false);
  }

  /**
   * The song.
   *
   * @throws IllegalArgumentException when a wish or a line is not understood; the message points
   */
  public Song song() {
    return DraftLevels.set(written(ensemble ? arranged() : sketched(sketch)), sketch.style());
  }

  /** Another draft of a song from a seed; what stays of it stays, its levels too if they do. */
  public static Song again(SongRedraft redraft, long seed) {
    Song take = redraft.take(seed);
    boolean levels = redraft.kept().contains(SongRedraft.Keep.LEVELS);
    return levels ? take : DraftLevels.set(take, redraft.style());
  }

  /** Grooves of one's own go on in what follows them, so that what follows is known before. */
  private Song sketched(SongDraft draft) {
    return groove.apply(ownGroove ? GrooveVariations.in(draft.song()) : draft.song());
  }

  /** Lines for parts of the sketch are there before others join, so that they are heard. */
  private Song arranged() {
    Song sketched = sketched(sketch.drawn());
    for (Line line : lines) {
      sketched = line.fits().test(sketched) ? line.into().apply(sketched) : sketched;
    }
    Arranger arranger = new Arranger(sketch.style(), sketch.seed());
    return (ownGroove ? arranger.keeping(CoreParts.DRUMS) : arranger).arrange(sketched);
  }

  /** Arranging may vary a line; written by hand, it stands as it was written. */
  private Song written(Song arranged) {
    Song song = arranged;
    for (Line line : lines) {
      song = line.into().apply(song);
    }
    return song;
  }
}
