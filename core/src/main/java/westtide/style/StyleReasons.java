package westtide.style;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import westtide.json.Field;
import westtide.song.form.SectionKind;
import westtide.song.form.Transition;
import westtide.theory.Key;

/** Why a style has its habits: a sentence beside each in its document. */
final class StyleReasons {
  private static final String NO_REASON = "No reason was given yet.";
  private static final Field<String> WHY = Field.text("why");

  /** What a reason is for, what the style does there, and the place of both in the document. */
  private record Topic(String name, String habit, String pointer) {}

  private StyleReasons() {}

  /** The reasons in a document of this style. */
  static List<Reason> read(Style style, JsonNode json) {
    Stream<Reason> told =
        topics(style).stream()
            .map(
                topic ->
                    new Reason(
                        topic.name(), topic.habit(), WHY.read().apply(json.at(topic.pointer()))));
    Stream<Reason> players = style.ensemble().members().stream().map(EnsembleHabit.Member::reason);
    return Stream.concat(told, players).toList();
  }

  /** Puts the reasons into the document of a style. */
  static void write(Style style, ObjectNode json) {
    for (Topic topic : topics(style)) {
      String why = style.why(topic.name()).orElse(NO_REASON);
      WHY.write().accept(why, (ObjectNode) json.at(topic.pointer()));
    }
  }

  private static List<Topic> topics(Style style) {
    List<Topic> out = new ArrayList<>();
    out.add(new Topic("Tempo", ends(style.tempo()) + " BPM", "/tempo"));
    out.add(new Topic("Feel", style.feel().toString(), "/feel"));
    out.add(new Topic("Swing", ends(style.swing()) + " %", "/swing"));
    out.add(
        new Topic(
            "Keys",
            style.keys().stream().limit(3).map(Key::toString).collect(Collectors.joining(", ")),
            "/keys"));
    out.add(new Topic("Chords", style.chords().progressions().get(0), "/chords"));
    out.add(new Topic("Drums", style.groove().bars() + "-bar groove", "/drums"));
    style
        .groove()
        .lanes()
        .forEach(
            (id, lane) ->
                out.add(
                    new Topic(id.toString(), lane.texts().get(0), "/drums/lanes/" + id.code())));
    out.add(new Topic("808", style.sub().link().toString(), "/sub"));
    out.add(new Topic("Bass", style.bass().name(), "/bass"));
    out.add(new Topic("Chord part", style.keysPart().name(), "/keys-part"));
    out.add(new Topic("Lead", style.lead().name(), "/lead"));
    out.add(new Topic("Sound", String.join(", ", style.sound().instruments().values()), "/sound"));
    out.add(new Topic("Transitions", announced(style), "/transitions"));
    out.add(new Topic("Form", style.form().templates().get(0).line(), "/forms"));
    return out;
  }

  /** What announces a hook. */
  private static String announced(Style style) {
    return style.boundaries().getOrDefault(SectionKind.HOOK, List.of()).stream()
        .flatMap(habit -> habit.marks().stream())
        .distinct()
        .map(Transition::toString)
        .collect(Collectors.joining(", "));
  }

  private static String ends(Span span) {
    return plain(span.low()) + " to " + plain(span.high());
  }

  private static String plain(double number) {
    return BigDecimal.valueOf(number).stripTrailingZeros().toPlainString();
  }
}
