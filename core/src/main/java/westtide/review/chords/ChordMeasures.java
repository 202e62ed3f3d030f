package westtide.review.chords;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import westtide.review.finding.Measure;
import westtide.song.chord.ChordSpan;
import westtide.song.chord.Progression;
import westtide.style.Style;
import westtide.theory.Chord;
import westtide.theory.voicing.VoiceLeading;
import westtide.theory.voicing.Voicing;

/** Movement, common tones, range and colour of one progression. */
final class ChordMeasures {
  private final Style style;
  private final Progression row;
  private final Optional<LaidChords> laid;
  private final List<Chord> chords;

  /** Measures of a progression as the first of these parts that plays it lays it out. */
  ChordMeasures(Progression row, List<LaidChords> laid, Style style) {
    this.style = style;
    this.row = row;
    this.laid = laid.stream().filter(one -> one.row().equals(row)).findFirst();
    this.chords =
        row.spans().stream()
            .filter(span -> !span.articulation().rest())
            .map(ChordSpan::chord)
            .toList();
  }

  List<Measure> take() {
    int changes = 0;
    int moved = 0;
    int held = 0;
    for (int i = 1; i < chords.size(); i++) {
      if (!chords.get(i).equals(chords.get(i - 1))) {
        changes++;
        moved += VoiceLeading.smallest(chords.get(i - 1), chords.get(i));
        held += VoiceLeading.commonTones(chords.get(i - 1), chords.get(i));
      }
    }
    double each = changes == 0 ? 0 : moved / (double) changes;
    double common = changes == 0 ? 0 : held / (double) changes;
    int least = changes == 0 ? 0 : 1;
    return List.of(
        Measure.of("movement, semitones a change", one(each), each, 12, least, 7),
        Measure.of("notes held a change", one(common), common, 4, least, 3),
        range(),
        colour());
  }

  private Measure range() {
    List<Voicing> voicings = laid.map(LaidChords::voicings).orElse(List.of());
    int low = voicings.stream().mapToInt(Voicing::bass).min().orElse(0);
    int high = voicings.stream().mapToInt(Voicing::top).max().orElse(0);
    return Measure.of("low to high, semitones", String.valueOf(high - low), high - low, 48, 7, 31);
  }

  private Measure colour() {
    long triads = chords.stream().filter(chord -> size(chord) < 7).count();
    long ninths = chords.stream().filter(chord -> size(chord) > 7).count();
    long sevenths = chords.size() - triads - ninths;
    double share =
        chords.stream().filter(c -> c.quality().seventh()).count() / (double) chords.size();
    return new Measure(
        "triads · 7ths · 9ths, %",
        percent(triads) + " · " + percent(sevenths) + " · " + percent(ninths),
        share,
        0,
        1,
        style.chords().sevenths());
  }

  private long percent(long count) {
    return Math.round(100.0 * count / chords.size());
  }

  /** The highest number of its tones: 5 for a triad, 7, 9 and more. */
  private static int size(Chord chord) {
    int highest = chord.quality().tones().stream().mapToInt(tone -> tone.degree()).max().orElse(5);
    return chord.quality().seventh() || highest > 7 ? Math.max(7, highest) : 5;
  }

  private static String one(double value) {
    return String.format(Locale.ROOT, "%.1f", value);
  }
}
