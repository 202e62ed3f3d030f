package westtide.sound.voice;

/** The way an instrument makes its sound: a strike in, a table of samples out. */
@FunctionalInterface
public interface Recipe {
  /**
   * Makes one strike. The result may be shorter than the strike's frames when the sound has ended
   * by itself, and the same strike gives the same samples on every machine.
   */
  float[] play(Strike strike);
}
