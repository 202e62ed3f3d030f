package westtide.sound;

import westtide.song.id.PartId;

/**
 * One note to be heard by itself.
 *
 * @param part id of the part it belongs to
 * @param table its samples
 * @param left factor on the left
 * @param right factor on the right
 * @param holdFrames samples until it is released
 * @param fall factor a sample after that
 * @param choke group it cuts; 0 for none
 */
public record Audition(
    PartId part, float[] table, float left, float right, int holdFrames, float fall, int choke) {}
