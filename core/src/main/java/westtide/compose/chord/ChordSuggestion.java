package westtide.compose.chord;

import westtide.theory.Chord;

/**
 * A chord that could come next.
 *
 * @param chord the chord
 * @param function what it does in the key, a few words
 * @param reason why it may follow, one sentence
 * @param held notes it shares with the chord before
 * @param movement the smallest movement from the chord before, in semitones
 * @param passing whether it is a short one on the way to the chord behind
 */
public record ChordSuggestion(
    Chord chord, String function, String reason, int held, int movement, boolean passing) {}
