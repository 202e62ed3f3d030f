/** What is measured and found about progressions and voicings. */
package westtide.review.chords;
