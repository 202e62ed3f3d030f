package westtide.score;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.rhythm.Meter;
import westtide.rhythm.Velocity;
import westtide.song.CellSpan;
import westtide.song.Level;
import westtide.song.Part;
import westtide.song.PlayedBars;
import westtide.song.Role;
import westtide.song.Section;
import westtide.song.Song;
import westtide.song.Transition;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;

/**
 * Makes notes and silences of the transitions between sections. A note that starts in a silence is
 * not played; one that sounds into it ends there; nothing outside its bars is changed.
 */
final class Boundaries {
  private static final LaneId CRASH = DrumVoice.CRASH.lane();

  private final Song song;
  private final Lines lines;
  private final Meter meter;

  Boundaries(Song song, Lines lines) {
    this.song = song;
    this.lines = lines;
    this.meter = song.brief().meter();
  }

  /** A stretch in which a part is silent, apart from strikes of the backbeat at its first tick. */
  private record Silence(int from, int to, boolean backbeat) {
    boolean holds(ScoredNote note) {
      boolean kept = backbeat && note.start() == from && backbeat(note);
      return note.start() >= from && note.start() < to && !kept;
    }

    private static boolean backbeat(ScoredNote note) {
      return note.of(DrumVoice.SNARE) || note.of(DrumVoice.CLAP);
    }

    ScoredNote cut(ScoredNote note) {
      return note.start() < from && note.end() > from ? note.endingAt(from) : note;
    }
  }

  /** The notes of a part with every transition of the form. */
  List<ScoredNote> applied(Part part, List<ScoredNote> notes) {
    List<Silence> silences = new ArrayList<>();
    List<ScoredNote> out = new ArrayList<>();
    for (int i = 1; i < song.form().sections().size(); i++) {
      for (Transition transition : song.form().sections().get(i).entry()) {
        transition.accept(new At(part, i, silences, out));
      }
    }
    if (silences.isEmpty() && out.isEmpty()) {
      return notes;
    }
    for (ScoredNote note : notes) {
      if (silences.stream().noneMatch(silence -> silence.holds(note))) {
        ScoredNote kept = note;
        for (Silence silence : silences) {
          kept = silence.cut(kept);
        }
        out.add(kept);
      }
    }
    return NoteOrder.sorted(out);
  }

  /** What each kind does to a part where a section begins. */
  private final class At implements Transition.Kinds<Void> {
    private final Part part;
    private final int place;
    private final int start;
    private final List<Silence> silences;
    private final List<ScoredNote> added;

    At(Part part, int place, List<Silence> silences, List<ScoredNote> added) {
      this.part = part;
      this.place = place;
      this.start = song.form().startBar(place) * meter.ticksPerBar();
      this.silences = silences;
      this.added = added;
    }

    @Override
    public Void drumsOut(Transition.DrumsOut transition) {
      return part.role() == Role.DRUMS ? before(transition.beats()) : null;
    }

    @Override
    public Void stop(Transition.Stop transition) {
      return before(transition.beats());
    }

    /** Never longer than the section before. */
    private Void before(int beats) {
      int longest = song.form().sections().get(place - 1).bars() * meter.ticksPerBar();
      int ticks = Math.min(longest, beats * meter.ticksPerBeat());
      silences.add(new Silence(start - ticks, start, false));
      return null;
    }

    @Override
    public Void snareStop(Transition.SnareStop transition) {
      backbeat(place)
          .ifPresent(
              tick -> {
                int bar = meter.ticksPerBar();
                int barEnd = start + ((tick - start) / bar + 1) * bar;
                int end =
                    transition.beats() == 0
                        ? barEnd
                        : tick + transition.beats() * meter.ticksPerBeat();
                int sectionEnd = start + section(place).bars() * bar;
                silences.add(new Silence(tick, Math.min(end, sectionEnd), true));
              });
      return null;
    }

    @Override
    public Void crash(Transition.Crash transition) {
      if (new PlayedBars(song).part(Role.DRUMS).filter(part::equals).isPresent()) {
        int ticks = Math.min(meter.ticksPerBar(), song.ticks() - start);
        String name = Spans.name(part, section(place).cell(part.id(), 0));
        added.add(
            new ScoredNote(
                start,
                ticks,
                part.sound(CRASH).note(),
                Velocity.ACCENT,
                start,
                0,
                0,
                new Source(name, 0),
                Optional.of(new ScoredNote.Struck(CRASH, 0))));
      }
      return null;
    }
  }

  private Section section(int place) {
    return song.form().sections().get(place);
  }

  /** The tick of the song of the first snare or clap that is played in a section. */
  private Optional<Integer> backbeat(int place) {
    int start = song.form().startBar(place) * meter.ticksPerBar();
    List<Integer> ticks = new ArrayList<>();
    for (Part drums : song.parts(Role.DRUMS)) {
      for (CellSpan span : section(place).spans(drums.id())) {
        if (span.cell().level() != Level.OUT) {
          String name = Spans.name(drums, span.cell());
          Groove groove =
              new Groove(lines.groove(drums, name), drums, name, meter, song.brief().swing());
          for (DrumVoice voice : new DrumVoice[] {DrumVoice.SNARE, DrumVoice.CLAP}) {
            groove.over(
                span,
                voice,
                (lane, laid, from, length, velocity, semitones) ->
                    ticks.add((int) lane.swing().at(start + from)));
          }
        }
      }
    }
    return ticks.stream().min(Integer::compare);
  }
}
