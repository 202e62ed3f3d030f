package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import javafx.geometry.Point2D;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import westtide.review.finding.Stage;
import westtide.song.id.PartId;
import westtide.song.mix.Duck;
import westtide.song.mix.Mix;
import westtide.song.mix.ReverbKind;

class LevelsRoomTest extends WindowTest {
  @Override
  void begin() {
    shell.begin(demo(0));
  }

  private Mix mix(String part) {
    return song().part(PartId.of(part)).orElseThrow().mix();
  }

  @Test
  void aGateIsPulledAndABandRaisedInTheDrawing() {
    go(Stage.LEVELS);
    int cut = mix("keys").lowCut();
    int middle = mix("keys").effects().equaliser().mid();
    Point2D gate = middle("#band-low-cut");
    pressAt(gate);
    glide(gate, gate.add(30, 0));
    release();
    settle();
    assertThat(mix("keys").lowCut()).isGreaterThan(cut + 40);
    Point2D bell = middle("#band-mid");
    pressAt(bell);
    glide(bell, bell.add(0, -25));
    release();
    settle();
    assertThat(mix("keys").effects().equaliser().mid()).isGreaterThan(middle + 30);
    press("#undo", "#undo");
    assertThat(mix("keys").lowCut()).isEqualTo(cut);
    assertThat(mix("keys").effects().equaliser().mid()).isEqualTo(middle);
  }

  @Test
  void aBandIsMovedByKeys() {
    go(Stage.LEVELS);
    focus("#band-sheet");
    push(KeyCode.RIGHT);
    push(KeyCode.RIGHT);
    push(KeyCode.UP);
    push(KeyCode.UP);
    push(KeyCode.SHIFT, KeyCode.RIGHT);
    settle();
    assertThat(mix("keys").effects().equaliser().mid()).isEqualTo(10);
    assertThat(mix("keys").effects().equaliser().midHertz()).isCloseTo(1122, within(3));
    push(KeyCode.DELETE);
    settle();
    assertThat(mix("keys").effects().equaliser().mid()).isZero();
  }

  @Test
  void roomRepeatsAndDuckingAreChosen() {
    go(Stage.LEVELS);
    press("#room-hall");
    choose("#duck-trigger", Duck.Trigger.LANE);
    press("#levels-page-numbers", "#ping-pong-in-their-place");
    press("#duck-return-late");
    assertThat(mix("keys").space().room()).isEqualTo(ReverbKind.HALL);
    assertThat(mix("keys").space().pingPong()).isFalse();
    assertThat(mix("keys").duck().trigger()).isEqualTo(Duck.Trigger.LANE);
    assertThat(mix("keys").duck().lane()).isIn("SNARE", "CLAP");
    assertThat(mix("keys").duck().curve()).isEqualTo(Duck.Return.LATE);
  }

  @Test
  void effectsAreTypedAndTheStripCopied() {
    go(Stage.LEVELS);
    press("#levels-page-effects");
    press("#part-effects-exact");
    type("#fx-chorus-exact", "40");
    type("#fx-low-exact", "-3.5");
    press("#part-tremolo-1-16");
    assertThat(mix("keys").effects().chorus()).isEqualTo(40);
    assertThat(mix("keys").effects().equaliser().low()).isEqualTo(-35);
    assertThat(mix("keys").effects().tremolo().rate()).hasToString("1/16");
    int level = mix("lead").level();
    choose("#copy-strip", song().part(PartId.of("lead")).orElseThrow().name());
    assertThat(mix("lead").effects()).isEqualTo(mix("keys").effects());
    assertThat(mix("lead").level()).isEqualTo(level);
    choose("#copy-strip", "all " + (song().parts().size() - 1) + " other parts");
    assertThat(song().parts())
        .allSatisfy(part -> assertThat(part.mix().effects()).isEqualTo(mix("keys").effects()));
  }

  @Test
  void theWholeMixIsBroughtToALoudness() {
    hearing = true;
    shorten();
    go(Stage.LEVELS);
    press("#levels-page-whole-mix");
    press("−16 LUFS");
    waitFor(60, () -> shell.open().view().orElseThrow().heard().isPresent());
    settle();
    press("#match-target");
    waitFor(
        () ->
            shell
                .open()
                .view()
                .flatMap(westtide.desktop.open.SongView::heard)
                .filter(heard -> Math.abs(heard.integrated() + 16) < 0.6)
                .isPresent());
    assertThat(song().master().gain()).isNotZero();
    assertThat(song().master().target()).isEqualTo(-16);
  }

  @Test
  void twoVersionsAreHeardInTurnAtOneLoudness() {
    interact(() -> shell.begin(brief(demo(0))));
    go(Stage.LEVELS);
    focus("#plumb-sheet");
    push(KeyCode.UP);
    settle();
    run("compare-opened");
    waitFor(90, () -> shell.play().hearsVersion());
    push(KeyCode.B);
    settle();
    assertThat(shell.play().hearsVersion()).isFalse();
    push(KeyCode.B);
    settle();
    assertThat(shell.play().hearsVersion()).isTrue();
    push(KeyCode.UP);
    settle();
    assertThat(shell.play().hearsVersion()).as("an edit is heard").isFalse();
  }

  @Test
  void theSongIsHeardThroughASmallSpeaker() {
    go(Stage.LEVELS);
    press("#through-phone-speaker");
    assertThat(shell.play().speaker()).hasToString("phone speaker");
    press("#through-as-it-is");
    assertThat(shell.play().speaker()).hasToString("as it is");
  }
}
