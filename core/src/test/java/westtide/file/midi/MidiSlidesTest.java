package westtide.file.midi;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import westtide.Ensembles;
import westtide.Songs;
import westtide.score.Score;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.line.Note;
import westtide.song.pattern.Pattern;

/**
 * Slides in MIDI as {@code javax.sound.midi} reads them. Bend values and registered parameter 0 are
 * those of MIDI 1.0 (from memory): 14 bits around 8192; 24 semitones each way, so an octave up is
 * 8192 + 4096.
 */
class MidiSlidesTest {
  @TempDir Path folder;

  /** A note of a beat, a slide of half a beat to the octave above, and a note by itself. */
  private static Song song() {
    return Ensembles.song(
        "C",
        "C",
        1,
        Songs.part(
            "low",
            Role.SUB,
            new Pattern.Written(
                1,
                List.of(
                    new Note(0, 960, 36, 100),
                    new Note(960, 960, 48, 90, 480),
                    new Note(2880, 480, 36, 80)))));
  }

  private List<String> events(Slides slides) throws Exception {
    Path file = folder.resolve(slides.name() + ".mid");
    MidiFile.write(Score.of(song()), MidiOptions.USUAL.withSlides(slides), file);
    List<String> out = new ArrayList<>();
    for (Track track : MidiSystem.getSequence(file.toFile()).getTracks()) {
      for (int i = 0; i < track.size(); i++) {
        MidiEvent event = track.get(i);
        if (event.getMessage() instanceof ShortMessage message) {
          out.add(words(event.getTick(), message));
        }
      }
    }
    return out;
  }

  private static String words(long tick, ShortMessage message) {
    return switch (message.getCommand()) {
      case ShortMessage.NOTE_ON -> tick + " on " + message.getData1();
      case ShortMessage.NOTE_OFF -> tick + " off " + message.getData1();
      case ShortMessage.PITCH_BEND ->
          tick + " bend " + (message.getData1() + 128 * message.getData2());
      default -> tick + " control " + message.getData1() + " " + message.getData2();
    };
  }

  @Test
  void asOverlapTheNoteBeforeIsHeldIntoTheOneItSlidesTo() throws Exception {
    List<String> events = events(Slides.OVERLAP);
    assertThat(events)
        .containsSubsequence(
            "0 on 36", "960 on 48", "1440 off 36", "1920 off 48", "2880 on 36", "3360 off 36");
    assertThat(events).noneMatch(event -> event.contains("bend"));
  }

  @Test
  void asBendOneNoteIsBentToTheOctaveAndBackBeforeTheNext() throws Exception {
    List<String> events = events(Slides.BEND);
    assertThat(events)
        .containsSubsequence(
            "0 control 101 0", "0 control 100 0", "0 control 6 24", "0 control 38 0", "0 on 36");
    assertThat(events)
        .containsSubsequence(
            "960 bend 8192",
            "1200 bend 10240",
            "1440 bend 12288",
            "1920 off 36",
            "1920 bend 8192",
            "2880 on 36");
    assertThat(events).noneMatch(event -> event.endsWith("on 48"));
  }

  /** A rest before a slide is filled by the note it slides from. */
  @Test
  void theNoteBeforeASlideLastsUntilIt() {
    Song gap =
        Ensembles.song(
            "C",
            "C",
            1,
            Songs.part(
                "low",
                Role.BASS,
                new Pattern.Written(
                    1, List.of(new Note(0, 480, 36, 100), new Note(960, 480, 43, 100, 240)))));
    assertThat(Score.of(gap).parts().get(0).notes().get(0).end()).isEqualTo(960);
    assertThat(Score.of(gap).parts().get(0).notes().get(1).slide()).isEqualTo(240);
  }
}
