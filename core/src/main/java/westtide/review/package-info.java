/**
 * Soundings: what each stage measures, what looks wrong, why it matters, and a fix that is one
 * edit.
 *
 * <p>A score and its style enter; measures and findings leave. Findings a producer left alone are
 * not raised again.
 */
package westtide.review;
