package westtide.desktop.brief;

import java.util.List;
import java.util.stream.Collectors;
import javafx.scene.control.Label;
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

/** Home note and scale, which way notes go when it changes, what bent, and tuning in cents. */
final class KeyBox extends VBox {
  private static final List<NoteName> TONICS =
      List.of("C", "C#", "Db", "D", "Eb", "E", "F", "F#", "Gb", "G", "G#", "Ab", "A", "Bb", "B")
          .stream()
          .map(NoteName::parse)
          .toList();

  private final RoomContext context;
  private final Chooser<NoteName> tonic;
  private final Chooser<Scale> scale;
  private final Chips<KeyMove> way = new Chips<>("key-goes-", KeyMove::toString, this::choose);
  private final Label notes = Controls.wrapped("", "small");
  private final Label bent = Controls.wrapped("", "small");
  private final NumberField cents;
  private KeyMove move = KeyMove.NEAREST;

  KeyBox(RoomContext context, Runnable findKey) {
    super(4);
    this.context = context;
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
            TONICS,
            note -> chooseKey(new Key(note, brief().key().scale())));
    this.scale =
        new Chooser<>(
            "key-scale",
            "scale",
            List.of(Scale.values()),
            wanted -> chooseKey(new Key(brief().key().tonic(), wanted)));
    bent.setId("key-bent");
    bent.setVisible(false);
    bent.setManaged(false);
    context.open().watchOpening(() -> tell(""));
    getChildren()
        .addAll(
            Controls.label("key", "small"),
            Controls.row(6, tonic, scale, Controls.action("find-key", "detect", findKey)),
            Controls.row(6, Controls.whole(Controls.label("transpose lines", "small")), way),
            bent,
            Controls.row(8, notes, Controls.spring(), cents));
  }

  void show(Brief brief) {
    tonic.display(brief.key().tonic());
    scale.display(brief.key().scale());
    way.show(List.of(KeyMove.values()), move);
    notes.setText(String.join("  ", brief.key().notes().stream().map(NoteName::toString).toList()));
    cents.show(String.valueOf(brief.cents()));
  }

  private void choose(KeyMove chosen) {
    move = chosen;
  }

  private void chooseKey(Key key) {
    KeyChange change = new KeyChange(brief().key(), key, move);
    List<KeyChange.Bend> bends = change.bends(context.open().song());
    context.apply(BriefEdits.key(key, move));
    tell(words(bends));
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

  private void tell(String words) {
    bent.setText(words);
    bent.setVisible(!words.isEmpty());
    bent.setManaged(!words.isEmpty());
  }

  private Brief brief() {
    return context.open().song().brief();
  }
}
