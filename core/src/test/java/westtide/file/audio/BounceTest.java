package westtide.file.audio;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import westtide.Songs;
import westtide.sampling.Sampled;
import westtide.sampling.Samples;
import westtide.score.Score;
import westtide.song.Song;
import westtide.song.form.Form;
import westtide.song.form.Section;
import westtide.song.id.PartId;
import westtide.song.mix.Mix;
import westtide.sound.Listening;
import westtide.sound.Mixdown.Watch;

class BounceTest {
  @TempDir private Path folder;

  /** The first hook of a draft alone. */
  private static Song hook(String style) {
    Song song = Songs.draft(style, 7);
    Section hook =
        song.form().sections().stream()
            .filter(s -> s.word().kind() == westtide.song.form.SectionKind.HOOK)
            .findFirst()
            .orElseThrow();
    return song.withForm(new Form(List.of(hook.withBars(8))));
  }

  private Path mix(Song song, WavFormat format) throws IOException {
    Path path = folder.resolve("mix " + format.bits() + ".wav");
    return Bounce.of(Score.of(song), format).mix(path, Watch.NOBODY).orElseThrow().path();
  }

  /** Debian's sox reads rate, channels, bits and length from the header. */
  static List<Arguments> formats() {
    return Samples.few(
        2,
        List.of(
            Arguments.of(44_100, 16),
            Arguments.of(48_000, 16),
            Arguments.of(44_100, 24),
            Arguments.of(48_000, 24)));
  }

  @ParameterizedTest
  @MethodSource("formats")
  @Sampled
  void anotherProgramReadsTheHeader(int rate, int bits) throws Exception {
    Song song = hook("trap");
    Path path = mix(song, new WavFormat(rate, bits));
    Optional<String> listed = run("sox", "--info", path.toString());
    if (listed.isEmpty()) {
      return;
    }
    long frames = Math.round((song.millis() / 1000 + 4) * rate);
    assertThat(listed.get())
        .containsPattern("Channels\\s+: 2")
        .containsPattern("Sample Rate\\s+: " + rate)
        .containsPattern("Precision\\s+: " + bits + "-bit")
        .contains("= " + frames + " samples")
        .doesNotContain("WARN");
    assertThat(Files.size(path)).isEqualTo(44 + frames * 2 * bits / 8);
  }

  /** The layout of a canonical header: Microsoft and IBM, RIFF, 1991 (from memory). */
  @Test
  void theHeaderIsTheCanonicalOne() throws IOException {
    byte[] bytes = Files.readAllBytes(mix(hook("house"), new WavFormat(48_000, 24)));
    ByteBuffer header = ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN);
    assertThat(new String(bytes, 0, 4, StandardCharsets.US_ASCII)).isEqualTo("RIFF");
    assertThat(header.getInt(4)).isEqualTo(bytes.length - 8);
    assertThat(new String(bytes, 8, 8, StandardCharsets.US_ASCII)).isEqualTo("WAVEfmt ");
    assertThat(header.getInt(16)).isEqualTo(16);
    assertThat(header.getShort(20)).isEqualTo((short) 1);
    assertThat(header.getInt(28)).isEqualTo(48_000 * 6);
    assertThat(header.getInt(40)).isEqualTo(bytes.length - 44);
    assertThat(bytes.length % 2).isZero();
  }

  /** Debian's ffmpeg measures by the same standard with code of its own. */
  static List<String> metered() {
    return Samples.few(1, List.of("trap", "house", "boom-bap"));
  }

  @ParameterizedTest
  @MethodSource("metered")
  @Sampled
  void loudnessAgreesWithAnotherMeter(String style) throws Exception {
    Song song = hook(style);
    Path path = mix(song, WavFormat.USUAL);
    Optional<String> said =
        run("ffmpeg", "-nostats", "-i", path.toString(), "-af", "ebur128", "-f", "null", "-");
    if (said.isEmpty()) {
      return;
    }
    String summary = said.get().substring(said.get().lastIndexOf("Summary:"));
    Matcher found = Pattern.compile("I:\\s+(-?[\\d.]+) LUFS").matcher(summary);
    assertThat(found.find()).isTrue();
    double ours = Listening.of(Score.of(song), Watch.NOBODY).orElseThrow().integrated();
    assertThat(ours).isCloseTo(Double.parseDouble(found.group(1)), within(0.1));
  }

  @Test
  void theSameSongGivesTheSameBytes() throws IOException {
    for (WavFormat format : List.of(WavFormat.USUAL, new WavFormat(44_100, 16))) {
      byte[] first = Files.readAllBytes(mix(hook("trap"), format));
      assertThat(Files.readAllBytes(mix(hook("trap"), format))).isEqualTo(first);
    }
  }

  @Test
  void mixAndStemsOfOnePassAreThoseOfTwo() throws IOException {
    Bounce bounce = Bounce.of(Score.of(hook("drill")), WavFormat.USUAL);
    Files.createDirectory(folder.resolve("a"));
    Files.createDirectory(folder.resolve("b"));
    List<Bounce.Written> together =
        bounce
            .mixAndStems(folder.resolve("a/m.wav"), folder.resolve("a"), Watch.NOBODY)
            .orElseThrow();
    List<Bounce.Written> apart =
        new ArrayList<>(bounce.stems(folder.resolve("b"), Watch.NOBODY).orElseThrow());
    apart.add(0, bounce.mix(folder.resolve("b/m.wav"), Watch.NOBODY).orElseThrow());
    assertThat(together).hasSameSizeAs(apart).hasSizeGreaterThan(3);
    for (int i = 0; i < apart.size(); i++) {
      assertThat(together.get(i).path()).hasSameBinaryContentAs(apart.get(i).path());
      assertThat(together.get(i).over()).isEqualTo(apart.get(i).over());
    }
  }

  /** Stems of 24 bits, read back from disk, against the mix before its limiter. */
  @Test
  void stemsOnDiskAddUpToTheMixBeforeItsLimiter() throws IOException {
    Song song = hook("house");
    Song unlimited = westtide.song.edit.MixEdits.allQuieter(120).apply(song);
    Bounce bounce = Bounce.of(Score.of(unlimited), WavFormat.USUAL);
    int[] mix = samples(bounce.mix(folder.resolve("m.wav"), Watch.NOBODY).orElseThrow().path());
    List<Bounce.Written> stems = bounce.stems(folder, Watch.NOBODY).orElseThrow();
    assertThat(stems).allMatch(stem -> stem.over() == 0);
    double[] rest = java.util.Arrays.stream(mix).asDoubleStream().toArray();
    for (Bounce.Written stem : stems) {
      int[] part = samples(stem.path());
      assertThat(part).hasSameSizeAs(mix);
      for (int i = 0; i < part.length; i++) {
        rest[i] -= part[i];
      }
    }
    double worst = java.util.Arrays.stream(rest).map(Math::abs).max().orElseThrow() / (1 << 23);
    assertThat(20 * Math.log10(worst)).isLessThan(-90);
  }

  @Test
  void stemsAreNamedAfterTheSongAndThePart() throws IOException {
    Song song = hook("trap").withTitle("Lamp: Room");
    List<Bounce.Written> stems =
        Bounce.of(Score.of(song), WavFormat.USUAL).stems(folder, Watch.NOBODY).orElseThrow();
    assertThat(stems.get(0).path().getFileName().toString())
        .isEqualTo("Lamp Room 142 F#m Keys.wav");
    assertThat(stems).hasSizeBetween(3, 5);
  }

  @Test
  void aStemTooLoudSaysByHowMuch() throws IOException {
    Song song = hook("house");
    Song loud =
        song.withPart(
            PartId.of("drums"), part -> part.withMix(Mix.PLAIN.withLevel(60).withPan(-100)));
    List<Bounce.Written> stems =
        Bounce.of(Score.of(loud), WavFormat.USUAL).stems(folder, Watch.NOBODY).orElseThrow();
    assertThat(stems).anyMatch(stem -> stem.over() > 3);
  }

  @Test
  void aCancelledBounceLeavesNothing() throws IOException {
    Path path = folder.resolve("gone.wav");
    Watch cancelled = new Watch(() -> true, share -> {});
    assertThat(Bounce.of(Score.of(hook("trap")), WavFormat.USUAL).mix(path, cancelled)).isEmpty();
    assertThat(folder).isEmptyDirectory();
  }

  @Test
  void progressRisesToTheEnd() throws IOException {
    java.util.List<Double> notices = new java.util.ArrayList<>();
    Watch watch = new Watch(() -> false, notices::add);
    Bounce.of(Score.of(hook("trap")), WavFormat.USUAL).stems(folder, watch);
    assertThat(notices).isSorted().last().isEqualTo(1.0);
    assertThat(notices.size()).isGreaterThan(20);
  }

  @ParameterizedTest
  @CsvSource({"96000,24,96000", "48000,8,8", "0,16,0"})
  void otherFormatsAreRefused(int rate, int bits, String named) {
    assertThatThrownBy(() -> new WavFormat(rate, bits))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining(named);
  }

  private static int[] samples(Path path) throws IOException {
    byte[] bytes = Files.readAllBytes(path);
    int[] out = new int[(bytes.length - 44) / 3];
    for (int i = 0; i < out.length; i++) {
      int at = 44 + 3 * i;
      out[i] = (bytes[at] & 0xFF) | (bytes[at + 1] & 0xFF) << 8 | bytes[at + 2] << 16;
    }
    return out;
  }

  /** What a program says, or nothing when it is not installed; continuous integration has it. */
  private static Optional<String> run(String... command) throws Exception {
    Process process;
    try {
      process = new ProcessBuilder(command).redirectErrorStream(true).start();
    } catch (IOException missing) {
      System.out.println(command[0] + " is not installed; its reading is passed over");
      assertThat(System.getenv("CI")).as(command[0] + " is installed").isNull();
      return Optional.empty();
    }
    String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
    assertThat(process.exitValue()).as(said).isZero();
    return Optional.of(said);
  }
}
