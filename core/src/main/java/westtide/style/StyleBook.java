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
import java.util.function.Supplier;
import java.util.stream.Collectors;

/**
 * All styles a song can be drafted in, in the order they are offered. A style is read when it is
 * first asked for; outlines are there at once.
 */
public final class StyleBook {
  private static final String OUTLINES = "outlines";
  private static final ObjectMapper MAPPER =
      new ObjectMapper().enable(DeserializationFeature.FAIL_ON_READING_DUP_TREE_KEY);

  private final List<Entry> entries;

  private StyleBook(List<Entry> entries) {
    this.entries = List.copyOf(entries);
  }

  /** A style that is read once, whoever asks for it. */
  private static final class Entry {
    private final StyleOutline outline;
    private final Supplier<Style> source;
    private Style style;

    Entry(StyleOutline outline, Supplier<Style> source) {
      this.outline = outline;
      this.source = source;
    }

    synchronized Style style() {
      if (style == null) {
        style = source.get();
      }
      return style;
    }

    boolean is(String id) {
      return outline.id().equals(id);
    }
  }

  /** The styles that ship with the product. */
  public static StyleBook shipped() {
    return Shipped.BOOK;
  }

  /** Its list is read when it is first asked for. */
  private static final class Shipped {
    private static final StyleBook BOOK =
        new StyleBook(
            StyleOutlineFields.read(json(OUTLINES)).stream()
                .map(outline -> new Entry(outline, () -> file(outline.id())))
                .toList());
  }

  /** All of them, read. */
  public List<Style> styles() {
    return entries.stream().map(Entry::style).toList();
  }

  /** What each is chosen by; none is read for it. */
  public List<StyleOutline> outlines() {
    return entries.stream().map(entry -> entry.outline).toList();
  }

  /** The book with a style added, or put in the place of the one with its id. */
  public StyleBook with(Style style) {
    List<Entry> out = new ArrayList<>(entries);
    out.removeIf(old -> old.is(style.id()));
    out.add(new Entry(StyleOutline.of(style), () -> style));
    return new StyleBook(out);
  }

  /** The book without the style of an id. */
  public StyleBook without(String id) {
    return new StyleBook(entries.stream().filter(entry -> !entry.is(id)).toList());
  }

  /** The style of that id or name, in any case; spaces and hyphens count alike. */
  public Optional<Style> find(String name) {
    String wanted = plain(name);
    return entries.stream()
        .filter(
            entry ->
                plain(entry.outline.id()).equals(wanted)
                    || plain(entry.outline.name()).equals(wanted))
        .findFirst()
        .map(Entry::style);
  }

  /** The style a song falls back on where its own is in no book. */
  public Style first() {
    return entries.get(0).style();
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
                        + entries.stream()
                            .map(entry -> entry.outline.id())
                            .collect(Collectors.joining(", "))));
  }

  private static String plain(String name) {
    return name.strip().toLowerCase(Locale.ROOT).replaceAll("[ _-]+", "-");
  }

  /** A shipped style as its file has it. */
  static Style file(String id) {
    ObjectNode json = (ObjectNode) json(id);
    JsonNode forms = json.path("forms");
    if (forms.isTextual()) {
      json.set("forms", json("form/" + forms.asText()));
    }
    return Style.read(json);
  }

  private static JsonNode json(String name) {
    try (InputStream in =
        StyleBook.class.getResourceAsStream("/westtide/style/" + name + ".json")) {
      return MAPPER.readTree(in);
    } catch (IOException e) {
      throw new UncheckedIOException("the style " + name + " could not be read", e);
    }
  }
}
