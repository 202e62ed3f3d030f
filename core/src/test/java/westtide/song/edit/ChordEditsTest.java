package westtide.song.edit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import westtide.Songs;
import westtide.score.Score;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.chord.ChordArticulation;
import westtide.song.chord.ChordLine;
import westtide.song.chord.ChordSpan;
import westtide.song.chord.RhythmFamily;
import westtide.song.chord.Strum;
import westtide.song.edit.part.ChordEdits;
import westtide.song.edit.part.PartEdits;
import westtide.song.form.SectionKind;
import westtide.song.id.PartId;
import westtide.theory.Chord;
import westtide.theory.Key;
import westtide.theory.NoteName;
import westtide.theory.voicing.ChordMember;
import westtide.theory.voicing.Voicing;
import westtide.theory.voicing.VoicingKind;

class ChordEditsTest {
  private static final ChordEdits HOOK = new ChordEdits("hook");
  private final Song song = Songs.oneHook(Songs.brief("A minor", 50), "Am | F | C | G", 4);

  private String row(Edit edit) {
    return edit.apply(song).progression("hook").spans().stream()
        .map(span -> span.chord() + ":" + span.ticks() / 240)
        .collect(Collectors.joining(" "));
  }

  private List<ChordSpan> typed(String line) {
    return ChordLine.in(song.brief().key(), song.brief().meter()).parse(line).orElseThrow();
  }

  @Test
  void anEndGivesAndTakesTimeAndNeverSwallowsAChord() {
    assertThat(row(HOOK.end(0, -960))).isEqualTo("Am:12 F:20 C:16 G:16");
    assertThat(row(HOOK.end(0, 480))).isEqualTo("Am:18 F:14 C:16 G:16");
    assertThat(row(HOOK.end(0, 99_999))).isEqualTo("Am:31 F:1 C:16 G:16");
    assertThat(row(HOOK.end(2, -99_999))).isEqualTo("Am:16 F:16 C:1 G:31");
    assertThat(row(HOOK.end(3, 3840))).isEqualTo("Am:16 F:16 C:16 G:32");
  }

  @Test
  void cardsAreMovedDuplicatedInsertedPassedAndTakenOut() {
    assertThat(row(HOOK.move(0, 2))).isEqualTo("F:16 C:16 Am:16 G:16");
    assertThat(row(HOOK.duplicate(1))).isEqualTo("Am:16 F:16 F:16 C:16 G:16");
    assertThat(row(HOOK.remove(3))).isEqualTo("Am:16 F:16 C:16");
    assertThat(row(HOOK.passing(0, Chord.parse("E7"), 960))).isEqualTo("Am:12 E7:4 F:16 C:16 G:16");
    assertThat(row(HOOK.insert(4, ChordSpan.of(Chord.parse("Em"), 1920))))
        .isEqualTo("Am:16 F:16 C:16 G:16 Em:8");
  }

  @Test
  void aTypedLineKeepsWhatWasChosenForChordsThatStay() {
    Song strummed =
        HOOK.articulation("Strum", 1, m -> m.withStrum(Optional.of(Strum.up(20)))).apply(song);
    Song again = HOOK.line(typed("Am | F:12 F/C:4 | Dm")).apply(strummed);
    assertThat(again.progression("hook").spans().get(1).articulation().strum()).isPresent();
    assertThat(again.progression("hook").spans().get(2).articulation())
        .isEqualTo(ChordArticulation.PLAIN);
    Song other = HOOK.line(typed("Am | Dm")).apply(strummed);
    assertThat(other.progression("hook").spans().get(1).articulation().strum()).isEmpty();
  }

  @Test
  void notesChosenByHandGoWhenTheChordOrItsSpreadChanges() {
    Voicing own = new Voicing(List.of(45, 57, 64, 71));
    Song chosen = HOOK.articulation("Move", 0, m -> m.withOwn(Optional.of(own))).apply(song);
    assertThat(HOOK.replace(0, Chord.parse("Dm")).apply(chosen).progression("hook").spans().get(0))
        .isEqualTo(ChordSpan.of(Chord.parse("Dm"), 3840));
    Song open =
        HOOK.articulation("Spread", 0, m -> m.withKind(Optional.of(VoicingKind.OPEN)))
            .apply(chosen);
    assertThat(open.progression("hook").spans().get(0).articulation().own()).isEmpty();
  }

  @Test
  void rowsAreCopiedRenamedUsedAndTakenAwayWithTheirSections() {
    Song two = RowEdits.copy("hook", "bridge").apply(song);
    Song used = RowEdits.use(SectionKind.HOOK, "bridge").apply(two);
    assertThat(used.form().sections().get(0).progression()).isEqualTo("bridge");
    Song named = RowEdits.rename("bridge", "lift").apply(used);
    assertThat(named.form().sections().get(0).progression()).isEqualTo("lift");
    assertThat(named.progressions()).hasSize(2);
    Song one = RowEdits.remove("lift").apply(named);
    assertThat(one).isEqualTo(song);
    assertThat(RowEdits.remove("hook").apply(one)).isEqualTo(one);
  }

  @Test
  void aPedalIsKeptInAKeyChangeAndLetGo() {
    Song held = RowEdits.pedal(SectionKind.HOOK, Optional.of(NoteName.parse("A"))).apply(song);
    Song moved = BriefEdits.key(Key.parse("C minor")).apply(held);
    assertThat(moved.form().sections().get(0).pedal()).contains(NoteName.parse("C"));
    assertThat(RowEdits.pedal(SectionKind.HOOK, Optional.empty()).apply(held)).isEqualTo(song);
  }

  @Test
  void aLayerPlaysWhereItsModelPlaysAndQuieter() {
    Song draft = Songs.draft("house", 3);
    Song layered =
        new PartEdits(PartId.of("keys"))
            .doubled(PartId.of("octaves"), "Octaves", 1, Set.of(ChordMember.BASS))
            .apply(draft);
    Score score = Score.of(layered);
    var model = score.part(PartId.of("keys")).orElseThrow();
    var layer = score.part(PartId.of("octaves")).orElseThrow();
    assertThat(layer.part().role()).isEqualTo(Role.CHORDS);
    assertThat(layer.part().mix().level()).isLessThan(model.part().mix().level());
    assertThat(layer.notes()).isNotEmpty();
    assertThat(layer.notes().size()).isLessThan(model.notes().size());
    assertThat(layer.notes())
        .allMatch(
            note ->
                model.notes().stream()
                    .anyMatch(m -> m.start() == note.start() && m.key() + 12 == note.key()));
    assertThat(new PartEdits(PartId.of("octaves")).remove().apply(layered).parts())
        .isEqualTo(draft.parts());
  }

  /** Any chord edits, then all undos, lead back; every song on the way has a score. */
  @Test
  void anyEditsAreTakenBackByAsManyUndos() {
    Random random = new Random(3);
    for (int take = 0; take < 30; take++) {
      History history = History.saved(song);
      for (int i = 0; i < 25; i++) {
        history = history.plus(anyEdit(random, history.song().progression("hook").spans().size()));
        assertThat(Score.of(history.song()).ticks()).isEqualTo(4 * 3840);
      }
      while (history.undoable().isPresent()) {
        history = history.undo();
      }
      assertThat(history.song()).isEqualTo(song);
    }
  }

  private static Edit anyEdit(Random random, int size) {
    int at = random.nextInt(size);
    return switch (random.nextInt(10)) {
      case 0 -> HOOK.end(at, random.nextInt(9600) - 4800);
      case 1 -> HOOK.move(at, random.nextInt(size));
      case 2 -> HOOK.duplicate(at);
      case 3 -> HOOK.remove(at);
      case 4 -> HOOK.passing(at, Chord.parse("E7"), random.nextInt(2000));
      case 5 -> HOOK.articulation("Push", at, m -> m.withPush(240 * random.nextInt(3)));
      case 6 -> HOOK.articulation("Turn", at, m -> m.withInversion(Optional.of(random.nextInt(4))));
      case 7 -> HOOK.articulation("Rest", at, m -> m.withRest(!m.rest()));
      case 8 -> HOOK.rhythm(Optional.of(RhythmFamily.values()[random.nextInt(10)].rhythm()));
      default -> HOOK.octave(random.nextInt(5) - 2);
    };
  }

  /** The chord parts fall silent over one chord, and what follows the chords below goes on. */
  @Test
  void chordsRestWhileTheBassGoesOn() {
    Song song = westtide.Songs.draft("trap", 1);
    String row = song.progressions().get(0).name();
    Song rests = new ChordEdits(row).chordsRest(1, true).apply(song);
    for (westtide.song.Part part : song.parts()) {
      var before = westtide.score.Score.of(song).part(part.id()).orElseThrow().notes();
      var after = westtide.score.Score.of(rests).part(part.id()).orElseThrow().notes();
      if (part.role() == westtide.song.Role.CHORDS) {
        assertThat(after.size()).isLessThan(before.size());
      } else {
        assertThat(after).as(part.name()).isEqualTo(before);
      }
    }
    assertThat(new ChordEdits(row).chordsRest(1, false).apply(rests)).isEqualTo(song);
  }
}
