package westtide.play;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.lang.management.ManagementFactory;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.Songs;
import westtide.rhythm.BarLines;
import westtide.rhythm.Feel;
import westtide.rhythm.Meter;
import westtide.rhythm.Swing;
import westtide.rhythm.Tempo;
import westtide.sampling.Sampled;
import westtide.sampling.Samples;
import westtide.score.Score;
import westtide.song.Brief;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.edit.BriefEdits;
import westtide.song.form.Cell;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionWord;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.mix.Master;
import westtide.song.mix.Mix;
import westtide.song.mix.Patch;
import westtide.song.pattern.Pattern;
import westtide.sound.Audible;
import westtide.sound.Engine;
import westtide.sound.Mixdown;
import westtide.sound.Preparation;
import westtide.sound.PreparedScore;
import westtide.sound.effect.Limiter;
import westtide.theory.Key;

/** The audio thread's side, pumped block by block without a thread. */
class PlaybackTest {
  private static final int RATE = 48_000;
  private static final int BAR = 3840;

  /** A bar at 120 BPM in samples. */
  private static final int BAR_FRAMES = 2 * RATE;

  private final Preparation preparation = new Preparation(RATE);
  private final PlaybackMeters gauges = new PlaybackMeters();
  private final PreparedScore nothing =
      new PreparedScore(List.of(), 0, 1920, BarLines.of(Meter.COMMON, List.of()), Master.PLAIN);
  private final Playback playback = new Playback(RATE, nothing, gauges, 0);

  private void take(Song song) {
    take(song, Audible.ALL);
  }

  private void take(Song song, Audible audible) {
    playback.ask(new Request.Take(preparation.prepare(Score.of(song), audible)));
  }

  /** The next samples of the left side. */
  private float[] pump(int frames) {
    int blocks = (frames + Engine.BLOCK - 1) / Engine.BLOCK;
    float[] out = new float[blocks * Engine.BLOCK];
    for (int i = 0; i < blocks; i++) {
      playback.block(0);
      System.arraycopy(playback.left(), 0, out, i * Engine.BLOCK, Engine.BLOCK);
    }
    return out;
  }

  private static Song song(int bars, Part... parts) {
    return Songs.oneHook(Songs.brief("C minor", 50), "Cm", bars, parts);
  }

  private static Part kicks(String lane) {
    return Songs.part("drums", Role.DRUMS, Songs.groove(1, DrumVoice.KICK, lane))
        .withMix(Mix.PLAIN);
  }

  private static Part organ(Note... notes) {
    return Songs.part("organ", Role.LINE, new Pattern.Written(2, List.of(notes)))
        .withPatch(Patch.of("organ"), 16)
        .withMix(Mix.PLAIN);
  }

  /** The samples at which silence ends. */
  private static List<Integer> onsets(float[] samples) {
    List<Integer> out = new ArrayList<>();
    int quiet = RATE;
    for (int i = 0; i < samples.length; i++) {
      if (Math.abs(samples[i]) > 1e-4) {
        if (quiet > RATE / 50) {
          out.add(i);
        }
        quiet = 0;
      } else {
        quiet++;
      }
    }
    return out;
  }

  @Test
  void playsWhatTheMixdownWrites() throws Exception {
    Song song = Songs.draft("house", 2);
    float[] written = new float[4 * RATE];
    int[] at = {0};
    Mixdown.of(Score.of(song), RATE)
        .mix(
            (left, right, frames) -> {
              int room = Math.min(frames, written.length - at[0]);
              System.arraycopy(left, 0, written, at[0], room);
              at[0] += room;
            },
            Mixdown.Watch.NOBODY);
    take(song);
    pump(RATE / 4);
    playback.ask(new Request.Start(0, 0));
    float[] played = pump(3 * RATE);
    int late = new Limiter(RATE, Mixdown.CEILING_DB).lateFrames();
    for (int i = 0; i < 2 * RATE; i++) {
      assertThat(played[i + late]).isCloseTo(written[i], within(1e-6f));
    }
  }

  /** A small speaker gives nothing of a kick's body, and mono makes both sides alike. */
  @Test
  void otherLoudspeakersAreHeardWithoutChangingTheSong() {
    take(song(2, kicks("x...x...x...x...")));
    playback.ask(new Request.Start(0, 0));
    double full = loudest(pump(RATE));
    playback.ask(new Request.Through(Loudspeaker.SMALL));
    pump(RATE / 10);
    double small = loudest(pump(RATE));
    assertThat(small).isLessThan(0.7 * full).isPositive();
    playback.ask(new Request.Through(Loudspeaker.MONO));
    pump(RATE / 10);
    assertThat(loudest(pump(RATE))).isCloseTo(full, within(0.1 * full));
    assertThat(playback.left()).isEqualTo(playback.right());
  }

  private static double loudest(float[] samples) {
    double out = 0;
    for (float sample : samples) {
      out = Math.max(out, Math.abs(sample));
    }
    return out;
  }

  @Test
  void loopsToTheTick() {
    take(song(2, kicks("x.......x.......")));
    playback.ask(new Request.Loop(480, 480 + 1920));
    playback.ask(new Request.Start(480, 0));
    List<Integer> hits = onsets(pump(5 * BAR_FRAMES));
    assertThat(hits.size()).isGreaterThanOrEqualTo(9);
    for (int i = 1; i < hits.size(); i++) {
      assertThat(hits.get(i) - hits.get(i - 1)).isEqualTo(RATE);
    }
  }

  @Test
  void aHeldNoteDoesNotClickWhereTheLoopTurns() {
    take(song(2, organ(new Note(0, 2 * BAR, 60, 100))));
    playback.ask(new Request.Loop(0, BAR));
    playback.ask(new Request.Start(0, 0));
    float[] heard = pump(3 * BAR_FRAMES);
    double sounding = steepest(heard, RATE / 2, RATE);
    assertThat(steepest(heard, BAR_FRAMES - 500, BAR_FRAMES + 4000)).isLessThan(1.5 * sounding);
  }

  @Test
  void startsInTheMiddleOfAHeldNote() {
    take(song(2, organ(new Note(0, 2 * BAR, 60, 100))));
    playback.ask(new Request.Start(BAR + 100, 0));
    float[] heard = pump(RATE / 2);
    assertThat(peak(heard, RATE / 8, RATE / 4)).isGreaterThan(0.05);
    assertThat(Math.abs(heard[72])).isLessThan(0.02f);
  }

  @Test
  void anEditIsHeardInTheNextBlock() {
    take(song(1, organ(new Note(0, BAR, 60, 100))));
    playback.ask(new Request.Loop(0, BAR));
    playback.ask(new Request.Start(0, 0));
    pump(RATE / 2);
    take(song(1, organ(new Note(0, BAR, 72, 100))));
    float[] after = pump(RATE / 2);
    double low = goertzel(after, RATE / 5, 12_000, 261.63);
    double high = goertzel(after, RATE / 5, 12_000, 523.25);
    assertThat(low).as("the old note is let go").isLessThan(high / 100);
  }

  @Test
  void aNewTempoKeepsTheMusicalPosition() {
    Song song = song(4, kicks("x...x...x...x..."));
    take(song);
    playback.ask(new Request.Start(0, 0));
    pump(BAR_FRAMES + 1000);
    double before = gauges.tick();
    take(BriefEdits.tempo(Tempo.of(60)).apply(song));
    pump(Engine.BLOCK);
    assertThat(gauges.tick() - before).isBetween(0.0, 1920.0 * 2 * Engine.BLOCK / RATE);
    List<Integer> hits = onsets(pump(4 * RATE));
    assertThat(hits.get(2) - hits.get(1)).isEqualTo(RATE);
  }

  @Test
  void countsFourBeatsInAndThenStarts() {
    take(song(1, kicks("x...............")));
    pump(RATE / 4);
    playback.ask(new Request.Start(0, 4));
    float[] heard = pump(3 * RATE);
    List<Integer> hits = onsets(heard);
    assertThat(hits).hasSize(5);
    for (int i = 1; i < 5; i++) {
      assertThat(hits.get(i) - hits.get(i - 1)).as("beat " + i).isBetween(23_995, 24_005);
    }
    assertThat(peak(heard, hits.get(4), 5000)).isGreaterThan(2 * peak(heard, hits.get(3), 5000));
    playback.ask(new Request.Start(0, 4));
    pump(Engine.BLOCK);
    assertThat(gauges.countIn()).isEqualTo(4);
    assertThat(gauges.playing()).isTrue();
  }

  @Test
  void theMetronomeClicksOnEveryBeat() {
    take(song(1, organ(new Note(0, 1, 60, 1))));
    playback.ask(new Request.Click(true));
    playback.ask(new Request.Start(0, 0));
    assertThat(onsets(pump(BAR_FRAMES - 1000))).hasSize(4);
  }

  @Test
  void mutesAndHearsAloneByPartAndByLane() {
    Part drums =
        Songs.part(
                "drums",
                Role.DRUMS,
                Songs.groove(
                    1, DrumVoice.KICK, "x...............", DrumVoice.SNARE, "........x......."))
            .withMix(Mix.PLAIN);
    Song song = song(1, drums, organ(new Note(1920 / 2, 480, 60, 100)));
    assertThat(heardAt(song, Audible.ALL)).containsExactly(true, true, true);
    assertThat(heardAt(song, Audible.ALL.toggleMute("organ"))).containsExactly(true, false, true);
    assertThat(heardAt(song, Audible.ALL.toggleAlone("organ"))).containsExactly(false, true, false);
    assertThat(heardAt(song, Audible.ALL.toggleMute("drums/KICK")))
        .containsExactly(false, true, true);
    assertThat(heardAt(song, Audible.ALL.toggleAlone("drums/SNARE")))
        .containsExactly(false, false, true);
    assertThat(heardAt(song, new Audible(Set.of("drums"), Set.of("drums/SNARE"))))
        .containsExactly(false, false, false);
  }

  /** Whether something begins on beat 1, 2 and 3. */
  private List<Boolean> heardAt(Song song, Audible audible) {
    take(song, audible);
    playback.ask(new Request.Start(0, 0));
    float[] heard = pump(BAR_FRAMES);
    playback.ask(new Request.Stop());
    pump(RATE);
    return List.of(
        peak(heard, 0, 4000) > 1e-3,
        peak(heard, RATE / 2, 4000) > 1e-3,
        peak(heard, RATE, 4000) > 1e-3);
  }

  @Test
  void stopsWhereItIsAndGoesQuiet() {
    take(song(2, organ(new Note(0, 2 * BAR, 60, 100))));
    playback.ask(new Request.Start(0, 0));
    pump(RATE);
    playback.ask(new Request.Stop());
    pump(RATE);
    assertThat(gauges.playing()).isFalse();
    assertThat(gauges.tick()).isCloseTo(1920, within(12.0));
    assertThat(peak(pump(1000), 0, 1000)).isLessThan(1e-5);
    pump(10 * RATE);
    assertThat(playback.idle()).isTrue();
  }

  @Test
  void endsAtTheEndOfTheSong() {
    take(song(1, kicks("x...............")));
    playback.ask(new Request.Start(0, 0));
    pump(BAR_FRAMES + RATE / 10);
    assertThat(gauges.playing()).isFalse();
    assertThat(gauges.tick()).isZero();
  }

  @Test
  void aSingleNoteSoundsWhileNothingPlays() {
    Song song = song(1, kicks("x..............."));
    take(song);
    Part drums = song.parts().get(0);
    playback.ask(
        new Request.Hear(preparation.trial(drums, DrumVoice.KICK.note(), 100, 300).orElseThrow()));
    assertThat(peak(pump(RATE / 4), 0, RATE / 4)).isGreaterThan(0.2);
    assertThat(gauges.playing()).isFalse();
    assertThat(gauges.tick()).isZero();
    assertThat(gauges.peak(PartId.of("drums"))).isPositive();
  }

  @Test
  void thePositionHeardLagsBehindWhatIsWritten() {
    take(song(2, kicks("x...............")));
    playback.ask(new Request.Start(0, 0));
    pump(RATE);
    playback.block(RATE / 10);
    double written = 1920 * (1 + Engine.BLOCK * 189.0 / RATE - 1);
    assertThat(gauges.tick()).isCloseTo(written - 192, within(15.0));
  }

  /** Measured by the JVM itself (com.sun.management), after the code has warmed up. */
  @Test
  void theAudioThreadTakesNoMemory() {
    Song song = Songs.draft("trap", 3);
    take(song);
    playback.ask(new Request.Loop(0, 16 * BAR));
    playback.ask(new Request.Click(true));
    playback.ask(new Request.Start(0, 0));
    for (int i = 0; i < 6000; i++) {
      playback.block(0);
    }
    var threads = (com.sun.management.ThreadMXBean) ManagementFactory.getThreadMXBean();
    long id = Thread.currentThread().getId();
    long before = threads.getThreadAllocatedBytes(id);
    for (int i = 0; i < 6000; i++) {
      playback.block(0);
    }
    long taken = threads.getThreadAllocatedBytes(id) - before;
    assertThat(taken).as("bytes in 6000 blocks, 32 s of sound").isLessThan(2000);
  }

  @Test
  @Sampled
  void randomEditsSeeksAndLoopsNeverLeaveTheCeiling() {
    Random random = new Random(5);
    List<Song> songs = List.of(Songs.draft("trap", 1), Songs.draft("house", 2));
    take(songs.get(0));
    playback.ask(new Request.Start(0, 0));
    for (int i = 0; i < Samples.count(80, 300); i++) {
      switch (random.nextInt(6)) {
        case 0 -> take(songs.get(random.nextInt(2)));
        case 1 -> playback.ask(new Request.Locate(random.nextInt(40 * BAR)));
        case 2 -> playback.ask(new Request.Start(random.nextInt(40 * BAR), 0));
        case 3 -> {
          int from = random.nextInt(20 * BAR);
          playback.ask(new Request.Loop(from, from + 1 + random.nextInt(2 * BAR)));
        }
        case 4 -> playback.ask(new Request.Loop(-1, -1));
        default -> pump(random.nextInt(6000));
      }
      float[] heard = pump(512);
      assertThat(peak(heard, 0, heard.length)).isLessThanOrEqualTo(Math.pow(10, -1 / 20.0));
    }
  }

  private static double steepest(float[] samples, int from, int until) {
    double out = 0;
    for (int i = from; i < until; i++) {
      out = Math.max(out, Math.abs(samples[i] - samples[i - 1]));
    }
    return out;
  }

  private static double peak(float[] samples, int from, int length) {
    double out = 0;
    for (float sample : Arrays.copyOfRange(samples, from, from + length)) {
      out = Math.max(out, Math.abs(sample));
    }
    return out;
  }

  private static double goertzel(float[] samples, int from, int length, double hertz) {
    double cos = 0;
    double sin = 0;
    for (int i = 0; i < length; i++) {
      double window = 0.5 - 0.5 * Math.cos(2 * Math.PI * i / length);
      cos += samples[from + i] * window * Math.cos(2 * Math.PI * hertz * i / RATE);
      sin += samples[from + i] * window * Math.sin(2 * Math.PI * hertz * i / RATE);
    }
    return cos * cos + sin * sin;
  }

  /** A note that began before the loop comes in again at every turn. */
  @Test
  void aHeldNoteIsThereInEveryPassOfALoop() {
    take(song(2, organ(new Note(0, 2 * BAR, 60, 100))));
    playback.ask(new Request.Loop(BAR / 2, BAR));
    playback.ask(new Request.Start(BAR / 2, 0));
    int pass = BAR_FRAMES / 2;
    float[] heard = pump(4 * pass);
    for (int turn = 0; turn < 4; turn++) {
      assertThat(peak(heard, turn * pass + RATE / 4, RATE / 4))
          .as("pass " + turn)
          .isGreaterThan(0.05);
    }
  }

  /** A bar of 3/16 at 120 BPM lasts 0.375 s, one of 7/8 1.75 s. */
  @ParameterizedTest
  @CsvSource({"3, 16, 6000, 3", "7, 8, 12000, 7", "5, 4, 24000, 5", "2, 2, 48000, 2"})
  void theMetronomeClicksTheBeatsOfAnyMeter(int beats, int unit, int framesPerBeat, int clicks) {
    Brief brief =
        Brief.of(
            "trap",
            Tempo.of(120),
            Feel.FULL,
            new Meter(beats, unit),
            Key.parse("C minor"),
            Swing.STRAIGHT);
    take(Songs.oneHook(brief, "Cm", 8, organ(new Note(0, 1, 60, 1))));
    pump(RATE / 4);
    playback.ask(new Request.Click(true));
    playback.ask(new Request.Start(0, 0));
    float[] heard = pump(beats * framesPerBeat * 2 - 1000);
    List<Integer> hits = onsets(heard);
    assertThat(hits).hasSize(2 * clicks);
    for (int i = 1; i < hits.size(); i++) {
      assertThat(hits.get(i) - hits.get(i - 1)).isBetween(framesPerBeat - 5, framesPerBeat + 5);
    }
    float[] first = Arrays.copyOfRange(heard, hits.get(0) + 1, hits.get(0) + 300);
    assertThat(Arrays.copyOfRange(heard, hits.get(clicks) + 1, hits.get(clicks) + 300))
        .as("the first beats of bars are the same click")
        .containsExactly(first, within(0.01f));
    assertThat(Arrays.copyOfRange(heard, hits.get(1) + 1, hits.get(1) + 300))
        .as("the others another one")
        .isNotEqualTo(first);
  }

  /** A bar of two beats before the next bar: its third click is a first one again. */
  @Test
  void theBarAfterAShortOneBeginsWithTheFirstClick() {
    Song song = song(1, organ(new Note(0, 1, 60, 1)));
    Section hook = song.form().sections().get(0);
    Section gap = Section.of(SectionWord.GAP, 1, "hook", Map.of()).withLastBeats(2);
    take(song.withForm(new Form(List.of(gap, hook))));
    pump(RATE / 4);
    playback.ask(new Request.Click(true));
    playback.ask(new Request.Start(0, 0));
    float[] heard = pump(BAR_FRAMES - 1000);
    List<Integer> hits = onsets(heard);
    assertThat(hits).hasSize(4);
    float[] first = Arrays.copyOfRange(heard, hits.get(0) + 1, hits.get(0) + 300);
    float[] second = Arrays.copyOfRange(heard, hits.get(1) + 1, hits.get(1) + 300);
    float[] third = Arrays.copyOfRange(heard, hits.get(2) + 1, hits.get(2) + 300);
    assertThat(third).containsExactly(first, within(0.01f));
    assertThat(second).isNotEqualTo(first);
  }

  private static Song levels(Song song, Level first, Level second) {
    List<Cell> cells = List.of(new Cell(0, first, "A"), new Cell(1, second, "A"));
    return song.withForm(song.form().each(s -> s.withCells(PartId.of("organ"), cells)));
  }

  /** Half is softer than full; what is held goes on through the change without a click. */
  @Test
  void aHeldNoteSoundsOnWhereTheLevelOfItsPartChanges() {
    Song held = song(2, organ(new Note(0, 2 * BAR, 60, 100)));
    take(levels(held, Level.FULL, Level.HALF));
    playback.ask(new Request.Start(0, 0));
    float[] heard = pump(2 * BAR_FRAMES - 2000);
    double full = peak(heard, BAR_FRAMES - RATE / 2, RATE / 4);
    double half = peak(heard, BAR_FRAMES + RATE / 2, RATE / 4);
    assertThat(half).isBetween(0.3 * full, 0.95 * full);
    double sounding = steepest(heard, RATE / 2, RATE);
    assertThat(steepest(heard, BAR_FRAMES - 500, BAR_FRAMES + 4000)).isLessThan(1.5 * sounding);
  }

  @Test
  void aHeldNoteStopsWhereItsPartGoesOut() {
    take(levels(song(2, organ(new Note(0, 2 * BAR, 60, 100))), Level.FULL, Level.OUT));
    playback.ask(new Request.Start(0, 0));
    float[] heard = pump(2 * BAR_FRAMES - 2000);
    assertThat(peak(heard, BAR_FRAMES / 2, RATE / 4)).isGreaterThan(0.05);
    assertThat(peak(heard, BAR_FRAMES + RATE, RATE / 4)).isLessThan(0.01);
  }
}
