package westtide.desktop.line;

import java.util.List;
import java.util.Optional;
import javafx.scene.input.KeyCode;
import westtide.song.line.Note;
import westtide.theory.Key;
import westtide.theory.Pitch;

/**
 * The computer keys as degrees of the key: the row of digits from the tonic up, the row of letters
 * below it an octave lower.
 */
final class PlayedKeys {
  private static final List<KeyCode> UPPER =
      List.of(
          KeyCode.DIGIT1,
          KeyCode.DIGIT2,
          KeyCode.DIGIT3,
          KeyCode.DIGIT4,
          KeyCode.DIGIT5,
          KeyCode.DIGIT6,
          KeyCode.DIGIT7,
          KeyCode.DIGIT8,
          KeyCode.DIGIT9,
          KeyCode.DIGIT0);
  private static final List<KeyCode> LOWER =
      List.of(
          KeyCode.Q, KeyCode.W, KeyCode.E, KeyCode.R, KeyCode.T, KeyCode.Y, KeyCode.U, KeyCode.I,
          KeyCode.O, KeyCode.P);
  private static final int MIDDLE = 66;

  private PlayedKeys() {}

  /** The MIDI note a key means over a line: its tonic lies a fifth below the line's middle. */
  static Optional<Integer> of(KeyCode code, boolean sharp, HeardLine line) {
    int place = UPPER.contains(code) ? UPPER.indexOf(code) : LOWER.indexOf(code);
    if (place < 0) {
      return Optional.empty();
    }
    Key key = line.song().brief().key();
    int middle =
        (int) Math.round(line.notes().stream().mapToInt(Note::key).average().orElse(MIDDLE));
    int tonic = Pitch.atOrAbove(middle - 9, key.tonic().pitchClass());
    int size = key.notes().size();
    int above =
        Math.floorMod(key.notes().get(place % size).pitchClass() - key.tonic().pitchClass(), 12);
    int octave = place / size - (LOWER.contains(code) ? 1 : 0);
    int midi = tonic + above + 12 * octave + (sharp ? 1 : 0);
    return Optional.of(Math.max(0, Math.min(127, midi)));
  }
}
