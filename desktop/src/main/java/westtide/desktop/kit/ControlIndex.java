package westtide.desktop.kit;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Slider;
import javafx.scene.control.TextField;

/** The controls below a node, by the words beside them and on them, so that they can be found. */
public final class ControlIndex {
  /**
   * A control that can be found.
   *
   * @param control the control
   * @param words what it is called
   * @param more what its tooltip says
   */
  public record Entry(Control control, String words, String more) {}

  private ControlIndex() {}

  /** The controls below a node that have an id and words, in reading order. */
  public static List<Entry> of(Node root) {
    List<Entry> out = new ArrayList<>();
    add(root, "", out);
    return out;
  }

  private static void add(Node node, String before, List<Entry> out) {
    if (node instanceof Control control && node.getId() != null && found(control)) {
      String words = words(control, before);
      if (!words.isEmpty()) {
        out.add(new Entry(control, words, help(control)));
      }
    }
    if (node instanceof ScrollPane scroll && scroll.getContent() != null) {
      add(scroll.getContent(), before, out);
    } else if (node instanceof Parent parent && !(node instanceof Control)) {
      String label = before;
      for (Node child : parent.getChildrenUnmodifiable()) {
        add(child, label, out);
        label = child instanceof Label text ? text.getText() : label;
      }
    }
  }

  private static boolean found(Control control) {
    return control instanceof ButtonBase
        || control instanceof TextField
        || control instanceof Slider;
  }

  private static String words(Control control, String before) {
    if (control instanceof ListButton<?> list) {
      return list.label();
    }
    if (control instanceof ButtonBase button) {
      String text = button.getText() == null ? "" : button.getText().strip();
      return text.length() > 1 ? text : said(control);
    }
    return said(control).isEmpty() ? before.strip() : said(control);
  }

  private static String said(Control control) {
    return control.getAccessibleText() == null ? "" : control.getAccessibleText().strip();
  }

  private static String help(Control control) {
    return control.getAccessibleHelp() == null ? "" : control.getAccessibleHelp();
  }
}
