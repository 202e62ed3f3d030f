/**
 * What a groove is made of: drums, the lanes they play, how each lane sounds and how it is laid out
 * in time. Pure data and arithmetic; patterns and songs are built from it.
 */
package westtide.song.drum;
