package westtide.sound.instrument;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import westtide.Songs;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;

class DrumTuningTest {
  private static final LaneId KICK = DrumVoice.KICK.lane();

  /** Equal temperament: F sharp 1 is 46.25 Hz, and 1200 cents are a factor of two. */
  @Test
  void theKickOfAKitIsTunedAndItsLaneTunesItFurther() {
    Part drums = Songs.draft("trap", 1).parts(Role.DRUMS).get(0);
    DrumTuning usual = DrumTuning.of(drums, KICK).orElseThrow();
    assertThat(usual.hertz()).isBetween(30.0, 80.0);
    var sound = drums.sound(KICK);
    Part higher = drums.withSound(KICK, sound.withCents(sound.cents() + 1200));
    assertThat(DrumTuning.of(higher, KICK).orElseThrow().hertz())
        .isCloseTo(2 * usual.hertz(), within(1e-9));
    assertThat(new DrumTuning(46.25).nearest()).isEqualTo(30);
    assertThat(new DrumTuning(440).midi()).isCloseTo(69, within(1e-9));
  }
}
