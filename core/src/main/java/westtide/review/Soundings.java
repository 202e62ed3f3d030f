package westtide.review;

import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import westtide.review.chords.ChordSoundings;
import westtide.review.drums.DrumSoundings;
import westtide.review.finding.Check;
import westtide.review.finding.Finding;
import westtide.review.finding.Input;
import westtide.review.finding.Measure;
import westtide.review.finding.Severity;
import westtide.review.finding.Stage;
import westtide.review.finding.StageSoundings;
import westtide.review.form.Energy;
import westtide.review.form.FormSoundings;
import westtide.review.heard.HeardSoundings;
import westtide.review.heard.LevelSoundings;
import westtide.review.lines.LineSoundings;
import westtide.review.lowend.LowEndSoundings;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.chord.Progression;
import westtide.song.id.PartId;
import westtide.sound.Listening;
import westtide.style.Style;

/**
 * The soundings of every stage.
 *
 * @param stages one entry a stage
 * @param score what was measured
 * @param style what it was measured against
 * @param energy how full each bar is
 * @param heard whether what a rendering measured is among them
 */
public record Soundings(
    Map<Stage, StageSoundings> stages, Score score, Style style, Energy energy, boolean heard) {
  /** Copies the map. */
  public Soundings {
    stages = Map.copyOf(stages);
  }

  /** Measures a score against its style. */
  public static Soundings of(Score score, Style style) {
    Energy energy = Energy.of(score);
    Map<Stage, StageSoundings> out = new EnumMap<>(Stage.class);
    for (Stage stage : Stage.values()) {
      out.put(stage, take(stage, score, style, energy));
    }
    Set<String> left = score.song().dismissed();
    out.replaceAll((stage, found) -> without(found, left));
    return new Soundings(out, score, style, energy, false);
  }

  /**
   * The soundings of a score that came from the one of these by an edit: the same as {@link #of},
   * but stages the edit did not reach are taken over.
   */
  public Soundings after(Score edited) {
    Map<Stage, StageSoundings> out = new EnumMap<>(Stage.class);
    Set<String> left = edited.song().dismissed();
    boolean sameLeft = left.equals(score.song().dismissed());
    Set<Input> changed = changed(edited);
    Energy after = reached(Stage.FORM, changed) ? energy.after(edited) : energy;
    for (Stage stage : Stage.values()) {
      boolean kept = sameLeft && !reached(stage, changed);
      out.put(stage, kept ? at(stage) : without(take(stage, edited, style, after), left));
    }
    return new Soundings(out, edited, style, after, false);
  }

  private Set<Input> changed(Score edited) {
    Set<Input> changed = EnumSet.noneOf(Input.class);
    for (Input input : Input.values()) {
      boolean read = input != Input.RENDERING || heard;
      if (read && !input.same(score, edited)) {
        changed.add(input);
      }
    }
    return changed;
  }

  private static boolean reached(Stage stage, Set<Input> changed) {
    return !Collections.disjoint(Check.inputs(stage), changed);
  }

  private static StageSoundings take(Stage stage, Score score, Style style, Energy energy) {
    return switch (stage) {
      case BRIEF -> new BriefSoundings(score, style).take();
      case CHORDS -> new ChordSoundings(score, style).take();
      case DRUMS -> new DrumSoundings(score, style).take();
      case LOW_END -> new LowEndSoundings(score).take();
      case LINES -> new LineSoundings(score, style).take();
      case FORM -> new FormSoundings(score, style, energy).take();
      case LEVELS -> new LevelSoundings(score).take();
      case DELIVER -> new DeliverSoundings(score).take();
    };
  }

  /** These soundings and what a rendering of the song measured. */
  public Soundings with(Listening heard, Song song) {
    HeardSoundings sound = new HeardSoundings(song, style, heard);
    Map<Stage, StageSoundings> out = new EnumMap<>(stages);
    out.merge(Stage.LEVELS, without(sound.whole(), song.dismissed()), StageSoundings::and);
    out.merge(Stage.FORM, without(sound.form(), song.dismissed()), StageSoundings::and);
    out.merge(Stage.LOW_END, without(sound.lowEnd(), song.dismissed()), StageSoundings::and);
    return new Soundings(out, score, style, energy, true);
  }

  /** The soundings of one stage. */
  public StageSoundings at(Stage stage) {
    return stages.get(stage);
  }

  /**
   * The figures of what is in front at a stage: one pattern of a line or of drums, one low part.
   * Where there is nothing of that kind, the figures of the stage.
   */
  public List<Measure> measures(Stage stage, PartId part, String pattern) {
    Optional<ScoredPart> chosen = score.part(part);
    if (chosen.isEmpty()) {
      return at(stage).measures();
    }
    Role role = chosen.get().part().role();
    if (stage == Stage.DRUMS && role == Role.DRUMS) {
      return new DrumSoundings(score, style).measures(chosen.get().part(), pattern);
    }
    if (stage == Stage.LINES && role == Role.LINE) {
      return new LineSoundings(score, style).measures(chosen.get(), pattern);
    }
    boolean low = role == Role.SUB || role == Role.BASS;
    return stage == Stage.LOW_END && low
        ? new LowEndSoundings(score).measures(chosen.get())
        : at(stage).measures();
  }

  /** The figures of one progression. */
  public List<Measure> measures(Progression row) {
    return new ChordSoundings(score, style).measures(row);
  }

  /** All findings of a weight, in the order of the stages. */
  public List<Finding> findings(Severity severity) {
    return java.util.Arrays.stream(Stage.values())
        .flatMap(stage -> at(stage).findings().stream())
        .filter(finding -> finding.severity() == severity)
        .toList();
  }

  private static StageSoundings without(StageSoundings found, Set<String> left) {
    return new StageSoundings(
        found.measures(),
        found.findings().stream().filter(finding -> !left.contains(finding.id().code())).toList());
  }
}
