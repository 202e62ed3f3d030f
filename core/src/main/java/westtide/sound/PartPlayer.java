package westtide.sound;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Function;
import westtide.rhythm.Tempo;
import westtide.score.event.ScoredNote;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.drum.LaneId;
import westtide.song.drum.LaneSound;
import westtide.song.mix.Patch;
import westtide.sound.block.Decibels;
import westtide.sound.desk.Pan;
import westtide.sound.desk.Track;
import westtide.sound.instrument.InstrumentBook;
import westtide.sound.instrument.Kit;
import westtide.sound.voice.Fade;
import westtide.sound.voice.Instrument;
import westtide.sound.voice.Strike;
import westtide.sound.voice.Touch;
import westtide.theory.Pitch;

/** Ties the notes of one part to the tables of its instrument or kit. */
final class PartPlayer {
  private static final double DRUM_HERTZ = 440;

  /** How long a held note takes from one level to the next. */
  private static final double CROSSING_MILLIS = 5;

  /** The choke group of instruments that play one note at a time. */
  private static final int MONO = 7;

  private final Part part;
  private final TableStore tables;
  private final int rate;
  private final double tuning;
  private final Tempo tempo;
  private final float crossing;
  private final float choke;
  private final InstrumentBook book = InstrumentBook.shipped();
  private final Kit kit;
  private final Dressed own;
  private final Map<LaneId, Dressed> drums = new HashMap<>();
  private final Map<String, Dressed> others = new HashMap<>();
  private final Map<Object, Integer> turns = new HashMap<>();

  /**
   * A player of a part; every pitch is multiplied by {@code tuning}, drums are not; found sound is
   * made to fit the tempo.
   */
  PartPlayer(Part part, TableStore tables, int rate, double tuning, Tempo tempo) {
    this.part = part;
    this.tables = tables;
    this.rate = rate;
    this.tuning = tuning;
    this.tempo = tempo;
    this.crossing = (float) Fade.perSample(CROSSING_MILLIS, rate);
    this.choke = (float) Fade.perSample(Fade.CHOKE_MILLIS, rate);
    this.kit = Kit.find(part.patch().instrument()).orElse(Kit.SHIPPED.get(0));
    this.own = dressed(part.patch());
  }

  /** What strokes of drums play, some of them choked from another channel. */
  TrackBuilder plan(
      List<ScoredNote> strokes, Function<ScoredNote, OptionalInt> choked, double framesPerTick) {
    TrackBuilder out = new TrackBuilder();
    for (ScoredNote stroke : strokes) {
      strike(stroke, framesPerTick)
          .map(entry -> choked(entry, choked.apply(stroke)))
          .ifPresent(out::add);
    }
    return out;
  }

  private TrackBuilder.Entry choked(TrackBuilder.Entry entry, OptionalInt at) {
    return at.isPresent() ? entry.endingAt(at.getAsInt(), choke) : entry;
  }

  /** What the notes play; the track can be built once the tables are made. */
  TrackBuilder plan(List<ScoredNote> notes, double framesPerTick) {
    if (part.role() == Role.DRUMS) {
      return plan(notes, note -> OptionalInt.empty(), framesPerTick);
    }
    if (part.role() == Role.FOUND) {
      return new FoundPlayer(part, tempo, tables, rate).plan(notes, framesPerTick);
    }
    TrackBuilder out = new TrackBuilder();
    Set<Long> goingOn = goingOn(notes);
    chains(notes).forEach(chain -> out.add(chained(chain, goingOn, framesPerTick)));
    return out;
  }

  /** What rings by itself is not struck again where it goes on at another level. */
  private static boolean isHeard(ScoredNote note, Dressed played) {
    return note.since() == 0 || !played.struck();
  }

  /** The instrument a note is heard with: its own, or the part's. */
  private Dressed played(ScoredNote note) {
    return note.instrument().isEmpty()
        ? own
        : others.computeIfAbsent(note.instrument(), name -> dressed(Patch.of(name)));
  }

  /** Where notes go on at another level: the one before ends there without a tail. */
  private static Set<Long> goingOn(List<ScoredNote> notes) {
    Set<Long> out = new HashSet<>();
    for (ScoredNote note : notes) {
      if (note.since() > 0) {
        out.add(place(note.start(), note.key()));
      }
    }
    return out;
  }

  private static long place(int tick, int key) {
    return (long) tick << 8 | key;
  }

  Optional<Audition> trial(ScoredNote note) {
    int frames = note.ticks();
    TrackBuilder plan =
        part.role() == Role.FOUND
            ? new FoundPlayer(part, tempo, tables, rate).trial(note)
            : plan(List.of(note), 1);
    tables.make();
    Track track = plan.track();
    if (track.size() == 0) {
      return Optional.empty();
    }
    int hold = track.struck()[0] ? track.tables()[0].length : frames;
    return Optional.of(
        new Audition(
            part.id(),
            track.tables()[0],
            track.left()[0],
            track.right()[0],
            hold,
            track.falls()[0],
            track.chokes()[0]));
  }

  private Optional<TrackBuilder.Entry> strike(ScoredNote note, double framesPerTick) {
    if (note.struck().isEmpty()) {
      return Optional.empty();
    }
    LaneId lane = note.struck().get().lane();
    LaneSound sound = part.sound(lane);
    Kit.Piece piece = kit.piece(lane.voice());
    Dressed drum = drums.computeIfAbsent(lane, id -> dressed(patch(sound, piece)));
    double decibels = piece.decibels() + sound.level() / 10.0;
    double gain = drum.loudness(note.velocity()) * Decibels.gain(decibels);
    Pan pan = Pan.of(Math.max(-100, Math.min(100, piece.pan() + sound.panAt(note.start()))));
    double ratio = sound.ratio(note.struck().get().semitones());
    TableStore.Table table =
        tables.ask(
            drum.instrument(),
            drum.settings(),
            List.of(new Strike.Pitched(0, DRUM_HERTZ)),
            note.velocity(),
            (int) Math.ceil(frames(note.ticks(), framesPerTick) * Math.max(1, ratio)),
            ratio,
            turn(drum, lane, false),
            sound.reversed());
    TrackBuilder.Entry entry =
        drum.entry(
            note.start(), note.end(), table, gain * pan.left(), gain * pan.right(), sound.choke());
    boolean throughItsOwn = sound.goesThroughEffects();
    return Optional.of(
        throughItsOwn ? entry : entry.sent(sound.reverb() / 100f, sound.delay() / 100f));
  }

  /** Which way a stroke of a lane or a key is struck: the next one, unless it goes on. */
  private int turn(Dressed played, Object what, boolean goesOn) {
    if (!played.instrument().takesTurns()) {
      return 0;
    }
    return turns.merge(what, goesOn ? 0 : 1, Integer::sum) % Strike.TURNS;
  }

  private Patch patch(LaneSound sound, Kit.Piece piece) {
    return book.find(sound.instrument()).isPresent() ? Patch.of(sound.instrument()) : piece.patch();
  }

  private TrackBuilder.Entry chained(
      List<ScoredNote> chain, Set<Long> goingOn, double framesPerTick) {
    ScoredNote first = chain.get(0);
    Dressed played = played(first);
    Touch touch = played.instrument().touch();
    ScoredNote last = chain.get(chain.size() - 1);
    int end = last.end();
    List<Strike.Pitched> pitches = new ArrayList<>();
    for (ScoredNote note : chain) {
      pitches.add(
          new Strike.Pitched(
              note == first
                  ? 0
                  : frames(first.since() + note.start() - first.start(), framesPerTick),
              tuning * Pitch.hertz(note.key()),
              frames(note.slide(), framesPerTick)));
    }
    int into = touch == Touch.STRETCHED ? 0 : frames(first.since(), framesPerTick);
    int held = into + frames(end - first.start(), framesPerTick);
    int frames = touch == Touch.STRETCHED ? held : held + 2 * played.releaseFrames();
    int turn = turn(played, first.key(), first.since() > 0);
    TableStore.Table table =
        tables.ask(
            played.instrument(),
            played.settings(),
            pitches,
            first.velocity(),
            frames,
            1,
            turn,
            false);
    double gain = played.loudness(first.velocity());
    int choke = touch == Touch.GLIDING ? MONO : 0;
    float fall = goingOn.contains(place(end, last.key())) ? crossing : played.fall();
    return new TrackBuilder.Entry(
        first.start(), end, into, table, (float) gain, (float) gain, choke, fall, played.struck());
  }

  /** Notes that are one sound: all that touch where the instrument glides, else slides alone. */
  private List<List<ScoredNote>> chains(List<ScoredNote> notes) {
    List<List<ScoredNote>> out = new ArrayList<>();
    for (ScoredNote note : notes) {
      Dressed played = played(note);
      List<ScoredNote> last = out.isEmpty() ? List.of() : out.get(out.size() - 1);
      if (!last.isEmpty() && joins(last.get(last.size() - 1), note, played)) {
        last.add(note);
      } else if (played.glides() || isHeard(note, played)) {
        out.add(new ArrayList<>(List.of(note)));
      }
    }
    return out;
  }

  private static boolean joins(ScoredNote before, ScoredNote note, Dressed played) {
    boolean legato = played.settings().getOrDefault("glide", 0) > 0;
    return played.glides()
        && before.end() == note.start()
        && note.since() == 0
        && before.instrument().equals(note.instrument())
        && (legato || note.slide() > 0);
  }

  /** A patch with what its notes have in common; an unknown name is heard as an electric piano. */
  private Dressed dressed(Patch patch) {
    Instrument instrument = book.heard(patch.instrument());
    int release = instrument.release(patch.settings());
    boolean struck =
        instrument.touch() == Touch.STRUCK
            || (instrument.touch() == Touch.STRETCHED && part.role() == Role.DRUMS);
    return new Dressed(
        instrument,
        instrument.values(patch.settings()),
        (int) (release / 1000.0 * rate),
        (float) Fade.perSample(release, rate),
        struck);
  }

  /** An instrument as it is set, worked out once for all notes that are heard from it. */
  private record Dressed(
      Instrument instrument,
      Map<String, Integer> settings,
      int releaseFrames,
      float fall,
      boolean struck) {
    /** Whether notes that touch, or slide, may be one sound. */
    boolean glides() {
      return instrument.touch() == Touch.GLIDING;
    }

    double loudness(int velocity) {
      return instrument.gain() * Math.pow(velocity / 127.0, Instrument.VELOCITY_POWER);
    }

    TrackBuilder.Entry entry(
        int start, int end, TableStore.Table table, double left, double right, int choke) {
      return new TrackBuilder.Entry(
          start, end, 0, table, (float) left, (float) right, choke, fall, struck);
    }
  }

  private static int frames(int ticks, double framesPerTick) {
    return (int) Math.ceil(ticks * framesPerTick);
  }
}
