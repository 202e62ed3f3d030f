package westtide.desktop.drums;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.collections.FXCollections;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.compose.EightBars;
import westtide.compose.GrooveDraft;
import westtide.compose.Seed;
import westtide.desktop.Desk;
import westtide.desktop.Room;
import westtide.desktop.SongView;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.TypedLine;
import westtide.desktop.play.Moment;
import westtide.review.Stage;
import westtide.rhythm.Hit;
import westtide.rhythm.LaneFeel;
import westtide.rhythm.LaneText;
import westtide.rhythm.Position;
import westtide.rhythm.StepLane;
import westtide.rhythm.Swing;
import westtide.rhythm.Ticks;
import westtide.rhythm.Velocity;
import westtide.rhythm.When;
import westtide.song.Brief;
import westtide.song.DrumLane;
import westtide.song.DrumVoice;
import westtide.song.Part;
import westtide.song.Pattern;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.Variant;
import westtide.song.edit.DrumEdits;
import westtide.sound.Audible;
import westtide.text.Reading;

/** Grooves: bead lines, the typed line of a lane and the hit under the cursor. */
public final class DrumsRoom implements Room {
  private static final int LANE_TRIES = 12;

  private final Desk desk;
  private final VBox sheet = new VBox();
  private final Chips<String> grooves;
  private final Label size = Controls.label("", "small");
  private final BeadSheet beads;
  private final TypedLine laneLine;
  private final Label laneName = Controls.label("", "strong");
  private final LaneWays ways;
  private final Label told = Controls.wrapped("");
  private final ComboBox<EightBars.Plan> grow = new ComboBox<>();
  private final ComboBox<DrumVoice> more = new ComboBox<>();
  private String groove = GrooveDraft.MAIN;
  private long take;

  /** The room. */
  public DrumsRoom(Desk desk) {
    this.desk = desk;
    this.grooves = new Chips<>("groove-", name -> name, this::choose);
    this.beads = new BeadSheet(new Fingers());
    this.laneLine =
        new TypedLine(
            "lane-line",
            "x hit, X accent, o soft, . rest, x3 roll, x/4 every fourth pass",
            this::takeLane);
    this.ways = new LaneWays(desk, beads::voice, this::current, this::edits);
    build();
    desk.play().watch(beads::redraw);
  }

  @Override
  public Stage stage() {
    return Stage.DRUMS;
  }

  @Override
  public Node node() {
    return sheet;
  }

  @Override
  public String fact(SongView view) {
    return drums(view.song())
        .map(p -> "grooves " + String.join(", ", p.variants().stream().map(Variant::name).toList()))
        .orElse("no drums");
  }

  @Override
  public void show(SongView view) {
    Optional<Part> drums = drums(view.song());
    if (drums.isEmpty()) {
      return;
    }
    List<String> names = drums.get().variants().stream().map(Variant::name).toList();
    groove = names.contains(groove) ? groove : names.get(0);
    grooves.show(names, groove);
    Pattern.Drums shown = (Pattern.Drums) drums.get().variant(groove).pattern();
    Brief brief = view.song().brief();
    size.setText(
        shown.bars()
            + (shown.bars() == 1 ? " bar" : " bars")
            + " · sixteenths · swing "
            + brief.swing()
            + " %");
    beads.show(shown, brief.meter(), brief.swing());
    ways.show(shown, brief.meter());
    more.setItems(
        FXCollections.observableList(
            Arrays.stream(DrumVoice.values()).filter(v -> !beads.voices().contains(v)).toList()));
    showCursor();
  }

  @Override
  public void follow(Moment moment) {
    Song song = desk.open().song();
    Optional<Part> drums = drums(song);
    if (drums.isPresent() && moment.plays(song, drums.get(), groove)) {
      int length = current().orElseThrow().bars() * song.brief().meter().ticksPerBar();
      beads.playAt(moment.sectionTick() % length);
    } else {
      beads.playNowhere();
    }
  }

  private void build() {
    sheet.getStyleClass().add("sheet");
    VBox.setVgrow(beads, Priority.ALWAYS);
    HBox.setHgrow(laneLine, Priority.ALWAYS);
    laneLine.field().getStyleClass().add("small-typed");
    laneName.setMinWidth(84);
    told.setId("hit-told");
    grow.setId("grow-groove");
    grow.setPromptText("grow to 8 bars");
    grow.setAccessibleText("grow the groove to eight bars by a plan");
    grow.getItems().addAll(EightBars.Plan.values());
    grow.setMinWidth(150);
    grow.setOnAction(event -> growTo(grow.getValue()));
    more.setId("add-voice");
    more.setPromptText("add a voice");
    more.setAccessibleText("add a voice to the groove");
    more.setOnAction(event -> addVoice());
    sheet
        .getChildren()
        .addAll(
            Controls.row(14, Controls.title("Groove"), grooves, Controls.spring(), size),
            beads,
            Controls.row(10, laneName, laneLine, more),
            ways,
            told,
            Controls.row(
                4,
                Controls.wrapped(
                    "click places or takes away, drag sets velocity; keys: arrows, Enter, 1–9 velocity, R roll, V its swell, F flam, C passes, Q chance, , and . early and late, M mute, A alone",
                    "small"),
                Controls.spring(),
                grow,
                Controls.action("groove-copy", "copy this groove", this::copy),
                Controls.action("lane-take", "new take of this lane", this::newLane),
                Controls.action("groove-take", "of all", this::newTake)));
  }

  /** How the chosen lane is played. */
  private LaneFeel feel() {
    return current().map(groove -> groove.feel(beads.voice())).orElse(LaneFeel.PLAIN);
  }

  private void showCursor() {
    DrumVoice voice = beads.voice();
    laneName.setText(voice.toString());
    current().flatMap(g -> g.lane(voice)).ifPresent(lane -> laneLine.show(lane.toString()));
    ways.show(feel());
    Brief brief = desk.open().song().brief();
    int tick = Ticks.ofSteps(beads.laneStep());
    String at = voice + " · " + Position.of(tick, brief.meter()) + " · ";
    String choked = beads.choked() ? " · silent, the open hat plays here" : "";
    told.setText(
        at
            + beads
                .hit()
                .map(hit -> tell(hit, feel().late(beads.laneStep()), tick, brief) + choked)
                .orElse("no hit"));
  }

  private static String tell(Hit hit, int late, int tick, Brief brief) {
    Swing swing = brief.swing();
    long off = swing.at((long) tick + late + hit.nudge()) - tick;
    long ms = Math.round(brief.tempo().millis(off));
    String timing =
        off == 0
            ? "on the grid"
            : (off > 0 ? "+" : "") + off + " ticks off the grid (" + ms + " ms)";
    String swell = hit.ramp() > 0 ? ", rising" : hit.ramp() < 0 ? ", falling" : ", level";
    String roll = hit.strokes() == 1 ? "one stroke" : hit.strokes() + " strokes" + swell;
    String flam = hit.flam() == 0 ? "" : " · flam " + hit.flam() + " ticks before";
    String some = hit.when().equals(When.ALWAYS) ? "" : " · " + BeadSheet.words(hit.when());
    return "velocity " + hit.velocity() + " · " + timing + " · " + roll + flam + some;
  }

  private void choose(String name) {
    groove = name;
    desk.open().view().ifPresent(this::show);
  }

  private Optional<TypedLine.Trouble> takeLane(String text) {
    Reading<StepLane> reading = LaneText.read(text);
    if (reading instanceof Reading.Problem<StepLane> problem) {
      return Optional.of(new TypedLine.Trouble(problem.column(), problem.message()));
    }
    desk.apply(edits().typed(beads.voice(), reading.orElseThrow()));
    touch(beads.voice(), Velocity.HIT);
    return Optional.empty();
  }

  private void touch(DrumVoice voice, int velocity) {
    desk.play().touch(drums(desk.open().song()).orElseThrow(), voice.note(), velocity);
  }

  private void addVoice() {
    DrumVoice voice = more.getValue();
    if (voice != null) {
      more.setValue(null);
      desk.apply(edits().addVoice(voice));
    }
  }

  /** Adds the groove in front grown to eight bars by a plan, under a name of its own. */
  private void growTo(EightBars.Plan plan) {
    if (plan == null) {
      return;
    }
    grow.setValue(null);
    SongView view = desk.open().view().orElseThrow();
    String name = groove + " in eight, " + plan;
    Pattern.Drums grown =
        new EightBars(
                current().orElseThrow(),
                view.song().brief().meter(),
                plan,
                new Seed(view.song().seed() + take))
            .grow();
    desk.apply(edits().add(name, grown));
    choose(name);
    desk.messages().done("Groove " + name + " added; choose it for a section in the form.");
  }

  /** Adds a copy of the groove in front. */
  public void copy() {
    List<String> names =
        drums(desk.open().song()).orElseThrow().variants().stream().map(Variant::name).toList();
    String name = "B";
    for (char letter = 'B'; names.contains(name) && letter < 'Z'; letter++) {
      name = String.valueOf((char) (letter + 1));
    }
    String added = name;
    desk.apply(edits().copyAs(added));
    choose(added);
    desk.messages().done("Groove " + added + " added; choose it for a section in the form.");
  }

  /** Drafts the groove in front anew from the next seed. */
  public void newTake() {
    take++;
    SongView view = desk.open().view().orElseThrow();
    Seed seed = new Seed(view.song().seed() + take);
    List<Variant> drawn = new GrooveDraft(view.style().groove(), seed).draw();
    Variant same =
        drawn.stream().filter(v -> v.name().equals(groove)).findFirst().orElse(drawn.get(0));
    desk.apply(edits().replace("New take of groove " + groove, (Pattern.Drums) same.pattern()));
  }

  /**
   * Drafts the chosen lane anew by the style and keeps the rest; seeds are tried until it differs.
   */
  public void newLane() {
    SongView view = desk.open().view().orElseThrow();
    DrumVoice voice = beads.voice();
    Optional<StepLane> now = current().flatMap(g -> g.lane(voice));
    for (int tries = 0; tries < LANE_TRIES; tries++) {
      take++;
      Seed seed = new Seed(view.song().seed() + take);
      Optional<StepLane> drawn =
          new GrooveDraft(view.style().groove(), seed).draw(voice).map(DrumLane::lane);
      if (drawn.isPresent() && !drawn.equals(now)) {
        desk.apply(edits().lane(voice, drawn.get()));
        return;
      }
    }
    desk.messages().done(view.style().name() + " has no other idea for the " + voice + " lane.");
  }

  private DrumEdits edits() {
    return new DrumEdits(drums(desk.open().song()).orElseThrow().id(), groove);
  }

  private Optional<Pattern.Drums> current() {
    return drums(desk.open().song()).map(part -> (Pattern.Drums) part.variant(groove).pattern());
  }

  private static Optional<Part> drums(Song song) {
    return song.part(Role.DRUMS);
  }

  private final class Fingers implements BeadSheet.Hands {
    @Override
    public void place(DrumVoice voice, int step) {
      desk.apply(edits().place(voice, Hit.of(step, Velocity.HIT)));
      touch(voice, Velocity.HIT);
    }

    @Override
    public void remove(DrumVoice voice, int step) {
      desk.apply(edits().remove(voice, step));
    }

    @Override
    public void velocity(DrumVoice voice, int step, int velocity) {
      desk.apply(edits().velocity(voice, step, velocity));
      touch(voice, velocity);
    }

    @Override
    public void strokes(DrumVoice voice, int step, int strokes) {
      desk.apply(
          edits().change("Split into " + strokes, voice, step, hit -> hit.withStrokes(strokes)));
    }

    @Override
    public void nudge(DrumVoice voice, int step, int ticks) {
      String way = ticks < 0 ? "early" : "late";
      desk.apply(
          edits()
              .change(
                  "Move " + voice + " " + way + " to " + Math.abs(ticks) + " ticks",
                  voice,
                  step,
                  hit -> hit.withNudge(ticks)));
    }

    @Override
    public void moved(DrumVoice voice, int step) {
      showCursor();
    }

    @Override
    public void change(String name, DrumVoice voice, int step, UnaryOperator<Hit> change) {
      desk.apply(edits().change(name, voice, step, change));
    }

    @Override
    public void mute(DrumVoice voice) {
      desk.play().toggleMute(lane(voice));
    }

    @Override
    public void alone(DrumVoice voice) {
      desk.play().toggleAlone(lane(voice));
    }

    @Override
    public String heard(DrumVoice voice) {
      String muted = desk.play().muted(lane(voice)) ? " · muted" : "";
      return desk.play().alone(lane(voice)) ? " · alone" : muted;
    }

    private String lane(DrumVoice voice) {
      return Audible.lane(drums(desk.open().song()).orElseThrow().id(), voice);
    }
  }
}
