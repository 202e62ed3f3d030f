package westtide.desktop.drums;

import java.util.List;
import java.util.Optional;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import westtide.rhythm.Hit;
import westtide.rhythm.Velocity;
import westtide.rhythm.When;

/** The keys of the bead sheet: walking, placing, shading, rolling, moving in time, passes. */
final class BeadKeys {
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

  private final BeadSheet sheet;
  private final GrooveChoice choice;

  BeadKeys(BeadSheet sheet, GrooveChoice choice) {
    this.sheet = sheet;
    this.choice = choice;
  }

  void key(KeyEvent event) {
    if (event.isShortcutDown() || event.isAltDown()) {
      return;
    }
    if (carry(event) || walk(event.getCode()) || change(event.getCode())) {
      event.consume();
    }
  }

  /** With Shift, left and right take the hit along. */
  private boolean carry(KeyEvent event) {
    int by = event.getCode() == KeyCode.RIGHT ? 1 : event.getCode() == KeyCode.LEFT ? -1 : 0;
    if (by == 0 || !event.isShiftDown()) {
      return false;
    }
    choice.carry(by);
    return true;
  }

  private boolean walk(KeyCode code) {
    switch (code) {
      case LEFT -> choice.walk(0, -1);
      case RIGHT -> choice.walk(0, 1);
      case UP -> choice.walk(-1, 0);
      case DOWN -> choice.walk(1, 0);
      case HOME -> choice.walk(0, -FAR);
      case END -> choice.walk(0, FAR);
      case Z -> sheet.closer();
      case H -> choice.hearGroove();
      case M -> choice.desk().play().toggleMute(choice.audible(choice.id()));
      case A -> choice.desk().play().toggleAlone(choice.audible(choice.id()));
      default -> {
        return false;
      }
    }
    return true;
  }

  private boolean change(KeyCode code) {
    Optional<Hit> here = choice.scene().hit();
    if (code == KeyCode.ENTER) {
      here.ifPresentOrElse(hit -> choice.remove(), choice::place);
      return true;
    }
    if (here.isEmpty()) {
      return false;
    }
    Hit hit = here.get();
    if (code.isDigitKey()) {
      int digit = Integer.parseInt(code.getChar());
      velocity(digit == 0 ? Velocity.HIGHEST : Math.round(digit * 12.7f));
      return true;
    }
    switch (code) {
      case DELETE, BACK_SPACE -> choice.remove();
      case PLUS, EQUALS, ADD -> velocity(hit.velocity() + 6);
      case MINUS, SUBTRACT -> velocity(hit.velocity() - 6);
      case R -> roll(hit);
      case C -> passes(hit);
      case Q -> chance(hit);
      case F -> flam(hit);
      case V -> swell(hit);
      case OPEN_BRACKET -> pitch(hit.pitch() - 1);
      case CLOSE_BRACKET -> pitch(hit.pitch() + 1);
      case COMMA -> nudge(hit.nudge() - NUDGE);
      case PERIOD -> nudge(hit.nudge() + NUDGE);
      default -> {
        return false;
      }
    }
    return true;
  }

  private void velocity(int velocity) {
    GrooveScene scene = choice.scene();
    choice.apply(
        choice.edits().velocity(scene.chosen().id(), scene.step(), Velocity.held(velocity)));
    choice.hear();
  }

  private void nudge(int ticks) {
    GrooveScene scene = choice.scene();
    choice.apply(choice.edits().nudge(scene.chosen().id(), scene.step(), Hit.heldNudge(ticks)));
  }

  private void pitch(int semitones) {
    int held = Math.max(-Hit.MOST_PITCH, Math.min(Hit.MOST_PITCH, semitones));
    choice.change("Tune a hit to " + held, h -> h.withPitch(held));
  }

  private void roll(Hit hit) {
    int strokes = after(ROLLS, hit.strokes());
    choice.change("Split into " + strokes, h -> h.withStrokes(strokes));
  }

  /** Every pass, every second, fourth, eighth, then the first, the last and fill bars only. */
  private void passes(Hit hit) {
    When next = after(PASSES, hit.when().withPercent(100).withSeed(1));
    String words = HitWords.when(next);
    choice.change(
        "Play " + (words.isEmpty() ? "on every pass" : words),
        h -> h.withWhen(h.when().withPasses(next)));
  }

  private static <T> T after(List<T> all, T now) {
    return all.get((all.indexOf(now) + 1) % all.size());
  }

  /** Surely, three times in four, every other time, one time in four. */
  private void chance(Hit hit) {
    int percent = hit.when().percent() <= 25 ? 100 : hit.when().percent() - 25;
    choice.change("Play by " + percent + " %", h -> h.withWhen(h.when().withPercent(percent)));
  }

  private void flam(Hit hit) {
    int ticks = hit.flam() >= 2 * FLAM ? 0 : hit.flam() + FLAM;
    choice.change("Flam by " + ticks + " ticks", h -> h.withFlam(ticks));
  }

  /** A roll swells, fades, or stays level. */
  private void swell(Hit hit) {
    int now = hit.roll().ramp();
    int ramp = now > 0 ? -SWELL : now < 0 ? 0 : SWELL;
    choice.change("Change the swell of a roll", h -> h.withRoll(h.roll().withRamp(ramp)));
  }
}
