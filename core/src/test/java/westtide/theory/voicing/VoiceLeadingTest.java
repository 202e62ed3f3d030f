package westtide.theory.voicing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.theory.Chord;
import westtide.theory.Pitch;

class VoiceLeadingTest {
  /**
   * Standard theory; compare Tymoczko, "The Geometry of Musical Chords", Science 2006 (from
   * memory).
   */
  @ParameterizedTest
  @CsvSource({"C, F, 3", "C, Cm, 1", "C, Am, 2", "C, Em, 1", "C, C, 0", "Caug, Eaug, 0"})
  void theSmallestMovementIsTheOneInTheLiterature(String from, String to, int semitones) {
    assertThat(VoiceLeading.smallest(Chord.parse(from), Chord.parse(to))).isEqualTo(semitones);
    assertThat(VoiceLeading.smallest(Chord.parse(to), Chord.parse(from))).isEqualTo(semitones);
  }

  @ParameterizedTest
  @CsvSource({"C, F, 1", "C, Am, 2", "E, F#m, 0", "E, F#m/E, 1", "C, C/E, 3", "Cmaj7, Am9, 4"})
  void commonTonesCountTheBassToo(String from, String to, int shared) {
    assertThat(VoiceLeading.commonTones(Chord.parse(from), Chord.parse(to))).isEqualTo(shared);
    assertThat(VoiceLeading.commonTones(Chord.parse(to), Chord.parse(from))).isEqualTo(shared);
  }

  @Test
  void voicesKeepTheirOrderAndEveryNoteTakesPart() {
    Voicing triad = new Voicing(List.of(60, 64, 67));
    Voicing seventh = new Voicing(List.of(60, 65, 69, 72));
    List<VoiceMove> moves = VoiceLeading.moves(triad, seventh);
    assertThat(moves).extracting(VoiceMove::to).contains(60, 65, 69, 72).isSorted();
    assertThat(moves).extracting(VoiceMove::from).contains(60, 64, 67).isSorted();
    assertThat(VoiceLeading.movement(triad, new Voicing(List.of(60, 65, 69)))).isEqualTo(3);
  }

  @Test
  void pairingIsNeverWorseThanAnyOtherOrderKeepingPairing() {
    Random random = new Random(11);
    for (int round = 0; round < 200; round++) {
      List<Integer> from = random.ints(4, 48, 80).boxed().sorted().distinct().toList();
      List<Integer> to = random.ints(from.size(), 48, 80).boxed().sorted().distinct().toList();
      if (from.size() != to.size()) {
        continue;
      }
      int straight =
          IntStream.range(0, from.size()).map(i -> Math.abs(from.get(i) - to.get(i))).sum();
      assertThat(VoiceLeading.movement(new Voicing(from), new Voicing(to)))
          .isLessThanOrEqualTo(straight);
    }
  }

  @Test
  void aPlanKeepsTheBassTheTonesAndTheRange() {
    VoicingRange range = new VoicingRange(43, 55, 74);
    List<Chord> chords = chords("F#m9 Dmaj7 A/C# E6 Bm7 C#7b9 G F#5 A13");
    List<Voicing> voicings = VoicingPlan.in(range).voice(chords);
    for (int i = 0; i < chords.size(); i++) {
      Chord chord = chords.get(i);
      Voicing voicing = voicings.get(i);
      assertThat(voicing.bass() % 12).isEqualTo(chord.bass().pitchClass());
      assertThat(voicing.bass()).isBetween(43, 54);
      assertThat(voicing.upper()).allMatch(key -> key >= 55 && key <= 74);
      assertThat(voicing.keys().stream().map(key -> key % 12).distinct())
          .as(chord.toString())
          .containsExactlyInAnyOrderElementsOf(chord.sounding());
    }
  }

  @Test
  void aPlanMovesLessThanRootPositionsDo() {
    List<Chord> chords = chords("F#m7 Dmaj7 Amaj7 E7 F#m7 Bm7 C#m7 Dmaj7");
    List<Voicing> planned = VoicingPlan.in(new VoicingRange(43, 55, 74)).voice(chords);
    List<Voicing> stacked = chords.stream().map(VoiceLeadingTest::rootPosition).toList();
    assertThat(total(planned)).isLessThan(total(stacked) / 2);
  }

  @Test
  void aRangeTooNarrowForAnInversionIsRefused() {
    assertThatThrownBy(() -> new VoicingRange(40, 60, 73)).hasMessageContaining("60 to 73");
  }

  private static Voicing rootPosition(Chord chord) {
    int root = Pitch.atOrAbove(55, chord.root().pitchClass());
    return new Voicing(
        java.util.stream.Stream.concat(
                java.util.stream.Stream.of(root - 12),
                chord.pitchClasses().stream().skip(1).map(pc -> Pitch.atOrAbove(root, pc)))
            .toList());
  }

  private static int total(List<Voicing> voicings) {
    return IntStream.range(1, voicings.size())
        .map(
            i ->
                VoiceLeading.movement(
                    new Voicing(voicings.get(i - 1).upper()), new Voicing(voicings.get(i).upper())))
        .sum();
  }

  private static List<Chord> chords(String line) {
    return Arrays.stream(line.split(" ")).map(Chord::parse).toList();
  }

  /**
   * A way through the chords that is best at every step need not be best as a whole; all ways are
   * gone through here.
   */
  @Test
  void noOtherWayThroughTheChordsMovesLess() {
    Random random = new Random(4);
    int better = 0;
    for (int round = 0; round < 60; round++) {
      List<Chord> chords = random.ints(5, 0, 24).mapToObj(VoiceLeadingTest::triad).toList();
      double planned = cost(VoicingPlan.in(HIGH).voice(chords));
      double greedy = cost(nearestEach(chords));
      assertThat(planned).isLessThanOrEqualTo(least(new ArrayList<>(), chords) + 1e-9);
      assertThat(planned).isLessThanOrEqualTo(greedy + 1e-9);
      better += planned < greedy - 1e-9 ? 1 : 0;
    }
    assertThat(better).as("progressions in which looking ahead pays").isGreaterThan(10);
  }

  private static final VoicingRange HIGH = new VoicingRange(48, 60, 79);

  private static Chord triad(int index) {
    return Chord.parse(Pitch.of(60 + index % 12).name() + (index < 12 ? "" : "m"));
  }

  /** Every close position of a triad between the range's ends, over its root. */
  private static List<Voicing> positions(Chord chord) {
    int bass = Pitch.atOrAbove(HIGH.bassLow(), chord.root().pitchClass());
    List<Voicing> out = new ArrayList<>();
    for (int low = HIGH.low(); low <= HIGH.high(); low++) {
      if (chord.contains(low % 12)) {
        List<Integer> keys = new ArrayList<>(List.of(bass, low));
        for (int key = low + 1; keys.size() < 4; key++) {
          if (chord.contains(key % 12)) {
            keys.add(key);
          }
        }
        if (keys.get(3) <= HIGH.high()) {
          out.add(new Voicing(keys));
        }
      }
    }
    return out;
  }

  private static double least(List<Voicing> before, List<Chord> chords) {
    if (before.size() == chords.size()) {
      return cost(before);
    }
    double best = Double.MAX_VALUE;
    for (Voicing next : positions(chords.get(before.size()))) {
      before.add(next);
      best = Math.min(best, least(before, chords));
      before.remove(before.size() - 1);
    }
    return best;
  }

  private static List<Voicing> nearestEach(List<Chord> chords) {
    List<Voicing> out = new ArrayList<>();
    for (Chord chord : chords) {
      List<Voicing> best = List.of();
      for (Voicing next : positions(chord)) {
        List<Voicing> with = new ArrayList<>(out);
        with.add(next);
        best = best.isEmpty() || cost(with) < cost(best) ? with : best;
      }
      out = best;
    }
    return out;
  }

  /** Semitones moved, and 0.35 for each semitone the hand stands away from the range's middle. */
  private static double cost(List<Voicing> voicings) {
    double away =
        voicings.stream()
            .mapToDouble(v -> v.upper().stream().mapToInt(k -> k).average().orElseThrow())
            .map(centre -> 0.35 * Math.abs(centre - (HIGH.low() + HIGH.high()) / 2.0))
            .sum();
    return total(voicings) + away;
  }
}
