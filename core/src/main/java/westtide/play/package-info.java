/**
 * Playing: scores and wishes enter from the window, blocks of samples leave to an output.
 *
 * <p>{@link westtide.play.Player} is the door. It makes scores ready on one thread; the audio
 * thread takes requests from a queue before each block and tells where it is through {@link
 * westtide.play.PlaybackMeters}. An output is a port: the machine's audio line, or a stand-in that
 * keeps the time.
 */
package westtide.play;
