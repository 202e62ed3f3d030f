package westtide.desktop.room;

import javafx.scene.Node;

/**
 * A part of a room whose controls can be found by name.
 *
 * @param root the node they are in
 * @param show brings it in front, once its room is
 */
public record Searched(Node root, Runnable show) {}
