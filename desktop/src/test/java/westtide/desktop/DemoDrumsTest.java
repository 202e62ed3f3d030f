package westtide.desktop;

import org.junit.jupiter.api.BeforeEach;
import westtide.review.finding.Stage;
import westtide.rhythm.Meter;
import westtide.song.id.PartId;
import westtide.song.pattern.Pattern;

/** The grooves of a demo song in front, the keys on its first lane and step. */
abstract class DemoDrumsTest extends WindowTest {
  @Override
  void begin() {
    shell.begin(demo(0));
  }

  @BeforeEach
  void openDrums() {
    interact(() -> shell.open().select(song().part(PartId.of("drums")).orElseThrow(), "A"));
    go(Stage.DRUMS);
    focus("#bead-sheet");
  }

  Pattern.Drums groove() {
    return song().part(PartId.of("drums")).orElseThrow().groove("A", Meter.COMMON).orElseThrow();
  }
}
