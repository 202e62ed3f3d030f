package westtide.desktop;

import javafx.scene.layout.Region;

/** Where rooms show a panel in front of the window, one at a time; Escape leaves it. */
public interface Panels {
  /** Shows a panel in the middle. */
  void open(Region panel);

  /** Takes the panel away. */
  void close();
}
