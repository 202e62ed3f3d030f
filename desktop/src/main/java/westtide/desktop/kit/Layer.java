package westtide.desktop.kit;

/**
 * A pane over the whole window that keeps the focus inside while it is open. What floats beside one
 * of its controls floats on it.
 */
public interface Layer {}
