package westtide.compose;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import westtide.compose.form.FormChanges;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.form.Cell;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;
import westtide.song.id.Seed;
import westtide.song.pattern.NamedPattern;
import westtide.style.CoreParts;
import westtide.style.EnsembleHabit;
import westtide.style.Style;

/**
 * One part, or one section, of a song drawn anew from other seeds over the same chords, in the same
 * form; everything else stays as it is.
 *
 * @param song the song as it is
 * @param style the style it is drawn in
 */
public record PartRedraft(Song song, Style style) {
  private static final String AGAIN = " ";

  /** The parts that can be drawn anew: those the style draws too. */
  public List<Part> parts() {
    return song.parts().stream().filter(part -> draws(part.id())).toList();
  }

  private boolean draws(PartId id) {
    boolean first =
        List.of(CoreParts.KEYS, CoreParts.LEAD, CoreParts.DRUMS, CoreParts.SUB, CoreParts.BASS)
            .contains(id);
    return first || style.ensemble().members().stream().anyMatch(m -> m.id().equals(id));
  }

  /**
   * The song with what a part plays drawn anew: its patterns, not its instrument, its place in the
   * mix or the sections it is in. Patterns of other names stay.
   *
   * @throws IllegalArgumentException when the style draws no such part
   */
  public Song part(PartId id, long seed) {
    Part drawn =
        drafted(seed)
            .part(id)
            .orElseThrow(
                () -> new IllegalArgumentException("the style draws no part \"" + id + "\""));
    Part old = song.part(id).orElseThrow();
    List<NamedPattern> patterns = new ArrayList<>(drawn.patterns());
    old.patterns().stream().filter(own -> drawn.find(own.name()).isEmpty()).forEach(patterns::add);
    return song.withPart(id, part -> part.withPatterns(patterns));
  }

  /**
   * The song with one section drawn anew: what is played in it, how full, and by whom: where the
   * style has more players, one of them joins and another waits for the second half. Parts the
   * style does not draw, marks and movements stay; what other sections play stays too.
   */
  public Song section(SectionId id, long seed) {
    Song drafted = drafted(seed);
    int place = song.form().place(id).orElseThrow();
    List<Section> others = drafted.form().sections();
    if (others.size() != song.form().sections().size()) {
      return song;
    }
    Song out = song;
    for (Part part : parts()) {
      Optional<Part> drawn = drafted.part(part.id());
      if (drawn.isPresent() && part.role() != Role.MARKS) {
        out = with(out, id, part, drawn.get(), others.get(place).cells(part.id()));
      }
    }
    return withOthers(out, id, new Seed(seed).random("players of a section"));
  }

  /** One member that was out joins, and one that was in enters halfway. */
  private Song withOthers(Song drawn, SectionId id, Random random) {
    Section section = drawn.form().find(id).orElseThrow();
    List<PartId> out = new ArrayList<>();
    List<PartId> in = new ArrayList<>();
    for (EnsembleHabit.Member member : style.ensemble().members()) {
      if (drawn.part(member.id()).isPresent()) {
        boolean plays = FormChanges.highest(section, member.id()) != Level.OUT;
        (plays ? in : out).add(member.id());
      }
    }
    Section changed = section;
    int half = section.bars() / 2;
    if (!in.isEmpty() && half > 0 && random.nextBoolean()) {
      PartId late = Seed.pick(in, random);
      Cell cell = section.cell(late, half);
      boolean there = cell.level() != Level.OUT;
      changed = there ? changed.withCells(late, from(half, cell)) : changed;
    }
    if (!out.isEmpty()) {
      PartId joining = Seed.pick(out, random);
      int bar = random.nextBoolean() ? 0 : half;
      String own =
          drawn.part(joining).orElseThrow().find(section.progression()).isPresent()
              ? section.progression()
              : SongDraft.MAIN;
      changed = changed.withCells(joining, from(bar, new Cell(0, Level.HALF, own)));
    }
    Section last = changed;
    return drawn.withForm(drawn.form().with(id, before -> last));
  }

  private static List<Cell> from(int bar, Cell cell) {
    Cell later = cell.at(bar, 0);
    return bar == 0 ? List.of(later) : List.of(Cell.out(), later);
  }

  private Song drafted(long seed) {
    EnumSet<SongRedraft.Keep> kept =
        EnumSet.of(SongRedraft.Keep.PACE, SongRedraft.Keep.CHORDS, SongRedraft.Keep.FORM);
    return new SongRedraft(song, style, kept).take(seed);
  }

  /**
   * The song with the cells of a part in a section, and the patterns they ask for beside its own.
   */
  private static Song with(Song song, SectionId id, Part part, Part drawn, List<Cell> cells) {
    List<NamedPattern> patterns = new ArrayList<>(part.patterns());
    List<Cell> out = new ArrayList<>();
    for (Cell cell : cells) {
      out.add(cell.level() == Level.OUT ? cell : fitted(cell, drawn, patterns));
    }
    return song.withPart(part.id(), p -> p.withPatterns(patterns))
        .withForm(song.form().with(id, section -> section.withCells(part.id(), out)));
  }

  /** The cell asking for the drawn pattern, which joins the others unless it is there already. */
  private static Cell fitted(Cell cell, Part drawn, List<NamedPattern> patterns) {
    NamedPattern wanted = drawn.pattern(cell.pattern());
    for (NamedPattern own : patterns) {
      if (own.pattern().equals(wanted.pattern())) {
        return cell.withPattern(own.name());
      }
    }
    String name = free(wanted.name(), patterns);
    patterns.add(new NamedPattern(name, wanted.pattern()));
    return cell.withPattern(name);
  }

  private static String free(String name, List<NamedPattern> patterns) {
    String out = name;
    for (int i = 2; has(patterns, out); i++) {
      out = name + AGAIN + i;
    }
    return out;
  }

  private static boolean has(List<NamedPattern> patterns, String name) {
    return patterns.stream().anyMatch(own -> own.name().equals(name));
  }
}
