package westtide.file.deliver;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import westtide.Ensembles;
import westtide.file.audio.Bounce;
import westtide.score.Score;
import westtide.sound.Mixdown.Watch;

class DeliveryTest {
  private static final Score SCORE =
      Score.of(Ensembles.song("A minor", "Am | F", 1, Ensembles.chords("keys")));

  @TempDir Path folder;

  private Delivery of(Set<Deliverable> what) {
    return new Delivery(SCORE, what, DeliverOptions.USUAL, folder.resolve("out"));
  }

  @ParameterizedTest
  @EnumSource
  void whatIsNamedIsWhatIsWritten(Deliverable one) throws IOException {
    Delivery delivery = of(Set.of(one));
    assertThat(delivery.there()).isEmpty();
    List<Path> written =
        delivery.write(Watch.NOBODY).orElseThrow().stream().map(Bounce.Written::path).toList();
    assertThat(written).isEqualTo(delivery.files()).isEqualTo(delivery.there());
    assertThat(in(folder.resolve("out"))).containsExactlyInAnyOrderElementsOf(written);
  }

  @Test
  void whoCancelsHasNothingWritten() throws IOException {
    Watch cancelled = new Watch(() -> true, share -> {});
    assertThat(of(EnumSet.allOf(Deliverable.class)).write(cancelled)).isEmpty();
    assertThat(in(folder.resolve("out"))).isEmpty();
  }

  @Test
  void mixAndStemsInOnePassAreWhatEachIsAlone() throws IOException {
    of(Set.of(Deliverable.MIX)).write(Watch.NOBODY);
    Path mix = of(Set.of(Deliverable.MIX)).files().get(0);
    byte[] alone = Files.readAllBytes(mix);
    of(Set.of(Deliverable.MIX, Deliverable.STEMS)).write(Watch.NOBODY);
    assertThat(mix).hasBinaryContent(alone);
  }

  private static List<Path> in(Path folder) throws IOException {
    try (Stream<Path> files = Files.list(folder)) {
      return files.toList();
    }
  }
}
