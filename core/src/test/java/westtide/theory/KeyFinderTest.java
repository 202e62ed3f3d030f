package westtide.theory;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class KeyFinderTest {
  /** Notes with their length in beats behind a colon; one beat when nothing stands there. */
  private static List<KeyFinder.Heard> line(String text) {
    List<KeyFinder.Heard> out = new ArrayList<>();
    for (String word : text.trim().split("\\s+")) {
      String[] parts = word.split(":");
      double length = parts.length == 1 ? 1 : Double.parseDouble(parts[1]);
      out.add(new KeyFinder.Heard(NoteName.parse(parts[0]).pitchClass(), length));
    }
    return out;
  }

  /**
   * Tunes in the public domain, written down from memory: folk songs, hymns and carols, and
   * classical openings. Their keys are what the sheet music says, or the tonic and third everybody
   * sings.
   */
  @ParameterizedTest(name = "{0}")
  @CsvSource(
      delimiter = '|',
      value = {
        "Twinkle, twinkle | C major | C C G G A A G:2 F F E E D D C:2",
        "Ode to Joy (Beethoven) | C major | E E F G G F E D C C D E E:1.5 D:.5 D:2 E E F G G F E D C C D E D:1.5 C:.5 C:2",
        "Frère Jacques | C major | C D E C C D E C E F G:2 E F G:2 G:.5 A:.5 G:.5 F:.5 E C G:.5 A:.5 G:.5 F:.5 E C C G C:2 C G C:2",
        "Mary had a little lamb | C major | E D C D E E E:2 D D D:2 E G G:2 E D C D E E E E D D E D C:4",
        "London Bridge | C major | G:1.5 A:.5 G F E F G:2 D E F:2 E F G:2 G:1.5 A:.5 G F E F G:2 D:2 G:2 E C:3",
        "Amazing Grace | G major | D G:2 B:.5 G:.5 B:2 A G:2 E D:2 D G:2 B:.5 G:.5 B:2 A D:5 B D:1.5 B:.5 D:.5 B:.5 G:2 D E:1.5 G:.5 G:.5 E:.5 D:2 D G:2 B:.5 G:.5 B:2 A G:5",
        "Auld Lang Syne | F major | C F:1.5 F:.5 F A G:1.5 F:.5 G A F:1.5 F:.5 A C D:3 D C:1.5 A:.5 A F G:1.5 F:.5 G A F:1.5 D:.5 D C F:3",
        "Oh! Susanna | C major | C:.5 D:.5 E G G:1.5 A:.5 G E C:1.5 D:.5 E E D C D:3 C:.5 D:.5 E G G:1.5 A:.5 G E C:1.5 D:.5 E E D D C:3",
        "Jingle Bells | C major | E E E:2 E E E:2 E G C D E:4 F F F F F E E E E D D E D:2 G:2 E E E:2 E E E:2 E G C D E:4 F F F F F E E E G G F D C:4",
        "Joy to the World | D major | D:2 C#:1.5 B:.5 A:3 G F#:2 E:2 D:3 A B:3 B C#:3 C# D:4",
        "Deck the Halls | F major | C:1.5 Bb:.5 A G F G A F G:.5 A:.5 Bb:.5 G:.5 A:1.5 G:.5 F E F:2",
        "Silent Night | C major | G:1.5 A:.5 G E:3 G:1.5 A:.5 G E:3 D:2 D B:3 C:2 C G:3 A:2 A C:1.5 B:.5 A G:1.5 A:.5 G E:3 A:2 A C:1.5 B:.5 A G:1.5 A:.5 G E:3 D:2 D F:1.5 D:.5 B C:3 E:3 C G E G:1.5 F:.5 D C:5",
        "Yankee Doodle | G major | G G A B G B A D G G A B G:2 F#:2 G G A B C B A G F# D E F# G:2 G:2",
        "Minuet in G (Petzold) | G major | D G:.5 A:.5 B:.5 C:.5 D G G E C:.5 D:.5 E:.5 F#:.5 G G G C D:.5 C:.5 B:.5 A:.5 B C:.5 B:.5 A:.5 G:.5 A B:.5 A:.5 G:.5 F#:.5 G:3",
        "Eine kleine Nachtmusik (Mozart) | G major | G:1.5 D:.5 G:1.5 D:.5 G:.5 D:.5 G:.5 B:.5 D:2 C:1.5 A:.5 C:1.5 A:.5 C:.5 A:.5 F#:.5 A:.5 D:2",
        "When the Saints go marching in | C major | C E F G:4 C E F G:4 C E F G:2 E:2 C:2 E:2 D:4 E E D C:3 C E:2 G:2 G F:4 E F G:2 E:2 C:2 D:2 C:4",
        "Greensleeves | A minor | A C:2 D E:1.5 F:.5 E D:2 B G:1.5 A:.5 B C:2 A A:1.5 G#:.5 A B:2 G# E:2 A C:2 D E:1.5 F:.5 E D:2 B G:1.5 A:.5 B C:1.5 B:.5 A G#:1.5 F#:.5 G# A:4",
        "God rest ye merry, gentlemen | E minor | E E B B A G F# E D E F# G A B:3 E E B B A G F# E D E F# G A B:3 B C A B C D E B A G E F# G A:2 G A B:2 C B B A G F# E:3",
        "When Johnny comes marching home | G minor | D G G:.5 G A:.5 Bb A:.5 Bb G:.5 F D:.5 F:3 D G G:.5 G A:.5 Bb A:.5 Bb C:.5 D Bb:.5 D:3 Bb:.5 D D:.5 D D:.5 C:1.5 Bb:1.5 A Bb:.5 A:.5 G:1.5 F:1.5 G G:.5 F F:.5 G:3",
        "Wayfaring Stranger | D minor | A:.5 D D F D F G A:3 A C A G F D:3 A:.5 D D F D F G A:3 F D D:4",
        "O come, o come, Emmanuel | E minor | E G B B B A C B A G:3 A B G E G A F# E D E:3 A A E E F# G:3 F# E D G A B B B A C B A G:3 A B G E G A F# E D E:4",
        "Für Elise (Beethoven) | A minor | E:.5 D#:.5 E:.5 D#:.5 E:.5 B:.5 D:.5 C:.5 A:1.5 C:.5 E:.5 A:.5 B:1.5 E:.5 G#:.5 B:.5 C:1.5 E:.5 E:.5 D#:.5 E:.5 D#:.5 E:.5 B:.5 D:.5 C:.5 A:1.5 C:.5 E:.5 A:.5 B:1.5 E:.5 C:.5 B:.5 A:2",
        "Symphony 40 (Mozart) | G minor | Eb:.5 D:.5 D Eb:.5 D:.5 D Eb:.5 D:.5 D Bb:2 Bb:.5 A:.5 G G:.5 F:.5 Eb Eb:.5 D:.5 C C:2 D:.5 C:.5 C D:.5 C:.5 C D:.5 C:.5 C A:2 A:.5 G:.5 F# F#:.5 Eb:.5 D D:.5 C:.5 Bb:2 Bb G:2",
        "Symphony 5 (Beethoven) | C minor | G:.5 G:.5 G:.5 Eb:2 F:.5 F:.5 F:.5 D:4 G:.5 G:.5 G:.5 Eb:.5 Ab:.5 Ab:.5 Ab:.5 G:.5 Eb:.5 Eb:.5 Eb:.5 C:4",
        "Korobeiniki | A minor | E B:.5 C:.5 D C:.5 B:.5 A A:.5 C:.5 E D:.5 C:.5 B:1.5 C:.5 D E C A A:2",
        "House of the Rising Sun | A minor | A A B C E D A:3 A A A G E:4 A A A B C E D A:3 A E E G# A:4",
        "Scarborough Fair | D dorian | D:2 D A:2 A E:1.5 F:.5 E D:3 A C D:2 C A B G A:3 D:2 D C:2 A A G F E C:3 D:2 A G F E D C D:3",
        "The drunken sailor | D dorian | A A:.5 A:.5 A A:.5 A:.5 A D F A G G:.5 G:.5 G G:.5 G:.5 G C E G A A:.5 A:.5 A A:.5 A:.5 A B C D C A G E D:2 D:2"
      })
  void tunesAreFoundInAllTwelveKeys(String tune, String key, String text) {
    List<KeyFinder.Heard> notes = line(text);
    Key expected = Key.parse(key);
    for (int up = 0; up < 12; up++) {
      int shift = up;
      List<KeyFinder.Heard> moved =
          notes.stream()
              .map(n -> new KeyFinder.Heard((n.pitchClass() + shift) % 12, n.length()))
              .toList();
      Key found = KeyFinder.rank(moved).get(0).key();
      assertThat(found.tonic().pitchClass())
          .as("%s up %d, found %s", tune, up, found)
          .isEqualTo((expected.tonic().pitchClass() + up) % 12);
      assertThat(found.minor())
          .as("%s up %d, found %s", tune, up, found)
          .isEqualTo(expected.minor());
    }
  }

  @Test
  void modesAreToldFromTheirSixthAndSeventh() {
    assertThat(best("D:2 E F A B A G F E D C D:3")).isEqualTo("D dorian");
    assertThat(best("A C E A B C D E F E D C B A G A:3")).isEqualTo("A minor");
    assertThat(best("A:2 C E A G# A B C D E F E D C B G# A:3")).isEqualTo("A harmonic minor");
    assertThat(best("G:2 B D G F D B C A F G B D G:3")).isEqualTo("G mixolydian");
  }

  private static String best(String text) {
    return KeyFinder.rank(line(text)).get(0).key().toString();
  }

  @Test
  void everyKeyIsRankedAndTheSharesAreOneTogether() {
    List<KeyFinder.Guess> all = KeyFinder.rank(line("C E G C"));
    assertThat(all).hasSize(24);
    assertThat(all.stream().mapToDouble(KeyFinder.Guess::sureness).sum())
        .isCloseTo(1, org.assertj.core.api.Assertions.within(1e-9));
    assertThat(all.get(0).sureness()).isGreaterThan(all.get(1).sureness());
    assertThat(all.get(0).key()).hasToString("C major");
    assertThat(all.get(0).reason())
        .isEqualTo("100 % of the time lies in the scale, and it comes home to C.");
  }

  @Test
  void moreOfATuneMakesSurer() {
    double little = KeyFinder.rank(line("C D")).get(0).sureness();
    double much = KeyFinder.rank(line("C C G G A A G:2 F F E E D D C:2")).get(0).sureness();
    assertThat(much).isGreaterThan(little);
  }

  @Test
  void tonicsAreSpelledAsTheirKeysAre() {
    assertThat(best("Eb G Bb Eb:4")).isEqualTo("E♭ major");
    assertThat(best("F# A# C# F# B A# G# F#:4")).startsWith("F♯");
    assertThat(best("Bb Db F Bb C Db Eb F Bb:3")).isEqualTo("B♭ minor");
  }

  @Test
  void nothingHasNoKey() {
    assertThatThrownBy(() -> KeyFinder.rank(List.of()))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("no notes were given");
  }
}
