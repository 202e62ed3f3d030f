package westtide.desktop.form;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Chooser;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.NumberField;
import westtide.desktop.kit.Page;
import westtide.desktop.room.RoomContext;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumLane;
import westtide.song.drum.LaneId;
import westtide.song.edit.Edit;
import westtide.song.edit.form.FormEdits;
import westtide.song.edit.part.PartEdits;
import westtide.song.form.CellSound;
import westtide.song.form.Level;
import westtide.song.form.Thinning;
import westtide.song.id.SectionId;
import westtide.song.mix.Mix;
import westtide.song.pattern.NamedPattern;
import westtide.sound.instrument.InstrumentBook;
import westtide.theory.voicing.ChordMember;

/** What the part does in the selected tank: level, pattern, height, what is left out, sound. */
final class CellPage implements Page<FormScene> {
  private static final String OWN = "own sound";

  private final RoomContext context;
  private final Runnable changed;
  private final Chips<Level> level = new Chips<>("level-", Level::toString, this::level);
  private final Chooser<String> pattern =
      new Chooser<>("cell-pattern", "the pattern the part plays", List.of(), this::pattern);
  private final NumberField change = BarField.of("cell-split", "change at bar", this::split);
  private final NumberField octave =
      NumberField.held(
              "cell-octave",
              "octave",
              -CellSound.FARTHEST,
              CellSound.FARTHEST,
              () -> now().octave(),
              v -> sound("another octave", sound -> sound.withOctave(v)))
          .inline();
  private final NumberField lowPass =
      NumberField.held(
              "cell-low-pass",
              "low-pass, Hz",
              200,
              Mix.OPEN,
              () -> now().lowPass(),
              v -> sound("low-passed at " + v + " Hz", sound -> sound.withLowPass(v)))
          .inline()
          .wide()
          .telling("Nothing of the part passes above it here; 20000 is open");
  private final NumberField softest =
      NumberField.held(
              "cell-softest",
              "leave out softer than",
              0,
              127,
              () -> thinning().softest(),
              v -> thin(thinning().withSoftest(v)))
          .inline()
          .telling("Notes softer than this velocity are left out here; 0 plays all");
  private final Chips<ChordMember> without =
      new Chips<>("cell-without-", CellPage::word, this::leaveOut);
  private final Chips<LaneId> lanesOut =
      new Chips<>("cell-lane-out-", lane -> scene().part().name(lane), this::leaveLaneOut);
  private final Chooser<String> instrument =
      new Chooser<>("cell-instrument", "the sound of the part here", List.of(), this::instrument);
  private final VBox box = new VBox(8);
  private final Node thinRow;
  private FormScene scene;

  /** A page; {@code changed} is told when another tank is selected by it. */
  CellPage(RoomContext context, Runnable changed) {
    this.context = context;
    this.changed = changed;
    level.getStyleClass().add("small-chips");
    without.getStyleClass().add("small-chips");
    lanesOut.getStyleClass().add("small-chips");
    this.thinRow =
        Controls.row(8, Controls.whole(Controls.label("leave out", "small")), without, lanesOut);
    box.getChildren()
        .addAll(
            Controls.flow(
                level,
                pattern,
                change,
                Controls.explained(
                    Controls.action("cell-join", "same all through", this::join),
                    "Deletes the changes of this part inside the section"),
                Controls.explained(
                    Controls.action("cell-main", "main part", this::main),
                    "The part that dominates: verses keep it, and findings watch it")),
            Controls.flow(octave, lowPass, instrument, thinRow, softest));
  }

  @Override
  public String title() {
    return "tank";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(FormScene shown) {
    scene = shown;
    level.show(List.of(Level.values()), scene.cell().level());
    pattern.display(
        scene.part().patterns().stream().map(NamedPattern::name).toList(),
        scene.part().pattern(scene.cell().pattern()).name());
    change.show(String.valueOf(scene.section().bars() / 2 + 1));
    CellSound sound = scene.cell().sound();
    octave.show(String.valueOf(sound.octave()));
    lowPass.show(String.valueOf(sound.lowPass()));
    softest.show(String.valueOf(sound.thinning().softest()));
    boolean drums = scene.part().role() == Role.DRUMS;
    octave.setDisable(drums);
    without.setVisible(!drums);
    without.setManaged(!drums);
    lanesOut.setVisible(drums);
    lanesOut.setManaged(drums);
    lanesOut.showMany(lanes(), List.copyOf(sound.thinning().lanes()));
    without.showMany(List.of(ChordMember.values()), List.copyOf(sound.thinning().without()));
    List<String> names = new ArrayList<>(List.of(OWN));
    if (!drums) {
      InstrumentBook.shipped().instruments().forEach(one -> names.add(one.name()));
    }
    instrument.display(names, sound.instrument().isEmpty() ? OWN : sound.instrument());
    instrument.setDisable(drums);
  }

  private FormScene scene() {
    return scene;
  }

  /** The lanes of the groove played here. */
  private List<LaneId> lanes() {
    return scene
        .part()
        .groove(scene.cell().pattern(), scene.song().brief().meter())
        .map(groove -> groove.lanes().stream().map(DrumLane::id).toList())
        .orElse(List.of());
  }

  private void leaveLaneOut(LaneId lane) {
    Set<LaneId> next = new LinkedHashSet<>(thinning().lanes());
    if (!next.remove(lane)) {
      next.add(lane);
    }
    thin(thinning().withoutLanes(next));
  }

  private CellSound now() {
    return scene.cell().sound();
  }

  private Thinning thinning() {
    return now().thinning();
  }

  private static String word(ChordMember member) {
    return switch (member) {
      case BASS -> "bass";
      case ROOT -> "root";
      case THIRD -> "3rd";
      case FIFTH -> "5th";
      case SEVENTH -> "7th";
      case ABOVE -> "9th up";
      case TOP -> "top";
    };
  }

  /** What is to become of one of the chosen tanks. */
  private interface OfTank {
    Edit of(SectionId section, Part part, TankMark tank);
  }

  /** Changes every chosen tank whose part can, as one step. */
  private void each(String name, Predicate<Part> can, OfTank change) {
    Song song = scene.song();
    List<Edit> edits = new ArrayList<>();
    for (TankMark tank : scene.tanks()) {
      Part part = song.parts().get(tank.row());
      if (can.test(part)) {
        edits.add(change.of(song.form().id(tank.section()), part, tank));
      }
    }
    if (edits.size() == 1) {
      context.apply(edits.get(0));
    } else if (!edits.isEmpty()) {
      context.apply(Edit.together(name + " of " + edits.size() + " tanks", edits));
    }
  }

  private void level(Level wanted) {
    each(
        "Set the level",
        part -> true,
        (id, part, tank) -> FormEdits.level(id, part.id(), tank.fromBar(), tank.beat(), wanted));
  }

  private void pattern(String wanted) {
    each(
        "Set the pattern",
        part -> part.find(wanted).isPresent(),
        (id, part, tank) -> FormEdits.pattern(id, part.id(), tank.fromBar(), tank.beat(), wanted));
  }

  /** Octave, notes and instrument are nothing drums have. */
  private void sound(String what, UnaryOperator<CellSound> to) {
    each(
        "Set the sound",
        part -> part.role() != Role.DRUMS || scene.part().role() == Role.DRUMS,
        (id, part, tank) ->
            FormEdits.sound(id, part.id(), tank.fromBar(), tank.beat(), "sound " + what, to));
  }

  private void thin(Thinning other) {
    sound("with other notes left out", sound -> sound.withThinning(other));
  }

  private void leaveOut(ChordMember member) {
    Set<ChordMember> next = new LinkedHashSet<>(thinning().without());
    if (!next.remove(member)) {
      next.add(member);
    }
    thin(thinning().withoutMembers(next));
  }

  private void instrument(String name) {
    sound("as " + name, sound -> sound.withInstrument(name.equals(OWN) ? "" : name));
  }

  private boolean beyond(BarField.Typed at) {
    int beat = at.bar() * scene.beats() + at.beat();
    return beat >= scene.section().beats(scene.song().brief().meter());
  }

  /** Lets the part do something else from a bar of the section on. */
  private void split(BarField.Typed at) {
    int bars = scene.section().bars();
    boolean opening = at.bar() == 0 && at.beat() == 0;
    if (opening || at.bar() >= bars || at.beat() >= scene.beats() || beyond(at)) {
      throw new IllegalArgumentException(
          bars == 1
              ? "a section of one bar changes at 1.2 to 1." + scene.beats()
              : "a change begins at bar 2 to "
                  + bars
                  + ", or on a beat such as 2.3, but was "
                  + at);
    }
    boolean there =
        scene.section().cells(scene.part().id()).stream()
            .anyMatch(c -> c.isAt(at.bar(), at.beat()));
    if (there) {
      throw new IllegalArgumentException(scene.part().name() + " already changes at bar " + at);
    }
    context.apply(FormEdits.split(scene.id(), scene.part().id(), at.bar(), at.beat()));
    changedTo = new TankMark(scene.place(), scene.tank().row(), at.bar(), at.beat());
    changed.run();
  }

  private TankMark changedTo;

  /** The tank that was split off last. */
  TankMark changedTo() {
    return changedTo;
  }

  private void join() {
    context.apply(FormEdits.join(scene.id(), scene.part().id()));
  }

  private void main() {
    context.apply(new PartEdits(scene.part().id()).main());
  }
}
