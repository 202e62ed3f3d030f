package westtide.compose.form;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import westtide.song.Song;
import westtide.song.form.Form;
import westtide.song.form.FormLine;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.style.FormHabit;
import westtide.style.Style;

/**
 * Forms a song could have: the style's own, and the openings any style is sold with, each fitted to
 * the length the song is planned at by whole eights.
 *
 * @param style the style
 * @param song the song
 */
public record FormPlans(Style style, Song song) {
  private static final int EIGHT = 8;
  private static final int LONGEST_VERSE = 24;
  private static final int SHORTEST = 8;

  /** Seconds a song usually lasts where nothing is planned (common practice: 2:20 to 3:30). */
  private static final int USUAL_SECONDS = 165;

  private static final Map<String, String> OPENINGS = openings();

  /**
   * A form that could be laid out.
   *
   * @param name what it is called
   * @param items its sections
   */
  public record Plan(String name, List<FormLine.Item> items) {
    /** Copies the sections. */
    public Plan {
      items = List.copyOf(items);
    }

    /** Length in bars. */
    public int bars() {
      return items.stream().mapToInt(FormLine.Item::bars).sum();
    }

    /** The plan as a typed line. */
    public String line() {
      List<String> words = new ArrayList<>();
      items.forEach(item -> words.add(item.title() + " " + item.bars()));
      return String.join(", ", words);
    }
  }

  private static Map<String, String> openings() {
    Map<String, String> out = new LinkedHashMap<>();
    out.put(
        "Intro, verse, hook",
        "intro 8, verse 16, pre-hook 8, hook 16, verse 16, hook 16, bridge 8, hook 16, outro 8");
    out.put(
        "Straight into the hook",
        "hook 16, verse 16, hook 16, verse 16, bridge 8, hook 16, outro 8");
    out.put(
        "Two drops", "intro 8, verse 16, build 8, drop 16, verse 16, build 8, drop 16, outro 8");
    out.put(
        "Patterns with repeats",
        "intro 4 x2, groove 8 x2, hook 8 x2, groove 8 x1, hook 8 x4, outro 4 x2");
    return out;
  }

  /** The style's templates first, then the openings it lacks, fitted to the length goal. */
  public List<Plan> all() {
    List<Plan> out = new ArrayList<>();
    for (FormHabit.Template template : style.form().templates()) {
      out.add(plan(template.name(), template.line()));
    }
    OPENINGS.forEach(
        (name, line) -> {
          if (out.stream().noneMatch(one -> one.name().equals(name))) {
            out.add(plan(name, line));
          }
        });
    return out;
  }

  private Plan plan(String name, String line) {
    return new Plan(name, fitted(FormLine.parse(line).orElseThrow()));
  }

  /** The bars the song is planned at. */
  public int goal() {
    int wished = song.brief().plan().seconds();
    double millis = song.brief().tempo().millis(song.brief().meter().ticksPerBar());
    return (int) Math.round((wished == 0 ? USUAL_SECONDS : wished) * 1000 / millis);
  }

  /**
   * Sections nearer to the planned length: verses and hooks grow and shrink by eights; nothing is
   * planned, nothing is changed.
   */
  private List<FormLine.Item> fitted(List<FormLine.Item> items) {
    if (song.brief().plan().seconds() == 0) {
      return items;
    }
    List<FormLine.Item> out = new ArrayList<>(items);
    int goal = goal();
    boolean changed = true;
    while (changed) {
      int bars = out.stream().mapToInt(FormLine.Item::bars).sum();
      changed = false;
      if (bars + EIGHT / 2 < goal) {
        changed = grow(out);
      } else if (bars - EIGHT / 2 > goal) {
        changed = shrink(out);
      }
    }
    return out;
  }

  private static boolean grow(List<FormLine.Item> items) {
    int at = -1;
    for (int i = 0; i < items.size(); i++) {
      boolean may = verseOrHook(items.get(i)) && items.get(i).bars() < LONGEST_VERSE;
      at = may && (at < 0 || items.get(i).bars() < items.get(at).bars()) ? i : at;
    }
    if (at >= 0) {
      items.set(at, items.get(at).withBars(items.get(at).bars() + EIGHT));
    }
    return at >= 0;
  }

  private static boolean shrink(List<FormLine.Item> items) {
    int at = -1;
    for (int i = 0; i < items.size(); i++) {
      boolean may = items.get(i).bars() > SHORTEST && items.get(i).bars() % EIGHT == 0;
      at = may && (at < 0 || items.get(i).bars() >= items.get(at).bars()) ? i : at;
    }
    if (at >= 0) {
      items.set(at, items.get(at).withBars(items.get(at).bars() - EIGHT));
    }
    return at >= 0;
  }

  private static boolean verseOrHook(FormLine.Item item) {
    return item.word().kind() == SectionKind.VERSE
        || item.word().kind() == SectionKind.HOOK
        || item.word().kind() == SectionKind.GROOVE;
  }

  /** The form a plan would lay out. */
  public Form form(Plan plan) {
    Form laid = FormDraft.in(style, song).form(plan.items());
    return new TransitionDraft(style, song.withForm(laid)).announced();
  }

  /** What a plan would change against the form the song has, a sentence each. */
  public List<String> changes(Plan plan) {
    return FormChanges.between(song, song.form(), form(plan));
  }

  /** Whether the song is laid out like a plan. */
  public boolean isNow(Plan plan) {
    List<Section> now = song.form().sections();
    if (now.size() != plan.items().size()) {
      return false;
    }
    for (int i = 0; i < now.size(); i++) {
      boolean same =
          plan.items().get(i).means(now.get(i)) && plan.items().get(i).bars() == now.get(i).bars();
      if (!same) {
        return false;
      }
    }
    return true;
  }
}
