package westtide.cli;

import java.io.IOException;
import java.io.PrintWriter;
import org.slf4j.LoggerFactory;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/** The entry of the command line; exit status 0 done, 2 wrong words or an unusable file. */
@Command(
    name = "west-tide",
    mixinStandardHelpOptions = true,
    version = "West Tide 0.1.0",
    description = "Programs a beat in MIDI.",
    subcommands = {
      StylesCommand.class,
      NewCommand.class,
      ShowCommand.class,
      ExportCommand.class,
      CommandLine.HelpCommand.class
    })
public final class Main {
  private static final int WRONG = 2;

  /** Runs the words and ends the process. */
  public static void main(String[] words) {
    System.exit(run(new PrintWriter(System.out, true), new PrintWriter(System.err, true), words));
  }

  /** Runs the words, printing to the given places, and returns the exit status. */
  static int run(PrintWriter out, PrintWriter err, String... words) {
    CommandLine line = new CommandLine(new Main());
    line.setCaseInsensitiveEnumValuesAllowed(true);
    line.setOut(out);
    line.setErr(err);
    line.setParameterExceptionHandler((e, args) -> fail(err, e.getMessage()));
    line.setExecutionExceptionHandler((e, command, result) -> failed(err, e));
    if (words.length == 0) {
      line.usage(out);
      return WRONG;
    }
    return line.execute(words);
  }

  private static int failed(PrintWriter err, Exception e) {
    LoggerFactory.getLogger(Main.class).debug("The command failed", e);
    if (e instanceof IllegalArgumentException || e instanceof IOException) {
      return fail(err, e.getMessage());
    }
    return fail(err, "something unexpected went wrong; the log file says more.");
  }

  private static int fail(PrintWriter err, String message) {
    String first = message.lines().findFirst().orElse("the command could not be run");
    err.println("west-tide: " + first);
    return WRONG;
  }
}
