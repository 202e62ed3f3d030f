package westtide.compose;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import westtide.Songs;
import westtide.review.Checklist;
import westtide.score.Score;
import westtide.song.Song;
import westtide.style.Style;

@Execution(ExecutionMode.CONCURRENT)
class SchoolTest {
  private static Stream<Style> styles() {
    return Songs.book().styles().stream();
  }

  @ParameterizedTest
  @MethodSource("styles")
  void eitherAnswerIsOneEditAway(Style style) {
    Song song = Songs.draft(style.id(), 2);
    for (School school : School.values()) {
      assertThat(school.answers()).contains(school.habit(style));
      if (school.answer(song).isEmpty()) {
        continue;
      }
      for (String answer : school.answers()) {
        Song taken = school.take(answer, song, style).apply(song);
        boolean sameColour = school == School.COLOUR && answer.startsWith("sevenths");
        if (!sameColour) {
          assertThat(school.answer(taken)).as(style.id() + " " + school).contains(answer);
        }
        assertThat(Score.of(taken).parts()).isNotEmpty();
      }
    }
  }

  @Test
  void aDraftKeepsTheHabitsOfItsStyle() {
    for (Style style : Songs.book().styles()) {
      Song song = Songs.draft(style.id(), 5);
      for (School school : List.of(School.LOW_END, School.OPENING, School.VERSE_BASS)) {
        school
            .answer(song)
            .ifPresent(answer -> assertThat(answer).as(style.id()).isEqualTo(school.habit(style)));
      }
    }
  }

  @Test
  void theChecklistKnowsEveryPointAndADraftMeetsMost() {
    for (Style style : Songs.book().styles()) {
      assertThat(style.checklist()).as(style.id()).allMatch(Checklist::knows);
      for (long seed = 0; seed < 5; seed++) {
        Checklist list = Checklist.of(Score.of(Songs.draft(style.id(), seed)), style);
        assertThat(list.done()).as(style.id() + list).isGreaterThan(list.points().size() / 2);
      }
    }
  }
}
