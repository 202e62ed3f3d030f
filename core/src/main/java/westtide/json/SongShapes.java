package westtide.json;

import java.util.Map;
import westtide.rhythm.Figure;
import westtide.song.drum.LaneId;
import westtide.song.id.PartId;
import westtide.theory.voicing.VoicingRange;

/** The small things of a song, which stand in every document in the same way. */
public final class SongShapes {
  /** A part, by its id. */
  public static final Shape<PartId> PART = Shape.TEXT.as(PartId::of, PartId::value);

  /** A lane of drums, by its code. */
  public static final Shape<LaneId> LANE = Shape.TEXT.as(LaneId::parse, LaneId::code);

  /** A rhythm as it is typed. */
  public static final Shape<Figure> FIGURE = Shape.TEXT.as(Figure::new, Figure::text);

  /** Where chords lie. */
  public static final RecordShape<VoicingRange> RANGE =
      RecordShape.of(
          VoicingRange.class, Field.number("bassLow"), Field.number("low"), Field.number("high"));

  private SongShapes() {}

  /** An object with a field a part. */
  public static <T> Shape<Map<PartId, T>> byPart(Shape<T> each) {
    return Shape.map(PartId::of, PartId::value, each);
  }

  /** An object with a field a lane. */
  public static <T> Shape<Map<LaneId, T>> byLane(Shape<T> each) {
    return Shape.map(LaneId::parse, LaneId::code, each);
  }
}
