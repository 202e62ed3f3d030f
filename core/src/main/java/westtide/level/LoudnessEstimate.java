package westtide.level;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.function.Predicate;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.song.id.PartId;
import westtide.sound.Triggers;

/**
 * How loud the parts of a score are, estimated from its notes and the measured loudness of their
 * voices: a few milliseconds where a rendering takes seconds. In a style whose drafts have been
 * measured once ({@link westtide.style.Calibration}) the integrated loudness is within half a LU of
 * the rendered one, a part against another mostly within one; docs/drafts.md has the figures.
 */
final class LoudnessEstimate {
  /** Two sides instead of one, and the meter's own offset (ITU-R BS.1770). */
  private static final double METER = 10 * Math.log10(2) - 0.691;

  private final Map<PartId, LoudnessCurve> courses = new LinkedHashMap<>();
  private final double seconds;

  private LoudnessEstimate(double seconds) {
    this.seconds = seconds;
  }

  /** The estimate of a score. */
  static LoudnessEstimate of(Score score) {
    double seconds = score.song().millis() / 1000;
    double secondsPerTick = seconds / score.ticks();
    LoudnessEstimate out = new LoudnessEstimate(seconds);
    Triggers triggers = new Triggers(score);
    for (ScoredPart part : score.parts()) {
      out.courses.put(part.part().id(), PartLoudness.of(part, triggers, secondsPerTick, seconds));
    }
    return out;
  }

  /**
   * How far a part stands over others together where it leads, which is where it is at most 10 LU
   * under its own mean, in LU; empty where they never sound at once.
   */
  OptionalDouble over(PartId lead, Predicate<PartId> bed) {
    double[] leading = sum(lead::equals).momentary();
    double[] below = sum(bed).momentary();
    double gate = LoudnessCurve.gate(leading);
    double above = 0;
    double under = 0;
    for (int i = 0; i < leading.length; i++) {
      if (leading[i] > gate && below[i] > LoudnessCurve.SILENT) {
        above += leading[i];
        under += below[i];
      }
    }
    return under > 0 ? OptionalDouble.of(decibels(above / under)) : OptionalDouble.empty();
  }

  /** The integrated loudness in LUFS; −∞ of silence. */
  double integrated() {
    return METER + decibels(sum(part -> true).integrated());
  }

  /** The same with one part so many dB louder. */
  LoudnessEstimate with(PartId part, double louder) {
    LoudnessEstimate out = new LoudnessEstimate(seconds);
    out.courses.putAll(courses);
    double factor = Math.pow(10, louder / 10);
    out.courses.computeIfPresent(
        part, (id, course) -> new LoudnessCurve(seconds).plus(course, factor));
    return out;
  }

  private LoudnessCurve sum(Predicate<PartId> which) {
    LoudnessCurve out = new LoudnessCurve(seconds);
    for (Map.Entry<PartId, LoudnessCurve> course : courses.entrySet()) {
      out = which.test(course.getKey()) ? out.plus(course.getValue(), 1) : out;
    }
    return out;
  }

  private static double decibels(double power) {
    return 10 * Math.log10(power);
  }
}
