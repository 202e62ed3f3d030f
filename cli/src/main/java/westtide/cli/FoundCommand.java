package westtide.cli;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import westtide.file.sound.SoundFile;
import westtide.found.FoundFacts;
import westtide.song.found.Recording;
import westtide.theory.Key;
import westtide.theory.KeyFinder;

/** Tells what a loop that was found is. */
@Command(
    name = "found",
    mixinStandardHelpOptions = true,
    description =
        "Tells what a loop is: where it begins, its tempo, bars, key, tuning and onsets. Reads WAV,"
            + " AIFF and FLAC.")
final class FoundCommand implements Callable<Integer> {
  private static final int KEYS = 5;

  @Parameters(paramLabel = "FILE.wav", description = "the loop")
  private Path file;

  @Option(names = "--json", description = "as JSON, with every onset")
  private boolean json;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws Exception {
    SoundFile.Sound sound = SoundFile.read(file);
    FoundFacts facts = FoundFacts.of(sound.recording(), sound.notes());
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      out.println(
          new ObjectMapper()
              .writerWithDefaultPrettyPrinter()
              .writeValueAsString(tree(sound, facts)));
    } else {
      tell(sound, facts, out);
    }
    return 0;
  }

  private static void tell(SoundFile.Sound sound, FoundFacts facts, PrintWriter out) {
    Recording recording = sound.recording();
    out.printf(
        Locale.ROOT,
        "%s: %.2f s, %d Hz, %s%n",
        recording.name(),
        recording.seconds(),
        recording.rate(),
        recording.channels() == 1 ? "mono" : "stereo");
    out.printf(
        Locale.ROOT,
        "begins at %.3f s, first downbeat at %.3f s%n",
        facts.begins(),
        facts.downbeat());
    out.printf(Locale.ROOT, "%d bars at %.2f BPM; %s%n", facts.bars(), facts.tempo(), tempi(facts));
    out.printf(Locale.ROOT, "%s%n", facts.keys().isEmpty() ? "no key found" : keys(facts));
    out.printf(Locale.ROOT, "%+.0f cents off the tempered scale%n", facts.cents());
    out.printf(Locale.ROOT, "%d onsets%n", facts.onsets().size());
    if (!sound.notes().origin().line().isEmpty()) {
      out.println("says of itself: " + sound.notes().origin().line());
    }
  }

  private static String tempi(FoundFacts facts) {
    return facts.tempos().stream()
        .map(
            guess ->
                String.format(
                    Locale.ROOT,
                    "%.2f (%d bars) %.0f %%",
                    guess.bpm(),
                    guess.bars(),
                    100 * guess.sure()))
        .collect(Collectors.joining(", "));
  }

  private static String keys(FoundFacts facts) {
    return facts.keys().stream()
        .limit(2)
        .map(guess -> String.format(Locale.ROOT, "%s %.0f %%", guess.key(), 100 * guess.sureness()))
        .collect(Collectors.joining(", or "));
  }

  private static ObjectNode tree(SoundFile.Sound sound, FoundFacts facts) {
    ObjectNode out = new ObjectMapper().createObjectNode();
    Recording recording = sound.recording();
    out.put("begins", seconds(facts.begins()))
        .put("ends", seconds(facts.ends()))
        .put("downbeat", seconds(facts.downbeat()))
        .put("tempo", facts.tempo())
        .put("bars", facts.bars());
    ArrayNode tempos = out.putArray("tempos");
    facts
        .tempos()
        .forEach(
            guess ->
                tempos
                    .addObject()
                    .put("tempo", guess.bpm())
                    .put("bars", guess.bars())
                    .put("sure", guess.sure()));
    out.put("key", facts.key().map(Key::toString).orElse(null));
    ArrayNode keys = out.putArray("keys");
    for (KeyFinder.Guess guess : facts.keys().stream().limit(KEYS).toList()) {
      keys.addObject().put("key", guess.key().toString()).put("sure", guess.sureness());
    }
    out.put("cents", Math.round(10 * facts.cents()) / 10.0);
    ArrayNode onsets = out.putArray("onsets");
    facts.onsets().forEach(onset -> onsets.add(seconds(onset)));
    out.put("rate", recording.rate())
        .put("channels", recording.channels())
        .put("seconds", recording.seconds());
    return out;
  }

  /** To a tenth of a millisecond. */
  private static double seconds(double exact) {
    return Math.round(10_000 * exact) / 10_000.0;
  }
}
