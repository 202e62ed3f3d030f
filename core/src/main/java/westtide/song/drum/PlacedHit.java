package westtide.song.drum;

import westtide.rhythm.Hit;

/**
 * A hit of a lane where it falls in a section.
 *
 * @param hit the hit as written
 * @param tick first tick of its step, nudges and swing apart
 * @param step its step, counted in steps of the lane from the start of the section
 * @param run its step counted from the last restart
 * @param pass which pass of the lane it is in, from 0
 * @param from first tick of that pass
 * @param to the tick after the pass
 */
public record PlacedHit(Hit hit, int tick, int step, int run, int pass, int from, int to) {}
