package westtide.score.boundary;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import westtide.follow.SectionHarmony;
import westtide.rhythm.Meter;
import westtide.score.drum.DrumFill;
import westtide.score.drum.Groove;
import westtide.score.event.AutomationTarget;
import westtide.score.event.Motion;
import westtide.score.event.NoteOrder;
import westtide.score.event.ScoredNote;
import westtide.score.line.Lines;
import westtide.score.line.Spans;
import westtide.song.Part;
import westtide.song.PlayedBars;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.form.CellSpan;
import westtide.song.form.Level;
import westtide.song.form.Mark;
import westtide.song.form.Section;
import westtide.song.form.Transition;
import westtide.song.form.TransitionEffect;
import westtide.song.form.TransitionKind;
import westtide.song.id.PartId;

/**
 * Makes notes, silences and movements of the transitions of a song. A note that starts in a silence
 * is not played; one that sounds into it ends there; nothing outside its bars is changed.
 */
public final class Boundaries {
  private static final Set<DrumVoice> BACKBEAT = Set.of(DrumVoice.SNARE, DrumVoice.CLAP);

  private final Song song;
  private final Lines lines;
  private final Meter meter;
  private final List<At> marks;
  private final Optional<PartId> mainDrums;
  private final Optional<PartId> marksPart;

  /** Of a song, whose lines are known. */
  public Boundaries(Song song, Lines lines) {
    this.song = song;
    this.lines = lines;
    this.meter = song.brief().meter();
    this.marks = marks();
    this.mainDrums =
        marks.isEmpty() ? Optional.empty() : new PlayedBars(song).part(Role.DRUMS).map(Part::id);
    this.marksPart = song.parts(Role.MARKS).stream().findFirst().map(Part::id);
  }

  /**
   * A part with every transition.
   *
   * @param notes everything that sounds
   * @param ofPatterns what of it its patterns play
   * @param moves what transitions move
   */
  public record Applied(
      List<ScoredNote> notes,
      List<ScoredNote> ofPatterns,
      Map<AutomationTarget, List<Motion.Piece>> moves) {}

  /**
   * A transition where it happens.
   *
   * @param place the place of its section
   * @param tick the tick of the song it announces or lands
   * @param from first tick it is about
   * @param to tick after
   * @param end the end of its section
   */
  record At(Transition what, int place, int tick, int from, int to, int end) {
    boolean before() {
      return what.kind().place() == TransitionKind.Place.BEFORE;
    }
  }

  private List<At> marks() {
    List<At> out = new ArrayList<>();
    int start = 0;
    for (int place = 0; place < song.form().sections().size(); place++) {
      Section section = song.form().sections().get(place);
      int end = start + section.ticks(meter);
      for (Mark mark : section.marks()) {
        int tick = Math.min(end, start + mark.bar() * meter.ticksPerBar());
        if (mark.bar() <= section.bars()) {
          out.add(at(mark, place, tick, start, end));
        }
      }
      start = end;
    }
    return out.stream().filter(at -> at.to() > at.from()).toList();
  }

  /** Never longer than the section before, nor beyond its own. */
  private At at(Mark mark, int place, int tick, int start, int end) {
    Transition what = mark.transition();
    int ticks = what.beats() * meter.ticksPerBeat();
    if (what.kind().place() == TransitionKind.Place.BEFORE) {
      int earliest = mark.bar() > 0 ? start : place == 0 ? tick : sectionStart(place - 1);
      return new At(what, place, tick, Math.max(earliest, tick - ticks), tick, end);
    }
    int latest = end == song.ticks() || tick < end ? end : tick;
    boolean whole = what.beats() == 0;
    return new At(what, place, tick, tick, whole ? latest : Math.min(latest, tick + ticks), end);
  }

  private int sectionStart(int place) {
    return song.form().startTick(place, meter);
  }

  /** A stretch of one section with the places at which its chords change. */
  private List<Integer> changes(int from, int to) {
    List<Integer> out = new ArrayList<>(List.of(from));
    int place = song.form().sectionAt(song.barLines().bar(from));
    int start = sectionStart(place);
    new SectionHarmony(song)
        .of(place).chords().stream()
            .map(chord -> start + chord.start())
            .filter(tick -> tick > from && tick < to)
            .forEach(out::add);
    out.add(to);
    return out;
  }

  /** A part's notes with every transition of the form. */
  public Applied applied(Part part, List<ScoredNote> notes) {
    Change change = new Change(part, notes);
    marks.forEach(change::add);
    return change.applied();
  }

  /** What the transitions do to one part. */
  private final class Change {
    private final Part part;
    private final Silences silences = new Silences();
    private final List<ScoredNote> added = new ArrayList<>();
    private final Map<AutomationTarget, List<Motion.Piece>> moves =
        new EnumMap<>(AutomationTarget.class);
    private List<ScoredNote> notes;

    Change(Part part, List<ScoredNote> notes) {
      this.part = part;
      this.notes = notes;
    }

    void add(At at) {
      at.what().kind().effect().accept(new Acting(this, at));
    }

    private boolean plays(Role role) {
      return part.role() == role;
    }

    private boolean first(Role role) {
      return song.parts(role).stream().findFirst().filter(part::equals).isPresent();
    }

    private boolean isMain() {
      return song.main().filter(part.id()::equals).isPresent();
    }

    public Applied applied() {
      if (silences.none() && added.isEmpty()) {
        return new Applied(notes, notes, moves);
      }
      List<ScoredNote> kept = silences.left(notes);
      List<ScoredNote> all = new ArrayList<>(kept);
      all.addAll(silences.leftOfMarks(added));
      return new Applied(NoteOrder.sorted(all), kept, moves);
    }
  }

  /** One transition acting on one part, by its family; says whether it is this part's. */
  private final class Acting implements TransitionEffect.Families<Boolean> {
    private final Change change;
    private final At at;
    private final Part part;

    Acting(Change change, At at) {
      this.change = change;
      this.at = at;
      this.part = change.part;
    }

    /** Whether the part is among the chosen ones, or one that is usually meant. */
    private boolean chosen(boolean usual) {
      return at.what().parts().isEmpty() ? usual : at.what().parts().contains(part.id());
    }

    private boolean silent(int from, int to, int depth, Predicate<ScoredNote> which) {
      change.silences.add(new Silence(from, to, depth, which));
      return true;
    }

    @Override
    public Boolean silence(TransitionEffect.Silence effect) {
      boolean usual =
          switch (effect.who()) {
            case DRUMS -> change.plays(Role.DRUMS);
            case ALL -> true;
            case LOW_END_AND_DRUMS ->
                change.plays(Role.DRUMS) || change.plays(Role.SUB) || change.plays(Role.BASS);
            case MAIN_PART -> change.isMain();
          };
      return chosen(usual) && silent(at.from(), at.to(), at.what().depth(), falls());
    }

    private Predicate<ScoredNote> falls() {
      Set<LaneId> lanes = at.what().lanes();
      return lanes.isEmpty() || !change.plays(Role.DRUMS)
          ? note -> true
          : note -> note.struck().filter(s -> lanes.contains(s.lane())).isPresent();
    }

    @Override
    public Boolean stopOnBackbeat(TransitionEffect.StopOnBackbeat effect) {
      Optional<Integer> first = backbeat(at.place(), at.tick(), at.end());
      if (first.isEmpty()) {
        return false;
      }
      int tick = first.get();
      int bar = meter.ticksPerBar();
      int beats = at.what().beats();
      int barEnd = at.tick() + ((tick - at.tick()) / bar + 1) * bar;
      int end = Math.min(at.end(), beats == 0 ? barEnd : tick + beats * meter.ticksPerBeat());
      return silent(
          tick, end, at.what().depth(), note -> note.start() != tick || !Boundaries.backbeat(note));
    }

    @Override
    public Boolean held(TransitionEffect.Held effect) {
      boolean meant = !change.plays(Role.DRUMS) && !change.plays(Role.MARKS) && chosen(true);
      if (meant) {
        List<Integer> edges = changes(at.from(), at.to());
        for (int i = 0; i + 1 < edges.size(); i++) {
          change.notes =
              HeldEnd.held(change.notes, edges.get(i), edges.get(i + 1), meter.ticksPerBeat());
        }
      }
      return meant;
    }

    @Override
    public Boolean fill(TransitionEffect.Fill effect) {
      if (mainDrums.filter(part.id()::equals).isEmpty()) {
        return false;
      }
      DrumFill fill = new DrumFill(part, at.from(), at.to(), at.what(), effect, meter);
      change.added.addAll(fill.strokes());
      return silent(at.from(), at.to(), 100, fill::replaces);
    }

    /** Sounds play in the part that holds them, a crash on the kit where there is one. */
    @Override
    public Boolean sound(TransitionEffect.Sound effect) {
      boolean kit = effect.onKit() && mainDrums.isPresent();
      Optional<PartId> whose = kit ? mainDrums : marksPart;
      return whose.filter(part.id()::equals).isPresent()
          && change.added.add(
              kit
                  ? MarkNotes.crash(part, at.what(), at.from(), at.to())
                  : MarkNotes.of(effect, at.what(), at.from(), at.to()));
    }

    @Override
    public Boolean run(TransitionEffect.Run effect) {
      if (!chosen(runsUsually(effect.way()))) {
        return false;
      }
      List<ScoredNote> made = new Runs(change.notes, song, at, meter).of(effect.way());
      if (!made.isEmpty() && at.before()) {
        silent(at.from(), at.to(), 100, note -> true);
      }
      return change.added.addAll(made);
    }

    private boolean runsUsually(TransitionEffect.Run.Way way) {
      return switch (way) {
        case BASS -> change.first(song.parts(Role.BASS).isEmpty() ? Role.SUB : Role.BASS);
        case RAMP -> change.first(song.parts(Role.SUB).isEmpty() ? Role.BASS : Role.SUB);
        case LINE, TAIL ->
            song.main()
                .flatMap(song::part)
                .filter(main -> main.role() == Role.LINE)
                .map(part::equals)
                .orElseGet(() -> change.first(Role.LINE));
      };
    }

    @Override
    public Boolean sweep(TransitionEffect.Sweep effect) {
      boolean usual =
          effect.way() == TransitionEffect.Sweep.Way.FADING
              || !change.plays(Role.MARKS) && !change.plays(Role.SUB);
      if (!chosen(usual)) {
        return false;
      }
      Sweeps.of(at, effect.way())
          .forEach(
              (what, pieces) ->
                  change.moves.computeIfAbsent(what, w -> new ArrayList<>()).addAll(pieces));
      return true;
    }
  }

  private static boolean backbeat(ScoredNote note) {
    return note.struck().filter(struck -> BACKBEAT.contains(struck.lane().voice())).isPresent();
  }

  /** The tick of the song of the first snare or clap that is played from a tick of a section on. */
  private Optional<Integer> backbeat(int place, int from, int end) {
    int start = sectionStart(place);
    List<Integer> ticks = new ArrayList<>();
    for (Part drums : song.parts(Role.DRUMS)) {
      for (CellSpan span : song.form().sections().get(place).spans(drums.id())) {
        if (span.cell().level() != Level.OUT) {
          String name = Spans.name(drums, span.cell());
          Groove groove =
              new Groove(lines.groove(drums, name), drums, name, meter, song.brief().swing());
          for (DrumVoice voice : BACKBEAT) {
            groove.over(
                span,
                voice,
                (lane, laid, at, length, velocity, semitones) ->
                    ticks.add((int) lane.swing().at(start + at)));
          }
        }
      }
    }
    return ticks.stream().filter(tick -> tick >= from && tick < end).min(Integer::compare);
  }
}
