/**
 * Meter, tempo, ticks, swing and step lanes.
 *
 * <p>Time is whole ticks, 960 to a quarter note. Swing is a map from written to sounding ticks; a
 * step lane is what is written. Milliseconds appear only in {@link westtide.rhythm.Tempo}.
 */
package westtide.rhythm;
