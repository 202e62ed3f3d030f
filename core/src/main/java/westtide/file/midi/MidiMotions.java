package westtide.file.midi;

import java.util.ArrayList;
import java.util.List;
import java.util.NavigableSet;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.DoubleUnaryOperator;
import javax.sound.midi.InvalidMidiDataException;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.ShortMessage;
import westtide.rhythm.Tempo;
import westtide.rhythm.Ticks;
import westtide.score.ScoredPart;
import westtide.score.event.AutomationTarget;
import westtide.score.event.Motion;
import westtide.song.mix.Curve;
import westtide.song.mix.Gate;
import westtide.song.mix.Mix;

/**
 * What moves of a part as controllers: level 7, pan 10, expression 11 (hints and gates), low-pass
 * 74, room send 91 (MIDI 1.0 and General MIDI 2, from memory). A controller is written when its
 * rounded value changes, at most fifty times a second and exactly where the movement turns, so that
 * a receiver is within a step of what moves slowly and keeps up with what moves fast. High-pass,
 * delay send and width have no controller every receiver knows and stay in preview and WAV.
 */
final class MidiMotions {
  private static final int VOLUME = 7;
  private static final int PAN = 10;
  private static final int EXPRESSION = 11;
  private static final int BRIGHTNESS = 74;
  private static final int ROOM = 91;
  private static final int MOST = 127;

  /** A curve is read at least this often, in ticks. */
  private static final int COARSEST = 60;

  private static final double SAME = 1e-9;

  /** Of one controller at most so many events a second, beside the points where it turns. */
  private static final int MOST_A_SECOND = 50;

  private final int channel;
  private final int ticks;
  private final int apart;
  private final List<MidiEvent> out = new ArrayList<>();

  private MidiMotions(int channel, int ticks, Tempo tempo) {
    this.channel = channel;
    this.ticks = ticks;
    this.apart = (int) Math.ceil(1000 / tempo.millis(1) / MOST_A_SECOND);
  }

  /** The controllers of a part over a song of that many ticks, at its tempo. */
  static List<MidiEvent> of(ScoredPart part, int channel, int ticks, Tempo tempo)
      throws InvalidMidiDataException {
    MidiMotions motions = new MidiMotions(channel, ticks, tempo);
    Mix mix = part.part().mix();
    double own = mix.level();
    motions.write(
        VOLUME,
        part.motion(AutomationTarget.LEVEL),
        MidiMix.volume(mix),
        decibels -> MidiMix.volume(own + 10 * decibels));
    motions.write(
        PAN, part.motion(AutomationTarget.PAN), MidiMix.pan(mix), place -> MidiMix.pan(place));
    if (part.motion(AutomationTarget.EXPRESSION).any()) {
      motions.write(
          EXPRESSION,
          Motion.together(
              AutomationTarget.EXPRESSION,
              part.motion(AutomationTarget.EXPRESSION),
              gate(mix.gate(), ticks)),
          MOST,
          decibels -> MOST * Math.pow(10, decibels / 40));
    } else {
      motions.out.addAll(MidiGate.of(mix.gate(), channel, ticks));
    }
    motions.write(
        BRIGHTNESS,
        part.motion(AutomationTarget.LOW_PASS),
        brightness(Curve.Kind.LOW_PASS.even(mix.lowPass())),
        octaves ->
            Math.min(brightness(octaves), brightness(Curve.Kind.LOW_PASS.even(mix.lowPass()))));
    motions.write(
        ROOM, part.motion(AutomationTarget.ROOM), percent(mix.reverb()), MidiMotions::percent);
    return motions.out;
  }

  /** Controller 74, evenly in octaves: 0 is 200 Hz, 127 open. */
  private static double brightness(double octaves) {
    return MOST * Curve.Kind.LOW_PASS.share(Curve.Kind.LOW_PASS.value(octaves));
  }

  private static double percent(double percent) {
    return MOST * percent / 100;
  }

  private static Motion gate(Gate gate, int ticks) {
    List<Motion.Piece> pieces = new ArrayList<>();
    for (int tick = 0; gate.closes() && tick < ticks; tick += Ticks.PER_STEP) {
      double decibels = Math.max(-120, 20 * Math.log10(Math.max(1e-6, gate.gain(tick))));
      if (decibels < 0) {
        pieces.add(new Motion.Piece(tick, tick + Ticks.PER_STEP, decibels, decibels));
      }
    }
    return new Motion(pieces);
  }

  private void write(int control, Motion motion, double rest, DoubleUnaryOperator value)
      throws InvalidMidiDataException {
    if (!motion.any()) {
      return;
    }
    int last = -1;
    int end = 0;
    int written = -apart;
    NavigableSet<Integer> turns = turns(motion);
    for (Motion.Piece piece : motion.pieces()) {
      if (piece.from() > end || end == 0 && piece.from() > 0) {
        last = add(control, end, rest, last);
      }
      for (int tick : places(piece, value, turns, written)) {
        last = add(control, tick, value.applyAsDouble(piece.at(tick)), last);
        written = tick;
      }
      end = piece.to();
    }
    if (end < ticks) {
      add(control, end, rest, last);
    }
  }

  /** Where a movement begins, jumps or goes the other way. */
  private static NavigableSet<Integer> turns(Motion motion) {
    NavigableSet<Integer> out = new TreeSet<>();
    Motion.Piece before = null;
    for (Motion.Piece piece : motion.pieces()) {
      if (before == null || before.to() < piece.from() || turns(before, piece)) {
        out.add(piece.from());
      }
      before = piece;
    }
    return out;
  }

  private static boolean turns(Motion.Piece before, Motion.Piece piece) {
    boolean jumps = Math.abs(before.last() - piece.first()) > SAME;
    double was = before.last() - before.first();
    double is = piece.last() - piece.first();
    return jumps || Math.signum(was) != Math.signum(is);
  }

  /** Where a piece is read: where it turns, and between as often as its steps and a second let. */
  private List<Integer> places(
      Motion.Piece piece, DoubleUnaryOperator value, NavigableSet<Integer> turns, int written) {
    double first = value.applyAsDouble(piece.first());
    double goal = value.applyAsDouble(piece.last());
    int length = piece.to() - piece.from();
    int steps = (int) Math.ceil(4 * Math.abs(goal - first)) + 1;
    int stride = Math.max(apart, Math.min(COARSEST, length / steps));
    int turn = Optional.ofNullable(turns.higher(piece.from())).orElse(Integer.MAX_VALUE);
    boolean turned = turns.contains(piece.from());
    int start = turned ? piece.from() : Math.max(piece.from(), written + apart);
    List<Integer> out = new ArrayList<>();
    for (int tick = start; tick < Math.min(ticks, piece.to()); tick += stride) {
      if (tick == piece.from() && turned || turn - tick >= apart) {
        out.add(tick);
      }
    }
    return out;
  }

  private int add(int control, int tick, double value, int last) throws InvalidMidiDataException {
    int rounded = (int) Math.max(0, Math.min(MOST, Math.round(value)));
    if (rounded != last) {
      out.add(
          new MidiEvent(
              new ShortMessage(ShortMessage.CONTROL_CHANGE, channel, control, rounded), tick));
    }
    return rounded;
  }
}
