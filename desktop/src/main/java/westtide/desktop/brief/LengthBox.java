package westtide.desktop.brief;

import static westtide.review.form.FormSoundings.USUAL_SECONDS;

import java.util.Optional;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.open.SongView;
import westtide.desktop.room.RoomContext;
import westtide.rhythm.Clock;
import westtide.song.Plan;
import westtide.song.Song;
import westtide.song.edit.BriefEdits;

/** The length that is and the one wished for on a line, and the minutes of the evening. */
final class LengthBox extends VBox {
  private static final int LOWEST = 60;
  private static final int HIGHEST = 300;
  private static final int NUDGE = 5;

  private final RoomContext context;
  private final BandRule length;
  private final EveningSheet evening;

  LengthBox(RoomContext context) {
    super(10);
    this.context = context;
    this.length =
        new BandRule(
            new BandRule.Of(
                "length-rule",
                "wished length",
                LOWEST,
                HIGHEST,
                60,
                NUDGE,
                seconds -> Clock.of(seconds * 1000).toString()),
            seconds -> apply(plan().withSeconds((int) Math.round(seconds))));
    this.evening = new EveningSheet((stage, minutes) -> apply(plan().withMinutes(stage, minutes)));
    VBox.setVgrow(evening, Priority.ALWAYS);
    getChildren().addAll(length, evening);
  }

  void show(SongView view) {
    Song song = view.song();
    int wished = song.brief().plan().seconds();
    double now = song.millis() / 1000.0;
    length.show(
        new BandRule.State(
            USUAL_SECONDS.low(),
            USUAL_SECONDS.high(),
            "usual, 2:20 to 3:30",
            now,
            Optional.of(wished == 0 ? now : wished),
            true,
            wished == 0 ? "as long as it is; pull the mark to what you wish" : words(song)));
    evening.show(song.brief().plan());
  }

  /** How far the song is from the wish, in bars. */
  static String words(Song song) {
    double bar = song.brief().tempo().millis(song.brief().meter().ticksPerBar());
    long bars = Math.round(song.brief().plan().seconds() * 1000.0 / bar);
    long off = bars - song.form().bars();
    String rest =
        off == 0
            ? "just right"
            : Math.abs(off)
                + (Math.abs(off) == 1 ? " bar" : " bars")
                + (off > 0 ? " short" : " too many");
    return "wished; it lasts " + Clock.of(song.millis()) + ", " + rest;
  }

  private void apply(Plan plan) {
    context.apply(BriefEdits.plan(plan));
  }

  private Plan plan() {
    return context.open().song().brief().plan();
  }
}
