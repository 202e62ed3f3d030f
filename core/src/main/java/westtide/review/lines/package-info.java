/** What is measured and found about melodies. */
package westtide.review.lines;
