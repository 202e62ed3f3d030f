package westtide.play;

import westtide.sound.Audition;
import westtide.sound.PreparedScore;

/** What the audio thread is asked to do before its next block. */
sealed interface Request {
  /** Play from another score from here on. */
  record Take(PreparedScore score) implements Request {}

  /** Start from a tick, after a count-in of beats. */
  record Start(double tick, int countIn) implements Request {}

  /** Stop where it is. */
  record Stop() implements Request {}

  /** Go to a tick. */
  record Locate(double tick) implements Request {}

  /** Loop over ticks; −1 and −1 for no loop. */
  record Loop(int from, int to) implements Request {}

  /** Hear one note. */
  record Hear(Audition trial) implements Request {}

  /** Click on every beat, or not. */
  record Click(boolean on) implements Request {}

  /** Listen through another loudspeaker. */
  record Through(Loudspeaker speaker) implements Request {}

  /** Listen at a level in dB. */
  record Listen(double decibels) implements Request {}
}
