package westtide.follow;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.NavigableSet;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.TreeSet;
import westtide.rhythm.Figure;
import westtide.rhythm.Ticks;
import westtide.song.line.Note;
import westtide.song.pattern.LowLine;

/**
 * The rhythm of a low line: where its notes start, said in phrases, and how long each may be held
 * at most.
 */
final class LowRhythm {
  private static final int EIGHTH = 2 * Ticks.PER_STEP;

  private final LowLine rule;
  private final Harmony harmony;
  private final List<Integer> kicks;
  private final List<Note> model;
  private final int bar;
  private final TreeMap<Integer, Integer> drawn = new TreeMap<>();
  private final TreeMap<Integer, Integer> heard = new TreeMap<>();

  /** The rhythm of a rule over chords, kicks and, where it listens to one, another part. */
  LowRhythm(LowLine rule, Harmony harmony, List<Integer> kicks, List<Note> model) {
    this.rule = rule;
    this.harmony = harmony;
    this.kicks = kicks;
    this.model = model;
    this.bar = harmony.meter().ticksPerBar();
    for (Figure.Stroke stroke : rule.figure().strokes()) {
      drawn.put(Ticks.ofSteps(stroke.step()), Ticks.ofSteps(stroke.steps()));
    }
    model.forEach(note -> heard.merge(note.start(), note.ticks(), Math::max));
  }

  /** Where notes start, apart from chords and pick-ups; a set of its own. */
  NavigableSet<Integer> starts() {
    return phrased(rhythm());
  }

  /** Ticks a note may last at most: as it is drawn, or as the part it listens to lets it. */
  int longest(int start) {
    int whole = harmony.ticks();
    return switch (rule.rhythm()) {
      case DRAWN -> drawn.getOrDefault(step(start) % Ticks.ofSteps(rule.figure().length()), whole);
      case PART -> heard.getOrDefault(start, whole);
      case GAPS -> {
        Map.Entry<Integer, Integer> next = heard.higherEntry(start);
        yield (next == null ? whole : next.getKey()) - start;
      }
      default -> whole;
    };
  }

  /** The tick of the step a tick lies in. */
  private static int step(int tick) {
    return tick / Ticks.PER_STEP * Ticks.PER_STEP;
  }

  private TreeSet<Integer> rhythm() {
    return switch (rule.rhythm()) {
      case KICK -> new TreeSet<>(kicks);
      case ANSWER -> answering();
      case OFF_BEAT -> every(Ticks.PER_QUARTER, EIGHTH);
      case EIGHTHS -> every(EIGHTH, 0);
      case ROLLING -> rolling();
      case LOG_DRUM -> logDrum();
      case DRAWN -> drawn();
      case PART -> struck();
      case GAPS -> gaps();
    };
  }

  /** Sixteenths that leave the kicks alone, in two bars that differ; a few are drawn out. */
  private TreeSet<Integer> rolling() {
    TreeSet<Integer> out = every(Ticks.PER_STEP, 0);
    TreeSet<Integer> hits = new TreeSet<>(kicks);
    out.removeIf(
        at ->
            hits.contains(at)
                || new SplittableRandom(rule.seed() * 8191L + at % (2 * bar)).nextInt(3) == 0);
    return out;
  }

  /** The two strong beats, and answers on the last beat and a half of the bar (common practice). */
  private TreeSet<Integer> logDrum() {
    TreeSet<Integer> out = every(bar, 0);
    out.addAll(every(bar, bar / 2));
    for (int from = 0; from < harmony.ticks(); from += bar) {
      boolean odd = from / bar % 2 == 1;
      for (int step : odd ? new int[] {10, 12, 14} : new int[] {10, 14}) {
        int at = from + Ticks.ofSteps(step);
        if (at < Math.min(from + bar, harmony.ticks())) {
          out.add(at);
        }
      }
    }
    return out;
  }

  private TreeSet<Integer> struck() {
    return new TreeSet<>(heard.headMap(harmony.ticks()).keySet());
  }

  /** Where another part has been silent for an eighth, once a gap. */
  private TreeSet<Integer> gaps() {
    TreeSet<Integer> out = new TreeSet<>();
    int free = 0;
    for (Note note : model) {
      addGap(free, note.start(), out);
      free = Math.max(free, note.end());
    }
    addGap(free, harmony.ticks(), out);
    return out;
  }

  private void addGap(int from, int to, TreeSet<Integer> out) {
    int start = (from + EIGHTH - 1) / EIGHTH * EIGHTH;
    if (to - start >= Ticks.PER_STEP && start < harmony.ticks()) {
      out.add(start);
    }
  }

  /** An eighth after every kick that leaves room for it. */
  private TreeSet<Integer> answering() {
    TreeSet<Integer> hits = new TreeSet<>(kicks);
    TreeSet<Integer> out = new TreeSet<>();
    for (int kick : hits) {
      Integer next = hits.higher(kick);
      int answer = kick + EIGHTH;
      boolean room = next == null || next - answer >= Ticks.PER_STEP;
      if (room && answer < harmony.ticks()) {
        out.add(answer);
      }
    }
    return out;
  }

  private TreeSet<Integer> every(int ticks, int from) {
    TreeSet<Integer> out = new TreeSet<>();
    for (int at = from; at < harmony.ticks(); at += ticks) {
      out.add(at);
    }
    return out;
  }

  private TreeSet<Integer> drawn() {
    TreeSet<Integer> out = new TreeSet<>();
    int length = Ticks.ofSteps(rule.figure().length());
    for (int from = 0; from < harmony.ticks(); from += length) {
      for (int tick : drawn.keySet()) {
        if (from + tick < harmony.ticks()) {
          out.add(from + tick);
        }
      }
    }
    return out;
  }

  /** The second bar of a phrase leaves one of its weak starts out, the last adds one. */
  private TreeSet<Integer> phrased(TreeSet<Integer> starts) {
    if (rule.phraseBars() == 1 || rule.rhythm().borrowed()) {
      return starts;
    }
    TreeSet<Integer> out = new TreeSet<>(starts);
    for (int from = 0; from < harmony.ticks(); from += bar) {
      int place = from / bar % rule.phraseBars();
      SplittableRandom random = new SplittableRandom(rule.seed() * 1_000_003L + place * 31L);
      List<Integer> weak = new ArrayList<>(starts.subSet(from, false, from + bar, false));
      if (place == 1 && weak.size() > 1) {
        out.remove(weak.get(random.nextInt(weak.size())));
      } else if (place == rule.phraseBars() - 1) {
        int added = from + bar - EIGHTH - (random.nextBoolean() ? 0 : Ticks.PER_STEP);
        if (added < harmony.ticks()) {
          out.add(added);
        }
      }
    }
    return out;
  }
}
