package westtide.compose;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import westtide.Songs;
import westtide.compose.line.LineVariation;
import westtide.compose.line.SecondLine;
import westtide.follow.Harmony;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.line.Note;
import westtide.song.pattern.LineFit;
import westtide.song.pattern.Pattern;

/** Each variation does what its name says, and says what it did. */
class LineVariationTest {
  private static final Song SONG = Songs.draft("boom-bap", 2);
  private static final Pattern.Written LINE =
      (Pattern.Written) SONG.parts(Role.LINE).get(0).patterns().get(0).pattern();
  private static final LineVariation.Setting SETTING =
      new LineVariation.Setting(
          SONG.brief().key(),
          SONG.brief().meter(),
          Songs.book().get("boom-bap").lead(),
          SONG.progressions().get(0).over(LINE.bars() * 3840),
          LINE.bars());

  private static List<Note> of(LineVariation variation) {
    return variation.of(LINE.notes(), SETTING, new Random(3)).notes();
  }

  private static double mean(List<Note> notes) {
    return notes.stream().mapToInt(Note::key).average().orElseThrow();
  }

  private static double leaps(List<Note> notes) {
    return new LineFit(notes, SETTING.chords(), SETTING.meter()).leapShare();
  }

  @ParameterizedTest
  @EnumSource(LineVariation.class)
  void everyVariationChangesTheLineStaysInsideItAndSaysWhatItDid(LineVariation variation) {
    LineVariation.Varied varied = variation.of(LINE.notes(), SETTING, new Random(3));
    assertThat(varied.notes()).isNotEqualTo(LINE.notes()).isNotEmpty();
    assertThat(varied.notes()).allMatch(n -> n.start() < LINE.bars() * 3840);
    assertThat(varied.told()).endsWith(".");
    assertThat(variation.of(LINE.notes(), SETTING, new Random(3))).isEqualTo(varied);
    assertThat(variation.of(List.of(), SETTING, new Random(3)).notes()).isEmpty();
  }

  @Test
  void theyGoTheWayTheirNameSays() {
    assertThat(of(LineVariation.SIMPLER)).hasSizeLessThan(LINE.notes().size());
    assertThat(of(LineVariation.BUSIER)).hasSizeGreaterThan(LINE.notes().size());
    assertThat(mean(of(LineVariation.HIGHER)))
        .isBetween(mean(LINE.notes()) + 2, mean(LINE.notes()) + 5);
    assertThat(of(LineVariation.MORE_SPACE))
        .noneMatch(n -> n.start() % 7680 >= 5760)
        .allMatch(
            n ->
                n.start() % 7680 >= 5760
                    || n.start() % 7680 + n.ticks() <= 5760
                    || n.start() % 7680 >= 3840 + 1920);
    assertThat(of(LineVariation.NEW_NOTES))
        .extracting(Note::start)
        .isEqualTo(LINE.notes().stream().map(Note::start).toList());
    assertThat(of(LineVariation.NEW_RHYTHM).stream().limit(4).map(Note::key))
        .isEqualTo(LINE.notes().stream().limit(4).map(Note::key).toList());
    assertThat(leaps(of(LineVariation.BRIGHTER))).isGreaterThan(leaps(of(LineVariation.SADDER)));
  }

  /** Common practice: an answer follows its call, stabs open every other bar, a run ends a drop. */
  @Test
  void linesBesideALeadHaveAJobEach() {
    Harmony harmony = Harmony.of(SONG.progressions().get(0), 8, SONG.brief());
    SecondLine second = new SecondLine(SONG.brief().key(), SONG.brief().meter(), harmony);
    assertThat(second.answer(LINE.notes(), 8).notes())
        .isNotEmpty()
        .allMatch(n -> n.start() / 3840 % 2 == 1);
    assertThat(second.stabs(8).notes()).hasSize(12).allMatch(n -> n.start() % 7680 == 0);
    List<Note> run = second.run(80, 8).notes();
    assertThat(run).hasSize(16).allMatch(n -> n.start() >= 7 * 3840);
    for (int i = 0; i + 1 < run.size(); i++) {
      assertThat(run.get(i + 1).key()).isLessThan(run.get(i).key());
      assertThat(run.get(i + 1).velocity()).isGreaterThanOrEqualTo(run.get(i).velocity());
    }
  }
}
