package westtide.sound.desk;

import java.util.Arrays;
import westtide.song.mix.ReverbKind;
import westtide.sound.block.Blocks;
import westtide.sound.block.Stretch;
import westtide.sound.effect.Echo;
import westtide.sound.effect.FilterRow;
import westtide.sound.effect.SoftClip;
import westtide.sound.effect.Spread;
import westtide.sound.effect.StereoFilter;

/**
 * One part of the mix, or one lane of a drum part: its sounding notes, filters, inserts, ducking,
 * delay and what it sends to a room. All its memory is taken when it is made; afterwards it belongs
 * to the audio thread.
 */
public final class Channel {
  private static final double REST_MILLIS = 60;

  /** Both cuts and the three bands of the equaliser. */
  private static final int MOST_FILTERS = 5;

  private final Voices voices;
  private final Sends single;
  private final float[] left;
  private final float[] right;
  private final StereoFilter lowCut;
  private final StereoFilter lowPass;
  private final FilterRow filters = new FilterRow(MOST_FILTERS);
  private final Spread spread;
  private final Inserts inserts;
  private final Fader fader;
  private final float[] toRoom;
  private final float[] toDelay;
  private final int rate;
  private final int restFrames;
  private Strip strip;
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
    this.left = new float[blockFrames];
    this.right = new float[blockFrames];
    this.voices = new Voices(rate, blockFrames);
    this.single = new Sends(blockFrames);
    this.inserts = new Inserts(rate, blockFrames);
    this.fader = new Fader(rate, left, right);
    this.toRoom = new float[blockFrames];
    this.toDelay = new float[blockFrames];
    this.lowCut = StereoFilter.cuttingLows(rate);
    this.lowPass = StereoFilter.cuttingHighs(rate);
    this.spread = new Spread(rate, blockFrames);
    this.restFrames = (int) (REST_MILLIS / 1000 * rate);
    this.quietFor = restFrames;
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
  public ReverbKind room() {
    return strip.space().room();
  }

  /** Multiplies the last block, and what it sends, by one gain a sample. */
  public void scale(float[] gains, int frames) {
    Blocks.scale(left, gains, frames);
    Blocks.scale(right, gains, frames);
    Blocks.scale(toRoom, gains, frames);
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
    fader.level(strip, stretch, frames, one);
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
        Blocks.add(lane.left, left, 1, frames);
        Blocks.add(lane.right, right, 1, frames);
      }
    }
  }

  /** Fills what goes to the room and to the delay, of the whole channel and of single notes. */
  private void send(Stretch stretch, int frames) {
    float toTheRoom = now(strip.moves().reverb(), strip.reverb(), stretch);
    float gain = 0.5f * fader.ducked() * (strip.left() + strip.right());
    Arrays.fill(toRoom, 0, frames, 0);
    sends = single.addReverb(toRoom, gain, frames);
    if (toTheRoom > 0) {
      sends = true;
      Blocks.add(left, toRoom, 0.5f * toTheRoom, frames);
      Blocks.add(right, toRoom, 0.5f * toTheRoom, frames);
    }
    float toTheDelay = now(strip.moves().delay(), strip.delay(), stretch);
    if (echo != null || toTheDelay > 0) {
      Arrays.fill(toDelay, 0, frames, 0);
      single.addDelay(toDelay, gain, frames);
      Blocks.add(left, toDelay, 0.5f * toTheDelay, frames);
      Blocks.add(right, toDelay, 0.5f * toTheDelay, frames);
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
      Blocks.add(lane.toRoom, toRoom, gain, frames);
    }
    if (echo != null && lane.strip.delay() > 0) {
      Blocks.add(lane.toDelay, toDelay, gain, frames);
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
    peak = metered && heard ? Math.max(Blocks.peak(left, frames), Blocks.peak(right, frames)) : 0;
    return heard;
  }

  private void forget() {
    if (!fresh) {
      fresh = true;
      lowCut.clear();
      lowPass.clear();
      inserts.clear();
      fader.clear();
    }
  }

  private void shape(Stretch stretch, int frames) {
    if (strip.clip() > 0) {
      SoftClip.push(left, frames, strip.clip());
      if (!middle) {
        SoftClip.push(right, frames, strip.clip());
      }
    }
    filters.empty();
    Movements moves = strip.moves();
    if (moves.lowCut().moves(stretch, frames)) {
      sweep(lowCut, strip.lowCut(), moves.lowCut(), stretch, frames);
    } else if (strip.lowCut() > 0) {
      lowCut.set(strip.lowCut());
      filters.add(lowCut.sides());
    }
    if (moves.lowPass().moves(stretch, frames)) {
      filters.run(left, right, 0, frames, middle);
      sweep(lowPass, strip.lowPass(), moves.lowPass(), stretch, frames);
    } else if (!strip.open()) {
      lowPass.set(strip.lowPass());
      filters.add(lowPass.sides());
    }
    inserts.equalise(strip.effects(), filters);
    filters.run(left, right, 0, frames, middle);
  }

  /** Filters the block alone while its cutoff moves. */
  private void sweep(
      StereoFilter filter, double cutoff, Automation octaves, Stretch stretch, int frames) {
    filters.empty();
    filters.add(filter.sides());
    for (int point = 0; point < frames / Stretch.EVERY; point++) {
      filter.set(filter.stricter(cutoff, Math.pow(2, octaves.at(stretch.tick(point)))));
      int from = point * Stretch.EVERY;
      filters.run(left, right, from, from + Stretch.EVERY, middle);
    }
    filters.empty();
  }

  /** A value that moves instead of the strip's own, at the start of the block. */
  private static float now(Automation what, float own, Stretch stretch) {
    boolean moves = stretch.moving() && what.any() && what.moves(stretch.tick(0));
    return moves ? (float) (what.at(stretch.tick(0)) / 100) : own;
  }
}
