package westtide.desktop.drums;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import westtide.compose.groove.EightBars;
import westtide.compose.groove.Fill;
import westtide.compose.groove.FillFamily;
import westtide.desktop.kit.Chooser;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.Page;
import westtide.desktop.kit.Picker;
import westtide.song.drum.DrumLane;
import westtide.song.edit.StickCount;
import westtide.song.pattern.GrooveChange;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;

/** Eight bars from two: plan, fills, crash and stick count, and in what a variation differs. */
final class EightPage implements Page<GrooveScene> {
  private static final int FOURTH = 3;
  private static final int EIGHTH = 7;
  private static final int SHOWN = 4;

  private final GrooveChoice choice;
  private final Chooser<EightBars.Plan> plan =
      new Chooser<>(
          "grow-plan",
          "which repeats differ",
          List.of(EightBars.Plan.values()),
          taken -> explain());
  private final Chooser<Optional<FillFamily>> fourth = fills("fill-4");
  private final Chooser<Optional<FillFamily>> eighth = fills("fill-8");
  private final CheckBox crash = new CheckBox("crash on the one");
  private final Label why = Controls.wrapped("", "small");
  private final Picker<FillFamily> here =
      new Picker<>("fill-here", "fill in this bar", this::takeFill);
  private final Label differs = Controls.wrapped("", "small");
  private final HBox link;
  private final VBox box;

  EightPage(GrooveChoice choice) {
    this.choice = choice;
    plan.display(EightBars.Plan.LAST);
    fourth.display(Optional.of(FillFamily.EXTRA_SNARE));
    eighth.display(Optional.of(FillFamily.EXTRA_SNARE));
    crash.setId("grow-crash");
    here.offer(List.of(FillFamily.values()));
    why.setId("grow-why");
    differs.setId("groove-differs");
    this.link =
        Controls.row(
            8,
            Controls.action(
                "groove-follow",
                "link again: drop the differences",
                () -> choice.apply(choice.edits().groove().follow())),
            Controls.action(
                "groove-alone", "unlink", () -> choice.apply(choice.edits().groove().unlink())));
    this.box = new VBox(3, growing(), why, single(), Controls.row(8, differs, link));
    explain();
  }

  @Override
  public String title() {
    return "eight bars";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(GrooveScene scene) {
    boolean follows = scene.pattern().pattern() instanceof Pattern.Varied;
    link.setVisible(follows);
    link.setManaged(follows);
    differs.setText(
        scene.pattern().pattern() instanceof Pattern.Varied varied
            ? description(varied, scene)
            : followers(scene));
  }

  private Node growing() {
    return Controls.flow(
        small("plan"),
        plan,
        small("bar 4"),
        fourth,
        small("bar 8"),
        eighth,
        crash,
        Controls.action("grow-groove", "grow to eight bars", this::grow));
  }

  private Node single() {
    return Controls.flow(
        here, Controls.action("stick-count", "open the song with a stick count", this::sticks));
  }

  private static Label small(String words) {
    return Controls.whole(Controls.label(words, "small"));
  }

  private Chooser<Optional<FillFamily>> fills(String id) {
    List<Optional<FillFamily>> families = new ArrayList<>(List.of(Optional.empty()));
    Arrays.stream(FillFamily.values()).map(Optional::of).forEach(families::add);
    return new Chooser<>(
        id,
        "family of a fill",
        families,
        family -> family.map(FillFamily::toString).orElse("no fill"),
        taken -> explain());
  }

  private void explain() {
    List<String> words = new ArrayList<>();
    words.add(plan.value().words());
    eighth.value().map(FillFamily::words).ifPresent(words::add);
    why.setText(String.join(" ", words));
  }

  /** Adds the groove in front grown to eight bars, linked to it, under a name of its own. */
  private void grow() {
    GrooveScene scene = choice.scene();
    Map<Integer, FillFamily> fills = new HashMap<>();
    fourth.value().ifPresent(family -> fills.put(FOURTH, family));
    eighth.value().ifPresent(family -> fills.put(EIGHTH, family));
    EightBars growth = new EightBars(plan.value(), fills, crash.isSelected());
    Pattern.Drums grown = growth.grow(scene.groove(), scene.meter(), choice.lastSeed());
    String name = freeName(scene, choice.groove() + " in eight, " + plan.value());
    choice.apply(choice.edits().groove().grow(name, grown));
    choice.chooseGroove(name);
    choice
        .context()
        .messages()
        .done("Groove " + name + " follows its parent; choose it for a section in the form.");
  }

  private static String freeName(GrooveScene scene, String wanted) {
    List<String> names = scene.part().patterns().stream().map(NamedPattern::name).toList();
    String name = wanted;
    for (int number = 2; names.contains(name); number++) {
      name = wanted + " " + number;
    }
    return name;
  }

  private void takeFill(FillFamily family) {
    GrooveScene scene = choice.scene();
    int bar = scene.tick() / scene.meter().ticksPerBar();
    Pattern.Drums filled = Fill.in(scene.groove(), scene.meter(), bar, family, true);
    choice.apply(choice.edits().groove().replace("Fill bar " + (bar + 1) + ": " + family, filled));
    choice.context().messages().done(family.words());
  }

  private void sticks() {
    choice.apply(StickCount.in(choice.scene().part().id()));
    choice.context().messages().done("The first bar of the song is four sticks now.");
  }

  private static String description(Pattern.Varied varied, GrooveScene scene) {
    List<GrooveChange> changes = varied.changes();
    if (changes.isEmpty()) {
      return "follows " + varied.parent() + " in everything";
    }
    List<String> first = changes.stream().limit(SHOWN).map(c -> words(c, scene)).toList();
    String more = changes.size() > SHOWN ? " and " + (changes.size() - SHOWN) + " more" : "";
    return "follows " + varied.parent() + " but for " + String.join(", ", first) + more;
  }

  private static String words(GrooveChange change, GrooveScene scene) {
    if (change instanceof GrooveChange.OnStep step) {
      int grid = scene.groove().find(step.lane()).map(DrumLane::grid).orElseThrow().ticks();
      return step.lane()
          + (step.hit().isEmpty() ? " out at " : " at ")
          + scene.position(step.step() * grid);
    }
    if (change instanceof GrooveChange.WholeLane whole) {
      return "the " + whole.lane().id() + " lane";
    }
    if (change instanceof GrooveChange.Without without) {
      return "no " + without.lane();
    }
    return "the restart";
  }

  /** Which grooves follow the one in front. */
  private static String followers(GrooveScene scene) {
    List<String> names =
        scene.part().patterns().stream()
            .filter(
                v ->
                    v.pattern() instanceof Pattern.Varied varied
                        && varied.parent().equals(scene.pattern().name()))
            .map(NamedPattern::name)
            .toList();
    return names.isEmpty()
        ? "not linked; grown grooves follow it wherever they are not changed"
        : "followed by " + String.join("; ", names);
  }
}
