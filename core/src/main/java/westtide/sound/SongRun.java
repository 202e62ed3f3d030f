package westtide.sound;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.ForkJoinTask;
import westtide.sound.desk.DrumBus;

/**
 * All parts of a song rendered beside one another on all processors, some blocks at a time; while
 * one lot is mixed the next is made. The samples are the same on any number of processors.
 */
final class SongRun {
  private final PreparedScore score;
  private final List<PartRun> parts = new ArrayList<>();
  private final DrumBus drums;
  private final List<ForkJoinTask<?>> making = new ArrayList<>();

  SongRun(PreparedScore score, int rate) {
    this.score = score;
    this.drums = new DrumBus(rate, Engine.BLOCK);
    score.parts().forEach(part -> parts.add(new PartRun(score, part, rate)));
    makeNext();
  }

  List<PartRun> parts() {
    return parts;
  }

  /** Has the next blocks be what the parts made last. */
  void next() {
    making.forEach(ForkJoinTask::join);
    making.clear();
    parts.forEach(PartRun::turn);
    makeNext();
    if (score.master().shapesDrums()) {
      for (int block = 0; block < PartRun.BLOCKS; block++) {
        shapeDrums(block);
      }
    }
  }

  private void makeNext() {
    for (PartRun part : parts) {
      making.add(ForkJoinPool.commonPool().submit(part::make));
    }
  }

  /** Ends what is being made; nothing is taken from it any more. */
  void end() {
    making.forEach(ForkJoinTask::join);
    making.clear();
  }

  private void shapeDrums(int block) {
    drums.clear();
    for (PartRun run : parts) {
      if (run.part().drums() && run.made().heard[block]) {
        PartRun.Chunk chunk = run.made();
        drums.add(chunk.left, chunk.right, block * Engine.BLOCK, Engine.BLOCK);
      }
    }
    float[] gains = drums.gains(score.master(), Engine.BLOCK);
    for (PartRun run : parts) {
      if (run.part().drums() && run.made().heard[block]) {
        run.made().scale(block, gains);
      }
    }
  }
}
