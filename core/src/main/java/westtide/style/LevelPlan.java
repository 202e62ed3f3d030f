package westtide.style;

import java.util.ArrayList;
import java.util.List;
import westtide.song.HintSound;
import westtide.song.Role;
import westtide.song.form.Cell;
import westtide.song.form.Level;

/**
 * What a part does over a section, such as {@code "out/full"} (out for the first half) or {@code
 * "hint:tease"} (its pattern "tease" as a hint).
 *
 * @param text the plan; shares of the section between slashes
 */
public record LevelPlan(String text) {
  /** Checks the levels by reading them. */
  public LevelPlan {
    cells(text, 16);
  }

  /** The cells of the plan for a part of that role over a section of that many bars. */
  public List<Cell> cells(int bars, Role role) {
    return cells(text, bars).stream().map(cell -> HintSound.planned(cell, role)).toList();
  }

  private static List<Cell> cells(String text, int bars) {
    String[] shares = text.split("/");
    List<Cell> out = new ArrayList<>();
    for (int i = 0; i < shares.length; i++) {
      int from = bars * i / shares.length;
      if (i > 0 && from == out.get(out.size() - 1).fromBar()) {
        continue;
      }
      String[] words = shares[i].split(":");
      out.add(new Cell(from, Level.parse(words[0]), words.length > 1 ? words[1] : "A"));
    }
    return out;
  }

  @Override
  public String toString() {
    return text;
  }
}
