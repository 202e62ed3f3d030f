package westtide.cli;

import java.nio.file.Path;
import java.time.Clock;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import westtide.file.SongFile;
import westtide.file.SongVersions;
import westtide.file.disk.Folders;
import westtide.song.Song;

/** Brings a loop into a song. */
@Command(
    name = "add",
    mixinStandardHelpOptions = true,
    description =
        "Brings a loop into a song as a part. The song as it was stays among its versions; the loop"
            + " is kept beside it in NAME.tide.d.")
final class AddCommand implements Callable<Integer> {
  @Parameters(paramLabel = "FILE.tide", description = "the song")
  private Path file;

  @Mixin private FoundOptions found;

  @Option(
      names = "-o",
      paramLabel = "FILE.tide",
      description = "writes to another file; the song stays as it is")
  private Path out;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws Exception {
    Song song = OpenedSong.in(file, spec.commandLine().getErr()).song();
    FoundOptions.Read read = found.read();
    Song added = found.into(song, read);
    if (out == null) {
      Path versions = Folders.ofUser().data().resolve(SongVersions.FOLDER);
      new SongVersions(versions, Clock.systemUTC()).keepReplaced(file);
    }
    SongFile.write(added, out == null ? file : out);
    spec.commandLine().getOut().println(found.told(added, read));
    return 0;
  }
}
