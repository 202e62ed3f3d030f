package westtide.level;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.Songs;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.part.PartEdits;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.mix.Patch;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.sound.Mixdown;
import westtide.sound.loudness.Loudness;
import westtide.style.Style;

/** Levels new parts enter at, heard. */
class EntryLevelTest {
  private static final int RATE = 48_000;

  /** Two parts that play one line, each heard by itself, are within 3 LU of one another. */
  @ParameterizedTest
  @CsvSource({
    "bell, string ensemble",
    "bell, felt piano",
    "flute, muted pluck",
    "string ensemble, bell"
  })
  void aNewLineIsAsLoudAsTheOneBesideIt(String there, String joins) {
    Style style = Songs.book().get("trap");
    Pattern.Written line =
        new Pattern.Written(1, List.of(new Note(0, 1440, 64, 92), new Note(1920, 1440, 67, 92)));
    Part first = Songs.part("first", Role.LINE, line).withPatch(Patch.of(there), 0);
    Song song = Songs.oneHook(Songs.brief("A minor", 50), "Am", 4, first);
    Part fresh =
        EntryLevel.of(
            PartEdits.blank(song, Role.LINE, "new", Patch.of(joins), 0)
                .withPatterns(List.of(new NamedPattern("A", line))),
            song,
            style);
    Song both = PartEdits.add(fresh, song.form().id(0)).apply(song);
    assertThat(loudness(both, fresh.id())).isCloseTo(loudness(both, first.id()), within(3.0));
  }

  private static double loudness(Song song, PartId part) {
    Loudness loudness = new Loudness(RATE);
    try {
      Mixdown.of(Score.of(song), RATE)
          .stem(
              part,
              (left, right, frames) -> loudness.hear(left, right, frames),
              Mixdown.Watch.NOBODY);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return loudness.integrated();
  }
}
