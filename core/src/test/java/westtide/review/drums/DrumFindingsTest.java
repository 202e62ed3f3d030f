package westtide.review.drums;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import westtide.Songs;
import westtide.review.Soundings;
import westtide.review.finding.Finding;
import westtide.review.finding.Measure;
import westtide.review.finding.Stage;
import westtide.review.finding.StageSoundings;
import westtide.rhythm.Hit;
import westtide.rhythm.StepLane;
import westtide.score.Score;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.edit.drum.DrumEdits;
import westtide.song.edit.form.FormEdits;
import westtide.song.edit.form.SectionEdits;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;
import westtide.song.pattern.Pattern;

/** What is found about grooves: every finding is provoked, and its fix takes it away. */
class DrumFindingsTest {
  private static final DrumEdits A = new DrumEdits(PartId.of("drums"), "A");

  private static StageSoundings drums(Song song) {
    return Soundings.of(Score.of(song), Songs.book().get(song.brief().style())).at(Stage.DRUMS);
  }

  private static Optional<Finding> find(Song song, String idStart) {
    return drums(song).findings().stream()
        .filter(f -> f.id().code().startsWith(idStart))
        .findFirst();
  }

  private static List<Finding> all(Song song, String idStart) {
    return drums(song).findings().stream().filter(f -> f.id().code().startsWith(idStart)).toList();
  }

  private static Finding fixed(Song song, String idStart) {
    Finding finding = find(song, idStart).orElseThrow();
    Song after = finding.fix().orElseThrow().edit().apply(song);
    assertThat(find(after, finding.id().code())).as(finding.title()).isEmpty();
    return finding;
  }

  private static Measure measure(Song song, String name) {
    return drums(song).measures().stream()
        .filter(measure -> measure.name().startsWith(name))
        .findFirst()
        .orElseThrow();
  }

  private static Song groove(Pattern.Drums groove) {
    return Songs.oneHook(
        Songs.brief("A minor", 50), "Am", 8, Songs.part("drums", Role.DRUMS, groove));
  }

  /** Common practice: in trap the clap stands on beat 3 of every bar. */
  @Test
  void aBackbeatTheStyleAlwaysHasIsMissed() {
    Song song = Songs.draft("trap", 2);
    assertThat(find(song, "drums.missing")).isEmpty();
    Song without = A.remove(DrumVoice.CLAP.lane(), 24).apply(song);
    Finding finding = fixed(without, "drums.missing");
    assertThat(finding.title()).isEqualTo("No clap on 10.3.1");
    assertThat(finding.why()).contains("Trap groove").contains("half-time");
  }

  @Test
  void aLaneThatIsAlwaysChokedIsAsked() {
    Song song =
        groove(
            Songs.groove(
                1,
                DrumVoice.CLOSED_HAT,
                "x.x.x.x.........",
                DrumVoice.OPEN_HAT,
                "x.x.x..........."));
    Finding finding = fixed(song, "drums.choked");
    assertThat(finding.title()).isEqualTo("Closed hat: 3 of 4 hits are choked");
  }

  @Test
  void sevenDrumsOnOneStepAreACrowdButStackedLanesOfOneAreNot() {
    Pattern.Drums six =
        Songs.groove(
            1,
            DrumVoice.KICK,
            "x...",
            DrumVoice.SNARE,
            "x...",
            DrumVoice.CLAP,
            "x...",
            DrumVoice.RIM,
            "x...",
            DrumVoice.TOM,
            "x...",
            DrumVoice.SHAKER,
            "x...");
    Song song = A.stack(DrumVoice.CLAP.lane()).apply(groove(six));
    assertThat(find(song, "drums.crowd")).isEmpty();
    Song seven =
        A.lane(DrumVoice.RIDE.lane(), StepLane.parse("o..."))
            .apply(A.addVoice(DrumVoice.RIDE).apply(groove(six)));
    assertThat(fixed(seven, "drums.crowd").fix().orElseThrow().label())
        .isEqualTo("take the Ride off");
  }

  /** Open hats on every fourth pass leave the closed ones sounding on the others. */
  @Test
  void hitsThatAreNotAlwaysPlayedChokeNoLane() {
    String four = "x...x...x...x...";
    Song always = groove(Songs.groove(1, DrumVoice.OPEN_HAT, four, DrumVoice.CLOSED_HAT, four));
    assertThat(find(always, "drums.choked")).isPresent();
    Song some =
        groove(
            Songs.groove(
                1, DrumVoice.OPEN_HAT, "x/4...x/4...x/4...x/4...", DrumVoice.CLOSED_HAT, four));
    assertThat(find(some, "drums.choked")).isEmpty();
  }

  @Test
  void aLaneFarFromTheStylesDensityIsTold() {
    Song song = Songs.draft("trap", 2);
    StepLane busy = StepLane.parse("xxxxxxxxxxxxxxxx");
    Song busier = A.lane(DrumVoice.PERCUSSION.lane(), busy).apply(song);
    assertThat(find(busier, "drums.density").orElseThrow().title())
        .isEqualTo("Percussion: 16 hits per bar");
    assertThat(find(song, "drums.density")).isEmpty();
  }

  @Test
  void aSectionThatEndsWithoutAFillIsTold() {
    Song draft = Songs.draft("trap", 1);
    assertThat(find(draft, "drums.nofill")).isEmpty();
    Song song =
        new SectionEdits(SectionId.of(1), SectionEdits.Scope.ALL).enter(List.of()).apply(draft);
    Song joined = FormEdits.join(SectionId.of(2), PartId.of("drums")).apply(song);
    Finding finding = fixed(joined, "drums.nofill");
    assertThat(finding.fix().orElseThrow().label()).isEqualTo("play the fill there");
  }

  /** Arithmetic: a one-bar loop over eight bars repeats seven of them. */
  @Test
  void repetitionIsMeasuredAgainstTheSchoolOfTheStyle() {
    Song loop = groove(Songs.groove(1, DrumVoice.KICK, "x...x...x...x..."));
    assertThat(measure(loop, "repetition").shown()).isEqualTo("88 %");
    Song boomBap = loop.withBrief(Songs.draft("boom-bap", 1).brief());
    assertThat(find(boomBap, "drums.repeats").orElseThrow().why()).contains("evolving");
    assertThat(find(loop, "drums.repeats")).isEmpty();
  }

  @Test
  void twoLoudHitsAreTwoSlipsAndManyAreAccents() {
    Song song =
        groove(
            Songs.groove(
                2, DrumVoice.RIDE, "oooooooooooooooo", DrumVoice.KICK, "x..............."));
    LaneId ride = DrumVoice.RIDE.lane();
    Song two = A.velocity(ride, 3, 127).apply(A.velocity(ride, 11, 127).apply(song));
    assertThat(all(two, "drums.slip"))
        .as("a second one does not hide the first")
        .extracting(Finding::title)
        .containsExactly("Ride at 127 among 56s", "Ride at 127 among 56s");
    Song accents = song;
    for (int step = 0; step < 16; step += 2) {
      accents = A.velocity(ride, step, 127).apply(accents);
    }
    assertThat(all(accents, "drums.slip")).isEmpty();
  }

  /**
   * Arithmetic: a lane of one bar comes eight times in eight bars, so a sixteenth repeat never
   * does.
   */
  @Test
  void aHitWhoseRepeatNeverComesIsTold() {
    Song song = groove(Songs.groove(1, DrumVoice.KICK, "x...x...x...x/16..."));
    Finding finding = fixed(song, "drums.never");
    assertThat(finding.title()).isEqualTo("Kick on step 13 never plays");
    assertThat(finding.why()).contains("repeat 16 of 16");
    Song often = groove(Songs.groove(1, DrumVoice.KICK, "x...x...x...x/2..."));
    assertThat(find(often, "drums.never")).isEmpty();
  }

  /** One loud hit among ghosts is a slip, unless the style has a loud one on that step. */
  @Test
  void anAccentOfTheStyleIsNoSlip() {
    String ghosts = "................|................|................|..o....x..o..o.o";
    Song bounce =
        groove(Songs.groove(4, DrumVoice.SNARE, ghosts))
            .withBrief(Songs.brief("A minor", 50).withStyle("bounce"));
    assertThat(find(bounce, "drums.slip")).isEmpty();
    Finding slip = fixed(A.velocity(DrumVoice.SNARE.lane(), 58, 127).apply(bounce), "drums.slip");
    assertThat(slip.title()).isEqualTo("Snare at 127 among 92s");
  }

  @Test
  void aGrooveMuchFullerThanTheStyleIsTold() {
    String all = "xxxxxxxxxxxxxxxx";
    Song full =
        groove(
            Songs.groove(1, DrumVoice.CLOSED_HAT, all, DrumVoice.RIM, all, DrumVoice.SHAKER, all));
    assertThat(find(full, "drums.full").orElseThrow().title()).isEqualTo("48 hits per bar in all");
    assertThat(find(groove(Songs.groove(1, DrumVoice.CLOSED_HAT, all)), "drums.full")).isEmpty();
  }

  @Test
  void pitchedHitsThatMidiCannotSayAreTold() {
    Song plain = groove(Songs.groove(1, DrumVoice.CLOSED_HAT, "x...x..."));
    Song pitched =
        A.change("p", DrumVoice.CLOSED_HAT.lane(), 4, hit -> hit.withPitch(5)).apply(plain);
    Soundings found = Soundings.of(Score.of(pitched), Songs.book().get("trap"));
    assertThat(found.at(Stage.DELIVER).findings())
        .extracting(Finding::title)
        .containsExactly("The pitch of 16 drum hits is not in the MIDI");
    Soundings clean = Soundings.of(Score.of(plain), Songs.book().get("trap"));
    assertThat(clean.at(Stage.DELIVER).findings()).isEmpty();
  }

  @Test
  void figuresFollowTheGroove() {
    Song plain = groove(Songs.groove(1, DrumVoice.KICK, "x...x...x...x..."));
    assertThat(measure(plain, "syncopation").value()).isZero();
    assertThat(measure(plain, "off-beat share").value()).isZero();
    assertThat(measure(plain, "velocity range").value()).isZero();
    Song son = groove(Songs.groove(1, DrumVoice.KICK, "x..x..x...x.x..."));
    assertThat(measure(son, "syncopation").value()).isEqualTo(4);
    Song shaped =
        A.lane(
                DrumVoice.KICK.lane(),
                new StepLane(16, List.of(Hit.of(0, 120), Hit.of(4, 70), Hit.of(8, 100))))
            .apply(plain);
    assertThat(measure(shaped, "velocity range").value()).isEqualTo(50);
  }

  /** Six seeds of every style: the first draft of its drums leaves nothing to warn about. */
  @Test
  void draftsOfEveryStyleAreUsualForTheStyle() {
    Songs.book()
        .styles()
        .forEach(
            style -> {
              for (long seed = 0; seed < 6; seed++) {
                Song song = Songs.draft(style.id(), seed);
                StageSoundings drums = drums(song);
                assertThat(drums.findings()).as(style.id() + " " + seed).isEmpty();
                assertThat(drums.measures())
                    .as(style.id() + " " + seed)
                    .filteredOn(m -> m.name().equals("density, hits per bar"))
                    .allMatch(Measure::usual);
              }
            });
  }
}
