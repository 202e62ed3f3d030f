package westtide.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.BiPredicate;
import westtide.review.chords.ChordPoints;
import westtide.review.drums.DrumPoints;
import westtide.review.finding.Check;
import westtide.review.finding.Stage;
import westtide.review.form.FormPoints;
import westtide.review.lowend.LowEndPoints;
import westtide.score.Score;
import westtide.song.Role;
import westtide.style.Style;

/**
 * What a finished song in a style usually has, ticked from what this one has where a person has
 * decided something: a draft that nobody touched ticks nothing. Nothing is ticked by hand.
 *
 * @param points the points in the order of the style
 */
public record Checklist(List<Point> points) {
  private static final Map<String, Check> CHECKS = checks();

  /**
   * One point.
   *
   * @param name what is asked for, a few words
   * @param done whether the song has it
   * @param decided whether a person has worked on its stage, so that it is no mere gift of a draft
   * @param stage where it is worked on
   */
  public record Point(String name, boolean done, boolean decided, Stage stage) {
    /** Whether the song has it and somebody decided so. */
    public boolean ticked() {
      return done && decided;
    }
  }

  private record Check(Stage stage, BiPredicate<Score, Style> test) {}

  /** Copies the points. */
  public Checklist {
    points = List.copyOf(points);
  }

  /** The checklist of a style for a score; points the product does not know are left out. */
  public static Checklist of(Score score, Style style) {
    List<Point> out = new ArrayList<>();
    for (String name : style.checklist()) {
      Check check = CHECKS.get(name);
      if (check != null) {
        boolean decided = score.song().brief().plan().decided().contains(check.stage.toString());
        out.add(new Point(name, check.test.test(score, style), decided, check.stage));
      }
    }
    return new Checklist(out);
  }

  /** Whether the product can tick a point of that name. */
  public static boolean knows(String name) {
    return CHECKS.containsKey(name);
  }

  /** How many points a person decided. */
  public long ticked() {
    return points.stream().filter(Point::ticked).count();
  }

  /** How many points the song has, decided or drafted. */
  public long done() {
    return points.stream().filter(Point::done).count();
  }

  private static Map<String, Check> checks() {
    Map<String, Check> out = new TreeMap<>();
    ChordPoints.ALL.forEach((name, test) -> out.put(name, new Check(Stage.CHORDS, test)));
    DrumPoints.ALL.forEach(
        (name, test) -> out.put(name, new Check(Stage.DRUMS, (s, style) -> test.test(s.song()))));
    LowEndPoints.ALL.forEach(
        (name, test) -> out.put(name, new Check(Stage.LOW_END, (s, style) -> test.test(s.song()))));
    FormPoints.ALL.forEach(
        (name, test) -> out.put(name, new Check(Stage.FORM, (s, style) -> test.test(s))));
    out.put("lines stay in the key", new Check(Stage.LINES, (s, style) -> inKey(s)));
    return out;
  }

  private static boolean inKey(Score score) {
    var key = score.song().brief().key();
    return score.parts().stream()
        .filter(part -> part.part().role() == Role.LINE)
        .flatMap(part -> part.notes().stream())
        .allMatch(note -> key.contains(note.key() % 12));
  }
}
