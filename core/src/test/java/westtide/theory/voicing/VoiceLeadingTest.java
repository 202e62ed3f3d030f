package westtide.theory.voicing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

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
}
