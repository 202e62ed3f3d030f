package westtide.review.lines;

import java.util.List;
import java.util.Optional;
import westtide.review.finding.Check;
import westtide.review.finding.FindingId;
import westtide.score.ScoredPart;
import westtide.score.event.ScoredNote;
import westtide.song.Part;
import westtide.song.PlayedBars;
import westtide.song.Role;
import westtide.song.edit.part.PartEdits;
import westtide.song.pattern.FollowRule;

/**
 * Most of a passage of the lead lies at or under the highest note of the chords that sound (common
 * practice, no published source).
 */
final class LostLine implements LineCheck {
  private static final double SHARE = 0.5;
  private static final int LEAST_NOTES = 5;
  private static final int OCTAVE = 12;

  /** Tenths of a dB under a line at which chords no longer hide it. */
  private static final int HALO = 40;

  private final SoundingNotes sounding;

  LostLine(SoundingNotes sounding) {
    this.sounding = sounding;
  }

  @Override
  public void look(HeardLine line, FoundOnce out) {
    FindingId id = FindingId.of(Check.LINES_LOST, line.part().part().id());
    if (!out.isNew(id) || !leads(line)) {
      return;
    }
    List<ScoredPart> beds = hiding(line);
    List<ScoredNote> notes = line.passage().notes();
    int under = 0;
    int deepest = 0;
    Optional<ScoredPart> above = Optional.empty();
    for (ScoredNote note : notes) {
      Optional<ScoredPart> hides =
          beds.stream().filter(b -> top(b, note) >= note.key()).findFirst();
      if (hides.isPresent()) {
        under++;
        deepest = Math.max(deepest, top(hides.get(), note) - note.key());
        above = hides;
      }
    }
    if (above.isEmpty() || notes.size() < LEAST_NOTES || under < SHARE * notes.size()) {
      return;
    }
    int octaves = Math.min(3, deepest / OCTAVE + 1);
    Part part = line.part().part();
    out.note(
        id,
        part.name() + " lies under the top of " + above.get().part().name(),
        line.at(notes.get(0)) + ", " + Math.round(100.0 * under / notes.size()) + " % of its notes",
        "The highest note is heard as the tune; a lead under the top of the chords is lost.",
        octaves == 1 ? "an octave up" : octaves + " octaves up",
        new PartEdits(part.id()).transpose(part.transposition().semitones() + OCTAVE * octaves));
  }

  private int top(ScoredPart bed, ScoredNote note) {
    return sounding.of(bed, note).stream().mapToInt(ScoredNote::key).max().orElse(-1);
  }

  /** The main part, where it is a line; else the line that is heard longest. */
  private static boolean leads(HeardLine line) {
    return line.score()
        .song()
        .main()
        .filter(
            id -> line.score().parts(Role.LINE).stream().anyMatch(l -> l.part().id().equals(id)))
        .or(() -> new PlayedBars(line.score().song()).part(Role.LINE).map(Part::id))
        .filter(line.part().part().id()::equals)
        .isPresent();
  }

  /**
   * Chord parts that can hide a line: what lies well under it, doubles another part or stands on
   * another side is a halo, not a tune.
   */
  private static List<ScoredPart> hiding(HeardLine line) {
    return line.beds().stream()
        .filter(bed -> level(bed) > level(line.part()) - HALO && !Sides.differ(line.part(), bed))
        .filter(bed -> bed.part().rules(FollowRule.Doubling.class).isEmpty())
        .toList();
  }

  private static int level(ScoredPart part) {
    return part.part().mix().level();
  }
}
