package westtide.song.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import westtide.rhythm.Meter;
import westtide.song.NamedPattern;
import westtide.song.Note;
import westtide.song.Part;
import westtide.song.Pattern;
import westtide.song.Song;
import westtide.song.id.PartId;
import westtide.song.line.ChordNote;

/**
 * Edits of a line's pattern as a whole: its length, its bars, and where it is played. A pattern
 * that follows a rule has no bars of its own and stays.
 *
 * @param part the part's id
 * @param pattern the pattern's name
 */
public record LinePatternEdits(PartId part, String pattern) {
  /**
   * Gives the pattern another length, 1 to 16 bars: longer it repeats what it has or is empty
   * there, shorter it loses what lies behind.
   */
  public Edit bars(int bars, boolean repeating) {
    String how = repeating ? ", repeating" : ", empty where it grows";
    return edit(
        song -> "Make " + pattern + " " + bars + (bars == 1 ? " bar" : " bars") + " long" + how,
        (line, meter) -> line.over(bars, repeating, meter));
  }

  /** Writes what one bar plays, counted from 0, into another. */
  public Edit copyBar(int from, int to) {
    return edit(
        song -> "Copy bar " + (from + 1) + " to bar " + (to + 1),
        (line, meter) -> line.copied(from, to, meter));
  }

  /** Empties the pattern. */
  public Edit clear() {
    return edit(song -> "Clear " + pattern, (line, meter) -> line.empty());
  }

  /** Lets every section in which the part plays play this pattern. */
  public Edit everywhere() {
    return Edit.named(
        song -> "Use " + pattern + " of " + name(song) + " in every section",
        song ->
            song.withForm(
                song.form()
                    .each(
                        section -> section.withEachCell(part, cell -> cell.withPattern(pattern)))));
  }

  private String name(Song song) {
    return song.part(part).map(Part::name).orElse("a part");
  }

  private Edit edit(Function<Song, String> name, BiFunction<Bars, Meter, Bars> change) {
    return Edit.named(
        song -> name.apply(song) + ", " + name(song),
        song ->
            song.withPart(
                part,
                p -> {
                  NamedPattern old = p.pattern(pattern);
                  return Bars.of(old.pattern())
                      .map(
                          bars ->
                              p.with(old.withPattern(bars.change(change, song.brief().meter()))))
                      .orElse(p);
                }));
  }

  /** A pattern made of bars with notes that start somewhere. */
  private interface Bars {
    Bars over(int bars, boolean repeating, Meter meter);

    Bars copied(int from, int to, Meter meter);

    Bars empty();

    Pattern pattern();

    default Pattern change(BiFunction<Bars, Meter, Bars> change, Meter meter) {
      return change.apply(this, meter).pattern();
    }

    static Optional<Bars> of(Pattern pattern) {
      if (pattern instanceof Pattern.Written line) {
        return Optional.of(
            new Of<>(
                line.bars(), line.notes(), Note::start, Note::withStart, Pattern.Written::new));
      }
      if (pattern instanceof Pattern.Attached line) {
        return Optional.of(
            new Of<>(
                line.bars(),
                line.notes(),
                ChordNote::start,
                ChordNote::withStart,
                (bars, notes) -> new Pattern.Attached(bars, line.lowest(), notes)));
      }
      return Optional.empty();
    }
  }

  private record Of<N>(
      int bars,
      List<N> notes,
      Function<N, Integer> start,
      BiFunction<N, Integer, N> at,
      BiFunction<Integer, List<N>, Pattern> make)
      implements Bars {
    @Override
    public Bars over(int wanted, boolean repeating, Meter meter) {
      int length = bars * meter.ticksPerBar();
      int end = wanted * meter.ticksPerBar();
      List<N> out = new ArrayList<>();
      for (int from = 0; from < end && (from == 0 || repeating); from += length) {
        for (N note : notes) {
          int tick = from + start.apply(note);
          if (tick < end) {
            out.add(at.apply(note, tick));
          }
        }
      }
      return new Of<>(wanted, out, start, at, make);
    }

    @Override
    public Bars copied(int from, int to, Meter meter) {
      int bar = meter.ticksPerBar();
      List<N> out = new ArrayList<>(notes);
      out.removeIf(note -> start.apply(note) / bar == to);
      for (N note : notes) {
        if (start.apply(note) / bar == from) {
          out.add(at.apply(note, start.apply(note) + (to - from) * bar));
        }
      }
      return new Of<>(bars, out, start, at, make);
    }

    @Override
    public Bars empty() {
      return new Of<>(bars, List.of(), start, at, make);
    }

    @Override
    public Pattern pattern() {
      return make.apply(bars, notes);
    }
  }
}
