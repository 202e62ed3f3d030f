/** What surrounds the rooms: bridge, course, soundings, tide chart, start sheet and search. */
package westtide.desktop.frame;
