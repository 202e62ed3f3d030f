package westtide.desktop.room;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import westtide.desktop.kit.Chooser;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.NumberField;
import westtide.play.MidiPads;
import westtide.play.PadInput;
import westtide.rhythm.StepGrid;

/**
 * How something is played in: on what, how far it goes to which grid, how late it arrives, and
 * whether what is there stays.
 */
public final class PlayInSettings {
  private static final double NANOS_PER_MILLI = 1e6;
  private static final int MOST_LATENCY = 400;

  private final Chooser<String> input;
  private final NumberField strength;
  private final NumberField latency;
  private final Chooser<StepGrid> grid;
  private final CheckBox keep = new CheckBox("keep what is there");
  private int percent = 100;
  private int millis;

  /**
   * Settings whose controls have ids that begin with a prefix.
   *
   * @param own what can be played on beside MIDI devices, the usual one first
   */
  public PlayInSettings(String prefix, List<String> own) {
    List<String> inputs = new ArrayList<>(own);
    MidiPads.present().forEach(found -> inputs.add(found.name()));
    this.input = new Chooser<>(prefix + "input", "what is played on", inputs, device -> {});
    this.strength =
        NumberField.held(
                prefix + "strength", "quantise, %", 0, 100, () -> percent, this::takeStrength)
            .inline();
    this.latency =
        NumberField.held(
                prefix + "latency", "latency, ms", 0, MOST_LATENCY, () -> millis, this::takeLatency)
            .inline();
    this.grid =
        new Chooser<>(
            prefix + "grid", "grid of the quantise", List.of(StepGrid.values()), wanted -> {});
    input.display(own.get(0));
    grid.display(StepGrid.SIXTEENTHS);
    keep.setId(prefix + "keep");
    Controls.explained(keep, "Adds to what is there; without it, that gives way to the take");
    strength.show(String.valueOf(percent));
    latency.show(String.valueOf(millis));
  }

  /** The same settings that keep what is there unless told otherwise. */
  public PlayInSettings keeping() {
    keep.setSelected(true);
    return this;
  }

  /** The controls, in order. */
  public List<Node> controls() {
    return List.of(input, grid, strength, latency, keep);
  }

  /** What is played on. */
  public String input() {
    return input.value();
  }

  /** The MIDI device that is played on, if one is and is still there. */
  public Optional<PadInput> device() {
    return MidiPads.present().stream().filter(found -> found.name().equals(input())).findFirst();
  }

  /** How much of the way to the grid, 0 to 100 %. */
  public int strength() {
    return percent;
  }

  /** The grid. */
  public StepGrid grid() {
    return grid.value();
  }

  /** Nanoseconds by which what is played arrives late. */
  public long latency() {
    return Math.round(millis * NANOS_PER_MILLI);
  }

  /** Whether what is there stays. */
  public boolean keeps() {
    return keep.isSelected();
  }

  private void takeStrength(int wanted) {
    if (wanted < 0 || wanted > 100) {
      throw new IllegalArgumentException("quantise strength is 0 to 100 %, but was " + wanted);
    }
    percent = wanted;
    strength.show(String.valueOf(percent));
  }

  private void takeLatency(int wanted) {
    millis = Math.max(0, Math.min(MOST_LATENCY, wanted));
    latency.show(String.valueOf(millis));
  }
}
