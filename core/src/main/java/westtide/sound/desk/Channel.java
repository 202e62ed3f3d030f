package westtide.sound.desk;

import westtide.song.mix.Duck;

/**
 * One part of the mix: its sounding notes, filters, ducking and sends. All its memory is taken when
 * it is made; afterwards it belongs to the audio thread.
 */
public final class Channel {
  private static final double REST_MILLIS = 60;
  private static final double SMOOTH_MILLIS = 0.7;

  private final Voices voices;
  private final Sends sends;
  private final float[] left;
  private final float[] right;
  private final StereoFilter lowCut;
  private final StereoFilter lowPass;
  private final Crossover lowsLeft;
  private final Crossover lowsRight;
  private final Spread spread;
  private final int restFrames;
  private final float smooth;
  private Strip strip;
  private float gainLeft = -1;
  private float gainRight;
  private final Ducking ducking = new Ducking();
  private float ducked = 1;
  private boolean middle = true;
  private boolean fresh = true;
  private int quietFor;
  private float peak;
  private float reverb;
  private float delay;

  /** A channel with room for a block of samples. */
  public Channel(int rate, int blockFrames, Strip strip) {
    this.voices = new Voices(rate);
    this.sends = new Sends(blockFrames);
    this.left = new float[blockFrames];
    this.right = new float[blockFrames];
    this.lowCut = StereoFilter.cuttingLows(rate);
    this.lowPass = StereoFilter.cuttingHighs(rate);
    this.lowsLeft = new Crossover(rate);
    this.lowsRight = new Crossover(rate);
    this.spread = new Spread(rate);
    this.restFrames = (int) (REST_MILLIS / 1000 * rate);
    this.quietFor = restFrames;
    this.smooth = (float) (1 - Math.exp(-Stretch.EVERY / (SMOOTH_MILLIS / 1000 * rate)));
    this.strip = strip;
  }

  /** The loudest sample of the last metered block, after level and pan. */
  public float peak() {
    return peak;
  }

  /** The last block, after level, pan and width. */
  public float[] left() {
    return left;
  }

  /** The last block's right side. */
  public float[] right() {
    return right;
  }

  /**
   * Plays from another track from now on. Notes that are no longer in it are released; with {@code
   * from} at or above 0, notes that should be sounding at that tick come in.
   */
  public void take(Track next, Strip settings, int from, double framesPerTick) {
    strip = settings;
    voices.take(next, from, framesPerTick);
  }

  /** Starts and ends the notes of a stretch; {@code frames} tells where in the block each lies. */
  public void play(int fromTick, int toTick, Frames frames) {
    voices.end(toTick, frames);
    voices.start(fromTick, toTick, frames);
  }

  /** Starts notes that began before a tick and last beyond it, in the middle of their sound. */
  public void chase(int tick, int offset, double framesPerTick) {
    voices.chase(tick, offset, framesPerTick);
  }

  /** Ends every held note, as when the song stops or jumps. */
  public void releaseHeld(int offset) {
    voices.releaseHeld(offset);
  }

  /**
   * Plays one note from a sample of the block on, for a number of samples, apart from the track.
   */
  public void audition(
      float[] table,
      int offset,
      float toLeft,
      float toRight,
      int holdFrames,
      float fall,
      int chokeGroup) {
    voices.audition(table, offset, toLeft, toRight, holdFrames, fall, chokeGroup);
  }

  /** Whether anything of the channel may still be heard. */
  public boolean silent() {
    return quietFor >= restFrames;
  }

  /** Makes the next block of the channel, and tells whether there is anything in it. */
  public boolean render(Stretch stretch, int[] kicks, int frames, boolean metered) {
    java.util.Arrays.fill(left, 0, frames, 0);
    java.util.Arrays.fill(right, 0, frames, 0);
    middle = voices.middle() && (middle || silent());
    sends.clear(frames);
    boolean sounding = voices.mix(left, right, frames, middle, sends);
    quietFor = sounding ? 0 : Math.min(restFrames, quietFor + frames);
    peak = 0;
    if (silent()) {
      forget();
      return false;
    }
    fresh = false;
    shape(stretch, frames);
    level(stretch, kicks, frames);
    reverb = now(strip.moves().reverb(), strip.reverb(), stretch);
    delay = now(strip.moves().delay(), strip.delay(), stretch);
    float width = now(strip.moves().width(), strip.width(), stretch);
    if (width > 0) {
      spread.widen(left, right, frames, width);
    }
    peak = metered ? Math.max(peak(left, frames), peak(right, frames)) : 0;
    return true;
  }

  private void forget() {
    if (!fresh) {
      fresh = true;
      lowCut.clear();
      lowPass.clear();
      lowsLeft.clear();
      lowsRight.clear();
      gainLeft = -1;
    }
  }

  private static float peak(float[] samples, int frames) {
    float high = 0;
    float low = 0;
    for (int i = 0; i < frames; i++) {
      high = samples[i] > high ? samples[i] : high;
      low = samples[i] < low ? samples[i] : low;
    }
    return high > -low ? high : -low;
  }

  private void shape(Stretch stretch, int frames) {
    if (strip.clip() > 0) {
      SoftClip.push(left, frames, strip.clip());
      if (!middle) {
        SoftClip.push(right, frames, strip.clip());
      }
    }
    Movements moves = strip.moves();
    if (stretch.moving() && moves(moves.lowCut(), stretch, frames)) {
      for (int point = 0; point < frames / Stretch.EVERY; point++) {
        lowCut.set(Math.max(strip.lowCut(), Math.pow(2, moves.lowCut().at(stretch.tick(point)))));
        int from = point * Stretch.EVERY;
        lowCut.run(left, right, from, from + Stretch.EVERY, middle);
      }
    } else if (strip.lowCut() > 0) {
      lowCut.set(strip.lowCut());
      lowCut.run(left, right, 0, frames, middle);
    }
    if (stretch.moving() && moves(moves.lowPass(), stretch, frames)) {
      for (int point = 0; point < frames / Stretch.EVERY; point++) {
        double octaves = moves.lowPass().at(stretch.tick(point));
        lowPass.set(Math.min(strip.lowPass(), Math.pow(2, octaves)));
        int from = point * Stretch.EVERY;
        lowPass.run(left, right, from, from + Stretch.EVERY, middle);
      }
    } else if (!strip.open()) {
      lowPass.set(strip.lowPass());
      lowPass.run(left, right, 0, frames, middle);
    }
  }

  /** Whether a movement acts anywhere in the block. */
  private static boolean moves(Automation what, Stretch stretch, int frames) {
    return what.any()
        && (what.moves(stretch.tick(0)) || what.moves(stretch.tick(frames / Stretch.EVERY - 1)));
  }

  /** A value that moves instead of the strip's own, at the start of the block. */
  private static float now(Automation what, float own, Stretch stretch) {
    boolean moves = stretch.moving() && what.any() && what.moves(stretch.tick(0));
    return moves ? (float) (what.at(stretch.tick(0)) / 100) : own;
  }

  private void level(Stretch stretch, int[] kicks, int frames) {
    boolean ducks = strip.duck().trigger() != Duck.Trigger.NONE && stretch.moving();
    Automation level = strip.moves().level();
    Automation pan = strip.moves().pan();
    boolean moves = level.any() && stretch.moving();
    boolean pans = pan.any() && stretch.moving();
    boolean gates = strip.gate().closes() && stretch.moving();
    boolean lowsOnly = strip.ducksLows();
    if (gainLeft < 0) {
      gainLeft = strip.left();
      gainRight = strip.right();
      ducked = 1;
    }
    if (!ducks && !moves && !pans && !gates && !lowsOnly && settled()) {
      applyAll(frames);
      return;
    }
    for (int point = 0; point < frames / Stretch.EVERY; point++) {
      float wanted = ducks ? ducking.gain(strip.duck(), strip.shape(), stretch, point, kicks) : 1;
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
        scaleLows(from, before, ducked);
        apply(from, gainLeft, nextLeft, gainRight, nextRight);
      } else {
        apply(from, gainLeft * before, nextLeft * ducked, gainRight * before, nextRight * ducked);
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

  private void scaleLows(int from, float before, float after) {
    int until = from + Stretch.EVERY;
    lowsLeft.set(strip.duck().below());
    lowsLeft.scaleLows(left, from, until, before, after);
    if (!middle) {
      lowsRight.set(strip.duck().below());
      lowsRight.scaleLows(right, from, until, before, after);
    }
  }

  private void applyAll(int frames) {
    float[] other = middle ? left : right;
    float toLeft = gainLeft;
    float toRight = gainRight;
    for (int i = 0; i < frames; i++) {
      right[i] = other[i] * toRight;
    }
    for (int i = 0; i < frames; i++) {
      left[i] *= toLeft;
    }
  }

  private void apply(int from, float l0, float l1, float r0, float r1) {
    float[] other = middle ? left : right;
    float leftStep = (l1 - l0) / Stretch.EVERY;
    float rightStep = (r1 - r0) / Stretch.EVERY;
    for (int i = 0; i < Stretch.EVERY; i++) {
      right[from + i] = other[from + i] * (r0 + rightStep * i);
      left[from + i] *= l0 + leftStep * i;
    }
  }

  Strip strip() {
    return strip;
  }

  /** The share sent to the room now, 0 to 1. */
  float reverb() {
    return reverb;
  }

  /** The share sent to the delay now, 0 to 1. */
  float delay() {
    return delay;
  }

  /** What single notes send to the reverb and the delay. */
  Sends sends() {
    return sends;
  }

  /** The factor single notes are sent with: the level of the channel, ducked as it is. */
  float sendGain() {
    return ducked * (strip.left() + strip.right());
  }
}
