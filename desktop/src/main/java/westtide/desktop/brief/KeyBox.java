package westtide.desktop.brief;

import java.util.List;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Chooser;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.NumberField;
import westtide.desktop.room.RoomContext;
import westtide.song.Brief;
import westtide.song.edit.BriefEdits;
import westtide.song.edit.KeyChange;
import westtide.song.edit.KeyMove;
import westtide.theory.Key;
import westtide.theory.NoteName;
import westtide.theory.Scale;
import westtide.theory.Tonics;

/** Home note and scale as a ring that turns, which way notes go when it does, and tuning. */
final class KeyBox extends VBox {
  private final RoomContext context;
  private final Chooser<NoteName> tonic;
  private final Chooser<Scale> scale;
  private final Chips<KeyMove> way = new Chips<>("key-goes-", KeyMove::toString, this::choose);
  private final Label bent;
  private final KeyRing ring = new KeyRing(home -> chooseKey(new Key(home, brief().key().scale())));
  private final NumberField cents;
  private KeyMove move = KeyMove.NEAREST;

  /** {@code bent} says which notes had to give way. */
  KeyBox(RoomContext context, Label bent, Runnable findKey) {
    super(6);
    this.context = context;
    this.bent = bent;
    this.cents =
        NumberField.whole(
                "cents",
                "tuning, cents",
                cents -> context.apply(BriefEdits.cents(cents)),
                by ->
                    context.apply(
                        BriefEdits.cents(Math.max(-100, Math.min(100, brief().cents() + by)))))
            .inline();
    this.tonic =
        new Chooser<>(
            "key-tonic",
            "home note",
            Tonics.ALL,
            note -> chooseKey(new Key(note, brief().key().scale())));
    this.scale =
        new Chooser<>(
            "key-scale",
            "scale",
            List.of(Scale.values()),
            wanted -> chooseKey(new Key(brief().key().tonic(), wanted)));
    context.open().watchOpening(() -> bent.setText(""));
    VBox.setVgrow(ring, Priority.ALWAYS);
    FlowPane chosen =
        Controls.wholeFlow(
            tonic,
            Controls.whole(scale),
            Controls.action("find-key", "detect", findKey),
            Controls.label("transpose lines", "small"),
            way,
            cents);
    chosen.setAlignment(Pos.CENTER);
    getChildren().addAll(ring, chosen);
  }

  void show(Brief brief) {
    tonic.display(brief.key().tonic());
    scale.display(brief.key().scale());
    way.show(List.of(KeyMove.values()), move);
    ring.show(brief);
    cents.show(String.valueOf(brief.cents()));
  }

  private void choose(KeyMove chosen) {
    move = chosen;
  }

  private void chooseKey(Key key) {
    KeyChange change = new KeyChange(brief().key(), key, move);
    List<KeyChange.Bend> bends = change.bends(context.open().song());
    context.apply(BriefEdits.key(key, move));
    bent.setText(words(bends));
  }

  private static String words(List<KeyChange.Bend> bends) {
    if (bends.isEmpty()) {
      return "";
    }
    return bends.stream()
        .map(
            bend ->
                bend.before()
                    + " became "
                    + bend.after()
                    + " in "
                    + String.join(", ", bend.where())
                    + " ("
                    + bend.count()
                    + (bend.count() == 1 ? " note)" : " notes)"))
        .collect(Collectors.joining("; ", "Bent to fit: ", "."));
  }

  private Brief brief() {
    return context.open().song().brief();
  }
}
