package westtide.style;

import westtide.song.id.PartId;

/** The five parts every style drafts first, as its document and its songs know them. */
public final class CoreParts {
  /** The chord part. */
  public static final PartId KEYS = PartId.of("keys");

  /** The lead. */
  public static final PartId LEAD = PartId.of("lead");

  /** The drums. */
  public static final PartId DRUMS = PartId.of("drums");

  /** The 808. */
  public static final PartId SUB = PartId.of("808");

  /** The bass. */
  public static final PartId BASS = PartId.of("bass");

  private CoreParts() {}
}
