package westtide.compose.chord;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import westtide.rhythm.Meter;
import westtide.song.chord.ChordSpan;
import westtide.song.id.Seed;
import westtide.style.Style;
import westtide.theory.Chord;
import westtide.theory.ChordQuality;
import westtide.theory.Key;
import westtide.theory.voicing.VoiceLeading;

/**
 * Draws whole progressions of four or eight bars by style and mood. Candidates walk through the
 * degrees of the key; the one is taken that moves least, repeats little, says home once or twice
 * and closes the loop by a step or a fifth. Eight bars are four, and the same four with another
 * end.
 */
public final class MoodDraft {
  private static final int CANDIDATES = 40;

  private final Key key;
  private final Meter meter;
  private final Palette palette;
  private final Mood mood;

  /** Draws in a key and meter, in the colours that style and mood share. */
  public MoodDraft(Key key, Meter meter, Style style, Mood mood) {
    this.key = key;
    this.meter = meter;
    this.mood = mood;
    this.palette = new Palette(key, colours(style.chords().colours(), mood));
  }

  /** A progression of that many bars, 4 or 8; the same seed draws the same. */
  public List<ChordSpan> draw(int bars, Seed seed) {
    Random random = seed.random("mood " + mood);
    List<Chord> best = List.of();
    double bestCost = Double.MAX_VALUE;
    for (int i = 0; i < CANDIDATES; i++) {
      List<Chord> chords = four(random);
      double cost = cost(chords);
      if (cost < bestCost) {
        best = chords;
        bestCost = cost;
      }
    }
    List<Chord> all = bars > 4 ? withAnswer(best, random) : best;
    return all.stream().map(chord -> ChordSpan.of(chord, meter.ticksPerBar())).toList();
  }

  private static List<ChordQuality> colours(List<ChordQuality> liked, Mood mood) {
    List<ChordQuality> wanted = mood.colours().stream().map(ChordQuality::parse).toList();
    List<ChordQuality> shared = wanted.stream().filter(liked::contains).toList();
    return Stream.concat(shared.stream(), liked.stream()).distinct().toList();
  }

  private List<Chord> four(Random random) {
    List<Chord> out = new ArrayList<>();
    int last = 0;
    for (int bar = 0; bar < 4; bar++) {
      int degree = degree(random, bar, last);
      List<Chord> choices = palette.on(degree);
      out.add(choices.get(random.nextInt(Math.min(2, choices.size()))));
      last = degree;
    }
    return out;
  }

  /**
   * A degree by the mood's weights; not the one before, and no diminished place on a strong bar.
   */
  private int degree(Random random, int bar, int last) {
    int total = 0;
    for (int degree = 1; degree <= 7; degree++) {
      total += weight(degree, bar, last);
    }
    int left = random.nextInt(total);
    for (int degree = 1; degree <= 7; degree++) {
      left -= weight(degree, bar, last);
      if (left < 0) {
        return degree;
      }
    }
    return 1;
  }

  private int weight(int degree, int bar, int last) {
    if (degree == last) {
      return 0;
    }
    boolean diminished = palette.triad(degree).quality().has(5, -1);
    if (diminished && bar % 2 == 0) {
      return 0;
    }
    int opening = bar == 0 && (degree == 1 || degree == 4 || degree == 6) ? 4 : 1;
    return mood.weight(degree) * opening;
  }

  private double cost(List<Chord> chords) {
    double cost = 0;
    int home = 0;
    for (int i = 0; i < chords.size(); i++) {
      Chord next = chords.get((i + 1) % chords.size());
      int moved = VoiceLeading.smallest(chords.get(i), next);
      cost +=
          Math.abs(moved - 3.5) * 0.4
              + (VoiceLeading.commonTones(chords.get(i), next) == 0 ? 2 : 0);
      home += chords.get(i).root().equals(key.tonic()) ? 1 : 0;
    }
    long different = chords.stream().map(Chord::root).distinct().count();
    int close =
        Math.floorMod(chords.get(0).root().pitchClass() - chords.get(3).root().pitchClass(), 12);
    boolean closes = close == 5 || close == 2 || close == 1 || close == 10 || close == 11;
    return cost + (home == 0 ? 3 : home > 2 ? 4 : 0) + (4 - different) * 1.5 + (closes ? 0 : 1.5);
  }

  private List<Chord> withAnswer(List<Chord> four, Random random) {
    List<Chord> out = new ArrayList<>(four);
    out.addAll(four.subList(0, 3));
    List<Chord> ends = new ArrayList<>();
    for (int degree : new int[] {5, 7, 4, 2, 1}) {
      palette.on(degree).stream()
          .filter(chord -> !chord.equals(four.get(3)) && !chord.equals(four.get(2)))
          .findFirst()
          .ifPresent(ends::add);
    }
    out.add(ends.isEmpty() ? four.get(3) : ends.get(random.nextInt(Math.min(3, ends.size()))));
    return out;
  }
}
