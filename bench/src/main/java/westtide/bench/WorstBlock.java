package westtide.bench;

import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.concurrent.locks.LockSupport;
import westtide.play.Player;
import westtide.rhythm.Hit;
import westtide.rhythm.Swing;
import westtide.rhythm.Tempo;
import westtide.score.Score;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.edit.BriefEdits;
import westtide.song.edit.Edit;
import westtide.song.edit.MixEdits;
import westtide.song.edit.drum.DrumEdits;
import westtide.song.id.PartId;
import westtide.sound.Engine;

/**
 * Plays the busiest demo in real time while edits of every kind go on, ten a second, then the same
 * grown to 16 parts, and says how long the audio thread took for its blocks at worst.
 */
public final class WorstBlock {
  private static final int WARM_UP_SECONDS = 15;
  private static final int SECONDS = 45;

  /**
   * A silent output that notes how long each block was in the making: by the clock, in which the
   * machine may have been taken away, and by what the thread worked itself.
   */
  private static final class Watch extends WatchedOutput {
    private static final int MOST =
        (WARM_UP_SECONDS + SECONDS + 5) * WatchedOutput.RATE / Engine.BLOCK;

    private final ThreadMXBean threads = ManagementFactory.getThreadMXBean();
    private final long[] nanos = new long[MOST];
    private final long[] worked = new long[MOST];
    private volatile int count;
    private long since;
    private long workedSince;

    @Override
    public void write(float[] left, float[] right, int frames) {
      long now = System.nanoTime();
      if (since != 0 && count < MOST) {
        nanos[count] = now - since;
        worked[count] = threads.getCurrentThreadCpuTime() - workedSince;
        count = count + 1;
      }
      super.write(left, right, frames);
      workedSince = threads.getCurrentThreadCpuTime();
      since = System.nanoTime();
    }

    @Override
    public void rest() {
      since = 0;
      super.rest();
    }
  }

  private WorstBlock() {}

  /**
   * Plays and prints a line each: name, block, then median, 99.9 % and worst by the clock and 99.9
   * % of the thread's own work, all in microseconds.
   */
  public static void main(String[] words) throws IOException {
    Song song = Demos.read(words[0]);
    measure(song);
    measure(LargeSongs.sixteen(song));
  }

  private static void measure(Song song) {
    Watch watch = new Watch();
    try (Player player = new Player(watch)) {
      player.show(Score.of(song));
      player.metronome(true);
      player.loop(8 * 3840, 24 * 3840);
      player.play(8 * 3840, 0);
      int skipped = edit(player, song, watch);
      int until = watch.count;
      System.out.printf(
          Locale.ROOT,
          "%s, %d parts\t%d\t%.0f\t%.0f\t%.0f\t%.0f%n",
          song.title(),
          song.parts().size(),
          Math.round(1e6 * Engine.BLOCK / WatchedOutput.RATE),
          micros(watch.nanos, skipped, until, 0.5),
          micros(watch.nanos, skipped, until, 0.999),
          micros(watch.nanos, skipped, until, 1),
          micros(watch.worked, skipped, until, 0.999));
    }
  }

  private static double micros(long[] nanos, int from, int until, double share) {
    long[] sorted = Arrays.copyOfRange(nanos, from, until);
    Arrays.sort(sorted);
    return sorted[Math.min(sorted.length - 1, (int) (sorted.length * share))] / 1e3;
  }

  /** Edits ten times a second; the number of blocks that were played while it warmed up. */
  private static int edit(Player player, Song song, Watch watch) {
    Random random = new Random(11);
    long start = System.nanoTime();
    int skipped = -1;
    Song now = song;
    while (seconds(start) < WARM_UP_SECONDS + SECONDS) {
      now = edits(random).get(random.nextInt(6)).apply(now);
      player.show(Score.of(now));
      if (skipped < 0 && seconds(start) > WARM_UP_SECONDS) {
        skipped = watch.count;
      }
      LockSupport.parkNanos(100_000_000);
    }
    return skipped;
  }

  private static List<Edit> edits(Random random) {
    DrumEdits drums = new DrumEdits(PartId.of("drums"), "A");
    int step = random.nextInt(32);
    return List.of(
        BriefEdits.tempo(Tempo.of(118 + random.nextInt(8))),
        BriefEdits.swing(Swing.of(50 + random.nextInt(12))),
        drums.place(
            DrumVoice.CLOSED_HAT.lane(), Hit.of(step, 40 + random.nextInt(80)).withStrokes(3)),
        drums.place(DrumVoice.KICK.lane(), Hit.of(step, 110)),
        MixEdits.mix(PartId.of("keys"), "level", mix -> mix.withLevel(-160 + random.nextInt(60))),
        MixEdits.setting(PartId.of("808"), "release", 20 + random.nextInt(40)));
  }

  private static double seconds(long since) {
    return (System.nanoTime() - since) / 1e9;
  }
}
