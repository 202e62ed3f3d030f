package westtide.song.edit.line;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import westtide.rhythm.Meter;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.edit.Edit;
import westtide.song.id.PartId;
import westtide.song.line.ChordNote;
import westtide.song.line.Note;
import westtide.song.pattern.BorrowedRhythm;
import westtide.song.pattern.LineCycle;
import westtide.song.pattern.LowLine;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;

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

  /**
   * Lets a written line come round after so many steps, whatever the bar; 0 makes it as long as its
   * bars again. Notes behind the last step stay written and are not heard.
   */
  public Edit cycle(LineCycle cycle) {
    return Edit.named(
        song ->
            cycle.steps() == 0
                ? "Make " + pattern + " as long as its bars, " + name(song)
                : "Repeat " + pattern + " every " + cycle.steps() + " steps, " + name(song),
        song ->
            song.withPart(
                part, p -> p.with(cycled(p.pattern(pattern), cycle, song.brief().meter()))));
  }

  private static NamedPattern cycled(NamedPattern named, LineCycle cycle, Meter meter) {
    if (!(named.pattern() instanceof Pattern.Written line)) {
      return named;
    }
    int bars = Math.max(line.bars(), LineCycle.bars(Math.max(1, cycle.steps()), meter));
    return named.withPattern(new Pattern.Written(bars, line.notes(), cycle));
  }

  /** Lets the pattern take its rhythm from another part, keeping its notes in their order. */
  public Edit borrow(PartId model) {
    return Edit.named(
        song -> "Rhythm of " + nameOf(song, model) + " for " + pattern + ", " + name(song),
        song -> song.withPart(part, p -> p.with(borrowing(p.pattern(pattern), model))));
  }

  private static NamedPattern borrowing(NamedPattern named, PartId model) {
    if (named.pattern() instanceof Pattern.Written line && !line.notes().isEmpty()) {
      return named.withPattern(new Pattern.Following(new BorrowedRhythm(model, line.notes())));
    }
    return named
        .withRule(BorrowedRhythm.class, rule -> new BorrowedRhythm(model, rule.notes()))
        .withRule(LowLine.class, rule -> rule.listening(LowLine.Rhythm.PART, model));
  }

  /** Gives a pattern that borrows its rhythm its own again. */
  public Edit ownRhythm() {
    return Edit.named(
        song -> "Own rhythm for " + pattern + ", " + name(song),
        song -> song.withPart(part, p -> p.with(alone(p.pattern(pattern), song.brief().meter()))));
  }

  private static NamedPattern alone(NamedPattern named, Meter meter) {
    return named
        .rule(BorrowedRhythm.class)
        .map(rule -> named.withPattern(rule.alone(meter)))
        .orElseGet(
            () -> named.withRule(LowLine.class, rule -> rule.withRhythm(LowLine.Rhythm.DRAWN)));
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
    return nameOf(song, part);
  }

  private static String nameOf(Song song, PartId part) {
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
                line.bars(),
                line.notes(),
                Note::start,
                Note::withStart,
                (bars, notes) ->
                    new Pattern.Written(
                        bars, notes, bars == line.bars() ? line.cycle() : LineCycle.NONE)));
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
