package westtide.song.line;

import java.util.Optional;
import westtide.theory.Interval;
import westtide.theory.Key;
import westtide.theory.Pitch;

/**
 * Pitches of a line as degrees above home, counted as in the major scale: {@code 1 2 b3 4 5 b6 b7}
 * are a natural minor scale. A name with its octave, such as {@code F#4}, is that very note.
 *
 * @param key the key whose tonic is 1
 * @param home the MIDI note of degree 1 without an octave mark
 */
public record DegreeText(Key key, int home) implements PitchText<Integer> {
  /** Checks that home is the tonic. */
  public DegreeText {
    if (home < 0 || home > 127 || home % 12 != key.tonic().pitchClass()) {
      throw new IllegalArgumentException(
          "home is a " + key.tonic() + " from 0 to 127, but was " + home);
    }
  }

  /** Degrees around the octave most of a line lies in, so that few notes need a mark. */
  public static DegreeText around(Key key, Iterable<Integer> keys) {
    int[] octaves = new int[12];
    int tonic = key.tonic().pitchClass();
    for (int midi : keys) {
      octaves[Math.floorDiv(midi - tonic, 12) + 1]++;
    }
    int best = 6;
    for (int i = 1; i < octaves.length - 1; i++) {
      best = octaves[i] > octaves[best] ? i : best;
    }
    return new DegreeText(key, tonic + 12 * (best - 1));
  }

  @Override
  public Optional<Integer> parse(String body) {
    String plain = body.replace('♭', 'b').replace('♯', '#');
    if (plain.matches("[b#]{0,2}\\d{1,2}")) {
      int number = Integer.parseInt(plain.replaceAll("[b#]", ""));
      if (number < 1 || number > 14) {
        return Optional.empty();
      }
      return Optional.of(home + Interval.ofDegree(plain).semitones());
    }
    return Pitch.find(plain).map(Pitch::midi);
  }

  @Override
  public String format(Integer midi) {
    return key.degreeOf(Math.floorMod(midi, 12)).toString().replace('♭', 'b').replace('♯', '#');
  }

  @Override
  public String allowed() {
    return "a degree such as 5, b6 or #4, or a note such as F#4";
  }
}
