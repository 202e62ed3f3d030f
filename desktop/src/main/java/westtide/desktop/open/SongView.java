package westtide.desktop.open;

import java.util.Optional;
import westtide.review.Soundings;
import westtide.review.form.Energy;
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
  /**
   * The view of a song; a style the book lacks is shown as the first of the book. What an edit did
   * not reach is taken over from the view before it.
   */
  public static SongView of(Song song, StyleBook book, Optional<SongView> before) {
    Style style = book.find(song.brief().style()).orElseGet(() -> book.first());
    Score score = before.map(view -> view.score().after(song)).orElseGet(() -> Score.of(song));
    Soundings soundings =
        before
            .filter(view -> view.style().equals(style))
            .map(view -> view.soundings().after(score))
            .orElseGet(() -> Soundings.of(score, style));
    return new SongView(song, style, score, soundings, soundings.energy(), Optional.empty());
  }

  /** The same with what a rendering measured. */
  public SongView with(Listening listening) {
    return new SongView(
        song, style, score, soundings.with(listening, song), energy, Optional.of(listening));
  }
}
