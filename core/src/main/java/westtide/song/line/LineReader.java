package westtide.song.line;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import westtide.rhythm.Ticks;
import westtide.song.line.TypedLine.TypedNote;
import westtide.text.Reading;

/** Reads one typed line: first its signs with groups written out, then step by step. */
final class LineReader<P> {
  private static final int MOST_BARS = 16;
  private static final int MOST_TIMES = 16;
  private static final Pattern HEAD = Pattern.compile("\\s*/(4|8|16|32|8t|16t)(?=\\s|$)");
  private static final Pattern NOTE =
      Pattern.compile(
          "([\\^_~]*)(,*)(>?[b#♭♯]*(?:R\\d{0,2}|\\d{1,2})|[A-G][b#♭♯]*-?\\d)('*)(?::(\\d{1,3}))?");
  private static final Pattern CLOSE = Pattern.compile("\\)x(\\d{1,2})");
  private static final Map<String, Integer> STEPS = steps();

  private final LineText<P> text;
  private final String typed;
  private final List<TypedNote<P>> notes = new ArrayList<>();
  private int barSteps;
  private int step;
  private int closed;

  LineReader(LineText<P> text, String typed) {
    this.text = text;
    this.typed = typed;
  }

  private static Map<String, Integer> steps() {
    Map<String, Integer> out = new HashMap<>();
    out.put("4", Ticks.PER_QUARTER);
    out.put("8", Ticks.PER_QUARTER / 2);
    out.put("16", Ticks.PER_QUARTER / 4);
    out.put("32", Ticks.PER_QUARTER / 8);
    out.put("8t", Ticks.PER_QUARTER / 3);
    out.put("16t", Ticks.PER_QUARTER / 6);
    return out;
  }

  /** Why a line is not understood, thrown to its reader alone. */
  private static final class Trouble extends Exception {
    private static final long serialVersionUID = 1;
    private final int column;

    Trouble(int at, String message) {
      super(message);
      this.column = at + 1;
    }
  }

  /**
   * A sign of the line.
   *
   * @param at where it stands
   * @param kind {@code n} for a note, else the sign itself
   * @param found the parts of a note
   */
  private record Sign(int at, char kind, Optional<Matcher> found) {}

  Reading<TypedLine<P>> read() {
    Matcher head = HEAD.matcher(typed);
    boolean counted = head.lookingAt();
    int stepTicks = counted ? STEPS.get(head.group(1)) : Ticks.PER_STEP;
    try {
      if (text.barTicks() % stepTicks != 0) {
        throw new Trouble(0, "a bar of this meter has no whole number of those steps");
      }
      barSteps = text.barTicks() / stepTicks;
      for (Sign sign : signs(counted ? head.end() : 0, typed.length())) {
        take(sign);
      }
      int bars = (step + barSteps - 1) / barSteps;
      if (bars < 1 || bars > MOST_BARS) {
        throw new Trouble(
            0, "a line has 1 to " + MOST_BARS + " bars, but this has " + bars + "; try 1 - - .");
      }
      return new Reading.Understood<>(new TypedLine<>(stepTicks, bars, notes));
    } catch (Trouble trouble) {
      return Reading.problem(trouble.column, trouble.getMessage());
    }
  }

  /** The signs of a stretch, groups as often as they say. */
  private List<Sign> signs(int from, int to) throws Trouble {
    List<Sign> out = new ArrayList<>();
    int at = from;
    while (at < to) {
      char sign = typed.charAt(at);
      if (Character.isWhitespace(sign)) {
        at++;
      } else if ("-.|%".indexOf(sign) >= 0) {
        out.add(new Sign(at, sign, Optional.empty()));
        at++;
      } else if (sign == '(') {
        at = group(at, to, out);
      } else {
        Matcher note = NOTE.matcher(typed);
        note.region(at, to);
        if (!note.lookingAt()) {
          throw new Trouble(at, unknown(sign));
        }
        out.add(new Sign(at, 'n', Optional.of(note)));
        at = note.end();
      }
    }
    return out;
  }

  /** Adds a group and returns where it ends. */
  private int group(int open, int to, List<Sign> out) throws Trouble {
    int depth = 0;
    for (int at = open; at < to; at++) {
      depth += typed.charAt(at) == '(' ? 1 : typed.charAt(at) == ')' ? -1 : 0;
      if (depth == 0) {
        Matcher close = CLOSE.matcher(typed);
        close.region(at, to);
        int times = close.lookingAt() ? Integer.parseInt(close.group(1)) : 0;
        if (times < 1 || times > MOST_TIMES) {
          throw new Trouble(at, "a group is repeated 1 to 16 times, such as (1 - 5 -)x2");
        }
        List<Sign> once = signs(open + 1, at);
        for (int i = 0; i < times; i++) {
          out.addAll(once);
        }
        return close.end();
      }
    }
    throw new Trouble(open, "this group is not closed; write ) and how often, such as )x2");
  }

  private void take(Sign sign) throws Trouble {
    if (step > MOST_BARS * barSteps) {
      throw new Trouble(sign.at(), "a line has at most " + MOST_BARS + " bars");
    }
    switch (sign.kind()) {
      case '.' -> step++;
      case '-' -> hold(sign.at());
      case '|' -> close(sign.at());
      case '%' -> again(sign.at());
      default -> note(sign.at(), sign.found().orElseThrow());
    }
  }

  private void hold(int at) throws Trouble {
    int last = notes.size() - 1;
    if (last < 0 || notes.get(last).step() + notes.get(last).steps() != step) {
      throw new Trouble(at, "there is no note before - to hold; write . for a rest");
    }
    notes.set(last, notes.get(last).longer());
    step++;
  }

  /** A bar line rests through what is missing of its bar; steps beyond whole bars are too many. */
  private void close(int at) throws Trouble {
    int since = step - closed;
    if (since > barSteps && since % barSteps != 0) {
      throw new Trouble(
          at, "a bar has " + barSteps + " steps, but " + since + " stand before this |");
    }
    step = (step + barSteps - 1) / barSteps * barSteps;
    closed = step;
  }

  private void again(int at) throws Trouble {
    if (step == 0 || step % barSteps != 0) {
      throw new Trouble(at, "% stands for the bar before, at the start of a bar");
    }
    int from = step - barSteps;
    List<TypedNote<P>> bar =
        notes.stream().filter(n -> n.step() >= from).map(n -> n.cutAt(from + barSteps)).toList();
    bar.forEach(n -> notes.add(n.later(barSteps)));
    step += barSteps;
  }

  private void note(int at, Matcher found) throws Trouble {
    String marks = found.group(1);
    String body = found.group(3);
    P pitch =
        text.pitches()
            .parse(body)
            .orElseThrow(
                () ->
                    new Trouble(
                        at,
                        "\"" + body + "\" is no pitch here; write " + text.pitches().allowed()));
    Loudness loudness =
        marks.contains("^")
            ? Loudness.ACCENT
            : marks.contains("_") ? Loudness.SOFT : Loudness.PLAIN;
    int octave = found.group(4).length() - found.group(2).length();
    if (Math.abs(octave) > 4) {
      throw new Trouble(at, "a note is up to 4 octaves away");
    }
    int steps = found.group(5) == null ? 1 : Integer.parseInt(found.group(5));
    if (steps < 1) {
      throw new Trouble(at, "a note lasts 1 step or more, such as 5:3");
    }
    notes.add(new TypedNote<>(step, steps, pitch, octave, loudness, marks.contains("~")));
    step += steps;
  }

  private String unknown(char sign) {
    return "\""
        + sign
        + "\" is no sign of a line; write "
        + text.pitches().allowed()
        + ", - to hold, . to rest, | between bars";
  }
}
