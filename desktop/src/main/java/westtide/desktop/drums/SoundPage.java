package westtide.desktop.drums;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.function.ToIntFunction;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chooser;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.Fold;
import westtide.desktop.kit.NumberField;
import westtide.desktop.kit.Page;
import westtide.desktop.room.EffectsBox;
import westtide.rhythm.Velocity;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.drum.LaneSound;
import westtide.song.drum.PanSweep;
import westtide.song.edit.Edit;
import westtide.song.edit.MixEdits;
import westtide.song.edit.drum.DrumStackEdits;
import westtide.song.mix.Effects;
import westtide.song.mix.Mix;
import westtide.sound.instrument.InstrumentBook;
import westtide.sound.voice.Family;
import westtide.sound.voice.Touch;

/** How the chosen lane sounds in all grooves, and drums stacked on one line. */
final class SoundPage implements Page<GrooveScene> {
  private static final String KIT = "kit default";
  private static final String ALL_LANES = "all other lanes";

  /** Sixteenths of a bar of four quarters. */
  private static final int A_BAR = 16;

  private final GrooveChoice choice;
  private final Chooser<String> instrument =
      new Chooser<>(
          "lane-instrument", "instrument of the lane", instruments(), this::takeInstrument);
  private final NumberField tune =
      field("tune", "tune, cents", -2400, 2400, LaneSound::cents, LaneSound::withCents);
  private final NumberField level =
      field("level", "level, 0.1 dB", -300, 120, LaneSound::level, LaneSound::withLevel);
  private final NumberField pan =
      field("pan", "pan", -100, 100, LaneSound::pan, LaneSound::withPan);
  private final NumberField panTo =
      field(
              "pan-to",
              "pan to",
              -100,
              100,
              sound -> sound.sweep().to(),
              (sound, to) ->
                  sound.withSweep(
                      new PanSweep(to, sound.sweep().moves() ? sound.sweep().steps() : A_BAR)))
          .telling("Where the lane goes from its pan, and comes back from, as the song runs");
  private final NumberField panSteps =
      field(
              "pan-steps",
              "in steps (0: stays)",
              0,
              PanSweep.MOST_STEPS,
              sound -> sound.sweep().steps(),
              (sound, steps) -> sound.withSweep(new PanSweep(sound.sweep().to(), steps)))
          .telling("Sixteenths from side to side; each hit is placed where the sweep stands then");
  private final CheckBox reversed = new CheckBox("sound reversed");
  private final NumberField lowPassAll =
      NumberField.held(
              "lane-low-pass-all",
              "low-pass, Hz",
              Mix.LOWEST_PASS,
              Mix.OPEN,
              () -> choice().scene().part().mix().lowPass(),
              hertz -> mixAll("low-pass", mix -> mix.withLowPass(hertz)))
          .inline()
          .wide()
          .telling("One low-pass over every drum of the part; " + Mix.OPEN + " Hz is open");
  private final NumberField lowCutAll =
      NumberField.held(
              "lane-low-cut-all",
              "high-pass, Hz",
              0,
              Mix.HIGHEST_CUT,
              () -> choice().scene().part().mix().lowCut(),
              hertz -> mixAll("low cut", mix -> mix.withLowCut(hertz)))
          .inline()
          .telling("One high-pass (low cut) over every drum of the part; 0 is off");
  private final NumberField choke =
      field("choke", "choke group", 0, 8, LaneSound::choke, LaneSound::withChoke);
  private final NumberField note =
      field("note", "MIDI note", 0, 127, LaneSound::note, LaneSound::withNote);
  private final NumberField reverb =
      field("reverb", "reverb, %", 0, 100, LaneSound::reverb, LaneSound::withReverb);
  private final NumberField delay =
      field("delay", "delay, %", 0, 100, LaneSound::delay, LaneSound::withDelay);
  private final Label words = Controls.wrapped("", "small");
  private final EffectsBox effects =
      new EffectsBox("lane-", (what, change) -> change(what, change));
  private final Chooser<String> copyTo =
      new Chooser<>("copy-lane", "copy effects, reverb and delay to", List.of(), this::copyTo);
  private final Fold effectsFold =
      new Fold(
          "lane-effects-fold",
          "effects",
          "Equaliser, attack and sustain, tape, bit crush, phaser, chorus and tremolo of the lane",
          Controls.column(6, copyTo, effects));
  private final NumberField tuneAll =
      NumberField.held(
              "lane-tune-all",
              "all drums: tune by, cents",
              -2400,
              2400,
              () -> 0,
              by -> choice().apply(choice().edits().tuneAll(by)))
          .inline()
          .telling("Every drum of the part up or down by as much, each from where it is");
  private final VBox box;

  SoundPage(GrooveChoice choice) {
    this.choice = choice;
    reversed.setId("lane-reversed");
    reversed.setOnAction(
        e -> set("Set reversed", sound -> sound.withReversed(reversed.isSelected())));
    FlowPane numbers =
        Controls.flow(
            Controls.whole(Controls.label("instrument", "small")),
            instrument,
            tune,
            level,
            pan,
            panTo,
            panSteps,
            reverb,
            delay,
            choke,
            note,
            Controls.explained(
                reversed,
                "Plays the sound backwards from where the hit stands, as a sampler does: set the"
                    + " hit early so that it swells into the beat"),
            tuneAll,
            lowCutAll,
            lowPassAll);
    numbers.setHgap(10);
    this.box =
        new VBox(
            7,
            numbers,
            Controls.flow(
                Controls.whole(Controls.label("stack", "small")),
                Controls.action(
                    "lane-stack",
                    "layer a copy",
                    () -> choice.apply(choice.edits().stack(choice.id()))),
                layer("two-kicks", "two kicks", DrumStackEdits::twoKicks),
                layer("claps-apart", "spread claps", DrumStackEdits::clapsApart),
                layer("hat-under-snare", "open hat under snare", DrumStackEdits::openHatUnderSnare),
                Controls.explained(
                    Controls.action(
                        "clap-before-snare", "clap before snare", this::clapBeforeSnare),
                    "Moves the clap a hair before the snare, or back on the beat"),
                Controls.action(
                    "lane-drop",
                    "delete lane",
                    () -> choice.apply(choice.edits().drop(choice.id()))),
                effectsFold.head()),
            effectsFold,
            words);
  }

  private void change(String what, UnaryOperator<Effects> change) {
    choice.apply(MixEdits.laneEffects(choice.scene().part().id(), choice.id(), what, change));
  }

  private void copyTo(String wanted) {
    List<LaneId> to =
        others().stream()
            .filter(lane -> wanted.equals(ALL_LANES) || lane.toString().equals(wanted))
            .toList();
    choice.apply(MixEdits.copyLane(choice.scene().part().id(), choice.id(), to));
  }

  private List<LaneId> others() {
    return choice.scene().groove().lanes().stream()
        .map(DrumLane::id)
        .filter(lane -> !lane.equals(choice.id()))
        .toList();
  }

  private void showCopy() {
    List<String> names = new ArrayList<>(others().stream().map(LaneId::toString).toList());
    if (names.size() > 1) {
      names.add(ALL_LANES);
    }
    copyTo.display(names, null);
    copyTo.setText("copy effects, reverb and delay to …");
  }

  private void clapBeforeSnare() {
    choice.apply(new DrumStackEdits(choice.edits()).clapBeforeSnare());
    int nudge =
        choice
            .scene()
            .groove()
            .find(DrumVoice.CLAP.lane())
            .map(lane -> lane.feel().nudge())
            .orElse(0);
    choice
        .context()
        .messages()
        .done(
            nudge < 0
                ? "The clap is " + -nudge + " ticks before the snare now."
                : "The clap is on the beat with the snare again.");
  }

  /** For what is made before the page is. */
  private GrooveChoice choice() {
    return choice;
  }

  @Override
  public String title() {
    return "sound";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(GrooveScene scene) {
    LaneSound sound = scene.sound();
    instrument.display(sound.instrument().isEmpty() ? KIT : sound.instrument());
    tune.show(String.valueOf(sound.cents()));
    tuneAll.show("0");
    lowPassAll.show(String.valueOf(scene.part().mix().lowPass()));
    lowCutAll.show(String.valueOf(scene.part().mix().lowCut()));
    panTo.show(String.valueOf(sound.sweep().to()));
    panSteps.show(String.valueOf(sound.sweep().steps()));
    reversed.setSelected(sound.reversed());
    level.show(String.valueOf(sound.level()));
    pan.show(String.valueOf(sound.pan()));
    choke.show(String.valueOf(sound.choke()));
    note.show(String.valueOf(sound.note()));
    reverb.show(String.valueOf(sound.reverb()));
    delay.show(String.valueOf(sound.delay()));
    effects.show(sound.effects());
    showCopy();
    words.setText(
        scene.chosen().id()
            + " in all grooves. Pan and level count from the kit's own; lanes of one choke group cut one another, 0 is none.");
  }

  private static List<String> instruments() {
    List<String> out = new ArrayList<>();
    out.add(KIT);
    InstrumentBook.shipped().instruments().stream()
        .filter(i -> i.family() == Family.DRUM && i.touch() == Touch.STRUCK)
        .forEach(i -> out.add(i.name()));
    return out;
  }

  private Button layer(String id, String name, Function<DrumStackEdits, Edit> edit) {
    return Controls.action(
        id, name, () -> choice.apply(edit.apply(new DrumStackEdits(choice.edits()))));
  }

  /** Changes one figure of a sound. */
  private interface Change {
    LaneSound to(LaneSound sound, int value);
  }

  private NumberField field(
      String id, String name, int low, int high, ToIntFunction<LaneSound> figure, Change change) {
    return NumberField.held(
            "lane-" + id,
            name,
            low,
            high,
            () -> figure.applyAsInt(choice.scene().sound()),
            value -> set("Set \"" + name + "\"", sound -> change.to(sound, value)))
        .inline();
  }

  private void mixAll(String what, UnaryOperator<Mix> change) {
    choice.apply(MixEdits.mix(choice.scene().part().id(), what, change));
  }

  private void set(String name, UnaryOperator<LaneSound> change) {
    choice.apply(choice.edits().sound(name + " of " + choice.id(), choice.id(), change));
    choice.hear(choice.id(), Velocity.HIT, 0);
  }

  private void takeInstrument(String name) {
    String taken = name.equals(KIT) ? "" : name;
    set("Choose an instrument", sound -> sound.withInstrument(taken));
  }
}
