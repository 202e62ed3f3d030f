/**
 * How loud a song will be, estimated from its score without a sample of sound.
 *
 * <p>In goes a score; out come the lead over its chords and the integrated loudness in LU, and the
 * levels of a draft that follow from them. Each voice's loudness over the course of a note is in a
 * table that was measured once ({@link westtide.level.VoiceLoudness}); a part is the sum of its
 * notes ({@link westtide.level.PartLoudness}), a song the sum of its parts ({@link
 * westtide.level.LoudnessEstimate}); what strips, rooms and the limiter do to that is alike in all
 * songs of a style and stands in its book ({@link westtide.style.Calibration}).
 */
package westtide.level;
