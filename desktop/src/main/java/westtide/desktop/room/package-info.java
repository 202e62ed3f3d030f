/** What a room is, what it works with, and the commands it brings. */
package westtide.desktop.room;
