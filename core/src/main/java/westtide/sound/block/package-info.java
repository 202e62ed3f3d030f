/** Blocks of samples and what reads and writes them: decibels, moving lines, rings. */
package westtide.sound.block;
