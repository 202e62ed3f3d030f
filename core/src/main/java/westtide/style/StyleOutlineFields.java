package westtide.style;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.SortedSet;
import java.util.TreeSet;
import westtide.json.Field;
import westtide.json.RecordShape;
import westtide.json.Shape;
import westtide.rhythm.Feel;

/** The document of the outlines of all shipped styles, in the order they are offered. */
final class StyleOutlineFields {
  private static final Shape<SortedSet<Integer>> COLUMNS =
      Shape.list(Shape.NUMBER).as(TreeSet::new, List::copyOf);

  private static final Shape<List<StyleOutline>> ALL =
      Shape.list(
          RecordShape.of(
              StyleOutline.class,
              Field.text("id"),
              Field.text("name"),
              Field.text("summary"),
              Field.of("tempo", HabitShapes.SPAN),
              Field.named("feel", Feel.class),
              Field.of("top", COLUMNS),
              Field.of("backbeat", COLUMNS),
              Field.of("kick", COLUMNS)));

  private StyleOutlineFields() {}

  static List<StyleOutline> read(JsonNode json) {
    return ALL.read(json, "outlines");
  }

  static JsonNode write(List<StyleOutline> outlines) {
    return ALL.write(outlines);
  }
}
