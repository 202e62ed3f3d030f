/**
 * The application: the open song, the frame of the window and what it is made of.
 *
 * <p>{@link westtide.desktop.OpenSong} holds the one mutable thing, the history of the open song;
 * every change makes a new {@link westtide.desktop.SongView}, which the frame and the present room
 * show.
 */
package westtide.desktop;
