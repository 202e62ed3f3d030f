package westtide.song.mix;

import java.util.function.Consumer;

/**
 * What is done to a part or a drum lane on its way, in this order.
 *
 * @param equaliser three bands
 * @param attack how much harder, or softer, each start is, −100 to 100
 * @param sustain how much longer, or shorter, what follows it rings, −100 to 100
 * @param tape colour of a tape machine: rounder, duller, a little unsteady, 0 to 100 %
 * @param grain colour of few bits and a low sample rate, 0 to 100 %
 * @param phaser notches that move slowly through the sound, 0 to 100 %
 * @param chorus copies a little beside in pitch and time, left and right, 0 to 100 %
 * @param tremolo level that moves at a note value
 */
public record Effects(
    Equaliser equaliser,
    int attack,
    int sustain,
    int tape,
    int grain,
    int phaser,
    int chorus,
    Tremolo tremolo) {
  /** Nothing is done. */
  public static final Effects NONE = new Effects(Equaliser.FLAT, 0, 0, 0, 0, 0, 0, Tremolo.STILL);

  /** Checks the ranges. */
  public Effects {
    Range.check("a transient's attack", attack, -100, 100, "(softer to harder)");
    Range.check("a transient's sustain", sustain, -100, 100, "(shorter to longer)");
    Range.check("tape colour", tape, 0, 100, "%");
    Range.check("grain", grain, 0, 100, "%");
    Range.check("a phaser", phaser, 0, 100, "%");
    Range.check("a chorus", chorus, 0, 100, "%");
  }

  /** The same with another equaliser. */
  public Effects withEqualiser(Equaliser other) {
    return with(copy -> copy.equaliser = other);
  }

  /** The same with starts harder or softer. */
  public Effects withAttack(int amount) {
    return with(copy -> copy.attack = amount);
  }

  /** The same ringing longer or shorter. */
  public Effects withSustain(int amount) {
    return with(copy -> copy.sustain = amount);
  }

  /** The same with more or less of the tape. */
  public Effects withTape(int percent) {
    return with(copy -> copy.tape = percent);
  }

  /** The same with coarser or finer grain. */
  public Effects withGrain(int percent) {
    return with(copy -> copy.grain = percent);
  }

  /** The same with more or less of the phaser. */
  public Effects withPhaser(int percent) {
    return with(copy -> copy.phaser = percent);
  }

  /** The same with more or less of the chorus. */
  public Effects withChorus(int percent) {
    return with(copy -> copy.chorus = percent);
  }

  /** The same with another tremolo. */
  public Effects withTremolo(Tremolo other) {
    return with(copy -> copy.tremolo = other);
  }

  private Effects with(Consumer<Copy> change) {
    Copy copy = new Copy(this);
    change.accept(copy);
    return copy.made();
  }

  /** Its values by their names, so that one of them can be another. */
  private static final class Copy {
    private Equaliser equaliser;
    private int attack;
    private int sustain;
    private int tape;
    private int grain;
    private int phaser;
    private int chorus;
    private Tremolo tremolo;

    Copy(Effects from) {
      equaliser = from.equaliser;
      attack = from.attack;
      sustain = from.sustain;
      tape = from.tape;
      grain = from.grain;
      phaser = from.phaser;
      chorus = from.chorus;
      tremolo = from.tremolo;
    }

    Effects made() {
      return new Effects(equaliser, attack, sustain, tape, grain, phaser, chorus, tremolo);
    }
  }
}
