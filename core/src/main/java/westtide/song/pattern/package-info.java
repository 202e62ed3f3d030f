/**
 * What a part can play: written notes, grooves and their variations, phrases, and rules to follow.
 */
package westtide.song.pattern;
