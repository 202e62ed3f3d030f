package westtide.desktop.open;

import javafx.scene.layout.Region;

/** Where rooms show a panel in front of the window, one at a time; Escape leaves it. */
public interface Panels {
  /** Shows a panel in the middle. */
  public void open(Region panel);

  /** Takes the panel away. */
  public void close();
}
