package westtide.compose.groove;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import westtide.Songs;
import westtide.compose.Arranger;
import westtide.compose.SongDraft;
import westtide.rhythm.Hit;
import westtide.rhythm.Meter;
import westtide.rhythm.StepLane;
import westtide.score.Score;
import westtide.song.HeardBars;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.edit.drum.DrumEdits;
import westtide.song.form.CellSpan;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.id.PartId;
import westtide.song.pattern.GrooveChange;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.style.Style;

class GrooveVariationsTest {
  private static final PartId DRUMS = PartId.of("drums");
  private static final int STEP = 240;

  static Stream<Style> styles() {
    return Songs.book().styles().stream();
  }

  private static Song draft(Style style) {
    return Arranger.arranged(SongDraft.in(style).withSeed(5));
  }

  @ParameterizedTest
  @MethodSource("styles")
  void everyDrumPartOfADraftIsOneGrooveAndItsVariations(Style style) {
    for (Part part : draft(style).parts(westtide.song.Role.DRUMS)) {
      assertThat(part.patterns().get(0).pattern()).isInstanceOf(Pattern.Drums.class);
      assertThat(part.patterns().subList(1, part.patterns().size()))
          .as(style.id() + " " + part.name())
          .allSatisfy(
              named ->
                  assertThat(named.pattern())
                      .isInstanceOfSatisfying(
                          Pattern.Varied.class, v -> assertThat(v.parent()).isEqualTo("A")))
          .noneMatch(named -> named.name().matches("A8.*"));
    }
  }

  /** A kick moved in the groove is heard in every bar of the form but where a variation differs. */
  @ParameterizedTest
  @MethodSource("styles")
  void aKickOfTheGrooveIsHeardInEveryBarThatPlaysIt(Style style) {
    Song song = draft(style);
    Part part = song.part(DRUMS).orElseThrow();
    Pattern.Drums main = part.groove("A", Meter.COMMON).orElseThrow();
    int step = rest(main.lane(DrumVoice.KICK).orElseThrow());
    Song edited =
        new DrumEdits(DRUMS, "A").place(DrumVoice.KICK.lane(), Hit.of(step, 127)).apply(song);
    int bars = 0;
    for (int place = 0; place < song.form().sections().size(); place++) {
      Section section = song.form().sections().get(place);
      int start = song.form().startTick(place, Meter.COMMON);
      for (CellSpan span : section.spans(DRUMS)) {
        NamedPattern played = part.pattern(span.cell().pattern());
        if (span.cell().level() != Level.FULL || !keeps(played.pattern(), step, main)) {
          continue;
        }
        int length = part.groove(played.name(), Meter.COMMON).orElseThrow().bars();
        for (int bar = span.fromBar(); bar < Math.min(span.endBar(), section.bars() - 1); bar++) {
          boolean first = bar % length % main.bars() == 0;
          int tick = start + bar * 3840 + step * STEP;
          if (first && section.at(bar).isEmpty() && section.at(bar + 1).isEmpty()) {
            bars++;
            assertThat(kickNear(edited, tick))
                .as(style.id() + " bar " + bar + " of " + place)
                .isTrue();
          }
        }
      }
    }
    assertThat(bars).isGreaterThan(4);
  }

  private static int rest(StepLane kick) {
    return Stream.iterate(1, step -> step + 1)
        .filter(step -> kick.at(step).isEmpty())
        .findFirst()
        .orElseThrow();
  }

  /** Whether a variation leaves the first bar's step of the kick to the groove. */
  private static boolean keeps(Pattern pattern, int step, Pattern.Drums main) {
    if (!(pattern instanceof Pattern.Varied varied)) {
      return true;
    }
    int every = 16 * main.bars();
    return varied.changes().stream()
        .noneMatch(
            change ->
                change instanceof GrooveChange.Without out
                        && out.lane().equals(DrumVoice.KICK.lane())
                    || change instanceof GrooveChange.OnStep on
                        && on.lane().equals(DrumVoice.KICK.lane())
                        && on.step() % every == step);
  }

  private static boolean kickNear(Song song, int tick) {
    return Score.of(song).part(DRUMS).orElseThrow().notes().stream()
        .anyMatch(n -> n.of(DrumVoice.KICK) && Math.abs(n.start() - tick) <= STEP / 2);
  }

  /** A lane belongs to the part: stacked or added in a variation it is in the groove and in all. */
  @Test
  void aLaneThatIsStackedOrAddedInAVariationIsInEveryOne() {
    Song song = draft(Songs.book().get("trap"));
    DrumEdits front = new DrumEdits(DRUMS, "A, eight bars, 2");
    LaneId hats = DrumVoice.CLOSED_HAT.lane();
    LaneId second = new LaneId(DrumVoice.CLOSED_HAT, 2);
    Song out = front.addVoice(DrumVoice.COWBELL).apply(front.stack(hats).apply(song));
    Part part = out.part(DRUMS).orElseThrow();
    for (String name : List.of("A", "A, eight bars, 1", "A, eight bars, 2", "A, eight bars, 3")) {
      Pattern.Drums groove = part.groove(name, Meter.COMMON).orElseThrow();
      assertThat(groove.find(second)).as(name).isPresent();
      assertThat(groove.lane(DrumVoice.COWBELL)).as(name).isPresent();
    }
    long before = struck(song, hats);
    assertThat(struck(out, hats)).as("nothing silences the lane").isEqualTo(before);
    assertThat(struck(out, second)).as("nor its layer").isGreaterThan(before / 2);
  }

  @Test
  void aGrooveThatHasALaneOfTheLayersNameKeepsIt() {
    LaneId second = new LaneId(DrumVoice.CLAP, 2);
    Pattern.Drums own =
        new Pattern.Drums(
            1,
            List.of(
                DrumLane.of(DrumVoice.CLAP, StepLane.parse("....x.......x...")),
                DrumLane.of(second, StepLane.parse("..........x....."))));
    Song song =
        draft(Songs.book().get("trap")).withPart(DRUMS, p -> p.with(new NamedPattern("B", own)));
    Song out = new DrumEdits(DRUMS, "A").stack(DrumVoice.CLAP.lane()).apply(song);
    Part part = out.part(DRUMS).orElseThrow();
    assertThat(part.groove("A", Meter.COMMON).orElseThrow().find(second)).isPresent();
    assertThat(part.pattern("B").pattern()).isEqualTo(own);
  }

  private static long struck(Song song, LaneId lane) {
    return Score.of(song).part(DRUMS).orElseThrow().notes().stream()
        .filter(note -> note.struck().filter(s -> s.lane().equals(lane)).isPresent())
        .count();
  }

  @Test
  void whatFollowsPlaysAsItDidBefore() {
    Pattern.Drums main =
        new Pattern.Drums(
            1,
            List.of(
                DrumLane.of(DrumVoice.KICK, StepLane.parse("x...x...x...x...")),
                DrumLane.of(DrumVoice.CLAP, StepLane.parse("....x.......x..."))));
    Pattern.Drums fill =
        new Pattern.Drums(
            1, List.of(DrumLane.of(DrumVoice.SNARE, StepLane.parse("............xxxx"))));
    Part part =
        Songs.part("drums", westtide.song.Role.DRUMS, main).with(new NamedPattern("fill", fill));
    Song song = Songs.oneHook(Songs.brief("C minor", 50), "Cm", 4, part);
    Part followed = GrooveVariations.in(song).part(part.id()).orElseThrow();
    assertThat(followed.pattern("fill").pattern()).isInstanceOf(Pattern.Varied.class);
    assertThat(followed.groove("fill", Meter.COMMON).orElseThrow().lanes()).isEqualTo(fill.lanes());
    assertThat(followed.pattern("A").pattern()).isEqualTo(main);
  }

  @Test
  void itIsToldWhereAGrooveIsHeardAndWhereItsVariationsAre() {
    Song song = draft(Songs.book().get("trap"));
    HeardBars heard = new HeardBars(song, song.part(DRUMS).orElseThrow());
    assertThat(heard.of("A")).isEmpty();
    assertThat(heard.followers("A")).contains("thin", "fill", "A, eight bars, 1");
    assertThat(HeardBars.words(heard.withFollowers("A"))).matches("bars \\d+–\\d+(, \\d+–\\d+)*");
    int last = -1;
    for (HeardBars.Span span : heard.withFollowers("A")) {
      assertThat(span.first()).isGreaterThan(last + 1);
      last = span.last();
    }
    assertThat(last).isLessThanOrEqualTo(song.form().bars());
    assertThat(heard.of("no such groove")).isEmpty();
    assertThat(HeardBars.words(List.of(new HeardBars.Span(9, 9)))).isEqualTo("bar 9");
  }
}
