/**
 * Standard MIDI Files: a score goes out as one file, or as one for each part, section or lane; a
 * groove and timings come in.
 */
package westtide.file.midi;
