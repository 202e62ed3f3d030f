package westtide.song.drum;

import java.util.Locale;
import java.util.Optional;

/**
 * A lane of a drum part, the same in all its grooves: a drum, and which of several when a groove
 * stacks two kicks or three claps.
 *
 * @param voice the drum
 * @param number 1 for the first of its kind, up to 9
 */
public record LaneId(DrumVoice voice, int number) {
  /** Most lanes of one drum. */
  public static final int MOST = 9;

  /** How many lanes there can be. */
  public static final int COUNT = DrumVoice.values().length * MOST;

  /** Checks the number. */
  public LaneId {
    if (number < 1 || number > MOST) {
      throw new IllegalArgumentException("a groove has 1 to 9 lanes a drum, but was " + number);
    }
  }

  /** The first lane of a drum. */
  public static LaneId of(DrumVoice voice) {
    return new LaneId(voice, 1);
  }

  /**
   * Reads what {@link #code} writes, such as {@code "CLAP"} or {@code "CLAP 2"}.
   *
   * @throws IllegalArgumentException when it names no drum
   */
  public static LaneId parse(String code) {
    String[] words = code.strip().split(" ");
    try {
      return new LaneId(
          DrumVoice.valueOf(words[0]), words.length == 1 ? 1 : Integer.parseInt(words[1]));
    } catch (IllegalArgumentException e) {
      throw new IllegalArgumentException("no drum lane is called \"" + code + "\"", e);
    }
  }

  /** The lane with a General MIDI percussion note, if there is one. */
  public static Optional<LaneId> ofNote(int note) {
    return DrumVoice.ofNote(note).map(voice -> new LaneId(voice, voice.number(note)));
  }

  /** Its place among all lanes there can be, from 0 and below {@link #COUNT}. */
  public int index() {
    return voice.ordinal() * MOST + number - 1;
  }

  /** The lane in files. */
  public String code() {
    return number == 1 ? voice.name() : voice.name() + " " + number;
  }

  /** The lane in ids of marks: lower case, without spaces. */
  public String slug() {
    return code().toLowerCase(Locale.ROOT).replace(' ', '-');
  }

  /** The lane as people say it, such as {@code "Clap 2"}. */
  @Override
  public String toString() {
    return number == 1 ? voice.toString() : voice + " " + number;
  }
}
