package westtide.desktop.play;

import java.util.function.Consumer;
import java.util.function.LongSupplier;
import javafx.animation.AnimationTimer;
import westtide.desktop.open.Messages;

/**
 * Tells the window where the song is, frame by frame while something moves, and counts the time
 * that was listened.
 */
public final class FrameTicker {
  private static final int FRAMES_AFTER = 120;

  private final PlayDesk desk;
  private final Consumer<PlayPosition> follow;
  private final BreakReminder reminder;
  private final AnimationTimer timer =
      new AnimationTimer() {
        @Override
        public void handle(long now) {
          frame();
        }
      };
  private int still;

  /** A pulse of a play desk. */
  public FrameTicker(
      PlayDesk desk, LongSupplier millis, Messages messages, Consumer<PlayPosition> follow) {
    this.desk = desk;
    this.follow = follow;
    this.reminder = new BreakReminder(millis, messages::done);
    desk.watchWaking(this::start);
  }

  /** Begins, or goes on. */
  public void start() {
    still = 0;
    timer.start();
  }

  /** Ends. */
  public void stop() {
    timer.stop();
  }

  private void frame() {
    if (!desk.ready()) {
      return;
    }
    PlayPosition moment = desk.moment();
    follow.accept(moment);
    reminder.hear(moment.playing(), desk.preferences().breakMinutes());
    still = moment.playing() ? 0 : still + 1;
    if (still > FRAMES_AFTER) {
      timer.stop();
    }
  }
}
