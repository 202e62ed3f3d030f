package westtide.sound.desk;

/**
 * What a channel plays: its notes in order of start, each tied to the table it is heard from. Read
 * by the audio thread, never changed.
 *
 * @param starts first tick of each note, rising
 * @param ends tick after each note
 * @param into samples that have passed in the table of each when it starts; above 0 where a held
 *     note goes on at another level
 * @param tables samples of each
 * @param left factor of each on the left, loudness and place of the drum included
 * @param right factor of each on the right
 * @param chokes group whose members cut one another, 0 for none
 * @param falls factor a sample once a note has ended
 * @param struck whether a note rings out by itself
 * @param reverb share of each sent to the reverb beside what its channel sends, 0 to 1
 * @param delay share of each sent to the delay of its channel, 0 to 1
 * @param middle whether every note stands in the middle, so that one side tells all
 * @param longest length of the longest note in ticks
 */
public record Track(
    int[] starts,
    int[] ends,
    int[] into,
    float[][] tables,
    float[] left,
    float[] right,
    int[] chokes,
    float[] falls,
    boolean[] struck,
    float[] reverb,
    float[] delay,
    boolean middle,
    int longest) {
  /** A track without notes. */
  public static final Track EMPTY =
      new Track(
          new int[0],
          new int[0],
          new int[0],
          new float[0][],
          new float[0],
          new float[0],
          new int[0],
          new float[0],
          new boolean[0],
          new float[0],
          new float[0],
          true,
          0);

  /** How many notes there are. */
  public int size() {
    return starts.length;
  }

  /** The first note that starts at a tick or later. */
  int firstFrom(int tick) {
    int low = 0;
    int high = starts.length;
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (starts[middle] < tick) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low;
  }
}
