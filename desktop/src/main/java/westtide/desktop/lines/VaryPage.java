package westtide.desktop.lines;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import westtide.compose.line.LineDraft;
import westtide.compose.line.LineVariation;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.Page;
import westtide.desktop.line.HeardLine;
import westtide.desktop.line.LineBench;
import westtide.desktop.line.LineScene;
import westtide.desktop.room.PatternTrial;
import westtide.desktop.room.RoomContext;
import westtide.song.Brief;
import westtide.song.edit.line.LineEdits;
import westtide.song.id.Seed;
import westtide.song.line.Note;
import westtide.song.pattern.Pattern;
import westtide.style.PartHabit;
import westtide.theory.Interval;

/**
 * Another version of the line in front: a variation that says what it did, or one of three takes
 * that are heard in turn over the song before one is kept.
 */
final class VaryPage implements Page<LineScene> {
  private static final int TAKES = 3;
  private static final String NOW = "as it is";

  /** The interval habit a take is drawn with. */
  private enum Mood {
    STYLE("as the style"),
    BRIGHT("bright, leaps"),
    SAD("sad, neighbours");

    private final String title;

    Mood(String title) {
      this.title = title;
    }

    PartHabit.Lead of(PartHabit.Lead habit) {
      return this == STYLE ? habit : habit.withBright(this == BRIGHT);
    }

    @Override
    public String toString() {
      return title;
    }
  }

  private final RoomContext context;
  private final LineBench bench;
  private final Chips<Mood> moods = new Chips<>("mood-", Mood::toString, this::mood);
  private final Chips<String> takes = new Chips<>("take-", name -> name, this::hear);
  private final Label told = Controls.wrapped("", "small");
  private final VBox box;
  private final Node keeping;
  private Mood mood = Mood.STYLE;
  private List<Pattern.Written> drawn = List.of();
  private String drawnFor = "";
  private String heard = NOW;
  private long seed;
  private LineScene scene;

  VaryPage(RoomContext context, LineBench bench) {
    this.context = context;
    this.bench = bench;
    moods.getStyleClass().add("small-chips");
    takes.getStyleClass().add("small-chips");
    told.setId("vary-told");
    FlowPane variations = Controls.flow();
    for (LineVariation variation : LineVariation.values()) {
      String id = "vary-" + variation.name().toLowerCase().replace('_', '-');
      variations
          .getChildren()
          .add(Controls.action(id, variation.toString(), () -> vary(variation)));
    }
    this.keeping =
        Controls.row(8, takes, Controls.action("take-keep", "keep this take", this::keep));
    this.box =
        Controls.column(
            4,
            variations,
            Controls.flow(
                Controls.explained(
                    Controls.action("take-three", "three takes", this::three),
                    "Draws three lines from new seeds, to be heard in turn before one is kept"),
                moods,
                keeping),
            told);
  }

  private void mood(Mood chosen) {
    mood = chosen;
    moods.show(List.of(Mood.values()), mood);
  }

  private Optional<HeardLine> line() {
    return bench.line().filter(HeardLine::written);
  }

  private PartHabit.Lead habit() {
    return context.open().view().orElseThrow().style().lead();
  }

  private void vary(LineVariation variation) {
    Optional<HeardLine> shown = line();
    if (shown.isEmpty()) {
      told.setText("A rule plays this pattern; write it out in pattern … to vary its notes.");
      return;
    }
    HeardLine line = shown.get();
    Brief brief = line.song().brief();
    LineVariation.Setting setting =
        new LineVariation.Setting(
            brief.key(), brief.meter(), habit(), line.harmony().chords(), line.bars());
    Seed from = new Seed(line.song().seed() + ++seed);
    context.compute(
        () -> variation.of(line.notes(), setting, from.random("vary")),
        varied -> take(line, variation, varied));
  }

  private void take(HeardLine line, LineVariation variation, LineVariation.Varied varied) {
    List<Note> notes = varied.notes().stream().filter(note -> note.start() < line.ticks()).toList();
    if (notes.equals(line.notes())) {
      told.setText("That changes nothing here: " + variation + ".");
      return;
    }
    String title = variation.toString();
    String name = Character.toUpperCase(title.charAt(0)) + title.substring(1);
    context.apply(line.put(name + ", " + line.part().name(), line.notes(), notes));
    told.setText(varied.told());
  }

  private void three() {
    Optional<HeardLine> shown = line();
    if (shown.isEmpty()) {
      told.setText("A rule plays this pattern; write it out in pattern … to draw takes of it.");
      return;
    }
    HeardLine line = shown.get();
    Brief brief = line.song().brief();
    LineDraft draft = new LineDraft(brief.key(), brief.meter(), mood.of(habit()));
    long from = line.song().seed() + 1000 + TAKES * ++seed;
    context.compute(
        () -> {
          List<Pattern.Written> out = new ArrayList<>();
          for (int i = 0; i < TAKES; i++) {
            out.add(draft.draw(line.progression(), new Seed(from + i)));
          }
          return out;
        },
        out -> offer(line, out));
  }

  private void offer(HeardLine line, List<Pattern.Written> out) {
    drawn = out;
    drawnFor = name(line);
    heard = NOW;
    show(scene);
    hear(takeNames().get(1));
  }

  private static String name(HeardLine line) {
    return line.song().title() + "/" + line.part().id() + "/" + line.pattern();
  }

  private List<String> takeNames() {
    List<String> out = new ArrayList<>(List.of(NOW));
    for (int i = 1; i <= drawn.size(); i++) {
      out.add("take " + i);
    }
    return out;
  }

  /** Loops a take over the song as it is; the song stays. */
  private void hear(String name) {
    Optional<HeardLine> shown = line();
    if (shown.isEmpty()) {
      return;
    }
    heard = name;
    takes.show(takeNames(), heard);
    int index = takeNames().indexOf(name) - 1;
    HeardLine line = shown.get();
    LineEdits edits = new LineEdits(line.part().id(), line.pattern());
    Pattern now = line.part().pattern(line.pattern()).pattern();
    Pattern take = index < 0 ? now : drawn.get(index);
    int bars = index < 0 ? line.bars() : drawn.get(index).bars();
    PatternTrial.of(line.song(), line.part().id(), line.pattern(), bars, line.place())
        .map(trial -> trial.with(edits.replace("", take).change()::apply))
        .ifPresent(trial -> context.play().tryOut(trial.change(), trial.range()));
    told.setText(index < 0 ? "The line as it is." : told(drawn.get(index), line));
  }

  /** What a take differs in, in words. */
  private static String told(Pattern.Written take, HeardLine line) {
    int low = take.notes().stream().mapToInt(Note::key).min().orElse(0);
    int high = take.notes().stream().mapToInt(Note::key).max().orElse(0);
    long starts =
        take.notes().stream()
            .filter(n -> line.notes().stream().anyMatch(o -> o.start() == n.start()))
            .count();
    return take.notes().size()
        + " notes in "
        + take.bars()
        + " bars, over "
        + Interval.semitones(high - low)
        + "; "
        + starts
        + " start where a note of the line starts now.";
  }

  private void keep() {
    int index = takeNames().indexOf(heard) - 1;
    Optional<HeardLine> shown = line();
    context.play().stop();
    if (index >= 0 && shown.isPresent()) {
      HeardLine line = shown.get();
      LineEdits edits = new LineEdits(line.part().id(), line.pattern());
      context.apply(
          edits.replace(
              "Keep take " + (index + 1) + " of " + line.part().name(), drawn.get(index)));
      told.setText("Take " + (index + 1) + " is kept. Undo brings the old line back.");
    }
    drawn = List.of();
    show(scene);
  }

  @Override
  public String title() {
    return "vary";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(LineScene shown) {
    scene = shown;
    moods.show(List.of(Mood.values()), mood);
    boolean offered = !drawn.isEmpty() && drawnFor.equals(name(shown.line()));
    keeping.setVisible(offered);
    keeping.setManaged(offered);
    if (offered) {
      takes.show(takeNames(), heard);
    }
  }
}
