package westtide.review.lines;

import java.util.ArrayList;
import java.util.List;
import westtide.review.finding.Check;
import westtide.review.finding.FindingId;
import westtide.rhythm.Position;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.score.event.ScoredNote;
import westtide.song.Role;
import westtide.song.edit.part.PartEdits;

/**
 * Two lines on one note together, or one now above and now below the other (common practice, no
 * published source).
 */
final class MeetingLines {
  private static final double TOGETHER = 0.25;
  private static final int LEAST_NOTES = 5;
  private static final int OCTAVE = 12;

  private final Score score;
  private final SoundingNotes sounding;

  MeetingLines(Score score, SoundingNotes sounding) {
    this.score = score;
    this.sounding = sounding;
  }

  void look(FoundOnce out) {
    List<ScoredPart> lines = score.parts(Role.LINE);
    for (int i = 0; i < lines.size(); i++) {
      for (int j = i + 1; j < lines.size(); j++) {
        if (!Sides.differ(lines.get(i), lines.get(j))) {
          tell(meeting(lines.get(i), lines.get(j)), out);
        }
      }
    }
  }

  /** How often two lines sound together, on one note, and with the first above. */
  private record Meeting(
      ScoredPart one, ScoredPart other, int together, int above, List<ScoredNote> unison) {
    String names() {
      return one.part().name() + " and " + other.part().name();
    }

    double shareAbove() {
      return above / (double) (together - unison.size() + 1);
    }
  }

  private Meeting meeting(ScoredPart one, ScoredPart other) {
    int together = 0;
    int above = 0;
    List<ScoredNote> unison = new ArrayList<>();
    for (ScoredNote note : one.notes()) {
      for (ScoredNote with : sounding.of(other, note)) {
        together++;
        above += note.key() > with.key() ? 1 : 0;
        if (note.key() == with.key()) {
          unison.add(note);
        }
      }
    }
    return new Meeting(one, other, together, above, unison);
  }

  private void tell(Meeting met, FoundOnce out) {
    if (met.together() < LEAST_NOTES) {
      return;
    }
    if (met.unison().size() > TOGETHER * met.together()) {
      Position at = score.song().barLines().position(met.unison().get(0).start());
      tell(
          met,
          Check.LINES_UNISON,
          met.names() + " on one note",
          "bar " + at.bar() + "." + at.beat() + ", " + met.unison().size() + " times",
          "Two lines on one note are one line that is louder; an octave apart they are two.",
          out);
    }
    if (met.shareAbove() > TOGETHER && met.shareAbove() < 1 - TOGETHER) {
      tell(
          met,
          Check.LINES_CROSSING,
          met.names() + " cross",
          Math.round(100 * met.shareAbove()) + " % above, the rest below",
          "Two lines in one register are hard to tell apart; each keeps to a register of its own.",
          out);
    }
  }

  private static void tell(
      Meeting met, Check check, String title, String where, String why, FoundOnce out) {
    var other = met.other().part();
    out.note(
        FindingId.of(check, met.one().part().id()).at(other.id()),
        title,
        where,
        why,
        other.name() + " an octave up",
        new PartEdits(other.id()).transpose(other.transposition().semitones() + OCTAVE));
  }
}
