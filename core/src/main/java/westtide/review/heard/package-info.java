/** What a rendering of the song measured: loudness, spectrum, phase, and what is found in it. */
package westtide.review.heard;
