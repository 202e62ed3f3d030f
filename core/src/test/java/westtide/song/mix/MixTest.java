package westtide.song.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.function.Supplier;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import westtide.Songs;
import westtide.song.Song;
import westtide.song.edit.Edit;
import westtide.song.edit.History;
import westtide.song.edit.MixEdits;
import westtide.song.edit.form.FormEdits;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;

class MixTest {
  static Stream<Arguments> outside() {
    Mix plain = Mix.PLAIN;
    Duck duck = Duck.NONE;
    return Stream.of(
        Arguments.of((Supplier<?>) () -> plain.withLevel(61), "a level is -600 to 60", "61"),
        Arguments.of((Supplier<?>) () -> plain.withPan(-101), "a pan is -100 to 100", "-101"),
        Arguments.of(
            (Supplier<?>) () -> plain.withLowCut(2001), "a low cut is 0 to 2000 Hz", "2001"),
        Arguments.of((Supplier<?>) () -> plain.withLowPass(199), "a low pass is 200", "199"),
        Arguments.of((Supplier<?>) () -> plain.withReverb(101), "a reverb send is 0 to 100", "101"),
        Arguments.of((Supplier<?>) () -> plain.withDelay(-1), "a delay send is 0 to 100", "-1"),
        Arguments.of((Supplier<?>) () -> plain.withWidth(200), "a width is 0 to 100", "200"),
        Arguments.of((Supplier<?>) () -> plain.withClip(181), "a soft clip is 0 to 180", "181"),
        Arguments.of((Supplier<?>) () -> duck.withDepth(401), "depth is 0 to 400", "401"),
        Arguments.of((Supplier<?>) () -> duck.withMillis(19), "time is 20 to 1000", "19"),
        Arguments.of((Supplier<?>) () -> duck.withBelow(2001), "upper limit is 0", "2001"),
        Arguments.of(
            (Supplier<?>) () -> Curve.straight(Curve.Kind.LOW_PASS, 100, 500),
            "low-pass curve",
            "100"),
        Arguments.of(
            (Supplier<?>) () -> Curve.straight(Curve.Kind.LEVEL, 0, 61), "level curve", "61"));
  }

  @ParameterizedTest
  @MethodSource("outside")
  void whatLiesOutsideIsRefusedWithRangeAndValue(Supplier<?> make, String range, String value) {
    assertThatThrownBy(make::get)
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining(range)
        .hasMessageEndingWith("but was " + value);
  }

  @Test
  void theEndsOfEveryRangeAreAllowed() {
    Mix low =
        new Mix(
            -600,
            -100,
            0,
            200,
            0,
            0,
            DelayTime.SIXTEENTH,
            0,
            0,
            Duck.NONE,
            Gate.OPEN,
            Space.USUAL,
            Effects.NONE);
    Mix high =
        new Mix(
            60,
            100,
            2000,
            20_000,
            100,
            100,
            DelayTime.QUARTER,
            100,
            180,
            Duck.NONE,
            Gate.OPEN,
            Space.USUAL,
            Effects.NONE);
    assertThat(low).isNotEqualTo(high);
  }

  /** A sixteenth is a quarter of a quarter, a dotted eighth three sixteenths: arithmetic. */
  @Test
  void delayTimesAreNoteValues() {
    assertThat(Stream.of(DelayTime.values()).map(DelayTime::ticks))
        .containsExactly(240, 480, 720, 960);
  }

  @Test
  void turningOneThingIsOneStepOfUndo() {
    Song song = Songs.draft("trap", 1);
    History history = History.saved(song);
    for (int level = -120; level <= -60; level += 10) {
      int now = level;
      history =
          history.plus(
              MixEdits.mix(PartId.of("keys"), "level", mix -> mix.withLevel(now)), "drag 1");
    }
    assertThat(history.song().part(PartId.of("keys")).orElseThrow().mix().level()).isEqualTo(-60);
    assertThat(history.undo().song().part(PartId.of("keys")).orElseThrow().mix().level())
        .isEqualTo(song.part(PartId.of("keys")).orElseThrow().mix().level());
    assertThat(history.undoable()).contains("Set level of Keys");
  }

  @Test
  void anotherInstrumentBeginsWithItsUsualSettingsAndItsProgram() {
    Song song = MixEdits.setting(PartId.of("lead"), "decay", 900).apply(Songs.draft("trap", 1));
    assertThat(song.part(PartId.of("lead")).orElseThrow().patch().settings())
        .containsEntry("decay", 900);
    Song other = MixEdits.instrument(PartId.of("lead"), "flute", 73).apply(song);
    assertThat(other.part(PartId.of("lead")).orElseThrow().patch()).isEqualTo(Patch.of("flute"));
    assertThat(other.part(PartId.of("lead")).orElseThrow().program()).isEqualTo(73);
  }

  @Test
  void turningEverythingDownLeavesSilenceSilent() {
    Song song =
        Songs.draft("house", 1)
            .withPart(PartId.of("lead"), p -> p.withMix(p.mix().withLevel(Mix.SILENT)));
    Song down = MixEdits.allQuieter(30).apply(song);
    assertThat(down.part(PartId.of("lead")).orElseThrow().mix().level()).isEqualTo(Mix.SILENT);
    assertThat(down.part(PartId.of("keys")).orElseThrow().mix().level())
        .isEqualTo(song.part(PartId.of("keys")).orElseThrow().mix().level() - 30);
  }

  @Test
  void rampsStayWithTheirSectionAndGoWhenTheyAreTakenAway() {
    Song song = Songs.draft("trap", 1);
    Curve ramp = Curve.straight(Curve.Kind.LEVEL, -200, 0);
    Edit rising = FormEdits.curves(SectionId.of(1), PartId.of("keys"), java.util.List.of(ramp));
    Song with = FormEdits.resize(SectionId.of(1), 4).apply(rising.apply(song));
    assertThat(with.form().sections().get(0).curves())
        .containsEntry(PartId.of("keys"), java.util.List.of(ramp));
    Song moved = FormEdits.move(SectionId.of(1), 1).apply(with);
    assertThat(moved.form().sections().get(1).curves()).containsKey(PartId.of("keys"));
    Song without =
        FormEdits.curves(SectionId.of(1), PartId.of("keys"), java.util.List.of()).apply(moved);
    assertThat(without.form().sections().get(1).curves()).isEmpty();
  }
}
