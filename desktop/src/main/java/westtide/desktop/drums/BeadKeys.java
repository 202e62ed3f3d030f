package westtide.desktop.drums;

import java.util.List;
import java.util.function.Consumer;
import javafx.scene.input.KeyCode;
import westtide.desktop.kit.KeyTable;
import westtide.rhythm.Hit;
import westtide.rhythm.Velocity;
import westtide.rhythm.When;

/** The keys of the bead sheet: walking, placing, shading, rolling, moving in time, passes. */
final class BeadKeys {
  private static final String[] DIGITS = {"1", "2", "3", "4", "5", "6", "7", "8", "9", "0"};
  private static final String[] LOUDER_KEYS = {"PLUS", "EQUALS", "ADD"};
  private static final String[] SOFTER_KEYS = {"MINUS", "SUBTRACT"};
  private static final int LOUDER = 6;
  private static final int NUDGE = 5;
  private static final int FLAM = 30;
  private static final int FAR = 4096;
  private static final int SWELL = 40;
  private static final List<Integer> ROLLS = List.of(1, 2, 3, 4, 6, 8);

  /** What the key for passes goes through. */
  private static final List<When> PASSES =
      List.of(
          When.ALWAYS,
          When.every(2),
          When.every(4),
          When.every(8),
          When.at(When.Turn.FIRST),
          When.at(When.Turn.LAST),
          When.at(When.Turn.FILL));

  private final HitSheet sheet;
  private final GrooveChoice choice;

  BeadKeys(HitSheet sheet, GrooveChoice choice) {
    this.sheet = sheet;
    this.choice = choice;
  }

  /** Everything the sheet answers to. */
  KeyTable table() {
    HitClipboard clipboard = new HitClipboard(choice);
    return new KeyTable("Grooves")
        .key("step before", () -> choice.walk(0, -1), "LEFT")
        .key("next step", () -> choice.walk(0, 1), "RIGHT")
        .key("lane above", () -> choice.walk(-1, 0), "UP")
        .key("lane below", () -> choice.walk(1, 0), "DOWN")
        .key("first step", () -> choice.walk(0, -FAR), "HOME")
        .key("last step", () -> choice.walk(0, FAR), "END")
        .menu("write a hit", this::empty, choice::place, "ENTER")
        .menu("delete", this::chosen, choice::remove, "DELETE", "BACK_SPACE")
        .menu("one step earlier", this::chosen, () -> choice.carry(-1), "Shift+LEFT")
        .menu("one step later", this::chosen, () -> choice.carry(1), "Shift+RIGHT")
        .keys("velocity", "1 … 9, 0", this::digit, DIGITS)
        .key("louder", () -> changed(hit -> velocity(hit.velocity() + LOUDER)), LOUDER_KEYS)
        .key("softer", () -> changed(hit -> velocity(hit.velocity() - LOUDER)), SOFTER_KEYS)
        .key("earlier by 5 ticks", () -> changed(hit -> nudge(hit.nudge() - NUDGE)), "COMMA")
        .key("later by 5 ticks", () -> changed(hit -> nudge(hit.nudge() + NUDGE)), "PERIOD")
        .key("semitone down", () -> changed(h -> pitch(h.pitch() - 1)), "OPEN_BRACKET")
        .key("semitone up", () -> changed(h -> pitch(h.pitch() + 1)), "CLOSE_BRACKET")
        .menu("roll: 1, 2, 3, 4, 6, 8 strokes", this::chosen, () -> changed(this::roll), "R")
        .menu("velocity ramp of a roll", this::chosen, () -> changed(this::swell), "V")
        .menu("flam", this::chosen, () -> changed(this::flam), "F")
        .menu("condition: repeats", this::chosen, () -> changed(this::passes), "C")
        .menu("chance", this::chosen, () -> changed(this::chance), "Q")
        .menu("copy", this::chosen, clipboard::copy, "Shortcut+C")
        .menu("cut", this::chosen, clipboard::cut, "Shortcut+X")
        .menu("paste at the cursor", clipboard::full, clipboard::paste, "Shortcut+V")
        .menu("duplicate after", this::chosen, clipboard::duplicate, "Shortcut+D")
        .menu("choose all hits", () -> true, clipboard::chooseAll, "Shortcut+A")
        .key("look closely at the lane", sheet::closer, "Z")
        .key("play this groove, or stop", choice::hearGroove, "H")
        .key(
            "mute the lane",
            () -> choice.context().play().toggleMute(choice.audible(choice.id())),
            "M")
        .key(
            "solo the lane",
            () -> choice.context().play().toggleAlone(choice.audible(choice.id())),
            "A");
  }

  private boolean chosen() {
    return choice.find().isPresent() && !choice.chosenHits().isEmpty();
  }

  private boolean empty() {
    return choice.find().filter(scene -> scene.hit().isEmpty()).isPresent();
  }

  private void changed(Consumer<Hit> change) {
    choice.scene().hit().ifPresent(change);
  }

  private void digit(KeyCode code) {
    int digit = Integer.parseInt(code.getChar());
    changed(hit -> velocity(digit == 0 ? Velocity.HIGHEST : Math.round(digit * 12.7f)));
  }

  private void velocity(int velocity) {
    int held = Velocity.held(velocity);
    choice.change("Set velocity " + held, hit -> hit.withVelocity(held));
  }

  private void nudge(int ticks) {
    int held = Hit.heldNudge(ticks);
    choice.change("Move by " + held + " ticks", hit -> hit.withNudge(held));
  }

  private void pitch(int semitones) {
    int held = Math.max(-Hit.MOST_PITCH, Math.min(Hit.MOST_PITCH, semitones));
    choice.change("Tune a hit to " + held, h -> h.withPitch(held));
  }

  private void roll(Hit hit) {
    int strokes = after(ROLLS, hit.strokes());
    choice.change("Roll of " + strokes, h -> h.withStrokes(strokes));
  }

  /** Every pass, every second, fourth, eighth, then the first, the last and fill bars only. */
  private void passes(Hit hit) {
    When next = after(PASSES, hit.when().withPercent(100).withSeed(1));
    String words = HitDescription.when(next);
    choice.change(
        words.isEmpty() ? "Play on every repeat" : "Condition: " + words,
        h -> h.withWhen(h.when().withPasses(next)));
  }

  private static <T> T after(List<T> all, T now) {
    return all.get((all.indexOf(now) + 1) % all.size());
  }

  /** Surely, three times in four, every other time, one time in four. */
  private void chance(Hit hit) {
    int percent = hit.when().percent() <= 25 ? 100 : hit.when().percent() - 25;
    choice.change(
        "Set the chance to " + percent + " %", h -> h.withWhen(h.when().withPercent(percent)));
  }

  private void flam(Hit hit) {
    int ticks = hit.flam() >= 2 * FLAM ? 0 : hit.flam() + FLAM;
    choice.change("Flam by " + ticks + " ticks", h -> h.withFlam(ticks));
  }

  /** A roll swells, fades, or stays level. */
  private void swell(Hit hit) {
    int now = hit.roll().ramp();
    int ramp = now > 0 ? -SWELL : now < 0 ? 0 : SWELL;
    choice.change("Change the velocity ramp of a roll", h -> h.withRoll(h.roll().withRamp(ramp)));
  }
}
