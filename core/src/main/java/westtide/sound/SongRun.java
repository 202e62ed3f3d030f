package westtide.sound;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.ForkJoinTask;
import westtide.song.id.PartId;
import westtide.sound.desk.DrumBus;

/**
 * All parts of a song rendered beside one another on all processors, some blocks at a time; while
 * one lot is mixed the next is made. The samples are the same on any number of processors.
 */
final class SongRun {
  private final PreparedScore score;
  private final List<PartRun> parts = new ArrayList<>();
  private final DrumBus drums;
  private final float[] gains = new float[PartRun.LOT];
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

  List<PartRun> parts(Set<PartId> wanted) {
    return parts.stream().filter(run -> wanted.contains(run.part().id())).toList();
  }

  /** Has the next blocks be what the parts made last. */
  void next() {
    end();
    parts.forEach(PartRun::turn);
    makeNext();
    if (score.master().shapesDrums()) {
      shapeDrums();
    }
  }

  private void makeNext() {
    for (PartRun part : parts) {
      making.add(ForkJoinPool.commonPool().submit(part::make));
    }
  }

  /** Ends what is being made; nothing is taken from it any more. */
  void end() {
    for (int i = making.size() - 1; i >= 0; i--) {
      making.get(i).join();
    }
    making.clear();
  }

  private void shapeDrums() {
    List<PartRun.Chunk> playing = playing();
    for (int from = 0; from < PartRun.LOT; from += Engine.BLOCK) {
      drums.clear();
      for (PartRun.Chunk chunk : playing) {
        drums.add(chunk.left, chunk.right, from, Engine.BLOCK);
      }
      System.arraycopy(drums.gains(score.master(), Engine.BLOCK), 0, gains, from, Engine.BLOCK);
    }
    playing.forEach(chunk -> chunk.scale(gains));
  }

  /** What the drum parts made last that has something in it. */
  private List<PartRun.Chunk> playing() {
    return parts.stream()
        .filter(run -> run.part().drums())
        .map(PartRun::made)
        .filter(PartRun.Chunk::heard)
        .toList();
  }
}
