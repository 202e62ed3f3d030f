package westtide.desktop.play;

import java.util.Locale;
import java.util.Optional;
import westtide.desktop.open.Background;
import westtide.desktop.open.Messages;
import westtide.desktop.open.OpenSong;
import westtide.desktop.open.SongView;
import westtide.review.heard.MatchedVersion;
import westtide.score.Score;
import westtide.song.Song;
import westtide.sound.Listening;
import westtide.sound.Mixdown;

/**
 * Two versions of the song heard in turn at the same place and the same loudness: the one that is
 * open, and another from its history or its saved versions.
 */
public final class Comparison {
  private final OpenSong open;
  private final PlayDesk play;
  private final Messages messages;
  private final Background background;
  private Optional<Song> other = Optional.empty();
  private String name = "";
  private int session;

  /** Nothing is compared yet. */
  public Comparison(OpenSong open, PlayDesk play, Messages messages, Background background) {
    this.open = open;
    this.play = play;
    this.messages = messages;
    this.background = background;
  }

  /** Brings a version to the loudness of the open song and plays it; both are measured first. */
  public void with(String called, Song version) {
    Song now = open.song();
    Optional<Listening> known = open.view().flatMap(SongView::heard);
    int asked = session;
    messages.done("Measuring both versions, so that neither is louder …");
    background.runLong(
        () ->
            known
                .or(() -> Listening.of(Score.of(now), Mixdown.Watch.NOBODY))
                .flatMap(
                    heard -> MatchedVersion.of(version, heard.integrated(), Mixdown.Watch.NOBODY)),
        matched ->
            matched.filter(found -> asked == session).ifPresent(found -> ready(called, found)));
  }

  private void ready(String called, MatchedVersion matched) {
    other = Optional.of(matched.song());
    name = called;
    play.hearVersion(other);
    messages.done(
        "You hear “"
            + called
            + "” at the loudness of the song as it is now ("
            + apart(matched.louder())
            + "). B switches between the two.");
  }

  private static String apart(double louder) {
    String by = String.format(Locale.ROOT, "%.1f dB", Math.abs(louder));
    return "it was " + by + (louder < 0 ? " quieter" : " louder");
  }

  /** Whether there is something to switch to. */
  public boolean there() {
    return other.isPresent();
  }

  /** Plays the other one of the two from here on. */
  public void turn() {
    boolean toOther = !play.hearsVersion();
    play.hearVersion(toOther ? other : Optional.empty());
    messages.done(toOther ? "You hear “" + name + "”." : "You hear the song as it is now.");
  }

  /** Another song was opened: what is still being measured belongs to the one before. */
  public void forget() {
    session++;
    other = Optional.empty();
  }
}
