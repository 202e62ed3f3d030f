package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import westtide.review.Stage;
import westtide.song.FollowRule;
import westtide.song.KickLink;
import westtide.song.Pattern;
import westtide.song.Role;

/** The 808 beside the kick. */
class LowEndRoomTest extends TrapSongTest {
  private FollowRule.Sub rule() {
    Pattern.Following pattern =
        (Pattern.Following) song().parts(Role.SUB).get(0).variants().get(0).pattern();
    return (FollowRule.Sub) pattern.rule();
  }

  @Test
  void the808IsDrawnOnTheKickAndCanGoItsOwnWay() {
    go(Stage.LOW_END);
    assertHas(lookup("#sub-0").query().getAccessibleText(), "808 F♯1");
    press("#link-independent");
    assertThat(rule().link()).isEqualTo(KickLink.INDEPENDENT);
    type("#sub-lowest", "A0");
    assertThat(rule().lowest()).isEqualTo(21);
    assertHas(words("#low-end-told"), "Hz");
    assertThat(shown("#finding-0")).isTrue();
    press("#fix-0");
    assertThat(rule().lowest()).isEqualTo(28);
  }
}
