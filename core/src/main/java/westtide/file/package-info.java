/**
 * Files in and out: the song file and Standard MIDI Files.
 *
 * <p>Every file is written beside its place and moved into it, so that an old file is replaced
 * whole or not at all.
 */
package westtide.file;
