package westtide.song.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.Ensembles;
import westtide.Songs;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.score.event.ScoredNote;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.part.ChordPartEdits;
import westtide.song.edit.part.PartEdits;
import westtide.song.id.PartId;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.Transposition;
import westtide.theory.Key;

class TransposingTest {
  private static List<String> apart(Song song, int semitones) {
    return Score.of(song).parts().stream()
        .flatMap(part -> part.notes().stream().map(note -> notices(part, note, semitones)))
        .toList();
  }

  private static String notices(ScoredPart part, ScoredNote note, int semitones) {
    boolean stays = part.part().role() == Role.DRUMS || part.part().role() == Role.MARKS;
    int key = stays ? note.key() : note.key() + semitones;
    return part.part().name()
        + " "
        + note.start()
        + "+"
        + note.ticks()
        + " "
        + key
        + " "
        + note.velocity();
  }

  /** Every pitched note of every style goes by the same distance; lengths and velocities stay. */
  @ParameterizedTest
  @ValueSource(ints = {-7, -3, 1, 4, 6})
  void aTransposedSongIsTheSameSongElsewhere(int semitones) {
    for (String style : List.of("trap", "house", "lo-fi", "amapiano")) {
      Song song = Songs.draft(style, 4);
      Song moved = BriefEdits.transpose(semitones).apply(song);
      assertThat(apart(moved, 0)).as(style).isEqualTo(apart(song, semitones));
      assertThat(moved.brief().key().scale()).isEqualTo(song.brief().key().scale());
    }
  }

  /** Going nearest many times ends where going there at once ends. */
  @ParameterizedTest
  @CsvSource({
    "D minor, F# minor, C minor",
    "A minor, D# minor, A minor",
    "C minor, E minor, G# minor",
    "E minor, G minor, Bb minor"
  })
  void nearestNeverDrifts(String from, String over, String to) {
    Song song = BriefEdits.key(Key.parse(from)).apply(Songs.draft("trap", 4));
    Song detour =
        Ensembles.after(song, BriefEdits.key(Key.parse(over)), BriefEdits.key(Key.parse(to)));
    Song direct = BriefEdits.key(Key.parse(to)).apply(song);
    assertThat(apart(detour, 0)).isEqualTo(apart(direct, 0));
  }

  @Test
  void goingRoundTheKeysComesHome() {
    Song song = Songs.draft("house", 2);
    Song round = song;
    for (int i = 1; i <= 12; i++) {
      int pitchClass = (song.brief().key().tonic().pitchClass() + 5 * i) % 12;
      Key next =
          new Key(westtide.theory.Pitch.of(60 + pitchClass).name(), song.brief().key().scale());
      round = BriefEdits.key(next).apply(round);
    }
    assertThat(apart(round, 0)).isEqualTo(apart(song, 0));
  }

  /** The chord of the fourth degree is the same in A minor and A major's relative F sharp minor. */
  @Test
  void aChangeOfModeRevoicesOnlyWhatMustChange() {
    Song song = Ensembles.song("A minor", "Am9 | Fmaj7 | Dm7 | G", 4, Ensembles.chords("keys"));
    Song dorian = BriefEdits.key(Key.parse("A dorian")).apply(song);
    List<String> before = voicings(song);
    List<String> after = voicings(dorian);
    assertThat(dorian.progression("hook").chords())
        .extracting(Object::toString)
        .containsExactly("Am9", "F♯m7♭5", "D7", "G");
    assertThat(after.get(0)).isEqualTo(before.get(0));
    assertThat(after.get(3)).isEqualTo(before.get(3));
    assertThat(difference(before.get(1), after.get(1))).as("F goes to F♯").isEqualTo(1);
    assertThat(difference(before.get(2), after.get(2))).as("F goes to F♯").isEqualTo(1);
  }

  private static List<String> voicings(Song song) {
    ScoredPart keys = Score.of(song).parts().get(0);
    return java.util.stream.IntStream.range(0, 4)
        .mapToObj(bar -> keys.between(bar * 3840, bar * 3840 + 1))
        .map(notes -> notes.stream().map(n -> String.valueOf(n.key())).toList().toString())
        .toList();
  }

  private static int difference(String one, String other) {
    String[] a = one.split("\\D+");
    String[] b = other.split("\\D+");
    int out = 0;
    for (int i = 1; i < a.length; i++) {
      out += Math.abs(Integer.parseInt(a[i]) - Integer.parseInt(b[i]));
    }
    return out;
  }

  @Test
  void aPartIsTransposedAndKeepsItsVelocities() {
    Song song = Songs.draft("trap", 1);
    PartId keys = PartId.of("keys");
    Song up = new PartEdits(keys).transpose(7).apply(song);
    List<ScoredNote> before = Score.of(song).part(keys).orElseThrow().notes();
    List<ScoredNote> after = Score.of(up).part(keys).orElseThrow().notes();
    for (int i = 0; i < before.size(); i++) {
      assertThat(after.get(i).key()).isEqualTo(before.get(i).key() + 7);
      assertThat(after.get(i).velocity()).isEqualTo(before.get(i).velocity());
    }
    assertThat(
            new PartEdits(keys).transpose(99).apply(song).part(keys).orElseThrow().transposition())
        .isEqualTo(new Transposition(36, 0));
    assertThatThrownBy(() -> new Transposition(37, 0)).hasMessageContaining("-36 to 36");
    assertThatThrownBy(() -> new Transposition(0, 101)).hasMessageContaining("-100 to 100");
  }

  /** Common practice: 0, 127 and beyond are no place for a note; it stays an octave nearer. */
  @ParameterizedTest
  @CsvSource({"120, 36, 120", "3, -36, 3", "127, 1, 116", "0, -1, 11", "60, 12, 72"})
  void aTransposedNoteStaysAMidiNote(int written, int semitones, int sounds) {
    assertThat(new Transposition(semitones, 0).key(written)).isEqualTo(sounds);
  }

  @Test
  void voicingsKeptForAModeAreLetGoWithAnotherVoicingType() {
    Song song = Ensembles.song("A minor", "Am9 | Fmaj7 | Dm7 | G", 4, Ensembles.chords("keys"));
    Song dorian = BriefEdits.key(Key.parse("A dorian")).apply(song);
    assertThat(dorian.rules(FollowRule.Chords.class).get(0).own().kept()).hasSize(4);
    Song open =
        new ChordPartEdits(PartId.of("keys"))
            .spread(westtide.theory.voicing.VoicingKind.OPEN)
            .apply(dorian);
    assertThat(open.rules(FollowRule.Chords.class).get(0).own().kept()).isEmpty();
  }
}
