package westtide.sound;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import westtide.score.ScoredNote;
import westtide.song.DrumVoice;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.mix.Patch;
import westtide.sound.desk.Channel;
import westtide.sound.desk.Decibels;
import westtide.sound.desk.Track;
import westtide.sound.instrument.InstrumentBook;
import westtide.sound.instrument.Kit;
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
  private final InstrumentBook book = InstrumentBook.shipped();

  PartPlayer(Part part, TableStore tables, int rate) {
    this.part = part;
    this.tables = tables;
    this.rate = rate;
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

  Optional<Trial> trial(int key, int velocity, int frames) {
    ScoredNote note = new ScoredNote(0, Math.max(1, frames), key, velocity);
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
    Kit kit = Kit.find(part.patch().instrument()).orElse(Kit.SHIPPED.get(0));
    Optional<DrumVoice> voice = DrumVoice.ofNote(note.key());
    if (voice.isEmpty()) {
      return;
    }
    Kit.Piece piece = kit.piece(voice.get());
    Instrument instrument = book.get(piece.patch().instrument());
    double gain = loudness(note.velocity(), instrument) * Decibels.gain(piece.decibels());
    double angle = (piece.pan() + 100) / 200.0 * Math.PI / 2;
    out.add(
        entry(
            note,
            note.end(),
            tables.table(
                instrument,
                instrument.values(piece.patch().settings()),
                List.of(new Strike.Pitched(0, DRUM_HERTZ)),
                note.velocity(),
                frames(note.ticks(), framesPerTick)),
            gain * Math.cos(angle) * Math.sqrt(2),
            gain * Math.sin(angle) * Math.sqrt(2),
            piece.choke(),
            instrument,
            piece.patch()));
  }

  private TrackBuilder.Entry chained(List<ScoredNote> chain, double framesPerTick) {
    Instrument instrument = instrument();
    ScoredNote first = chain.get(0);
    int end = chain.get(chain.size() - 1).end();
    List<Strike.Pitched> pitches = new ArrayList<>();
    for (ScoredNote note : chain) {
      pitches.add(
          new Strike.Pitched(
              frames(note.start() - first.start(), framesPerTick), Pitch.hertz(note.key())));
    }
    Map<String, Integer> settings = instrument.values(part.patch().settings());
    int release = (int) (instrument.release(settings) / 1000.0 * rate);
    int held = frames(end - first.start(), framesPerTick);
    int frames = instrument.touch() == Touch.STRETCHED ? held : held + 2 * release;
    double gain = loudness(first.velocity(), instrument);
    return entry(
        first,
        end,
        tables.table(instrument, settings, pitches, first.velocity(), frames),
        gain,
        gain,
        instrument.touch() == Touch.GLIDING ? MONO : 0,
        instrument,
        part.patch());
  }

  private TrackBuilder.Entry entry(
      ScoredNote note,
      int end,
      float[] table,
      double left,
      double right,
      int choke,
      Instrument instrument,
      Patch patch) {
    boolean struck =
        instrument.touch() == Touch.STRUCK
            || (instrument.touch() == Touch.STRETCHED && part.role() == Role.DRUMS);
    return new TrackBuilder.Entry(
        note.start(),
        end,
        note.key(),
        table,
        (float) left,
        (float) right,
        choke,
        Channel.fall(instrument.release(patch.settings()), rate),
        struck);
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
    Instrument instrument = instrument();
    int glide = instrument.values(part.patch().settings()).getOrDefault("glide", 0);
    return instrument.touch() == Touch.GLIDING && glide > 0;
  }

  /** The part's instrument; one whose name is unknown is heard as an electric piano. */
  private Instrument instrument() {
    return book.find(part.patch().instrument()).orElseGet(() -> book.get("electric piano"));
  }

  private static double loudness(int velocity, Instrument instrument) {
    return instrument.gain() * Math.pow(velocity / 127.0, VELOCITY_POWER);
  }

  private static int frames(int ticks, double framesPerTick) {
    return (int) Math.ceil(ticks * framesPerTick);
  }
}
