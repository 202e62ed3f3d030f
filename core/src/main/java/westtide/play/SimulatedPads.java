package westtide.play;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import westtide.rhythm.Swing;
import westtide.rhythm.Velocity;
import westtide.song.drum.DrumLane;
import westtide.song.drum.PlacedHit;
import westtide.song.drum.PlayedHit;
import westtide.song.pattern.Pattern;

/**
 * A drummer for machines without pads: it plays a given figure as it swings, with human timing,
 * some hits a little early, some late, none exactly as loud as the last. The same seed plays the
 * same.
 */
public final class SimulatedPads implements PadInput {
  /**
   * How steadily somebody plays.
   *
   * @param ms spread of the timing in milliseconds, one standard deviation
   * @param late milliseconds by which the middle of it is late
   * @param velocity spread of the velocities, one standard deviation
   * @param seed where the differences start from
   */
  public record Hand(double ms, double late, double velocity, long seed) {
    /** Somebody who has practised. */
    public static final Hand PRACTISED = new Hand(7, 3, 8, 1);
  }

  private final Pattern.Drums figure;
  private final int ticks;
  private final Swing swing;
  private final double millisPerTick;
  private final Hand hand;
  private ScheduledExecutorService playing;
  private Struck listener;

  /**
   * A drummer for a figure.
   *
   * @param ticks length of the figure
   * @param swing how the song swings that it plays to
   * @param millisPerTick its tempo
   */
  public SimulatedPads(
      Pattern.Drums figure, int ticks, Swing swing, double millisPerTick, Hand hand) {
    this.figure = figure;
    this.ticks = ticks;
    this.swing = swing;
    this.millisPerTick = millisPerTick;
    this.hand = hand;
  }

  /** What it plays in one go through the figure; ticks may lie a little before it begins. */
  public List<PlayedHit> performance() {
    Random random = new Random(hand.seed());
    List<PlayedHit> out = new ArrayList<>();
    for (DrumLane lane : figure.lanes()) {
      for (PlacedHit laid : lane.laid(ticks, ticks)) {
        double off = (hand.late() + hand.ms() * random.nextGaussian()) / millisPerTick;
        long velocity =
            Math.round(lane.velocity(laid, 0) + hand.velocity() * random.nextGaussian());
        long meant = lane.swing(swing).at(laid.tick() + lane.feel().nudge());
        out.add(new PlayedHit(lane.id(), Math.round(meant + off), Velocity.held(velocity)));
      }
    }
    return out;
  }

  @Override
  public String name() {
    return "simulated pad player";
  }

  @Override
  public void open(Struck struck) {
    listener = struck;
  }

  /**
   * Starts to play the figure once.
   *
   * @param nanos when it begins, on the clock of {@link System#nanoTime}
   */
  public void begin(long nanos) {
    stop();
    playing =
        Executors.newSingleThreadScheduledExecutor(
            run -> {
              Thread thread = new Thread(run, "simulated pads");
              thread.setDaemon(true);
              return thread;
            });
    for (PlayedHit hit : performance()) {
      long at = nanos + Math.round(hit.tick() * millisPerTick * 1e6);
      int key = hit.lane().voice().note(hit.lane().number());
      playing.schedule(
          () -> listener.struck(key, hit.velocity(), at),
          Math.max(0, at - System.nanoTime()),
          TimeUnit.NANOSECONDS);
    }
  }

  private void stop() {
    if (playing != null) {
      playing.shutdownNow();
    }
  }

  @Override
  public void close() {
    stop();
  }
}
