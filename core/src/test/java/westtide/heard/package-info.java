/**
 * What the sound measures: songs of one note and whole demos are rendered as a person would have
 * them written, and measured by code of its own that knows nothing of how they were made.
 */
package westtide.heard;
