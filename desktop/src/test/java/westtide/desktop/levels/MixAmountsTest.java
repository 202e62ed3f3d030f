package westtide.desktop.levels;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.desktop.room.Amount;
import westtide.song.mix.Mix;

class MixAmountsTest {
  private static Amount<Mix> of(String id) {
    return MixAmounts.STRIP.stream().filter(each -> each.id().equals(id)).findFirst().orElseThrow();
  }

  @ParameterizedTest
  @CsvSource({
    "mix-level,-14.5,-145",
    "mix-level,−3,-30",
    "mix-level,'2,5',25",
    "mix-level, 6.0 ,60",
    "mix-pan,-40,-40",
    "mix-low-cut,150,150",
    "mix-duck-depth,7.5,75"
  })
  void whatIsTypedIsRead(String id, String typed, int value) {
    assertThat(of(id).parse(typed)).isEqualTo(value);
  }

  @ParameterizedTest
  @CsvSource({
    "mix-level,loud,level is a number from -60.0 to 6.0",
    "mix-level,6.1,level is a number from -60.0 to 6.0",
    "mix-pan,101,pan is a number from -100 to 100",
    "mix-low-pass,,low-pass is a number from 200 to 20000",
    "mix-duck-time,10,ducking release is a number from 20 to 1000"
  })
  void whatCannotBeUsedIsRefusedWithItsRange(String id, String typed, String message) {
    String text = typed == null ? "" : typed;
    assertThatThrownBy(() -> of(id).parse(text))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining(message)
        .hasMessageEndingWith("but was \"" + text + "\"");
  }

  /** Whatever is shown can be typed again and means the same. */
  @Test
  void whatIsShownReadsBack() {
    for (Amount<Mix> amount : MixAmounts.STRIP) {
      for (int value : new int[] {amount.low(), amount.high()}) {
        Mix mix = amount.set().to(Mix.PLAIN, value);
        String shown = amount.plain(amount.get().applyAsInt(mix));
        assertThat(amount.parse(shown)).as(amount.name()).isEqualTo(value);
      }
    }
  }
}
