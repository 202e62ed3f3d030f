package westtide.file.disk;

import java.io.IOException;
import westtide.text.Plain;

/** A file that cannot be used; the message is one plain sentence for the person who chose it. */
public final class UnusableFileException extends IOException {
  private static final long serialVersionUID = 1L;
  private static final int LONGEST = 600;

  /** With the sentence and what lies behind it, for the log. */
  public UnusableFileException(String sentence, Throwable cause) {
    super(Plain.of(sentence, LONGEST), cause);
  }
}
