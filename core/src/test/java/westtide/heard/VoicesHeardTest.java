package westtide.heard;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import westtide.sound.instrument.InstrumentBook;

/** Every voice measured through the whole product: a song of a few notes, rendered. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
@Tag("check")
class VoicesHeardTest {
  private static final String HEADER =
      "| voice | family | RMS dB | peak dB | brighter % | louder dB | alike | swing dB |"
          + " first dB | beside dB |";

  /** Pipes, a plain sine and surfaces that are laid under a song do not answer to force. */
  private static final Set<String> EVEN =
      Set.of("organ", "sub", "rumble bass", "riser", "sweep down", "crowd", "record noise");

  private static final Set<String> GENTLE = Set.of("vocal chop", "choir pad", "flute", "cowbell");

  private static final Set<String> TURNS =
      Set.of(
          "finger bass",
          "log drum",
          "plucked guitar",
          "muted pluck",
          "plucked keyboard",
          "thumb piano");

  private static final Set<String> SUSTAINED =
      Set.of(
          "sub",
          "square bass",
          "driven bass",
          "organ",
          "pad",
          "string ensemble",
          "brass",
          "horn section",
          "brass swell",
          "choir pad",
          "lead",
          "flute");

  private Map<String, VoiceFigures> figures;

  @BeforeAll
  void render() {
    List<VoiceFigures> all =
        InstrumentBook.shipped().instruments().parallelStream().map(VoiceFigures::of).toList();
    figures = all.stream().collect(Collectors.toMap(VoiceFigures::name, each -> each));
    Report.table(HEADER, all.stream().map(VoiceFigures::row).toList());
  }

  /** A struck or blown thing grows brighter when it is struck or blown harder (common practice). */
  @Test
  void forceIsBrighterAndLouder() {
    figures.forEach(
        (name, heard) -> {
          assertThat(heard.louder()).as(name + " louder").isGreaterThan(9);
          if (!EVEN.contains(name)) {
            double least = GENTLE.contains(name) ? 10 : 20;
            assertThat(heard.brighter()).as(name + " brighter").isGreaterThan(least);
          }
        });
  }

  @Test
  void noTwoStrokesOfADrumOrAPluckedStringAreAlike() {
    figures.forEach(
        (name, heard) -> {
          boolean stretched = Set.of("reversed crash", "snare roll", "impact").contains(name);
          if (TURNS.contains(name) || heard.family().equals("drums") && !stretched) {
            assertThat(heard.alike()).as(name).isLessThan(0.98);
          }
        });
  }

  /** A saw's fundamental is 6 dB above its octave (handbook); filters may only raise it. */
  @Test
  void sawVoicesKeepTheirFundamental() {
    VoiceFigures.SAWS.forEach(
        name -> assertThat(figures.get(name).first()).as(name).isGreaterThan(-3));
  }

  @Test
  void heldVoicesStayWhereTheyAre() {
    SUSTAINED.forEach(name -> assertThat(figures.get(name).swing()).as(name).isLessThan(6.5));
  }

  @Test
  void nothingFoldsBack() {
    VoiceFigures.TONAL.forEach(
        name -> assertThat(figures.get(name).folded()).as(name).isLessThan(-60));
  }

  @Test
  void hatsLieWhereHatsLie() {
    for (String hat : List.of("closed hat", "open hat")) {
      Bands bands = Bands.struck(Rendered.strokes(hat, "x", 1).middle(0, 0.45));
      assertThat(bands.share(5_000, 10_000)).as(hat).isGreaterThan(0.4);
    }
  }

  /** What small speakers, which give nothing below 250 to 400 Hz, still tell of an 808. */
  @Test
  void an808IsHeardOnSmallSpeakers() {
    for (int key : new int[] {28, 33, 40}) {
      Bands bands = Bands.of(Rendered.note("808", key, 100, 1.5).middle(0, 1.4));
      assertThat(bands.share(400, 24_000)).as("on " + key).isGreaterThan(0.02);
    }
  }
}
