package westtide.sound.desk;

/** Tells where in the block a tick lies. */
@FunctionalInterface
public interface Frames {
  /** The sample of the block a tick falls on. */
  int of(int tick);
}
