package westtide.desktop.chords;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Chooser;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.NumberField;
import westtide.desktop.room.GateBox;
import westtide.song.Part;
import westtide.song.PatternDescription;
import westtide.song.chord.ChordRhythm;
import westtide.song.chord.Progression;
import westtide.song.chord.RhythmFamily;
import westtide.song.chord.Strum;
import westtide.song.edit.Edit;
import westtide.song.edit.PartNames;
import westtide.song.edit.part.ChordPartEdits;
import westtide.song.edit.part.PartEdits;
import westtide.song.id.PartId;
import westtide.song.pattern.FollowRule;
import westtide.theory.voicing.ChordMember;
import westtide.theory.voicing.VoicingKind;

/**
 * What the chord part in front does in its own way: voicing type, rhythm, strum, progression,
 * octave, members left out of all chords or of the chosen one, and velocities. A part that doubles
 * another says so, and stands alone as soon as something of it is changed.
 */
final class PartPage implements ChordPage {
  private static final String AS_WRITTEN = "as the progression";
  private static final String PATTERN_OF_ITS_OWN = "of its own";
  private static final String AS_CHORDS = "as each chord";
  private static final String SECTION_ROW = "the section's";
  private static final List<String> OCTAVES =
      List.of("octave down", "as it is", "octave up", "two up");
  private static final int USUAL_STRUM = 25;

  private final ChordChoice choice;

  /** Pixels all members of a chord take in one row. */
  private static final double MEMBERS_WIDTH = 560;

  private final Label plays = Controls.label("", "small");
  private final Chips<String> octaves = new Chips<>("layer-octave-", w -> w, this::takeOctave);
  private final Chooser<VoicingKind> spread =
      new Chooser<>("part-spread", "voicing type", List.of(VoicingKind.values()), this::takeSpread);
  private final Chooser<String> rhythm =
      new Chooser<>("part-rhythm", "rhythm of the part", List.of(), this::takeRhythm);
  private final Chooser<String> row =
      new Chooser<>("part-progression", "progression of the part", List.of(), this::takeRow);
  private final Chooser<String> strum =
      new Chooser<>(
          "part-strum",
          "strum of the part",
          List.of(AS_CHORDS, "block", "up", "down"),
          this::strum);
  private final NumberField strumMillis =
      NumberField.held("part-strum-ms", "ms", 1, 120, this::millis, this::takeMillis).inline();
  private final NumberField vary;
  private final GateBox gate;
  private final List<CheckBox> everywhere = new ArrayList<>();
  private final List<CheckBox> here = new ArrayList<>();
  private final Label hereName = Controls.label("", "small");
  private final VBox box = new VBox(5);

  PartPage(ChordChoice choice) {
    this.choice = choice;
    plays.setId("part-plays");
    this.gate = new GateBox(choice.context(), "chords-", choice::part);
    this.vary =
        NumberField.held(
                "vary",
                "velocity humanise",
                0,
                40,
                () -> rule().vary().amount(),
                amount -> choice.apply(edits().vary(amount, rule().vary().seed())))
            .inline();
    box.getChildren()
        .addAll(
            Controls.row(
                8,
                caption("voicing type"),
                spread,
                caption("rhythm"),
                rhythm,
                caption("strum"),
                strum,
                strumMillis),
            Controls.row(
                8,
                caption("progression"),
                row,
                octaves,
                Controls.spring(),
                vary,
                Controls.action("vary-again", "reseed", this::varyAgain)),
            gate,
            Controls.row(
                8,
                members("leaves out of all", "without-", everywhere, this::takeEverywhere),
                Controls.explained(
                    Controls.action("layer-add", "add a layer", this::addLayer),
                    "A quieter part that plays exactly the same an octave up until it is changed")),
            membersHere(),
            plays);
  }

  private static Label caption(String words) {
    return Controls.whole(Controls.label(words, "small"));
  }

  private HBox membersHere() {
    HBox out = members("", "here-without-", here, this::takeHere);
    out.getChildren().set(0, Controls.whole(hereName));
    return out;
  }

  private static HBox members(String words, String ids, List<CheckBox> boxes, Runnable take) {
    FlowPane flow = Controls.flow();
    for (ChordMember member : ChordMember.values()) {
      CheckBox box = new CheckBox(member.toString().replaceFirst("^the |^what is ", ""));
      box.setId(ids + member.name().toLowerCase());
      box.setOnAction(event -> take.run());
      boxes.add(box);
      flow.getChildren().add(box);
    }
    flow.setPrefWrapLength(MEMBERS_WIDTH);
    HBox out = Controls.row(8, caption(words), flow);
    HBox.setHgrow(flow, Priority.ALWAYS);
    HBox.setHgrow(out, Priority.ALWAYS);
    return out;
  }

  @Override
  public String title() {
    return "part";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(ChordScene scene) {
    box.setDisable(scene.part().isEmpty());
    scene.part().ifPresent(part -> show(scene, part));
  }

  private void show(ChordScene scene, Part part) {
    FollowRule.Chords rule = scene.rule();
    boolean doubles = !part.rules(FollowRule.Doubling.class).isEmpty();
    plays.setText(doubles ? part.name() + ": " + PatternDescription.main(part, scene.song()) : "");
    plays.setVisible(doubles);
    plays.setManaged(doubles);
    spread.display(rule.kind());
    Controls.explained(spread, rule.kind().words());
    rhythm.display(rhythms(rule), rhythm(rule));
    strum.display(strumWord(rule));
    strumMillis.setVisible(rule.own().strum().filter(s -> s.millis() > 0).isPresent());
    strumMillis.show(String.valueOf(millis()));
    List<String> rows = new ArrayList<>(List.of(SECTION_ROW));
    scene.song().progressions().stream().map(Progression::name).forEach(rows::add);
    row.display(rows, rule.own().progression().orElse(SECTION_ROW));
    vary.show(String.valueOf(rule.vary().amount()));
    octaves.show(OCTAVES, OCTAVES.get(Math.max(0, Math.min(3, rule.layer().octaves() + 1))));
    gate.refresh();
    tick(everywhere, rule.layer().without());
    hereName.setText("out of " + scene.span().chord());
    tick(here, scene.span().articulation().without(part.id()));
  }

  private static void tick(List<CheckBox> boxes, Set<ChordMember> members) {
    for (int i = 0; i < boxes.size(); i++) {
      boxes.get(i).setSelected(members.contains(ChordMember.values()[i]));
    }
  }

  private static Set<ChordMember> ticked(List<CheckBox> boxes) {
    Set<ChordMember> out = EnumSet.noneOf(ChordMember.class);
    for (int i = 0; i < boxes.size(); i++) {
      if (boxes.get(i).isSelected()) {
        out.add(ChordMember.values()[i]);
      }
    }
    return out;
  }

  private static List<String> rhythms(FollowRule.Chords rule) {
    List<String> out = new ArrayList<>(List.of(AS_WRITTEN));
    Arrays.stream(RhythmFamily.values()).map(RhythmFamily::toString).forEach(out::add);
    if (rhythm(rule).equals(PATTERN_OF_ITS_OWN)) {
      out.add(PATTERN_OF_ITS_OWN);
    }
    return out;
  }

  private static String rhythm(FollowRule.Chords rule) {
    Optional<ChordRhythm> own = rule.own().rhythm();
    return own.map(r -> RhythmFamily.of(r).map(Object::toString).orElse(PATTERN_OF_ITS_OWN))
        .orElse(AS_WRITTEN);
  }

  private static String strumWord(FollowRule.Chords rule) {
    return rule.own()
        .strum()
        .map(s -> s.millis() == 0 ? "block" : s.up() ? "up" : "down")
        .orElse(AS_CHORDS);
  }

  private FollowRule.Chords rule() {
    return choice.scene().rule();
  }

  private ChordPartEdits edits() {
    return new ChordPartEdits(choice.part().map(Part::id).orElseThrow());
  }

  private int millis() {
    return rule().own().strum().map(Strum::millis).filter(m -> m > 0).orElse(USUAL_STRUM);
  }

  private void takeMillis(int wanted) {
    boolean up = rule().own().strum().map(Strum::up).orElse(true);
    choice.apply(edits().strum(Optional.of(new Strum(up, wanted, 0))));
  }

  private void strum(String word) {
    Optional<Strum> wanted =
        switch (word) {
          case "block" -> Optional.of(Strum.BLOCK);
          case "up" -> Optional.of(new Strum(true, millis(), 0));
          case "down" -> Optional.of(new Strum(false, millis(), 0));
          default -> Optional.empty();
        };
    heard(edits().strum(wanted));
  }

  private void takeRhythm(String word) {
    Optional<ChordRhythm> wanted =
        Arrays.stream(RhythmFamily.values())
            .filter(family -> family.toString().equals(word))
            .findFirst()
            .map(RhythmFamily::rhythm);
    if (wanted.isPresent() || word.equals(AS_WRITTEN)) {
      choice.apply(edits().rhythm(wanted));
    }
  }

  private void takeRow(String word) {
    Optional<String> wanted = Optional.of(word).filter(name -> !name.equals(SECTION_ROW));
    choice.apply(edits().progression(wanted));
  }

  private void varyAgain() {
    choice.apply(edits().vary(Math.max(6, rule().vary().amount()), rule().vary().seed() + 1));
  }

  private void takeSpread(VoicingKind kind) {
    heard(edits().spread(kind));
  }

  private void takeOctave(String word) {
    int by = OCTAVES.indexOf(word) - 1;
    heard(edits().layer(by, rule().layer().without()));
  }

  private void takeEverywhere() {
    heard(edits().layer(rule().layer().octaves(), ticked(everywhere)));
  }

  private void takeHere() {
    ChordScene scene = choice.scene();
    heard(edits().without(scene.row().name(), scene.chord(), ticked(here)));
  }

  private void heard(Edit edit) {
    choice.apply(edit);
    choice.hear();
  }

  private void addLayer() {
    Part model = choice.part().orElseThrow();
    PartId id = PartNames.freeId(choice.scene().song(), model.role());
    choice.apply(
        new PartEdits(model.id())
            .doubled(id, model.name() + " layer", 1, Set.of(ChordMember.BASS)));
    choice.context().open().song().part(id).ifPresent(choice.context().open()::select);
  }
}
