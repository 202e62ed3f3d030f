package westtide.level;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import westtide.Songs;
import westtide.compose.Arranger;
import westtide.compose.SongDraft;
import westtide.sampling.Sampled;
import westtide.sampling.Samples;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.MixEdits;
import westtide.song.id.PartId;
import westtide.song.mix.Master;
import westtide.song.mix.Mix;
import westtide.sound.Mixdown;
import westtide.sound.loudness.Loudness;
import westtide.style.Style;

/** The lead and the whole mix of a draft are rendered as loud as was estimated for them. */
class DraftLevelsTest {
  private static final int RATE = 48_000;

  private static Style style(String id) {
    return Songs.book().get(id);
  }

  private static Song draft(String style, long seed) {
    return Arranger.arranged(SongDraft.in(style(style)).withSeed(seed));
  }

  private static Part lead(Song song) {
    return song.parts(Role.LINE).get(0);
  }

  private static Song at(Song song, int level) {
    return song.withPart(lead(song).id(), part -> part.withMix(part.mix().withLevel(level)));
  }

  /** What a rendering of the whole song reads: the mix, and the lead over the chords. */
  private record Heard(double lufs, double leadOver) {
    static Heard of(Song song) throws IOException {
      Loudness mix = new Loudness(RATE);
      Map<PartId, List<Double>> moments = new HashMap<>();
      Map<PartId, Mixdown.Sink> sinks = new HashMap<>();
      for (Part part : song.parts()) {
        boolean chords = part.role() == Role.CHORDS;
        if (chords || part.equals(lead(song))) {
          Loudness loudness = new Loudness(RATE);
          List<Double> course = new ArrayList<>();
          moments.put(part.id(), course);
          sinks.put(
              part.id(),
              (left, right, frames) -> {
                loudness.hear(left, right, frames);
                course.add(Math.pow(10, loudness.momentary() / 10));
              });
        }
      }
      Mixdown.of(Score.of(song), RATE).mixAndStems(mix::hear, sinks, Mixdown.Watch.NOBODY);
      return new Heard(mix.integrated(), over(moments.remove(lead(song).id()), moments));
    }

    /** Where the lead is within 10 dB of its mean, its power over that of all chords. */
    private static double over(List<Double> lead, Map<PartId, List<Double>> chords) {
      double gate =
          lead.stream().filter(power -> power > 1e-7).mapToDouble(p -> p).average().orElseThrow();
      double above = 0;
      double under = 0;
      for (int i = 0; i < lead.size(); i++) {
        int at = i;
        double bed = chords.values().stream().mapToDouble(course -> course.get(at)).sum();
        if (lead.get(i) > gate / 10 && bed > 1e-7) {
          above += lead.get(i);
          under += bed;
        }
      }
      return 10 * Math.log10(above / under);
    }
  }

  static List<Arguments> drafts() {
    return Samples.few(
        2,
        List.of(
            Arguments.of("bounce", 3),
            Arguments.of("house", 3),
            Arguments.of("techno", 4),
            Arguments.of("soul", 2),
            Arguments.of("cloud", 14),
            Arguments.of("future-bass", 5)));
  }

  @ParameterizedTest
  @MethodSource("drafts")
  @Sampled
  void aDraftIsHeardAsItWasEstimated(String style, long seed) throws IOException {
    Heard heard = Heard.of(DraftLevels.set(draft(style, seed), style(style)));
    assertThat(heard.lufs()).isCloseTo(-14, within(0.7));
    assertThat(heard.leadOver()).isBetween(3.0, 6.0);
  }

  @Test
  void anotherTargetIsReachedAsWell() throws IOException {
    Song draft = draft("soul", 2);
    Song aimed = draft.withMaster(draft.master().withTarget(-18));
    assertThat(Heard.of(DraftLevels.set(aimed, style("soul"))).lufs()).isCloseTo(-18, within(1.0));
  }

  /** Only the lead is moved, to where a lead stands, whatever level it came with. */
  @ParameterizedTest
  @CsvSource({"-80", "-40", "40"})
  void aLeadTooSoftOrTooLoudIsMovedAlone(int off) {
    Song draft = draft("cloud", 2);
    int usual = lead(DraftLevels.set(draft, style("cloud"))).mix().level();
    Song moved = DraftLevels.set(at(draft, usual + off), style("cloud"));
    assertThat(lead(moved).mix().level()).isCloseTo(usual, within(10));
    assertThat(at(moved, usual).withMaster(draft.master())).isEqualTo(at(draft, usual));
  }

  @Test
  void aDraftThatCameTooLoudOrTooSoftEndsAlike() {
    Song draft = draft("boom-bap", 4);
    int usual = DraftLevels.set(draft, style("boom-bap")).master().gain();
    for (int off : new int[] {-40, 20}) {
      Song moved = draft.withMaster(draft.master().withGain(draft.master().gain() + off));
      int gain = DraftLevels.set(moved, style("boom-bap")).master().gain();
      assertThat(gain).isCloseTo(usual, within(12));
    }
  }

  @Test
  void aDraftThatAimsAtNothingKeepsItsGain() {
    Song draft = draft("trap", 2).withMaster(Master.PLAIN.withGain(30));
    assertThat(DraftLevels.set(draft, style("trap")).master()).isEqualTo(draft.master());
  }

  @Test
  void whatIsSilentStays() {
    Song silent = MixEdits.allQuieter(1200).apply(draft("trap", 2));
    assertThat(DraftLevels.set(silent, style("trap"))).isEqualTo(silent);
    Song mute = at(draft("cloud", 2), Mix.SILENT);
    assertThat(lead(DraftLevels.set(mute, style("cloud"))).mix().level()).isEqualTo(Mix.SILENT);
  }
}
