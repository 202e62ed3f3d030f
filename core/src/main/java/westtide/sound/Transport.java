package westtide.sound;

import westtide.sound.desk.Frames;

/**
 * Moves a song through an engine block by block: from anywhere, over a loop, at a tempo that may
 * change on the way. Every tick falls on one sample, counted from where the song was last placed,
 * so that no error grows. Belongs to the audio thread.
 */
public final class Transport implements Frames {
  private final Engine engine;
  private final int rate;
  private boolean playing;
  private long frame;
  private double anchorTick;
  private long anchorFrame;
  private double framesPerTick;
  private int nextTick;
  private int loopFrom = -1;
  private int loopTo = -1;
  private int blockOffset;
  private long stretchFrame;

  /** A transport that stands at the beginning. */
  public Transport(Engine engine, int rate) {
    this.engine = engine;
    this.rate = rate;
    this.framesPerTick = rate / engine.score().ticksPerSecond();
  }

  /** Whether the song moves. */
  public boolean playing() {
    return playing;
  }

  /** Where the song is, in ticks. */
  public double tick() {
    return anchorTick + (frame - anchorFrame) / framesPerTick;
  }

  /** The first tick whose notes have not been started yet. */
  int nextTick() {
    return nextTick;
  }

  /** Plays another score from here on, at its tempo; what sounds stays in its place. */
  public void take(PreparedScore score) {
    double tick = tick();
    place(tick);
    framesPerTick = rate / score.ticksPerSecond();
    engine.take(score, playing ? nextTick : -1, framesPerTick);
    if (loopTo > score.ticks()) {
      loop(-1, -1);
    }
  }

  /** Starts from a tick; held notes that began before it come in. */
  public void play(double tick) {
    engine.releaseHeld(0);
    place(tick);
    nextTick = (int) Math.ceil(tick);
    playing = true;
    engine.chase(nextTick, 0, framesPerTick);
  }

  /** Stops; held notes are let go, tails ring out. */
  public void stop() {
    playing = false;
    engine.releaseHeld(0);
  }

  /** Goes to a tick without starting. */
  public void locate(double tick) {
    place(tick);
    nextTick = (int) Math.ceil(tick);
  }

  /** Loops over a range of ticks from now on; −1 and −1 end the loop. */
  public void loop(int from, int to) {
    loopFrom = from;
    loopTo = to;
  }

  /** Plays one block into the engine, which then holds its samples. */
  public void block() {
    engine.stretch().stand();
    blockOffset = 0;
    while (playing && blockOffset < Engine.BLOCK) {
      step();
    }
    engine.mix();
  }

  private void step() {
    boolean loops = loopTo > loopFrom && nextTick <= loopTo && loopFrom >= 0;
    int stopTick = loops ? loopTo : engine.score().ticks();
    long stopFrame = frameOf(stopTick);
    int length = (int) Math.min(Engine.BLOCK - blockOffset, Math.max(0, stopFrame - frame));
    if (length > 0) {
      stretchFrame = frame;
      double ticksPerFrame = 1 / framesPerTick;
      engine.stretch().run(blockOffset, tick(), ticksPerFrame, 1000 * framesPerTick / rate);
      int toTick = Math.min(stopTick, firstTickFrom(frame + length));
      engine.play(nextTick, toTick, this);
      nextTick = Math.max(nextTick, toTick);
      frame += length;
      blockOffset += length;
    }
    if (frame >= stopFrame) {
      turn(loops);
    }
  }

  private void turn(boolean loops) {
    int offset = Math.min(blockOffset, Engine.BLOCK - 1);
    engine.releaseHeld(offset);
    if (!loops) {
      playing = false;
      place(0);
      nextTick = 0;
      return;
    }
    place(loopFrom);
    nextTick = loopFrom;
    if (blockOffset < Engine.BLOCK) {
      engine.chase(loopFrom, blockOffset, framesPerTick);
    } else {
      engine.chase(loopFrom, Engine.BLOCK - 1, framesPerTick);
    }
  }

  /** The sample of the present block a tick falls on, held inside the block. */
  @Override
  public int of(int tick) {
    long offset = frameOf(tick) - stretchFrame + blockOffset;
    return (int) Math.max(blockOffset, Math.min(Engine.BLOCK - 1, offset));
  }

  private void place(double tick) {
    anchorTick = tick;
    anchorFrame = frame;
  }

  private long frameOf(int tick) {
    return anchorFrame + Math.round((tick - anchorTick) * framesPerTick);
  }

  private int firstTickFrom(long wanted) {
    int tick = (int) Math.floor(anchorTick + (wanted - anchorFrame) / framesPerTick) - 1;
    while (frameOf(tick) < wanted) {
      tick++;
    }
    return tick;
  }
}
