/**
 * The sheet a session begins with: styles in families with a bar of their drums drawn and held to
 * be heard, songs with their energy drawn, and what a crash left. What is chosen is handed over.
 */
package westtide.desktop.frame.start;
