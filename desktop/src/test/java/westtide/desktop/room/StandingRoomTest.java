package westtide.desktop.room;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Group;
import javafx.scene.Node;
import org.junit.jupiter.api.Test;
import westtide.compose.SongDraft;
import westtide.desktop.open.SongView;
import westtide.review.finding.Stage;
import westtide.song.Song;
import westtide.style.StyleBook;

class StandingRoomTest {
  private final Song song = draft(1);
  private final SongView view = SongView.of(song, StyleBook.shipped(), Optional.empty());
  private final List<Stage> told = new ArrayList<>();
  private final List<Sheet> built = new ArrayList<>();
  private int broken;

  /** A sheet that fails when it is told to, as every sheet before the {@code broken}th does. */
  private final class Sheet implements Room {
    private final Group node = new Group();
    private final int number = built.size();
    private int ran;

    private Sheet() {
      built.add(this);
    }

    @Override
    public Stage stage() {
      return Stage.DRUMS;
    }

    @Override
    public Node node() {
      return node;
    }

    @Override
    public void show(SongView shown) {
      if (number < broken) {
        throw new IllegalStateException("a lane that is not there");
      }
    }

    @Override
    public List<Command> commands() {
      return List.of(Command.of("count", "Count", () -> ran++).when(() -> number >= broken));
    }

    @Override
    public String summary(SongView shown) {
      return "";
    }
  }

  private static Song draft(int seed) {
    return SongDraft.in(StyleBook.shipped().get("trap")).withSeed(seed).song();
  }

  private StandingRoom room() {
    return new StandingRoom(Stage.DRUMS, Sheet::new, told::add);
  }

  @Test
  void aSheetThatFailsIsBuiltAnewAndNamed() {
    StandingRoom room = room();
    Command count = room.commands().get(0);
    broken = 1;
    assertThat(count.possible().getAsBoolean()).isFalse();
    room.show(view);
    assertThat(told).containsExactly(Stage.DRUMS);
    assertThat(room.node()).isSameAs(built.get(1).node);
    assertThat(count.possible().getAsBoolean()).as("asks the sheet that stands").isTrue();
    count.run().run();
    assertThat(built.get(1).ran).isOne();
    assertThat(built.get(0).ran).isZero();
  }

  @Test
  void aSongThatNoSheetCanShowIsRefused() {
    StandingRoom room = room();
    broken = 9;
    assertThatThrownBy(() -> room.show(view)).hasMessageContaining("a lane that is not there");
    assertThat(told).isEmpty();
  }

  @Test
  void itIsBuiltWhenItIsFirstNeeded() {
    StandingRoom room = room();
    assertThat(room.stage()).isEqualTo(Stage.DRUMS);
    assertThat(room.isBuilt()).isFalse();
    room.show(view);
    assertThat(room.isBuilt()).isTrue();
    room.build();
    assertThat(built).hasSize(1);
  }

  @Test
  void whatFailsInOneStateOverAndOverIsBuiltOnce() {
    StandingRoom room = room();
    room.anew(song);
    room.anew(song);
    assertThat(built).hasSize(1);
    room.anew(draft(2));
    assertThat(built).hasSize(2);
  }
}
