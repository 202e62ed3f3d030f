/**
 * Song to score: the notes that sound, are drawn, are measured and are written.
 *
 * <p>A song enters; sections, cells, levels, following rules, choke, nudges, rolls and swing are
 * applied; a score of absolute ticks leaves.
 */
package westtide.score;
