package westtide.file.midi;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import javax.sound.midi.InvalidMidiDataException;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.ShortMessage;
import westtide.rhythm.Ticks;
import westtide.score.Motion;
import westtide.score.Moving;
import westtide.score.ScoredPart;
import westtide.song.mix.Curve;
import westtide.song.mix.Gate;
import westtide.song.mix.Mix;

/**
 * What moves of a part as controllers: level 7, pan 10, expression 11 (hints and gates), low-pass
 * 74, room send 91 (MIDI 1.0 and General MIDI 2, from memory). A controller is written whenever its
 * rounded value changes, so a receiver is never more than one step away from the curve. High-pass,
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

  private final int channel;
  private final List<MidiEvent> out = new ArrayList<>();

  private MidiMotions(int channel) {
    this.channel = channel;
  }

  /** The controllers of a part over a song of that many ticks. */
  static List<MidiEvent> of(ScoredPart part, int channel, int ticks)
      throws InvalidMidiDataException {
    MidiMotions motions = new MidiMotions(channel);
    Mix mix = part.part().mix();
    double own = mix.level();
    motions.write(
        VOLUME,
        part.motion(Moving.LEVEL),
        MidiMix.volume(mix),
        decibels -> MidiMix.volume(own + 10 * decibels));
    motions.write(PAN, part.motion(Moving.PAN), MidiMix.pan(mix), place -> MidiMix.pan(place));
    if (part.motion(Moving.EXPRESSION).any()) {
      motions.write(
          EXPRESSION,
          Motion.together(
              Moving.EXPRESSION, part.motion(Moving.EXPRESSION), gate(mix.gate(), ticks)),
          MOST,
          decibels -> MOST * Math.pow(10, decibels / 40));
    } else {
      motions.out.addAll(MidiGate.of(mix.gate(), channel, ticks));
    }
    motions.write(
        BRIGHTNESS,
        part.motion(Moving.LOW_PASS),
        brightness(Curve.Kind.LOW_PASS.even(mix.lowPass())),
        octaves ->
            Math.min(brightness(octaves), brightness(Curve.Kind.LOW_PASS.even(mix.lowPass()))));
    motions.write(ROOM, part.motion(Moving.ROOM), percent(mix.reverb()), MidiMotions::percent);
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
    for (Motion.Piece piece : motion.pieces()) {
      if (piece.from() > end || end == 0 && piece.from() > 0) {
        last = add(control, end, rest, last);
      }
      last = write(control, piece, value, last);
      end = piece.to();
    }
    add(control, end, rest, last);
  }

  private int write(int control, Motion.Piece piece, DoubleUnaryOperator value, int last)
      throws InvalidMidiDataException {
    double first = value.applyAsDouble(piece.first());
    double goal = value.applyAsDouble(piece.last());
    int length = piece.to() - piece.from();
    int steps = (int) Math.ceil(4 * Math.abs(goal - first)) + 1;
    int stride = Math.max(1, Math.min(COARSEST, length / steps));
    int now = last;
    for (int tick = piece.from(); tick < piece.to(); tick += stride) {
      now = add(control, tick, value.applyAsDouble(piece.at(tick)), now);
    }
    return now;
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
