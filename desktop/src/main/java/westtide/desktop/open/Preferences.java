package westtide.desktop.open;

import java.io.IOException;
import java.io.Reader;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Properties;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import westtide.file.disk.WholeFile;

/**
 * What a person set about the application itself, kept from one session to the next.
 *
 * @param listeningDb the listening level in dB, −60 to 0
 * @param breakMinutes minutes of listening after which a break is suggested; 0 for never
 * @param countIn whether playing is counted in
 * @param metronome whether every beat clicks
 */
public record Preferences(int listeningDb, int breakMinutes, boolean countIn, boolean metronome) {
  /** What is set until a person changes it. */
  public static final Preferences USUAL = new Preferences(-20, 45, false, false);

  /** The quietest listening level in dB. */
  public static final int QUIETEST = -60;

  /** The longest time until a break, in minutes. */
  public static final int LONGEST = 240;

  private static final Logger LOG = LoggerFactory.getLogger(Preferences.class);

  /** Checks the ranges. */
  public Preferences {
    if (listeningDb < QUIETEST || listeningDb > 0) {
      throw new IllegalArgumentException(
          "a listening level is -60 to 0 dB, but was " + listeningDb);
    }
    if (breakMinutes < 0 || breakMinutes > LONGEST) {
      throw new IllegalArgumentException(
          "a break comes after 1 to 240 minutes, or 0 for never, but was " + breakMinutes);
    }
  }

  /** The same at another listening level, held inside −60 to 0 dB. */
  public Preferences withListeningDb(int decibels) {
    int held = Math.max(QUIETEST, Math.min(0, decibels));
    return new Preferences(held, breakMinutes, countIn, metronome);
  }

  /** The same with a break after other minutes. */
  public Preferences withBreakMinutes(int minutes) {
    return new Preferences(listeningDb, minutes, countIn, metronome);
  }

  /** The same with or without a count-in. */
  public Preferences withCountIn(boolean on) {
    return new Preferences(listeningDb, breakMinutes, on, metronome);
  }

  /** The same with or without clicks. */
  public Preferences withMetronome(boolean on) {
    return new Preferences(listeningDb, breakMinutes, countIn, on);
  }

  /** Reads a file; what is missing or unusable in it is as usual. */
  public static Preferences read(Path file) {
    Properties read = new Properties();
    if (Files.exists(file)) {
      try (Reader reader = Files.newBufferedReader(file)) {
        read.load(reader);
        return new Preferences(
            Integer.parseInt(read.getProperty("listening", "-20")),
            Integer.parseInt(read.getProperty("break", "45")),
            Boolean.parseBoolean(read.getProperty("count-in", "false")),
            Boolean.parseBoolean(read.getProperty("metronome", "false")));
      } catch (IOException | IllegalArgumentException e) {
        LOG.warn("The preferences could not be used; they are as usual", e);
      }
    }
    return USUAL;
  }

  /** Writes a file; what cannot be written is only logged, since nothing a person made is in it. */
  public void write(Path file) {
    Properties out = new Properties();
    out.setProperty("listening", String.valueOf(listeningDb));
    out.setProperty("break", String.valueOf(breakMinutes));
    out.setProperty("count-in", String.valueOf(countIn));
    out.setProperty("metronome", String.valueOf(metronome));
    try {
      StringWriter text = new StringWriter();
      out.store(text, "West Tide");
      WholeFile.keep(file, text.toString());
    } catch (IOException e) {
      LOG.warn("The preferences could not be written", e);
    }
  }
}
