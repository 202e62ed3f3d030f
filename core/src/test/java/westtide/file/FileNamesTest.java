package westtide.file;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.Songs;
import westtide.file.midi.MidiPieces;
import westtide.file.midi.WrittenPieces;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.edit.part.PartEdits;

/** Titles of any length and letters become names that file systems take (255 bytes). */
class FileNamesTest {
  @TempDir private Path folder;

  @ParameterizedTest
  @ValueSource(strings = {"x", "♯", "𝄪", "é ", "日本"})
  void longTitlesAndPartsAreShortenedAndCanBeWritten(String letters) throws Exception {
    Song song = Songs.draft("trap", 1).withTitle(letters.repeat(200));
    Part first = song.parts().get(0);
    Song named = new PartEdits(first.id()).rename(letters.repeat(150)).apply(song);
    for (String name :
        new String[] {
          FileNames.midi(named),
          FileNames.wav(named, named.parts().get(0)),
          FileNames.midiSection(named, 3)
        }) {
      assertThat(name.getBytes(StandardCharsets.UTF_8)).hasSizeLessThanOrEqualTo(255);
      assertThat(name).doesNotContain("\uFFFD");
      Files.createFile(folder.resolve(name));
    }
    assertThat(
            WrittenPieces.in(
                Files.createDirectory(folder.resolve("parts")), MidiPieces.parts(Score.of(named))))
        .allMatch(Files::isRegularFile);
  }

  @ParameterizedTest
  @ValueSource(strings = {"..", "../../up", "a/b", "", ".hidden", "nul\u0000", "C:\\x", "a\nb"})
  void aTitleIsNoPath(String title) {
    String name = FileNames.midi(Songs.draft("trap", 1).withTitle(title));
    assertThat(folder.resolve(name).normalize().getParent()).isEqualTo(folder);
    assertThat(name).doesNotStartWith(".").doesNotContain("/", "\\", "\n", "\u0000");
  }
}
