package westtide.play;

import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import westtide.sound.Engine;
import westtide.sound.Mixdown;
import westtide.sound.PreparedScore;
import westtide.sound.Transport;
import westtide.sound.block.Decibels;
import westtide.sound.effect.Limiter;
import westtide.sound.loudness.Loudness;

/**
 * The audio thread's side of playing: before each block it takes what it was asked, then it moves
 * the song on, clicks, limits, measures and sets the listening level. It takes no memory and no
 * locks.
 */
final class Playback implements Request.Doer {
  private static final double LEVEL_SECONDS = 0.05;

  private final Queue<Request> requests = new ConcurrentLinkedQueue<>();
  private final int rate;
  private final Engine engine;
  private final Transport transport;
  private final Metronome metronome;
  private final Limiter limiter;
  private final Loudness loudness;
  private final Monitor monitor;
  private final PlaybackMeters gauges;
  private final float levelStep;
  private float level;
  private float wantedLevel;
  private boolean clicking;
  private int countFrames;
  private double startTick;

  Playback(int rate, PreparedScore empty, PlaybackMeters gauges, double listeningDb) {
    this.rate = rate;
    this.engine = new Engine(rate, empty);
    this.metronome = new Metronome(rate);
    this.transport = new Transport(engine, rate, this::beats);
    this.limiter = new Limiter(rate, Mixdown.CEILING_DB);
    this.loudness = new Loudness(rate);
    this.monitor = new Monitor(rate);
    this.gauges = gauges;
    this.wantedLevel = (float) Decibels.gain(listeningDb);
    this.levelStep = (float) (1 / (LEVEL_SECONDS * rate));
  }

  /** Asks for something before the next block; from any thread. */
  void ask(Request request) {
    requests.add(request);
  }

  /** Whether there is nothing to hear and nothing to do. */
  boolean idle() {
    return requests.isEmpty()
        && !transport.playing()
        && countFrames == 0
        && !clicking
        && engine.silent();
  }

  /** Makes the next block. */
  void block(int pendingFrames) {
    for (Request request = requests.poll(); request != null; request = requests.poll()) {
      request.by(this);
    }
    if (countFrames > 0) {
      countIn();
    }
    transport.block();
    clicking = metronome.mix(engine.left(), engine.right());
    limiter.limit(engine.left(), engine.right(), Engine.BLOCK);
    loudness.hear(engine.left(), engine.right(), Engine.BLOCK);
    gauges.level(engine.score(), peak(), loudness);
    monitor.play(engine.left(), engine.right(), Engine.BLOCK);
    setLevel(engine.left(), engine.right());
    publish(pendingFrames);
  }

  float[] left() {
    return engine.left();
  }

  float[] right() {
    return engine.right();
  }

  @Override
  public void take(Request.Take take) {
    transport.take(take.score());
  }

  @Override
  public void stop(Request.Stop stop) {
    countFrames = 0;
    transport.stop();
  }

  @Override
  public void locate(Request.Locate locate) {
    locate(locate.tick());
  }

  @Override
  public void loop(Request.Loop loop) {
    transport.loop(loop.from(), loop.to());
  }

  @Override
  public void hear(Request.Hear hear) {
    transport.settle();
    engine.hear(hear.trial());
  }

  @Override
  public void click(Request.Click click) {
    metronome.turn(click.on());
  }

  @Override
  public void through(Request.Through through) {
    monitor.turn(through.speaker());
  }

  @Override
  public void listen(Request.Listen listen) {
    wantedLevel = (float) Decibels.gain(listen.decibels());
  }

  @Override
  public void start(Request.Start start) {
    loudness.clear();
    if (start.countIn() == 0) {
      transport.play(start.tick());
      return;
    }
    transport.stop();
    transport.locate(start.tick());
    startTick = start.tick();
    countFrames = start.countIn() * beatFrames();
  }

  private void locate(double tick) {
    if (transport.playing()) {
      transport.play(tick);
    } else {
      transport.locate(tick);
    }
  }

  /** Clicks the beats before the start; the song begins on the block the count ends with. */
  private void countIn() {
    int ending = countFrames % Engine.BLOCK;
    int length = ending == 0 ? Engine.BLOCK : ending;
    int lead = Engine.BLOCK - length;
    int beat = beatFrames();
    for (int i = 0; i < length; i++) {
      if ((countFrames - i) % beat == 0) {
        metronome.click(false, lead + i);
      }
    }
    countFrames -= length;
    if (countFrames == 0) {
      transport.playNext(startTick);
    }
  }

  private int beatFrames() {
    PreparedScore score = engine.score();
    return (int) Math.round(score.ticksPerBeat() / score.ticksPerSecond() * rate);
  }

  private void beats(int fromTick, int toTick) {
    metronome.play(engine.score(), fromTick, toTick, transport);
  }

  private float peak() {
    float peak = 0;
    for (int i = 0; i < Engine.BLOCK; i++) {
      float left = Math.abs(engine.left()[i]);
      float right = Math.abs(engine.right()[i]);
      peak = left > peak ? left : peak;
      peak = right > peak ? right : peak;
    }
    return peak;
  }

  private void setLevel(float[] left, float[] right) {
    for (int i = 0; i < Engine.BLOCK; i++) {
      float apart = wantedLevel - level;
      level += Math.max(-levelStep, Math.min(levelStep, apart));
      left[i] *= level;
      right[i] *= level;
    }
  }

  private void publish(int pendingFrames) {
    double late = pendingFrames * engine.score().ticksPerSecond() / rate;
    double heard = transport.playing() ? transport.heard(late) : transport.tick();
    int beats = countFrames == 0 ? 0 : (countFrames + beatFrames() - 1) / beatFrames();
    gauges.place(transport.playing(), heard, beats);
  }
}
