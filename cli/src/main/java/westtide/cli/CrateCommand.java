package westtide.cli;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;
import westtide.crate.Crate;
import westtide.crate.CrateLoop;
import westtide.file.sound.SoundWriter;

/** Makes a loop of the crate. */
@Command(
    name = "crate",
    mixinStandardHelpOptions = true,
    description =
        "Makes an invented loop, as one finds them on records: with its own tempo, key, tuning, wear"
            + " and a moment of nothing before it. The same seed is the same loop.")
final class CrateCommand implements Callable<Integer> {
  @Option(names = "--seed", required = true, paramLabel = "N", description = "which loop")
  private long seed;

  @Option(
      names = {"-o", "--out"},
      required = true,
      paramLabel = "FILE.wav",
      description = "where it is written")
  private Path file;

  @Option(names = "--truth", description = "tells what is true of it, as JSON")
  private boolean truth;

  @Option(names = "--minor", description = "in a minor key")
  private boolean minor;

  @Option(names = "--slower", description = "a tenth slower")
  private boolean slower;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws Exception {
    Crate crate = Crate.of(seed);
    crate = minor ? crate.inMinor() : crate;
    CrateLoop loop = (slower ? crate.slower() : crate).loop();
    SoundWriter.write(loop.recording(), loop.origin(), file);
    if (truth) {
      spec.commandLine()
          .getOut()
          .println(
              new ObjectMapper().writerWithDefaultPrettyPrinter().writeValueAsString(tree(loop)));
    }
    return 0;
  }

  private static ObjectNode tree(CrateLoop loop) {
    ObjectNode out = new ObjectMapper().createObjectNode();
    out.put("begins", loop.begins())
        .put("downbeat", loop.downbeat())
        .put("tempo", loop.tempo())
        .put("bars", loop.bars())
        .put("key", loop.key().toString())
        .put("cents", loop.cents())
        .put("swing", loop.swing())
        .put("style", loop.style());
    loop.onsets().forEach(out.putArray("onsets")::add);
    out.put("rate", loop.recording().rate())
        .put("channels", loop.recording().channels())
        .put("seconds", loop.recording().seconds());
    return out;
  }
}
