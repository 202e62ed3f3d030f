package westtide.play;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import westtide.rhythm.Swing;
import westtide.rhythm.Velocity;
import westtide.song.line.Note;
import westtide.song.line.PlayedNote;

/**
 * A keyboard player for machines without a keyboard: it plays a given line as it swings, with human
 * timing, some notes a little early, some late, held a little shorter or longer than written, none
 * exactly as loud as the last. The same seed plays the same.
 */
public final class SimulatedPlayer implements PadInput {
  private static final double SHORTEST = 0.5;

  private final List<Note> line;
  private final Swing swing;
  private final double millisPerTick;
  private final SimulatedPads.Hand hand;
  private ScheduledExecutorService playing;
  private Struck listener;

  /**
   * A player of a line.
   *
   * @param swing how the song swings that it plays to
   * @param millisPerTick its tempo
   */
  public SimulatedPlayer(
      List<Note> line, Swing swing, double millisPerTick, SimulatedPads.Hand hand) {
    this.line = List.copyOf(line);
    this.swing = swing;
    this.millisPerTick = millisPerTick;
    this.hand = hand;
  }

  /** What it plays in one go through the line; ticks may lie a little before it begins. */
  public List<PlayedNote> performance() {
    Random random = new Random(hand.seed());
    List<PlayedNote> out = new ArrayList<>();
    for (Note note : line) {
      double off = (hand.late() + hand.ms() * random.nextGaussian()) / millisPerTick;
      double held = note.ticks() * Math.max(SHORTEST, 0.92 + 0.05 * random.nextGaussian());
      long velocity = Math.round(note.velocity() + hand.velocity() * random.nextGaussian());
      out.add(
          new PlayedNote(
              note.key(),
              Math.round(swing.at(note.start()) + off),
              Math.max(1, (int) Math.round(held)),
              Velocity.held(velocity)));
    }
    return out;
  }

  @Override
  public String name() {
    return "simulated player";
  }

  @Override
  public void open(Struck struck) {
    listener = struck;
  }

  /**
   * Starts to play the line once.
   *
   * @param nanos when it begins, on the clock of {@link System#nanoTime}
   */
  public void begin(long nanos) {
    close();
    playing =
        Executors.newSingleThreadScheduledExecutor(
            run -> {
              Thread thread = new Thread(run, "simulated player");
              thread.setDaemon(true);
              return thread;
            });
    for (PlayedNote note : performance()) {
      long start = nanos + nanos(note.tick());
      long end = start + nanos(note.ticks());
      at(start, () -> listener.struck(note.key(), note.velocity(), start));
      at(end, () -> listener.released(note.key(), end));
    }
  }

  private long nanos(long ticks) {
    return Math.round(ticks * millisPerTick * 1e6);
  }

  private void at(long nanos, Runnable run) {
    playing.schedule(run, Math.max(0, nanos - System.nanoTime()), TimeUnit.NANOSECONDS);
  }

  @Override
  public void close() {
    if (playing != null) {
      playing.shutdownNow();
    }
  }
}
