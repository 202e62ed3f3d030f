package westtide.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** A record said once stands in a document and comes back from it, and nothing is left out. */
class RecordShapeTest {
  private static final ObjectMapper MAPPER = new ObjectMapper();

  record Point(int at, int value, String bend) {}

  record Line(String name, Optional<String> note, List<Point> points, Point end) {}

  sealed interface Figure {
    record Dot(int at) implements Figure {}

    record Stretch(int from, int to) implements Figure {}
  }

  private static final RowShape<Point> POINT =
      RowShape.of(Point.class, Shape.NUMBER, Shape.NUMBER, Shape.TEXT).or("straight");

  private static final RecordShape<Point> FIELDS =
      RecordShape.of(
          Point.class,
          Field.text("bend").or("straight"),
          Field.number("from").holds("at"),
          Field.number("value").earlier(5));

  private static final RecordShape<Line> LINE =
      RecordShape.of(
          Line.class,
          Field.text("name"),
          Field.maybe("note", Shape.TEXT),
          Field.of("points", Shape.list(POINT)),
          Field.spread("end", FIELDS));

  private static final RecordShape<Figure.Dot> DOT =
      RecordShape.of(Figure.Dot.class, Field.number("at"));
  private static final RecordShape<Figure.Stretch> STRETCH =
      RecordShape.of(Figure.Stretch.class, Field.number("from"), Field.number("to"));

  private static JsonNode json(String text) throws Exception {
    return MAPPER.readTree(text.replace('\'', '"'));
  }

  @Test
  void aRecordStandsInTheOrderOfItsFieldsWithoutWhatIsUsual() throws Exception {
    Line line =
        new Line(
            "rise",
            Optional.empty(),
            List.of(new Point(0, 1, "straight"), new Point(2, 3, "late")),
            new Point(7, 8, "straight"));
    assertThat(LINE.write(line))
        .hasToString(
            "{\"name\":\"rise\",\"points\":[[0,1],[2,3,\"late\"]],\"from\":7,\"value\":8}");
    assertThat(LINE.read(LINE.write(line))).isEqualTo(line);
    assertThat(LINE.read(json("{'name':'x','note':'soft','points':[],'from':1}")))
        .isEqualTo(new Line("x", Optional.of("soft"), List.of(), new Point(1, 5, "straight")));
  }

  @Test
  void whatDoesNotFitIsNamed() throws Exception {
    JsonNode missing = json("{'name':'x','points':[]}");
    assertThatThrownBy(() -> LINE.read(missing)).hasMessage("the field \"from\" is missing");
    JsonNode word = json("{'name':'x','points':[['one',2]],'from':1}");
    assertThatThrownBy(() -> LINE.read(word))
        .hasMessage("the field \"points\" is not a whole number");
    JsonNode number = json("{'name':3,'points':[],'from':1}");
    assertThatThrownBy(() -> LINE.placed("line", "name").read(number, ""))
        .hasMessage("in the line \"3\" the field \"name\" is not text");
    JsonNode part = json("{'name':'x','points':[],'from':1.5}");
    assertThatThrownBy(() -> LINE.read(part))
        .hasMessageContaining("\"from\" is not a whole number");
  }

  /** What was added to a record or a sealed type and has no field is found when it is declared. */
  @Test
  void noComponentAndNoKindIsLeftOut() {
    assertThatThrownBy(() -> RecordShape.of(Point.class, Field.number("at"), Field.number("value")))
        .isInstanceOf(IllegalStateException.class)
        .hasMessageContaining("bend");
    Kinds.Kind<Figure.Dot> dot = new Kinds.Kind<>("dot", Figure.Dot.class, DOT);
    assertThatThrownBy(() -> Kinds.of(Figure.class, "kind", "figure", dot))
        .isInstanceOf(IllegalStateException.class)
        .hasMessageContaining("Stretch");
    FieldKinds.Kind<Figure.Dot> alone = new FieldKinds.Kind<>(Figure.Dot.class, DOT);
    assertThatThrownBy(() -> FieldKinds.of(Figure.class, alone))
        .isInstanceOf(IllegalStateException.class);
    assertThatThrownBy(() -> RowShape.of(Point.class, Shape.NUMBER))
        .isInstanceOf(IllegalStateException.class);
  }

  @Test
  void aKindIsKnownByItsWordOrByItsFields() throws Exception {
    Kinds<Figure> words =
        Kinds.of(
            Figure.class,
            "kind",
            "figure",
            new Kinds.Kind<>("dot", Figure.Dot.class, DOT),
            new Kinds.Kind<>("stretch", Figure.Stretch.class, STRETCH));
    FieldKinds<Figure> fields =
        FieldKinds.of(
            Figure.class,
            new FieldKinds.Kind<>(Figure.Stretch.class, STRETCH),
            new FieldKinds.Kind<>(Figure.Dot.class, DOT));
    for (Figure figure : Set.of(new Figure.Dot(3), new Figure.Stretch(1, 2))) {
      assertThat(words.read(words.write(figure))).isEqualTo(figure);
      assertThat(fields.read(fields.write(figure))).isEqualTo(figure);
    }
    assertThat(words.write(new Figure.Dot(3))).hasToString("{\"kind\":\"dot\",\"at\":3}");
    JsonNode ring = json("{'kind':'ring'}");
    assertThatThrownBy(() -> words.read(ring)).hasMessage("it has an unknown figure, \"ring\"");
  }
}
