package westtide.compose.form;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.Edit;
import westtide.song.edit.MarksPart;
import westtide.song.form.Cell;
import westtide.song.form.Form;
import westtide.song.form.FormLine;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.song.id.PartId;
import westtide.style.Style;

/**
 * A whole track out of one loop: the loop is the full hook, and everything else is stripped back
 * from it. The style's plan says how full each role is in each kind of section; further parts of a
 * role wait for second halves, second hooks and the last hook, so that something enters every eight
 * bars and hooks grow (common practice).
 *
 * @param style the style
 * @param song the song
 * @param loop the section that is the loop
 * @param items the sections to be
 */
public record LoopBuild(Style style, Song song, Section loop, List<FormLine.Item> items) {
  /** Copies the sections. */
  public LoopBuild {
    items = List.copyOf(items);
  }

  /** Builds from the fullest section, over the style's plan that is nearest to the length goal. */
  public static LoopBuild of(Style style, Song song) {
    FormPlans plans = new FormPlans(style, song);
    FormPlans.Plan nearest =
        plans.all().stream()
            .limit(style.form().templates().size())
            .min(java.util.Comparator.comparingInt(plan -> Math.abs(plan.bars() - plans.goal())))
            .orElseThrow();
    return new LoopBuild(style, song, fullest(song), nearest.items());
  }

  /** The section in which most parts play. */
  private static Section fullest(Song song) {
    Section best = song.form().sections().get(0);
    for (Section section : song.form().sections()) {
      best = playing(song, section) > playing(song, best) ? section : best;
    }
    return best;
  }

  private static long playing(Song song, Section section) {
    return song.parts().stream()
        .filter(part -> FormChanges.highest(section, part.id()) != Level.OUT)
        .count();
  }

  /** The form. */
  public Form form() {
    Form laid = FormDraft.in(style, song).form(items);
    int hooks = (int) count(laid, SectionKind.HOOK);
    int hook = 0;
    List<Section> out = new ArrayList<>();
    for (Section section : laid.sections()) {
      hook += section.word().kind() == SectionKind.HOOK ? 1 : 0;
      out.add(staggered(section, hook, hooks));
    }
    return new TransitionDraft(style, song.withForm(new Form(out))).announced();
  }

  private static long count(Form form, SectionKind kind) {
    return form.sections().stream().filter(s -> s.word().kind() == kind).count();
  }

  private Section staggered(Section section, int hook, int hooks) {
    Section out = section;
    Map<Role, Integer> places = new LinkedHashMap<>();
    for (Part part : song.parts()) {
      int place = places.merge(part.role(), 1, Integer::sum) - 1;
      List<Cell> cells = out.cells().getOrDefault(part.id(), List.of());
      if (part.role() != Role.MARKS && !cells.isEmpty()) {
        out = out.withCells(part.id(), cells(section, part, cells, place, hook, hooks));
      }
    }
    return out;
  }

  /** The first of a role as the style plans it; others later and less often, the last hook full. */
  private List<Cell> cells(
      Section section, Part part, List<Cell> planned, int place, int hook, int hooks) {
    String pattern = loop.cell(part.id(), 0).pattern();
    List<Cell> own = planned.stream().map(cell -> playing(part, cell, pattern)).toList();
    if (place == 0) {
      return own;
    }
    boolean isHook = section.word().kind() == SectionKind.HOOK;
    boolean last = isHook && hook == hooks;
    if (last) {
      return List.of(new Cell(0, Level.FULL, pattern));
    }
    Level level = isHook && hook > 1 ? Level.FULL : Level.HALF;
    boolean enters = isHook ? place <= hook : section.word().kind() == SectionKind.VERSE;
    if (!enters || section.bars() < 8 || !isHook && place > 1) {
      return List.of(Cell.out());
    }
    return isHook && hook > 1 && place < hook
        ? List.of(new Cell(0, level, pattern))
        : List.of(Cell.out(), new Cell(section.bars() / 2, level, pattern));
  }

  /** What the loop plays, unless the plan asks for a pattern the part has for it. */
  private static Cell playing(Part part, Cell planned, String pattern) {
    boolean usual = planned.pattern().isEmpty() || planned.pattern().equals("A");
    return usual && part.find(pattern).isPresent() ? planned.withPattern(pattern) : planned;
  }

  /** Who enters when, a sentence a section. */
  public List<String> entrances() {
    List<String> out = new ArrayList<>();
    Form form = form();
    Optional<Section> before = Optional.empty();
    for (int i = 0; i < form.sections().size(); i++) {
      Section section = form.sections().get(i);
      List<String> in = new ArrayList<>();
      List<String> gone = new ArrayList<>();
      for (Part part : song.parts()) {
        Level now = FormChanges.highest(section, part.id());
        Level was = before.map(s -> FormChanges.highest(s, part.id())).orElse(Level.OUT);
        if (now != Level.OUT && was == Level.OUT) {
          in.add(part.name() + " " + now + from(section, part.id()));
        } else if (now == Level.OUT && was != Level.OUT) {
          gone.add(part.name());
        }
      }
      out.add(
          form.label(i)
              + " "
              + section.bars()
              + (in.isEmpty() ? "" : ": in " + String.join(", ", in))
              + (gone.isEmpty()
                  ? ""
                  : (in.isEmpty() ? ":" : ";") + " out " + String.join(", ", gone)));
      before = Optional.of(section);
    }
    return out;
  }

  private static String from(Section section, PartId part) {
    return section.cells(part).stream()
        .filter(cell -> cell.level() != Level.OUT)
        .findFirst()
        .filter(cell -> !cell.opens())
        .map(cell -> " from bar " + (cell.fromBar() + 1))
        .orElse("");
  }

  /** Lays it out. */
  public Edit edit() {
    return Edit.of("Build from the loop", before -> MarksPart.with(before.withForm(form())));
  }
}
