package westtide.song.found;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import westtide.rhythm.Meter;
import westtide.rhythm.Ticks;
import westtide.song.line.Note;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;

/** What a loop plays until something else is decided: the whole of it, or its pieces in order. */
public final class LoopPatterns {
  /** The pattern that plays the whole loop. */
  public static final String LOOP = "loop";

  /** The pattern that plays its pieces one after another. */
  public static final String PIECES = "pieces";

  private static final int MOST_BARS = 16;
  private static final int VELOCITY = 127;

  private LoopPatterns() {}

  /** Both, the one first that fits the way it is fitted. */
  public static List<NamedPattern> of(FoundSound sound, Meter meter) {
    NamedPattern loop = new NamedPattern(LOOP, loop(sound, meter));
    NamedPattern pieces = new NamedPattern(PIECES, pieces(sound, meter));
    return sound.fit().way() == Fit.Way.SLICES ? List.of(pieces, loop) : List.of(loop, pieces);
  }

  private static int bars(FoundSound sound, Meter meter) {
    double beats = sound.countedBars() * 4;
    int beatsABar = meter.ticksPerBar() / Ticks.PER_QUARTER;
    return (int) Math.max(1, Math.min(MOST_BARS, Math.ceil(beats / Math.max(1, beatsABar))));
  }

  private static Pattern.Written loop(FoundSound sound, Meter meter) {
    int bars = bars(sound, meter);
    int ticks = (int) Math.min(bars * (long) meter.ticksPerBar(), lasts(sound));
    return new Pattern.Written(bars, List.of(new Note(0, ticks, FoundSound.WHOLE_KEY, VELOCITY)));
  }

  private static long lasts(FoundSound sound) {
    return Math.max(1, Math.round(sound.countedBars() * 4 * Ticks.PER_QUARTER));
  }

  /** Where pieces begin in the loop; re-timed, they go to the sixteenths that swing moves. */
  private static Pattern.Written pieces(FoundSound sound, Meter meter) {
    int bars = bars(sound, meter);
    int end = (int) Math.min(bars * (long) meter.ticksPerBar(), lasts(sound));
    List<Integer> starts = new ArrayList<>();
    for (int piece = 0; piece < sound.pieces(); piece++) {
      starts.add(tick(sound, piece));
    }
    starts.add(end);
    List<Note> out = new ArrayList<>();
    for (int piece = 0; piece < sound.pieces(); piece++) {
      int start = starts.get(piece);
      int next = starts.get(piece + 1);
      if (start < end && next > start) {
        int key = FoundSound.FIRST_KEY + piece;
        out.add(new Note(start, Math.min(end, next) - start, key, VELOCITY));
      }
    }
    return new Pattern.Written(bars, out);
  }

  private static int tick(FoundSound sound, int piece) {
    double ticks = sound.beat(piece) * sound.fit().feel().factor() * Ticks.PER_QUARTER;
    int exact = (int) Math.round(ticks);
    int grid = Ticks.PER_STEP;
    return sound.fit().way() == Fit.Way.SLICES ? Math.round(exact / (float) grid) * grid : exact;
  }

  /** A written pattern with each note changed; other patterns stay. */
  public static Pattern each(Pattern pattern, UnaryOperator<Note> change) {
    return pattern instanceof Pattern.Written written
        ? written.withNotes(written.notes().stream().map(change).toList())
        : pattern;
  }
}
