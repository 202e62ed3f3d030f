package westtide.song.chord;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.rhythm.Meter;
import westtide.rhythm.Ticks;
import westtide.text.Reading;
import westtide.theory.Chord;
import westtide.theory.Key;

/** Chords gathered bar by bar, each bar shared out among its words. */
final class ChordRow {
  private final Key key;
  private final Meter meter;
  private final List<ChordSpan> spans = new ArrayList<>();

  ChordRow(Key key, Meter meter) {
    this.key = key;
    this.meter = meter;
  }

  List<ChordSpan> spans() {
    return spans;
  }

  /** Adds the words of a bar, or says what is wrong with one of them. */
  Optional<Reading<List<ChordSpan>>> add(List<ChordWord> bar) {
    int given = bar.stream().mapToInt(word -> word.steps().orElse(0)).sum();
    long sharing = bar.stream().filter(word -> word.steps().isEmpty()).count();
    int left = meter.stepsPerBar() - given;
    Optional<String> problem = lengths(given, sharing, left);
    if (problem.isPresent()) {
      return Optional.of(Reading.problem(bar.get(0).column(), problem.get()));
    }
    int shared = Ticks.ofSteps(left);
    int share = 0;
    for (int i = 0; i < bar.size(); i++) {
      ChordWord word = bar.get(i);
      int ticks = word.steps().map(Ticks::ofSteps).orElse(0);
      if (word.steps().isEmpty()) {
        ticks = edge(share + 1, sharing, shared) - edge(share, sharing, shared);
        share++;
      }
      Optional<String> wrong = add(word, ticks);
      if (wrong.isPresent()) {
        return Optional.of(Reading.problem(word.column(), wrong.get()));
      }
    }
    return Optional.empty();
  }

  private Optional<String> lengths(int given, long sharing, int left) {
    int steps = meter.stepsPerBar();
    if (left < 0 || sharing > 0 && left == 0) {
      return Optional.of(
          "the lengths of this bar make "
              + given
              + " of its "
              + steps
              + " sixteenths"
              + (left < 0 ? "; take some away" : "; nothing is left for the words without one"));
    }
    if (sharing == 0 && left > 0) {
      return Optional.of("the lengths of this bar make " + given + " sixteenths; it has " + steps);
    }
    return Optional.empty();
  }

  private Optional<String> add(ChordWord word, int ticks) {
    if (word.holds()) {
      return hold(ticks);
    }
    if (word.rests()) {
      return rest(ticks);
    }
    Optional<Chord> chord = word.chord(key);
    if (chord.isEmpty()) {
      return Optional.of(word.unknown());
    }
    if (ticks < 1) {
      return Optional.of("this bar has more words than it can hold");
    }
    spans.add(new ChordSpan(chord.get(), ticks, word.articulation()));
    return Optional.empty();
  }

  private Optional<String> hold(int ticks) {
    if (spans.isEmpty()) {
      return Optional.of("there is no chord before this . to hold");
    }
    ChordSpan held = spans.remove(spans.size() - 1);
    spans.add(held.withTicks(held.ticks() + ticks));
    return Optional.empty();
  }

  private Optional<String> rest(int ticks) {
    if (spans.isEmpty()) {
      return Optional.of("a line begins with a chord; the rest can come after it");
    }
    ChordSpan last = spans.get(spans.size() - 1);
    spans.add(new ChordSpan(last.chord(), ticks, ChordArticulation.PLAIN.withRest(true)));
    return Optional.empty();
  }

  private static int edge(int share, long shares, int ticks) {
    return (int) Math.round((double) share * ticks / shares);
  }
}
