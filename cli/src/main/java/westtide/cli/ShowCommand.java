package westtide.cli;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Tells what is in a song. */
@Command(
    name = "show",
    mixinStandardHelpOptions = true,
    description = "Tells what is in a song: brief, progressions, parts, form, and its notes.")
final class ShowCommand implements Callable<Integer> {
  @Parameters(paramLabel = "FILE.tide", description = "the song")
  private Path file;

  @Option(names = "--json", description = "as JSON, with brief, progressions, parts and form")
  private boolean json;

  @Option(names = "--notes", description = "every note with its place, key, velocity and source")
  private boolean notes;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws Exception {
    PrintWriter out = spec.commandLine().getOut();
    SongTree tree = new SongTree(OpenedSong.in(file, spec.commandLine().getErr()));
    if (json) {
      out.println(
          new ObjectMapper().writerWithDefaultPrettyPrinter().writeValueAsString(tree.json(notes)));
    } else {
      new SongText(tree.json(notes), out).print();
    }
    return 0;
  }
}
