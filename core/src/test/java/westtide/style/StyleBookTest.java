package westtide.style;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.Songs;
import westtide.rhythm.Feel;
import westtide.rhythm.Meter;
import westtide.rhythm.StepLane;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.chord.ChordLine;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.form.Cell;
import westtide.song.form.CellSound;
import westtide.song.form.FormLine;
import westtide.song.form.Level;
import westtide.sound.instrument.InstrumentBook;
import westtide.sound.instrument.Kit;
import westtide.text.Reading;

class StyleBookTest {
  private static final StyleBook BOOK = StyleBook.shipped();

  /** Common practice: usual tempo and feel of each style. */
  @ParameterizedTest
  @CsvSource({
    "trap, 125, 150, HALF",
    "bounce, 160, 175, HALF",
    "dark, 136, 146, HALF",
    "cloud, 130, 160, HALF",
    "drill, 138, 145, HALF",
    "boom bap, 84, 96, FULL",
    "lo-fi, 68, 90, FULL",
    "soul, 80, 95, FULL",
    "country trap, 130, 140, HALF",
    "amapiano, 110, 115, FULL",
    "afro-pop, 95, 112, FULL",
    "house, 118, 126, FULL",
    "deep-house, 112, 124, FULL",
    "tech house, 124, 130, FULL",
    "disco pop, 112, 126, FULL",
    "techno, 128, 142, FULL",
    "bass house, 122, 128, FULL",
    "future bass, 140, 160, HALF"
  })
  void temposAndFeelsAreThoseOfPractice(String style, double low, double high, Feel feel) {
    Style found = BOOK.get(style);
    assertThat(found.tempo().low()).isEqualTo(low);
    assertThat(found.tempo().high()).isEqualTo(high);
    assertThat(found.tempo().contains(found.tempo().start())).isTrue();
    assertThat(found.feel()).isEqualTo(feel);
  }

  /** A receiver hears a synth bass as one: program 0, a piano, belongs to pianos alone. */
  @Test
  void everyPitchedPartHasTheProgramOfItsFamily() {
    InstrumentBook instruments = InstrumentBook.shipped();
    for (Style style : BOOK.styles()) {
      for (Part part : Songs.draft(style.id(), 3).parts()) {
        if (part.role() != Role.DRUMS && part.role() != Role.MARKS && part.program() == 0) {
          assertThat(instruments.heard(part.patch().instrument()).program() / 8)
              .as(style.id() + ": " + part.name() + " is no piano")
              .isZero();
        }
      }
    }
  }

  /** Common practice: the steps that make each style known, read from its first groove. */
  @ParameterizedTest
  @CsvSource({
    "amapiano, KICK, x...x...x...x...",
    "techno, KICK, X...X...X...X...",
    "deep-house, CLAP, ....x.......x...",
    "tech-house, OPEN_HAT, ..x...x...x...x.",
    "disco-pop, SNARE, ....X.......X...",
    "future-bass, SNARE, ........X.......",
    "drill, SNARE, ........X.......|............X...",
    "soul, SNARE, ....X.......X...",
    "cloud, SNARE, ........X.......",
    "afro-pop, RIM, x..x..x...x.x...",
    "techno, TOM, x..x.o..x..o.x.."
  })
  void signaturesStandWherePracticePutsThem(String style, String voice, String steps) {
    LaneId of = DrumVoice.valueOf(voice).lane();
    assertThat(BOOK.get(style).groove().lanes().get(of).texts().get(0)).startsWith(steps);
  }

  /** A lane of no whole bars would drift against the others, which none of these means. */
  @Test
  void lanesAndFillsCloseTheirBars() {
    for (Style style : BOOK.styles()) {
      style
          .groove()
          .lanes()
          .forEach(
              (id, lane) ->
                  lane.texts()
                      .forEach(
                          text ->
                              assertThat(StepLane.parse(text).length() % 16)
                                  .as(style.id() + " " + id + " " + text)
                                  .isZero()));
      style
          .groove()
          .fills()
          .forEach(
              fill ->
                  fill.forEach(
                      (id, text) ->
                          assertThat(StepLane.parse(text).length())
                              .as(style.id() + " fill " + id)
                              .isEqualTo(16)));
    }
  }

  @Test
  void everyLineOfTheBookIsUnderstood() {
    for (Style style : BOOK.styles()) {
      for (String line : style.chords().progressions()) {
        var read = ChordLine.in(style.keys().get(0), Meter.COMMON).parse(line);
        assertThat(read).as(style.id() + ": " + line).isInstanceOf(Reading.Understood.class);
      }
      style.groove().lanes().values().stream()
          .flatMap(lane -> lane.texts().stream())
          .forEach(text -> assertThat(StepLane.parse(text).length()).isPositive());
      style.form().templates().forEach(t -> FormLine.parse(t.line()).orElseThrow());
      style
          .sound()
          .instruments()
          .forEach(
              (part, name) ->
                  assertThat(
                          Kit.find(name).isPresent()
                              || InstrumentBook.shipped().find(name).isPresent())
                      .as(style.id() + " " + name)
                      .isTrue());
    }
  }

  /**
   * Common practice: four to the floor with claps on 2 and 4, and the backbeat of half-time on beat
   * 3.
   */
  @Test
  void backbeatsStandWhereTheStylePutsThem() {
    assertThat(BOOK.get("house").groove().lanes().get(DrumVoice.KICK.lane()).texts())
        .allMatch(lane -> lane.startsWith("X...X...X...X..."));
    assertThat(BOOK.get("house").groove().lanes().get(DrumVoice.CLAP.lane()).texts())
        .allMatch(lane -> lane.startsWith("....x.......x..."));
    assertThat(BOOK.get("trap").groove().lanes().get(DrumVoice.CLAP.lane()).texts())
        .allMatch(lane -> lane.startsWith("........X......."));
    assertThat(BOOK.get("boom-bap").groove().lanes().get(DrumVoice.SNARE.lane()).texts())
        .allMatch(lane -> lane.charAt(4) == 'X' && lane.charAt(12) == 'X');
  }

  @Test
  void everyPreferenceHasAReason() {
    for (Style style : BOOK.styles()) {
      assertThat(style.reasons()).hasSizeGreaterThan(12);
      assertThat(style.reasons()).allMatch(r -> r.why().endsWith(".") && r.why().length() > 12);
    }
  }

  @Test
  void namesAreFoundHoweverTheyAreWrittenAndOthersAreListed() {
    assertThat(BOOK.find("Boom Bap")).isPresent();
    assertThat(BOOK.find("BOOM_BAP")).isPresent();
    assertThatThrownBy(() -> BOOK.get("polka"))
        .hasMessageContaining("polka")
        .hasMessageContaining("trap, house, boom-bap");
  }

  @Test
  void aLevelPlanDividesASection() {
    assertThat(new LevelPlan("out/half:tease").cells(16, Role.LINE))
        .containsExactly(new Cell(0, Level.OUT, "A"), new Cell(8, Level.HALF, "tease"));
    CellSound hinted = new LevelPlan("hint").cells(8, Role.LINE).get(0).sound();
    assertThat(hinted.octave()).as("a line is planned high as a hint").isEqualTo(1);
    assertThat(new LevelPlan("hint").cells(8, Role.DRUMS).get(0).sound().octave()).isZero();
    assertThat(new LevelPlan("out/full").cells(1, Role.LINE)).hasSize(1);
    assertThatThrownBy(() -> new LevelPlan("loud")).hasMessageContaining("hint");
  }
}
