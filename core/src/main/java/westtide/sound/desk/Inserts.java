package westtide.sound.desk;

import java.util.Arrays;
import westtide.song.mix.Effects;
import westtide.song.mix.Equaliser;
import westtide.song.mix.Tremolo;
import westtide.sound.block.Blocks;
import westtide.sound.block.Stretch;
import westtide.sound.effect.Biquad;
import westtide.sound.effect.ChorusAndPhaser;
import westtide.sound.effect.FilterRow;
import westtide.sound.effect.Saturation;
import westtide.sound.effect.TransientShaper;
import westtide.sound.voice.SineTable;

/**
 * What is done to a channel on its way, in the order of {@link Effects}. All memory is taken when
 * it is made; what is off costs nothing.
 */
final class Inserts {
  private final Biquad low;
  private final Biquad mid;
  private final Biquad high;
  private final TransientShaper shaper;
  private final Saturation colour;
  private final ChorusAndPhaser swirl;
  private final float[] gains;
  private Effects set = Effects.NONE;
  private float trembledLeft = 1;
  private float trembledRight = 1;

  Inserts(int rate, int blockFrames) {
    low = new Biquad(rate);
    mid = new Biquad(rate);
    high = new Biquad(rate);
    shaper = new TransientShaper(rate);
    colour = new Saturation(rate);
    swirl = new ChorusAndPhaser(rate);
    gains = new float[blockFrames];
  }

  void clear() {
    low.clear();
    mid.clear();
    high.clear();
    shaper.clear();
    colour.clear();
    swirl.clear();
    trembledLeft = 1;
    trembledRight = 1;
  }

  private void set(Effects effects) {
    if (effects.equaliser() != set.equaliser()) {
      Equaliser bands = effects.equaliser();
      low.lowShelf(Equaliser.LOW_HERTZ, bands.low() / 10.0);
      mid.bell(bands.midHertz(), bands.mid() / 10.0);
      high.highShelf(Equaliser.HIGH_HERTZ, bands.high() / 10.0);
    }
    set = effects;
  }

  /** Puts the bands of the equaliser that do something into a row of filters. */
  void equalise(Effects effects, FilterRow row) {
    if (effects == Effects.NONE) {
      return;
    }
    set(effects);
    low.into(row);
    mid.into(row);
    high.into(row);
  }

  /**
   * Works on an equalised block in place. When everything stands in the middle the left side alone
   * is read; true when it still does afterwards.
   */
  boolean run(
      Effects effects, Stretch stretch, float[] left, float[] right, int frames, boolean middle) {
    if (effects == Effects.NONE) {
      return middle;
    }
    set(effects);
    if (effects.attack() != 0 || effects.sustain() != 0) {
      shapeStarts(left, right, frames, middle);
    }
    if (effects.tape() > 0) {
      colour.tape(left, right, frames, effects.tape() / 100.0, middle);
    }
    if (effects.grain() > 0) {
      colour.grain(left, right, frames, effects.grain() / 100.0, middle);
    }
    boolean trembles = effects.tremolo().depth() > 0;
    boolean widens = effects.phaser() > 0 || effects.chorus() > 0 || trembles;
    if (widens && middle) {
      System.arraycopy(left, 0, right, 0, frames);
    }
    if (effects.phaser() > 0) {
      swirl.phaser(left, right, frames, effects.phaser() / 100f);
    }
    if (effects.chorus() > 0) {
      swirl.chorus(left, right, frames, effects.chorus() / 100f);
    }
    if (trembles) {
      tremble(effects.tremolo(), stretch, left, right, frames);
    }
    return middle && !widens;
  }

  private void shapeStarts(float[] left, float[] right, int frames, boolean middle) {
    Arrays.fill(gains, 0, frames, 1);
    float[] other = middle ? left : right;
    shaper.gains(left, other, frames, set.attack() / 100.0, set.sustain() / 100.0, gains);
    Blocks.scale(left, gains, frames);
    if (!middle) {
      Blocks.scale(right, gains, frames);
    }
  }

  private void tremble(Tremolo tremolo, Stretch stretch, float[] left, float[] right, int frames) {
    for (int point = 0; point < frames / Stretch.EVERY; point++) {
      double tick = stretch.moving() ? stretch.tick(point) : 0;
      double apart = tremolo.stereo() / 200.0;
      float toLeft = (float) gain(tremolo, tick, 0);
      float toRight = (float) gain(tremolo, tick, apart);
      float leftStep = (toLeft - trembledLeft) / Stretch.EVERY;
      float rightStep = (toRight - trembledRight) / Stretch.EVERY;
      int from = point * Stretch.EVERY;
      for (int i = 0; i < Stretch.EVERY; i++) {
        left[from + i] *= trembledLeft + leftStep * (i + 1);
        right[from + i] *= trembledRight + rightStep * (i + 1);
      }
      trembledLeft = toLeft;
      trembledRight = toRight;
    }
  }

  /** Open at the start of each movement, closed half way; the second of two may come later. */
  private static double gain(Tremolo tremolo, double tick, double apart) {
    double pair = tick / (2.0 * tremolo.rate().ticks());
    double share = pair - Math.floor(pair);
    double second = tremolo.swing() / 100.0;
    double phase = share < second ? share / second : (share - second) / (1 - second);
    double open = 0.5 + 0.5 * SineTable.at(phase + apart + 0.25);
    return 1 - tremolo.depth() / 100.0 * (1 - open);
  }
}
