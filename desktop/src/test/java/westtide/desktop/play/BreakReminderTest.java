package westtide.desktop.play;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;

class BreakReminderTest {
  private static final long MINUTE = 60_000;

  private final AtomicLong clock = new AtomicLong(1);
  private final List<String> said = new ArrayList<>();
  private final BreakReminder reminder = new BreakReminder(clock::get, said::add);

  private void listen(int minutes, boolean playing) {
    for (int i = 0; i < minutes; i++) {
      clock.addAndGet(MINUTE);
      reminder.hear(playing, 45);
    }
  }

  @Test
  void remindsAfterTheTimeAndAgainAfterAsMuch() {
    listen(44, true);
    assertThat(said).isEmpty();
    listen(1, true);
    assertThat(said).hasSize(1).first().asString().contains("45 minutes");
    listen(45, true);
    assertThat(said).hasSize(2);
  }

  @Test
  void aShortStopGoesOnCountingAndABreakBeginsAnew() {
    listen(40, true);
    listen(2, false);
    listen(5, true);
    assertThat(said).hasSize(1);
    listen(40, true);
    listen(6, false);
    listen(30, true);
    assertThat(said).hasSize(1);
  }

  @Test
  void neverRemindsWhenItIsSwitchedOff() {
    for (int i = 0; i < 300; i++) {
      clock.addAndGet(MINUTE);
      reminder.hear(true, 0);
    }
    assertThat(said).isEmpty();
  }
}
