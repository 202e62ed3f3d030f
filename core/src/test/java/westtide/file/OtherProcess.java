package westtide.file;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.Songs;
import westtide.song.Song;
import westtide.song.edit.BriefEdits;

/** A process of its own that works with a song: the one that is killed, or has it open. */
final class OtherProcess implements AutoCloseable {
  private final Process process;
  private final BufferedReader said;

  private OtherProcess(Process process) {
    this.process = process;
    this.said =
        new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
  }

  static OtherProcess start(String work, Path folder) throws IOException {
    List<String> command = new ArrayList<>();
    command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
    command.addAll(
        List.of("-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC", "-Xshare:auto", "-Xmx256m"));
    command.addAll(List.of("-cp", System.getProperty("java.class.path")));
    command.addAll(List.of(OtherProcess.class.getName(), work, folder.toString()));
    Process process =
        new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD).start();
    return new OtherProcess(process);
  }

  long number() {
    return process.pid();
  }

  /** The next line it says; waits for it. */
  String next() throws IOException {
    return said.readLine();
  }

  /** Kills it as a power cut would, and gives the last whole line it said. */
  String kill() throws IOException {
    process.toHandle().destroyForcibly();
    process.onExit().join();
    String last = "";
    for (String line = said.readLine(); line != null; line = said.readLine()) {
      last = line;
    }
    return last;
  }

  @Override
  public void close() throws IOException {
    kill();
  }

  /** What it does: {@code edit} for ever, or {@code hold} a song open. */
  public static void main(String[] words) throws Exception {
    Path folder = Path.of(words[1]);
    Path file = folder.resolve("song.tide");
    Recovery recovery = Recovery.in(folder.resolve("unsaved"), Clock.systemUTC());
    Song song = Songs.draft("trap", 1);
    if (words[0].equals("hold")) {
      SongLock.Answer answer = SongLock.of(file, Clock.systemUTC());
      recovery.keep(song, Optional.of(file));
      System.out.println(answer.lock().isPresent() ? "held" : "not held");
      Thread.sleep(Long.MAX_VALUE);
    }
    SongVersions versions = new SongVersions(folder.resolve("versions"), Clock.systemUTC());
    for (int i = 1; ; i++) {
      song = BriefEdits.title("Edit " + i).apply(song);
      recovery.keep(song, Optional.of(file));
      System.out.println("kept " + i);
      if (i % 3 == 0) {
        SongFile.write(song, file);
        System.out.println("saved " + i);
        versions.keep(song, file);
      }
    }
  }
}
