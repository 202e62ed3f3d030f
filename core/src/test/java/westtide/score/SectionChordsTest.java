package westtide.score;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.Songs;
import westtide.compose.form.FormDraft;
import westtide.score.event.ScoredNote;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.Edit;
import westtide.song.edit.form.SectionEdits;
import westtide.song.form.ChordOption;
import westtide.song.form.Form;
import westtide.song.form.FormLine;
import westtide.song.id.PartId;
import westtide.theory.NoteName;

/** How the chords of a row run through sections. */
class SectionChordsTest {
  private static final int BAR = 3840;
  private static final PartId KEYS = PartId.of("keys");

  private static Song laid(String form) {
    Song song =
        westtide.compose.SongDraft.in(Songs.book().get("trap"))
            .withSeed(1)
            .withChords("Am | F | C | G")
            .song();
    Form out =
        FormDraft.in(Songs.book().get("trap"), song).form(FormLine.parse(form).orElseThrow());
    return song.withForm(out);
  }

  private static List<String> roots(Song song) {
    ScoredPart keys = Score.of(song).part(KEYS).orElseThrow();
    return IntStream.range(0, song.form().bars())
        .mapToObj(bar -> keys.passage(bar * BAR).orElseThrow().chord(bar * BAR))
        .map(chord -> chord.chord().root().toString())
        .toList();
  }

  /** Four chords over sections of two bars: heard whole where the second goes on. */
  @Test
  void aRowGoesOnInTheNextSection() {
    Song song = laid("hook 2, hook 2, hook 2");
    assertThat(roots(song)).containsExactly("A", "F", "A", "F", "A", "F");
    Edit second = new SectionEdits(song.form().id(1), SectionEdits.Scope.THIS).chordsGoOn(true);
    Edit third = new SectionEdits(song.form().id(2), SectionEdits.Scope.THIS).chordsGoOn(true);
    Song whole = second.apply(song);
    assertThat(roots(whole)).containsExactly("A", "F", "C", "G", "A", "F");
    assertThat(roots(third.apply(whole))).containsExactly("A", "F", "C", "G", "A", "F");
    assertThat(Score.of(song).after(whole).parts()).isEqualTo(Score.of(whole).parts());
    assertThat(roots(laid("hook 3, hook 3"))).containsExactly("A", "F", "C", "A", "F", "C");
  }

  @ParameterizedTest
  @ValueSource(strings = {"A", "E", "C"})
  void aStrictPedalIsAllThatLowPartsPlay(String note) {
    Song song = laid("hook 8");
    Song moving = pedal(song, note, false);
    Song strict = pedal(song, note, true);
    int wanted = NoteName.parse(note).pitchClass();
    assertThat(low(strict)).isNotEmpty().allMatch(key -> key % 12 == wanted);
    assertThat(low(moving)).hasSameSizeAs(low(strict));
    assertThat(Score.of(strict).part(KEYS).orElseThrow().notes())
        .as("chords go on over it")
        .isEqualTo(Score.of(moving).part(KEYS).orElseThrow().notes());
    assertThat(Score.of(moving).after(strict).parts()).isEqualTo(Score.of(strict).parts());
  }

  @Test
  void howChordsRunIsKeptInTheFile() throws Exception {
    Song song = pedal(laid("hook 2, hook 2"), "A", true);
    Song both =
        new SectionEdits(song.form().id(1), SectionEdits.Scope.THIS).chordsGoOn(true).apply(song);
    assertThat(Songs.filed(both)).isEqualTo(both);
    assertThat(both.form().sections().get(1).options())
        .containsExactlyInAnyOrder(ChordOption.GOES_ON, ChordOption.STRICT_PEDAL);
  }

  private static Song pedal(Song song, String note, boolean strict) {
    return song.withForm(
        song.form()
            .each(
                s ->
                    s.withPedal(Optional.of(NoteName.parse(note)))
                        .with(ChordOption.STRICT_PEDAL, strict)));
  }

  private static List<Integer> low(Song song) {
    return Score.of(song).parts().stream()
        .filter(part -> part.part().role() == Role.SUB || part.part().role() == Role.BASS)
        .flatMap(part -> part.notes().stream())
        .filter(note -> !note.source().transition())
        .map(ScoredNote::key)
        .toList();
  }
}
