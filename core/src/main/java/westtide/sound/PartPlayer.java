package westtide.sound;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import westtide.score.ScoredNote;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.drum.LaneId;
import westtide.song.drum.LaneSound;
import westtide.song.mix.Patch;
import westtide.sound.desk.Decibels;
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
  /** Velocity to loudness: 127 is full, 64 about 10 dB below (our own choice). */
  private static final double VELOCITY_POWER = 1.7;

  private static final double DRUM_HERTZ = 440;

  /** The choke group of instruments that play one note at a time. */
  private static final int MONO = 7;

  private final Part part;
  private final TableStore tables;
  private final int rate;
  private final double tuning;
  private final InstrumentBook book = InstrumentBook.shipped();
  private final Kit kit;
  private final Dressed own;
  private final Map<LaneId, Dressed> drums = new HashMap<>();

  /** A player of a part; every pitch is multiplied by {@code tuning}, drums are not. */
  PartPlayer(Part part, TableStore tables, int rate, double tuning) {
    this.part = part;
    this.tables = tables;
    this.rate = rate;
    this.tuning = tuning;
    this.kit = Kit.find(part.patch().instrument()).orElse(Kit.SHIPPED.get(0));
    this.own = dressed(part.patch());
  }

  Track track(List<ScoredNote> notes, double framesPerTick) {
    TrackBuilder out = new TrackBuilder();
    if (part.role() == Role.DRUMS) {
      notes.forEach(note -> addStrike(out, note, framesPerTick));
    } else if (glides()) {
      chains(notes).forEach(chain -> out.add(chained(chain, framesPerTick)));
    } else {
      notes.forEach(note -> out.add(chained(List.of(note), framesPerTick)));
    }
    return out.track();
  }

  Optional<Trial> trial(ScoredNote note) {
    int frames = note.ticks();
    Track track = track(List.of(note), 1);
    if (track.size() == 0) {
      return Optional.empty();
    }
    int hold = track.struck()[0] ? track.tables()[0].length : frames;
    return Optional.of(
        new Trial(
            part.id(),
            track.tables()[0],
            track.left()[0],
            track.right()[0],
            hold,
            track.falls()[0],
            track.chokes()[0]));
  }

  private void addStrike(TrackBuilder out, ScoredNote note, double framesPerTick) {
    if (note.struck().isEmpty()) {
      return;
    }
    LaneId lane = note.struck().get().lane();
    LaneSound sound = part.sound(lane);
    Kit.Piece piece = kit.piece(lane.voice());
    Dressed drum = drums.computeIfAbsent(lane, id -> dressed(patch(sound, piece)));
    double decibels = piece.decibels() + sound.level() / 10.0;
    double gain = drum.loudness(note.velocity()) * Decibels.gain(decibels);
    Pan pan = Pan.of(Math.max(-100, Math.min(100, piece.pan() + sound.pan())));
    double ratio = sound.ratio(note.struck().get().semitones());
    float[] table =
        tables.table(
            drum.instrument(),
            drum.settings(),
            List.of(new Strike.Pitched(0, DRUM_HERTZ)),
            note.velocity(),
            (int) Math.ceil(frames(note.ticks(), framesPerTick) * Math.max(1, ratio)),
            ratio);
    out.add(
        drum.entry(
            note.start(), note.end(), table, gain * pan.left(), gain * pan.right(), sound.choke()));
  }

  private Patch patch(LaneSound sound, Kit.Piece piece) {
    return book.find(sound.instrument()).isPresent() ? Patch.of(sound.instrument()) : piece.patch();
  }

  private TrackBuilder.Entry chained(List<ScoredNote> chain, double framesPerTick) {
    ScoredNote first = chain.get(0);
    int end = chain.get(chain.size() - 1).end();
    List<Strike.Pitched> pitches = new ArrayList<>();
    for (ScoredNote note : chain) {
      pitches.add(
          new Strike.Pitched(
              frames(note.start() - first.start(), framesPerTick),
              tuning * Pitch.hertz(note.key())));
    }
    int held = frames(end - first.start(), framesPerTick);
    Touch touch = own.instrument().touch();
    int frames = touch == Touch.STRETCHED ? held : held + 2 * own.releaseFrames();
    float[] table =
        tables.table(own.instrument(), own.settings(), pitches, first.velocity(), frames);
    double gain = own.loudness(first.velocity());
    return own.entry(first.start(), end, table, gain, gain, touch == Touch.GLIDING ? MONO : 0);
  }

  private List<List<ScoredNote>> chains(List<ScoredNote> notes) {
    List<List<ScoredNote>> out = new ArrayList<>();
    for (ScoredNote note : notes) {
      List<ScoredNote> last = out.isEmpty() ? List.of() : out.get(out.size() - 1);
      if (!last.isEmpty() && last.get(last.size() - 1).end() == note.start()) {
        last.add(note);
      } else {
        out.add(new ArrayList<>(List.of(note)));
      }
    }
    return out;
  }

  private boolean glides() {
    return own.instrument().touch() == Touch.GLIDING && own.settings().getOrDefault("glide", 0) > 0;
  }

  /** A patch with what its notes have in common; an unknown name is heard as an electric piano. */
  private Dressed dressed(Patch patch) {
    Instrument instrument =
        book.find(patch.instrument()).orElseGet(() -> book.get("electric piano"));
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
    double loudness(int velocity) {
      return instrument.gain() * Math.pow(velocity / 127.0, VELOCITY_POWER);
    }

    TrackBuilder.Entry entry(
        int start, int end, float[] table, double left, double right, int choke) {
      return new TrackBuilder.Entry(
          start, end, table, (float) left, (float) right, choke, fall, struck);
    }
  }

  private static int frames(int ticks, double framesPerTick) {
    return (int) Math.ceil(ticks * framesPerTick);
  }
}
