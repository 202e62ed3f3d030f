package westtide.song.found;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import westtide.rhythm.Meter;
import westtide.song.line.Note;
import westtide.song.pattern.Pattern;
import westtide.text.Reading;

/**
 * A line of letters for the pieces of a loop: {@code A A C:C ,B | E F -2 . G+5 -}. A letter is a
 * piece (A the first, after Z come a to z), {@code *} the whole loop; a comma before it plays it
 * backwards, {@code +5} or {@code -3} behind it moves it by semitones. Signs in a bar share the bar
 * evenly, a colon halves one among two, {@code -} holds, {@code .} rests, {@code |} ends a bar.
 */
public final class PieceLine {
  private static final int VELOCITY = 110;
  private static final int MOST_BARS = 16;
  private static final int MOST_SHARES = 48;

  private PieceLine() {}

  /**
   * A line that was read.
   *
   * @param sound the loop, with the takes the line asks for
   * @param pattern what it plays
   */
  public record Read(FoundSound sound, Pattern.Written pattern) {}

  /** What a line says, or what is wrong with it and at which column. */
  public static Reading<Read> read(String text, FoundSound sound, Meter meter) {
    return new Reader(text, sound, meter).read();
  }

  /** The letter of a piece. */
  public static String letter(int piece) {
    if (piece == Take.WHOLE) {
      return "*";
    }
    return String.valueOf((char) (piece < 26 ? 'A' + piece : 'a' + piece - 26));
  }

  /** A take as it is typed. */
  public static String word(Take take) {
    String moved =
        take.semitones() == 0 ? "" : (take.semitones() > 0 ? "+" : "") + take.semitones();
    return (take.reversed() ? "," : "") + letter(take.piece()) + moved;
  }

  /** The line of a pattern; nothing where notes lie beside every grid a bar can be shared into. */
  public static Optional<String> text(FoundSound sound, Pattern.Written pattern, Meter meter) {
    List<String> bars = new ArrayList<>();
    int bar = meter.ticksPerBar();
    for (int i = 0; i < pattern.bars(); i++) {
      Optional<String> said = bar(sound, pattern.notes(), i * bar, bar);
      if (said.isEmpty()) {
        return Optional.empty();
      }
      bars.add(said.get());
    }
    return Optional.of(String.join(" | ", bars));
  }

  private static Optional<String> bar(FoundSound sound, List<Note> notes, int from, int ticks) {
    for (int share = 1; share <= MOST_SHARES; share++) {
      if (ticks % share == 0) {
        Optional<String> said = shared(sound, notes, from, ticks, share);
        if (said.isPresent()) {
          return said;
        }
      }
    }
    return Optional.empty();
  }

  private static Optional<String> shared(
      FoundSound sound, List<Note> notes, int from, int ticks, int share) {
    String[] signs = new String[share];
    java.util.Arrays.fill(signs, ".");
    int step = ticks / share;
    for (Note note : notes) {
      int start = note.start() - from;
      int end = note.end() - from;
      if (end <= 0 || start >= ticks) {
        continue;
      }
      boolean grid = start % step == 0 && (end % step == 0 || end >= ticks);
      Optional<Take> take = sound.take(note.key());
      if (!grid || take.isEmpty()) {
        return Optional.empty();
      }
      for (int at = Math.max(0, start) / step; at < share && at * step < end; at++) {
        if (!signs[at].equals(".")) {
          return Optional.empty();
        }
        signs[at] = at * step == start ? word(take.get()) : "-";
      }
    }
    return Optional.of(String.join(" ", signs));
  }

  /** Reads one line. */
  private static final class Reader {
    private final String text;
    private final Meter meter;
    private final List<Note> notes = new ArrayList<>();
    private FoundSound sound;
    private int bar;

    Reader(String text, FoundSound sound, Meter meter) {
      this.text = text;
      this.sound = sound;
      this.meter = meter;
    }

    /** A sign and where it stands. */
    private record Sign(String text, int column) {}

    Reading<Read> read() {
      try {
        List<Sign> signs = new ArrayList<>();
        for (Sign sign : signs()) {
          if (sign.text().equals("|")) {
            addBar(signs);
            signs.clear();
          } else {
            signs.add(sign);
          }
        }
        if (!signs.isEmpty() || bar == 0) {
          addBar(signs);
        }
      } catch (Wrong wrong) {
        return Reading.problem(wrong.column + 1, wrong.getMessage());
      }
      notes.sort(Comparator.comparingInt(Note::start));
      return new Reading.Understood<>(new Read(sound, new Pattern.Written(bar, notes)));
    }

    private List<Sign> signs() {
      List<Sign> out = new ArrayList<>();
      int at = 0;
      while (at < text.length()) {
        if (Character.isWhitespace(text.charAt(at))) {
          at++;
          continue;
        }
        int from = at;
        if (text.charAt(at) == '|') {
          at++;
        } else {
          while (at < text.length()
              && !Character.isWhitespace(text.charAt(at))
              && text.charAt(at) != '|') {
            at++;
          }
        }
        out.add(new Sign(text.substring(from, at), from));
      }
      return out;
    }

    private void addBar(List<Sign> signs) {
      if (bar == MOST_BARS) {
        throw new Wrong(text.length(), "a line has at most " + MOST_BARS + " bars");
      }
      int ticks = meter.ticksPerBar();
      int count = Math.max(1, signs.size());
      for (int i = 0; i < signs.size(); i++) {
        int from = bar * ticks + (int) ((long) i * ticks / count);
        int to = bar * ticks + (int) ((long) (i + 1) * ticks / count);
        addSign(signs.get(i), from, to);
      }
      bar++;
    }

    private void addSign(Sign sign, int from, int to) {
      if (sign.text().equals("-")) {
        if (!notes.isEmpty()) {
          Note last = notes.get(notes.size() - 1);
          notes.set(notes.size() - 1, last.withTicks(to - last.start()));
        }
        return;
      }
      String[] halves = sign.text().split(":", -1);
      for (int i = 0; i < halves.length; i++) {
        int start = from + (to - from) * i / halves.length;
        int end = from + (to - from) * (i + 1) / halves.length;
        if (!halves[i].equals(".") && !halves[i].isEmpty()) {
          notes.add(new Note(start, Math.max(1, end - start), key(halves[i], sign), VELOCITY));
        }
      }
    }

    private int key(String word, Sign sign) {
      boolean reversed = word.startsWith(",");
      String rest = reversed ? word.substring(1) : word;
      if (rest.isEmpty()) {
        throw new Wrong(sign.column(), "a comma plays the piece behind it backwards: write \",B\"");
      }
      int piece = piece(rest.charAt(0), sign);
      int semitones = semitones(rest.substring(1), sign);
      Take take = new Take(piece, reversed, semitones);
      if (sound.key(take).isEmpty() && sound.takes().size() == FoundSound.MOST_TAKES) {
        throw new Wrong(
            sign.column(),
            "at most " + FoundSound.MOST_TAKES + " pieces are played backwards or moved");
      }
      sound = sound.with(take);
      return sound.key(take).orElseThrow();
    }

    private int piece(char letter, Sign sign) {
      if (letter == '*') {
        return Take.WHOLE;
      }
      int piece = letter >= 'a' && letter <= 'z' ? 26 + letter - 'a' : letter - 'A';
      if (piece < 0 || piece >= sound.pieces()) {
        throw new Wrong(
            sign.column(),
            "there is no piece \""
                + letter
                + "\"; they are "
                + letter(0)
                + " to "
                + letter(sound.pieces() - 1)
                + ", and * is the whole loop");
      }
      return piece;
    }

    private static int semitones(String text, Sign sign) {
      if (text.isEmpty()) {
        return 0;
      }
      try {
        int moved = Integer.parseInt(text);
        if (Math.abs(moved) <= 24) {
          return moved;
        }
      } catch (NumberFormatException e) {
        // told below, with what is understood
      }
      throw new Wrong(
          sign.column(), "\"" + text + "\" is no move; write +5 or -3 semitones behind the letter");
    }
  }

  /** What is wrong, and where. */
  private static final class Wrong extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final int column;

    Wrong(int column, String message) {
      super(message);
      this.column = column;
    }
  }
}
