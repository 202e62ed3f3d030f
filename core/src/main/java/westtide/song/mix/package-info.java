/**
 * How a part sounds, as the document keeps it: its instrument, its place in the mix and what moves
 * over a section. Whole numbers in the units people set them in; nothing here computes sound.
 */
package westtide.song.mix;
