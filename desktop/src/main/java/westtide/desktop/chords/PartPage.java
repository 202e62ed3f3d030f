package westtide.desktop.chords;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Chooser;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.NumberField;
import westtide.song.FollowRule;
import westtide.song.Part;
import westtide.song.edit.ChordPartEdits;
import westtide.theory.voicing.ChordMember;
import westtide.theory.voicing.VoicingKind;

/** The parts that follow the chords: spread, velocities, and layers with notes left out. */
final class PartPage implements ChordPage {
  private final ChordChoice choice;
  private final Chips<String> parts = new Chips<>("chord-part-", w -> w, this::choosePart);
  private final Chips<String> octaves = new Chips<>("layer-octave-", w -> w, this::takeOctave);
  private final Chooser<VoicingKind> spread =
      new Chooser<>(
          "part-spread", "spread of the part", List.of(VoicingKind.values()), this::takeSpread);
  private final NumberField vary;
  private final FlowPane without = Controls.flow();
  private final Button remove;
  private final VBox box = new VBox(5);
  private String part = "";

  PartPage(ChordChoice choice) {
    this.choice = choice;
    this.vary =
        NumberField.whole(
                "vary", "velocities vary by", this::vary, by -> vary(rule().vary().amount() + by))
            .inline();
    this.remove = Controls.action("layer-remove", "take this layer away", this::remove);
    Arrays.stream(ChordMember.values()).forEach(m -> without.getChildren().add(member(m)));
    box.getChildren()
        .addAll(
            Controls.row(
                10,
                parts,
                Controls.spring(),
                Controls.action("layer-add", "add a layer an octave up", this::add),
                remove),
            Controls.row(
                10,
                Controls.whole(Controls.label("spread", "small")),
                spread,
                Controls.spring(),
                vary,
                Controls.action("vary-again", "vary anew", this::varyAgain)),
            Controls.row(10, Controls.whole(Controls.label("plays", "small")), octaves),
            Controls.row(10, Controls.whole(Controls.label("leaves out", "small")), without));
  }

  @Override
  public String title() {
    return "parts and layers";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(ChordScene scene) {
    List<Part> following = following(scene);
    if (following.stream().noneMatch(p -> p.name().equals(part)) && !following.isEmpty()) {
      part = following.get(0).name();
    }
    box.setDisable(following.isEmpty());
    if (!following.isEmpty()) {
      parts.show(following.stream().map(Part::name).toList(), part);
      showRule(rule());
      remove.setDisable(following.get(0).name().equals(part));
    }
  }

  private void showRule(FollowRule.Chords rule) {
    spread.display(rule.kind());
    Controls.explained(spread, rule.kind().words());
    vary.show(String.valueOf(rule.vary().amount()));
    octaves.show(List.of("octave down", "as laid out", "octave up", "two up"), octave(rule));
    for (int i = 0; i < without.getChildren().size(); i++) {
      ((CheckBox) without.getChildren().get(i))
          .setSelected(rule.layer().without().contains(ChordMember.values()[i]));
    }
  }

  private static String octave(FollowRule.Chords rule) {
    return switch (rule.layer().octaves()) {
      case -3, -2, -1 -> "octave down";
      case 0 -> "as laid out";
      case 1 -> "octave up";
      default -> "two up";
    };
  }

  private CheckBox member(ChordMember member) {
    CheckBox box = new CheckBox(member.toString().replaceFirst("^the |^what is ", ""));
    box.setId("without-" + member.name().toLowerCase());
    box.setOnAction(event -> takeWithout());
    return box;
  }

  private static List<Part> following(ChordScene scene) {
    return scene.song().parts().stream()
        .filter(p -> p.rule(FollowRule.Chords.class).isPresent())
        .toList();
  }

  private Part chosen() {
    return following(choice.scene()).stream()
        .filter(p -> p.name().equals(part))
        .findFirst()
        .orElseThrow();
  }

  private FollowRule.Chords rule() {
    return chosen().rule(FollowRule.Chords.class).orElseThrow();
  }

  private ChordPartEdits edits() {
    return new ChordPartEdits(chosen().id());
  }

  private void choosePart(String name) {
    part = name;
    show(choice.scene());
  }

  private void add() {
    choice.apply(edits().addLayer(1, Set.of(ChordMember.BASS)));
    List<Part> all = following(choice.scene());
    int model = all.stream().map(Part::name).toList().indexOf(part);
    choosePart(all.get(model + 1).name());
  }

  private void remove() {
    choice.apply(edits().remove());
  }

  private void vary(int amount) {
    choice.apply(edits().vary(amount, rule().vary().seed()));
  }

  private void varyAgain() {
    choice.apply(edits().vary(Math.max(6, rule().vary().amount()), rule().vary().seed() + 1));
  }

  private void takeSpread(VoicingKind kind) {
    choice.apply(edits().spread(kind));
    choice.hear();
  }

  private void takeOctave(String word) {
    int by = List.of("octave down", "as laid out", "octave up", "two up").indexOf(word) - 1;
    choice.apply(edits().layer(by, rule().layer().without()));
  }

  private void takeWithout() {
    Set<ChordMember> out = EnumSet.noneOf(ChordMember.class);
    for (int i = 0; i < without.getChildren().size(); i++) {
      if (((CheckBox) without.getChildren().get(i)).isSelected()) {
        out.add(ChordMember.values()[i]);
      }
    }
    choice.apply(edits().layer(rule().layer().octaves(), out));
  }
}
