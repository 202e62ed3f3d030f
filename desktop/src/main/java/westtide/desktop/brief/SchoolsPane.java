package westtide.desktop.brief;

import java.util.Optional;
import javafx.scene.layout.VBox;
import westtide.compose.School;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.open.SongView;
import westtide.desktop.room.RoomContext;

/** Questions practitioners answer in two ways: the style's habit, and the other one click away. */
final class SchoolsPane extends VBox {
  private final RoomContext context;

  SchoolsPane(RoomContext context) {
    super(10);
    this.context = context;
    setId("schools");
  }

  void show(SongView view) {
    getChildren().clear();
    for (School school : School.values()) {
      school.answer(view.song()).ifPresent(answer -> add(view, school, answer));
    }
  }

  private void add(SongView view, School school, String answer) {
    String id = school.name().toLowerCase().replace('_', '-');
    Chips<String> chips =
        new Chips<>(
            "school-" + id + "-",
            word -> word,
            chosen ->
                context.compute(
                    () -> Optional.of(school.take(chosen, view.song(), view.style())),
                    edit -> edit.ifPresent(context::apply)));
    chips.show(school.answers(), answer);
    String habit =
        view.style().name() + " is usually " + school.habit(view.style()) + ". " + school.words();
    getChildren()
        .add(
            Controls.column(
                3,
                Controls.row(
                    8,
                    Controls.whole(Controls.label(school.title(), "strong")),
                    Controls.spring(),
                    chips),
                Controls.wrapped(habit, "small")));
  }
}
