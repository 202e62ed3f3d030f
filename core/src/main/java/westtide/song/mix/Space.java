package westtide.song.mix;

/**
 * Where a part's sends go and how its repeats come back.
 *
 * @param room the room it is sent to
 * @param feedback how loud each repeat is against the one before, 0 to 90 %
 * @param pingPong whether repeats go from left to right and back, else they stay where they are
 * @param repeatsFrom Hz below which each repeat loses, 20 to 2000
 * @param repeatsTo Hz above which each repeat loses, 500 to 20 000
 */
public record Space(
    ReverbKind room, int feedback, boolean pingPong, int repeatsFrom, int repeatsTo) {
  /** A plate, and repeats from side to side, each duller and thinner than the one before. */
  public static final Space USUAL = new Space(ReverbKind.PLATE, 42, true, 220, 4200);

  /** Checks the ranges. */
  public Space {
    Range.check("feedback", feedback, 0, 90, "%");
    Range.check("a low cut of repeats", repeatsFrom, 20, 2000, "Hz");
    Range.check("a low-pass of repeats", repeatsTo, 500, Mix.OPEN, "Hz");
  }

  /** The same in another room. */
  public Space withRoom(ReverbKind other) {
    return new Space(other, feedback, pingPong, repeatsFrom, repeatsTo);
  }

  /** The same with repeats that last longer or shorter. */
  public Space withFeedback(int percent) {
    return new Space(room, percent, pingPong, repeatsFrom, repeatsTo);
  }

  /** The same with repeats that change sides, or stay. */
  public Space withPingPong(boolean sides) {
    return new Space(room, feedback, sides, repeatsFrom, repeatsTo);
  }

  /** The same with repeats that keep to a band. */
  public Space withRepeats(int fromHertz, int toHertz) {
    return new Space(room, feedback, pingPong, fromHertz, toHertz);
  }
}
