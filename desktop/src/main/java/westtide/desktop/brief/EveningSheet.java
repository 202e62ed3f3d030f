package westtide.desktop.brief;

import java.util.Optional;
import java.util.Set;
import java.util.function.ObjIntConsumer;
import javafx.scene.text.Text;
import westtide.desktop.kit.Drawing;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.Pull;
import westtide.desktop.kit.sheet.Axis;
import westtide.desktop.kit.sheet.SheetGestures;
import westtide.review.finding.Stage;
import westtide.song.Plan;

/** The minutes a stage is given, as water in a glass that is pulled up and down. */
final class EveningSheet extends Drawing implements SheetGestures.Sheet<Stage> {
  private static final double HEIGHT = 112;
  private static final int FULL = 60;
  private static final int NUDGE = 5;

  private final ObjIntConsumer<String> give;
  private final KeyTable keys =
      new KeyTable("The evening")
          .key("stage before", () -> walk(-1), "LEFT")
          .key("next stage", () -> walk(1), "RIGHT")
          .key("five minutes more", () -> nudge(NUDGE), "UP")
          .key("five minutes less", () -> nudge(-NUDGE), "DOWN");
  private Plan plan = Plan.NONE;
  private Stage chosen = Stage.BRIEF;

  /** A sheet; {@code give} takes a stage's name and its minutes. */
  EveningSheet(ObjIntConsumer<String> give) {
    super("The evening: minutes for each stage", true);
    this.give = give;
    setId("evening-sheet");
    SheetGestures.on(this, this);
    keepHeight(HEIGHT);
  }

  void show(Plan shown) {
    plan = shown;
    redraw();
  }

  private Axis level() {
    return new Axis(0, FULL, getHeight() - scaled(22), scaled(42));
  }

  private double wide() {
    return (getWidth() - 28) / Stage.values().length;
  }

  private double left(Stage stage) {
    return 14 + stage.ordinal() * wide();
  }

  private int minutes(Stage stage) {
    return plan.minutes().getOrDefault(stage.toString(), 0);
  }

  @Override
  protected void draw() {
    ring(1, 1, getWidth() - 2, getHeight() - 2);
    int sum = plan.minutes().values().stream().mapToInt(m -> m).sum();
    String words =
        sum == 0
            ? "the evening: pull a glass up to give a stage its minutes"
            : "the evening: " + sum + " minutes planned";
    fit(text(14, scaled(18), words, "soft"), getWidth() - 28);
    for (Stage stage : Stage.values()) {
      draw(stage);
    }
  }

  private void draw(Stage stage) {
    Axis y = level();
    int minutes = minutes(stage);
    double left = left(stage);
    double width = wide() - 5;
    double top = y.at(Math.min(FULL, minutes));
    box(left, top, width, y.from() - top, "evening-water");
    box(left, y.to(), width, y.from() - y.to(), "evening-glass");
    if (stage == chosen && isFocused()) {
      chosenRing(left - 2, y.to() - 2, width + 4, y.from() - y.to() + 4);
    }
    Text name = text(left, getHeight() - scaled(6), stage.toString(), "soft");
    squeeze(name, width);
    String figure = minutes == 0 ? "–" : String.valueOf(minutes);
    textCentred(left + width / 2, y.to() - scaled(5), 200, figure, minutes == 0 ? "soft" : "bold");
    thing(
        box(left, y.to(), width, y.from() - y.to(), "hit-area"),
        "evening-" + stage.name().toLowerCase().replace('_', '-'),
        "minutes",
        stage + " " + minutes + " minutes",
        stage == chosen);
  }

  @Override
  public Optional<Stage> at(double x, double y) {
    int index = (int) Math.floor((x - 14) / wide());
    boolean inside = index >= 0 && index < Stage.values().length && y > level().to() - 10;
    return inside ? Optional.of(Stage.values()[index]) : Optional.empty();
  }

  @Override
  public Set<Stage> chosen() {
    return Set.of(chosen);
  }

  @Override
  public void choose(Set<Stage> marks) {
    marks.stream().findFirst().ifPresent(stage -> chosen = stage);
    redraw();
  }

  @Override
  public Optional<Pull> grab(Stage stage, double x, double y, boolean alt) {
    choose(Set.of(stage));
    return Optional.of(
        (toX, toY) -> {
          int minutes = NUDGE * (int) Math.round(level().nearest(toY) / (double) NUDGE);
          give.accept(stage.toString(), minutes);
          return stage + " " + minutes + " min";
        });
  }

  private void walk(int by) {
    int to = Math.max(0, Math.min(Stage.values().length - 1, chosen.ordinal() + by));
    choose(Set.of(Stage.values()[to]));
  }

  private void nudge(int minutes) {
    give.accept(chosen.toString(), Math.max(0, minutes(chosen) + minutes));
  }

  @Override
  public KeyTable keys() {
    return keys;
  }
}
