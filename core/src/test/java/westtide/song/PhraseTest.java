package westtide.song;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import westtide.Songs;
import westtide.rhythm.Meter;
import westtide.score.Score;
import westtide.song.edit.line.LineEdits;
import westtide.song.edit.line.PhraseEdits;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.pattern.Pattern;
import westtide.theory.Key;

/** A motif and what leads from it. */
class PhraseTest {
  private static final Key C = Key.parse("C major");
  private static final List<Note> MOTIF =
      List.of(new Note(0, 480, 60, 90), new Note(960, 480, 64, 90), new Note(1920, 960, 62, 90));

  private static Pattern.Phrase phrase(PhraseEdits.Plan plan) {
    return new Pattern.Phrase(1, MOTIF, plan.units());
  }

  private static List<Note> unit(Pattern.Phrase phrase, int unit) {
    return phrase.written(C, Meter.COMMON).notes().stream()
        .filter(note -> note.start() / 3840 == unit)
        .map(note -> note.withStart(note.start() - unit * 3840))
        .toList();
  }

  @Test
  void unitsMakeOfTheMotifWhatTheirPlanSays() {
    Pattern.Phrase phrase = phrase(PhraseEdits.Plan.CLOSED);
    assertThat(phrase.bars()).isEqualTo(4);
    assertThat(unit(phrase, 0)).isEqualTo(MOTIF);
    assertThat(unit(phrase, 1).subList(0, 2)).isEqualTo(MOTIF.subList(0, 2));
    assertThat(unit(phrase, 1).get(2).key()).isNotEqualTo(62);
    assertThat(unit(phrase, 3)).extracting(Note::key).containsExactly(60, 57, 59);
    assertThat(unit(phrase(PhraseEdits.Plan.OPEN), 1)).isEmpty();
  }

  @ParameterizedTest
  @EnumSource(PhraseEdits.Plan.class)
  void aChangeOfTheMotifIsFollowedAndOneElsewhereStandsByItself(PhraseEdits.Plan plan) {
    Pattern.Phrase phrase = phrase(plan);
    List<Note> notes = new ArrayList<>(phrase.written(C, Meter.COMMON).notes());
    notes.set(0, notes.get(0).withKey(67));
    Pattern.Phrase moved = phrase.leadingTo(notes, C, Meter.COMMON);
    assertThat(moved.motif().get(0).key()).isEqualTo(67);
    assertThat(moved.differing(C, Meter.COMMON)).isEmpty();
    List<Note> later = new ArrayList<>(phrase.written(C, Meter.COMMON).notes());
    int last = later.size() - 1;
    later.set(last, later.get(last).withKey(50));
    Pattern.Phrase own = phrase.leadingTo(later, C, Meter.COMMON);
    assertThat(own.motif()).isEqualTo(MOTIF);
    assertThat(own.units().get(3).own()).isPresent();
    assertThat(own.differing(C, Meter.COMMON)).containsExactly(later.get(last));
    assertThat(own.written(C, Meter.COMMON).notes()).isEqualTo(later);
  }

  @Test
  void aPhraseIsScoredEditedAndUnlinkedAsTheNotesItPlays() {
    Song song = Songs.draft("trap", 2);
    PartId lead = song.parts(Role.LINE).get(0).id();
    PhraseEdits edits = new PhraseEdits(lead, "A");
    Song phrased = edits.plan(PhraseEdits.Plan.SONG, 2).apply(song);
    Pattern.Phrase phrase =
        (Pattern.Phrase) phrased.part(lead).orElseThrow().pattern("A").pattern();
    assertThat(phrase.bars()).isEqualTo(8);
    Song alone = edits.unlink().apply(phrased);
    assertThat(notes(alone, lead)).isEqualTo(notes(phrased, lead));
    Note first = phrase.motif().get(0);
    Song edited =
        new LineEdits(lead, "A")
            .put("x", List.of(first), List.of(first.withVelocity(11)))
            .apply(phrased);
    assertThat(notes(edited, lead).stream().filter(n -> n.contains(",11")).count())
        .as("every unit that keeps the first note follows")
        .isGreaterThan(1);
  }

  private static List<String> notes(Song song, PartId part) {
    return Score.of(song).part(part).orElseThrow().notes().stream()
        .map(n -> n.start() + "," + n.ticks() + "," + n.key() + "," + n.velocity())
        .toList();
  }
}
