package westtide.song.chord;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.rhythm.Meter;
import westtide.theory.Chord;

/**
 * A row of chords with a name, such as the hook's.
 *
 * @param name what sections call it by, such as {@code "hook"}
 * @param notation how its line is written
 * @param spans the chords in order, at least one
 * @param rhythm the rhythm it is struck in; empty leaves it to each part
 * @param octave octaves by which chord parts stand higher (positive) or lower, −2 to 2
 */
public record Progression(
    String name,
    Notation notation,
    List<ChordSpan> spans,
    Optional<ChordRhythm> rhythm,
    int octave) {
  /** Copies the chords and checks that there is one. */
  public Progression {
    spans = List.copyOf(spans);
    if (spans.isEmpty()) {
      throw new IllegalArgumentException("a progression has at least one chord");
    }
    if (octave < -2 || octave > 2) {
      throw new IllegalArgumentException("a register is -2 to 2 octaves away, but was " + octave);
    }
  }

  /** A row in the rhythm and register of the parts that play it. */
  public static Progression of(String name, Notation notation, List<ChordSpan> spans) {
    return new Progression(name, notation, spans, Optional.empty(), 0);
  }

  /** The same progression under another name. */
  public Progression withName(String other) {
    return new Progression(other, notation, spans, rhythm, octave);
  }

  /** The same progression with other chords. */
  public Progression withSpans(List<ChordSpan> other) {
    return new Progression(name, notation, other, rhythm, octave);
  }

  /** The same progression written the other way. */
  public Progression withNotation(Notation other) {
    return new Progression(name, other, spans, rhythm, octave);
  }

  /** The same progression in another rhythm. */
  public Progression withRhythm(Optional<ChordRhythm> other) {
    return new Progression(name, notation, spans, other, octave);
  }

  /** The same progression octaves higher or lower than the parts usually stand. */
  public Progression withOctave(int other) {
    return new Progression(name, notation, spans, rhythm, other);
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

  /** The chords once through as written, from tick 0. */
  public List<PlacedChord> placed() {
    return over(ticks());
  }

  /** The chords as written, repeated from tick 0 over a length and cut at its end. */
  public List<PlacedChord> over(int ticks) {
    List<PlacedChord> out = new ArrayList<>();
    int at = 0;
    for (int i = 0; at < ticks; i++) {
      ChordSpan span = spans.get(i % spans.size());
      out.add(new PlacedChord(at, Math.min(span.ticks(), ticks - at), span, 0));
      at += span.ticks();
    }
    return out;
  }

  /**
   * As {@link #over}, each change as early as it is pushed. The first chord begins at 0, and a push
   * never passes the start of the chord before it.
   */
  public List<PlacedChord> pushed(int ticks) {
    List<PlacedChord> written = over(ticks);
    List<PlacedChord> out = new ArrayList<>();
    for (int i = 0; i < written.size(); i++) {
      int start = start(written, i);
      int end = i + 1 < written.size() ? start(written, i + 1) : ticks;
      PlacedChord chord = written.get(i);
      out.add(new PlacedChord(start, end - start, chord.span(), chord.start() - start));
    }
    return out;
  }

  private int start(List<PlacedChord> written, int index) {
    PlacedChord chord = written.get(index);
    if (index == 0) {
      return 0;
    }
    int own = chord.span().articulation().push();
    int early = own > 0 ? own : rhythm.map(ChordRhythm::push).orElse(0);
    int room = written.get(index - 1).ticks() / 2;
    return chord.start() - Math.min(early, room);
  }
}
