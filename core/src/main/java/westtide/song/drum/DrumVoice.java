package westtide.song.drum;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** A drum or cymbal with its General MIDI percussion notes. */
public enum DrumVoice {
  KICK("Kick", 36, 35),
  SNARE("Snare", 38, 40),
  CLAP("Clap", 39),
  CLOSED_HAT("Closed hat", 42, 44),
  OPEN_HAT("Open hat", 46),
  PERCUSSION("Percussion", 63, 64, 62, 60, 61, 65, 66, 67, 68),
  RIM("Rim", 37),
  SHAKER("Shaker", 70, 69, 82),
  RIDE("Ride", 51, 59, 53),
  CRASH("Crash", 49, 57, 52, 55),
  TOM("Tom", 47, 45, 43, 41, 48, 50),
  WOOD_BLOCK("Wood block", 76, 77, 75),
  TAMBOURINE("Tambourine", 54),
  COWBELL("Cowbell", 56),
  STICK("Stick", 31);

  private static final int HATS = 1;

  private final String title;
  private final int[] notes;

  /** The first note is that of a single lane, the others those of more lanes of the same drum. */
  DrumVoice(String title, int... notes) {
    this.title = title;
    this.notes = notes;
  }

  /** The voice with a General MIDI percussion note, if there is one. */
  public static Optional<DrumVoice> ofNote(int note) {
    return Arrays.stream(values())
        .filter(voice -> Arrays.stream(voice.notes).anyMatch(own -> own == note))
        .findFirst();
  }

  /** The General MIDI percussion note, 31 to 82. */
  public int note() {
    return notes[0];
  }

  /** The notes of the percussion map that are this drum, the usual one first. */
  public List<Integer> notes() {
    return Arrays.stream(notes).boxed().toList();
  }

  /** The note of the so manieth lane of this drum, from 1; the first where there are too few. */
  public int note(int number) {
    return number <= notes.length ? notes[number - 1] : notes[0];
  }

  /** Which lane of this drum a note is for, from 1; 1 for any other note. */
  public int number(int midi) {
    for (int i = 0; i < notes.length; i++) {
      if (notes[i] == midi) {
        return i + 1;
      }
    }
    return 1;
  }

  /** The choke group it usually is in: hats cut one another; 0 for none. */
  public int choke() {
    return this == CLOSED_HAT || this == OPEN_HAT ? HATS : 0;
  }

  /** Whether it carries the beat, as kick, snare and clap do. */
  public boolean backbone() {
    return this == KICK || this == SNARE || this == CLAP;
  }

  /** Whether it rings on, so that it is what plays where it starts with one it chokes. */
  public boolean rings() {
    return this == OPEN_HAT || this == RIDE || this == CRASH;
  }

  /** The first lane of this drum. */
  public LaneId lane() {
    return LaneId.of(this);
  }

  @Override
  public String toString() {
    return title;
  }
}
