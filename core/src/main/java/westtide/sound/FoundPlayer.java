package westtide.sound;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import westtide.rhythm.Tempo;
import westtide.score.event.ScoredNote;
import westtide.song.Part;
import westtide.song.found.Fit;
import westtide.song.found.FoundSound;
import westtide.song.found.Take;
import westtide.sound.found.FittedSounds;
import westtide.sound.voice.Fade;
import westtide.sound.voice.Family;
import westtide.sound.voice.Instrument;
import westtide.sound.voice.Strike;
import westtide.sound.voice.Touch;

/** Ties the notes of a part that plays pieces of a sound to the samples of those pieces. */
final class FoundPlayer {
  private static final double FALL_MILLIS = 6;
  private static final int FULL_VELOCITY = 127;
  private static final List<Strike.Pitched> NO_PITCH = List.of(new Strike.Pitched(0, 440));

  private final FoundSound sound;
  private final Tempo tempo;
  private final TableStore tables;
  private final int rate;
  private final float fall;
  private final Map<Side, TableStore.Table> asked = new HashMap<>();

  /** A side of a take, or both as one. */
  private record Side(Take take, int side) {}

  FoundPlayer(Part part, Tempo tempo, TableStore tables, int rate) {
    FoundSound own = part.found().orElseThrow();
    Fit fit = own.fit();
    int semitones = held(fit.semitones() + part.transposition().semitones(), 24);
    int cents = held(fit.cents() + part.transposition().cents(), 100);
    this.sound = own.withFit(fit.withSemitones(semitones).withCents(cents));
    this.tempo = tempo;
    this.tables = tables;
    this.rate = rate;
    this.fall = (float) Fade.perSample(FALL_MILLIS, rate);
  }

  private static int held(int value, int most) {
    return Math.max(-most, Math.min(most, value));
  }

  TrackBuilder plan(List<ScoredNote> notes, double framesPerTick) {
    TrackBuilder out = new TrackBuilder();
    for (ScoredNote note : notes) {
      Optional<Take> take = sound.take(note.key());
      if (take.isPresent()) {
        add(out, note, take.get(), framesPerTick);
      }
    }
    return out;
  }

  /** A note by itself, both sides as one. */
  TrackBuilder trial(ScoredNote note) {
    TrackBuilder out = new TrackBuilder();
    sound
        .take(note.key())
        .ifPresent(
            take -> {
              float gain = gain(note);
              out.add(entry(note, 0, table(take, FittedSounds.MIDDLE), gain, gain));
            });
    return out;
  }

  /** One sound for each side, as a recording of two sides has. */
  private void add(TrackBuilder out, ScoredNote note, Take take, double framesPerTick) {
    float gain = gain(note);
    int into = (int) Math.ceil(note.since() * framesPerTick);
    int sides = sound.recording().channels();
    for (int side = 0; side < sides; side++) {
      float left = sides == 1 || side == 0 ? gain : 0;
      float right = sides == 1 || side == 1 ? gain : 0;
      out.add(entry(note, into, table(take, side), left, right));
    }
  }

  private TrackBuilder.Entry entry(
      ScoredNote note, int into, TableStore.Table table, float left, float right) {
    return new TrackBuilder.Entry(
        note.start(), note.end(), into, table, left, right, 0, fall, false);
  }

  private static float gain(ScoredNote note) {
    double share = note.velocity() / (double) FULL_VELOCITY;
    return (float) Math.pow(share, Instrument.VELOCITY_POWER);
  }

  private TableStore.Table table(Take take, int side) {
    return asked.computeIfAbsent(new Side(take, side), fresh -> ask(take, side));
  }

  private TableStore.Table ask(Take take, int side) {
    FittedSounds fitted = tables.fitted();
    String name = "found " + FittedSounds.identity(sound, take, tempo) + " side " + side;
    Instrument piece =
        new Instrument(
            name,
            Family.KEYS,
            Touch.HELD,
            0,
            List.of(),
            strike -> fitted.samples(sound, take, tempo, side));
    int frames = fitted.frames(sound, take, tempo);
    return tables.ask(piece, Map.of(), NO_PITCH, FULL_VELOCITY, frames, 1, 0, false);
  }
}
