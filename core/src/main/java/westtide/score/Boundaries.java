package westtide.score;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import westtide.follow.SectionHarmony;
import westtide.rhythm.Meter;
import westtide.song.CellSpan;
import westtide.song.Level;
import westtide.song.Mark;
import westtide.song.Part;
import westtide.song.PlayedBars;
import westtide.song.Role;
import westtide.song.Section;
import westtide.song.Song;
import westtide.song.Transition;
import westtide.song.drum.DrumVoice;
import westtide.song.id.PartId;

/**
 * Makes notes, silences and movements of the transitions of a song. A note that starts in a silence
 * is not played; one that sounds into it ends there; nothing outside its bars is changed.
 */
final class Boundaries {
  private static final Set<DrumVoice> BACKBEAT = Set.of(DrumVoice.SNARE, DrumVoice.CLAP);

  private final Song song;
  private final Lines lines;
  private final Meter meter;
  private final List<At> marks;
  private final Optional<PartId> mainDrums;
  private final Optional<PartId> marksPart;

  Boundaries(Song song, Lines lines) {
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
  record Applied(
      List<ScoredNote> notes, List<ScoredNote> ofPatterns, Map<Moving, List<Motion.Piece>> moves) {}

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
      return what.kind().place() == Transition.Place.BEFORE;
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
    if (what.kind().place() == Transition.Place.BEFORE) {
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
  Applied applied(Part part, List<ScoredNote> notes) {
    Change change = new Change(part, notes);
    marks.forEach(change::add);
    return change.applied();
  }

  /** What the transitions do to one part. */
  private final class Change {
    private final Part part;
    private final Silences silences = new Silences();
    private final List<ScoredNote> added = new ArrayList<>();
    private final Map<Moving, List<Motion.Piece>> moves = new EnumMap<>(Moving.class);
    private List<ScoredNote> notes;

    Change(Part part, List<ScoredNote> notes) {
      this.part = part;
      this.notes = notes;
    }

    void add(At at) {
      switch (at.what().kind()) {
        case DRUMS_OUT -> silenceIf(at, chosen(at, part.role() == Role.DRUMS));
        case STOP -> silenceIf(at, chosen(at, true));
        case GAP -> silenceIf(at, chosen(at, low() || part.role() == Role.DRUMS));
        case LATE -> silenceIf(at, chosen(at, song.main().filter(part.id()::equals).isPresent()));
        case SNARE_STOP -> stopOnSnare(at);
        case HOLD -> hold(at);
        case FILL, TOM_FILL, HAT_FILL, KICKLESS, SNARE_BUILD, COUNT -> fill(at);
        case CRASH, REVERSE, RISER, SWEEP, IMPACT -> mark(at);
        case BASS_RUN, LINE_RUN, RAMP, TAIL -> run(at);
        case OPEN, CLOSE, FADE -> filter(at);
      }
    }

    private boolean low() {
      return part.role() == Role.SUB || part.role() == Role.BASS;
    }

    private boolean chosen(At at, boolean usual) {
      return at.what().parts().isEmpty() ? usual : at.what().parts().contains(part.id());
    }

    private void silenceIf(At at, boolean meant) {
      if (meant) {
        silences.add(new Silence(at.from(), at.to(), at.what().depth(), falls(at.what())));
      }
    }

    private java.util.function.Predicate<ScoredNote> falls(Transition what) {
      return what.lanes().isEmpty() || part.role() != Role.DRUMS
          ? note -> true
          : note -> note.struck().filter(s -> what.lanes().contains(s.lane())).isPresent();
    }

    private void stopOnSnare(At at) {
      Optional<Integer> first = backbeat(at.place(), at.tick(), at.end());
      if (first.isEmpty()) {
        return;
      }
      int tick = first.get();
      int bar = meter.ticksPerBar();
      int beats = at.what().beats();
      int barEnd = at.tick() + ((tick - at.tick()) / bar + 1) * bar;
      int end = Math.min(at.end(), beats == 0 ? barEnd : tick + beats * meter.ticksPerBeat());
      silences.add(
          new Silence(
              tick, end, at.what().depth(), note -> note.start() != tick || !backbeat(note)));
    }

    private void hold(At at) {
      if (part.role() != Role.DRUMS && part.role() != Role.MARKS && chosen(at, true)) {
        List<Integer> edges = changes(at.from(), at.to());
        for (int i = 0; i + 1 < edges.size(); i++) {
          notes = HeldEnd.held(notes, edges.get(i), edges.get(i + 1), meter.ticksPerBeat());
        }
      }
    }

    private void fill(At at) {
      if (mainDrums.filter(part.id()::equals).isPresent()) {
        DrumFill fill = new DrumFill(part, at.from(), at.to(), at.what(), meter);
        silences.add(new Silence(at.from(), at.to(), 100, fill::replaces));
        added.addAll(fill.strokes());
      }
    }

    /** Marks sound in the part that holds them, a crash on the kit where there is one. */
    private void mark(At at) {
      boolean kit = at.what().kind() == Transition.Kind.CRASH && mainDrums.isPresent();
      if (kit && mainDrums.filter(part.id()::equals).isPresent()) {
        added.add(MarkNotes.crash(part, at.what(), at.from(), at.to()));
      } else if (!kit && marksPart.filter(part.id()::equals).isPresent()) {
        added.add(MarkNotes.of(at.what(), at.from(), at.to()));
      }
    }

    private void run(At at) {
      if (!runs(at)) {
        return;
      }
      Runs runs = new Runs(notes, song, at, meter);
      List<ScoredNote> made = runs.of(part);
      if (!made.isEmpty()) {
        if (at.before()) {
          silences.add(new Silence(at.from(), at.to(), 100, note -> true));
        }
        added.addAll(made);
      }
    }

    /** Whether a run is this part's: a chosen one, or the one that usually runs. */
    private boolean runs(At at) {
      return chosen(
          at,
          switch (at.what().kind()) {
            case BASS_RUN -> first(song.parts(Role.BASS).isEmpty() ? Role.SUB : Role.BASS);
            case RAMP -> first(song.parts(Role.SUB).isEmpty() ? Role.BASS : Role.SUB);
            case LINE_RUN, TAIL ->
                song.main()
                    .flatMap(song::part)
                    .filter(main -> main.role() == Role.LINE)
                    .map(part::equals)
                    .orElseGet(() -> first(Role.LINE));
            default -> false;
          });
    }

    private boolean first(Role role) {
      return song.parts(role).stream().findFirst().filter(part::equals).isPresent();
    }

    private void filter(At at) {
      boolean usual =
          at.what().kind() == Transition.Kind.FADE
              || part.role() != Role.MARKS && part.role() != Role.SUB;
      if (chosen(at, usual)) {
        Sweeps.of(at)
            .forEach(
                (what, piece) -> moves.computeIfAbsent(what, w -> new ArrayList<>()).addAll(piece));
      }
    }

    Applied applied() {
      if (silences.none() && added.isEmpty()) {
        return new Applied(notes, notes, moves);
      }
      List<ScoredNote> kept = silences.left(notes);
      List<ScoredNote> all = new ArrayList<>(kept);
      all.addAll(silences.leftOfMarks(added));
      return new Applied(NoteOrder.sorted(all), kept, moves);
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
