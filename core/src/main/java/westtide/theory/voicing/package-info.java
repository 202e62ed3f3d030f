/**
 * Chords laid out as sounding notes: kinds of spread, voice leading with least movement, and how a
 * stack is said in words.
 */
package westtide.theory.voicing;
