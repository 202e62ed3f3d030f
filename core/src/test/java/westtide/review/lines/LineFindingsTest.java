package westtide.review.lines;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import westtide.Songs;
import westtide.review.Soundings;
import westtide.review.finding.Check;
import westtide.review.finding.Finding;
import westtide.review.finding.FindingId;
import westtide.review.finding.Stage;
import westtide.review.lowend.KickOverlap;
import westtide.score.Score;
import westtide.song.Brief;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.edit.BriefEdits;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.mix.Duck;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.Pattern;
import westtide.theory.voicing.VoicingRange;

/** What a producer looks for in lists of notes, told with its place and a way out. */
class LineFindingsTest {
  private static final Brief BRIEF = Songs.brief("A minor", 50);

  private static Part keys() {
    return Songs.part(
        "keys",
        Role.CHORDS,
        new Pattern.Following(
            FollowRule.Chords.of(new VoicingRange(45, 60, 76), Optional.empty())));
  }

  private static Song song(Part... parts) {
    return Songs.oneHook(BRIEF, "Am", 2, parts);
  }

  private static Part line(String name, Note... notes) {
    return Songs.part(name, Role.LINE, new Pattern.Written(1, List.of(notes)));
  }

  private static List<Finding> found(Song song, Stage stage) {
    return Soundings.of(Score.of(song), Songs.book().get("trap")).at(stage).findings();
  }

  /** The finding of a kind is told, and gone once its fix is taken. */
  private static Finding mends(Song song, Stage stage, String kind) {
    Finding finding =
        found(song, stage).stream()
            .filter(f -> f.id().code().startsWith(kind))
            .findFirst()
            .orElseThrow(() -> new AssertionError(kind + " in " + found(song, stage)));
    Song mended = finding.fix().orElseThrow().edit().apply(song);
    assertThat(found(mended, stage)).noneMatch(f -> f.id().equals(finding.id()));
    return finding;
  }

  private static Note[] run(int from) {
    Note[] out = new Note[6];
    for (int i = 0; i < out.length; i++) {
      out[i] = new Note(i * 480, 240, from + (i % 2 == 0 ? 0 : 3), 90);
    }
    return out;
  }

  @Test
  void aLeadUnderTheTopOfTheChordsIsLost() {
    assertThat(mends(song(keys(), line("lead", run(57))), Stage.LINES, "lines.lost").title())
        .contains("lies under the top of keys");
    assertThat(found(song(keys(), line("lead", run(81))), Stage.LINES))
        .noneMatch(f -> f.id().code().startsWith("lines.lost"));
  }

  @Test
  void aLineThatDoesNotLeadMayLieUnderTheChords() {
    Song two = song(keys(), line("lead", run(81)), line("counter", run(57)));
    Song led = two.withMain(Optional.of(PartId.of("lead")));
    assertThat(found(led, Stage.LINES)).noneMatch(f -> f.id().code().startsWith("lines.lost"));
    assertThat(found(two.withMain(Optional.of(PartId.of("counter"))), Stage.LINES))
        .anyMatch(f -> f.id().code().equals("lines.lost.counter"));
  }

  @Test
  void chordsFarUnderALineDoNotHideIt() {
    Song hidden = song(keys(), line("lead", run(57)));
    Song halo = hidden.withPart(PartId.of("keys"), p -> p.withMix(p.mix().withLevel(-120)));
    Song lead = halo.withPart(PartId.of("lead"), p -> p.withMix(p.mix().withLevel(-70)));
    assertThat(found(lead, Stage.LINES)).noneMatch(f -> f.id().code().startsWith("lines.lost"));
  }

  /** Arithmetic: B flat is a minor ninth over A, and a semitone. */
  @Test
  void aHeldNoteASemitoneOrMinorNinthOverAChordNoteIsToldWithItsPlace() {
    Finding finding =
        mends(song(keys(), line("lead", new Note(480, 960, 82, 90))), Stage.LINES, "lines.clash");
    assertThat(finding.title()).contains("over A");
    assertThat(finding.where()).contains("bar 1.1");
    assertThat(found(song(keys(), line("lead", new Note(480, 240, 82, 90))), Stage.LINES))
        .as("a passing sixteenth is fine")
        .noneMatch(f -> f.id().code().startsWith("lines.clash"));
  }

  @Test
  void twoLinesOnOneNoteOrCrossingAreTold() {
    mends(song(line("lead", run(69)), line("counter", run(69))), Stage.LINES, "lines.unison");
    Note[] low = run(69);
    Note[] across = new Note[6];
    for (int i = 0; i < across.length; i++) {
      across[i] = low[i].withKey(i < 3 ? 64 : 76);
    }
    mends(song(line("lead", low), line("counter", across)), Stage.LINES, "lines.crossing");
  }

  /** Common practice: an accent 40 above its neighbours is an error people find in lists. */
  @Test
  void everySlipOfANoteIsToldByItselfEvenWhenItRepeats() {
    Note[] notes = run(69);
    notes[1] = notes[1].withVelocity(127).withKey(69);
    notes[4] = notes[4].withVelocity(127).withKey(69);
    notes[0] = notes[0].withVelocity(60).withTicks(600).withKey(69);
    notes[2] = notes[2].withVelocity(60);
    notes[3] = notes[3].withVelocity(60).withTicks(4);
    notes[5] = notes[5].withVelocity(60).withStart(2437);
    Song song = song(line("lead", notes));
    assertThat(found(song, Stage.LINES))
        .filteredOn(f -> f.id().code().startsWith("lines.loud"))
        .hasSize(2);
    mends(song, Stage.LINES, "lines.loud");
    mends(song, Stage.LINES, "lines.overlap");
    mends(song, Stage.LINES, "lines.short");
    assertThat(mends(song, Stage.LINES, "lines.straggler").title()).contains("37 ticks late");
  }

  /** Chords 4 dB under a line are a halo; a tenth of a dB nearer they are not. */
  @Test
  void chordsHideALineFromUnderFourDecibelsOn() {
    Song hidden = song(keys(), line("lead", run(57)));
    int lead = hidden.part(PartId.of("lead")).orElseThrow().mix().level();
    for (int under : List.of(39, 40)) {
      Song song =
          hidden.withPart(PartId.of("keys"), p -> p.withMix(p.mix().withLevel(lead - under)));
      assertThat(
              found(song, Stage.LINES).stream().anyMatch(f -> f.id().check() == Check.LINES_LOST))
          .as(under + " tenths of dB under the line")
          .isEqualTo(under < 40);
    }
  }

  /** Another loud note that takes the number of the ignored one is told all the same. */
  @Test
  void anIgnoredFindingBelongsToItsNoteHoweverManyStandBeforeIt() {
    Note[] notes = run(69);
    for (int i = 0; i < notes.length; i++) {
      notes[i] = notes[i].withVelocity(i == 3 ? 120 : 60);
    }
    Song song = song(line("lead", notes));
    FindingId meant = mends(song, Stage.LINES, "lines.loud").id();
    Song ignoring = BriefEdits.leave(meant.code()).apply(song);
    assertThat(found(ignoring, Stage.LINES)).noneMatch(f -> f.id().check() == Check.LINES_LOUD);
    List<Note> more = new ArrayList<>(List.of(notes));
    more.add(new Note(120, 60, 69, 60));
    assertThat(found(playing(ignoring, more), Stage.LINES))
        .noneMatch(f -> f.id().check() == Check.LINES_LOUD);
    more.add(new Note(2640, 60, 69, 60));
    more.add(new Note(2760, 60, 70, 120));
    more.add(new Note(2880, 60, 69, 60));
    assertThat(found(playing(ignoring, more), Stage.LINES))
        .filteredOn(f -> f.id().check() == Check.LINES_LOUD)
        .extracting(f -> f.id().place())
        .containsExactly(List.of("2760", "70"));
  }

  private static Song playing(Song song, List<Note> notes) {
    return song.withPart(
        PartId.of("lead"),
        part -> part.with(part.usual().withPattern(new Pattern.Written(1, notes))));
  }

  @Test
  void theRepetitionOfALineIsReadAsLetters() {
    List<Note> notes =
        List.of(
            new Note(0, 240, 69, 90),
            new Note(7680, 240, 71, 90),
            new Note(15360 + 480, 240, 69, 90),
            new Note(30720, 240, 69, 90));
    LinePlan plan = LinePlan.of(notes, 7680);
    assertThat(plan.letters()).isEqualTo("a a′ b – a");
    assertThat(plan.repeated()).isEqualTo(0.5);
  }

  /** Arithmetic: at 120 BPM a sixteenth is 125 ms, so that 240 ticks of overlap are 125 ms. */
  @Test
  void kickAndLowNoteAtOnceAreMeasuredInMillisecondsUntilOneStepsBack() {
    Part kick =
        Songs.part("drums", Role.DRUMS, Songs.groove(1, DrumVoice.KICK, "....x..........."));
    Part sub =
        Songs.part("808", Role.SUB, new Pattern.Written(1, List.of(new Note(0, 1200, 33, 110))));
    Song song = song(sub.withMix(sub.mix().withDuck(Duck.NONE)), kick);
    List<KickOverlap> found = KickOverlap.of(Score.of(song), Score.of(song).parts(Role.SUB).get(0));
    assertThat(found).hasSize(2);
    assertThat(found.get(0).ticks()).isEqualTo(240);
    assertThat(found.get(0).millis()).isCloseTo(125, within(1e-6));
    assertThat(found.get(0).together()).isFalse();
    mends(song, Stage.LOW_END, "lowend.kick");
    assertThat(found(song(sub, kick), Stage.LOW_END))
        .as("a part that ducks already is left alone")
        .noneMatch(f -> f.id().code().startsWith("lowend.kick"));
  }
}
