package westtide.review.chords;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import westtide.song.Brief;
import westtide.song.chord.ChordLine;
import westtide.song.chord.ChordSpan;
import westtide.song.chord.Progression;
import westtide.style.Style;
import westtide.theory.Chord;
import westtide.theory.Key;
import westtide.theory.voicing.VoicingKind;

/**
 * Which chords and changes a style speaks in: those of its own progressions, by how far their roots
 * are from home. What belongs to it is no slip, and neither is what a row says again and again.
 */
final class ChordLanguage {
  private static final int OFTEN = 2;

  private final Style style;
  private final Key key;
  private final Set<String> chords = new HashSet<>();
  private final Set<String> changes = new HashSet<>();

  ChordLanguage(Style style, Brief brief) {
    this.style = style;
    this.key = brief.key();
    for (String line : style.chords().progressions()) {
      List<Chord> row =
          ChordLine.in(key, brief.meter()).parse(line).orElseThrow().stream()
              .map(ChordSpan::chord)
              .toList();
      for (int i = 0; i < row.size(); i++) {
        chords.add(name(row.get(i)));
        Chord next = row.get((i + 1) % row.size());
        changes.add(change(row.get(i), next));
        changes.add(change(next, row.get(i)));
      }
    }
  }

  /** Whether a chord is one of the style's, or stands in the row more than once. */
  boolean speaks(Chord chord, Progression row) {
    long often = row.chords().stream().filter(other -> name(other).equals(name(chord))).count();
    return chords.contains(name(chord)) || often >= OFTEN && row.chords().size() > OFTEN;
  }

  /**
   * Whether a style goes from one chord to the other or back, or the row does so more than once.
   */
  boolean moves(Chord from, Chord to, Progression row) {
    List<Chord> all = row.chords();
    int often = 0;
    for (int i = 1; i < all.size(); i++) {
      often += change(all.get(i - 1), all.get(i)).equals(change(from, to)) ? 1 : 0;
    }
    return changes.contains(change(from, to)) || often >= OFTEN;
  }

  /**
   * Whether the style spreads chords like that, so that what it leaves out is left out by choice.
   */
  boolean spreads(VoicingKind kind) {
    return style.chords().spread() == kind;
  }

  private String change(Chord from, Chord to) {
    return root(from) + ">" + root(to);
  }

  /** Root and tones above it up to the fifth: what is added to a chord does not make it another. */
  private String name(Chord chord) {
    return root(chord)
        + chord.quality().tones().stream()
            .filter(tone -> tone.degree() <= 5)
            .map(tone -> String.valueOf(tone.semitones()))
            .collect(Collectors.joining(",", ":", ""));
  }

  private int root(Chord chord) {
    return Math.floorMod(chord.root().pitchClass() - key.tonic().pitchClass(), 12);
  }
}
