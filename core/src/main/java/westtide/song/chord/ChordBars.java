package westtide.song.chord;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import westtide.text.Reading;

/** Splits a chord line into bars of words, with everything that repeats written out. */
final class ChordBars {
  private static final Pattern TOKEN =
      Pattern.compile("[|%(]|\\)[x×]?\\d*|[^\\s|%()]+(?:\\([^()|\\s]*\\)[^\\s|%()]*)*");
  private static final int MOST_BARS = 64;

  private final String line;
  private final List<List<ChordWord>> bars = new ArrayList<>();
  private List<ChordWord> bar = new ArrayList<>();
  private int groupFrom = -1;
  private int groupColumn;
  private boolean closedByRepeat;

  ChordBars(String line) {
    this.line = line;
  }

  Reading<List<List<ChordWord>>> read() {
    Matcher matcher = TOKEN.matcher(line);
    while (matcher.find()) {
      String problem = take(matcher.group(), matcher.start() + 1);
      if (!problem.isEmpty()) {
        return Reading.problem(matcher.start() + 1, problem);
      }
      if (bars.size() > MOST_BARS) {
        return Reading.problem(
            matcher.start() + 1, "a progression has 64 bars at most; write the rest as another");
      }
    }
    if (groupFrom >= 0) {
      return Reading.problem(groupColumn, "this ( is never closed; end the group with )x2");
    }
    close();
    return new Reading.Understood<>(bars);
  }

  /** Takes one sign or word; returns what is wrong with it, or nothing. */
  private String take(String token, int column) {
    if (token.equals("|")) {
      return barLine();
    }
    if (token.equals("%")) {
      return repeatBar();
    }
    if (token.equals("(")) {
      return open(column);
    }
    if (token.startsWith(")")) {
      return repeatGroup(token);
    }
    if (closedByRepeat) {
      return "put | between a repeat and the next bar";
    }
    bar.add(ChordWord.of(token, column));
    return "";
  }

  private String barLine() {
    boolean first = bars.isEmpty() && bar.isEmpty();
    boolean afterGroup = bar.isEmpty() && closedByRepeat;
    closedByRepeat = false;
    if (bar.isEmpty() && !first && !afterGroup) {
      return "this bar is empty; type a chord or . to hold";
    }
    close();
    return "";
  }

  private String repeatBar() {
    if (!bar.isEmpty()) {
      return "% repeats a whole bar, so it stands alone between bar lines";
    }
    if (bars.isEmpty()) {
      return "there is no bar before this % to repeat";
    }
    bars.add(bars.get(bars.size() - 1));
    closedByRepeat = true;
    return "";
  }

  private String open(int column) {
    if (groupFrom >= 0) {
      return "a group cannot stand inside another; close the first with )x2";
    }
    if (!bar.isEmpty()) {
      return "a group begins with a bar; put | before the (";
    }
    groupFrom = bars.size();
    groupColumn = column;
    closedByRepeat = false;
    return "";
  }

  private String repeatGroup(String token) {
    if (groupFrom < 0) {
      return "this ) closes nothing; begin the group with (";
    }
    String digits = token.replaceAll("\\D", "");
    int times = digits.isEmpty() ? 0 : Integer.parseInt(digits);
    if (times < 2 || times > 16) {
      return "say how often the group is played, 2 to 16 times, such as )x2";
    }
    close();
    List<List<ChordWord>> group = List.copyOf(bars.subList(groupFrom, bars.size()));
    if (group.isEmpty()) {
      return "this group is empty; type chords between ( and )";
    }
    for (int i = 1; i < times; i++) {
      bars.addAll(group);
    }
    groupFrom = -1;
    closedByRepeat = true;
    return "";
  }

  private void close() {
    if (!bar.isEmpty()) {
      bars.add(bar);
      bar = new ArrayList<>();
    }
  }
}
