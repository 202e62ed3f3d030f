package westtide.score;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.Songs;
import westtide.score.event.ScoredNote;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.BriefEdits;
import westtide.song.edit.KeyMove;
import westtide.song.edit.line.LineEdits;
import westtide.song.edit.line.LinePatternEdits;
import westtide.song.form.SectionKind;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.pattern.LowLine;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.theory.Key;

/** Rules in writing, and patterns as a whole. */
class WriteOutTest {
  private static int hook(Song song) {
    for (int i = 0; i < song.form().sections().size(); i++) {
      if (song.form().sections().get(i).word().kind() == SectionKind.HOOK) {
        return i;
      }
    }
    throw new IllegalStateException("no hook");
  }

  /** What is played in the first sixteen bars of a section, as much as a pattern can hold. */
  private static List<ScoredNote> played(Song song, PartId part, int place) {
    int end = (song.form().startBar(place) + 16) * song.brief().meter().ticksPerBar();
    return Score.of(song).part(part).orElseThrow().passages().stream()
        .filter(passage -> passage.place() == place)
        .flatMap(passage -> passage.notes().stream())
        .filter(note -> note.written() < end)
        .map(note -> new ScoredNote(note.start(), note.ticks(), note.key(), note.velocity()))
        .toList();
  }

  @ParameterizedTest
  @ValueSource(strings = {"trap", "house", "drill", "boom-bap", "afro-pop", "techno", "disco-pop"})
  void writtenOutItScoresTheSameAndStillFollowsTheKey(String style) {
    Song song = Songs.draft(style, 4);
    int place = hook(song);
    for (Part part : song.parts()) {
      if (part.role() != Role.SUB && part.role() != Role.BASS) {
        continue;
      }
      String pattern = part.patterns().get(0).name();
      Song out = WriteOut.of(part.id(), pattern, place).apply(song);
      assertThat(out.part(part.id()).orElseThrow().pattern(pattern).pattern())
          .isInstanceOf(Pattern.Attached.class);
      assertThat(played(out, part.id(), place)).isEqualTo(played(song, part.id(), place));
      Key key = Key.parse("D " + song.brief().key().toString().split(" ", 2)[1]);
      assertThat(played(BriefEdits.key(key, KeyMove.UP).apply(out), part.id(), place))
          .as(style + " " + part.name() + " in another key")
          .isEqualTo(played(BriefEdits.key(key, KeyMove.UP).apply(song), part.id(), place));
    }
  }

  /** Each pattern of a part keeps the octave it begins in. */
  @Test
  void aSecondPatternIsWrittenOutFromItsOwnLowestNote() {
    Song song = Songs.draft("trap", 4);
    Part sub = song.parts(Role.SUB).get(0);
    LowLine rule = sub.rules(LowLine.class).get(0).withLowest(33);
    Song two =
        song.withPart(sub.id(), p -> p.with(new NamedPattern("high", new Pattern.Following(rule))));
    Song out = WriteOut.of(sub.id(), "high", hook(two)).apply(two);
    assertThat(out.part(sub.id()).orElseThrow().pattern("high").lowest()).contains(33);
  }

  @Test
  void aPatternGrowsRepeatingOrEmptyAndShrinks() {
    Song song = Songs.draft("trap", 1);
    Part lead = song.parts(Role.LINE).get(0);
    String name = lead.patterns().get(0).name();
    Pattern.Written line =
        new Pattern.Written(2, List.of(new Note(0, 480, 60, 90), new Note(3840, 480, 62, 90)));
    Song two = new LineEdits(lead.id(), name).replace("", line).apply(song);
    LinePatternEdits edits = new LinePatternEdits(lead.id(), name);
    assertThat(written(edits.bars(5, true).apply(two), lead.id(), name))
        .extracting(Note::start)
        .containsExactly(0, 3840, 7680, 11520, 15360);
    assertThat(written(edits.bars(5, false).apply(two), lead.id(), name)).hasSize(2);
    assertThat(written(edits.bars(1, true).apply(two), lead.id(), name)).hasSize(1);
    assertThat(written(edits.copyBar(1, 0).apply(two), lead.id(), name))
        .extracting(Note::key)
        .containsExactly(62, 62);
    Song everywhere = edits.everywhere().apply(two);
    assertThat(Score.of(everywhere).part(lead.id()).orElseThrow().passages())
        .allMatch(passage -> passage.name().equals(name));
  }

  private static List<Note> written(Song song, PartId part, String pattern) {
    Pattern found = song.part(part).orElseThrow().pattern(pattern).pattern();
    return ((Pattern.Written) found).notes();
  }
}
