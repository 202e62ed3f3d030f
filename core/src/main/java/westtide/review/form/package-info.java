/** The energy of bars, and what is found about sections and what joins them. */
package westtide.review.form;
