package westtide.desktop;

import westtide.review.Energy;
import westtide.review.Soundings;
import westtide.score.Score;
import westtide.song.Song;
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
 */
public record SongView(Song song, Style style, Score score, Soundings soundings, Energy energy) {
  /** The view of a song; a style the book lacks is shown as the first of the book. */
  static SongView of(Song song, StyleBook book) {
    Style style = book.find(song.brief().style()).orElseGet(() -> book.styles().get(0));
    Score score = Score.of(song);
    return new SongView(song, style, score, Soundings.of(score, style), Energy.of(score));
  }
}
