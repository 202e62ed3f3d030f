package westtide.cli;

import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.Charset;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.stream.Stream;
import org.slf4j.LoggerFactory;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import westtide.file.SongFile;
import westtide.file.disk.Folders;
import westtide.text.Plain;

/** The entry of the command line; exit status 0 done, 2 wrong words or an unusable file. */
@Command(
    name = "west-tide",
    mixinStandardHelpOptions = true,
    versionProvider = Version.class,
    description = "Programs a beat in MIDI.",
    subcommands = {
      StylesCommand.class,
      NewCommand.class,
      ShowCommand.class,
      ExportCommand.class,
      AddCommand.class,
      FoundCommand.class,
      CrateCommand.class,
      CommandLine.HelpCommand.class
    })
public final class Main {
  private static final int WRONG = 2;
  private static final int LONGEST = 600;

  /** Runs the words and ends the process. */
  public static void main(String[] words) {
    Folders.ofUser();
    CheckedOutput checked = new CheckedOutput(new FileOutputStream(FileDescriptor.out));
    PrintWriter out = new PrintWriter(checked, true, Charset.defaultCharset());
    PrintWriter err = new PrintWriter(System.err, true);
    int status = run(out, err, words);
    out.flush();
    System.exit(checked.failure().map(why -> fail(err, why)).orElse(status));
  }

  /** Runs the words, printing to the given places, and returns the exit status. */
  static int run(PrintWriter out, PrintWriter err, String... words) {
    CommandLine line = new CommandLine(new Main());
    ExportCommand.addDeliverables(line.getSubcommands().get("export").getCommandSpec());
    line.setCaseInsensitiveEnumValuesAllowed(true);
    line.registerConverter(Path.class, Main::path);
    line.setOut(out);
    line.setErr(err);
    line.setParameterExceptionHandler(
        (e, args) -> fail(err, readAsOption(args).orElseGet(e::getMessage)));
    line.setExecutionExceptionHandler((e, command, result) -> failed(err, e));
    if (words.length == 0) {
      line.usage(out);
      return WRONG;
    }
    try {
      return line.execute(words);
    } catch (OutOfMemoryError e) {
      return fail(err, "there is not enough memory for that.");
    } catch (Error e) {
      return failed(err, e);
    }
  }

  /** What to say where a song is called like an option; empty where none is. */
  private static Optional<String> readAsOption(String... words) {
    return Stream.of(words)
        .takeWhile(word -> !word.equals("--"))
        .filter(word -> word.startsWith("-") && word.endsWith(SongFile.ENDING))
        .findFirst()
        .map(
            word ->
                "\""
                    + word
                    + "\" begins with a dash and is read as an option; write ./"
                    + word
                    + ".");
  }

  /** What stands for letters of a file name that are in no encoding this process knows. */
  private static final char UNREADABLE = '\uFFFD';

  private static Path path(String text) {
    if (text.indexOf(UNREADABLE) >= 0) {
      throw new CommandLine.TypeConversionException(
          "\""
              + Plain.of(text)
              + "\" has letters that are not UTF-8, by which no file is found; rename it first");
    }
    try {
      return Path.of(text);
    } catch (InvalidPathException e) {
      throw new CommandLine.TypeConversionException("\"" + Plain.of(text) + "\" is no path");
    }
  }

  private static int failed(PrintWriter err, Throwable e) {
    LoggerFactory.getLogger(Main.class).debug("The command failed", e);
    if (e instanceof IllegalArgumentException || e instanceof IOException) {
      return fail(err, e.getMessage());
    }
    return fail(
        err,
        "something unexpected went wrong; "
            + System.getProperty(Folders.PROPERTY, "the log folder")
            + "/west-tide-cli.log says more.");
  }

  private static int fail(PrintWriter err, String message) {
    String told = message == null ? "the command could not be run" : message;
    err.println("west-tide: " + Plain.of(told, LONGEST));
    return WRONG;
  }
}
