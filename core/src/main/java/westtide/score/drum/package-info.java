/** Drums in the score: a groove laid out in time, what is choked, what kicks lead others, fills. */
package westtide.score.drum;
