package westtide.file.midi;

import westtide.song.mix.Mix;

/**
 * A part's place in the mix as MIDI controllers say it. Controller 7 is read as 40·log10(value/127)
 * dB (General MIDI recommendation, from memory), 127 standing for the loudest a part can be, +6 dB;
 * so relations between parts stay as they are.
 */
final class MidiMix {
  private static final double LOUDEST_TENTHS = 60;
  private static final int CENTRE = 64;
  private static final int SIDE = 63;

  private MidiMix() {}

  /** Controller 7, 0 to 127. */
  static int volume(Mix mix) {
    return (int) Math.round(volume(mix.level()));
  }

  /** Controller 7 at a level in tenths of a dB, not rounded. */
  static double volume(double tenths) {
    if (tenths <= Mix.SILENT) {
      return 0;
    }
    double decibels = (tenths - LOUDEST_TENTHS) / 10;
    return Math.max(0, Math.min(127, 127 * Math.pow(10, decibels / 40)));
  }

  /** Controller 10: 1 left, 64 middle, 127 right. */
  static int pan(Mix mix) {
    return (int) Math.round(pan(mix.pan()));
  }

  /** Controller 10 of a place from −100 left to 100 right, not rounded. */
  static double pan(double place) {
    return CENTRE + place * SIDE / 100.0;
  }
}
