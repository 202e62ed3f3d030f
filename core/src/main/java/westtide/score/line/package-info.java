/** Lines, chords and low ends in the score: what a pattern plays over the chords heard there. */
package westtide.score.line;
