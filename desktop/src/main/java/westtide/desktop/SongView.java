package westtide.desktop;

import java.util.Optional;
import westtide.review.Energy;
import westtide.review.Soundings;
import westtide.score.Score;
import westtide.song.Song;
import westtide.sound.Listening;
import westtide.style.Style;
import westtide.style.StyleBook;

/**
 * Everything the window shows of one state of the song, computed once.
 *
 * @param song the song
 * @param style its style
 * @param score its notes
 * @param soundings its measures and findings
 * @param energy its energy bar by bar
 * @param heard what a rendering of it measured, once there was one
 */
public record SongView(
    Song song,
    Style style,
    Score score,
    Soundings soundings,
    Energy energy,
    Optional<Listening> heard) {
  /** The view of a song; a style the book lacks is shown as the first of the book. */
  static SongView of(Song song, StyleBook book) {
    Style style = book.find(song.brief().style()).orElseGet(() -> book.styles().get(0));
    Score score = Score.of(song);
    Soundings soundings = Soundings.of(score, style);
    return new SongView(song, style, score, soundings, Energy.of(score), Optional.empty());
  }

  /** The same with what a rendering measured. */
  SongView with(Listening listening) {
    return new SongView(
        song, style, score, soundings.with(listening, song), energy, Optional.of(listening));
  }
}
