package westtide.song.form;

/** What a section does in the form. Hook, chorus and drop are one kind with three names. */
public enum SectionKind {
  INTRO,
  HOOK,
  VERSE,
  PRE_HOOK,
  BRIDGE,
  GROOVE,
  GAP,
  OUTRO
}
