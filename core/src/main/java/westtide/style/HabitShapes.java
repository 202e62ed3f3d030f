package westtide.style;

import java.util.List;
import java.util.Map;
import westtide.json.Field;
import westtide.json.RecordShape;
import westtide.json.Shape;
import westtide.json.SongShapes;
import westtide.rhythm.StepGrid;
import westtide.song.drum.LaneId;

/** Habits that stand in the document of a style and in that of its ensemble. */
final class HabitShapes {
  /** A range and where to start in it. */
  static final RecordShape<Span> SPAN =
      RecordShape.of(
          Span.class,
          Field.of("low", Shape.DECIMAL),
          Field.of("high", Shape.DECIMAL),
          Field.of("start", Shape.DECIMAL));

  /** How full a part plays through a section. */
  static final Shape<LevelPlan> PLAN = Shape.TEXT.as(LevelPlan::new, LevelPlan::text);

  private static final RecordShape<LaneHabit> LANE =
      RecordShape.of(
          LaneHabit.class,
          Field.of("texts", Shape.some(Shape.TEXT)),
          Field.named("grid", StepGrid.class).earlier(StepGrid.SIXTEENTHS),
          Field.number("nudge").earlier(0),
          Field.number("pan").earlier(0),
          Field.text("accents").earlier(""),
          Field.flag("answers").earlier(false),
          Field.number("enters").earlier(1),
          Field.of("pitches", Shape.list(Shape.NUMBER)).or(List.of()));

  /** What each lane of drums plays. */
  static final Shape<Map<LaneId, LaneHabit>> LANES = SongShapes.byLane(LANE);

  private HabitShapes() {}
}
