package westtide.file;

import java.io.IOException;

/** A file that cannot be used; the message is one plain sentence for the person who chose it. */
public final class UnusableFileException extends IOException {
  private static final long serialVersionUID = 1L;

  /** With the sentence and what lies behind it, for the log. */
  public UnusableFileException(String sentence, Throwable cause) {
    super(sentence, cause);
  }
}
