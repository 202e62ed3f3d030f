package westtide.sound;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import westtide.sound.desk.Track;

/** Collects the notes of a track; it is built once the tables they ask for are made. */
final class TrackBuilder {
  /** One note of a track. */
  record Entry(
      int start,
      int end,
      int into,
      TableStore.Table table,
      float left,
      float right,
      int choke,
      float fall,
      boolean struck,
      float reverb,
      float delay) {
    /** A note that sends nothing by itself. */
    Entry(
        int start,
        int end,
        int into,
        TableStore.Table table,
        float left,
        float right,
        int choke,
        float fall,
        boolean struck) {
      this(start, end, into, table, left, right, choke, fall, struck, 0, 0);
    }

    /** The same note ending at a tick by itself, as one that is choked there. */
    Entry endingAt(int tick, float perSample) {
      return new Entry(
          start, tick, into, table, left, right, choke, perSample, false, reverb, delay);
    }

    /** The same note sent to reverb and delay, as shares 0 to 1. */
    Entry sent(float toReverb, float toDelay) {
      return new Entry(
          start, end, into, table, left, right, choke, fall, struck, toReverb, toDelay);
    }
  }

  private final List<Entry> entries = new ArrayList<>();

  void add(Entry entry) {
    entries.add(entry);
  }

  Track track() {
    entries.sort(Comparator.comparingInt(Entry::start));
    int size = entries.size();
    Track out =
        new Track(
            new int[size],
            new int[size],
            new int[size],
            new float[size][],
            new float[size],
            new float[size],
            new int[size],
            new float[size],
            new boolean[size],
            new float[size],
            new float[size],
            entries.stream().allMatch(entry -> entry.left() == entry.right()),
            entries.stream().mapToInt(entry -> entry.end() - entry.start()).max().orElse(0));
    for (int i = 0; i < size; i++) {
      Entry entry = entries.get(i);
      out.starts()[i] = entry.start();
      out.ends()[i] = entry.end();
      out.into()[i] = entry.into();
      out.tables()[i] = entry.table().samples();
      out.left()[i] = entry.left();
      out.right()[i] = entry.right();
      out.chokes()[i] = entry.choke();
      out.falls()[i] = entry.fall();
      out.struck()[i] = entry.struck();
      out.reverb()[i] = entry.reverb();
      out.delay()[i] = entry.delay();
    }
    return out;
  }
}
