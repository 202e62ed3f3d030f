package westtide.desktop.room;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import westtide.desktop.kit.Pages;

/**
 * A part of a room whose controls can be found by name.
 *
 * @param root the node they are in
 * @param show brings it in front, once its room is
 */
public record Searched(Node root, Runnable show) {
  /** A sheet, and the pages below it of which one is in front. */
  public static List<Searched> of(Node sheet, Pages<?> pages) {
    List<Searched> out = new ArrayList<>(List.of(new Searched(sheet, () -> {})));
    addPages(pages, out);
    return out;
  }

  private static <S> void addPages(Pages<S> pages, List<Searched> out) {
    pages.all().forEach(page -> out.add(new Searched(page.node(), () -> pages.turnTo(page))));
  }
}
