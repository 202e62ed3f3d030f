package westtide.cli;

import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import westtide.file.MidiFile;
import westtide.file.SongFile;
import westtide.score.Score;

/** Writes a song as MIDI. */
@Command(name = "export", description = "Writes a song as MIDI, whole or one file a part.")
final class ExportCommand implements Callable<Integer> {
  @Parameters(paramLabel = "FILE.tide", description = "the song")
  private Path song;

  @Option(names = "--midi", paramLabel = "FILE.mid", description = "the whole song")
  private Path midi;

  @Option(names = "--parts", paramLabel = "DIR", description = "one file for each part that plays")
  private Path parts;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws Exception {
    if (midi == null && parts == null) {
      throw new IllegalArgumentException("say what to write: --midi FILE.mid, --parts DIR or both");
    }
    PrintWriter out = spec.commandLine().getOut();
    Score score = Score.of(SongFile.read(song));
    if (midi != null) {
      MidiFile.write(score, midi);
      out.println(midi);
    }
    if (parts != null) {
      Files.createDirectories(parts);
      MidiFile.writeParts(score, parts).forEach(out::println);
    }
    return 0;
  }
}
