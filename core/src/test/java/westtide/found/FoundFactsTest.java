package westtide.found;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import westtide.crate.Crate;
import westtide.crate.CrateLoop;
import westtide.song.found.Recording;
import westtide.theory.Key;

/** What is found in loops whose truth is known; counted here, not by what finds it. */
class FoundFactsTest {
  private static final double NEAR_ONSET = 0.03;

  private record Found(CrateLoop truth, FoundFacts facts) {
    boolean tempo() {
      return facts.tempos().stream()
          .limit(1)
          .anyMatch(
              guess ->
                  List.of(0.5, 1.0, 2.0).stream()
                      .anyMatch(factor -> Math.abs(guess.bpm() * factor - truth.tempo()) <= 0.1));
    }

    boolean bars() {
      return facts.bars() == truth.bars();
    }

    boolean downbeat() {
      return Math.abs(facts.downbeat() - truth.downbeat()) <= 0.01;
    }

    boolean key(int among) {
      return facts.keys().stream().limit(among).anyMatch(guess -> same(guess.key(), truth.key()));
    }

    private static boolean same(Key a, Key b) {
      return a.tonic().pitchClass() == b.tonic().pitchClass() && a.minor() == b.minor();
    }

    /** 2PR/(P+R) of the onsets, each counted once. */
    double onsets() {
      boolean[] taken = new boolean[facts.onsets().size()];
      int right = 0;
      for (double onset : truth.onsets()) {
        for (int i = 0; i < taken.length; i++) {
          if (!taken[i] && Math.abs(facts.onsets().get(i) - onset) <= NEAR_ONSET) {
            taken[i] = true;
            right++;
            break;
          }
        }
      }
      double precision = right / (double) Math.max(1, taken.length);
      double recall = right / (double) truth.onsets().size();
      return right == 0 ? 0 : 2 * precision * recall / (precision + recall);
    }
  }

  private static List<Found> found(long from, long to) {
    return LongStream.range(from, to)
        .parallel()
        .mapToObj(seed -> Crate.of(seed).loop())
        .map(loop -> new Found(loop, FoundFacts.of(loop.recording(), SoundNotes.NONE)))
        .toList();
  }

  private static double share(List<Found> all, java.util.function.Predicate<Found> right) {
    return all.stream().filter(right).count() / (double) all.size();
  }

  private static void check(List<Found> all) {
    System.out.printf(
        java.util.Locale.ROOT,
        "%d loops: tempo %.3f, bars %.3f, downbeat %.3f, key %.3f, first two %.3f, onsets F %.3f%n",
        all.size(),
        share(all, Found::tempo),
        share(all, Found::bars),
        share(all, Found::downbeat),
        share(all, one -> one.key(1)),
        share(all, one -> one.key(2)),
        all.stream().mapToDouble(Found::onsets).average().orElse(0));
    assertThat(share(all, Found::tempo)).as("tempo").isGreaterThanOrEqualTo(0.95);
    assertThat(share(all, Found::bars)).as("bars").isGreaterThanOrEqualTo(0.95);
    assertThat(share(all, Found::downbeat)).as("downbeat").isGreaterThanOrEqualTo(0.9);
    assertThat(share(all, one -> one.key(1))).as("key").isGreaterThanOrEqualTo(0.85);
    assertThat(share(all, one -> one.key(2))).as("keys").isGreaterThanOrEqualTo(0.95);
    assertThat(all.stream().mapToDouble(Found::onsets).average().orElse(0))
        .as("onsets")
        .isGreaterThanOrEqualTo(0.9);
  }

  @Test
  void aFewLoopsOfTheCrateAreFoundOut() {
    check(found(7000, 7020));
  }

  @Test
  @Tag("check")
  void twoHundredLoopsOfTheCrateAreFoundOut() {
    check(found(20_000, 20_200));
  }

  @Test
  void whatTheFileSaysOfItsTempoIsTakenFirst() {
    CrateLoop loop = Crate.of(3).loop();
    FoundFacts facts = FoundFacts.of(loop.recording(), SoundNotes.NONE.withTempo(loop.tempo() / 2));
    assertThat(facts.tempo()).isCloseTo(loop.tempo() / 2, within(0.3));
  }

  @Test
  void silenceAndASingleStrokeAreNoFault() {
    float[] silence = new float[48_000];
    FoundFacts nothing =
        FoundFacts.of(Recording.of("silence", 48_000, 16, silence), SoundNotes.NONE);
    assertThat(nothing.onsets()).isEmpty();
    assertThat(nothing.bars()).isPositive();
    float[] stroke = new float[48_000];
    for (int i = 0; i < 4000; i++) {
      stroke[12_000 + i] = (float) (Math.sin(i * 0.1) * Math.exp(-i / 900.0));
    }
    FoundFacts one = FoundFacts.of(Recording.of("stroke", 48_000, 16, stroke), SoundNotes.NONE);
    assertThat(one.begins()).isCloseTo(0.25, within(0.01));
  }

  @Test
  void theSameSeedIsTheSameLoop() {
    assertThat(Crate.of(12).loop()).isEqualTo(Crate.of(12).loop());
    assertThat(Crate.of(12).loop().recording()).isNotEqualTo(Crate.of(13).loop().recording());
    assertThat(Crate.of(12).slower().loop().tempo())
        .isCloseTo(Math.max(72, Crate.of(12).loop().tempo() * 0.9), within(0.6));
    assertThat(Crate.of(14).inMinor().loop().key().minor()).isTrue();
  }
}
