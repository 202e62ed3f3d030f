package westtide.sound;

import westtide.sound.block.Stretch;
import westtide.sound.desk.Frames;

/** What a transport moves: the whole song, or one part of it. */
interface Moved {
  /** What is played. */
  PreparedScore score();

  /** What the transport writes the song's course through the block into. */
  Stretch stretch();

  /** Begins to move from somewhere. */
  void begin();

  /** Plays another score from now on. */
  void take(PreparedScore next, int tick, double framesPerTick);

  /** Starts and ends the notes of a stretch of ticks. */
  void play(int fromTick, int toTick, Frames frames);

  /** Brings in what should be sounding at a tick. */
  void chase(int tick, int offset, double framesPerTick);

  /** Lets every held note go. */
  void releaseHeld(int offset);

  /** Makes the block. */
  void mix();
}
