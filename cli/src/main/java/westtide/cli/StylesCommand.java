package westtide.cli;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;
import westtide.style.Reason;
import westtide.style.Style;
import westtide.style.StyleBook;

/** Lists the styles. */
@Command(
    name = "styles",
    mixinStandardHelpOptions = true,
    description = "Lists the styles with their tempo and habits.")
final class StylesCommand implements Callable<Integer> {
  @Option(names = "--json", description = "as JSON, reasons included")
  private boolean json;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws JsonProcessingException {
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      out.println(asJson());
      return 0;
    }
    for (Style style : StyleBook.shipped().styles()) {
      out.printf(
          "%-13s %3.0f to %3.0f BPM, %s. %s%n",
          style.id(), style.tempo().low(), style.tempo().high(), style.feel(), style.summary());
    }
    return 0;
  }

  private static String asJson() throws JsonProcessingException {
    ObjectMapper mapper = new ObjectMapper();
    ArrayNode out = mapper.createArrayNode();
    for (Style style : StyleBook.shipped().styles()) {
      ObjectNode node = out.addObject();
      node.put("id", style.id()).put("name", style.name()).put("summary", style.summary());
      node.put("tempoLow", style.tempo().low()).put("tempoHigh", style.tempo().high());
      node.put("feel", style.feel().toString());
      ArrayNode reasons = node.putArray("reasons");
      for (Reason reason : style.reasons()) {
        reasons
            .addObject()
            .put("topic", reason.topic())
            .put("habit", reason.habit())
            .put("why", reason.why());
      }
    }
    return mapper.writerWithDefaultPrettyPrinter().writeValueAsString(out);
  }
}
