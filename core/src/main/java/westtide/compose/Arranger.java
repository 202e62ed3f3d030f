package westtide.compose;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import westtide.compose.form.RisingBuilds;
import westtide.compose.groove.EightBars;
import westtide.compose.groove.GrooveVariations;
import westtide.rhythm.Hit;
import westtide.rhythm.LaneFeel;
import westtide.rhythm.StepLane;
import westtide.rhythm.Ticks;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.edit.MarksPart;
import westtide.song.edit.PartNames;
import westtide.song.edit.drum.GrooveEdits;
import westtide.song.edit.part.PartEdits;
import westtide.song.form.Cell;
import westtide.song.form.CellSpan;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.song.id.PartId;
import westtide.song.id.Seed;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.style.CoreParts;
import westtide.style.EnsembleHabit;
import westtide.style.LaneHabit;
import westtide.style.LevelPlan;
import westtide.style.Style;

/**
 * Makes an arrangement of a draft: the parts of the style's ensemble join where its plan has them
 * enter, all parts stand in the style's mix, and no section returns as it was.
 */
public final class Arranger {
  private static final int VARIANTS = 3;
  private static final int EIGHT = 8;
  private static final String IN_EIGHT = " in eight";

  private final Style style;
  private final EnsembleHabit habit;
  private final Seed seed;
  private final Set<PartId> kept;

  /** An arranger of a style. */
  public Arranger(Style style, Seed seed) {
    this(style, seed, Set.of());
  }

  private Arranger(Style style, Seed seed, Set<PartId> kept) {
    this.style = style;
    this.habit = style.ensemble();
    this.seed = seed;
    this.kept = Set.copyOf(kept);
  }

  /**
   * The arrangement of a draft whose tempo, key, chords and form are drawn where not wished for.
   */
  public static Song arranged(SongDraft draft) {
    return new Arranger(draft.style(), draft.seed()).arrange(draft.drawn().song());
  }

  /** One that leaves the grooves of a drum part as they are. */
  public Arranger keeping(PartId drums) {
    Set<PartId> more = new HashSet<>(kept);
    more.add(drums);
    return new Arranger(style, seed, more);
  }

  /** The draft with everybody in it. */
  public Song arrange(Song draft) {
    Song mixed = mixed(draft);
    Song joined = joined(mixed);
    Song laid = joined.withForm(laid(joined));
    Song heard = withoutSilent(SettledLines.in(laid));
    Song played = GrooveVariations.in(humanised(grown(heard)));
    return MarksPart.with(RisingBuilds.in(played.withMaster(habit.master())));
  }

  /** The song without parts that its form leaves out all through; who is kept stays. */
  private Song withoutSilent(Song song) {
    Song out = song;
    for (Part part : song.parts()) {
      boolean silent =
          song.form().sections().stream()
              .flatMap(section -> section.cells(part.id()).stream())
              .allMatch(cell -> cell.level() == Level.OUT || empty(part, cell));
      boolean core = part.role() == Role.MARKS || part.id().equals(CoreParts.DRUMS);
      if (silent && !core && !kept.contains(part.id())) {
        out = new PartEdits(part.id()).remove().apply(out);
      }
    }
    return out;
  }

  private static boolean empty(Part part, Cell cell) {
    return part.pattern(cell.pattern()).pattern() instanceof Pattern.Written line
        && line.notes().isEmpty();
  }

  private Song mixed(Song song) {
    Song out = song;
    for (var mix : habit.mixes().entrySet()) {
      if (song.part(mix.getKey()).isPresent()) {
        out = out.withPart(mix.getKey(), part -> part.withMix(mix.getValue().on(part.mix())));
      }
    }
    return out;
  }

  private Song joined(Song song) {
    EnsembleParts parts = new EnsembleParts(style, song, seed);
    Song out = song;
    for (EnsembleHabit.Member member : habit.members()) {
      if (song.part(member.id()).isEmpty()) {
        List<Part> all = new ArrayList<>(out.parts());
        Part part = parts.part(member);
        all.add(
            Math.max(0, all.size() - marks(song)), part.withName(PartNames.free(out, part.name())));
        out = out.withParts(all);
      }
    }
    return out;
  }

  private static int marks(Song song) {
    return song.parts(Role.MARKS).size();
  }

  /** Who plays what in each section, by how often its kind came before. */
  private Form laid(Song song) {
    List<Section> out = new ArrayList<>();
    Map<SectionKind, Integer> turns = new EnumMap<>(SectionKind.class);
    OptionalInt last = song.form().last(SectionKind.HOOK);
    for (int i = 0; i < song.form().sections().size(); i++) {
      Section section = song.form().sections().get(i);
      int turn = turns.merge(section.word().kind(), 1, Integer::sum);
      boolean lastHook = last.orElse(-1) == i;
      Section laid = laid(song, section, turn, lastHook);
      out.add(turn > 1 ? unlike(song, out, laid) : laid);
    }
    return new Form(out);
  }

  private Section laid(Song song, Section section, int turn, boolean lastHook) {
    SectionKind kind = section.word().kind();
    Section out = section;
    for (EnsembleHabit.Member member : habit.members()) {
      List<Cell> cells =
          EnsembleHabit.at(member.plays(), kind, turn, lastHook)
              .map(plan -> plan.cells(section.bars(), role(song, member.id())))
              .orElse(List.of(Cell.out()));
      out = out.withCells(member.id(), overItsChords(song.part(member.id()), section, cells));
    }
    Optional<Map<PartId, LevelPlan>> changes =
        EnsembleHabit.at(habit.returns(), kind, turn, lastHook);
    for (var change : changes.orElse(Map.of()).entrySet()) {
      out =
          out.withCells(
              change.getKey(),
              change.getValue().cells(section.bars(), role(song, change.getKey())));
    }
    return out;
  }

  private static Role role(Song song, PartId part) {
    return song.part(part).map(Part::role).orElse(Role.LINE);
  }

  /** Cells that play what a part has for the chords of a section, where it has something. */
  private static List<Cell> overItsChords(Optional<Part> part, Section section, List<Cell> cells) {
    String chords = section.progression();
    boolean own = part.filter(p -> p.find(chords).isPresent()).isPresent();
    return own
        ? cells.stream()
            .map(cell -> cell.level() == Level.OUT ? cell : cell.withPattern(chords))
            .toList()
        : cells;
  }

  /** A section that would return as it was has one part more in its second half. */
  private Section unlike(Song song, List<Section> before, Section section) {
    boolean same =
        before.stream()
            .filter(other -> other.word().kind() == section.word().kind())
            .anyMatch(other -> song.parts().stream().allMatch(p -> section.same(other, p.id())));
    if (!same) {
      return section;
    }
    for (EnsembleHabit.Member member : habit.members()) {
      if (section.cell(member.id(), 0).level() == Level.OUT) {
        int half = section.bars() / 2;
        List<Cell> late =
            half == 0
                ? List.of(new Cell(0, Level.HALF, SongDraft.MAIN))
                : List.of(Cell.out(), new Cell(half, Level.HALF, SongDraft.MAIN));
        return section.withCells(member.id(), late);
      }
    }
    return section;
  }

  /**
   * Every groove that plays at length grown to eight bars in a few ways, another each time its
   * section returns.
   */
  private Song grown(Song song) {
    Song out = song;
    for (Part part : song.parts(Role.DRUMS)) {
      boolean main = part.groove(SongDraft.MAIN, song.brief().meter()).isPresent();
      if (main && !kept.contains(part.id())) {
        out = grown(out, part);
      }
    }
    return out;
  }

  private Song grown(Song song, Part part) {
    Pattern.Drums groove = part.groove(SongDraft.MAIN, song.brief().meter()).orElseThrow();
    Part out = part;
    for (int variant = 1; variant <= VARIANTS; variant++) {
      Pattern.Drums eight =
          eightBars(part).grow(groove, song.brief().meter(), seed.plus(part.id().seed() + variant));
      out = out.with(new NamedPattern(name(variant), variant == 1 ? entered(part, eight) : eight));
    }
    Part more = out;
    Map<SectionKind, Integer> turns = new EnumMap<>(SectionKind.class);
    List<Section> sections = new ArrayList<>();
    for (Section section : song.form().sections()) {
      int turn = turns.merge(section.word().kind(), 1, Integer::sum);
      sections.add(section.withCells(part.id(), varied(part, section, turn)));
    }
    return song.withPart(part.id(), p -> more).withForm(new Form(sections));
  }

  /** Fills are the drums' alone: two parts never fill the same bar. */
  private static EightBars eightBars(Part part) {
    return part.id().equals(CoreParts.DRUMS)
        ? EightBars.of(EightBars.Plan.ALL)
        : new EightBars(EightBars.Plan.ALL, Map.of(), false);
  }

  /** The first eight bars of a groove: lanes that enter later are silent until then. */
  private Pattern.Drums entered(Part part, Pattern.Drums eight) {
    Map<LaneId, LaneHabit> lanes =
        part.id().equals(CoreParts.DRUMS) ? style.groove().lanes() : Map.of();
    return eight.each(
        lane -> {
          int steps = lane.lane().length() / EIGHT;
          int first = lanes.containsKey(lane.id()) ? lanes.get(lane.id()).enters() - 1 : 0;
          List<Hit> heard =
              lane.lane().hits().stream().filter(hit -> hit.step() >= first * steps).toList();
          return lane.withLane(new StepLane(lane.lane().length(), heard));
        });
  }

  /** What a drum part plays in a section that comes for a time: every eight bars another way. */
  private static List<Cell> varied(Part part, Section section, int turn) {
    List<Cell> out = new ArrayList<>();
    for (CellSpan span : section.spans(part.id())) {
      String pattern = span.cell().pattern();
      boolean main =
          pattern.startsWith(SongDraft.MAIN + IN_EIGHT)
              || part.pattern(pattern).name().equals(SongDraft.MAIN);
      if (!main || span.cell().level() == Level.OUT) {
        out.add(span.cell());
        continue;
      }
      for (int from = 0; from == 0 || from + EIGHT / 2 <= span.bars(); from += EIGHT) {
        int variant = 1 + (turn - 1 + from / EIGHT) % VARIANTS;
        out.add(span.cell().at(span.cell().fromBar() + from, 0).withPattern(name(variant)));
      }
    }
    return out;
  }

  private static String name(int variant) {
    return SongDraft.MAIN + ", eight bars, " + variant;
  }

  /** Lanes stray in place and force, each from a seed of its own: hats most, kicks least. */
  private Song humanised(Song song) {
    double ticksAMilli = Ticks.PER_QUARTER * song.brief().tempo().bpm() / 60_000.0;
    int ticks = (int) Math.min(60, Math.round(habit.timing() * ticksAMilli));
    Song out = song;
    for (Part part : song.parts(Role.DRUMS)) {
      if (!kept.contains(part.id())) {
        out = GrooveEdits.eachLane(out, part.id(), lane -> lane.withFeel(feel(part, lane, ticks)));
      }
    }
    return out;
  }

  private LaneFeel feel(Part part, DrumLane lane, int ticks) {
    int vary = Math.max(5, style.groove().schools().vary());
    boolean low = lane.voice() == DrumVoice.KICK;
    boolean back = lane.voice() == DrumVoice.SNARE || lane.voice() == DrumVoice.CLAP;
    int force = low ? 0 : back ? vary * 2 / 3 : Math.min(40, vary * 3 / 2);
    return lane.feel()
        .withVelocity(style.groove().schools().full() && (low || back) ? 0 : force)
        .withTicks(low ? ticks / 3 : back ? ticks * 2 / 3 : ticks)
        .withSeed(seed.value() + part.id().seed() + lane.id().code().hashCode());
  }
}
