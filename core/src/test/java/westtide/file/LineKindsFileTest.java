package westtide.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.Songs;
import westtide.file.disk.UnusableFileException;
import westtide.rhythm.Figure;
import westtide.score.Score;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.id.PartId;
import westtide.song.line.ChordDegree;
import westtide.song.line.ChordNote;
import westtide.song.line.Note;
import westtide.song.pattern.Arpeggio;
import westtide.song.pattern.LowLine;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.song.pattern.PhraseUnit;

/** Every way a line is kept, written and read again. */
class LineKindsFileTest {
  @TempDir Path folder;

  private static Song song() {
    Song song = Songs.draft("trap", 5);
    PartId lead = song.parts(Role.LINE).get(0).id();
    PartId sub = song.parts(Role.SUB).get(0).id();
    Pattern phrase =
        new Pattern.Phrase(
            2,
            List.of(new Note(0, 480, 72, 90), new Note(960, 480, 74, 80, 240)),
            List.of(
                PhraseUnit.of(PhraseUnit.Change.MOTIF),
                PhraseUnit.of(PhraseUnit.Change.LATE)
                    .withOwn(List.of(new Note(240, 240, 70, 60)))));
    Pattern attached =
        new Pattern.Attached(
            2,
            28,
            List.of(
                new ChordNote(0, 960, ChordDegree.ROOT, 0, 110, 0),
                new ChordNote(1440, 480, ChordDegree.parse(">bR"), 1, 90, 240)));
    LowLine low =
        LowLine.of(30)
            .withFigure(new Figure("x-x.x-"))
            .withPitches(LowLine.Pitches.WALKING)
            .withSlides(true)
            .withSeed(9);
    Arpeggio arpeggio =
        Arpeggio.of(60)
            .withOrder(Arpeggio.Order.INSIDE_OUT)
            .withSteps(new Figure("x.X-"))
            .withSwell(3)
            .withFlourish(4);
    return song.withPart(lead, p -> p.with(new NamedPattern("A", phrase)))
        .withPart(lead, p -> p.with(new NamedPattern("arp", new Pattern.Following(arpeggio))))
        .withPart(sub, p -> p.with(new NamedPattern("A", attached)))
        .withPart(sub, p -> p.with(new NamedPattern("low", new Pattern.Following(low))));
  }

  @Test
  void everyKindComesBackAsItWas() throws Exception {
    Path file = folder.resolve("kinds.tide");
    SongFile.write(song(), file);
    Song read = SongFile.read(file);
    assertThat(read).isEqualTo(song());
    assertThat(Score.of(read).parts()).isEqualTo(Score.of(song()).parts());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "\"R\"; \"Q\"; a chord degree is R",
        "\"INSIDE_OUT\"; \"SIDEWAYS\"; SIDEWAYS",
        "\"rest\" : 25; \"rest\" : 95; a low line rests 0 to 80 %",
        "\"unitBars\" : 2; \"unitBars\" : 12; 1 to 16 bars",
        "\"octaves\" : 1,; \"octaves\" : 9,; octaves"
      })
  void whatCannotBeIsRefusedInOneSentence(String from, String to, String sentence)
      throws Exception {
    Path file = folder.resolve("broken.tide");
    SongFile.write(song(), file);
    String text = Files.readString(file, StandardCharsets.UTF_8);
    assertThat(text).contains(from);
    Files.writeString(file, text.replace(from, to), StandardCharsets.UTF_8);
    assertThatThrownBy(() -> SongFile.read(file))
        .isInstanceOf(UnusableFileException.class)
        .hasMessageContaining(sentence);
  }
}
