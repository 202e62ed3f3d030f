package westtide.theory;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RomanNumeralTest {
  /** Standard theory: degrees of the key's own scale, signs from there. */
  @ParameterizedTest
  @CsvSource({
    "F# minor, i9, F♯m9, i9",
    "F# minor, VImaj7, Dmaj7, VImaj7",
    "F# minor, III, A, III",
    "F# minor, VII, E, VII",
    "F# minor, iv7, Bm7, iv7",
    "F# minor, bII, G, ♭II",
    "F# minor, #vi, D♯m, ♯vi",
    "F# minor, V7b9, C♯7♭9, V7♭9",
    "F# minor, III/3, A/C♯, III/3",
    "F# minor, VI/VII, D/E, VI/VII",
    "C major, V/bVII, G/B♭, V/♭VII",
    "C major, IV/#IV, F/F♯, IV/♯IV",
    "A minor, VI/bII, F/B♭, VI/♭II",
    "F# minor, ii7b5, G♯m7♭5, ii7♭5",
    "F# minor, iiø7, G♯m7♭5, ii7♭5",
    "F# minor, imaj7, F♯mMaj7, imaj7",
    "C major, viidim7, Bdim7, vii°7",
    "C major, vii°, Bdim, vii°",
    "C major, III+, Eaug, III+",
    "C major, Iadd9/3, Cadd9/E, Iadd9/3",
    "C major, Vsus, Gsus4, Vsus4",
    "C major, bVII, B♭, ♭VII",
    "C major, iv, Fm, iv",
    "A dorian, IV9, D9, IV9",
    "A dorian, vi, F♯m, vi",
    "D harmonic minor, V7, A7, V7",
    "D harmonic minor, VII, C♯, VII",
    "E phrygian, II, F, II",
    "C minor pentatonic, VI, A♭, VI"
  })
  void numeralsAreReadAndWrittenAgainstTheKey(
      String key, String typed, String chord, String written) {
    Key in = Key.parse(key);
    Chord read = RomanNumeral.parse(typed).in(in).orElseThrow();
    assertThat(read).hasToString(chord);
    assertThat(RomanNumeral.of(read, in)).hasToString(written);
  }

  @Test
  void aMemberTheChordLacksHasNoReading() {
    assertThat(RomanNumeral.parse("I/7").in(Key.parse("C"))).isEmpty();
    assertThat(RomanNumeral.parse("Imaj7/7").in(Key.parse("C")))
        .map(Chord::toString)
        .contains("Cmaj7/B");
  }

  @ParameterizedTest
  @CsvSource({"VIII", "x", "H7", "i9zz", "iV", "I/", "IV/9x"})
  void nonsenseIsNoNumeral(String text) {
    assertThat(RomanNumeral.find(text)).isEmpty();
  }
}
