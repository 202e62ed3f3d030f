package westtide.desktop.line;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import westtide.desktop.play.LoopClock;
import westtide.song.line.PlayedNote;

/**
 * Takes notes while a line loops and tells where in it they were played and how long they were
 * held. The sustain pedal holds what is let go while it is down. No note is left hanging: a key
 * struck again ends its note, and whatever sounds at the end ends there.
 */
final class NoteRecorder {
  /** A note as it arrived; it has not ended while {@code end} is 0. */
  private record Arrived(int key, int velocity, long start, long end) {
    Arrived until(long nanos) {
      return new Arrived(key, velocity, start, Math.max(start + 1, nanos));
    }
  }

  private final int ticks;
  private final LoopClock clock;
  private final List<Arrived> ended = new ArrayList<>();
  private final Map<Integer, Arrived> sounding = new HashMap<>();
  private final Set<Integer> held = new HashSet<>();
  private boolean pedal;

  /**
   * A recorder of a line.
   *
   * @param ticks length of the line
   * @param ticksPerNano its tempo
   */
  NoteRecorder(int ticks, double ticksPerNano) {
    this.ticks = ticks;
    this.clock = new LoopClock(ticks, ticksPerNano);
  }

  LoopClock clock() {
    return clock;
  }

  /** A key was struck. */
  synchronized void struck(int key, int velocity, long nanos) {
    end(key, nanos);
    sounding.put(key, new Arrived(key, velocity, nanos, 0));
  }

  /** A key was let go; the pedal may hold it on. */
  synchronized void released(int key, long nanos) {
    if (pedal) {
      held.add(key);
    } else {
      end(key, nanos);
    }
  }

  /** The pedal went down or up. */
  synchronized void pedal(boolean down, long nanos) {
    pedal = down;
    if (!down) {
      held.forEach(key -> end(key, nanos));
      held.clear();
    }
  }

  /** Everything is let go. */
  synchronized void release(long nanos) {
    pedal = false;
    held.clear();
    List.copyOf(sounding.keySet()).forEach(key -> end(key, nanos));
  }

  private void end(int key, long nanos) {
    held.remove(key);
    Arrived note = sounding.remove(key);
    if (note != null) {
      ended.add(note.until(nanos));
    }
  }

  /** Notes that were struck so far. */
  synchronized int count() {
    return ended.size() + sounding.size();
  }

  /**
   * What was played since the loop began; notes of the count-in are left out, but for those that
   * lead into the first beat.
   *
   * @param latency nanoseconds by which notes arrive after they were meant
   */
  synchronized List<PlayedNote> played(long latency) {
    List<PlayedNote> out = new ArrayList<>();
    for (Arrived note : ended) {
      if (clock.counted(note.start() - latency)) {
        double length = Math.min(ticks, clock.between(note.start(), note.end()));
        out.add(
            new PlayedNote(
                note.key(),
                Math.round(clock.tick(note.start() - latency)),
                Math.max(1, (int) Math.round(length)),
                note.velocity()));
      }
    }
    return out;
  }
}
