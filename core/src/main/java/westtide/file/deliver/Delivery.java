package westtide.file.deliver;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import westtide.file.audio.Bounce;
import westtide.file.disk.OutputFolder;
import westtide.file.disk.UnusableFileException;
import westtide.file.disk.WholeFile;
import westtide.score.Score;
import westtide.sound.Mixdown.Watch;

/**
 * A song on its way into a folder.
 *
 * @param score the song
 * @param what as which files
 * @param options how they are written
 * @param folder where to
 */
public record Delivery(Score score, Set<Deliverable> what, DeliverOptions options, Path folder) {
  /** Copies the set. */
  public Delivery {
    what = Set.copyOf(what);
  }

  /** Every file that would be written. */
  public List<Path> files() {
    List<Path> out = new ArrayList<>();
    for (Deliverable one : Deliverable.values()) {
      if (what.contains(one)) {
        one.names(score).forEach(name -> out.add(folder.resolve(name)));
      }
    }
    return out;
  }

  /** Those of them that are there and would be replaced. */
  public List<Path> there() {
    return files().stream().filter(java.nio.file.Files::exists).toList();
  }

  /**
   * Writes them, sound first: whoever cancels it has nothing written. Empty when it was cancelled.
   *
   * @throws UnusableFileException when the folder or a file cannot be written
   */
  public Optional<List<Bounce.Written>> write(Watch watch) throws UnusableFileException {
    OutputFolder.make(folder);
    Optional<List<Bounce.Written>> sound = sound(watch);
    if (sound.isEmpty()) {
      return Optional.empty();
    }
    List<Bounce.Written> out = new ArrayList<>();
    for (Deliverable one : Deliverable.values()) {
      if (what.contains(one)) {
        for (MadeFile file : one.made(score)) {
          Path path = folder.resolve(file.name());
          WholeFile.write(path, file.bytes().apply(options));
          out.add(new Bounce.Written(path, 0));
        }
      }
    }
    out.addAll(sound.get());
    return Optional.of(out);
  }

  private Optional<List<Bounce.Written>> sound(Watch watch) throws UnusableFileException {
    boolean stems = what.contains(Deliverable.STEMS);
    if (!what.contains(Deliverable.MIX)) {
      return stems ? bounce().stems(folder, watch) : Optional.of(List.of());
    }
    Path mix = folder.resolve(Deliverable.MIX.names(score).get(0));
    return stems
        ? bounce().mixAndStems(mix, folder, watch)
        : bounce().mix(mix, watch).map(List::of);
  }

  private Bounce bounce() {
    return Bounce.of(score, options.wav());
  }
}
