package westtide.desktop.levels;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.open.SongView;
import westtide.desktop.room.AmountSheet;
import westtide.desktop.room.RoomContext;
import westtide.song.edit.MixEdits;
import westtide.song.mix.Master;
import westtide.sound.Listening;
import westtide.sound.Mixdown;

/** The whole mix: the loudness it is brought to, its glue, and the bus of all drums. */
final class WholeMix extends VBox {
  private static final List<Integer> TARGETS = List.of(0, -23, -16, -14, -11, -9);

  private final RoomContext context;
  private final Chips<Integer> targets;
  private final Label told = Controls.wrapped("", "small");
  private final AmountSheet<Master> amounts;
  private Optional<Listening> heard = Optional.empty();

  WholeMix(RoomContext context) {
    super(6);
    this.context = context;
    this.targets =
        new Chips<>(
            "target-",
            lufs -> lufs == 0 ? "none" : (lufs + " LUFS").replace('-', '−'),
            lufs -> context.apply(MixEdits.master("loudness target", m -> m.withTarget(lufs))));
    this.amounts =
        new AmountSheet<>(
            "whole-numbers",
            "Numbers of the whole mix",
            MixAmounts.WHOLE,
            (amount, value) ->
                context.apply(MixEdits.master(amount.name(), m -> amount.set().to(m, value))));
    getChildren()
        .addAll(
            Controls.flow(
                Controls.label("loudness target", "small"),
                targets,
                Controls.explained(
                    Controls.action("match-target", "match the target", this::match),
                    "Sets the gain of the mix by what the song measures now; once more after large steps, since the limiter answers"),
                amounts.exact()),
            told,
            amounts);
  }

  private void match() {
    Master master = context.open().song().master();
    if (heard.isEmpty() || master.target() == 0) {
      context
          .messages()
          .done(
              master.target() == 0
                  ? "Choose a loudness target first."
                  : "The song is still being listened to; try again in a moment.");
      return;
    }
    int more = (int) Math.round(10 * (master.target() - heard.get().integrated()));
    int gain = Math.max(-240, Math.min(240, master.gain() + more));
    context.apply(MixEdits.master("gain of the mix", m -> m.withGain(gain)));
  }

  void show(SongView view) {
    heard = view.heard();
    Master master = view.song().master();
    targets.show(TARGETS, master.target());
    amounts.show(master);
    told.setText(
        heard
            .map(
                h ->
                    String.format(
                            Locale.ROOT,
                            "It measures %.1f LUFS, true peak %.1f dB at most; gain reduction up to %.1f dB.",
                            h.integrated(),
                            Mixdown.CEILING_DB,
                            h.pushed())
                        .replace('-', '−'))
            .orElse("The song is being listened to."));
  }

  KeyTable keys() {
    return amounts.keys();
  }
}
