package westtide.theory.voicing;

import westtide.theory.Chord;

/** What a sounding note is in its chord. */
public enum ChordMember {
  BASS("the bass"),
  ROOT("the root"),
  THIRD("the third"),
  FIFTH("the fifth"),
  SEVENTH("the seventh"),
  ABOVE("what is above the seventh"),
  TOP("the top note");

  private final String title;

  ChordMember(String title) {
    this.title = title;
  }

  /** Whether a note of a voicing is this member of its chord. */
  public boolean is(int key, Voicing voicing, Chord chord) {
    if (this == BASS) {
      return key == voicing.bass();
    }
    if (this == TOP) {
      return key == voicing.top();
    }
    int above = Math.floorMod(key - chord.root().pitchClass(), 12);
    return key != voicing.bass()
        && chord.quality().tones().stream()
            .filter(tone -> Math.floorMod(tone.semitones(), 12) == above)
            .anyMatch(tone -> member(tone.degree()) == this);
  }

  private static ChordMember member(int degree) {
    return switch (degree) {
      case 1, 8 -> ROOT;
      case 2, 3, 4 -> THIRD;
      case 5 -> FIFTH;
      case 6, 7 -> SEVENTH;
      default -> ABOVE;
    };
  }

  @Override
  public String toString() {
    return title;
  }
}
