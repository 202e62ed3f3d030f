package westtide.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.Track;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.file.SongFile;
import westtide.file.StyleFile;
import westtide.file.midi.MidiFile;
import westtide.file.midi.MidiOptions;
import westtide.file.midi.MidiPieces;
import westtide.score.Score;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.pattern.Pattern;
import westtide.style.StyleBook;

class MainTest {
  private record Result(int status, String out, String err) {}

  @TempDir private Path folder;

  private Result run(String... words) {
    StringWriter out = new StringWriter();
    StringWriter err = new StringWriter();
    int status = Main.run(new PrintWriter(out, true), new PrintWriter(err, true), words);
    return new Result(status, out.toString(), err.toString());
  }

  private Result draft(Path file, String... more) {
    List<String> words = new ArrayList<>(List.of("new", "--style", "trap", "-o", file.toString()));
    words.addAll(Arrays.asList(more));
    return run(words.toArray(String[]::new));
  }

  @Test
  void severalSongsAreExportedInOneStart() throws Exception {
    Path one = folder.resolve("one.tide");
    Path two = folder.resolve("two.tide");
    run("new", "--style", "trap", "--seed", "2", "--title", "Low Water", "-o", one.toString());
    run("new", "--style", "trap", "--seed", "2", "--title", "Low Water", "-o", two.toString());
    Path midi = folder.resolve("midi");
    Result result = run("export", one.toString(), two.toString(), "--midi", midi.toString());
    assertThat(result.status()).as(result.err()).isZero();
    try (Stream<Path> files = Files.list(midi)) {
      assertThat(files.map(file -> file.getFileName().toString()))
          .hasSize(2)
          .anyMatch(name -> name.endsWith(" 2.mid"));
    }
    assertOneSentence(
        run("export", one.toString(), two.toString(), "--midi", "-"), "name a folder instead");
  }

  @Test
  void aSongIsDraftedAndExportedTwiceToTheSameBytes() throws IOException {
    for (String name : List.of("a", "b")) {
      Path song = folder.resolve(name + ".tide");
      Result made =
          draft(
              song,
              "--tempo",
              "146",
              "--key",
              "F# minor",
              "--chords",
              "i9 | VImaj7 | III VII | iv7",
              "--form",
              "intro 8, hook 16, verse 16, hook 16, outro 8",
              "--seed",
              "7",
              "--title",
              "Same");
      assertThat(made.status()).as(made.err()).isZero();
      Result exported =
          run("export", song.toString(), "--midi", folder.resolve(name + ".mid").toString());
      assertThat(exported.status()).as(exported.err()).isZero();
    }
    assertThat(folder.resolve("a.mid")).hasSameBinaryContentAs(folder.resolve("b.mid"));
    assertThat(folder.resolve("a.tide")).hasSameTextualContentAs(folder.resolve("b.tide"));
    Song song = SongFile.read(folder.resolve("a.tide"));
    Path same = folder.resolve("same.mid");
    MidiFile.write(Score.of(song), same);
    assertThat(folder.resolve("a.mid")).hasSameBinaryContentAs(same);
    assertThat(song.form()).hasToString("intro 8, hook 16, verse 16, hook 16, outro 8");
    assertThat(song.brief().key()).hasToString("F♯ minor");
  }

  /** Every sign of the chord line: lengths, pushes, inversions, rests, repeats, mixed notations. */
  @Test
  void theWholeChordLineIsUnderstood() throws IOException {
    Path song = folder.resolve("line.tide");
    String line = "i9:12 <<VImaj7:4 | . - F#m/A@1 | % | (bII . V7 -)x2";
    Result made = draft(song, "--key", "F# minor", "--chords", line);
    assertThat(made.status()).as(made.err()).isZero();
    var spans = SongFile.read(song).progression("hook").spans();
    assertThat(
            spans.stream().map(s -> s.articulation().rest() ? "-" : s.chord().toString()).toList())
        .containsExactly(
            "F♯m9", "Dmaj7", "-", "F♯m/A", "-", "F♯m/A", "G", "C♯7", "-", "G", "C♯7", "-");
    assertThat(spans.get(1).articulation().push()).isEqualTo(480);
    assertThat(spans.get(3).articulation().inversion()).contains(1);
    assertThat(spans.stream().mapToInt(s -> s.ticks()).sum()).isEqualTo(5 * 3840);
  }

  @Test
  void typedLanesAndSwingGoIntoTheGroove() throws IOException {
    Path song = folder.resolve("lanes.tide");
    Result made =
        draft(
            song,
            "--lane",
            "hat: x.o.x.x3.",
            "--lane",
            "Cowbell: x....",
            "--lane",
            "clap 2: ....o",
            "--swing",
            "58");
    assertThat(made.status()).as(made.err()).isZero();
    Song read = SongFile.read(song);
    var groove = (Pattern.Drums) read.parts(Role.DRUMS).get(0).patterns().get(0).pattern();
    assertThat(groove.lane(DrumVoice.CLOSED_HAT).orElseThrow()).hasToString("x.o.x.x3.");
    assertThat(groove.lane(DrumVoice.COWBELL).orElseThrow().length()).isEqualTo(5);
    LaneId second = new LaneId(DrumVoice.CLAP, 2);
    assertThat(groove.find(second).orElseThrow().lane()).hasToString("....o");
    assertThat(read.brief().swing()).hasToString("58");
  }

  @Test
  void aStyleOfOnesOwnDraftsASongFromItsFile() throws IOException {
    Path style = folder.resolve("mine.style.json");
    StyleFile.write(StyleBook.shipped().get("drill").named("mine", "Mine", "My own."), style);
    Path song = folder.resolve("own.tide");
    Result made = run("new", "--style", style.toString(), "-o", song.toString());
    assertThat(made.status()).as(made.err()).isZero();
    assertThat(SongFile.read(song).brief().style()).isEqualTo("mine");
    Result none = run("new", "--style", "none.style.json", "-o", song.toString());
    assertOneSentence(none, "none.style.json could not be opened");
  }

  @Test
  void partsGoIntoAFolderThatIsMade() throws IOException {
    Path song = folder.resolve("Night Tide.tide");
    draft(song, "--parts", "core");
    Path parts = folder.resolve("parts");
    Result result = run("export", song.toString(), "--parts", parts.toString());
    assertThat(result.status()).as(result.err()).isZero();
    for (MidiPieces.Piece piece : MidiPieces.parts(Score.of(SongFile.read(song)))) {
      assertThat(parts.resolve(piece.name()))
          .hasBinaryContent(piece.made().with(MidiOptions.USUAL));
    }
    try (Stream<Path> files = Files.list(parts)) {
      assertThat(files.map(p -> p.getFileName().toString()))
          .contains("Night Tide 142 F#m 808.mid", "Night Tide 142 F#m Drums.mid")
          .hasSize(6);
    }
  }

  @Test
  void stylesAreListedAsTextAndAsJson() {
    assertThat(run("styles").out())
        .contains("trap")
        .contains("boom-bap")
        .contains("118 to 126 BPM");
    assertThat(run("styles", "--json").out()).contains("\"id\" : \"house\"").contains("\"why\"");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "--style;polka;no style is called \"polka\"",
        "--tempo;9;tempo must be 20 to 300 BPM, but was 9",
        "--tempo;fast;tempo must be a number",
        "--key;H moll;\"H moll\"",
        "--chords;i9 | Hx;column 6",
        "--form;intro 8, solo 4 x99;1 to 32 times",
        "--seed;many;--seed",
        "--lane;hat x.x.;a voice, a colon",
        "--lane;gong: x...;no drum is called \"gong\"",
        "--lane;hat: x.q.;column 3",
        "--lane;hat: x.x.|x;a bar has 16 steps",
        "--swing;90;50 to 75",
        "--colour;red;--colour"
      })
  void wrongWordsGiveOneSentenceAndNoFile(String option, String value, String message)
      throws IOException {
    Path song = folder.resolve("wrong.tide");
    Result result =
        option.equals("--style")
            ? run("new", "--style", value, "-o", song.toString())
            : draft(song, option, value);
    assertOneSentence(result, message);
    assertThat(song).doesNotExist();
    try (Stream<Path> left = Files.list(folder)) {
      assertThat(left).isEmpty();
    }
  }

  @Test
  void aMissingOrDamagedSongIsSaidAndOldFilesStay() throws IOException {
    Path midi = Files.writeString(folder.resolve("old.mid"), "old");
    Path song = folder.resolve("song.tide");
    assertOneSentence(run("export", song.toString(), "--midi", midi.toString()), "does not exist");
    Files.writeString(song, "{ \"format\" : ");
    assertOneSentence(run("export", song.toString(), "--midi", midi.toString()), "is damaged");
    assertOneSentence(run("export", song.toString()), "--midi");
    assertThat(midi).hasContent("old");
    assertThat(song).hasContent("{ \"format\" : ");
  }

  @Test
  void namesThatAreReadAsSomethingElseAreSaidToBe() {
    assertOneSentence(run("show", "-x.tide"), "write ./-x.tide");
    assertOneSentence(run("show", "n\uFFFDchte.tide"), "not UTF-8");
    assertOneSentence(run("show", "--", "-x.tide"), "does not exist");
  }

  @Test
  void aPlaceThatDoesNotExistIsSaid() {
    Path song = folder.resolve("none").resolve("song.tide");
    assertOneSentence(draft(song), "there is no folder");
  }

  @Test
  void aProcessOfItsOwnSaysOneSentenceAndNothingElse() throws Exception {
    Process process =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Dwest.tide.home=" + folder.resolve("home"),
                "-cp",
                System.getProperty("java.class.path"),
                Main.class.getName(),
                "export",
                "missing.tide",
                "--midi",
                "x.mid")
            .directory(folder.toFile())
            .start();
    String out = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    String err = new String(process.getErrorStream().readAllBytes(), StandardCharsets.UTF_8);
    assertOneSentence(new Result(process.waitFor(), out, err), "missing.tide");
    assertThat(folder.resolve("home").resolve("west-tide-cli.log"))
        .content()
        .contains("NoSuchFileException");
  }

  @Test
  void twoLanesOfOneNameAreRefused() {
    Result result =
        draft(folder.resolve("twice.tide"), "--lane", "hat: x.x.", "--lane", "closed hat: xxxx");
    assertThat(result.status()).isEqualTo(2);
    assertOneSentence(result, "two lanes are called Closed hat");
  }

  @Test
  void aTypedLaneIsNotSilencedByTheAccentsOfTheStyle() throws Exception {
    Path song = folder.resolve("plain.tide");
    assertThat(draft(song, "--lane", "hat: xxxxxxxxxxxxxxxx").status()).isZero();
    Pattern.Drums groove =
        (Pattern.Drums) SongFile.read(song).parts(Role.DRUMS).get(0).pattern("A").pattern();
    assertThat(groove.find(DrumVoice.CLOSED_HAT.lane()).orElseThrow().accents()).isEmpty();
  }

  private static void assertOneSentence(Result result, String message) {
    assertThat(result.status()).isEqualTo(2);
    assertThat(result.err().strip().lines()).hasSize(1);
    assertThat(result.err()).contains(message).doesNotContain("Exception");
    assertThat(result.out()).isEmpty();
  }

  @Test
  void aSongOfANewerVersionIsShownAndItIsTold() throws IOException {
    Path song = folder.resolve("s.tide");
    draft(song, "--form", "hook 4");
    String newer = Files.readString(song).replaceFirst("\"version\" : \\d+", "\"version\" : 99");
    Files.writeString(song, newer);
    Result shown = run("show", song.toString());
    assertThat(shown.status()).isZero();
    assertThat(shown.out()).contains("hook");
    assertThat(shown.err()).contains("newer version").hasLineCount(1);
    Result written = run("export", song.toString(), "--midi", folder.resolve("s.mid").toString());
    assertThat(written.status()).isZero();
    assertThat(written.err()).contains("newer version");
    assertThat(Files.readString(song)).isEqualTo(newer);
  }

  @Test
  void mixAndStemsAreWritten() throws IOException {
    Path song = folder.resolve("short.tide");
    draft(song, "--form", "hook 4", "--tempo", "142", "--key", "F# minor", "--title", "Short");
    Path mix = folder.resolve("mix.wav");
    Path stems = folder.resolve("stems");
    Result result =
        run(
            "export",
            song.toString(),
            "--wav",
            mix.toString(),
            "--stems",
            stems.toString(),
            "--bits",
            "16",
            "--rate",
            "44100");
    assertThat(result.status()).as(result.err()).isZero();
    assertThat(result.out()).contains("mix.wav").contains("Short 142 F#m Drums.wav");
    long frames = Math.round((4 * 4 * 60 / 142.0 + 4) * 44_100);
    assertThat(Files.size(mix)).isEqualTo(44 + 4 * frames);
    try (Stream<Path> files = Files.list(stems)) {
      assertThat(files.toList()).hasSizeBetween(8, 12).allMatch(f -> f.toString().endsWith(".wav"));
    }
  }

  @ParameterizedTest
  @CsvSource({"--bits,20,16 or 24 bits", "--rate,22050,44100 or 48000"})
  void otherKindsOfWavAreRefusedInOneSentence(String word, String value, String said) {
    Path song = folder.resolve("s.tide");
    draft(song, "--form", "hook 4");
    Result result =
        run("export", song.toString(), "--wav", folder.resolve("w.wav").toString(), word, value);
    assertThat(result.status()).isEqualTo(2);
    assertThat(result.err()).contains(said).contains(value).hasLineCount(1);
    assertThat(folder.resolve("w.wav")).doesNotExist();
  }

  @Test
  void typedLinesAreInTheHooksAndTheirSlidesInTheMidiFile() throws Exception {
    Path song = folder.resolve("typed.tide");
    Result made =
        run(
            "new",
            "--style",
            "trap",
            "--key",
            "A minor",
            "--chords",
            "Am7 | F | C | G",
            "--form",
            "intro 4, hook 4",
            "--line",
            "Flute: 5 - . b6 5 - - - | b7 . . 5' - . 1 ,5",
            "--low",
            "808: R - - . ~R8 - R - . . . . . . . .",
            "-o",
            song.toString());
    assertThat(made.status()).as(made.err()).isZero();
    JsonNode notes =
        new ObjectMapper().readTree(run("show", song.toString(), "--json", "--notes").out());
    assertThat(notesOf(notes, "Flute").subList(0, 8))
        .containsExactly(
            "5.1.0 76",
            "5.1.720 77",
            "5.2.0 76",
            "6.1.0 79",
            "6.1.720 88",
            "6.2.480 69",
            "6.2.720 64",
            "7.1.0 76");
    assertThat(notesOf(notes, "808")).contains("5.1.0 33", "5.2.0 45", "6.1.0 29", "6.2.0 41");
    Path bent = folder.resolve("bent.mid");
    Result exported = run("export", song.toString(), "--midi", bent.toString(), "--slides", "bend");
    assertThat(exported.status()).as(exported.err()).isZero();
    long bends = 0;
    for (Track track : MidiSystem.getSequence(bent.toFile()).getTracks()) {
      for (int i = 0; i < track.size(); i++) {
        bends += track.get(i).getMessage().getStatus() >> 4 == 0xE ? 1 : 0;
      }
    }
    assertThat(bends).as("four bars, each with a slide and its way back").isGreaterThan(8);
  }

  private static List<String> notesOf(JsonNode shown, String part) {
    List<String> out = new ArrayList<>();
    for (JsonNode note : shown.path("notes")) {
      if (note.path("part").asText().equals(part)) {
        out.add(note.path("at").asText() + " " + note.path("key").asText());
      }
    }
    return out;
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "--line; Bell 5 - .; a line is a part, a colon and its notes",
        "--line; Bell: 5 - x; in the line of Bell, column 6",
        "--low; 808: R 3 Q; in the line of 808, column 6",
        "--low; Drums: R; Drums is drums"
      })
  void aTypedLineThatIsWrongIsOneSentence(String word, String text, String sentence) {
    Path song = folder.resolve("wrong.tide");
    assertOneSentence(run("new", "--style", "trap", word, text, "-o", song.toString()), sentence);
    assertThat(song).doesNotExist();
  }

  @Test
  void theCounterLineHearsTheLeadThatIsTyped() throws Exception {
    List<String> early = counter("Bell: 5 - b6 5 . . . . . . . . . . . .");
    List<String> late = counter("Bell: . . . . . . . . . . . . 5 - b6 5");
    assertThat(early).isNotEmpty().isNotEqualTo(late);
    assertThat(early).allMatch(note -> !note.contains(".1.0 "));
  }

  private List<String> counter(String line) throws Exception {
    Path song = folder.resolve("heard.tide");
    Result made =
        run(
            "new",
            "--style",
            "trap",
            "--seed",
            "4",
            "--line",
            line,
            "--force",
            "-o",
            song.toString());
    assertThat(made.status()).as(made.err()).isZero();
    JsonNode notes =
        new ObjectMapper().readTree(run("show", song.toString(), "--json", "--notes").out());
    return notesOf(notes, "Counter flute");
  }

  @Test
  void aSongThatIsThereIsNotReplacedUnasked() throws Exception {
    Path song = folder.resolve("there.tide");
    assertThat(run("new", "--style", "trap", "--title", "One", "-o", song.toString()).status())
        .isZero();
    Result again = run("new", "--style", "house", "--title", "Two", "-o", song.toString());
    assertThat(again.status()).isEqualTo(2);
    assertThat(again.err()).contains("is there already").contains("--force");
    assertThat(run("show", song.toString()).out()).contains("One");
    Result forced =
        run("new", "--style", "house", "--title", "Two", "--force", "-o", song.toString());
    assertThat(forced.status()).as(forced.err()).isZero();
    assertThat(run("show", song.toString()).out()).contains("Two");
  }

  @Test
  void aFileOfAnotherKindIsAskedForItsEnding() {
    Path song = folder.resolve("kind.tide");
    run("new", "--style", "trap", "-o", song.toString());
    Result wrong = run("export", song.toString(), "--midi", folder.resolve("x.mp3").toString());
    assertThat(wrong.status()).isEqualTo(2);
    assertThat(wrong.err()).contains("--midi writes .mid").contains("x.mid");
    assertThat(folder.resolve("x.mp3")).doesNotExist();
  }

  /** Names from a file are data: no control character of theirs reaches the terminal. */
  @Test
  void namesInASongControlNoTerminal() throws Exception {
    Path song = folder.resolve("loud.tide");
    run("new", "--style", "trap", "--title", "Plain", "-o", song.toString());
    String text = Files.readString(song);
    Files.writeString(
        song,
        text.replace("\"Plain\"", "\"\\u001b[31mRed\\u0007\\nforged\"")
            .replace("\"Keys\"", "\"K\\u009beys\""));
    Result shown = run("show", song.toString(), "--notes");
    assertThat(shown.status()).as(shown.err()).isZero();
    assertThat(shown.out().replace("\n", "").replace("\r", ""))
        .doesNotContainPattern("\\p{Cntrl}")
        .contains("Red");
    assertThat(shown.err()).doesNotContainPattern("[\\x00-\\x09\\x0b-\\x1f\\x7f-\\x9f]");
  }
}
