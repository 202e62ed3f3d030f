package westtide.review.heard;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import westtide.Songs;
import westtide.compose.StyleFromSong;
import westtide.sound.loudness.ThirdOctaves;
import westtide.style.SoundHabit;
import westtide.style.Style;

class StyleBandTest {
  private static final Style TRAP = Songs.book().get("trap");

  private static double difference(SoundHabit.Tilt tilt, int high, int low) {
    StyleBand band = StyleBand.of(tilt);
    return band.high().get(high) - band.high().get(low);
  }

  private static int band(double hertz) {
    int nearest = 0;
    for (int i = 0; i < ThirdOctaves.BANDS; i++) {
      if (Math.abs(ThirdOctaves.hertz(i) - hertz) < Math.abs(ThirdOctaves.hertz(nearest) - hertz)) {
        nearest = i;
      }
    }
    return nearest;
  }

  /** Against 1 kHz a deep style has its dB more at 50 Hz, a soft one fewer at 8 kHz. */
  @Test
  void aStyleLeansBelowEightyAndAboveFiveThousandHertz() {
    int low = band(50);
    int middle = band(1000);
    int high = band(8000);
    SoundHabit.Tilt deep = new SoundHabit.Tilt(4, 0);
    SoundHabit.Tilt soft = new SoundHabit.Tilt(0, -4);
    double plainLow = difference(SoundHabit.Tilt.NONE, low, middle);
    double plainHigh = difference(SoundHabit.Tilt.NONE, high, middle);
    assertThat(difference(deep, low, middle)).isCloseTo(plainLow + 4, within(1e-9));
    assertThat(difference(deep, high, middle)).isCloseTo(plainHigh, within(1e-9));
    assertThat(difference(soft, high, middle)).isCloseTo(plainHigh - 4, within(1e-9));
  }

  @Test
  void aStyleOfOnesOwnLeansAsTheOneItCameFrom() {
    assertThat(TRAP.sound().tilt()).isEqualTo(new SoundHabit.Tilt(4, 0));
    Style own = StyleFromSong.of(Songs.draft("trap", 1), TRAP, "Mine");
    assertThat(own.sound().tilt()).isEqualTo(TRAP.sound().tilt());
  }
}
