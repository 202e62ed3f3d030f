package westtide.sound;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import westtide.Songs;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.drum.LaneSound;
import westtide.song.drum.PanSweep;
import westtide.song.edit.MixEdits;
import westtide.song.id.PartId;
import westtide.song.mix.Duck;

class LaneChannelsTest {
  private static final PartId DRUMS = PartId.of("drums");

  private static Song hats() {
    Part drums =
        Songs.part(
            "drums",
            Role.DRUMS,
            Songs.groove(
                1,
                DrumVoice.KICK,
                "x.......x.......",
                DrumVoice.SNARE,
                "....x.......x...",
                DrumVoice.OPEN_HAT,
                "..x.............",
                DrumVoice.CLOSED_HAT,
                "....x..........."));
    return Songs.oneHook(Songs.brief("C minor", 50), "Cm", 1, drums);
  }

  private static PreparedScore.Prepared prepared(Song song) {
    return new Preparation(48_000).prepare(Score.of(song), Audible.ALL).parts().get(0);
  }

  private static Song withGrain(Song song, DrumVoice voice) {
    return MixEdits.laneEffects(DRUMS, voice.lane(), "grain", fx -> fx.withGrain(40)).apply(song);
  }

  @Test
  void aLaneWithEffectsGoesThroughItsOwnChannel() {
    PreparedScore.Prepared plain = prepared(hats());
    PreparedScore.Prepared coloured = prepared(withGrain(hats(), DrumVoice.SNARE));
    assertThat(plain.lanes()).isEmpty();
    assertThat(coloured.lanes()).hasSize(1);
    assertThat(coloured.lanes().get(0).track().starts()).containsExactly(960, 2880);
    assertThat(coloured.track().size()).isEqualTo(plain.track().size() - 2);
  }

  /** The closed hat on step 5 cuts the open one on step 3, though each has a channel of its own. */
  @Test
  void hatsChokeOneAnotherAcrossChannels() {
    PreparedScore.Prepared split = prepared(withGrain(hats(), DrumVoice.OPEN_HAT));
    assertThat(split.lanes().get(0).track().ends()).containsExactly(960);
    assertThat(split.lanes().get(0).track().struck()[0]).isFalse();
  }

  @Test
  void aPartStepsBackForAnyLane() {
    Triggers triggers = new Triggers(Score.of(hats()));
    assertThat(triggers.kicks()).containsExactly(0, 1920);
    assertThat(triggers.of(Duck.NONE.withLane("SNARE"))).containsExactly(960, 2880);
    assertThat(triggers.of(Duck.NONE.withTrigger(Duck.Trigger.QUARTERS))).isEmpty();
    assertThat(triggers.of(Duck.NONE.withLane("RIDE"))).isEmpty();
  }

  /** Two parts that kick: what ducks for them goes down at every kick once, in order. */
  @Test
  void kicksOfTwoPartsAreOneOrderedRow() {
    Part second =
        Songs.part("more", Role.DRUMS, Songs.groove(1, DrumVoice.KICK, "x...x..........."));
    Song song = hats();
    Song two =
        Songs.oneHook(Songs.brief("C minor", 50), "Cm", 1, song.part(DRUMS).orElseThrow(), second);
    assertThat(new Triggers(Score.of(two)).kicks()).containsExactly(0, 960, 1920);
  }

  @Test
  void aLaneGivesOthersItsEffectsButNotItsLevel() {
    LaneId snare = DrumVoice.SNARE.lane();
    Song song =
        withGrain(hats(), DrumVoice.SNARE)
            .withPart(
                DRUMS,
                part -> part.withSound(snare, part.sound(snare).withLevel(-20).withReverb(35)));
    List<LaneId> hats = List.of(DrumVoice.OPEN_HAT.lane(), DrumVoice.CLOSED_HAT.lane());
    Part drums = MixEdits.copyLane(DRUMS, snare, hats).apply(song).part(DRUMS).orElseThrow();
    for (LaneId lane : hats) {
      assertThat(drums.sound(lane).effects().grain()).isEqualTo(40);
      assertThat(drums.sound(lane).reverb()).isEqualTo(35);
      assertThat(drums.sound(lane).level()).isZero();
    }
  }

  @Test
  void aStripIsCopiedWithoutLevelAndPan() {
    Song song = Songs.draft("trap", 3);
    PartId keys = song.parts(Role.CHORDS).get(0).id();
    PartId lead = song.parts(Role.LINE).get(0).id();
    Song set =
        MixEdits.mix(keys, "chorus", m -> m.withEffects(m.effects().withChorus(30)).withLevel(-33))
            .apply(song);
    Song copied = MixEdits.copyStrip(keys, List.of(lead)).apply(set);
    assertThat(copied.part(lead).orElseThrow().mix().effects().chorus()).isEqualTo(30);
    assertThat(copied.part(lead).orElseThrow().mix().level())
        .isEqualTo(song.part(lead).orElseThrow().mix().level());
  }

  /** Arithmetic: from −60 to 60 over eight steps is 15 a step; the hits are 4 and 12 steps in. */
  @Test
  void aLaneGoesFromSideToSideAndEachHitIsWhereItStandsThen() {
    LaneId snare = DrumVoice.SNARE.lane();
    Song song =
        hats()
            .withPart(
                DRUMS,
                part ->
                    part.withSound(
                        snare, part.sound(snare).withPan(-60).withSweep(new PanSweep(60, 8))));
    LaneSound sound = song.part(DRUMS).orElseThrow().sound(snare);
    assertThat(sound.panAt(960)).isZero();
    assertThat(sound.panAt(8 * 240)).isEqualTo(60);
    assertThat(sound.panAt(12 * 240)).as("on the way back").isZero();
    assertThat(sound.panAt(16 * 240)).isEqualTo(-60);
    Song faster =
        song.withPart(
            DRUMS, part -> part.withSound(snare, part.sound(snare).withSweep(new PanSweep(60, 4))));
    var track = prepared(withGrain(faster, DrumVoice.KICK)).track();
    int first = at(track.starts(), 960);
    assertThat(track.right()[first]).as("all the way over").isGreaterThan(2 * track.left()[first]);
  }

  /**
   * A stroke that has its peak in its first tenth has it in its last when it is played backwards.
   */
  @Test
  void aReversedLaneSwellsInsteadOfDyingAway() {
    LaneId snare = DrumVoice.SNARE.lane();
    Song song =
        hats().withPart(DRUMS, part -> part.withSound(snare, part.sound(snare).withReversed(true)));
    assertThat(peakAt(snareOf(hats()))).isLessThan(0.2);
    float[] backwards = snareOf(song);
    assertThat(peakAt(backwards)).isGreaterThan(0.8);
    assertThat(Math.abs(backwards[0])).as("it begins at once").isGreaterThan(0);
  }

  private static float[] snareOf(Song song) {
    var track = prepared(song).track();
    return track.tables()[at(track.starts(), 960)];
  }

  private static int at(int[] starts, int tick) {
    return Arrays.binarySearch(starts, tick);
  }

  private static double peakAt(float[] samples) {
    int peak = 0;
    for (int i = 0; i < samples.length; i++) {
      if (Math.abs(samples[i]) > Math.abs(samples[peak])) {
        peak = i;
      }
    }
    return peak / (double) samples.length;
  }
}
