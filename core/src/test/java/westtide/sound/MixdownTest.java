package westtide.sound;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.Songs;
import westtide.compose.Arranger;
import westtide.compose.SongDraft;
import westtide.compose.form.FormDraft;
import westtide.rhythm.Figure;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.edit.MixEdits;
import westtide.song.edit.drum.DrumEdits;
import westtide.song.form.Cell;
import westtide.song.form.Form;
import westtide.song.form.FormLine;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionWord;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.mix.Curve;
import westtide.song.mix.DelayTime;
import westtide.song.mix.Gate;
import westtide.song.mix.Master;
import westtide.song.mix.Mix;
import westtide.song.mix.Patch;
import westtide.song.mix.ReverbKind;
import westtide.song.pattern.Pattern;

class MixdownTest {
  private static final int RATE = 48_000;

  /** Left and right one after the other. */
  private static float[][] rendered(Rendering rendering, Mixdown mixdown) throws IOException {
    float[][] out = new float[2][(int) mixdown.frames()];
    AtomicInteger at = new AtomicInteger();
    boolean whole =
        rendering.run(
            (left, right, frames) -> {
              System.arraycopy(left, 0, out[0], at.get(), frames);
              System.arraycopy(right, 0, out[1], at.getAndAdd(frames), frames);
            });
    assertThat(whole).isTrue();
    assertThat(at.get()).isEqualTo((int) mixdown.frames());
    return out;
  }

  private interface Rendering {
    boolean run(Mixdown.Sink sink) throws IOException;
  }

  private static float[][] mix(Song song) throws IOException {
    Mixdown mixdown = Mixdown.of(Score.of(song), RATE);
    return rendered(sink -> mixdown.mix(sink, Mixdown.Watch.NOBODY), mixdown);
  }

  /** A short song of a style: its first section alone. */
  private static Song brief(String style, int bars) {
    Song song = Songs.draft(style, 4);
    Section hook =
        song.form().sections().stream()
            .filter(s -> s.word() == SectionWord.HOOK)
            .findFirst()
            .orElse(song.form().sections().get(1));
    return song.withForm(new Form(List.of(hook.withBars(bars))));
  }

  /** What rings after the last bar of a song that fades stays below what anybody hears. */
  @Test
  void afterAFadeNothingComesBack() throws IOException {
    Song song = Songs.draft("lo-fi", 4);
    for (String marks : List.of("", " fade")) {
      Form form =
          FormDraft.in(Songs.book().get("lo-fi"), song)
              .form(FormLine.parse("hook 4, outro 4" + marks).orElseThrow());
      Song faded = song.withForm(form);
      float[][] mix = mix(faded);
      int end = (int) (faded.millis() / 1000 * RATE);
      double left = peak(Arrays.copyOfRange(mix[0], end, mix[0].length));
      double right = peak(Arrays.copyOfRange(mix[1], end, mix[1].length));
      double ringing = 20 * Math.log10(Math.max(left, right) + 1e-12);
      if (marks.isEmpty()) {
        assertThat(ringing).as("it rings without a fade").isGreaterThan(-40);
      } else {
        assertThat(ringing).isLessThan(-60);
      }
    }
  }

  /** Effects of parts and lanes, rooms, delays and the bus of the drums are all on. */
  private static Song adorned(Song song) {
    Song out = MixEdits.master("drums", m -> new Master(0, 40, 60, 30, -20, 0)).apply(song);
    out =
        MixEdits.laneEffects(
                PartId.of("drums"), DrumVoice.CLOSED_HAT.lane(), "grain", fx -> fx.withGrain(30))
            .apply(out);
    ReverbKind[] rooms = ReverbKind.values();
    for (int i = 0; i < out.parts().size(); i++) {
      ReverbKind room = rooms[i % rooms.length];
      out =
          MixEdits.mix(
                  out.parts().get(i).id(),
                  "chorus",
                  m ->
                      m.withReverb(30)
                          .withDelay(20)
                          .withSpace(m.space().withRoom(room))
                          .withEffects(m.effects().withChorus(40).withTape(30)))
              .apply(out);
    }
    return out;
  }

  @ParameterizedTest
  @ValueSource(strings = {"trap", "house", "boom-bap"})
  void stemsAddUpToWhatEntersTheLimiter(String style) throws IOException {
    addUp(brief(style, 4));
    addUp(adorned(brief(style, 2)));
  }

  /** Two drum parts go through one bus, though one stem alone is wanted. */
  @Test
  void drumsHeldTogetherAreHeldTogetherInEachStem() throws IOException {
    Song song = Arranger.arranged(SongDraft.in(Songs.book().get("trap")).withSeed(3));
    assertThat(song.parts(Role.DRUMS)).hasSize(2);
    List<Section> sections = song.form().sections();
    Section hook =
        sections.stream().filter(s -> s.word() == SectionWord.HOOK).findFirst().orElseThrow();
    addUp(adorned(song.withForm(new Form(List.of(hook.withBars(2))))));
  }

  private static void addUp(Song song) throws IOException {
    Mixdown mixdown = Mixdown.of(Score.of(song), RATE);
    float[][] rest = rendered(sink -> mixdown.beforeLimiter(sink, Mixdown.Watch.NOBODY), mixdown);
    double loudest = 0;
    for (Part part : song.parts()) {
      float[][] stem =
          rendered(sink -> mixdown.stem(part.id(), sink, Mixdown.Watch.NOBODY), mixdown);
      for (int side = 0; side < 2; side++) {
        for (int i = 0; i < stem[side].length; i++) {
          loudest = Math.max(loudest, Math.abs(stem[side][i]));
          rest[side][i] -= stem[side][i];
        }
      }
    }
    assertThat(loudest).isGreaterThan(0.1);
    assertThat(20 * Math.log10(peak(rest[0]) + 1e-12)).isLessThan(-90);
    assertThat(20 * Math.log10(peak(rest[1]) + 1e-12)).isLessThan(-90);
  }

  /**
   * At 120 BPM a sixteenth is 125 ms; a closed gate of full depth lets nothing of a held note by.
   */
  @Test
  void aGateClosesAHeldNoteOnItsSteps() throws IOException {
    Part low =
        Songs.part("808", Role.SUB, new Pattern.Written(1, List.of(new Note(0, 3840, 40, 110))));
    Part gated = low.withMix(Mix.PLAIN.withGate(new Gate(new Figure("xx.."), 100)));
    float[][] out = mix(Songs.oneHook(Songs.brief("A minor", 50), "E", 1, gated));
    int step = RATE / 8;
    double open = peak(Arrays.copyOfRange(out[0], step / 2, step));
    double closed = peak(Arrays.copyOfRange(out[0], 3 * step, 4 * step - 400));
    double again = peak(Arrays.copyOfRange(out[0], 4 * step + step / 2, 5 * step));
    assertThat(open).isGreaterThan(0.05);
    assertThat(again).isGreaterThan(0.5 * open);
    assertThat(closed).isLessThan(0.03 * open);
  }

  /** A lane that is sent to the reverb rings on where the dry one is silent, and by its share. */
  @Test
  void aLaneIsSentToTheReverbByItself() throws IOException {
    Song dry =
        Songs.oneHook(
            Songs.brief("A minor", 50),
            "Am",
            2,
            Songs.part(
                "drums",
                Role.DRUMS,
                Songs.groove(2, DrumVoice.CLAP, "x...............................")));
    dry = dry.withPart(PartId.of("drums"), p -> p.withMix(p.mix().withReverb(0).withDelay(0)));
    double none = tail(dry);
    double some = tail(sent(dry, 30));
    double more = tail(sent(dry, 60));
    assertThat(some).isGreaterThan(20 * none).isGreaterThan(1e-6);
    assertThat(more / some).isBetween(3.2, 4.8);
  }

  private static Song sent(Song song, int percent) {
    return new DrumEdits(PartId.of("drums"), "A")
        .sound("", DrumVoice.CLAP.lane(), sound -> sound.withReverb(percent))
        .apply(song);
  }

  /** The energy from 0.6 to 1.5 s, after the only hit has died away. */
  private static double tail(Song song) throws IOException {
    Mixdown mixdown = Mixdown.of(Score.of(song), RATE);
    float[][] all = rendered(sink -> mixdown.beforeLimiter(sink, Mixdown.Watch.NOBODY), mixdown);
    double energy = 0;
    for (int i = RATE * 6 / 10; i < RATE * 15 / 10; i++) {
      energy += all[0][i] * all[0][i];
    }
    return energy;
  }

  @Test
  void theSameSongGivesTheSameSamples() throws IOException {
    Song song = brief("trap", 2);
    float[][] first = mix(song);
    float[][] second = mix(song);
    assertThat(first[0]).isEqualTo(second[0]);
    assertThat(first[1]).isEqualTo(second[1]);
  }

  @Test
  void theMixKeepsBelowItsCeilingAndHasNoConstantPart() throws IOException {
    float[][] mix = mix(brief("house", 4));
    assertThat(peak(mix[0])).isBetween(0.3, Math.pow(10, -1 / 20.0));
    double sum = 0;
    for (float sample : mix[0]) {
      sum += sample;
    }
    assertThat(Math.abs(sum / mix[0].length)).isLessThan(1e-3);
    assertThat(mix[0][mix[0].length - 1]).isCloseTo(0, within(1e-6f));
  }

  /** Half a second at 120 BPM is one quarter; the kick's first sample moves off zero there. */
  @Test
  void notesBeginOnTheirSample() throws IOException {
    Part drums =
        Songs.part("drums", Role.DRUMS, Songs.groove(1, DrumVoice.KICK, "....x..........."))
            .withMix(Mix.PLAIN);
    float[][] mix = mix(Songs.oneHook(Songs.brief("C minor", 50), "Cm", 1, drums));
    int first = 0;
    while (mix[0][first] == 0) {
      first++;
    }
    assertThat(first).isBetween(RATE / 2, RATE / 2 + 2);
  }

  @Test
  void theOpenHatIsCutByTheNextHat() throws IOException {
    Part open = hats("x...............", "................");
    Part choked = hats("x...............", "..x.............");
    Part closed = hats("................", "..x.............");
    float[][] ringing = mix(Songs.oneHook(Songs.brief("C minor", 50), "Cm", 1, open));
    float[][] cut = mix(Songs.oneHook(Songs.brief("C minor", 50), "Cm", 1, choked));
    float[][] alone = mix(Songs.oneHook(Songs.brief("C minor", 50), "Cm", 1, closed));
    int after = RATE / 4 + RATE / 10;
    for (int i = after; i < after + 2000; i++) {
      cut[0][i] -= alone[0][i];
    }
    assertThat(peak(Arrays.copyOfRange(ringing[0], after, after + 2000))).isGreaterThan(1e-4);
    assertThat(peak(Arrays.copyOfRange(cut[0], after, after + 2000))).isLessThan(1e-5);
  }

  private static Part hats(String open, String closed) {
    Pattern.Drums groove = Songs.groove(1, DrumVoice.OPEN_HAT, open, DrumVoice.CLOSED_HAT, closed);
    return Songs.part("drums", Role.DRUMS, groove)
        .withPatch(Patch.of("tide kit"), 0)
        .withMix(Mix.PLAIN);
  }

  /** A note that ends must not jump: its steepest step is no steeper than while it sounded. */
  @ParameterizedTest
  @ValueSource(strings = {"808", "sub", "organ", "pad", "lead", "flute"})
  void notesEndWithoutAClick(String instrument) throws IOException {
    Part part = line(instrument, new Note(0, 1000, 40, 100));
    float[][] mix = mix(Songs.oneHook(Songs.brief("C minor", 50), "Cm", 1, part));
    int end = (int) (1000 / 1920.0 * RATE);
    double sounding = steepest(mix[0], RATE / 8, end - 100);
    double ending = steepest(mix[0], end - 50, end + RATE / 20);
    assertThat(ending).isLessThan(1.2 * sounding + 1e-4);
  }

  @Test
  void anEightOhEightPlaysOneNoteAtATimeAndInTune() throws IOException {
    Part part =
        line("808", new Note(0, 1920, 31, 110), new Note(1920, 1920, 36, 110)).withMix(Mix.PLAIN);
    float[][] mix = mix(Songs.oneHook(Songs.brief("C minor", 50), "Cm", 1, part));
    double first = 440 * Math.pow(2, (31 - 69) / 12.0);
    double second = 440 * Math.pow(2, (36 - 69) / 12.0);
    int from = RATE / 5;
    assertThat(cents(mix[0], from, RATE / 5 * 4 - 100, first)).isBetween(-5.0, 5.0);
    assertThat(cents(mix[0], RATE + from, RATE / 5 * 4 - 100, second)).isBetween(-5.0, 5.0);
    double left = Spectrum.power(mix[0], RATE + from, 30_000, RATE, first);
    double heard = Spectrum.power(mix[0], RATE + from, 30_000, RATE, second);
    assertThat(left).as("the first note is gone").isLessThan(heard / 1000);
  }

  @Test
  void touchingNotesGlideWhenAGlideIsSet() throws IOException {
    Note low = new Note(0, 1920, 31, 110);
    Note high = new Note(1920, 1920, 43, 110);
    Part still = line("808", low, high);
    Part gliding = still.withPatch(Patch.of("808").with("glide", 300), 38);
    float[][] jump = mix(Songs.oneHook(Songs.brief("C minor", 50), "Cm", 1, still));
    float[][] glide = mix(Songs.oneHook(Songs.brief("C minor", 50), "Cm", 1, gliding));
    double half = 440 * Math.pow(2, (37 - 69) / 12.0);
    int middle = RATE + (int) (0.15 * RATE) - 2400;
    assertThat(Spectrum.power(glide[0], middle, 4800, RATE, half))
        .isGreaterThan(3 * Spectrum.power(jump[0], middle, 4800, RATE, half));
    double top = 440 * Math.pow(2, (43 - 69) / 12.0);
    assertThat(cents(glide[0], RATE + RATE / 2, RATE / 3, top)).isBetween(-5.0, 5.0);
  }

  @Test
  void rampsMoveLevelAndLowPassOverASection() throws IOException {
    Part organ = line("organ", new Note(0, 7680, 60, 100)).withMix(Mix.PLAIN.withLevel(-60));
    Song song = Songs.oneHook(Songs.brief("C minor", 50), "Cm", 2, organ);
    Section section = song.form().sections().get(0);
    Section rising =
        section.withCurves(organ.id(), List.of(Curve.straight(Curve.Kind.LEVEL, -300, 0)));
    Section closing =
        section.withCurves(organ.id(), List.of(Curve.straight(Curve.Kind.LOW_PASS, 20_000, 300)));
    float[] plain = mix(song)[0];
    float[] risen = mix(song.withForm(new Form(List.of(rising))))[0];
    float[] closed = mix(song.withForm(new Form(List.of(closing))))[0];
    double atHalf = peakAt(risen, 2 * RATE) / peakAt(plain, 2 * RATE);
    assertThat(20 * Math.log10(atHalf)).as("half way from −30 dB to 0").isCloseTo(-15, within(1.0));
    double highs = Spectrum.power(closed, 3 * RATE + 30_000, 12_000, RATE, 4 * 261.63);
    double before = Spectrum.power(plain, 3 * RATE + 30_000, 12_000, RATE, 4 * 261.63);
    assertThat(highs).isLessThan(before / 30);
  }

  @Test
  void sendsAreHeardAfterTheNote() throws IOException {
    Part dry = line("muted pluck", new Note(0, 240, 72, 110)).withMix(Mix.PLAIN);
    Part wet = dry.withMix(Mix.PLAIN.withReverb(60));
    Part repeated = dry.withMix(Mix.PLAIN.withDelay(80).withDelayTime(DelayTime.QUARTER));
    int quarter = RATE / 2;
    float[] alone = mix(Songs.oneHook(Songs.brief("C minor", 50), "Cm", 1, dry))[0];
    float[] room = mix(Songs.oneHook(Songs.brief("C minor", 50), "Cm", 1, wet))[0];
    float[] delay = mix(Songs.oneHook(Songs.brief("C minor", 50), "Cm", 1, repeated))[0];
    double silence = peakAt(alone, quarter + 2000) + 1e-9;
    assertThat(peakAt(room, quarter + 2000)).isGreaterThan(10 * silence);
    assertThat(peakAt(delay, quarter + 2000)).isGreaterThan(100 * silence);
  }

  @Test
  void aCancelledRenderingEnds() throws IOException {
    Mixdown mixdown = Mixdown.of(Score.of(brief("trap", 8)), RATE);
    AtomicInteger blocks = new AtomicInteger();
    Mixdown.Watch watch = new Mixdown.Watch(() -> blocks.get() > 100, share -> {});
    assertThat(mixdown.mix((l, r, n) -> blocks.incrementAndGet(), watch)).isFalse();
    assertThat(blocks.get()).isLessThan(300);
  }

  @Test
  void listeningMeasuresWhatIsThere() {
    Song song = brief("trap", 8);
    Listening all = Listening.of(Score.of(song), Mixdown.Watch.NOBODY).orElseThrow();
    assertThat(all.integrated()).isBetween(-30.0, -6.0);
    assertThat(all.loudestMomentary()).isGreaterThanOrEqualTo(all.loudestShort());
    assertThat(all.peak()).isLessThanOrEqualTo(-0.99);
    assertThat(all.overlap()).isPresent();
    Song without =
        song.withPart(PartId.of("808"), part -> part.withMix(part.mix().withLevel(Mix.SILENT)));
    Listening thin = Listening.of(Score.of(without), Mixdown.Watch.NOBODY).orElseThrow();
    assertThat(thin.lows()).isLessThan(all.lows());
    assertThat(thin.integrated()).isLessThan(all.integrated());
    assertThat(thin.overlap()).isEmpty();
  }

  /** The preview adds up in a straight line before its bus, so 6 dB on the fader are 6 dB. */
  @Test
  void howFarTheLowEndLiesUnderTheKickGoesWithItsLevel() {
    Song song = brief("trap", 4);
    Song softer = song;
    for (Role role : List.of(Role.SUB, Role.BASS)) {
      for (Part low : song.parts(role)) {
        softer =
            softer.withPart(
                low.id(), part -> part.withMix(part.mix().withLevel(part.mix().level() - 60)));
      }
    }
    assertThat(underKick(softer) - underKick(song)).isCloseTo(6, within(0.1));
  }

  private static double underKick(Song song) {
    Listening heard = Listening.of(Score.of(song), Mixdown.Watch.NOBODY).orElseThrow();
    return heard.balance().lowsUnderKick().orElseThrow();
  }

  private static Part line(String instrument, Note... notes) {
    Role role = instrument.equals(PartId.of("808")) ? Role.SUB : Role.LINE;
    return Songs.part("line", role, new Pattern.Written(2, List.of(notes)))
        .withPatch(new Patch(instrument, Map.of()), 0)
        .withMix(Mix.PLAIN.withLevel(-60));
  }

  private static double cents(float[] samples, int from, int length, double expected) {
    double found = Spectrum.peakNear(samples, from, length, RATE, expected);
    return 1200 * Math.log(found / expected) / Math.log(2);
  }

  private static double peak(float[] samples) {
    double out = 0;
    for (float sample : samples) {
      out = Math.max(out, Math.abs(sample));
    }
    return out;
  }

  private static double peakAt(float[] samples, int at) {
    return peak(Arrays.copyOfRange(samples, at - 1000, at + 1000));
  }

  private static double steepest(float[] samples, int from, int until) {
    double out = 0;
    for (int i = from; i < until; i++) {
      out = Math.max(out, Math.abs(samples[i] - samples[i - 1]));
    }
    return out;
  }

  @Test
  void silentCellsStaySilent() throws IOException {
    Part organ = line("organ", new Note(0, 1920, 60, 100));
    Song song = Songs.oneHook(Songs.brief("C minor", 50), "Cm", 1, organ);
    Section out =
        song.form().sections().get(0).withCells(organ.id(), List.of(new Cell(0, Level.OUT, "A")));
    assertThat(peak(mix(song.withForm(new Form(List.of(out))))[0])).isZero();
  }
}
