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

  private final PlayDesk context;
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
      PlayDesk context, LongSupplier millis, Messages messages, Consumer<PlayPosition> follow) {
    this.context = context;
    this.follow = follow;
    this.reminder = new BreakReminder(millis, messages::done);
    context.watchWaking(this::start);
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
    if (!context.ready()) {
      return;
    }
    PlayPosition moment = context.moment();
    follow.accept(moment);
    reminder.hear(moment.playing(), context.preferences().breakMinutes());
    still = moment.playing() ? 0 : still + 1;
    if (still > FRAMES_AFTER) {
      timer.stop();
    }
  }
}
