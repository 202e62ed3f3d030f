package westtide.song.drum;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Drums and the notes other programs know them by. */
class DrumVoiceTest {
  /**
   * General MIDI 1 percussion map (from memory); the stick of 31 is General MIDI 2 (from memory).
   */
  @ParameterizedTest
  @CsvSource({
    "36, KICK",
    "35, KICK",
    "37, RIM",
    "38, SNARE",
    "40, SNARE",
    "39, CLAP",
    "42, CLOSED_HAT",
    "44, CLOSED_HAT",
    "46, OPEN_HAT",
    "49, CRASH",
    "57, CRASH",
    "51, RIDE",
    "59, RIDE",
    "54, TAMBOURINE",
    "56, COWBELL",
    "62, PERCUSSION",
    "63, PERCUSSION",
    "64, PERCUSSION",
    "70, SHAKER",
    "75, WOOD_BLOCK",
    "76, WOOD_BLOCK",
    "77, WOOD_BLOCK",
    "41, TOM",
    "43, TOM",
    "45, TOM",
    "47, TOM",
    "48, TOM",
    "50, TOM",
    "31, STICK"
  })
  void generalMidiNotesAreTheirDrums(int note, DrumVoice voice) {
    assertThat(DrumVoice.ofNote(note)).contains(voice);
    assertThat(LaneId.ofNote(note).orElseThrow().voice()).isEqualTo(voice);
  }

  /** Stacked lanes are told apart in a file as long as the map has notes for the drum. */
  @Test
  void everyNoteLeadsToOneLane() {
    for (int note = 0; note < 128; note++) {
      int key = note;
      LaneId.ofNote(note)
          .ifPresent(lane -> assertThat(lane.voice().note(lane.number())).isEqualTo(key));
    }
    assertThat(DrumVoice.ofNote(60)).contains(DrumVoice.PERCUSSION);
    assertThat(DrumVoice.ofNote(34)).isEmpty();
    assertThat(Arrays.stream(DrumVoice.values()).map(DrumVoice::note).distinct())
        .hasSize(DrumVoice.values().length);
  }
}
