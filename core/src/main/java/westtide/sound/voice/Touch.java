package westtide.sound.voice;

/** How an instrument answers to the length of a note. */
public enum Touch {
  /** It rings out by itself, whatever the length: drums. */
  STRUCK,
  /** It sounds until the note ends: keys, strings, basses. */
  HELD,
  /**
   * One note at a time; where notes touch and a glide is set, the pitch slides without a new start.
   */
  GLIDING,
  /** Its course is stretched over the note: risers, sweeps, reversed cymbals. */
  STRETCHED
}
