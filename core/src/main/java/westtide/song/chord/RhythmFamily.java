package westtide.song.chord;

import java.util.Arrays;
import java.util.Optional;
import westtide.rhythm.Figure;

/** The families of chord rhythm producers name (common practice). */
public enum RhythmFamily {
  HELD("held", "Each chord lies still until the next.", "", 0),
  SHORT_SHORT_LONG(
      "two short, one long", "Two strikes and a long one in each bar.", "x---x---x-------", 0),
  STRETCHED(
      "two short, one long over four bars",
      "The same figure, four times as slow.",
      "x---------------x---------------x-------------------------------",
      0),
  PUSHED(
      "pushed an eighth",
      "Every change comes an eighth early and is held over the bar line.",
      "",
      480),
  PUSHED_SIXTEENTH("pushed a sixteenth", "Every change comes a sixteenth early.", "", 240),
  THREE_THREE_TWO(
      "three, three, two",
      "Eight eighths shared as 3 + 3 + 2, twice a bar by halves.",
      "x--x--x-x--x--x-",
      0),
  QUICK_SWITCH(
      "quick switch",
      "The next chord for a moment before beat 4, and back.",
      "x---------->x---",
      0),
  OFF_BEATS("off-beat stabs", "Short strikes between the beats.", "..x-..x-..x-..x-", 0),
  PLUCKED("plucked quarters", "One short strike a beat.", "x-..x-..x-..x-..", 0),
  LAST_HELD(
      "last one held",
      "Strikes for six bars; the seventh lies over the eighth.",
      "x---x---x-------".repeat(6) + "x" + "-".repeat(31),
      0);

  private final String title;
  private final String words;
  private final ChordRhythm rhythm;

  RhythmFamily(String title, String words, String figure, int push) {
    this.title = title;
    this.words = words;
    this.rhythm =
        new ChordRhythm(
            figure.isEmpty() ? Optional.empty() : Optional.of(new Figure(figure)), push);
  }

  /** The family a rhythm belongs to, if it is one of these. */
  public static Optional<RhythmFamily> of(ChordRhythm rhythm) {
    return Arrays.stream(values()).filter(family -> family.rhythm.equals(rhythm)).findFirst();
  }

  /** The rhythm itself. */
  public ChordRhythm rhythm() {
    return rhythm;
  }

  /** What it does, one sentence. */
  public String words() {
    return words;
  }

  @Override
  public String toString() {
    return title;
  }
}
