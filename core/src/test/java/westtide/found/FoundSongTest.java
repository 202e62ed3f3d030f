package westtide.found;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import westtide.crate.Crate;
import westtide.crate.CrateLoop;
import westtide.draft.Draft;
import westtide.file.SongFile;
import westtide.review.Soundings;
import westtide.review.finding.Check;
import westtide.review.finding.Finding;
import westtide.review.finding.Stage;
import westtide.score.Score;
import westtide.score.event.ScoredNote;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.BriefEdits;
import westtide.song.edit.KeyMove;
import westtide.song.edit.PartNames;
import westtide.song.edit.found.FoundEdits;
import westtide.song.found.Fit;
import westtide.song.found.FoundSound;
import westtide.song.found.Recording;
import westtide.song.id.PartId;
import westtide.song.mix.Mix;
import westtide.sound.Mixdown;
import westtide.style.StyleBook;
import westtide.theory.Key;

/** A loop that became a part: edits, files, findings, and what is heard of it. */
class FoundSongTest {
  private static CrateLoop loop;
  private static FoundFacts facts;
  private static Song drafted;

  @TempDir private Path folder;

  @BeforeAll
  static void makeOnce() {
    loop = Crate.of(10).loop();
    facts = FoundFacts.of(loop.recording(), SoundNotes.NONE);
    drafted = Draft.in(StyleBook.shipped().get("boom-bap"), 5).core().song();
  }

  private static Song with() {
    PartId id = PartNames.freeId(drafted, Role.FOUND);
    Part part = BringIn.part(id, loop.recording(), facts, loop.origin(), drafted);
    return BringIn.into(part).apply(drafted);
  }

  private static Part part(Song song) {
    return song.parts(Role.FOUND).get(0);
  }

  private static FoundSound sound(Song song) {
    return part(song).found().orElseThrow();
  }

  private static FoundEdits edits(Song song) {
    return new FoundEdits(part(song).id());
  }

  @Test
  void theSongTakesTempoKeyAndTuningOfTheLoop() {
    Song song = edits(with()).songToLoop().apply(with());
    assertThat(song.brief().tempo().bpm()).isCloseTo(loop.tempo(), within(0.1));
    assertThat(song.brief().key().tonic().pitchClass()).isEqualTo(loop.key().tonic().pitchClass());
    assertThat(song.brief().cents()).isEqualTo(sound(song).cents());
    assertThat(sound(song).semitones(song.brief().tempo())).isCloseTo(0, within(1e-9));
  }

  @Test
  void theLoopIsStretchedIntoTheKeyOfTheSong() {
    Song song = with();
    Song stretched = edits(song).loopToSong(Fit.Way.STRETCH).apply(song);
    FoundSound sound = sound(stretched);
    assertThat(sound.times(song.brief().tempo()))
        .isCloseTo(sound.countedBpm() / song.brief().tempo().bpm(), within(1e-9));
    assertThat(FoundEdits.toKey(sound, song.brief().key())).isEqualTo(sound.fit().semitones());
    assertThat(findings(stretched, Stage.LINES)).doesNotContain(Check.LINES_LOOP_KEY);
  }

  @Test
  void anotherKeyMovesNoPieces() {
    Song song = with();
    List<Integer> before = keys(song);
    Song moved = BriefEdits.key(Key.parse("C# minor"), KeyMove.UP).apply(song);
    assertThat(keys(moved)).isEqualTo(before);
  }

  private static List<Integer> keys(Song song) {
    return Score.of(song).part(part(song).id()).orElseThrow().notes().stream()
        .map(ScoredNote::key)
        .toList();
  }

  @Test
  void cutElsewhereNotesPlayThePieceThatBeginsNearest() {
    Song song = edits(with()).line("pieces", "A C D B").apply(with());
    FoundSound before = sound(song);
    List<Integer> marks = new ArrayList<>(before.marks());
    marks.remove(1);
    Song cut = edits(song).marks(marks).apply(song);
    FoundSound after = sound(cut);
    List<Integer> begins =
        notes(cut).stream().map(key -> after.begins(key - FoundSound.FIRST_KEY)).toList();
    assertThat(begins.get(0)).isEqualTo(before.begins(0));
    assertThat(begins.get(1)).isEqualTo(before.begins(2));
    assertThat(begins.get(2)).isEqualTo(before.begins(3));
  }

  private static List<Integer> notes(Song song) {
    return ((westtide.song.pattern.Pattern.Written) part(song).pattern("pieces").pattern())
        .notes().stream().map(westtide.song.line.Note::key).toList();
  }

  @Test
  void aDownbeatThatIsPulledThereAndBackLosesNothing() {
    Song song = edits(with()).line("pieces", "A C D B").apply(with());
    Part taken = part(song);
    int there = sound(song).begins(2) + 10;
    Song pulled = edits(song).downbeat(taken, there).apply(song);
    assertThat(sound(pulled).pieces()).isEqualTo(sound(song).pieces() - 2);
    assertThat(notes(pulled)).containsExactly(36, 36, 37, 36);
    Song back = edits(song).downbeat(taken, sound(song).downbeat()).apply(pulled);
    assertThat(part(back)).isEqualTo(taken);
  }

  @Test
  void lowsGoToAPartOfTheirOwn() {
    Song song = with();
    PartId lows = PartNames.freeId(song, Role.FOUND);
    Song split = edits(song).lowsApart(lows, 140).apply(song);
    Mix own = split.part(lows).orElseThrow().mix();
    assertThat(own.lowPass()).isEqualTo(Mix.LOWEST_PASS);
    assertThat(own.clip()).isPositive();
    assertThat(own.duck().depth()).isPositive();
    assertThat(part(split).mix().lowCut()).isEqualTo(140);
    assertThat(Score.of(split).part(lows).orElseThrow().notes())
        .hasSameSizeAs(Score.of(split).part(part(split).id()).orElseThrow().notes());
  }

  @Test
  void itIsKeptBesideTheSongOnceAndReadAgain() throws Exception {
    Song song = edits(with()).line("A", "A ,B C+3 *").apply(with());
    Path file = folder.resolve("a song.tide");
    SongFile.write(song, file);
    SongFile.write(song, file);
    try (var files = Files.list(folder.resolve("a song.tide.d"))) {
      assertThat(files).hasSize(1);
    }
    SongFile.Opened opened = SongFile.open(file);
    assertThat(opened.notices()).isEmpty();
    assertThat(part(opened.song())).isEqualTo(part(song));
    float[] read = sound(opened.song()).recording().side(0);
    int unlike = 0;
    for (int i = 0; i < read.length; i++) {
      unlike += read[i] == loop.recording().side(0)[i] ? 0 : 1;
    }
    assertThat(unlike).isZero();
  }

  @Test
  void aMissingSoundIsToldAndKeepsItsPlace() throws Exception {
    Path file = folder.resolve("b.tide");
    SongFile.write(with(), file);
    Files.delete(folder.resolve("b.tide.d").resolve(loop.recording().id() + ".wav"));
    SongFile.Opened opened = SongFile.open(file);
    assertThat(opened.notices()).singleElement().asString().contains("missing");
    assertThat(findings(opened.song(), Stage.LINES)).contains(Check.LINES_SOUND_MISSING);
    Song found = edits(opened.song()).recording(loop.recording()).apply(opened.song());
    assertThat(part(found)).isEqualTo(part(with()));
  }

  @Test
  void whatIsOpenIsTold() {
    Song open =
        edits(with())
            .origin(loop.origin().withCleared(false))
            .apply(BriefEdits.key(Key.parse("E major")).apply(with()));
    assertThat(findings(open, Stage.DELIVER)).contains(Check.DELIVER_CLEARANCE);
    assertThat(findings(with(), Stage.DELIVER)).doesNotContain(Check.DELIVER_CLEARANCE);
    assertThat(findings(open, Stage.LINES)).contains(Check.LINES_LOOP_KEY);
  }

  private static List<Check> findings(Song song, Stage stage) {
    return Soundings.of(Score.of(song), StyleBook.shipped().get("boom-bap"))
        .at(stage)
        .findings()
        .stream()
        .map(Finding::id)
        .map(westtide.review.finding.FindingId::check)
        .toList();
  }

  /**
   * Unprocessed, at its own tempo, of one side since the mix keeps lows in the middle, its part
   * alone holds the samples of the recording: nothing is left of the difference.
   */
  @Test
  void atItsOwnTempoItIsHeardSampleForSample() throws Exception {
    Recording mono =
        Recording.of("mono", loop.recording().rate(), 32, loop.recording().middle().clone());
    Song fitted = edits(with()).songToLoop().apply(with());
    Song song = plain(edits(fitted).recording(mono).apply(fitted));
    FoundSound sound = sound(song);
    int rate = sound.recording().rate();
    List<float[]> heard = new ArrayList<>();
    Mixdown.of(Score.of(song), rate)
        .stem(
            part(song).id(),
            (left, right, frames) -> heard.add(java.util.Arrays.copyOf(left, frames)),
            Mixdown.Watch.NOBODY);
    float[] out = joined(heard);
    float[] side = sound.recording().side(0);
    double seconds = Math.min(sound.frames() / rate, song.millis() / 1000) - 0.1;
    int count = (int) (seconds * rate);
    double both = 0;
    double all = 0;
    for (int i = 0; i < count; i++) {
      double was = side[sound.downbeat() + i];
      both += out[i] * was;
      all += was * was;
    }
    double gain = both / all;
    assertThat(gain).isBetween(0.3, 1.1);
    double difference = 0;
    for (int i = 0; i < count; i++) {
      double rest = out[i] - gain * side[sound.downbeat() + i];
      difference += rest * rest;
    }
    assertThat(10 * Math.log10(difference / all + 1e-30)).isLessThan(-120);
  }

  /** One bar more than the loop, nothing but the loop, full and in the middle. */
  private static Song plain(Song song) {
    Part own = part(song);
    Part plain = own.withMix(Mix.PLAIN);
    Song one = song.withPart(own.id(), p -> plain);
    return one.withForm(
        new westtide.song.form.Form(
            List.of(
                one.form()
                    .sections()
                    .get(0)
                    .withCells(
                        own.id(),
                        List.of(
                            new westtide.song.form.Cell(
                                0, westtide.song.form.Level.FULL, "loop"))))));
  }

  private static float[] joined(List<float[]> lots) {
    float[] out = new float[lots.stream().mapToInt(lot -> lot.length).sum()];
    int at = 0;
    for (float[] lot : lots) {
      System.arraycopy(lot, 0, out, at, lot.length);
      at += lot.length;
    }
    return out;
  }

  @Test
  void itsChordsAreOfferedForTheSong() {
    List<ChordGuess.Guess> guesses = ChordGuess.of(sound(with()));
    assertThat(guesses).hasSize(Math.min(16, sound(with()).bars()));
    Song song = BringIn.withChordsOf(guesses, with());
    assertThat(song.progressions().get(0).spans()).hasSize(guesses.size());
  }

  @Test
  void aRecordingIsKnownByItsSamples() {
    Recording one = loop.recording();
    assertThat(one.withName("other")).isEqualTo(one);
    assertThat(Recording.missing(one.id(), "x", 1, 16, 1, 1)).isNotEqualTo(one);
    assertThat(Optional.of(one.middle())).isPresent();
  }
}
