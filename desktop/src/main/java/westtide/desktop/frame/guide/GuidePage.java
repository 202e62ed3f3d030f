package westtide.desktop.frame.guide;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Optional;
import westtide.review.finding.Stage;

/** The pages of the guide, in the order they are listed. */
public enum GuidePage {
  START("start", "Start"),
  WISHES("wishes", "What would I do to …"),
  BRIEF("brief", "Brief"),
  CHORDS("chords", "Chords"),
  DRUMS("drums", "Drums"),
  LOW_END("low-end", "Low end"),
  LINES("lines", "Lines"),
  FOUND_SOUND("found-sound", "Found sound"),
  FORM("form", "Form"),
  LEVELS("levels", "Levels"),
  DELIVER("deliver", "Deliver"),
  WORKING("working", "Playing and keys"),
  COMMAND_LINE("command-line", "Command line");

  private static final String FOLDER = "/westtide/desktop/guide/";

  private final String file;
  private final String title;

  GuidePage(String file, String title) {
    this.file = file;
    this.title = title;
  }

  /** The page of a stage. */
  public static GuidePage of(Stage stage) {
    return valueOf(stage.name());
  }

  /** The page a link of the guide leads to, such as {@code "brief.md"}. */
  static Optional<GuidePage> linked(String destination) {
    return Arrays.stream(values())
        .filter(page -> destination.equals(page.file + ".md"))
        .findFirst();
  }

  /** The id of its title. */
  String id() {
    return "guide-" + file;
  }

  /** Its text, in Markdown. */
  String text() {
    try (InputStream in = GuidePage.class.getResourceAsStream(FOLDER + file + ".md")) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException("the page " + file + " of the guide could not be read", e);
    }
  }

  @Override
  public String toString() {
    return title;
  }
}
