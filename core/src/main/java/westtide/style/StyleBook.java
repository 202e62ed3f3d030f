package westtide.style;

import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * All styles a song can be drafted in.
 *
 * @param styles the styles in the order they are offered
 */
public record StyleBook(List<Style> styles) {
  private static final List<String> SHIPPED =
      List.of(
          "trap",
          "house",
          "boom-bap",
          "bounce",
          "dark",
          "cloud",
          "drill",
          "lo-fi",
          "soul",
          "country-trap",
          "amapiano",
          "afro-pop",
          "deep-house",
          "tech-house",
          "disco-pop",
          "techno",
          "bass-house",
          "future-bass");

  /** Copies the list. */
  public StyleBook {
    styles = List.copyOf(styles);
  }

  /** The styles that ship with the product. */
  public static StyleBook shipped() {
    return Shipped.BOOK;
  }

  /** Read when it is first asked for. */
  private static final class Shipped {
    private static final StyleBook BOOK = readAll();

    private static StyleBook readAll() {
      ObjectMapper mapper =
          new ObjectMapper().enable(DeserializationFeature.FAIL_ON_READING_DUP_TREE_KEY);
      return new StyleBook(SHIPPED.stream().map(id -> read(mapper, id)).toList());
    }
  }

  /** The book with a style added, or put in the place of the one with its id. */
  public StyleBook with(Style style) {
    List<Style> out = new ArrayList<>(styles);
    out.removeIf(old -> old.id().equals(style.id()));
    out.add(style);
    return new StyleBook(out);
  }

  /** The book without the style of an id. */
  public StyleBook without(String id) {
    return new StyleBook(styles.stream().filter(style -> !style.id().equals(id)).toList());
  }

  /** The style of that id or name, in any case; spaces and hyphens count alike. */
  public Optional<Style> find(String name) {
    String wanted = plain(name);
    return styles.stream()
        .filter(style -> plain(style.id()).equals(wanted) || plain(style.name()).equals(wanted))
        .findFirst();
  }

  /**
   * The style of that id or name.
   *
   * @throws IllegalArgumentException with the list of styles when there is none
   */
  public Style get(String name) {
    return find(name)
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "no style is called \""
                        + name
                        + "\"; the style book has "
                        + styles.stream().map(Style::id).collect(Collectors.joining(", "))));
  }

  private static String plain(String name) {
    return name.strip().toLowerCase(Locale.ROOT).replaceAll("[ _-]+", "-");
  }

  private static Style read(ObjectMapper mapper, String id) {
    ObjectNode json = (ObjectNode) json(mapper, id);
    JsonNode forms = json.path("forms");
    if (forms.isTextual()) {
      json.set("forms", json(mapper, "form/" + forms.asText()));
    }
    return Style.read(json);
  }

  private static JsonNode json(ObjectMapper mapper, String name) {
    try (InputStream in =
        StyleBook.class.getResourceAsStream("/westtide/style/" + name + ".json")) {
      return mapper.readTree(in);
    } catch (IOException e) {
      throw new UncheckedIOException("the style " + name + " could not be read", e);
    }
  }
}
