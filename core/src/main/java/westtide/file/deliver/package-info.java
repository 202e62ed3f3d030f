/** What a song is delivered as: every format once, for the window and the command line. */
package westtide.file.deliver;
