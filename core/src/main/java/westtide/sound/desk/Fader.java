package westtide.sound.desk;

import westtide.song.mix.Duck;
import westtide.sound.block.Decibels;
import westtide.sound.block.Stretch;
import westtide.sound.effect.Crossover;

/**
 * The level of a channel: its gain and pan, what moves them, the gate, and the ducking, of all of
 * it or of its lows alone. Everything goes from where it was to where it should be without a step.
 */
final class Fader {
  private static final double SMOOTH_MILLIS = 0.7;

  private final float[] left;
  private final float[] right;
  private final Crossover lows;
  private final Ducking ducking = new Ducking();
  private final float smooth;
  private Strip strip;
  private float gainLeft = -1;
  private float gainRight;
  private float ducked = 1;

  /** A fader over both sides of a channel's block. */
  Fader(int rate, float[] left, float[] right) {
    this.left = left;
    this.right = right;
    this.lows = new Crossover(rate);
    this.smooth = (float) Stretch.approach(SMOOTH_MILLIS, rate);
  }

  /** Begins at the level of the strip the next time. */
  void clear() {
    lows.clear();
    gainLeft = -1;
  }

  /** What the ducking leaves now, 0 to 1. */
  float ducked() {
    return ducked;
  }

  /** Works on a block in place; with {@code one} both sides are made from the left. */
  void level(Strip now, Stretch stretch, int frames, boolean one) {
    strip = now;
    boolean ducks = strip.duck().trigger() != Duck.Trigger.NONE && stretch.moving();
    Automation level = strip.moves().level();
    Automation pan = strip.moves().pan();
    boolean moves = level.moves(stretch, frames);
    boolean pans = pan.moves(stretch, frames);
    boolean gates = strip.gate().closes() && stretch.moving();
    boolean lowsOnly = strip.ducksLows();
    if (gainLeft < 0) {
      gainLeft = strip.left();
      gainRight = strip.right();
      ducked = 1;
    }
    if (!ducks && !moves && !pans && !gates && !lowsOnly && settled()) {
      applyAll(frames, one);
      return;
    }
    for (int point = 0; point < frames / Stretch.EVERY; point++) {
      float wanted =
          ducks ? ducking.gain(strip.duck(), strip.shape(), stretch, point, strip.triggers()) : 1;
      float before = ducked;
      ducked = near(ducked + smooth * (wanted - ducked), wanted);
      float more = moves ? (float) Decibels.gain(level.at(stretch.tick(point))) : 1;
      more = gates ? more * (float) strip.gate().gain(stretch.tick(point)) : more;
      int from = point * Stretch.EVERY;
      boolean panned = pans && pan.moves(stretch.tick(point));
      double place = panned ? pan.at(stretch.tick(point)) : 0;
      float nextLeft =
          approach(gainLeft, more * (panned ? strip.gain() * Pan.left(place) : strip.left()));
      float nextRight =
          approach(gainRight, more * (panned ? strip.gain() * Pan.right(place) : strip.right()));
      if (lowsOnly) {
        lows.set(strip.duck().below());
        lows.scaleLows(left, right, from, from + Stretch.EVERY, before, ducked, one);
        apply(from, gainLeft, nextLeft, gainRight, nextRight, one);
      } else {
        apply(
            from,
            gainLeft * before,
            nextLeft * ducked,
            gainRight * before,
            nextRight * ducked,
            one);
      }
      gainLeft = nextLeft;
      gainRight = nextRight;
    }
  }

  private boolean settled() {
    return gainLeft == strip.left() && gainRight == strip.right() && ducked == 1;
  }

  private float approach(float now, float wanted) {
    return near(now + smooth * (wanted - now), wanted);
  }

  private static float near(float value, float wanted) {
    return Math.abs(value - wanted) < 1e-5f ? wanted : value;
  }

  private void applyAll(int frames, boolean one) {
    float[] other = one ? left : right;
    float toLeft = gainLeft;
    float toRight = gainRight;
    for (int i = 0; i < frames; i++) {
      right[i] = other[i] * toRight;
    }
    for (int i = 0; i < frames; i++) {
      left[i] *= toLeft;
    }
  }

  private void apply(int from, float l0, float l1, float r0, float r1, boolean one) {
    float[] other = one ? left : right;
    float leftStep = (l1 - l0) / Stretch.EVERY;
    float rightStep = (r1 - r0) / Stretch.EVERY;
    for (int i = 0; i < Stretch.EVERY; i++) {
      right[from + i] = other[from + i] * (r0 + rightStep * i);
      left[from + i] *= l0 + leftStep * i;
    }
  }
}
