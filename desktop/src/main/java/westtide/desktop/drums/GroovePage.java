package westtide.desktop.drums;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import westtide.compose.School;
import westtide.compose.groove.BuildOrder;
import westtide.compose.groove.Busyness;
import westtide.compose.groove.DrawnLane;
import westtide.compose.groove.GrooveDraft;
import westtide.compose.groove.GrooveFeel;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.NumberField;
import westtide.desktop.kit.Page;
import westtide.desktop.kit.Picker;
import westtide.desktop.kit.TypedLine;
import westtide.song.drum.DrumLane;
import westtide.song.drum.LaneId;
import westtide.song.edit.PatternEdits;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.style.GrooveHabit;
import westtide.text.Reading;

/** The groove as a whole, drafted by the style: lane by lane, anew, simpler, busier, by school. */
final class GroovePage implements Page<GrooveScene> {
  private static final int LANE_TRIES = 12;
  private static final List<School> SCHOOLS =
      List.of(School.EIGHT_BARS, School.DRUM_COPIES, School.KICK_VELOCITY);

  private final GrooveChoice choice;
  private final Button next;
  private final Label why = Controls.wrapped("", "small");
  private final Map<School, Chips<String>> schools = new EnumMap<>(School.class);
  private final Picker<String> feel =
      new Picker<>("feel-from", "copy groove timing from", this::takeFeel);
  private final NumberField amount =
      NumberField.held("feel-amount", "by %", 0, 100, this::amount, this::takeAmount).inline();
  private final TypedLine name = new TypedLine("groove-name", "its name", this::takeName);
  private final VBox box;
  private int percent = 100;

  GroovePage(GrooveChoice choice) {
    this.choice = choice;
    this.next = Controls.action("groove-next", "", this::next);
    why.setId("groove-why");
    amount.show(String.valueOf(percent));
    name.field().setPrefWidth(84);
    this.box = new VBox(5, build(), why, schools(), files());
  }

  @Override
  public String title() {
    return "groove";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(GrooveScene scene) {
    Optional<DrawnLane> coming = BuildOrder.next(scene.groove(), habit(), choice.lastSeed());
    next.setText(coming.map(drawn -> "add " + drawn.lane().id()).orElse("all lanes are in"));
    next.setDisable(coming.isEmpty());
    LaneId lane = scene.chosen().id();
    why.setText(lane + ": " + reason(lane));
    schools.forEach(
        (school, chips) ->
            school.answer(scene.song()).ifPresent(answer -> chips.show(school.answers(), answer)));
    name.show(scene.pattern().name());
    feel.offer(
        scene.part().patterns().stream()
            .map(NamedPattern::name)
            .filter(other -> !other.equals(choice.groove()))
            .toList());
  }

  private String reason(LaneId id) {
    return choice
        .scene()
        .view()
        .style()
        .why(id.toString())
        .orElse("not one of the style's own; it is yours.");
  }

  private GrooveHabit habit() {
    return choice.scene().view().style().groove();
  }

  private FlowPane build() {
    return Controls.flow(
        Controls.action("groove-begin", "begin with the kick", this::begin),
        next,
        Controls.action("groove-simpler", "simpler", this::simpler),
        Controls.action("groove-busier", "busier", this::busier),
        Controls.action("lane-take", "new take of the lane", this::newLane),
        Controls.action("groove-take", "of all", this::newTake),
        Controls.whole(Controls.label("name", "small")),
        name);
  }

  private FlowPane schools() {
    FlowPane row = Controls.flow();
    for (School school : SCHOOLS) {
      Chips<String> chips =
          new Chips<>("drum-school-", answer -> answer, answer -> takeSchool(school, answer));
      chips.getStyleClass().add("small-chips");
      schools.put(school, chips);
      Label name = Controls.whole(Controls.label(school.title(), "small"));
      Controls.explained(name, school.words());
      row.getChildren().add(Controls.row(6, name, chips));
    }
    row.setHgap(14);
    return row;
  }

  private FlowPane files() {
    return Controls.flow(
        feel,
        amount,
        Controls.action("feel-import", "feel of a MIDI file", this::readFeel),
        Controls.action("groove-copy", "copy it", this::copy),
        Controls.explained(
            Controls.action("groove-empty", "new, empty", this::blank),
            "Another groove with the lanes of this one and nothing in them"),
        Controls.action("groove-drop", "delete groove", this::drop),
        Controls.action("groove-import", "read from MIDI", this::read),
        Controls.action("groove-export", "write as MIDI", this::write));
  }

  private void takeSchool(School school, String answer) {
    GrooveScene scene = choice.scene();
    choice.apply(school.take(answer, scene.song(), scene.view().style()));
  }

  private void begin() {
    choice.apply(
        choice
            .edits()
            .groove()
            .replace("Begin with the kick", BuildOrder.begun(habit(), choice.nextSeed())));
    choice.hear();
  }

  private void next() {
    BuildOrder.next(choice.scene().groove(), habit(), choice.lastSeed())
        .ifPresent(
            drawn -> {
              LaneId id = drawn.lane().id();
              choice.apply(choice.edits().with("Add " + id, drawn.lane()));
              choice.choose(choice.scene().groove().lanes().size() - 1, 0);
              tell(id + ": " + drawn.words() + ".");
            });
  }

  private void simpler() {
    GrooveScene scene = choice.scene();
    Pattern.Drums less = new Busyness(scene.meter()).simpler(scene.groove());
    choice.apply(choice.edits().groove().replace("Make the groove simpler", less));
    tell("Simpler: rolls became strokes, or the weakest hits off the beat went.");
  }

  private void busier() {
    GrooveScene scene = choice.scene();
    Pattern.Drums more =
        new Busyness(scene.meter()).busier(scene.groove(), habit(), choice.nextSeed());
    choice.apply(choice.edits().groove().replace("Make the groove busier", more));
    tell("Busier: hits came where the style's other grooves have them, soft and off the beat.");
  }

  private void tell(String words) {
    choice.context().messages().done(words);
  }

  /** Drafts the groove in front anew from the next seed. */
  void newTake() {
    List<NamedPattern> drawn = new GrooveDraft(habit(), choice.nextSeed()).draw();
    NamedPattern same =
        drawn.stream()
            .filter(v -> v.name().equals(choice.groove()))
            .findFirst()
            .orElse(drawn.get(0));
    choice.apply(
        choice
            .edits()
            .groove()
            .replace("New take of groove " + choice.groove(), (Pattern.Drums) same.pattern()));
  }

  /**
   * Drafts the chosen lane anew by the style and keeps the rest; seeds are tried until it differs.
   */
  private void newLane() {
    DrumLane now = choice.scene().chosen();
    for (int tries = 0; tries < LANE_TRIES; tries++) {
      Optional<DrawnLane> drawn =
          new GrooveDraft(habit(), choice.nextSeed()).draw(now.id(), choice.scene().groove());
      if (drawn.isPresent() && !drawn.get().lane().lane().equals(now.lane())) {
        choice.apply(choice.edits().lane(now.id(), drawn.get().lane().lane()));
        tell(now.id() + ": " + drawn.get().words() + ".");
        return;
      }
    }
    String style = choice.scene().view().style().name();
    tell(style + " has no other idea for the " + now.id() + " lane.");
  }

  private Optional<Reading.Problem<?>> takeName(String text) {
    try {
      choice.apply(choice.edits().groove().asPattern().rename(text));
    } catch (IllegalArgumentException e) {
      return Optional.of(new Reading.Problem<>(1, e.getMessage()));
    }
    choice.chooseGroove(text.strip());
    return Optional.empty();
  }

  private int amount() {
    return percent;
  }

  private void takeAmount(int wanted) {
    if (wanted < 0 || wanted > 100) {
      throw new IllegalArgumentException("feel is applied by 0 to 100 %, but was " + wanted);
    }
    percent = wanted;
    amount.show(String.valueOf(percent));
  }

  private void takeFeel(String from) {
    GrooveScene scene = choice.scene();
    takeFeel(from, scene.part().groove(from, scene.meter()).orElseThrow());
  }

  private void takeFeel(String from, Pattern.Drums model) {
    GrooveScene scene = choice.scene();
    Pattern.Drums felt =
        GrooveFeel.of(model, scene.meter()).on(scene.groove(), scene.meter(), percent);
    choice.apply(choice.edits().groove().replace("Copy groove timing from " + from, felt));
    tell("Timing and velocity of " + from + " taken by " + percent + " %.");
  }

  /** Adds a copy of the groove in front. */
  void copy() {
    String added = freeName();
    choice.apply(choice.edits().groove().asPattern().copyAs(added));
    choice.chooseGroove(added);
    tell("Groove " + added + " added; choose it for a section in the form.");
  }

  /** Adds a groove without hits. */
  void blank() {
    String added = freeName();
    choice.apply(choice.edits().groove().blank(added));
    choice.chooseGroove(added);
    tell("Groove " + added + " is empty; write its lanes, then use it in a section.");
  }

  private String freeName() {
    List<String> names = choice.scene().part().patterns().stream().map(NamedPattern::name).toList();
    String name = "B";
    for (char letter = 'B'; names.contains(name) && letter < 'Z'; letter++) {
      name = String.valueOf((char) (letter + 1));
    }
    return name;
  }

  private void drop() {
    if (choice.scene().part().patterns().size() == 1) {
      tell("The last groove stays.");
      return;
    }
    choice.apply(choice.edits().groove().asPattern().drop());
  }

  private void read() {
    GrooveScene scene = choice.scene();
    choice
        .context()
        .grooves()
        .read(
            scene.meter(),
            scene.swing(),
            (name, groove) -> {
              choice.apply(new PatternEdits(choice.scene().part().id(), name).add(groove));
              choice.chooseGroove(name);
            });
  }

  private void readFeel() {
    GrooveScene scene = choice.scene();
    choice.context().grooves().read(scene.meter(), scene.swing(), this::takeFeel);
  }

  private void write() {
    choice.context().grooves().write(choice.scene().part().id(), choice.groove());
  }
}
