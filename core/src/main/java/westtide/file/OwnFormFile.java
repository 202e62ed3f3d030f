package westtide.file;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Stream;
import westtide.file.disk.UnusableFileException;
import westtide.file.disk.WholeFile;
import westtide.json.Field;
import westtide.json.RecordShape;
import westtide.json.Shape;
import westtide.json.SongShapes;
import westtide.song.OwnForm;
import westtide.song.Role;

/** Plans saved from one's own songs as JSON files that can be read and shared. */
public final class OwnFormFile {
  private static final String ENDING = ".form.json";
  private static final String FORMAT = "west-tide form";
  private static final int VERSION = 2;
  private static final int BYTES = 4 << 20;
  private static final ObjectMapper MAPPER = new ObjectMapper();

  private static final RecordShape<OwnForm> FIELDS =
      RecordShape.of(
          OwnForm.class,
          Field.text("name"),
          Field.of("roles", SongShapes.byPart(Shape.named(Role.class))),
          Field.of("form", FormFields.FORM));

  private OwnFormFile() {}

  /**
   * Writes a plan into a folder under its name; one of the same name is replaced.
   *
   * @throws UnusableFileException when the folder cannot be written
   */
  public static void write(OwnForm form, Path folder) throws UnusableFileException {
    ObjectNode out = MAPPER.createObjectNode();
    out.put("format", FORMAT).put("version", VERSION);
    FIELDS.write(form, out);
    try {
      String text = MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(out);
      WholeFile.keep(file(form.name(), folder), text + "\n");
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("a form could not be written as JSON", e);
    }
  }

  /** A name is no path: what a file name cannot have is left out. */
  private static Path file(String name, Path folder) {
    String safe = name.replaceAll("[^\\p{L}\\p{N} _-]", "").strip();
    String kept = safe.isEmpty() ? "form" : safe.substring(0, Math.min(80, safe.length()));
    return folder.resolve(kept + ENDING);
  }

  /**
   * Reads a plan.
   *
   * @throws UnusableFileException when the file is missing or is no plan; the message says why
   */
  public static OwnForm read(Path path) throws UnusableFileException {
    try {
      JsonNode json = JsonDocument.read(path, BYTES);
      OwnForm form = FIELDS.read(json);
      boolean earlier = json.path("version").asInt(1) < VERSION;
      return earlier
          ? new OwnForm(
              form.name(), EarlierHints.spelledOut(form.form(), form.roles()), form.roles())
          : form;
    } catch (RuntimeException | StackOverflowError e) {
      throw new UnusableFileException(path + " is no plan of a form: " + e.getMessage(), e);
    }
  }

  /**
   * All plans of a folder by name; {@code told} hears of files that are none, which are left out.
   */
  public static List<OwnForm> all(Path folder, Consumer<String> told) {
    List<OwnForm> out = new ArrayList<>();
    if (!Files.isDirectory(folder)) {
      return out;
    }
    try (Stream<Path> files = Files.list(folder)) {
      for (Path path : files.filter(p -> p.toString().endsWith(ENDING)).sorted().toList()) {
        add(path, out, told);
      }
    } catch (IOException e) {
      told.accept(folder + " cannot be listed: " + e.getMessage());
    }
    return out;
  }

  private static void add(Path path, List<OwnForm> out, Consumer<String> told) {
    try {
      out.add(read(path));
    } catch (UnusableFileException e) {
      told.accept(e.getMessage());
    }
  }

  /**
   * Deletes the plan of a name, if it is there.
   *
   * @throws UnusableFileException when it cannot be deleted
   */
  public static void remove(String name, Path folder) throws UnusableFileException {
    try {
      Files.deleteIfExists(file(name, folder));
    } catch (IOException e) {
      throw new UnusableFileException(file(name, folder) + " cannot be deleted", e);
    }
  }
}
