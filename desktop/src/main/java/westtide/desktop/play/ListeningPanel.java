package westtide.desktop.play;

import java.util.List;
import javafx.scene.control.CheckBox;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.NumberField;
import westtide.desktop.open.Preferences;
import westtide.play.Loudspeaker;

/**
 * What can be set about listening, and the usual cautions for loudness. The figures: NIOSH 98-126,
 * 85 dB(A) for 8 h with a 3 dB exchange rate; WHO and ITU H.870, 80 dB(A) for 40 h a week (from
 * memory).
 */
public final class ListeningPanel extends VBox {
  private final PlayDesk context;
  private final NumberField level;
  private final NumberField rest;
  private final Chips<Loudspeaker> speakers;

  /** The panel of a play desk. */
  public ListeningPanel(PlayDesk context, Runnable close) {
    this.context = context;
    setId("listening-panel");
    getStyleClass().add("card");
    setPrefWidth(620);
    level = new NumberField("level", "listening level, dB", this::takeLevel, context::louder);
    rest =
        new NumberField(
            "break",
            "a break after, minutes (0: never)",
            this::takeBreak,
            by -> setBreak(context.preferences().breakMinutes() + 5 * by));
    speakers = new Chips<>("speaker-", Loudspeaker::toString, context::listenThrough);
    CheckBox count =
        box("count-in", "count four beats in before playing", context.preferences().countIn());
    count.setOnAction(
        e -> context.setPreferences(context.preferences().withCountIn(count.isSelected())));
    CheckBox clicks = box("metronome", "click on every beat", context.preferences().metronome());
    clicks.setOnAction(
        e -> context.setPreferences(context.preferences().withMetronome(clicks.isSelected())));
    getChildren()
        .addAll(
            Controls.title("Listening, breaks and hearing"),
            Controls.wrapped(
                context.audible()
                    ? "Sound goes to the " + context.output() + "."
                    : "No audio line was found on this machine, so there is no audio device and the song plays silently: the time runs, nothing can be heard.",
                "small"),
            Controls.row(40, level, rest),
            Controls.row(10, Controls.label("listen through"), speakers),
            Controls.row(30, count, clicks),
            Controls.wrapped(
                "The listening level changes nothing in the song or its files. Every session begins at −20 dB or less, and the preview never passes −1 dBFS."),
            Controls.wrapped(
                "Long sessions with sub-bass on headphones can harm your hearing, and louder always sounds better. Start low, take breaks, and stop when your ears ring or feel dull."),
            Controls.wrapped(
                "Published limits: 85 dB(A) for 8 hours, halved for every 3 dB more (NIOSH, at work); 80 dB(A) for 40 hours a week (WHO and ITU, adults). This application cannot measure how loud it is at your ear. Local rules and a hearing professional decide.",
                "small"),
            Controls.row(8, Controls.spring(), Controls.primary("listening-close", "done", close)));
    refresh();
    context.watch(this::refresh);
  }

  private static CheckBox box(String id, String words, boolean on) {
    CheckBox box = new CheckBox(words);
    box.setId(id);
    box.setSelected(on);
    return box;
  }

  private void refresh() {
    speakers.show(List.of(Loudspeaker.values()), context.speaker());
    level.show(String.valueOf(context.preferences().listeningDb()));
    rest.show(String.valueOf(context.preferences().breakMinutes()));
  }

  private void takeLevel(String typed) {
    int decibels = whole(typed, "a listening level is -60 to 0 dB");
    if (decibels < Preferences.QUIETEST || decibels > 0) {
      throw new IllegalArgumentException("a listening level is -60 to 0 dB, but was " + typed);
    }
    context.setPreferences(context.preferences().withListeningDb(decibels));
  }

  private void takeBreak(String typed) {
    int minutes = whole(typed, "a break comes after 1 to 240 minutes, or 0 for never");
    context.setPreferences(context.preferences().withBreakMinutes(minutes));
  }

  private void setBreak(int minutes) {
    int held = Math.max(0, Math.min(Preferences.LONGEST, minutes));
    context.setPreferences(context.preferences().withBreakMinutes(held));
  }

  private static int whole(String typed, String expected) {
    try {
      return Integer.parseInt(typed.strip().replace('−', '-'));
    } catch (NumberFormatException e) {
      throw new IllegalArgumentException(expected + ", but was \"" + typed + "\"", e);
    }
  }
}
