package westtide.song;

import java.util.Arrays;
import java.util.Optional;

/** A drum or cymbal with its General MIDI percussion note. */
public enum DrumVoice {
  KICK("Kick", 36),
  SNARE("Snare", 38),
  CLAP("Clap", 39),
  CLOSED_HAT("Closed hat", 42),
  OPEN_HAT("Open hat", 46),
  PERCUSSION("Percussion", 63),
  RIM("Rim", 37),
  SHAKER("Shaker", 70),
  RIDE("Ride", 51),
  CRASH("Crash", 49),
  TOM("Tom", 47),
  WOOD_BLOCK("Wood block", 76),
  TAMBOURINE("Tambourine", 54),
  COWBELL("Cowbell", 56);

  private final String title;
  private final int note;

  DrumVoice(String title, int note) {
    this.title = title;
    this.note = note;
  }

  /** The voice with a General MIDI percussion note, if there is one. */
  public static Optional<DrumVoice> ofNote(int note) {
    return Arrays.stream(values()).filter(voice -> voice.note == note).findFirst();
  }

  /** The General MIDI percussion note, 35 to 81. */
  public int note() {
    return note;
  }

  @Override
  public String toString() {
    return title;
  }
}
