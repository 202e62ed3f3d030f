/** The command line: words in, files and one-line answers out, by the same core the window uses. */
package westtide.cli;
