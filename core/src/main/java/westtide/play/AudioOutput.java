package westtide.play;

import java.util.function.Consumer;

/** Where samples go: a loudspeaker, or a stand-in that only keeps the time. */
public interface AudioOutput extends AutoCloseable {
  /**
   * How many milliseconds at most are taken before they are heard: long enough to bridge the
   * moments a busy machine needs for something else, short enough that an edit is heard at once.
   */
  int AHEAD_MILLIS = 60;

  /** What it is, in plain words for the window. */
  String name();

  /** Whether anything can be heard. */
  boolean audible();

  /** Samples a second. */
  int rate();

  /**
   * Takes a block and returns when there is room for the next. Called by the audio thread alone;
   * takes no memory.
   */
  void write(float[] left, float[] right, int frames);

  /** How many samples were taken that have not been heard yet. */
  int pending();

  /** Nothing comes for a while: what was taken is played to its end. */
  void rest();

  /** Tells a listener when what is heard is lost ({@code false}) and found again. */
  default void watch(Consumer<Boolean> listener) {}

  @Override
  void close();
}
