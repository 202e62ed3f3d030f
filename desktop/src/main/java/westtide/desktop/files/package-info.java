/** Songs, grooves and styles as files of this machine, and keeping unsaved work. */
package westtide.desktop.files;
