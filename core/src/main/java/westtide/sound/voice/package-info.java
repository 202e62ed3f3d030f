/**
 * What a preview instrument is and what it is built from.
 *
 * <p>A {@link westtide.sound.voice.Strike} enters a {@link westtide.sound.voice.Recipe}; waves,
 * noise and filters make a table of samples of it. Nothing here knows of songs.
 */
package westtide.sound.voice;
