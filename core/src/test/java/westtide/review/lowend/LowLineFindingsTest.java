package westtide.review.lowend;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import westtide.Ensembles;
import westtide.Songs;
import westtide.review.Soundings;
import westtide.review.finding.Finding;
import westtide.review.finding.Stage;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.line.Note;
import westtide.song.pattern.Pattern;

/** How low lines move (common practice). */
class LowLineFindingsTest {
  private static Part low(String id, Role role, Note... notes) {
    return Songs.part(id, role, new Pattern.Written(2, List.of(notes)));
  }

  private static List<Finding> findings(Song song) {
    return Soundings.of(Score.of(song), Songs.book().get("trap")).at(Stage.LOW_END).findings();
  }

  private static Finding find(Song song, String id) {
    return findings(song).stream()
        .filter(f -> f.id().code().startsWith(id))
        .findFirst()
        .orElseThrow();
  }

  /** Over C and then F: G under C, and an F just before the F. */
  private static Song song() {
    return Ensembles.song(
        "C",
        "C | F",
        2,
        low(
            "sub",
            Role.SUB,
            new Note(0, 960, 31, 100),
            new Note(3360, 240, 29, 100),
            new Note(3840, 960, 29, 100)));
  }

  @Test
  void aChordThatDoesNotBeginOnItsBassIsToldAndMended() {
    Finding finding = find(song(), "lowend.downbeat");
    assertThat(finding.title()).contains("begins C on G");
    Song fixed = finding.fix().orElseThrow().edit().apply(song());
    assertThat(Score.of(fixed).parts().get(0).notes().get(0).key() % 12).isZero();
    assertThat(findings(fixed)).noneMatch(f -> f.id().equals(finding.id()));
  }

  @Test
  void aPickUpOnTheNoteItLeadsToIsToldAndLeftOut() {
    Finding finding = find(song(), "lowend.pickup");
    Song fixed = finding.fix().orElseThrow().edit().apply(song());
    assertThat(Score.of(fixed).parts().get(0).notes()).hasSize(2);
    assertThat(findings(fixed)).noneMatch(f -> f.id().equals(finding.id()));
  }

  @Test
  void subAndBassOnOneNoteAreToldAndAnOctaveMends() {
    Song both =
        Ensembles.song(
            "C",
            "C | F",
            2,
            low("sub", Role.SUB, new Note(0, 1920, 36, 100), new Note(3840, 1920, 29, 100)),
            low("bass", Role.BASS, new Note(0, 960, 36, 90), new Note(3840, 960, 29, 90)));
    Finding finding = find(both, "lowend.unison");
    Song fixed = finding.fix().orElseThrow().edit().apply(both);
    assertThat(findings(fixed)).noneMatch(f -> f.id().equals(finding.id()));
  }

  @Test
  void leapsPastAFifthAreCountedButOctavesAreNot() {
    Song song =
        Ensembles.song(
            "C",
            "C",
            1,
            low(
                "sub",
                Role.SUB,
                new Note(0, 480, 28, 100),
                new Note(960, 480, 40, 100),
                new Note(1920, 480, 31, 100)));
    assertThat(LowLineFindings.leaps(Score.of(song).parts().get(0).notes())).isEqualTo(0.5);
  }
}
