package westtide.play;

import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Consumer;
import westtide.rhythm.BarLines;
import westtide.rhythm.Meter;
import westtide.score.Score;
import westtide.score.event.ScoredNote;
import westtide.song.Part;
import westtide.song.mix.Master;
import westtide.sound.Audible;
import westtide.sound.Engine;
import westtide.sound.Preparation;
import westtide.sound.PreparedScore;
import westtide.sound.SharedTables;

/**
 * Plays scores through an output. Whoever calls it never waits: scores are made ready on one thread
 * and played on another, which takes the newest before its next block.
 */
public final class Player implements AutoCloseable {
  /**
   * The listening level a session begins with at most, in dB: quiet, so that nobody is startled.
   */
  public static final double FIRST_LEVEL_DB = -20;

  /** So that a machine on which nothing works is not kept busy failing and telling it. */
  private static final int MOST_FAILURES = 100;

  private static final long PAUSE_NANOS = 1_000_000_000L;

  private static final PreparedScore NOTHING =
      new PreparedScore(List.of(), 0, 1920, BarLines.of(Meter.COMMON, List.of()), Master.PLAIN);

  /** A score with what of it is heard. */
  private record Wish(Score score, Audible audible) {}

  private final AudioOutput output;
  private final Consumer<Throwable> troubles;
  private final PlaybackMeters gauges = new PlaybackMeters();
  private final Preparation preparation;
  private final Playback playback;
  private final ExecutorService preparing;
  private final AtomicReference<Wish> newest = new AtomicReference<>();
  private final AtomicInteger stops = new AtomicInteger();
  private final Thread audio;
  private volatile boolean open = true;
  private Audible audible = Audible.ALL;
  private Score score;

  /** A player on an output that logs what goes wrong. */
  public Player(AudioOutput output) {
    this(
        output,
        problem ->
            System.getLogger(Player.class.getName())
                .log(System.Logger.Level.ERROR, "Playing failed", problem));
  }

  /**
   * A player on an output, ready at once and silent. What goes wrong while sound is made ready or
   * played is handed over, from another thread; playing stops and can be started again.
   */
  public Player(AudioOutput output, Consumer<Throwable> troubles) {
    this(output, SharedTables.none(), troubles);
  }

  /** The same player, with tables that others made. */
  public Player(AudioOutput output, SharedTables tables, Consumer<Throwable> troubles) {
    this.output = output;
    this.troubles = troubles;
    this.preparation = new Preparation(output.rate(), tables);
    this.playback = new Playback(output.rate(), NOTHING, gauges, FIRST_LEVEL_DB);
    this.preparing =
        new ThreadPoolExecutor(
            1,
            1,
            0,
            TimeUnit.SECONDS,
            new LinkedBlockingQueue<>(),
            Player::helper,
            new ThreadPoolExecutor.DiscardPolicy());
    this.audio = new Thread(this::run, "audio");
    audio.setDaemon(true);
    audio.setPriority(Thread.MAX_PRIORITY);
    audio.start();
  }

  /** Where samples go. */
  public AudioOutput output() {
    return output;
  }

  /** What is playing, where it is and how loud. */
  public PlaybackMeters gauges() {
    return gauges;
  }

  /** What is muted or heard alone. */
  public Audible audible() {
    return audible;
  }

  /** Plays this score from now on; while playing the change is heard as soon as it is ready. */
  public void show(Score next) {
    score = next;
    prepare();
  }

  /** Mutes and unmutes. */
  public void hear(Audible choice) {
    audible = choice;
    if (score != null) {
      prepare();
    }
  }

  /** Starts from a tick, after a count-in of that many beats. */
  public void play(double tick, int countIn) {
    int before = stops.get();
    preparing.execute(
        () -> {
          if (stops.get() == before) {
            ask(new Request.Start(tick, countIn));
          }
        });
  }

  /** Stops where it is. */
  public void stop() {
    stops.incrementAndGet();
    ask(new Request.Stop());
  }

  /** Goes to a tick, playing on if it plays. */
  public void locate(double tick) {
    preparing.execute(() -> ask(new Request.Locate(tick)));
  }

  /** Loops over a range of ticks, the end not included. */
  public void loop(int fromTick, int toTick) {
    if (fromTick < 0 || toTick <= fromTick) {
      throw new IllegalArgumentException(
          "a loop ends after it begins, but was " + fromTick + " to " + toTick);
    }
    preparing.execute(() -> ask(new Request.Loop(fromTick, toTick)));
  }

  /** Plays on at the end of the loop. */
  public void loopNothing() {
    preparing.execute(() -> ask(new Request.Loop(-1, -1)));
  }

  /** Clicks on every beat while the song plays, or not. */
  public void metronome(boolean on) {
    ask(new Request.Click(on));
  }

  /** Listens through another loudspeaker; it changes nothing about the song. */
  public void listenThrough(Loudspeaker speaker) {
    ask(new Request.Through(speaker));
  }

  /** Sets the listening level, in dB below full; it changes nothing about the song. */
  public void listenAt(double decibels) {
    ask(new Request.Listen(decibels));
  }

  /** Plays one note of a part now. */
  public void hear(Part part, int key, int velocity, int millis) {
    preparing.execute(
        () ->
            preparation
                .trial(part, key, velocity, millis)
                .ifPresent(trial -> ask(new Request.Hear(trial))));
  }

  /** Plays one stroke of a lane of drums now. */
  public void hear(Part part, ScoredNote.Struck struck, int velocity, int millis) {
    preparing.execute(
        () ->
            preparation
                .trial(part, struck, velocity, millis)
                .ifPresent(trial -> ask(new Request.Hear(trial))));
  }

  /** Ends the sound; what is asked for afterwards is passed over. */
  @Override
  public void close() {
    open = false;
    preparing.shutdownNow();
    LockSupport.unpark(audio);
    try {
      audio.join(1000);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
    output.close();
  }

  private static Thread helper(Runnable run) {
    Thread thread = new Thread(run, "making sounds ready");
    thread.setDaemon(true);
    return thread;
  }

  private void prepare() {
    Wish wish = new Wish(score, audible);
    if (newest.getAndSet(wish) == null) {
      preparing.execute(this::prepareNewest);
    }
  }

  private void prepareNewest() {
    Wish wish = newest.getAndSet(null);
    try {
      ask(new Request.Take(preparation.prepare(wish.score(), wish.audible())));
    } catch (RuntimeException | Error e) {
      troubles.accept(e);
    }
  }

  private void ask(Request request) {
    playback.ask(request);
    LockSupport.unpark(audio);
  }

  /** The audio thread never ends before the player: what goes wrong is told, and it goes on. */
  private void run() {
    for (int failures = 0; open; failures++) {
      try {
        playOn();
      } catch (RuntimeException | Error e) {
        standStill();
        if (failures < MOST_FAILURES) {
          troubles.accept(e);
        } else {
          LockSupport.parkNanos(PAUSE_NANOS);
        }
      }
    }
  }

  private void playOn() {
    while (open) {
      if (playback.idle()) {
        output.rest();
        LockSupport.park(this);
        continue;
      }
      playback.block(output.pending());
      output.write(playback.left(), playback.right(), Engine.BLOCK);
    }
  }

  /** After something went wrong nothing plays; the next score that is shown plays again. */
  private void standStill() {
    playback.ask(new Request.Stop());
    playback.ask(new Request.Take(NOTHING));
  }
}
