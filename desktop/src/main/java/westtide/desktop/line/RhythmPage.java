package westtide.desktop.line;

import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chooser;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.NumberField;
import westtide.desktop.kit.Page;
import westtide.desktop.room.GateBox;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.Edit;
import westtide.song.edit.line.LinePatternEdits;
import westtide.song.edit.line.LowEndEdits;
import westtide.song.line.Note;
import westtide.song.pattern.BorrowedRhythm;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.LineCycle;
import westtide.song.pattern.LowLine;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;

/**
 * Where the rhythm of a line comes from: a length of its own that runs against the bar, notes that
 * wait for every nth pass, or another part that it goes on following.
 */
final class RhythmPage implements Page<LineScene> {
  private final LineBench bench;
  private final NumberField steps =
      NumberField.held("cycle-steps", "repeats every, steps", 0, 64, this::stepsNow, this::steps)
          .inline();
  private final NumberField restart =
      NumberField.held(
              "cycle-restart", "restarts after, bars", 0, 16, this::restartNow, this::restart)
          .inline();
  private final NumberField every =
      NumberField.held("note-every", "plays in every … pass", 1, 16, this::everyNow, this::every)
          .inline();
  private final Chooser<String> models =
      new Chooser<>("rhythm-of", "the part whose rhythm is taken", List.of(), name -> {});
  private final Button borrow;
  private final Button gaps;
  private final Button own;
  private final GateBox gate;
  private final VBox box;
  private LineScene scene;

  RhythmPage(LineBench bench) {
    this.bench = bench;
    this.borrow =
        Controls.explained(
            Controls.action("rhythm-borrow", "take its rhythm", this::borrow),
            "Keeps the notes in their order and strikes them whenever that part does, also after"
                + " it changes");
    this.gaps =
        Controls.explained(
            Controls.action("rhythm-gaps", "play in its gaps", this::gaps),
            "A low line that sounds only while that part rests");
    this.own =
        Controls.explained(
            Controls.action("rhythm-own", "own rhythm again", this::own),
            "The rhythm this pattern had before");
    steps.telling("Sixteenths after which the line comes round; 0: as long as its bars");
    restart.telling("Bars after which a line of its own length begins again; 0: never");
    every.telling("Of the chosen notes, or of all: 4 plays in the fourth of every four passes");
    this.gate =
        new GateBox(
            bench.context(),
            bench.prefix(),
            () -> Optional.ofNullable(scene).map(s -> s.line().part()));
    this.box =
        Controls.column(
            4,
            Controls.flow(steps, restart, every),
            Controls.flow(
                Controls.whole(Controls.label("rhythm of", "small")), models, borrow, gaps, own),
            gate);
  }

  private NamedPattern pattern() {
    return scene.line().part().pattern(scene.line().pattern());
  }

  private Optional<Pattern.Written> written() {
    return pattern().pattern() instanceof Pattern.Written line
        ? Optional.of(line)
        : Optional.empty();
  }

  private LineCycle cycle() {
    return written().map(Pattern.Written::cycle).orElse(LineCycle.NONE);
  }

  private LinePatternEdits edits() {
    return new LinePatternEdits(scene.line().part().id(), scene.line().pattern());
  }

  private int stepsNow() {
    return cycle().steps();
  }

  private void steps(int wanted) {
    if (wanted != cycle().steps()) {
      int held = wanted == 1 ? (cycle().steps() == 0 ? 2 : 0) : wanted;
      apply(new LineCycle(held, cycle().restartBars()));
    }
  }

  private int restartNow() {
    return cycle().restartBars();
  }

  private void restart(int wanted) {
    if (wanted != cycle().restartBars()) {
      apply(new LineCycle(cycle().steps(), wanted));
    }
  }

  private void apply(LineCycle cycle) {
    bench.context().apply(edits().cycle(cycle));
  }

  private int everyNow() {
    return scene.meant().stream().mapToInt(Note::every).max().orElse(1);
  }

  private void every(int passes) {
    List<Note> before = scene.meant();
    List<Note> after = before.stream().map(note -> note.withEvery(passes)).toList();
    if (!after.equals(before) && written().isPresent()) {
      String name = passes == 1 ? "Play in every pass" : "Play in every " + passes + ". pass";
      bench.put(name, before, after);
    }
  }

  private Optional<Part> model() {
    return scene.line().song().parts().stream()
        .filter(part -> part.name().equals(models.value()))
        .findFirst();
  }

  private void borrow() {
    model().ifPresent(model -> follow(edits().borrow(model.id()), model));
  }

  private void gaps() {
    model()
        .ifPresent(
            model ->
                follow(
                    LowEndEdits.grammar(
                        scene.line().part().id(),
                        scene.line().pattern(),
                        "Gaps of " + model.name() + ", rhythm",
                        rule -> rule.listening(LowLine.Rhythm.GAPS, model.id())),
                    model));
  }

  /** Two parts that would wait for each other are refused in a sentence. */
  private void follow(Edit edit, Part model) {
    try {
      edit.apply(scene.line().song());
    } catch (IllegalArgumentException circle) {
      bench
          .context()
          .messages()
          .failed(
              model.name()
                  + " already listens to "
                  + scene.line().part().name()
                  + "; one of the two needs a rhythm of its own.");
      return;
    }
    bench.choose(List.of());
    bench.context().apply(edit);
  }

  private void own() {
    bench.context().apply(edits().ownRhythm());
  }

  @Override
  public String title() {
    return "rhythm";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(LineScene shown) {
    scene = shown;
    boolean line = written().isPresent();
    steps.setDisable(!line);
    restart.setDisable(!line || cycle().steps() == 0);
    every.setDisable(!line);
    steps.show(String.valueOf(cycle().steps()));
    restart.show(String.valueOf(cycle().restartBars()));
    every.show(String.valueOf(everyNow()));
    List<String> names = names(shown.line().song());
    String now =
        names.contains(models.value()) ? models.value() : names.isEmpty() ? "" : names.get(0);
    models.display(names, following().orElse(now));
    boolean grammar = pattern().rule(LowLine.class).isPresent();
    boolean borrows = pattern().rule(BorrowedRhythm.class).isPresent();
    boolean notes = line && !shown.line().notes().isEmpty();
    borrow.setDisable(names.isEmpty() || !(notes || grammar || borrows));
    gaps.setDisable(names.isEmpty() || !grammar);
    own.setDisable(following().isEmpty());
    gate.refresh();
  }

  private List<String> names(Song song) {
    return song.parts().stream()
        .filter(part -> part.role() != Role.DRUMS)
        .filter(part -> !part.id().equals(scene.line().part().id()))
        .map(Part::name)
        .toList();
  }

  /** The name of the part whose rhythm it follows now. */
  private Optional<String> following() {
    return pattern()
        .rule(FollowRule.class)
        .flatMap(FollowRule::hears)
        .flatMap(scene.line().song()::part)
        .map(Part::name);
  }
}
