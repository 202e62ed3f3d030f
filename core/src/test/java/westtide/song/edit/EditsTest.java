package westtide.song.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.Songs;
import westtide.rhythm.Hit;
import westtide.rhythm.Swing;
import westtide.rhythm.Tempo;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.edit.drum.DrumEdits;
import westtide.song.edit.form.FormEdits;
import westtide.song.edit.line.LineEdits;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;
import westtide.song.line.Note;
import westtide.song.pattern.Pattern;
import westtide.theory.Chord;
import westtide.theory.Key;

class EditsTest {
  private static final DrumEdits DRUMS = new DrumEdits(PartId.of("drums"), "A");
  private static final LineEdits LINE = new LineEdits(PartId.of("lead"), "A");

  /**
   * Any sequence of edits followed by as many undos gives the same song; redoing gives the edited
   * one.
   */
  @Test
  void undoingEverythingGivesTheSongBack() {
    Random random = new Random(5);
    for (int round = 0; round < 30; round++) {
      Song song = Songs.draft("trap", round);
      History history = History.saved(song);
      for (int i = 0; i < 25; i++) {
        history = history.plus(anyEdit(random, history.song()));
      }
      Song edited = history.song();
      while (history.undoable().isPresent()) {
        history = history.undo();
      }
      assertThat(history.song()).isEqualTo(song);
      assertThat(history.changed()).isFalse();
      while (history.redoable().isPresent()) {
        history = history.redo();
      }
      assertThat(history.song()).isEqualTo(edited);
    }
  }

  private static Edit anyEdit(Random random, Song song) {
    SectionId section = song.form().id(random.nextInt(song.form().sections().size()));
    return switch (random.nextInt(12)) {
      case 0 -> BriefEdits.tempo(Tempo.of(60 + random.nextInt(120)));
      case 1 -> BriefEdits.swing(Swing.of(50 + random.nextInt(20)));
      case 2 ->
          BriefEdits.key(
              Key.parse(List.of("A minor", "C# dorian", "Eb major").get(random.nextInt(3))));
      case 3 ->
          DRUMS.place(DrumVoice.KICK.lane(), Hit.of(random.nextInt(32), 1 + random.nextInt(127)));
      case 4 -> DRUMS.remove(DrumVoice.CLOSED_HAT.lane(), random.nextInt(32));
      case 5 -> DRUMS.velocity(DrumVoice.CLAP.lane(), 8, 1 + random.nextInt(127));
      case 6 ->
          LINE.put(
              "Write",
              List.of(),
              List.of(new Note(random.nextInt(20) * 240, 240, 60 + random.nextInt(20), 90)));
      case 7 -> LINE.transpose(random.nextInt(5) - 2);
      case 8 -> FormEdits.resize(section, 1 + random.nextInt(40));
      case 9 -> FormEdits.level(section, PartId.of("lead"), 0, Level.values()[random.nextInt(5)]);
      case 10 -> FormEdits.move(section, random.nextInt(song.form().sections().size()));
      default -> FormEdits.remove(section);
    };
  }

  @Test
  void aDragIsOneStepToUndo() {
    History history = History.saved(Songs.draft("trap", 1));
    for (int velocity = 60; velocity < 70; velocity++) {
      history = history.plus(DRUMS.velocity(DrumVoice.CLAP.lane(), 8, velocity), "drag 1");
    }
    assertThat(history.plus(DRUMS.velocity(DrumVoice.CLAP.lane(), 8, 70), "drag 2").steps())
        .as("another drag is another step")
        .hasSize(3);
    assertThat(history.undoable()).contains("Set Clap to velocity 69");
    assertThat(history.undo().undoable()).isEmpty();
  }

  @Test
  void anEditWithoutEffectIsNoStep() {
    History history = History.saved(Songs.draft("trap", 1));
    assertThat(history.plus(DRUMS.velocity(DrumVoice.CLAP.lane(), 9, 40))).isSameAs(history);
  }

  @Test
  void savingMarksTheSongThatWasWrittenNotTheOneEditedMeanwhile() {
    History history = History.unsaved(Songs.draft("trap", 1));
    Song written = history.song();
    History after = history.plus(BriefEdits.title("Other")).markSaved(written);
    assertThat(after.changed()).isTrue();
    assertThat(after.undo().changed()).isFalse();
    assertThat(after.undo().plus(BriefEdits.title("Third")).changed()).isTrue();
  }

  @Test
  void aMergedEditNeverSwallowsTheSavedState() {
    History history = History.saved(Songs.draft("trap", 1)).plus(BriefEdits.tempo(Tempo.of(130)));
    history = history.markSaved(history.song()).plus(BriefEdits.tempo(Tempo.of(131)));
    assertThat(history.changed()).isTrue();
    assertThat(history.undo().changed()).isFalse();
  }

  /** Standard theory: degrees and numerals stay when the key moves. */
  @ParameterizedTest
  @CsvSource({
    "F# minor, A minor, i9 | VImaj7 | bII | V7, Am9 Fmaj7 B♭ E7",
    "C major, Eb major, I | vi/3 | IV/V, E♭ Cm/E♭ A♭/B♭",
    "A minor, A dorian, i | IV | VI, Am D F♯dim",
    "A minor, A in-sen, i | bII | iv | V7, Am B♭ Dm E7",
    "A minor, A major, i9 | iv7 | VImaj7 | v, Amaj9 Dmaj7 F♯m7 E",
    "B minor, G# minor, i | III, G♯m B"
  })
  void chordsKeepTheirNumeralsInAnotherKey(String from, String to, String line, String chords) {
    Song song = Songs.oneHook(Songs.brief(from, 50), line, 4);
    Song moved = BriefEdits.key(Key.parse(to)).apply(song);
    assertThat(moved.progression("hook").chords().stream().map(Chord::toString))
        .containsExactly(chords.split(" "));
  }

  @ParameterizedTest
  @CsvSource({
    "C major, D major, 60, 62",
    "C major, C minor, 64, 63",
    "C major, C minor, 60, 60",
    "A minor, A dorian, 77, 78",
    "C major, A major, 67, 64",
    "C major, C minor, 66, 66",
    "C major, G major, 60, 55"
  })
  void writtenNotesKeepTheirDegree(String from, String to, int before, int after) {
    Part lead =
        Songs.part(
            "lead", Role.LINE, new Pattern.Written(1, List.of(new Note(0, 240, before, 90))));
    Song song = Songs.oneHook(Songs.brief(from, 50), "C", 1, lead);
    Song moved = BriefEdits.key(Key.parse(to)).apply(song);
    Pattern.Written line = (Pattern.Written) moved.parts().get(0).patterns().get(0).pattern();
    assertThat(line.notes().get(0).key()).isEqualTo(after);
  }

  @Test
  void aSplitTankPlaysTwoThingsUntilItIsJoined() {
    Song song = Songs.draft("trap", 1);
    Song split =
        FormEdits.level(SectionId.of(2), PartId.of("keys"), 8, Level.HINT)
            .apply(FormEdits.split(SectionId.of(2), PartId.of("keys"), 8).apply(song));
    Section hook = split.form().sections().get(1);
    assertThat(hook.cell(PartId.of("keys"), 7).level()).isEqualTo(Level.FULL);
    assertThat(hook.cell(PartId.of("keys"), 8).level()).isEqualTo(Level.HINT);
    Section joined =
        FormEdits.join(SectionId.of(2), PartId.of("keys")).apply(split).form().sections().get(1);
    assertThat(joined.cell(PartId.of("keys"), 15).level()).isEqualTo(Level.FULL);
  }

  @Test
  void cellsBeyondTheEndComeBackWhenASectionGrowsAgain() {
    Section verse = Songs.draft("trap", 1).form().sections().get(2);
    Section shrunk = verse.withBars(4);
    assertThat(shrunk.cells(PartId.of("808"))).hasSize(1);
    assertThat(shrunk.withBars(16).cells(PartId.of("808")))
        .isEqualTo(verse.cells(PartId.of("808")));
  }

  @ParameterizedTest
  @CsvSource({"24, 23", "8, 7", "2, 1", "16, 15"})
  void aFillStaysInTheLastBarWhenASectionChangesLength(int bars, int fillBar) {
    Section hook = Songs.draft("trap", 1).form().sections().get(1);
    Section resized = hook.withBars(bars);
    assertThat(resized.cell(PartId.of("drums"), fillBar).pattern()).isEqualTo("fill");
    assertThat(resized.cell(PartId.of("drums"), fillBar - 1).pattern()).isEqualTo("A");
    assertThat(resized.withBars(16)).isEqualTo(hook);
  }

  @Test
  void labelsNumberSectionsOfOneName() {
    Form form = Songs.draft("trap", 1).form();
    List<String> labels = new ArrayList<>();
    for (int i = 0; i < form.sections().size(); i++) {
      labels.add(form.label(i));
    }
    assertThat(labels)
        .containsExactly(
            "intro", "hook", "verse", "pre-hook", "hook 2", "verse 2", "hook 3", "outro");
    assertThat(form.sectionAt(24)).isEqualTo(2);
    assertThat(form.sectionAt(9999)).isEqualTo(7);
  }

  @Test
  void aSongRefusesWhatCannotBePlayed() {
    Song song = Songs.draft("trap", 1);
    Section lost = song.form().sections().get(0).withId(SectionId.NEW).withProgression("bridge");
    assertThatThrownBy(() -> FormEdits.add(0, lost).apply(song))
        .hasMessageContaining("bridge")
        .hasMessageContaining("intro");
    assertThatThrownBy(() -> song.withParts(List.of(song.parts().get(0), song.parts().get(0))))
        .hasMessageContaining("same id");
  }
}
