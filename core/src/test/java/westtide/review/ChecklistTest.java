package westtide.review;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.Songs;
import westtide.review.finding.Stage;
import westtide.rhythm.StepLane;
import westtide.score.Score;
import westtide.song.Plan;
import westtide.song.Song;
import westtide.song.chord.RhythmFamily;
import westtide.song.chord.Strum;
import westtide.song.drum.DrumVoice;
import westtide.song.edit.BriefEdits;
import westtide.song.edit.Decisions;
import westtide.song.edit.Edit;
import westtide.song.edit.RowEdits;
import westtide.song.edit.drum.DrumEdits;
import westtide.song.edit.line.LowEndEdits;
import westtide.song.edit.part.ChordEdits;
import westtide.song.edit.part.ChordPartEdits;
import westtide.song.id.PartId;
import westtide.song.pattern.KickLink;
import westtide.style.Style;
import westtide.theory.voicing.VoicingKind;

/** A point is ticked when the song has what it asks for, and only then. */
class ChecklistTest {
  private static final DrumEdits DRUMS = new DrumEdits(PartId.of("drums"), "A");
  private static final ChordEdits HOOK = new ChordEdits("hook");

  private static final Map<String, UnaryOperator<Song>> TAKEN =
      Map.ofEntries(
          Map.entry("hat rolls", lane(DrumVoice.CLOSED_HAT, "x.x.x.x.x.x.x.x.")),
          Map.entry("four to the floor", lane(DrumVoice.KICK, "x.....x...x.....")),
          Map.entry("off-beat open hat", lane(DrumVoice.OPEN_HAT, "..x.............")),
          Map.entry("backbeat", lane(DrumVoice.SNARE, "....x...........")),
          Map.entry("shaker", lane(DrumVoice.SHAKER, "................")),
          Map.entry("late hats", late(DrumVoice.CLOSED_HAT, 0)),
          Map.entry("clap before the snare", late(DrumVoice.CLAP, 0)),
          Map.entry(
              "808 on the kicks",
              s -> LowEndEdits.link(PartId.of("808"), KickLink.INDEPENDENT).apply(s)),
          Map.entry(
              "two-note stacks",
              s -> new ChordPartEdits(PartId.of("keys")).spread(VoicingKind.CLOSE).apply(s)),
          Map.entry(
              "chords strummed",
              s -> HOOK.everyArticulation("strike", m -> m.withStrum(Optional.empty())).apply(s)),
          Map.entry("second progression", s -> RowEdits.remove("verse").apply(s)),
          Map.entry("planned length", s -> BriefEdits.plan(Plan.NONE.withSeconds(30)).apply(s)));

  private static UnaryOperator<Song> lane(DrumVoice voice, String text) {
    return song -> {
      Song out = song;
      for (String groove : new String[] {"A", "thin", "fill"}) {
        out =
            new DrumEdits(PartId.of("drums"), groove)
                .lane(voice.lane(), StepLane.parse(text))
                .apply(out);
      }
      return out;
    };
  }

  private static UnaryOperator<Song> late(DrumVoice voice, int ticks) {
    return song -> DRUMS.feel("move", voice.lane(), f -> f.withNudge(ticks)).apply(song);
  }

  private static boolean done(Song song, Style style, String name) {
    return Checklist.of(Score.of(song), style).points().stream()
        .filter(point -> point.name().equals(name))
        .findFirst()
        .orElseThrow()
        .done();
  }

  @ParameterizedTest
  @CsvSource({
    "trap, hat rolls",
    "house, four to the floor",
    "house, off-beat open hat",
    "boom-bap, backbeat",
    "amapiano, shaker",
    "lo-fi, late hats",
    "deep-house, clap before the snare",
    "trap, 808 on the kicks",
    "dark, two-note stacks",
    "bounce, chords strummed",
    "boom-bap, second progression",
    "trap, planned length"
  })
  void aPointIsTickedByWhatTheSongHasAndByNothingElse(String name, String point) {
    Style style = Songs.book().get(name);
    Song song = Songs.draft(name, 1);
    assertThat(done(song, style, point)).isTrue();
    assertThat(done(TAKEN.get(point).apply(song), style, point)).isFalse();
  }

  @ParameterizedTest
  @CsvSource({"PLUCKED, true", "HELD, false"})
  void pluckedChordsAreReadFromTheRhythmOfTheRow(RhythmFamily family, boolean plucked) {
    Song song = HOOK.rhythm(Optional.of(family.rhythm())).apply(Songs.draft("country-trap", 1));
    assertThat(done(song, Songs.book().get("country-trap"), "chords plucked")).isEqualTo(plucked);
    Song strummed =
        HOOK.articulation("s", 0, m -> m.withStrum(Optional.of(Strum.up(20)))).apply(song);
    assertThat(done(strummed, Songs.book().get("bounce"), "chords strummed")).isTrue();
  }

  /** A draft ticks nothing by itself; a stage a person worked on counts what it has. */
  @Test
  void whatADraftBroughtIsNotDecided() {
    Style style = Songs.book().get("trap");
    Song draft = Songs.draft("trap", 1);
    Checklist untouched = Checklist.of(Score.of(draft), style);
    assertThat(untouched.ticked()).isZero();
    assertThat(untouched.done()).isPositive();
    Song played =
        Decisions.noting(DRUMS.lane(DrumVoice.KICK.lane(), StepLane.parse("x.....x.........")))
            .apply(draft);
    assertThat(played.brief().plan().decided()).containsExactly("Drums");
    Checklist after = Checklist.of(Score.of(played), style);
    assertThat(after.points())
        .allMatch(point -> point.ticked() == (point.done() && point.stage() == Stage.DRUMS));
    assertThat(after.ticked()).isPositive();
    Song redrawn = Decisions.noting(Edit.of("", song -> Songs.draft("trap", 2))).apply(draft);
    assertThat(redrawn.brief().plan().decided()).as("another draft decides nothing").isEmpty();
  }
}
