/** What is measured and found about 808, bass and kick. */
package westtide.review.lowend;
