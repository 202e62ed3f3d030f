/** Controls and drawing shared by the rooms: axes, marks, the typed line, chips and fields. */
package westtide.desktop.kit;
