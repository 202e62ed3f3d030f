/**
 * Drafts: progressions, grooves, lines, forms and whole songs from a style and a seed.
 *
 * <p>The same style, wishes and seed give the same song on every machine: randomness comes from
 * {@link java.util.Random}, whose sequence is specified, seeded for each purpose by {@link
 * westtide.song.id.Seed}.
 */
package westtide.compose;
