package westtide.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import westtide.Songs;
import westtide.compose.SongDraft;
import westtide.compose.StyleFromSong;
import westtide.file.disk.UnusableFileException;
import westtide.review.Soundings;
import westtide.review.finding.Severity;
import westtide.score.Score;
import westtide.song.Song;
import westtide.style.Style;
import westtide.style.StyleBook;

class StyleFileTest {
  @TempDir private Path folder;

  private static Stream<Style> styles() {
    return Songs.book().styles().stream();
  }

  @ParameterizedTest
  @MethodSource("styles")
  void everyStyleReadsBackAndDraftsTheSameSong(Style style) throws IOException {
    Path file = folder.resolve("one.style.json");
    StyleFile.write(style, file);
    Style read = StyleFile.read(file);
    assertThat(read.chords()).isEqualTo(style.chords());
    assertThat(read.groove()).isEqualTo(style.groove());
    assertThat(read.form()).isEqualTo(style.form());
    assertThat(read.boundaries()).isEqualTo(style.boundaries()).isNotEmpty();
    assertThat(read.checklist()).isEqualTo(style.checklist()).isNotEmpty();
    assertThat(read.reasons()).isEqualTo(style.reasons()).isNotEmpty();
    assertThat(read.write()).hasToString(style.write().toString());
    assertThat(SongDraft.in(read).withSeed(3).song())
        .isEqualTo(SongDraft.in(style).withSeed(3).song());
  }

  @ParameterizedTest
  @MethodSource("styles")
  void aStyleOfOnesOwnDraftsSongsLikeItsModel(Style base) throws IOException {
    Song model = Songs.draft(base.id(), 5);
    Style own = StyleFromSong.of(model, base, "My " + base.name());
    Path file = folder.resolve("own.style.json");
    StyleFile.write(own, file);
    Style read = StyleFile.read(file);
    assertThat(read.id()).startsWith("my-");
    assertThat(read.reasons()).allMatch(reason -> reason.why().endsWith("."));
    Song drafted = SongDraft.in(read).withSeed(9).song();
    assertThat(drafted.brief().tempo()).isEqualTo(model.brief().tempo());
    assertThat(drafted.brief().key()).isEqualTo(model.brief().key());
    assertThat(drafted.form()).hasToString(model.form().toString());
    assertThat(model.progressions().stream().map(row -> row.chords()).toList())
        .contains(drafted.progressions().get(0).chords());
    assertThat(Soundings.of(Score.of(drafted), read).findings(Severity.WARNING)).isEmpty();
    StyleBook book = Songs.book().with(read);
    assertThat(book.get(read.name())).isEqualTo(read);
    assertThat(book.without(read.id()).styles()).isEqualTo(Songs.book().styles());
  }

  @Test
  void whatIsNoStyleIsSaidInASentence() throws IOException {
    Path file = folder.resolve("bad.style.json");
    Files.writeString(file, "{\"id\": \"x\"}");
    assertThatThrownBy(() -> StyleFile.read(file))
        .isInstanceOf(UnusableFileException.class)
        .hasMessageContaining("is no style");
    Files.writeString(file, "not json");
    assertThatThrownBy(() -> StyleFile.read(file)).hasMessageContaining("not complete JSON");
    Files.writeString(file, "{\"id\": \"x\", \"id\": \"y\"}");
    assertThatThrownBy(() -> StyleFile.read(file)).hasMessageContaining("stands twice");
    StyleFile.write(Songs.book().get("trap"), file);
    Files.writeString(file, Files.readString(file).replace("half-time", "sideways"));
    assertThatThrownBy(() -> StyleFile.read(file)).hasMessageContaining("is no style");
    assertThatThrownBy(() -> StyleFile.read(folder.resolve("none.json")))
        .hasMessageContaining("does not exist");
  }
}
