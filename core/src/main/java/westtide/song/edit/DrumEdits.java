package westtide.song.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import westtide.rhythm.Hit;
import westtide.rhythm.LaneFeel;
import westtide.rhythm.StepLane;
import westtide.song.DrumLane;
import westtide.song.DrumVoice;
import westtide.song.Part;
import westtide.song.Pattern;
import westtide.song.Variant;

/**
 * Edits of one groove of a drum part.
 *
 * @param part the part's id
 * @param variant the groove's name
 */
public record DrumEdits(String part, String variant) {
  /** Puts a hit on a lane, in place of what stood on its step. */
  public Edit place(DrumVoice voice, Hit hit) {
    return lane("Place " + voice + " on step " + (hit.step() + 1), voice, lane -> lane.with(hit));
  }

  /** Takes a hit off a lane. */
  public Edit remove(DrumVoice voice, int step) {
    return lane("Remove " + voice + " from step " + (step + 1), voice, lane -> lane.without(step));
  }

  /** Changes a hit that stands on a step; nothing happens on an empty step. */
  public Edit change(String name, DrumVoice voice, int step, UnaryOperator<Hit> change) {
    return lane(name, voice, lane -> lane.at(step).map(change).map(lane::with).orElse(lane));
  }

  /** Sets the velocity of a hit; a drag is one edit. */
  public Edit velocity(DrumVoice voice, int step, int velocity) {
    return change(
            "Set " + voice + " to velocity " + velocity,
            voice,
            step,
            hit -> hit.withVelocity(velocity))
        .merging("velocity " + part + variant + voice + step);
  }

  /** Replaces a whole lane. */
  public Edit lane(DrumVoice voice, StepLane lane) {
    return lane("Write the " + voice + " lane", voice, old -> lane);
  }

  /** Replaces a lane by a typed one; hits written the same keep what text cannot say. */
  public Edit typed(DrumVoice voice, StepLane lane) {
    return lane("Write the " + voice + " lane", voice, old -> old.refining(lane));
  }

  /** Changes the shape of a lane. */
  public Edit shape(String name, DrumVoice voice, UnaryOperator<StepLane> change) {
    return lane(name, voice, change);
  }

  /** Changes how a whole lane is played; turning it on in one go is one edit. */
  public Edit feel(String name, DrumVoice voice, UnaryOperator<LaneFeel> change) {
    return pattern(
            name,
            drums ->
                new Pattern.Drums(
                    drums.bars(),
                    drums.lanes().stream()
                        .map(l -> l.voice() == voice ? l.withFeel(change.apply(l.feel())) : l)
                        .toList()))
        .merging(name + part + variant + voice);
  }

  /** Adds an empty lane for a voice the groove lacks. */
  public Edit addVoice(DrumVoice voice) {
    return pattern("Add " + voice, drums -> withVoice(drums, voice));
  }

  /** Adds a copy of this groove under another name. */
  public Edit copyAs(String name) {
    return Edit.of(
        "Copy groove " + variant + " as " + name,
        song -> song.withPart(part, p -> p.with(new Variant(name, p.variant(variant).pattern()))));
  }

  /** Adds another groove to the part, or puts it in the place of the one with its name. */
  public Edit add(String name, Pattern.Drums groove) {
    return Edit.of(
        "Add groove " + name, song -> song.withPart(part, p -> p.with(new Variant(name, groove))));
  }

  /** Puts another groove in its place. */
  public Edit replace(String name, Pattern.Drums groove) {
    return pattern(name, old -> groove);
  }

  private Edit lane(String name, DrumVoice voice, UnaryOperator<StepLane> change) {
    return pattern(name, drums -> drums.withLane(voice, change));
  }

  private Edit pattern(String name, UnaryOperator<Pattern.Drums> change) {
    return Edit.of(name, song -> song.withPart(part, p -> changed(p, change)));
  }

  private Part changed(Part p, UnaryOperator<Pattern.Drums> change) {
    Variant old = p.variant(variant);
    if (old.pattern() instanceof Pattern.Drums drums) {
      return p.with(old.withPattern(change.apply(drums)));
    }
    return p;
  }

  private static Pattern.Drums withVoice(Pattern.Drums drums, DrumVoice voice) {
    if (drums.lane(voice).isPresent()) {
      return drums;
    }
    int steps = drums.lanes().stream().mapToInt(l -> l.lane().length()).max().orElse(16);
    List<DrumLane> lanes = new ArrayList<>(drums.lanes());
    lanes.add(DrumLane.of(voice, StepLane.empty(steps)));
    return new Pattern.Drums(drums.bars(), lanes);
  }
}
