package westtide.song;

import java.util.ArrayList;
import java.util.List;
import westtide.rhythm.Meter;
import westtide.theory.Chord;

/**
 * A row of chords with a name, such as the hook's.
 *
 * @param name what sections call it by, such as {@code "hook"}
 * @param notation how its line is written
 * @param spans the chords in order, at least one
 */
public record Progression(String name, Notation notation, List<ChordSpan> spans) {
  /** Copies the chords and checks that there is one. */
  public Progression {
    spans = List.copyOf(spans);
    if (spans.isEmpty()) {
      throw new IllegalArgumentException("a progression has at least one chord");
    }
  }

  /** The same progression with other chords. */
  public Progression withSpans(List<ChordSpan> other) {
    return new Progression(name, notation, other);
  }

  /** The same progression written the other way. */
  public Progression withNotation(Notation other) {
    return new Progression(name, other, spans);
  }

  /** The chords alone, in order. */
  public List<Chord> chords() {
    return spans.stream().map(ChordSpan::chord).toList();
  }

  /** Length in ticks. */
  public int ticks() {
    return spans.stream().mapToInt(ChordSpan::ticks).sum();
  }

  /** Length in bars, a started bar counted whole. */
  public int bars(Meter meter) {
    return (ticks() + meter.ticksPerBar() - 1) / meter.ticksPerBar();
  }

  /** The chords once through, from tick 0. */
  public List<PlacedChord> placed() {
    return over(ticks());
  }

  /** The chords repeated from tick 0 over a length and cut at its end. */
  public List<PlacedChord> over(int ticks) {
    List<PlacedChord> out = new ArrayList<>();
    int at = 0;
    for (int i = 0; at < ticks; i++) {
      ChordSpan span = spans.get(i % spans.size());
      out.add(new PlacedChord(at, Math.min(span.ticks(), ticks - at), span.chord()));
      at += span.ticks();
    }
    return out;
  }
}
