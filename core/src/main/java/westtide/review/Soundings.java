package westtide.review;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import westtide.score.Score;
import westtide.song.Song;
import westtide.sound.Listening;
import westtide.style.Style;

/**
 * The soundings of every stage.
 *
 * @param stages one entry a stage
 */
public record Soundings(Map<Stage, StageSoundings> stages) {
  /** Copies the map. */
  public Soundings {
    stages = Map.copyOf(stages);
  }

  /** Measures a score against its style. */
  public static Soundings of(Score score, Style style) {
    Map<Stage, StageSoundings> out = new EnumMap<>(Stage.class);
    out.put(Stage.BRIEF, new BriefSoundings(score, style).take());
    out.put(Stage.CHORDS, new ChordSoundings(score, style).take());
    out.put(Stage.DRUMS, new DrumSoundings(score, style).take());
    out.put(Stage.LOW_END, new LowEndSoundings(score).take());
    out.put(Stage.LINES, new LineSoundings(score).take());
    out.put(Stage.FORM, new FormSoundings(score, style).take());
    out.put(Stage.LEVELS, new LevelSoundings(score).take());
    out.put(Stage.DELIVER, new DeliverSoundings(score).take());
    Set<String> left = score.song().leftAlone();
    out.replaceAll((stage, found) -> without(found, left));
    return new Soundings(out);
  }

  /** These soundings and what a rendering of the song measured. */
  public Soundings with(Listening heard, Song song) {
    HeardSoundings sound = new HeardSoundings(song, heard);
    Map<Stage, StageSoundings> out = new EnumMap<>(stages);
    out.merge(Stage.LEVELS, without(sound.whole(), song.leftAlone()), StageSoundings::and);
    out.merge(Stage.LOW_END, without(sound.lowEnd(), song.leftAlone()), StageSoundings::and);
    return new Soundings(out);
  }

  /** The soundings of one stage. */
  public StageSoundings at(Stage stage) {
    return stages.get(stage);
  }

  /** All findings of a weight, in the order of the stages. */
  public List<Finding> findings(Weight weight) {
    return java.util.Arrays.stream(Stage.values())
        .flatMap(stage -> at(stage).findings().stream())
        .filter(finding -> finding.weight() == weight)
        .toList();
  }

  private static StageSoundings without(StageSoundings found, Set<String> left) {
    return new StageSoundings(
        found.measures(),
        found.findings().stream().filter(finding -> !left.contains(finding.id())).toList());
  }
}
