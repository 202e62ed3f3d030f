package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import westtide.review.finding.Stage;
import westtide.song.Role;
import westtide.song.Song;
import westtide.theory.Key;
import westtide.theory.Scale;

/** Tempo, key, swing and style, as a person sets them. */
class BriefRoomTest extends TrapSongTest {
  @Test
  void theTempoIsTypedNudgedAndTapped() {
    type("#tempo", "131.5");
    assertThat(words("#bridge-tempo")).isEqualTo("131.5");
    focus("#tempo");
    push(KeyCode.UP);
    push(KeyCode.UP);
    push(KeyCode.DOWN);
    assertThat(words("#bridge-tempo")).isEqualTo("132.5");
    for (int tap = 0; tap < 5; tap++) {
      clock.addAndGet(400);
      press("#tap-tempo");
    }
    assertThat(words("#bridge-tempo")).isEqualTo("150");
    type("#tempo", "five");
    assertHas(words("#tempo-problem"), "20 to 300", "five");
    assertThat(words("#bridge-tempo")).isEqualTo("150");
  }

  @Test
  void theKeyMovesChordsAndLine() {
    int first = line().get(0).key();
    choose("#key-tonic", "A");
    assertThat(song().brief().key()).isEqualTo(Key.parse("A minor"));
    assertThat(chords()).startsWith("Am9", "Fmaj7");
    assertThat(line().get(0).key()).isEqualTo(first + 3);
    choose("#key-scale", Scale.DORIAN);
    assertThat(words("#bridge-key")).isEqualTo("A dorian");
  }

  @Test
  void swingIsNudgedAndSeenAsDisplacement() {
    go(Stage.DRUMS);
    double straight = middle("#bead-snare-32").getX();
    double kick = middle("#bead-kick-1").getX();
    go(Stage.BRIEF);
    type("#swing", "62");
    go(Stage.DRUMS);
    assertThat(middle("#bead-snare-32").getX()).isGreaterThan(straight + 3);
    assertThat(middle("#bead-kick-1").getX()).isEqualTo(kick);
  }

  @Test
  void anotherStyleMeasuresAnewAndANewTakeDraftsInIt() {
    choose("#brief-style", "House");
    assertThat(song().brief().style()).isEqualTo("house");
    openSoundings();
    assertThat(words("#fix-0")).isEqualTo("set it to 126");
    var before = groove();
    Song kept = song();
    press("#new-take");
    assertHas(words("#confirm .strong"), "New draft of");
    assertThat(song()).as("it says what it replaces before it does").isSameAs(kept);
    press("#confirm-yes");
    waitFor(60, () -> !groove().equals(before));
    assertThat(song().brief().tempo()).hasToString("142");
    press("#undo", "#undo");
    assertThat(song().brief().style()).isEqualTo("trap");
    assertThat(groove()).isEqualTo(before);
  }

  @Test
  void threeDraftsAreHeardInTurnAndOneIsTaken() {
    Song kept = song();
    var groove = groove();
    press("#open-drafts");
    waitFor(60, () -> lookup("#draft-facts-3").tryQuery().isPresent());
    assertHas(words("#draft-facts-1"), "seed " + (kept.seed() + 1));
    assertHas(words("#draft-words-1"), "lead of");
    assertThat(words("#draft-words-1")).isNotEqualTo(words("#draft-words-2"));
    press("#draft-hear-2");
    waitFor(() -> shell.play().trying());
    assertThat(song()).as("nothing is taken yet").isSameAs(kept);
    press("#keep-drums");
    waitFor(60, () -> words("#drafts-state").isEmpty());
    press("#draft-take-1");
    waitFor(60, () -> song() != kept);
    assertThat(groove()).as("drums stay").isEqualTo(groove);
    assertThat(song().parts()).hasSizeGreaterThan(kept.parts().size());
    assertThat(shell.play().trying()).isFalse();
    press("#undo");
    assertThat(song()).isEqualTo(kept);
  }

  @Test
  void threeTakesOfOnePartLeaveTheOthersAlone() {
    Song before = song();
    press("#open-drafts");
    waitFor(60, () -> !told("#draft-facts-3").isEmpty());
    press("#drafts-of-one-part");
    waitFor(60, () -> told("#draft-facts-3").contains("seed " + (before.seed() + 6)));
    choose("#drafts-part", "Drums");
    waitFor(60, () -> told("#draft-facts-3").contains("Drums"));
    assertHas(words("#draft-words-1"), "kick");
    press("#draft-hear-1");
    waitFor(() -> shell.play().trying());
    press("#draft-take-2");
    waitFor(60, () -> song() != before);
    assertThat(song().parts(Role.LINE)).isEqualTo(before.parts(Role.LINE));
    assertThat(song().form()).isEqualTo(before.form());
    assertThat(song().parts(Role.DRUMS)).isNotEqualTo(before.parts(Role.DRUMS));
    press("#undo");
    assertThat(song()).isEqualTo(before);
  }

  private String told(String query) {
    return lookup(query).tryQuery().isPresent() ? words(query) : "";
  }

  @Test
  void threeTakesOfOneSectionLeaveTheOthersAlone() {
    Song before = song();
    press("#open-drafts");
    waitFor(60, () -> !told("#draft-facts-3").isEmpty());
    press("#drafts-of-one-section");
    waitFor(60, () -> told("#draft-facts-3").contains("seed " + (before.seed() + 6)));
    press("#draft-take-1");
    waitFor(60, () -> song() != before);
    int place = shell.open().section();
    for (int i = 0; i < before.form().sections().size(); i++) {
      boolean same = song().form().sections().get(i).equals(before.form().sections().get(i));
      assertThat(same).as("section " + (i + 1)).isEqualTo(i != place);
    }
  }
}
