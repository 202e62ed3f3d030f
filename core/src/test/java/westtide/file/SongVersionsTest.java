package westtide.file;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import westtide.Songs;
import westtide.compose.SongChanges;
import westtide.rhythm.Tempo;
import westtide.song.Song;
import westtide.song.edit.BriefEdits;
import westtide.song.edit.MixEdits;
import westtide.song.edit.form.FormEdits;
import westtide.song.edit.part.PartEdits;
import westtide.song.form.Level;
import westtide.song.id.PartId;

class SongVersionsTest {
  private static final Song SONG = Songs.draft("trap", 1);

  @TempDir private Path folder;

  @Test
  void theLastTenAreKeptTheLatestFirst() throws Exception {
    Clock still = Clock.fixed(Instant.parse("2026-11-26T18:30:00Z"), ZoneOffset.UTC);
    SongVersions versions = new SongVersions(folder, still);
    Path file = folder.resolve("song.tide");
    for (int i = 1; i <= 13; i++) {
      versions.keep(BriefEdits.title("Version " + i).apply(SONG), file);
    }
    List<SongVersions.Version> all = versions.all(file);
    assertThat(all).hasSize(SongVersions.MOST);
    assertThat(all.get(0).song().title()).isEqualTo("Version 13");
    assertThat(all.get(9).song().title()).isEqualTo("Version 4");
    assertThat(versions.all(folder.resolve("other.tide"))).isEmpty();
    Files.writeString(all.get(0).file().resolveSibling("notes.txt"), "mine");
    assertThat(versions.all(file)).hasSize(10);
  }

  @Test
  void whatDiffersIsSaidInWords() {
    assertThat(SongChanges.between(SONG, SONG)).isEmpty();
    assertThat(SongChanges.between(SONG, BriefEdits.tempo(Tempo.of(150)).apply(SONG)))
        .containsExactly("tempo 150 for 142");
    assertThat(
            SongChanges.between(
                SONG, new PartEdits(PartId.of("keys")).rename("Rhodes").apply(SONG)))
        .containsExactly("Rhodes: called Keys before");
    assertThat(
            SongChanges.between(
                SONG,
                MixEdits.mix(PartId.of("808"), "level", mix -> mix.withLevel(-99)).apply(SONG)))
        .containsExactly("808: mix");
    assertThat(
            SongChanges.between(
                SONG,
                FormEdits.level(SONG.form().id(1), PartId.of("808"), 0, Level.OUT).apply(SONG)))
        .singleElement()
        .asString()
        .contains("808");
  }

  /** What somebody else wrote is kept before it is replaced, once; what is no song is left. */
  @Test
  void whatIsReplacedIsKept() throws Exception {
    SongVersions versions = new SongVersions(folder.resolve("kept"), Clock.systemUTC());
    Path file = folder.resolve("song.tide");
    versions.keepReplaced(file);
    assertThat(versions.all(file)).isEmpty();
    SongFile.write(BriefEdits.title("Theirs").apply(SONG), file);
    versions.keepReplaced(file);
    versions.keepReplaced(file);
    assertThat(versions.all(file)).hasSize(1);
    assertThat(versions.all(file).get(0).song().title()).isEqualTo("Theirs");
    Files.writeString(file, "no song");
    versions.keepReplaced(file);
    assertThat(versions.all(file)).hasSize(1);
  }
}
