package westtide.desktop.deliver;

/**
 * A text as one word of a command line that can be pasted into a shell: nothing in it, whatever a
 * song is called, is run or replaced there (POSIX quoting: all between single quotes is literal).
 */
final class ShellWord {
  private ShellWord() {}

  static String of(String text) {
    return text.matches("[A-Za-z0-9_./][A-Za-z0-9_./-]*")
        ? text
        : "'" + text.replace("'", "'\\''") + "'";
  }
}
