package westtide.desktop;

import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import javafx.scene.Scene;
import javafx.scene.input.DragEvent;
import javafx.scene.input.TransferMode;
import westtide.file.SongFile;
import westtide.file.sound.SoundFile;

/** Files that are dragged onto the window: a song is opened, a sound becomes a part. */
final class DroppedFiles {
  private final Consumer<Path> songs;
  private final Consumer<Path> sounds;

  private DroppedFiles(Consumer<Path> songs, Consumer<Path> sounds) {
    this.songs = songs;
    this.sounds = sounds;
  }

  static void on(Scene scene, Consumer<Path> songs, Consumer<Path> sounds) {
    DroppedFiles taken = new DroppedFiles(songs, sounds);
    scene.addEventHandler(DragEvent.DRAG_OVER, taken::over);
    scene.addEventHandler(DragEvent.DRAG_DROPPED, taken::dropped);
  }

  private static boolean isSong(Path path) {
    return path.toString().toLowerCase(Locale.ROOT).endsWith(SongFile.ENDING);
  }

  private void over(DragEvent event) {
    boolean ours =
        event.getDragboard().hasFiles()
            && event.getDragboard().getFiles().stream()
                .map(File::toPath)
                .anyMatch(path -> isSong(path) || SoundFile.isCalledSo(path));
    if (ours) {
      event.acceptTransferModes(TransferMode.COPY);
      event.consume();
    }
  }

  private void dropped(DragEvent event) {
    if (event.getDragboard().hasFiles()) {
      take(event.getDragboard().getFiles().stream().map(File::toPath).toList());
      event.setDropCompleted(true);
      event.consume();
    }
  }

  /** The first song is opened; where there is none, every sound comes in. */
  void take(List<Path> files) {
    files.stream()
        .filter(DroppedFiles::isSong)
        .findFirst()
        .ifPresentOrElse(songs, () -> files.stream().filter(SoundFile::isCalledSo).forEach(sounds));
  }
}
