package westtide.review.lines;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import westtide.song.line.Note;

/**
 * How the units of a line repeat: the same notes have the same letter, the same rhythm with other
 * notes a letter with a stroke, anything else a letter of its own, silence a dash.
 *
 * @param letters such as {@code "a a′ b a"}, of eight units at most
 * @param repeated share of the units whose rhythm was there before, 0 to 1
 */
record LinePlan(String letters, double repeated) {
  private static final int MOST = 8;

  /** The plan of notes in units of so many ticks. */
  static LinePlan of(List<Note> notes, int unitTicks) {
    int last = notes.stream().mapToInt(Note::start).max().orElse(0);
    int count = Math.min(MOST, last / unitTicks + 1);
    List<TreeMap<Integer, Integer>> units = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      units.add(new TreeMap<>());
    }
    for (Note note : notes) {
      int unit = note.start() / unitTicks;
      if (unit < count) {
        units.get(unit).put(note.start() % unitTicks, note.key());
      }
    }
    List<Map<Integer, Integer>> seen = new ArrayList<>();
    List<String> letters = new ArrayList<>();
    int again = 0;
    for (TreeMap<Integer, Integer> unit : units) {
      int like = like(unit, seen);
      if (unit.isEmpty()) {
        letters.add("–");
      } else if (like < 0) {
        letters.add(letter(seen.size()));
        seen.add(unit);
      } else {
        letters.add(letter(like) + (seen.get(like).equals(unit) ? "" : "′"));
        again++;
      }
    }
    return new LinePlan(
        String.join(" ", letters), units.size() < 2 ? 0.5 : again / (double) (units.size() - 1));
  }

  private static int like(Map<Integer, Integer> unit, List<Map<Integer, Integer>> seen) {
    for (int i = 0; i < seen.size(); i++) {
      if (seen.get(i).keySet().equals(unit.keySet())) {
        return i;
      }
    }
    return -1;
  }

  private static String letter(int index) {
    return String.valueOf((char) ('a' + index));
  }
}
