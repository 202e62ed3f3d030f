package westtide.score.line;

import java.util.ArrayList;
import java.util.List;
import westtide.song.Part;
import westtide.song.form.Cell;
import westtide.song.form.CellSpan;
import westtide.song.form.Section;

/** The stretches of a section over which a part does one thing. */
public final class Spans {
  private Spans() {}

  /** The stretches in order; cells that follow each other and say the same are one. */
  public static List<CellSpan> joined(Section section, Part part) {
    List<CellSpan> out = new ArrayList<>();
    for (CellSpan span : section.spans(part.id())) {
      CellSpan last = out.isEmpty() ? null : out.get(out.size() - 1);
      if (last != null && same(last.cell(), span.cell(), part)) {
        out.set(out.size() - 1, new CellSpan(last.cell(), span.endBar(), span.endBeat()));
      } else {
        out.add(span);
      }
    }
    return out;
  }

  private static boolean same(Cell before, Cell after, Part part) {
    return before.level() == after.level()
        && before.sound().equals(after.sound())
        && name(part, before).equals(name(part, after));
  }

  /** The name of the pattern a cell plays. */
  public static String name(Part part, Cell cell) {
    return part.pattern(cell.pattern()).name();
  }
}
