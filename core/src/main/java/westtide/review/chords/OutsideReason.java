package westtide.review.chords;

import westtide.theory.Chord;
import westtide.theory.Interval;
import westtide.theory.Key;
import westtide.theory.NoteName;

/** Says in a sentence why a chord note outside the key may be meant. */
final class OutsideReason {
  private OutsideReason() {}

  static String of(Chord chord, NoteName note, Key key) {
    Interval degree = key.degreeOf(note.pitchClass());
    Interval root = key.degreeOf(chord.root().pitchClass());
    if (key.minor() && degree.semitones() == 11 && chord.quality().has(3, 0)) {
      return "It is the raised seventh, which pulls back to " + key.tonic() + ": probably meant.";
    }
    if (root.semitones() == 1) {
      return "A chord a semitone above home is a borrowed darkness: probably meant.";
    }
    if (chord.quality().has(7, -1) && chord.quality().has(3, 0)) {
      return "A dominant seventh leads to the chord a fifth lower; meant when that chord follows.";
    }
    if (parallel(key).contains(note.pitchClass())) {
      return "It is borrowed from " + parallel(key) + ", which colours the chord: often meant.";
    }
    return "No usual reason for it was found; listen whether it is a slip.";
  }

  private static Key parallel(Key key) {
    return new Key(
        key.tonic(), key.minor() ? westtide.theory.Scale.MAJOR : westtide.theory.Scale.MINOR);
  }
}
