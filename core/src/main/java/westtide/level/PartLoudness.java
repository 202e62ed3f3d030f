package westtide.level;

import java.util.HashMap;
import java.util.Map;
import westtide.score.ScoredPart;
import westtide.score.event.AutomationTarget;
import westtide.score.event.Motion;
import westtide.score.event.ScoredNote;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.drum.LaneSound;
import westtide.song.mix.Mix;
import westtide.sound.Triggers;
import westtide.sound.instrument.InstrumentBook;
import westtide.sound.instrument.Kit;
import westtide.sound.voice.Instrument;
import westtide.sound.voice.Touch;

/**
 * The power of one part over the course of the song: every note as its voice sounds, at its level
 * and velocity, as the part steps back and opens and closes. What its strip does to the colour is
 * left out; how much width, room and delay add was measured on the drafts of all styles.
 */
final class PartLoudness {
  /** Velocity to power, by the preview's law. */
  private static final double VELOCITY_POWER = 2 * Instrument.VELOCITY_POWER;

  private static final double FULL_VELOCITY = 127;
  private static final int DRUM_KEY = 69;
  private static final int FORCES = 16;

  /** A release falls 60 dB in its time; all of it is as much as this share of it at full. */
  private static final double RELEASED = 1 / 13.8;

  /** What full width, a full send to the room and one to the delay add, in dB. */
  private static final double WIDE = 4.3;

  private static final double ROOM = 2.0;
  private static final double DELAY = 0.8;

  /** How finely stepping back is looked at, in seconds. */
  private static final double SLICE = 0.025;

  private final VoiceLoudness voices = VoiceLoudness.shipped();
  private final InstrumentBook book = InstrumentBook.shipped();
  private final LoudnessCurve course;
  private final ScoredPart scored;
  private final Part part;
  private final Kit kit;
  private final DuckingGain steps;
  private final double secondsPerTick;
  private final double strip;
  private final Map<Strike, double[]> struck = new HashMap<>();
  private ScoredNote joined;
  private ScoredNote chain;

  /** A voice, at a level and on a key. */
  private record Sounding(Instrument instrument, double decibels, int key) {}

  /** What makes two notes sound alike. */
  private record Strike(String instrument, int key, int layer) {}

  private PartLoudness(
      ScoredPart scored, Triggers triggers, double secondsPerTick, LoudnessCurve course) {
    this.scored = scored;
    this.part = scored.part();
    this.kit = Kit.find(part.patch().instrument()).orElse(Kit.SHIPPED.get(0));
    this.steps = new DuckingGain(part.mix(), triggers, secondsPerTick);
    this.secondsPerTick = secondsPerTick;
    this.strip = strip(part.mix());
    this.course = course;
  }

  private static double strip(Mix mix) {
    double around = WIDE * mix.width() + ROOM * mix.reverb() + DELAY * mix.delay();
    return mix.level() / 10.0 + around / 100;
  }

  /** The course of a part of a score. */
  static LoudnessCurve of(
      ScoredPart scored, Triggers triggers, double secondsPerTick, double seconds) {
    LoudnessCurve course = new LoudnessCurve(seconds);
    if (scored.part().mix().level() > Mix.SILENT) {
      PartLoudness loudness = new PartLoudness(scored, triggers, secondsPerTick, course);
      scored.notes().forEach(loudness::add);
    }
    return course;
  }

  private void add(ScoredNote note) {
    Sounding sounding = sounding(note);
    Touch touch = sounding.instrument().touch();
    boolean goesOn = note.since() > 0;
    if (touch == Touch.STRUCK && goesOn) {
      return;
    }
    ScoredNote first = first(note, touch);
    double since = (first == note ? note.since() : note.start() - first.start()) * secondsPerTick;
    double length = touch == Touch.STRUCK ? Double.MAX_VALUE : note.ticks() * secondsPerTick;
    sound(note, sounding, first.velocity(), since, length);
  }

  /** Notes that touch are one sound where the instrument glides, as loud as it was struck. */
  private ScoredNote first(ScoredNote note, Touch touch) {
    boolean joins =
        touch == Touch.GLIDING
            && joined != null
            && joined.end() == note.start()
            && note.since() == 0;
    chain = joins ? chain : note;
    joined = note;
    return chain;
  }

  private Sounding sounding(ScoredNote note) {
    if (note.struck().isPresent() && part.role() == Role.DRUMS) {
      LaneSound lane = part.sound(note.struck().get().lane());
      Kit.Piece piece = kit.piece(note.struck().get().lane().voice());
      Instrument drum =
          book.find(lane.instrument()).orElseGet(() -> book.heard(piece.patch().instrument()));
      return new Sounding(drum, piece.decibels() + lane.level() / 10.0, DRUM_KEY);
    }
    String own = part.patch().instrument();
    String played = note.instrument().isEmpty() ? own : note.instrument();
    return new Sounding(book.heard(played), 0, note.key());
  }

  private void sound(
      ScoredNote note, Sounding sounding, int velocity, double since, double length) {
    double[] powers = powers(sounding, velocity);
    double decibels = sounding.decibels() + strip + moved(note.start());
    double gain = Math.pow(10, decibels / 10) * Math.pow(velocity / FULL_VELOCITY, VELOCITY_POWER);
    double start = note.start() * secondsPerTick;
    for (int i = 0; i < powers.length; i++) {
      double from = Math.max(0, VoiceLoudness.EDGES[i] / 1000.0 - since);
      boolean goesOn = i == powers.length - 1 && length < Double.MAX_VALUE;
      double edge = goesOn ? length : VoiceLoudness.EDGES[i + 1] / 1000.0 - since;
      double until = Math.min(length, edge);
      if (until > from) {
        stretch(start + from, start + until, gain * powers[i]);
      }
    }
    if (length < Double.MAX_VALUE) {
      double release = sounding.instrument().release(part.patch().settings()) / 1000.0;
      double last = gain * VoiceLoudness.at(powers, since + length);
      course.add(start + length, last * steps.open(note.end()) * release * RELEASED);
    }
  }

  private double[] powers(Sounding sounding, int velocity) {
    int layer = velocity * FORCES / 128;
    Strike strike = new Strike(sounding.instrument().name(), sounding.key(), layer);
    return struck.computeIfAbsent(strike, this::measured);
  }

  private double[] measured(Strike strike) {
    double force = (strike.layer() + 0.5) / FORCES;
    return voices.powers(strike.instrument(), strike.key(), force).orElse(new double[0]);
  }

  private double moved(int tick) {
    Motion level = scored.motion(AutomationTarget.LEVEL);
    Motion expression = scored.motion(AutomationTarget.EXPRESSION);
    return level.at(tick, 0) + expression.at(tick, 0);
  }

  private void stretch(double from, double until, double power) {
    if (!steps.any()) {
      course.add(from, until, power);
      return;
    }
    for (double at = from; at < until; at += SLICE) {
      double end = Math.min(until, at + SLICE);
      course.add(at, end, power * steps.open((at + end) / 2 / secondsPerTick));
    }
  }
}
