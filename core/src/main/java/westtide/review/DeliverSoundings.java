package westtide.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.review.finding.Check;
import westtide.review.finding.Finding;
import westtide.review.finding.FindingId;
import westtide.review.finding.Measure;
import westtide.review.finding.Severity;
import westtide.review.finding.StageSoundings;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.song.Role;
import westtide.song.drum.DrumVoice;
import westtide.song.found.Origin;

/** What the files will hold: parts that play and notes, and parts that would be left out. */
final class DeliverSoundings {
  private static final double MOST_NOTES_A_BAR = 60;

  private final Score score;

  DeliverSoundings(Score score) {
    this.score = score;
  }

  StageSoundings take() {
    List<Finding> findings = new ArrayList<>(silent());
    untuned().ifPresent(findings::add);
    findings.addAll(open());
    return new StageSoundings(List.of(playing(), notes()), findings);
  }

  private Measure playing() {
    int all = score.parts().size();
    int playing = (int) score.parts().stream().filter(part -> !part.notes().isEmpty()).count();
    return Measure.of("parts that play", playing + " of " + all, playing, all, all, all);
  }

  private Measure notes() {
    int notes = score.parts().stream().mapToInt(part -> part.notes().size()).sum();
    double perBar = notes / (double) score.song().form().bars();
    return Measure.of(
        "notes a bar, all parts",
        String.valueOf(Math.round(perBar)),
        perBar,
        MOST_NOTES_A_BAR,
        5,
        40);
  }

  /** Pitched hits of drums for which the percussion map has one note only. */
  private Optional<Finding> untuned() {
    long hits =
        score.parts(Role.DRUMS).stream()
            .flatMap(part -> part.notes().stream())
            .filter(note -> note.struck().filter(drum -> drum.semitones() != 0).isPresent())
            .filter(note -> !note.of(DrumVoice.TOM))
            .count();
    if (hits == 0) {
      return Optional.empty();
    }
    return Optional.of(
        new Finding(
            FindingId.of(Check.DELIVER_UNTUNED).at(hits),
            Severity.NOTE,
            "The pitch of " + hits + " drum hits is not in the MIDI",
            "whole song",
            "General MIDI has one note a drum, toms apart; the pitch is in the preview and in WAV.",
            Optional.empty()));
  }

  /** Sounds somebody else made, whose use is not settled yet. */
  private List<Finding> open() {
    List<Finding> out = new ArrayList<>();
    for (ScoredPart part : score.parts(Role.FOUND)) {
      Origin origin = part.part().found().orElseThrow().origin();
      if (!origin.cleared()) {
        out.add(
            new Finding(
                FindingId.of(Check.DELIVER_CLEARANCE, part.part().id()),
                Severity.WARNING,
                part.part().name() + " is not cleared yet",
                origin.line().isEmpty() ? "nobody wrote down where it is from" : origin.line(),
                "Who owns a recording decides whether it may be used; local rules and people who"
                    + " know them say what is allowed. Write down where it is from in its sheet.",
                Optional.empty()));
      }
    }
    return out;
  }

  private List<Finding> silent() {
    List<Finding> out = new ArrayList<>();
    for (ScoredPart part : score.parts()) {
      if (part.notes().isEmpty()) {
        out.add(
            new Finding(
                FindingId.of(Check.DELIVER_SILENT, part.part().id()),
                Severity.NOTE,
                part.part().name() + " plays nothing",
                "whole song",
                "Its tank is out in every section, so no file is written for it. Fill it in the form.",
                Optional.empty()));
      }
    }
    return out;
  }
}
