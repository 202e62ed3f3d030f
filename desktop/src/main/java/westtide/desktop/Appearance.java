package westtide.desktop;

import java.nio.file.Path;
import javafx.scene.Scene;
import westtide.desktop.kit.PageSpace;
import westtide.desktop.open.Look;
import westtide.desktop.open.Messages;
import westtide.desktop.open.WindowMemory;
import westtide.review.finding.Stage;

/** How the window looks, palette and size of text, kept from session to session with its place. */
final class Appearance {
  private static final int USUAL_TEXT = 100;

  private final Path file;
  private final Messages messages;
  private final Runnable redraw;
  private final PageSpace pages;
  private WindowMemory memory;
  private Scene scene;

  /** The appearance kept in a file; {@code redraw} shows the song anew. */
  Appearance(Path file, Messages messages, Runnable redraw) {
    this.file = file;
    this.messages = messages;
    this.redraw = redraw;
    this.memory = WindowMemory.read(file);
    this.pages = new PageSpace(memory.pages(), memory.pageHeight());
    pages.open().addListener((o, was, is) -> openPages());
  }

  /** How the window was left the last time. */
  WindowMemory memory() {
    return memory;
  }

  /** Gives the scene of the window its look. */
  void dress(Scene dressed) {
    scene = dressed;
    Look.dress(scene, memory.palette(), memory.textPercent());
  }

  /** Keeps where the window stands and which room is in front. */
  void remember(int x, int y, int width, int height, Stage front) {
    memory = withPages().at(x, y, width, height).withRoom(front);
    memory.write(file);
  }

  /** Keeps whether the soundings stand open. */
  void openSoundings(boolean opened) {
    memory = memory.withSoundings(opened);
    memory.write(file);
  }

  /** The place of the pages under the drawings; its height is kept when the window goes. */
  PageSpace pages() {
    return pages;
  }

  private void openPages() {
    memory = withPages();
    memory.write(file);
  }

  private WindowMemory withPages() {
    return memory.withPages(pages.open().get(), pages.height().get());
  }

  /** Draws the window in the other palette. */
  void otherPalette() {
    change(memory.withPalette(memory.palette().other()));
  }

  /** Makes text larger or smaller by percent. */
  void scaleText(int percent) {
    change(memory.withText(memory.textPercent() + percent));
    messages.done("Text at " + memory.textPercent() + " %.");
  }

  /** Brings text of the usual size back. */
  void usualText() {
    change(memory.withText(USUAL_TEXT));
  }

  private void change(WindowMemory changed) {
    memory = changed;
    memory.write(file);
    dress(scene);
    redraw.run();
  }
}
