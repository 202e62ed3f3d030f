package westtide.file.audio;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import westtide.file.FileNames;
import westtide.file.disk.UnusableFileException;
import westtide.file.disk.WholeFile;
import westtide.file.midi.MidiFile;
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
    return new Pass(List.of(new Target(path, Optional.empty())), watch)
        .write()
        .map(written -> written.get(0));
  }

  /**
   * Writes a stem for each part that plays, all in one pass, under the names of {@link FileNames};
   * empty when it was cancelled, and then nothing is left.
   *
   * @throws UnusableFileException when the folder cannot be written
   */
  public Optional<List<Written>> stems(Path folder, Watch watch) throws UnusableFileException {
    return new Pass(targets(folder), watch).write();
  }

  /**
   * Writes the mix and then the stems, all in one pass; empty when it was cancelled, and then
   * nothing is left.
   *
   * @throws UnusableFileException when a place cannot be written
   */
  public Optional<List<Written>> mixAndStems(Path mix, Path folder, Watch watch)
      throws UnusableFileException {
    List<Target> all = new ArrayList<>(targets(folder));
    all.add(0, new Target(mix, Optional.empty()));
    return new Pass(all, watch).write();
  }

  private List<Target> targets(Path folder) {
    return MidiFile.playing(score).stream()
        .map(ScoredPart::part)
        .map(
            part ->
                new Target(
                    folder.resolve(FileNames.wav(score.song(), part)), Optional.of(part.id())))
        .toList();
  }

  /** A file to be: of a part, or of the mix. */
  private record Target(Path path, Optional<PartId> part) {}

  /** The files of one pass, each opened inside the one before, so that all are there or none. */
  private final class Pass {
    private final List<Target> targets;
    private final Watch watch;
    private final Map<PartId, Mixdown.Sink> stems = new LinkedHashMap<>();
    private final List<WavWriter> writers = new ArrayList<>();
    private Optional<Mixdown.Sink> mix = Optional.empty();

    Pass(List<Target> targets, Watch watch) {
      this.targets = targets;
      this.watch = watch;
    }

    Optional<List<Written>> write() throws UnusableFileException {
      if (!targets.isEmpty() && !file(0)) {
        return Optional.empty();
      }
      List<Written> out = new ArrayList<>();
      for (int i = 0; i < targets.size(); i++) {
        out.add(written(targets.get(i).path(), writers.get(i).peak()));
      }
      return Optional.of(out);
    }

    private boolean file(int index) throws UnusableFileException {
      Target target = targets.get(index);
      return WholeFile.write(
          target.path(),
          out -> {
            WavWriter writer = new WavWriter(out, format, mixdown.frames());
            writers.add(writer);
            take(target, writer::write);
            return index + 1 == targets.size() ? render() : file(index + 1);
          });
    }

    private void take(Target target, Mixdown.Sink sink) {
      target.part().ifPresentOrElse(part -> stems.put(part, sink), () -> mix = Optional.of(sink));
    }

    private boolean render() throws IOException {
      return mix.isPresent()
          ? mixdown.mixAndStems(mix.get(), stems, watch)
          : mixdown.stems(stems, watch);
    }
  }

  private static Written written(Path path, double peak) {
    return new Written(path, Math.max(0, 20 * Math.log10(Math.max(1, peak))));
  }
}
