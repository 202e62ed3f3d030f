package westtide.desktop.form;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.layout.HBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.room.RoomContext;
import westtide.song.Alternatives;
import westtide.song.Song;
import westtide.song.edit.form.AlternativeEdits;
import westtide.song.id.PartId;

/** Up to three forms side by side: which one is played, another one, a part taken over. */
final class AlternativeBar extends HBox {
  private final RoomContext context;
  private final Chips<Integer> forms =
      new Chips<>("alternative-", place -> String.valueOf(place + 1), this::show);
  private final javafx.scene.control.Button add =
      Controls.action("alternative-add", "+ form", this::add);
  private final javafx.scene.control.Button take =
      Controls.action("alternative-take", "take the part over", this::take);
  private final javafx.scene.control.Button remove =
      Controls.action("alternative-remove", "delete form", this::remove);
  private PartId part = PartId.of("none");
  private int last = -1;
  private int now;

  AlternativeBar(RoomContext context) {
    super(6);
    this.context = context;
    setAlignment(javafx.geometry.Pos.CENTER_LEFT);
    forms.getStyleClass().add("small-chips");
    Controls.explained(add, "Keeps this form and goes on with a copy; up to three side by side");
    Controls.explained(take, "The selected part does here what it does in the form you came from");
    Controls.explained(remove, "Deletes the form that is played; the last one stays");
    getChildren()
        .addAll(Controls.whole(Controls.label("forms", "small")), forms, add, take, remove);
  }

  void show(Song song, PartId selected) {
    part = selected;
    int count = song.alternatives().count();
    List<Integer> places = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      places.add(i);
    }
    int present = song.alternatives().present();
    if (present != now) {
      last = now < count ? now : -1;
      now = present;
    }
    forms.show(places, present);
    add.setDisable(count == Alternatives.MOST);
    take.setVisible(count > 1);
    take.setManaged(count > 1);
    remove.setVisible(count > 1);
    remove.setManaged(count > 1);
  }

  private void show(int place) {
    context.apply(AlternativeEdits.show(place));
  }

  private void add() {
    context.apply(AlternativeEdits.add());
  }

  /** From the form that was played before this one, or the nearest. */
  private void take() {
    int from = last >= 0 && last != now ? last : now == 0 ? 1 : now - 1;
    context.apply(AlternativeEdits.takePart(from, part));
  }

  private void remove() {
    context.apply(AlternativeEdits.remove());
  }
}
