/**
 * The mixing desk: channels, sends, room, delays and the limiter.
 *
 * <p>Tracks and strips enter, ready made; blocks of samples leave. Everything here is called by the
 * audio thread while playing, so it takes no memory and no locks after it is built.
 */
package westtide.sound.desk;
