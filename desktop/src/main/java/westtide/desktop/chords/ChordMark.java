package westtide.desktop.chords;

/**
 * What can be chosen on the chord sheet: a card, or a note of a chord.
 *
 * @param chord the chord, counted from 0
 * @param note the MIDI note; −1 for the card
 */
record ChordMark(int chord, int note) {
  /** The card of a chord. */
  static ChordMark card(int chord) {
    return new ChordMark(chord, -1);
  }

  boolean isCard() {
    return note < 0;
  }
}
