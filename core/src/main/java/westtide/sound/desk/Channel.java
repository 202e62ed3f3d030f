package westtide.sound.desk;

import java.util.Arrays;
import westtide.song.mix.Duck;
import westtide.song.mix.RoomKind;

/**
 * One part of the mix, or one lane of a drum part: its sounding notes, filters, inserts, ducking,
 * delay and what it sends to a room. All its memory is taken when it is made; afterwards it belongs
 * to the audio thread.
 */
public final class Channel {
  private static final double REST_MILLIS = 60;
  private static final double SMOOTH_MILLIS = 0.7;

  private final Voices voices;
  private final Sends single;
  private final float[] left;
  private final float[] right;
  private final StereoFilter lowCut;
  private final StereoFilter lowPass;
  private final Crossover lowsLeft;
  private final Crossover lowsRight;
  private final Spread spread;
  private final Inserts inserts;
  private final float[] toRoom;
  private final float[] toDelay;
  private final int rate;
  private final int restFrames;
  private final float smooth;
  private Strip strip;
  private float gainLeft = -1;
  private float gainRight;
  private final Ducking ducking = new Ducking();
  private float ducked = 1;
  private Channel[] lanes = {};
  private volatile Echo echo;
  private boolean middle = true;
  private boolean fresh = true;
  private boolean sends;
  private boolean heard;
  private int quietFor;
  private float peak;

  /** A channel with room for a block of samples. */
  public Channel(int rate, int blockFrames, Strip strip) {
    this.rate = rate;
    this.voices = new Voices(rate);
    this.single = new Sends(blockFrames);
    this.inserts = new Inserts(rate, blockFrames);
    this.toRoom = new float[blockFrames];
    this.toDelay = new float[blockFrames];
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

  /**
   * Gives it a delay of its own, the first time one is asked for. It takes memory, so not on the
   * audio thread, and before the score that needs it is played.
   */
  public void giveDelay() {
    if (echo == null) {
      echo = new Echo(rate, left.length);
    }
  }

  /** The last block, after level, pan, width and delay. */
  public float[] left() {
    return left;
  }

  /** The last block's right side. */
  public float[] right() {
    return right;
  }

  /** What the last block sends to its room. */
  public float[] toRoom() {
    return toRoom;
  }

  /** Whether there is anything in the last block. */
  public boolean heard() {
    return heard;
  }

  /** Whether the last block sends anything to its room. */
  public boolean sends() {
    return sends;
  }

  /** The room it sends to. */
  public RoomKind room() {
    return strip.space().room();
  }

  /** Multiplies the last block, and what it sends, by one gain a sample. */
  public void scale(float[] gains, int from, int frames) {
    for (int i = 0; i < frames; i++) {
      left[i] *= gains[from + i];
      right[i] *= gains[from + i];
      toRoom[i] *= gains[from + i];
    }
  }

  /** Takes lanes that go through this channel, each rendered before it. */
  public void through(Channel[] others) {
    lanes = others;
  }

  /**
   * Plays from another track from now on. Notes that are no longer in it are released; with {@code
   * from} at or above 0, notes that should be sounding at that tick come in.
   */
  public void take(Track next, Strip settings, int from, double framesPerTick) {
    strip = settings;
    voices.take(next, from, framesPerTick);
    Echo repeats = echo;
    if (repeats != null && framesPerTick > 0) {
      repeats.repeats(settings.space());
      repeats.distance(settings.delayTicks() * framesPerTick);
    }
  }

  /** Starts and ends the notes of a stretch; {@code frames} tells where in the block each lies. */
  public void play(int fromTick, int toTick, Frames frames) {
    voices.end(toTick, frames);
    voices.start(fromTick, toTick, frames);
    for (Channel lane : lanes) {
      lane.play(fromTick, toTick, frames);
    }
  }

  /** Starts notes that began before a tick and last beyond it, in the middle of their sound. */
  public void chase(int tick, int offset, double framesPerTick) {
    voices.chase(tick, offset, framesPerTick);
    for (Channel lane : lanes) {
      lane.chase(tick, offset, framesPerTick);
    }
  }

  /** Ends every held note, as when the song stops or jumps. */
  public void releaseHeld(int offset) {
    voices.releaseHeld(offset);
    for (Channel lane : lanes) {
      lane.releaseHeld(offset);
    }
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
    Echo repeats = echo;
    return quietFor >= restFrames && (repeats == null || repeats.silent());
  }

  /** Makes the next block of the channel, and tells whether there is anything in it. */
  public boolean render(Stretch stretch, int frames, boolean metered) {
    Arrays.fill(left, 0, frames, 0);
    Arrays.fill(right, 0, frames, 0);
    boolean alone = !anyLane(stretch, frames);
    middle = voices.middle() && alone && (middle || quietFor >= restFrames);
    single.clear(frames);
    boolean sounding = voices.mix(left, right, frames, middle, single);
    sounding |= !alone;
    quietFor = sounding ? 0 : Math.min(restFrames, quietFor + frames);
    peak = 0;
    sends = false;
    if (quietFor >= restFrames) {
      forget();
      return repeat(false, frames, metered);
    }
    fresh = false;
    addLanes(frames);
    shape(stretch, frames);
    boolean one = inserts.run(strip.effects(), stretch, left, right, frames, middle);
    level(stretch, frames, one);
    float width = now(strip.moves().width(), strip.width(), stretch);
    if (width > 0) {
      spread.widen(left, right, frames, width);
    }
    send(stretch, frames);
    return repeat(true, frames, metered);
  }

  private boolean anyLane(Stretch stretch, int frames) {
    boolean any = false;
    for (Channel lane : lanes) {
      any |= lane.render(stretch, frames, false);
    }
    return any;
  }

  private void addLanes(int frames) {
    for (Channel lane : lanes) {
      if (lane.quietFor < lane.restFrames) {
        add(lane.left, left, 1, frames);
        add(lane.right, right, 1, frames);
      }
    }
  }

  /** Fills what goes to the room and to the delay, of the whole channel and of single notes. */
  private void send(Stretch stretch, int frames) {
    float toTheRoom = now(strip.moves().reverb(), strip.reverb(), stretch);
    float gain = 0.5f * ducked * (strip.left() + strip.right());
    Arrays.fill(toRoom, 0, frames, 0);
    sends = single.addReverb(toRoom, gain, frames);
    if (toTheRoom > 0) {
      sends = true;
      add(left, toRoom, 0.5f * toTheRoom, frames);
      add(right, toRoom, 0.5f * toTheRoom, frames);
    }
    float toTheDelay = now(strip.moves().delay(), strip.delay(), stretch);
    if (echo != null || toTheDelay > 0) {
      Arrays.fill(toDelay, 0, frames, 0);
      single.addDelay(toDelay, gain, frames);
      add(left, toDelay, 0.5f * toTheDelay, frames);
      add(right, toDelay, 0.5f * toTheDelay, frames);
    }
    for (Channel lane : lanes) {
      sendOf(lane, gain, frames);
    }
  }

  private void sendOf(Channel lane, float gain, int frames) {
    if (lane.quietFor >= lane.restFrames) {
      return;
    }
    if (lane.sends) {
      sends = true;
      add(lane.toRoom, toRoom, gain, frames);
    }
    if (echo != null && lane.strip.delay() > 0) {
      add(lane.toDelay, toDelay, gain, frames);
    }
  }

  private boolean repeat(boolean fed, int frames, boolean metered) {
    Echo repeats = echo;
    heard = fed;
    if (repeats != null && (fed || !repeats.silent())) {
      if (!fed) {
        Arrays.fill(toDelay, 0, frames, 0);
      }
      repeats.mix(toDelay, left, right, frames);
      heard = true;
    }
    peak = metered && heard ? Math.max(peak(left, frames), peak(right, frames)) : 0;
    return heard;
  }

  private static void add(float[] from, float[] to, float gain, int frames) {
    for (int i = 0; i < frames; i++) {
      to[i] += gain * from[i];
    }
  }

  private void forget() {
    if (!fresh) {
      fresh = true;
      lowCut.clear();
      lowPass.clear();
      lowsLeft.clear();
      lowsRight.clear();
      inserts.clear();
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
    if (moves(moves.lowCut(), stretch, frames)) {
      for (int point = 0; point < frames / Stretch.EVERY; point++) {
        lowCut.set(Math.max(strip.lowCut(), Math.pow(2, moves.lowCut().at(stretch.tick(point)))));
        int from = point * Stretch.EVERY;
        lowCut.run(left, right, from, from + Stretch.EVERY, middle);
      }
    } else if (strip.lowCut() > 0) {
      lowCut.set(strip.lowCut());
      lowCut.run(left, right, 0, frames, middle);
    }
    if (moves(moves.lowPass(), stretch, frames)) {
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
        && stretch.moving()
        && what.moves(stretch.tick(0), stretch.tick(frames / Stretch.EVERY - 1));
  }

  /** A value that moves instead of the strip's own, at the start of the block. */
  private static float now(Automation what, float own, Stretch stretch) {
    boolean moves = stretch.moving() && what.any() && what.moves(stretch.tick(0));
    return moves ? (float) (what.at(stretch.tick(0)) / 100) : own;
  }

  private void level(Stretch stretch, int frames, boolean one) {
    boolean ducks = strip.duck().trigger() != Duck.Trigger.NONE && stretch.moving();
    Automation level = strip.moves().level();
    Automation pan = strip.moves().pan();
    boolean moves = moves(level, stretch, frames);
    boolean pans = moves(pan, stretch, frames);
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
        scaleLows(from, before, ducked, one);
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

  private void scaleLows(int from, float before, float after, boolean one) {
    int until = from + Stretch.EVERY;
    lowsLeft.set(strip.duck().below());
    lowsLeft.scaleLows(left, from, until, before, after);
    if (!one) {
      lowsRight.set(strip.duck().below());
      lowsRight.scaleLows(right, from, until, before, after);
    }
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
