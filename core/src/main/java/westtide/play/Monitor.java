package westtide.play;

import westtide.sound.voice.Filter;

/** Plays the mix as another loudspeaker would. Belongs to the audio thread. */
final class Monitor {
  private static final double SMALL_FROM = 300;
  private static final double SMALL_TO = 9000;

  private final Filter first;
  private final Filter second;
  private final Filter top;
  private Loudspeaker through = Loudspeaker.FULL;

  Monitor(int rate) {
    first = new Filter(rate).set(SMALL_FROM, 0.54);
    second = new Filter(rate).set(SMALL_FROM, 1.31);
    top = new Filter(rate).set(SMALL_TO, 0.7);
  }

  void turn(Loudspeaker wanted) {
    through = wanted;
  }

  /** Works on a block in place. */
  void play(float[] left, float[] right, int frames) {
    if (through == Loudspeaker.FULL) {
      return;
    }
    boolean small = through == Loudspeaker.SMALL;
    for (int i = 0; i < frames; i++) {
      double middle = 0.5 * (left[i] + right[i]);
      float heard = (float) (small ? top.low(second.high(first.high(middle))) : middle);
      left[i] = heard;
      right[i] = heard;
    }
  }
}
