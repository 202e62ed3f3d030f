package westtide.desktop.drums;

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

  private final BeadSheet sheet;
  private final BeadSheet.Hands hands;

  BeadKeys(BeadSheet sheet, BeadSheet.Hands hands) {
    this.sheet = sheet;
    this.hands = hands;
  }

  void key(KeyEvent event) {
    if (event.isShortcutDown() || event.isAltDown()) {
      return;
    }
    if (walk(event.getCode()) || change(event.getCode())) {
      event.consume();
      sheet.moved();
    }
  }

  private boolean walk(KeyCode code) {
    switch (code) {
      case LEFT -> sheet.walk(0, -1);
      case RIGHT -> sheet.walk(0, 1);
      case UP -> sheet.walk(-1, 0);
      case DOWN -> sheet.walk(1, 0);
      case HOME -> sheet.walk(0, -FAR);
      case END -> sheet.walk(0, FAR);
      case M -> hands.mute(sheet.voice());
      case A -> hands.alone(sheet.voice());
      default -> {
        return false;
      }
    }
    return true;
  }

  private boolean change(KeyCode code) {
    Optional<Hit> here = sheet.hit();
    int at = sheet.laneStep();
    if (code == KeyCode.ENTER) {
      here.ifPresentOrElse(
          hit -> hands.remove(sheet.voice(), at), () -> hands.place(sheet.voice(), at));
      return true;
    }
    if (here.isEmpty()) {
      return false;
    }
    Hit hit = here.get();
    if (code.isDigitKey()) {
      int digit = Integer.parseInt(code.getChar());
      velocity(at, digit == 0 ? Velocity.HIGHEST : Math.round(digit * 12.7f));
      return true;
    }
    switch (code) {
      case DELETE, BACK_SPACE -> hands.remove(sheet.voice(), at);
      case PLUS, EQUALS, ADD -> velocity(at, hit.velocity() + 6);
      case MINUS, SUBTRACT -> velocity(at, hit.velocity() - 6);
      case R -> hands.strokes(sheet.voice(), at, hit.strokes() % 8 + 1);
      case C -> passes(hit, at);
      case Q -> chance(hit, at);
      case F -> flam(hit, at);
      case V -> swell(hit, at);
      case COMMA -> hands.nudge(sheet.voice(), at, Math.max(-120, hit.nudge() - NUDGE));
      case PERIOD -> hands.nudge(sheet.voice(), at, Math.min(120, hit.nudge() + NUDGE));
      default -> {
        return false;
      }
    }
    return true;
  }

  private void velocity(int at, int velocity) {
    hands.velocity(sheet.voice(), at, Velocity.held(velocity));
  }

  /** On every pass, every second, fourth, eighth, and again on every one. */
  private void passes(Hit hit, int at) {
    int every = hit.when().every() >= 8 ? 1 : hit.when().every() * 2;
    hands.change(
        every == 1 ? "Play on every pass" : "Play on every pass of " + every,
        sheet.voice(),
        at,
        h -> h.withWhen(When.every(every).withPercent(h.when().percent())));
  }

  /** Surely, three times in four, every other time, one time in four. */
  private void chance(Hit hit, int at) {
    int percent = hit.when().percent() <= 25 ? 100 : hit.when().percent() - 25;
    hands.change(
        "Play by " + percent + " %",
        sheet.voice(),
        at,
        h -> h.withWhen(h.when().withPercent(percent)));
  }

  private void flam(Hit hit, int at) {
    int ticks = hit.flam() >= 2 * FLAM ? 0 : hit.flam() + FLAM;
    hands.change("Flam by " + ticks + " ticks", sheet.voice(), at, h -> h.withFlam(ticks));
  }

  /** A roll swells, fades, or stays level. */
  private void swell(Hit hit, int at) {
    int ramp = hit.ramp() > 0 ? -Hit.USUAL_RAMP : hit.ramp() < 0 ? 0 : Hit.USUAL_RAMP;
    hands.change("Change the swell of a roll", sheet.voice(), at, h -> h.withRamp(ramp));
  }
}
