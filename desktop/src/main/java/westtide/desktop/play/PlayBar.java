package westtide.desktop.play;

import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Slider;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.text.Text;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;
import westtide.desktop.kit.Controls;
import westtide.desktop.open.Preferences;
import westtide.play.PlaybackMeters;
import westtide.rhythm.Clock;
import westtide.song.Song;

/**
 * Play and stop, from the section, loop; where the song is; how loud it is and how loud one hears.
 */
public final class PlayBar extends HBox {
  private static final double METER = 92;

  private final PlayDesk context;
  private final Button play;
  private final FontIcon playing = new FontIcon(Feather.PLAY);
  private final ToggleButton loop = new ToggleButton();
  private final Text place = reading("play-place", 16);
  private final Text time = reading("play-time", 36);
  private final LevelMeter meter = new LevelMeter(METER);
  private final Text loudness = reading("play-loudness", 12);
  private final Slider level = new Slider(Preferences.QUIETEST, 0, Preferences.QUIETEST);
  private final Button output;
  private boolean wasPlaying;

  /** The bar of a play desk; {@code listening} opens what can be set about listening. */
  public PlayBar(PlayDesk context, Runnable listening) {
    super(8);
    this.context = context;
    setAlignment(Pos.CENTER_LEFT);
    setMinWidth(USE_PREF_SIZE);
    setId("play-bar");
    play =
        button(
            "play",
            playing,
            "Play the song, or stop   Shift+Space; Space plays what is in front",
            context::toggle);
    play.getStyleClass().add("play");
    Button section =
        button(
            "play-section",
            new FontIcon(Feather.CORNER_DOWN_RIGHT),
            "Play the section from its start   P",
            context::playSection);
    loop.setId("loop-section");
    loop.setGraphic(icon(new FontIcon(Feather.REPEAT)));
    loop.setAccessibleText("Loop this section   L");
    loop.getStyleClass().setAll("toggle-button", "chip", "loop-chip");
    loop.setOnAction(event -> context.toggleLoop());
    Controls.explained(loop, "Loop this section   L");
    output = Controls.action("output-name", "", listening);
    output.getStyleClass().add("output");
    buildLevel();
    Pane where = new Pane(place, time);
    where.setMinSize(68, 40);
    where.setMaxSize(68, 40);
    Pane heard = new Pane(loudness);
    heard.setMinSize(METER, 15);
    heard.setMaxSize(METER, 15);
    getChildren()
        .addAll(
            Controls.row(3, play, section, loop),
            where,
            Controls.column(2, heard, meter),
            Controls.column(0, output, level));
    context.watch(this::refresh);
    refresh();
  }

  private void buildLevel() {
    level.setId("listening-level");
    level.setPrefWidth(84);
    level.setMinWidth(84);
    level.setMaxWidth(84);
    level.setBlockIncrement(2);
    level.setAccessibleText("Listening level in dB");
    level
        .valueProperty()
        .addListener(
            (o, was, is) -> {
              int decibels = is.intValue();
              if (decibels != context.preferences().listeningDb()) {
                context.setPreferences(context.preferences().withListeningDb(decibels));
              }
            });
  }

  /** Shows where the song is in this frame. */
  public void follow(PlayPosition moment, Song song) {
    PlaybackMeters gauges = context.gauges();
    if (moment.playing() != wasPlaying) {
      wasPlaying = moment.playing();
      playing.setIconCode(wasPlaying ? Feather.SQUARE : Feather.PLAY);
      play.setAccessibleText(wasPlaying ? "Stop   Space" : "Play the song   Shift+Space");
    }
    boolean counting = gauges.countIn() > 0;
    show(
        place,
        counting
            ? "in " + gauges.countIn()
            : song.barLines().position((int) Math.max(0, moment.tick())).toString());
    show(time, Clock.of(song.brief().tempo().millis((long) moment.tick())));
    boolean silent = !moment.playing() || gauges.shortTerm() < -70;
    show(
        loudness,
        silent
            ? "quiet"
            : String.format(Locale.ROOT, "%.1f LUFS", gauges.shortTerm()).replace('-', '−'));
    meter.show(gauges.peak(), moment.playing() ? gauges.momentary() : Double.NEGATIVE_INFINITY);
  }

  private void refresh() {
    loop.setSelected(context.loop().isPresent());
    level.setValue(context.preferences().listeningDb());
    output.setText(context.audible() ? "listening" : "playing silently");
    String words =
        context.audible()
            ? "Sound goes to the " + context.output()
            : "No audio device: playing silently";
    Controls.explained(output, words);
    Controls.explained(
        level,
        "Listening level: "
            + context.preferences().listeningDb()
            + " dB; it changes nothing in the song");
  }

  private static void show(Text text, String words) {
    if (!words.equals(text.getText())) {
      text.setText(words);
    }
  }

  private static Text reading(String id, double y) {
    Text text = new Text(0, y, "");
    text.setId(id);
    text.setManaged(false);
    text.getStyleClass().addAll("mark-text", id.equals("play-place") ? "place" : "soft");
    return text;
  }

  private static FontIcon icon(FontIcon icon) {
    icon.getStyleClass().add("icon");
    return icon;
  }

  private static Button button(String id, FontIcon graphic, String words, Runnable run) {
    Button button = Controls.action(id, "", run);
    button.setGraphic(icon(graphic));
    button.setAccessibleText(words);
    return Controls.explained(button, words);
  }
}
