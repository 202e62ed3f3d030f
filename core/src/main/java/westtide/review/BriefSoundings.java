package westtide.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.review.finding.Check;
import westtide.review.finding.Finding;
import westtide.review.finding.FindingId;
import westtide.review.finding.Fix;
import westtide.review.finding.Measure;
import westtide.review.finding.Severity;
import westtide.review.finding.StageSoundings;
import westtide.rhythm.Swing;
import westtide.rhythm.Tempo;
import westtide.score.Score;
import westtide.song.Brief;
import westtide.song.edit.BriefEdits;
import westtide.style.Span;
import westtide.style.Style;

/** Tempo and swing against the style. */
final class BriefSoundings {
  private final Brief brief;
  private final Style style;

  BriefSoundings(Score score, Style style) {
    this.brief = score.song().brief();
    this.style = style;
  }

  StageSoundings take() {
    return new StageSoundings(List.of(tempo(), swing()), findings());
  }

  private Measure tempo() {
    return new Measure(
        "tempo, BPM", brief.tempo().toString(), brief.tempo().bpm(), 60, 180, style.tempo());
  }

  private Measure swing() {
    return new Measure("swing, %", brief.swing().toString(), swingPercent(), 50, 75, style.swing());
  }

  private double swingPercent() {
    return brief.swing().hundredths() / 100.0;
  }

  private List<Finding> findings() {
    List<Finding> out = new ArrayList<>();
    if (!style.tempo().contains(brief.tempo().bpm())) {
      Tempo nearest = Tempo.of((int) nearest(style.tempo(), brief.tempo().bpm()));
      out.add(
          outside(
              Check.BRIEF_TEMPO,
              brief.tempo() + " BPM is unusual for " + style.name().toLowerCase(),
              style.tempo(),
              new Fix("set it to " + nearest, BriefEdits.tempo(nearest))));
    }
    if (!style.swing().contains(swingPercent())) {
      Swing nearest = Swing.of((int) nearest(style.swing(), swingPercent()));
      out.add(
          outside(
              Check.BRIEF_SWING,
              brief.swing() + " % swing is unusual for " + style.name().toLowerCase(),
              style.swing(),
              new Fix("set it to " + nearest + " %", BriefEdits.swing(nearest))));
    }
    return out;
  }

  private static Finding outside(Check check, String title, Span span, Fix fix) {
    String range = Math.round(span.low()) + " to " + Math.round(span.high());
    return new Finding(
        FindingId.of(check),
        Severity.NOTE,
        title,
        "whole song",
        "The style usually keeps to " + range + ". Outside it may be exactly the point.",
        Optional.of(fix));
  }

  private static double nearest(Span span, double value) {
    return Math.max(span.low(), Math.min(span.high(), value));
  }
}
