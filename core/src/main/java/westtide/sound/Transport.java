package westtide.sound;

import westtide.sound.desk.Frames;

/**
 * Moves a song through an engine block by block: from anywhere, over a loop, at a tempo that may
 * change on the way. Every tick falls on one sample, counted from where the song was last placed,
 * so that no error grows. Belongs to the audio thread.
 */
public final class Transport implements Frames {
  private final Moved engine;
  private final int rate;
  private final Passing passing;
  private boolean playing;
  private boolean startsNext;
  private long turnedAt = -1;
  private long frame;
  private double anchorTick;
  private long anchorFrame;
  private double framesPerTick;
  private int nextTick;
  private double startTick;
  private long startFrame;
  private int loopFrom = -1;
  private int loopTo = -1;
  private int blockOffset;
  private long stretchFrame;

  /** Samples for which the tails of a song that ended stay where its movements led them. */
  private int ringing;

  /** Told of every stretch of ticks that is played. */
  @FunctionalInterface
  public interface Passing {
    /** The song goes from a tick to before another. */
    void pass(int fromTick, int toTick);
  }

  /** A transport that stands at the beginning. */
  public Transport(Engine engine, int rate) {
    this((Moved) engine, rate);
  }

  /** A transport of anything that moves. */
  Transport(Moved engine, int rate) {
    this(engine, rate, (from, to) -> {});
  }

  /** A transport whose course is watched. */
  public Transport(Engine engine, int rate, Passing passing) {
    this((Moved) engine, rate, passing);
  }

  private Transport(Moved engine, int rate, Passing passing) {
    this.engine = engine;
    this.rate = rate;
    this.passing = passing;
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

  /** Lets go of where the movements of a song that ended led its parts. */
  public void settle() {
    ringing = 0;
  }

  /** Starts from a tick; held notes that began before it come in. */
  public void play(double tick) {
    settle();
    engine.begin();
    engine.releaseHeld(0);
    place(tick);
    startTick = tick;
    startFrame = frame;
    nextTick = (int) Math.ceil(tick);
    playing = true;
    engine.chase(nextTick, 0, framesPerTick);
  }

  /** Starts from a tick with the next block. */
  public void playNext(double tick) {
    locate(tick);
    startsNext = true;
  }

  /**
   * The tick that was reached a number of ticks ago; inside a loop, in the pass before. What was
   * only just started is heard from its start on, not from before it.
   */
  public double heard(double ticksAgo) {
    double tick = tick() - ticksAgo;
    boolean turned = tick < loopFrom && tick() >= loopFrom && turnedAt >= 0;
    if (turned && frame - turnedAt <= ticksAgo * framesPerTick) {
      return loopTo - (loopFrom - tick);
    }
    boolean begins = playing && frame - startFrame < ticksAgo * framesPerTick;
    return begins ? startTick : Math.max(0, tick);
  }

  /** Stops; held notes are let go, tails ring out. */
  public void stop() {
    settle();
    playing = false;
    startsNext = false;
    engine.releaseHeld(0);
  }

  /** Goes to a tick without starting. */
  public void locate(double tick) {
    settle();
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
    if (ringing > 0) {
      engine.stretch().run(0, engine.score().ticks(), 0, 1000 * framesPerTick / rate);
      ringing -= Engine.BLOCK;
    } else {
      engine.stretch().stand();
    }
    blockOffset = 0;
    boolean starts = startsNext;
    while (playing && blockOffset < Engine.BLOCK) {
      step();
    }
    engine.mix();
    if (starts) {
      startsNext = false;
      play(anchorTick);
    }
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
      if (toTick > nextTick) {
        engine.play(nextTick, toTick, this);
        passing.pass(nextTick, toTick);
        nextTick = toTick;
      }
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
      ringing = (int) (Mixdown.TAIL_SECONDS * rate);
      place(0);
      nextTick = 0;
      return;
    }
    turnedAt = frame;
    place(loopFrom);
    nextTick = loopFrom;
    engine.chase(loopFrom, offset, framesPerTick);
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
