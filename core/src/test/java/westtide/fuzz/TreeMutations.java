package westtide.fuzz;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.random.RandomGenerator;

/** Documents that are JSON and still say what they should not: values, kinds, counts, names. */
final class TreeMutations {
  private static final ObjectMapper MAPPER = new ObjectMapper();
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;
  private static final int[] NUMBERS = {
    0,
    1,
    -1,
    2,
    7,
    15,
    16,
    17,
    64,
    120,
    127,
    128,
    255,
    256,
    999,
    4096,
    61_440,
    1_000_000,
    Integer.MAX_VALUE,
    Integer.MIN_VALUE
  };
  private static final String[] TEXTS = {
    "",
    " ",
    "A",
    "C#m",
    "hook",
    "../../etc/passwd",
    "\u0000",
    "♯",
    "{",
    "x".repeat(300),
    "\n",
    "0",
    "4/4",
    "16/16",
    "𝄪",
    "drums",
    "following",
    "written",
    "CHORDS",
    "x...",
    "1"
  };

  private TreeMutations() {}

  /** One to four alterations of a document. */
  static byte[] of(JsonNode document, RandomGenerator random) throws IOException {
    JsonNode tree = document.deepCopy();
    int times = 1 + random.nextInt(4);
    for (int i = 0; i < times; i++) {
      List<JsonNode> holders = new ArrayList<>();
      holders(tree, holders);
      alter(holders.get(random.nextInt(holders.size())), holders, random);
    }
    return MAPPER.writeValueAsBytes(tree);
  }

  private static void holders(JsonNode node, List<JsonNode> out) {
    if (node.isContainerNode() && !node.isEmpty()) {
      out.add(node);
      node.forEach(child -> holders(child, out));
    }
  }

  private static void alter(JsonNode holder, List<JsonNode> others, RandomGenerator random) {
    if (holder instanceof ObjectNode object) {
      List<String> names = new ArrayList<>();
      object.fieldNames().forEachRemaining(names::add);
      String name = names.get(random.nextInt(names.size()));
      switch (random.nextInt(6)) {
        case 0 -> object.remove(name);
        case 1 -> object.set("unknown " + random.nextInt(9), value(others, random));
        default -> object.set(name, changed(object.get(name), others, random));
      }
      return;
    }
    ArrayNode array = (ArrayNode) holder;
    int at = random.nextInt(array.size());
    switch (random.nextInt(6)) {
      case 0 -> array.remove(at);
      case 1 -> array.insert(at, array.get(at).deepCopy());
      case 2 -> {
        List<JsonNode> all = new ArrayList<>();
        array.forEach(all::add);
        Collections.swap(all, at, random.nextInt(all.size()));
        array.removeAll();
        array.addAll(all);
      }
      default -> array.set(at, changed(array.get(at), others, random));
    }
  }

  /** Mostly a value of the same kind, so that it is read and has to be lived with. */
  private static JsonNode changed(JsonNode old, List<JsonNode> others, RandomGenerator random) {
    if (old.isInt() && random.nextInt(8) > 0) {
      int by = random.nextInt(3) == 0 ? random.nextInt(-200, 200) : 0;
      return NODES.numberNode(by == 0 ? NUMBERS[random.nextInt(NUMBERS.length)] : old.asInt() + by);
    }
    if (old.isTextual() && random.nextInt(8) > 0) {
      return NODES.textNode(TEXTS[random.nextInt(TEXTS.length)]);
    }
    return value(others, random);
  }

  private static JsonNode value(List<JsonNode> others, RandomGenerator random) {
    return switch (random.nextInt(7)) {
      case 0 -> NODES.nullNode();
      case 1 -> NODES.booleanNode(random.nextBoolean());
      case 2 -> NODES.numberNode(random.nextDouble() * 1e9);
      case 3 -> NODES.numberNode(NUMBERS[random.nextInt(NUMBERS.length)]);
      case 4 -> NODES.textNode(TEXTS[random.nextInt(TEXTS.length)]);
      default -> {
        JsonNode other = others.get(random.nextInt(others.size()));
        yield other.toString().length() < 4000 ? other.deepCopy() : NODES.arrayNode();
      }
    };
  }
}
