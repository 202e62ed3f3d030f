/** What is measured and found about grooves, and why a hit is where it is. */
package westtide.review.drums;
