package westtide.review.heard;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.review.finding.Check;
import westtide.review.finding.Finding;
import westtide.review.finding.FindingId;
import westtide.review.finding.Fix;
import westtide.review.finding.Severity;
import westtide.review.finding.StageSoundings;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.edit.MixEdits;

/** The mix as it is set: lows in the middle, lines cut below (common practice). */
public final class LevelSoundings {
  private static final int LEAST_CUT = 100;
  private static final int USUAL_CUT = 150;

  private final Score score;

  /** Of a score. */
  public LevelSoundings(Score score) {
    this.score = score;
  }

  /** What is measured and found. */
  public StageSoundings take() {
    List<Finding> findings = new ArrayList<>();
    boolean sub = score.parts(Role.SUB).stream().anyMatch(ScoredPart::plays);
    for (ScoredPart scored : score.parts()) {
      Part part = scored.part();
      boolean low = part.role() == Role.SUB || part.role() == Role.BASS;
      if (low && part.mix().pan() != 0) {
        findings.add(aside(part));
      }
      boolean line = part.role() == Role.CHORDS || part.role() == Role.LINE;
      if (sub && line && part.mix().lowCut() < LEAST_CUT) {
        findings.add(uncut(part));
      }
    }
    return new StageSoundings(List.of(), findings);
  }

  private static Finding aside(Part part) {
    int pan = part.mix().pan();
    return new Finding(
        FindingId.of(Check.LEVELS_MIDDLE, part.id()),
        Severity.WARNING,
        part.name() + " stands " + Math.abs(pan) + (pan < 0 ? " to the left" : " to the right"),
        "whole song",
        "Sub and bass belong in the middle: one loudspeaker alone cannot carry them.",
        Optional.of(
            new Fix(
                "put it in the middle", MixEdits.mix(part.id(), "pan", mix -> mix.withPan(0)))));
  }

  private static Finding uncut(Part part) {
    return new Finding(
        FindingId.of(Check.LEVELS_LOWS, part.id()),
        Severity.NOTE,
        part.name() + " keeps its lows under the 808",
        "whole song",
        "Melodic parts give up everything below 100 to 150 Hz when the 808 plays.",
        Optional.of(
            new Fix(
                "cut it below " + USUAL_CUT + " Hz",
                MixEdits.mix(part.id(), "low-cut filter", mix -> mix.withLowCut(USUAL_CUT)))));
  }
}
