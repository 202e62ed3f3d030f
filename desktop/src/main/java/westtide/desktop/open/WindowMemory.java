package westtide.desktop.open;

import java.io.IOException;
import java.io.Reader;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Properties;
import java.util.function.Consumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import westtide.desktop.kit.PageSpace;
import westtide.file.disk.WholeFile;
import westtide.review.finding.Stage;

/**
 * How the window was left: where it stood, which room was in front, and how it looked.
 *
 * @param x left edge on the screen, in pixels
 * @param y upper edge
 * @param width width, 1000 or more
 * @param height height, 700 or more
 * @param room the room in front
 * @param palette the colours
 * @param textPercent size of text, 90 to 200 %
 * @param soundings whether the soundings stand open
 * @param pages whether pages under the drawings stand open
 * @param pageHeight how high they are then, in pixels
 */
public record WindowMemory(
    int x,
    int y,
    int width,
    int height,
    Stage room,
    Palette palette,
    int textPercent,
    boolean soundings,
    boolean pages,
    int pageHeight) {
  /** A window nobody has moved yet. */
  public static final WindowMemory USUAL =
      new WindowMemory(
          40, 40, 1280, 800, Stage.BRIEF, Palette.DAY, 100, false, false, PageSpace.USUAL);

  /** The least width of a window. */
  public static final int LEAST_WIDTH = 1000;

  /** The least height. */
  public static final int LEAST_HEIGHT = 700;

  private static final int SMALLEST = 90;
  private static final int LARGEST = 200;
  private static final Logger LOG = LoggerFactory.getLogger(WindowMemory.class);

  /** Keeps sizes inside their ranges. */
  public WindowMemory {
    width = Math.max(LEAST_WIDTH, width);
    height = Math.max(LEAST_HEIGHT, height);
    textPercent = Math.max(SMALLEST, Math.min(LARGEST, textPercent));
  }

  /** What differs in a copy, by name. */
  private static final class Copy {
    private int x;
    private int y;
    private int width;
    private int height;
    private Stage room;
    private Palette palette;
    private int textPercent;
    private boolean soundings;
    private boolean pages;
    private int pageHeight;
  }

  private WindowMemory with(Consumer<Copy> change) {
    Copy copy = new Copy();
    copy.x = x;
    copy.y = y;
    copy.width = width;
    copy.height = height;
    copy.room = room;
    copy.palette = palette;
    copy.textPercent = textPercent;
    copy.soundings = soundings;
    copy.pages = pages;
    copy.pageHeight = pageHeight;
    change.accept(copy);
    return new WindowMemory(
        copy.x,
        copy.y,
        copy.width,
        copy.height,
        copy.room,
        copy.palette,
        copy.textPercent,
        copy.soundings,
        copy.pages,
        copy.pageHeight);
  }

  /** The same with another room in front. */
  public WindowMemory withRoom(Stage other) {
    return with(copy -> copy.room = other);
  }

  /** The same in other colours. */
  public WindowMemory withPalette(Palette other) {
    return with(copy -> copy.palette = other);
  }

  /** The same with text of another size, held inside 90 to 200 %. */
  public WindowMemory withText(int percent) {
    return with(copy -> copy.textPercent = percent);
  }

  /** The same with the soundings open or folded. */
  public WindowMemory withSoundings(boolean opened) {
    return with(copy -> copy.soundings = opened);
  }

  /** The same with pages under the drawings open or folded, so many pixels high. */
  public WindowMemory withPages(boolean opened, int pixels) {
    return with(
        copy -> {
          copy.pages = opened;
          copy.pageHeight = pixels;
        });
  }

  /** The same standing elsewhere. */
  public WindowMemory at(int left, int top, int wide, int tall) {
    return with(
        copy -> {
          copy.x = left;
          copy.y = top;
          copy.width = wide;
          copy.height = tall;
        });
  }

  /** Reads a file; what is missing or unusable in it is as usual. */
  public static WindowMemory read(Path file) {
    if (!Files.exists(file)) {
      return USUAL;
    }
    Properties read = new Properties();
    try (Reader reader = Files.newBufferedReader(file)) {
      read.load(reader);
      return new WindowMemory(
          number(read, "x", USUAL.x),
          number(read, "y", USUAL.y),
          number(read, "width", USUAL.width),
          number(read, "height", USUAL.height),
          Stage.valueOf(read.getProperty("room", USUAL.room.name())),
          Palette.valueOf(read.getProperty("palette", USUAL.palette.name())),
          number(read, "text", USUAL.textPercent),
          Boolean.parseBoolean(read.getProperty("soundings")),
          Boolean.parseBoolean(read.getProperty("pages")),
          number(read, "page-height", USUAL.pageHeight));
    } catch (IOException | IllegalArgumentException e) {
      LOG.warn("The place of the window could not be used; it is as usual", e);
      return USUAL;
    }
  }

  private static int number(Properties read, String name, int usual) {
    return Integer.parseInt(read.getProperty(name, String.valueOf(usual)));
  }

  /** Writes a file; what cannot be written is only logged, since nothing a person made is in it. */
  public void write(Path file) {
    Properties out = new Properties();
    out.setProperty("x", String.valueOf(x));
    out.setProperty("y", String.valueOf(y));
    out.setProperty("width", String.valueOf(width));
    out.setProperty("height", String.valueOf(height));
    out.setProperty("room", room.name());
    out.setProperty("palette", palette.name());
    out.setProperty("text", String.valueOf(textPercent));
    out.setProperty("soundings", String.valueOf(soundings));
    out.setProperty("page-height", String.valueOf(pageHeight));
    out.setProperty("pages", String.valueOf(pages));
    try {
      StringWriter text = new StringWriter();
      out.store(text, "West Tide");
      WholeFile.keep(file, text.toString());
    } catch (IOException e) {
      LOG.warn("The place of the window could not be written", e);
    }
  }
}
