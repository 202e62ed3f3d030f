package westtide.file;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.file.disk.UnusableFileException;
import westtide.file.disk.WholeFile;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.song.Song;
import westtide.sound.Mixdown;
import westtide.sound.Mixdown.Watch;

/**
 * A song written as WAV files: the mix through its limiter, and stems, which add up to what enters
 * that limiter. The same song gives the same bytes.
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
   * Writes a stem for each part that plays, under the names of {@link FileNames}; empty when it was
   * cancelled, and then the stems finished so far are left.
   *
   * @throws UnusableFileException when the folder cannot be written
   */
  public Optional<List<Written>> stems(Path folder, Watch watch) throws UnusableFileException {
    List<ScoredPart> playing = MidiFile.playing(score);
    Song song = score.song();
    List<Written> out = new ArrayList<>();
    for (ScoredPart part : playing) {
      Path path = folder.resolve(FileNames.wav(song, part.part()));
      int done = out.size();
      Watch share =
          new Watch(
              watch.cancelled(), each -> watch.progress().accept((done + each) / playing.size()));
      Optional<Written> stem =
          write(path, (sink, w) -> mixdown.stem(part.part().id(), sink, w), share);
      if (stem.isEmpty()) {
        return Optional.empty();
      }
      out.add(stem.get());
    }
    return Optional.of(out);
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
    return Optional.of(new Written(path, Math.max(0, 20 * Math.log10(Math.max(1, peak[0])))));
  }
}
