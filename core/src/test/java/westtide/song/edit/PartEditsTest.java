package westtide.song.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static westtide.Ensembles.after;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.Ensembles;
import westtide.Songs;
import westtide.rhythm.LaneFeel;
import westtide.score.Score;
import westtide.score.event.ScoredNote;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.edit.drum.DrumEdits;
import westtide.song.edit.form.FormEdits;
import westtide.song.edit.line.LowEndEdits;
import westtide.song.edit.part.ChordEdits;
import westtide.song.edit.part.ChordPartEdits;
import westtide.song.edit.part.PartEdits;
import westtide.song.form.Level;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;
import westtide.song.mix.Curve;
import westtide.song.mix.Patch;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.theory.voicing.ChordMember;

class PartEditsTest {
  private static final PartId KEYS = PartId.of("keys");
  private static final PartId COPY = PartId.of("copy");

  private final Song draft = Songs.draft("trap", 3);

  private static Part part(Song song, PartId id) {
    return song.part(id).orElseThrow();
  }

  private static List<String> names(Song song) {
    return song.parts().stream().map(Part::name).toList();
  }

  private static List<String> heard(Song song, PartId id) {
    return Score.of(song).part(id).orElseThrow().notes().stream()
        .map(n -> n.start() + "+" + n.ticks() + " " + n.key() + " " + n.velocity())
        .toList();
  }

  @ParameterizedTest
  @EnumSource(value = Role.class, mode = EnumSource.Mode.EXCLUDE, names = "FOUND")
  void aPartOfAnyRoleIsAddedAndScored(Role role) {
    SectionId hook = draft.form().id(1);
    Part blank = PartEdits.blank(draft, role, "Keys", Patch.of("flute"), 73);
    Song added = PartEdits.add(blank, hook).apply(draft);
    Part found = part(added, blank.id());
    assertThat(found.name()).as("the name is taken, so it gets a number").isEqualTo("Keys 2");
    assertThat(found.role()).isEqualTo(role);
    assertThat(added.form().sections().get(1).cell(found.id(), 0).level()).isEqualTo(Level.FULL);
    assertThat(added.form().sections().get(0).cell(found.id(), 0).level()).isEqualTo(Level.OUT);
    int place = added.parts().indexOf(found);
    assertThat(added.parts().get(place - 1).role()).isEqualTo(role);
    assertThat(Score.of(added).parts()).hasSize(draft.parts().size() + 1);
  }

  @Test
  void aCopyPlaysTheSameAndGoesItsOwnWay() {
    Song copied = new PartEdits(KEYS).duplicate(COPY).apply(draft);
    assertThat(names(copied)).contains("Keys", "Keys 2");
    assertThat(heard(copied, COPY)).isEqualTo(heard(draft, KEYS));
    Song changed = new PartEdits(COPY).transpose(12).apply(copied);
    assertThat(heard(changed, KEYS)).isEqualTo(heard(draft, KEYS));
    assertThat(heard(changed, COPY)).isNotEqualTo(heard(draft, KEYS));
  }

  @Test
  void everyDrumPartDiffersFromHitToHitInAWayOfItsOwn() {
    PartId drums = PartId.of("drums");
    LaneId hat = DrumVoice.CLOSED_HAT.lane();
    Song unmarked = draft.withForm(draft.form().each(section -> section.withEntry(List.of())));
    Song plain = new DrumEdits(drums, "A").feel("Plain", hat, f -> LaneFeel.PLAIN).apply(unmarked);
    Song copied = new PartEdits(drums).duplicate(COPY).apply(plain);
    assertThat(heard(copied, COPY)).isEqualTo(heard(plain, drums));
    Song varied = copied;
    for (PartId part : List.of(drums, COPY)) {
      varied = new DrumEdits(part, "A").feel("Vary", hat, f -> f.withVelocity(20)).apply(varied);
    }
    assertThat(heard(varied, COPY)).as("begun apart").isNotEqualTo(heard(varied, drums));
    Song again = new PartEdits(drums).duplicate(PartId.of("again")).apply(varied);
    assertThat(heard(again, PartId.of("again")))
        .as("copied while it differs")
        .isNotEqualTo(heard(varied, drums));
  }

  @Test
  void aPartIsNeverCalledLikeAnother() {
    Song copied = new PartEdits(KEYS).duplicate(COPY).apply(draft);
    Song renamed = new PartEdits(COPY).rename(" Keys ").apply(copied);
    assertThat(part(renamed, COPY).name()).isEqualTo("Keys 3");
    Song guitar = new PartEdits(COPY).rename("Plucked guitar").apply(copied);
    assertThat(part(guitar, COPY).name()).isEqualTo("Plucked guitar");
    assertThat(new PartEdits(COPY).rename("Plucked guitar").name(copied))
        .as("undo speaks of the name, never of the id")
        .isEqualTo("Rename Keys 2 to Plucked guitar");
    assertThatThrownBy(() -> new PartEdits(COPY).rename(" ")).hasMessageContaining("needs a name");
    assertThatThrownBy(() -> copied.withPart(COPY, p -> p.withName("Keys")))
        .hasMessageContaining("same name");
  }

  @Test
  void theOrderOfPartsIsChangedAndKeptInside() {
    List<String> before = names(draft);
    Song moved = new PartEdits(KEYS).move(2).apply(draft);
    assertThat(names(moved).get(2)).isEqualTo("Keys");
    assertThat(names(new PartEdits(KEYS).move(0).apply(moved))).isEqualTo(before);
    assertThat(names(new PartEdits(KEYS).move(99).apply(draft))).endsWith("Keys");
  }

  /** What pointed to the part goes with it, and does not come back with a part of that id. */
  @Test
  void nothingIsLeftOfADeletedPart() {
    Song marked =
        after(
            draft,
            FormEdits.curves(
                draft.form().id(1), KEYS, List.of(Curve.straight(Curve.Kind.LEVEL, -200, 0))),
            new ChordPartEdits(KEYS).without("hook", 0, Set.of(ChordMember.FIFTH)));
    Song removed = new PartEdits(KEYS).remove().apply(marked);
    assertThat(removed.part(KEYS)).isEmpty();
    assertThat(removed.form().sections())
        .allSatisfy(
            section -> {
              assertThat(section.cells()).doesNotContainKey(KEYS);
              assertThat(section.curves()).doesNotContainKey(KEYS);
            });
    assertThat(removed.progressions())
        .allSatisfy(
            row ->
                assertThat(row.spans())
                    .allMatch(span -> span.articulation().without(KEYS).isEmpty()));
    Part again = part(draft, KEYS);
    Song back = PartEdits.add(again, removed.form().id(0)).apply(removed);
    assertThat(Score.of(back).part(KEYS).orElseThrow().passages())
        .as("it plays in the section it was added to and nowhere else")
        .hasSize(1);
  }

  @Test
  void theLastPartStays() {
    Song one = Ensembles.song("A minor", "Am", 2, Ensembles.chords("keys"));
    assertThat(new PartEdits(KEYS).remove().apply(one)).isEqualTo(one);
  }

  @Test
  void aDoubleStandsAloneWhenItsModelIsDeleted() {
    Song doubled =
        new PartEdits(PartId.of("lead"))
            .doubled(PartId.of("flute"), "Flute", 1, Set.of())
            .apply(draft);
    List<String> before = heard(doubled, PartId.of("flute"));
    assertThat(before).isNotEmpty();
    Song alone = new PartEdits(PartId.of("lead")).remove().apply(doubled);
    assertThat(heard(alone, PartId.of("flute"))).isEqualTo(before);
    assertThat(part(alone, PartId.of("flute")).rules(FollowRule.Doubling.class)).isEmpty();
  }

  /** Chords, 808, bass and lines: whatever is doubled sounds the same once it stands alone. */
  @ParameterizedTest
  @ValueSource(strings = {"keys", "lead", "808", "bass"})
  void standingAloneChangesNothingThatIsHeard(String model) {
    PartId copy = PartId.of("copy");
    Song doubled = new PartEdits(PartId.of(model)).doubled(copy, "Copy", 1, Set.of()).apply(draft);
    Song moved = new PartEdits(PartId.of(model)).transpose(-5).apply(doubled);
    Song alone = new PartEdits(copy).standAlone().apply(moved);
    assertThat(keys(alone, copy)).isEqualTo(keys(moved, copy));
  }

  private static List<String> keys(Song song, PartId id) {
    return Score.of(song).part(id).orElseThrow().notes().stream()
        .map(n -> n.start() + " " + n.key())
        .toList();
  }

  @Test
  void aDoubleStaysInStepWithEverythingThatHappensToItsModel() {
    PartId sub = PartId.of("808");
    PartId copy = PartId.of("synth");
    Song doubled = new PartEdits(sub).doubled(copy, "Synth bass", 1, Set.of()).apply(draft);
    Song edited =
        after(
            doubled,
            new ChordEdits("hook").octave(0),
            BriefEdits.transpose(3),
            LowEndEdits.lowest(sub, 30),
            new DrumEdits(PartId.of("drums"), "A")
                .remove(westtide.song.drum.DrumVoice.KICK.lane(), 0));
    Score score = Score.of(edited);
    assertThat(score.part(copy).orElseThrow().notes())
        .extracting(ScoredNote::start)
        .isEqualTo(score.part(sub).orElseThrow().notes().stream().map(ScoredNote::start).toList());
    assertThat(score.part(copy).orElseThrow().notes())
        .extracting(ScoredNote::key)
        .isEqualTo(score.part(sub).orElseThrow().notes().stream().map(n -> n.key() + 12).toList());
  }

  @Test
  void doublesThatGoInACircleAreRefused() {
    Part one = Ensembles.doubling("one", Role.LINE, "two", 0);
    Part two = Ensembles.doubling("two", Role.LINE, "one", 0);
    assertThatThrownBy(() -> Ensembles.song("A minor", "Am", 1, one, two))
        .hasMessageContaining("circle");
    Part drums = Songs.part("drums", Role.DRUMS, Songs.groove(1, KICK, "x..."));
    assertThatThrownBy(
            () ->
                Ensembles.song(
                    "A minor", "Am", 1, drums, Ensembles.doubling("x", Role.BASS, "drums", 0)))
        .hasMessageContaining("pitched");
    assertThatThrownBy(
            () -> Ensembles.song("A minor", "Am", 1, Ensembles.doubling("x", Role.BASS, "y", 0)))
        .hasMessageContaining("not in the song");
  }

  private static final westtide.song.drum.DrumVoice KICK = westtide.song.drum.DrumVoice.KICK;

  @Test
  void rolesChangeWhereItMakesSense() {
    Song line = new PartEdits(PartId.of("bass")).role(Role.LINE).apply(draft);
    assertThat(part(line, PartId.of("bass")).role()).isEqualTo(Role.LINE);
    assertThat(new PartEdits(PartId.of("drums")).role(Role.LINE).apply(draft)).isEqualTo(draft);
    assertThat(new PartEdits(KEYS).role(Role.DRUMS).apply(draft)).isEqualTo(draft);
  }

  @Test
  void aDeletedPatternLeavesNothingThatPlaysIt() {
    PartId lead = PartId.of("lead");
    Song renamed = new PatternEdits(lead, "tease").rename("hint").apply(draft);
    assertThat(heard(renamed, lead)).isEqualTo(heard(draft, lead));
    Song dropped = new PatternEdits(lead, "hint").drop().apply(renamed);
    assertThat(dropped.form().sections())
        .allSatisfy(
            section -> assertThat(section.cells(lead)).noneMatch(c -> c.pattern().equals("hint")));
    Song back =
        new PatternEdits(lead, "hint").add(new Pattern.Written(1, List.of())).apply(dropped);
    assertThat(heard(back, lead)).isEqualTo(heard(dropped, lead));
  }

  /** Any edits of parts on songs of any size lead to songs that can be scored and undone. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void anyEditsOfPartsLeadToASongThatPlays(long seed) {
    Random random = new Random(seed);
    History history = History.saved(draft);
    for (int i = 0; i < 60; i++) {
      history = history.plus(any(random, history.song(), i));
      assertThat(Score.of(history.song()).parts()).hasSize(history.song().parts().size());
    }
    while (history.undoable().isPresent()) {
      history = history.undo();
    }
    assertThat(history.song()).isEqualTo(draft);
  }

  private static Edit any(Random random, Song song, int turn) {
    Part one = song.parts().get(random.nextInt(song.parts().size()));
    PartEdits edits = new PartEdits(one.id());
    PartId fresh = PartId.of("new-" + turn);
    SectionId section = song.form().id(random.nextInt(song.form().sections().size()));
    boolean pitched = one.role() != Role.DRUMS;
    return switch (random.nextInt(11)) {
      case 0 ->
          PartEdits.add(
              PartEdits.blank(song, Role.values()[turn % 5], "New", Patch.of("bell"), 0), section);
      case 1 -> edits.duplicate(fresh);
      case 2 -> pitched ? edits.doubled(fresh, "Double", 1, Set.of()) : edits.move(0);
      case 3 -> edits.rename("Part " + random.nextInt(3));
      case 4 -> edits.move(random.nextInt(9));
      case 5, 6 -> edits.remove();
      case 7 -> edits.transpose(random.nextInt(73) - 36);
      case 8 -> edits.standAlone();
      case 9 -> new PatternEdits(one.id(), one.usual().name()).drop();
      default -> FormEdits.level(section, one.id(), 0, Level.values()[random.nextInt(5)]);
    };
  }

  @Test
  void aProgressionThatGoesIsGivenUpByThePartsThatHadIt() {
    Song two = RowEdits.copy("hook", "bridge").apply(draft);
    Song own = new ChordPartEdits(KEYS).progression(Optional.of("bridge")).apply(two);
    Song renamed = RowEdits.rename("bridge", "middle").apply(own);
    assertThat(renamed.rules(FollowRule.Chords.class).get(0).own().progression())
        .contains("middle");
    Song removed = RowEdits.remove("middle").apply(renamed);
    assertThat(removed.rules(FollowRule.Chords.class).get(0).own().progression())
        .contains(removed.progressions().get(0).name());
    NamedPattern lost =
        new NamedPattern(
            "A",
            new Pattern.Following(
                FollowRule.Chords.of(
                        new westtide.theory.voicing.VoicingRange(51, 58, 76), Optional.empty())
                    .withOwn(FollowRule.Own.NOTHING.withProgression(Optional.of("nowhere")))));
    assertThatThrownBy(() -> draft.withPart(KEYS, p -> p.withPatterns(List.of(lost))))
        .hasMessageContaining("nowhere");
  }

  /** Two takes: the same notes in number and pitch, a little elsewhere, one on each side. */
  @Test
  void anotherTakeStandsOnTheOtherSide() {
    for (String id : List.of("lead", "keys", "drums")) {
      PartId original = PartId.of(id);
      Song doubled = new PartEdits(original).otherTake(COPY).apply(draft);
      assertThat(part(doubled, original).mix().pan()).isNegative();
      assertThat(part(doubled, COPY).mix().pan()).isEqualTo(-part(doubled, original).mix().pan());
      var first = Score.of(doubled).part(original).orElseThrow().notes();
      var second = Score.of(doubled).part(COPY).orElseThrow().notes();
      assertThat(second).as(id).isNotEmpty().isNotEqualTo(first);
      if (id.equals("lead")) {
        assertThat(second).hasSameSizeAs(first);
        assertThat(second.stream().map(note -> note.key()).sorted().toList())
            .isEqualTo(first.stream().map(note -> note.key()).sorted().toList());
      }
    }
  }
}
