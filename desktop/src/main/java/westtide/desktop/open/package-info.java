/**
 * The open song with its history and selection, and what every part of the window shares: messages,
 * panels in front, preferences, the look, and work done beside the window.
 */
package westtide.desktop.open;
