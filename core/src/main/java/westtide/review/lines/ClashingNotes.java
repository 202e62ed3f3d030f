package westtide.review.lines;

import westtide.review.finding.Check;
import westtide.rhythm.Ticks;
import westtide.score.ScoredPart;
import westtide.score.event.ScoredNote;
import westtide.song.line.Note;

/**
 * A note that stands a semitone or a minor ninth over a chord's note for an eighth or more (common
 * practice, no published source).
 */
final class ClashingNotes implements LineCheck {
  private static final int LONG = 2 * Ticks.PER_STEP;
  private static final int MINOR_NINTH = 13;

  private final SoundingNotes sounding;

  ClashingNotes(SoundingNotes sounding) {
    this.sounding = sounding;
  }

  @Override
  public void look(HeardLine line, FoundOnce out) {
    for (ScoredNote note : line.passage().notes()) {
      if (note.ticks() < LONG || onChord(line, note)) {
        continue;
      }
      for (ScoredPart bed : line.beds()) {
        sounding.of(bed, note).stream()
            .filter(other -> rubs(note, other))
            .findFirst()
            .ifPresent(
                other ->
                    line.passage()
                        .source(note)
                        .ifPresent(written -> tell(line, written, note, bed, other, out)));
      }
    }
  }

  private static boolean onChord(HeardLine line, ScoredNote note) {
    return line.passage().chord(note.written()).chord().contains(note.key() % 12);
  }

  private static boolean rubs(ScoredNote note, ScoredNote other) {
    int apart = note.key() - other.key();
    int together = Math.min(note.end(), other.end()) - Math.max(note.start(), other.start());
    return (apart == 1 || apart == MINOR_NINTH) && together >= LONG;
  }

  private static void tell(
      HeardLine line,
      Note written,
      ScoredNote note,
      ScoredPart bed,
      ScoredNote other,
      FoundOnce out) {
    String interval = note.key() - other.key() == 1 ? "a semitone" : "a minor ninth";
    out.note(
        line.id(Check.LINES_CLASH, written),
        line.key().pitch(note.key())
            + " stands "
            + interval
            + " over "
            + line.key().pitch(other.key()),
        line.name() + " against " + bed.part().name() + ", " + line.at(note),
        "Held for an eighth or longer it grates; a semitone lower it is the chord's own note.",
        "move it to " + line.key().pitch(note.key() - 1),
        line.put("Move a note", written, n -> n.withKey(n.key() - 1)));
  }
}
