package westtide.fuzz;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Function;
import westtide.Songs;
import westtide.compose.SongDraft;
import westtide.file.SongFile;
import westtide.file.StyleFile;
import westtide.file.disk.UnusableFileException;
import westtide.file.midi.MidiFile;
import westtide.file.midi.MidiGroove;
import westtide.review.Soundings;
import westtide.review.StyleTrial;
import westtide.rhythm.Meter;
import westtide.rhythm.StepLane;
import westtide.rhythm.Swing;
import westtide.rhythm.Tempo;
import westtide.score.Score;
import westtide.song.Song;
import westtide.song.chord.ChordLine;
import westtide.song.chord.RhythmText;
import westtide.song.drum.LaneId;
import westtide.song.form.FormLine;
import westtide.song.form.Transition;
import westtide.song.line.DegreeText;
import westtide.song.pattern.Pattern;
import westtide.song.pattern.WrittenText;
import westtide.style.Style;
import westtide.text.Reading;
import westtide.theory.Chord;
import westtide.theory.Key;
import westtide.theory.NoteLine;
import westtide.theory.Pitch;

/** What holds of every input, whatever is in it: used, or refused in one sentence. */
final class Promises {
  private static final int SENTENCE = 900;

  private final Path folder;

  Promises(Path folder) {
    this.folder = folder;
  }

  /** A song file opens whole, can be scored, measured, written and read again; or it is refused. */
  void song(byte[] input) throws IOException {
    Path file = Files.write(folder.resolve("song.tide"), input);
    Song song;
    try {
      song = SongFile.open(file).song();
    } catch (UnusableFileException e) {
      sentence(e);
      assertThat(file).hasBinaryContent(input);
      return;
    }
    Score score = Score.of(song);
    Style style =
        Songs.book().find(song.brief().style()).orElseGet(() -> Songs.book().styles().get(0));
    assertThat(Soundings.of(score, style)).isNotNull();
    MidiFile.write(score, folder.resolve("song.mid"));
    SongFile.write(song, file);
    assertThat(SongFile.read(file)).isEqualTo(song);
  }

  /** A style drafts songs that can be saved, or it is refused; its id stays in its folder. */
  void style(byte[] input) throws IOException {
    Path file = Files.write(folder.resolve("own.style.json"), input);
    Style style;
    try {
      style = StyleFile.read(file);
    } catch (UnusableFileException e) {
      sentence(e);
      return;
    }
    assertThat(folder.resolve(style.id() + StyleFile.ENDING).normalize().getParent())
        .isEqualTo(folder);
    if (StyleTrial.problem(style).isEmpty()) {
      SongFile.write(SongDraft.in(style).withSeed(1).song(), folder.resolve("drafted.tide"));
    }
  }

  /** A MIDI file is a groove, or it is refused. */
  void midi(byte[] input) throws IOException {
    Path file = Files.write(folder.resolve("groove.mid"), input);
    try {
      MidiGroove read = MidiGroove.read(file, Meter.COMMON, Swing.STRAIGHT);
      assertThat(read.groove().bars()).isBetween(1, 16);
    } catch (UnusableFileException e) {
      sentence(e);
    }
  }

  /** Typed lines are read, or refused in a sentence with a column inside the line. */
  void line(byte[] input) {
    String text = new String(input, StandardCharsets.UTF_8);
    Key key = Key.parse("F# minor");
    reading(text, t -> FormLine.parse(t, Meter.COMMON));
    reading(text, t -> ChordLine.in(key, Meter.COMMON).parse(t));
    reading(
        text,
        t ->
            new WrittenText(new DegreeText(key, 54), Meter.COMMON)
                .changed(new Pattern.Written(1, List.of()), t));
    for (Function<String, Object> parser : PARSERS) {
      try {
        assertThat(parser.apply(text)).isNotNull();
      } catch (IllegalArgumentException e) {
        assertThat(e.getMessage()).isNotBlank();
      }
    }
  }

  private static final List<Function<String, Object>> PARSERS =
      List.of(
          StepLane::parse,
          Key::parse,
          Tempo::parse,
          Swing::parse,
          Meter::parse,
          Chord::parse,
          Pitch::parse,
          NoteLine::parse,
          LaneId::parse,
          RhythmText::parse,
          Transition::parse);

  private static <T> void reading(String text, Function<String, Reading<T>> parser) {
    if (parser.apply(text) instanceof Reading.Problem<T> problem) {
      assertThat(problem.message()).isNotBlank();
      assertThat(problem.column()).isBetween(0, text.length() + 2);
    }
  }

  private static void sentence(Exception e) {
    assertThat(e.getMessage())
        .isNotBlank()
        .hasSizeLessThan(SENTENCE)
        .doesNotContain("\n", "\u0000");
    assertThat(e.getMessage()).doesNotContain("Exception", "java.", "Cannot ");
  }
}
