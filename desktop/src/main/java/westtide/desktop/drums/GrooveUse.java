package westtide.desktop.drums;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import westtide.desktop.kit.Controls;
import westtide.song.HeardBars;
import westtide.song.Song;
import westtide.song.edit.form.FormEdits;
import westtide.song.form.Section;
import westtide.song.pattern.Pattern;

/**
 * Where the groove in front is heard and which groove it follows, so that nobody works on what
 * never sounds; with a way to its parent, or into the form where it is nowhere.
 */
final class GrooveUse extends HBox {
  private final GrooveChoice choice;
  private final Label words = Controls.label("", "small");
  private final Button parent;
  private final Button use;

  GrooveUse(GrooveChoice choice) {
    super(10);
    this.choice = choice;
    this.parent = Controls.action("groove-parent", "", this::showParent);
    this.use = Controls.action("groove-use", "", this::use);
    words.setId("groove-heard");
    words.setMinWidth(USE_PREF_SIZE);
    Controls.explained(
        words,
        "Where this groove sounds. What is changed in a variation stays in it; what is changed in the"
            + " groove it varies is changed in all of them, but where they differ");
    Controls.explained(
        parent, "Puts the groove in front that this one follows: what is changed there is changed");
    Controls.explained(use, "Lets the part play this groove all through the chosen section");
    setAlignment(Pos.CENTER_LEFT);
    getChildren().setAll(words, parent, use);
  }

  void show(GrooveScene scene) {
    HeardBars heard = new HeardBars(scene.song(), scene.part());
    String name = scene.pattern().name();
    List<HeardBars.Span> own = heard.of(name);
    List<HeardBars.Span> all = heard.withFollowers(name);
    words.setText(words(scene, heard, own, all));
    Optional<String> follows = follows(scene);
    shown(parent, follows.isPresent());
    follows.ifPresent(to -> parent.setText("show " + to));
    shown(use, all.isEmpty());
    use.setText("use it in " + section(scene.song()).label());
  }

  private static String words(
      GrooveScene scene, HeardBars heard, List<HeardBars.Span> own, List<HeardBars.Span> all) {
    if (all.isEmpty()) {
      return "not in the form";
    }
    List<String> followers = heard.followers(scene.pattern().name());
    String where =
        own.isEmpty()
            ? "heard as its variations in " + HeardBars.words(all)
            : "heard in " + HeardBars.words(own);
    return follows(scene)
        .map(to -> where + " · varies " + to)
        .orElse(
            followers.isEmpty()
                ? where
                : where + " · changes all " + followers.size() + " variations");
  }

  private static Optional<String> follows(GrooveScene scene) {
    return scene.pattern().pattern() instanceof Pattern.Varied varied
        ? Optional.of(varied.parent())
        : Optional.empty();
  }

  private static void shown(Button button, boolean shown) {
    button.setVisible(shown);
    button.setManaged(shown);
  }

  private void showParent() {
    follows(choice.scene()).ifPresent(choice::chooseGroove);
  }

  /** The chosen section with the name it has in the form. */
  private record Place(Section section, String label) {}

  private Place section(Song song) {
    int place = choice.context().open().section();
    return new Place(song.form().sections().get(place), song.form().label(place));
  }

  private void use() {
    GrooveScene scene = choice.scene();
    choice.apply(
        FormEdits.play(
            section(scene.song()).section().id(), scene.part().id(), scene.pattern().name()));
  }
}
