/** The sheet of a sound that was found: where it begins, how it fits, its key, its pieces. */
package westtide.desktop.found;
