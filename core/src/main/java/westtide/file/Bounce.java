package westtide.file;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import westtide.file.disk.UnusableFileException;
import westtide.file.disk.WholeFile;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.song.id.PartId;
import westtide.sound.Mixdown;
import westtide.sound.Mixdown.Watch;

/**
 * A song written as WAV files: the mix through its bus and limiter, and stems, which add up to what
 * enters that limiter. The same song gives the same bytes.
 */
public final class Bounce {
  private final Score score;
  private final WavFormat format;
  private final Mixdown mixdown;

  /**
   * A file that was written.
   *
   * @param path where
   * @param over how far its loudest sample went over full scale, in dB; 0 when it fitted. What goes
   *     over is cut off, so the part should be turned down
   */
  public record Written(Path path, double over) {}

  /** One pass of rendering. */
  @FunctionalInterface
  private interface Pass {
    boolean run(Mixdown.Sink sink, Watch watch) throws IOException;
  }

  private Bounce(Score score, WavFormat format) {
    this.score = score;
    this.format = format;
    this.mixdown = Mixdown.of(score, format.rate());
  }

  /** The bounce of a score. */
  public static Bounce of(Score score, WavFormat format) {
    return new Bounce(score, format);
  }

  /**
   * Writes the mix; empty when it was cancelled, and then nothing is left.
   *
   * @throws UnusableFileException when the place cannot be written
   */
  public Optional<Written> mix(Path path, Watch watch) throws UnusableFileException {
    return write(path, mixdown::mix, watch);
  }

  /**
   * Writes a stem for each part that plays, all in one pass, under the names of {@link FileNames};
   * empty when it was cancelled, and then nothing is left.
   *
   * @throws UnusableFileException when the folder cannot be written
   */
  public Optional<List<Written>> stems(Path folder, Watch watch) throws UnusableFileException {
    Map<PartId, Path> paths = new LinkedHashMap<>();
    for (ScoredPart part : MidiFile.playing(score)) {
      paths.put(part.part().id(), folder.resolve(FileNames.wav(score.song(), part.part())));
    }
    return new Stems(new ArrayList<>(paths.entrySet()), watch).write();
  }

  /** The files of all stems, each opened inside the one before, so that all are there or none. */
  private final class Stems {
    private final List<Map.Entry<PartId, Path>> paths;
    private final Watch watch;
    private final Map<PartId, Mixdown.Sink> sinks = new LinkedHashMap<>();
    private final List<WavWriter> writers = new ArrayList<>();

    Stems(List<Map.Entry<PartId, Path>> paths, Watch watch) {
      this.paths = paths;
      this.watch = watch;
    }

    Optional<List<Written>> write() throws UnusableFileException {
      if (!paths.isEmpty() && !file(0)) {
        return Optional.empty();
      }
      List<Written> out = new ArrayList<>();
      for (int i = 0; i < paths.size(); i++) {
        out.add(written(paths.get(i).getValue(), writers.get(i).peak()));
      }
      return Optional.of(out);
    }

    private boolean file(int index) throws UnusableFileException {
      return WholeFile.write(
          paths.get(index).getValue(),
          out -> {
            WavWriter writer = new WavWriter(out, format, mixdown.frames());
            writers.add(writer);
            sinks.put(paths.get(index).getKey(), writer::write);
            return index + 1 == paths.size() ? mixdown.stems(sinks, watch) : file(index + 1);
          });
    }
  }

  private static Written written(Path path, double peak) {
    return new Written(path, Math.max(0, 20 * Math.log10(Math.max(1, peak))));
  }

  private Optional<Written> write(Path path, Pass pass, Watch watch) throws UnusableFileException {
    double[] peak = {0};
    boolean whole =
        WholeFile.write(
            path,
            out -> {
              WavWriter writer = new WavWriter(out, format, mixdown.frames());
              boolean finished = pass.run(writer::write, watch);
              peak[0] = writer.peak();
              return finished;
            });
    if (!whole) {
      return Optional.empty();
    }
    return Optional.of(written(path, peak[0]));
  }
}
