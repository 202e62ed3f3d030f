/**
 * The workbench of lines: a pattern of any pitched part over the chords heard where it plays, its
 * notes by mouse, keys and text, its patterns, and what can be made of chosen notes. Rooms give it
 * their own drawing.
 */
package westtide.desktop.line;
