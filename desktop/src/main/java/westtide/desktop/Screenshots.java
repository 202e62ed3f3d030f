package westtide.desktop;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Set;
import java.util.function.BooleanSupplier;
import javafx.animation.AnimationTimer;
import javafx.scene.Scene;
import javafx.scene.control.ToggleButton;
import javafx.scene.image.WritableImage;
import javax.imageio.ImageIO;
import westtide.desktop.files.DemoSongs;
import westtide.review.finding.Stage;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.PartNames;
import westtide.song.edit.part.PartEdits;
import westtide.song.id.PartId;

/** Writes a picture of every main view from the demo songs. */
final class Screenshots {
  private static final int SETTLING_FRAMES = 8;

  /** The tick at which the picture of playing is taken: bar 12, beat 3, once words have gone. */
  private static final double PLAYED_TO = 11.5 * 3840 + 100;

  /** A view, how it is shown and when it is ready for its picture. */
  private record View(String name, Runnable show, BooleanSupplier ready) {
    View(String name, Runnable show) {
      this(name, show, () -> true);
    }
  }

  private final Shell shell;
  private final Scene scene;
  private final Path folder;
  private final List<Song> demos = DemoSongs.all();
  private final Deque<View> views = new ArrayDeque<>();

  Screenshots(Shell shell, Scene scene, Path folder) {
    this.shell = shell;
    this.scene = scene;
    this.folder = folder;
    views.add(new View("start", shell::showStart));
    for (Stage stage : Stage.values()) {
      String name = stage.toString().toLowerCase().replace(' ', '-');
      boolean heard = stage == Stage.LOW_END || stage == Stage.FORM || stage == Stage.LEVELS;
      views.add(new View(name, () -> show(demos.get(0), stage), () -> !heard || measured()));
    }
    views.add(new View("find-an-action", shell::find));
    views.add(new View("calculators", () -> shell.run("bench")));
    views.add(new View("listening", shell::listening));
    views.add(new View("playing", this::play, () -> shell.play().gauges().tick() > PLAYED_TO));
    views.add(
        new View(
            "found",
            () -> act(demos.get(2), Stage.LINES, "bring-crate"),
            () -> scene.lookup("#piece-3") != null && scene.lookup(".loop-wave") != null));
    views.add(new View("ensemble", () -> show(ensemble(demos.get(1)), Stage.FORM)));
    views.add(new View("chords-next", () -> chords(demos.get(2), "next chord")));
    views.add(new View("brief-plan", () -> act(demos.get(0), Stage.BRIEF, "brief-plan")));
    views.add(
        new View(
            "three-drafts",
            () -> act(demos.get(0), Stage.BRIEF, "three-drafts"),
            () -> scene.lookup("#draft-take-3") != null));
    views.add(new View("drums-eight", this::eightBars));
  }

  /** Takes them one after another, each once the window has settled, and then runs the end. */
  void take(Runnable end) {
    new AnimationTimer() {
      private int frames;
      private View shown;

      @Override
      public void handle(long now) {
        if (shown == null) {
          if (views.isEmpty()) {
            stop();
            end.run();
            return;
          }
          shown = views.poll();
          shell.appearance().pages().open().set(false);
          shown.show().run();
          frames = 0;
        } else if (++frames >= SETTLING_FRAMES && shown.ready().getAsBoolean()) {
          write(shown.name());
          shown = null;
        }
      }
    }.start();
  }

  private void show(Song song, Stage stage) {
    if (!shell.open().isOpen() || shell.open().song() != song) {
      shell.begin(song);
    }
    shell.go(stage);
  }

  private void act(Song song, Stage stage, String command) {
    shell.closeOverlay();
    show(song, stage);
    shell.run(command);
  }

  private void chords(Song song, String page) {
    shell.closeOverlay();
    show(song, Stage.CHORDS);
    shell.run("chords-" + page.replace(' ', '-'));
  }

  private void eightBars() {
    act(demos.get(2), Stage.DRUMS, "drums-eight-bars");
    ((ToggleButton) scene.lookup("#groove-a-eight-bars-2")).fire();
    ((ToggleButton) scene.lookup("#look-all-bars")).fire();
  }

  /** The song with a copy of each part and a double of the bass and of the line. */
  private static Song ensemble(Song song) {
    Song out = song;
    for (Part part : song.parts()) {
      out = new PartEdits(part.id()).duplicate(PartNames.freeId(out, part.role())).apply(out);
    }
    for (Role role : List.of(Role.LINE, Role.BASS)) {
      Part part = song.parts(role).get(0);
      PartId id = PartNames.freeId(out, role);
      out = new PartEdits(part.id()).doubled(id, part.name() + " 8va", 1, Set.of()).apply(out);
    }
    return out;
  }

  private boolean measured() {
    return shell.open().view().filter(view -> view.heard().isPresent()).isPresent();
  }

  private void play() {
    shell.closeOverlay();
    show(demos.get(0), Stage.DRUMS);
    shell.play().toggleLoop();
    shell.play().playSection();
  }

  private void write(String name) {
    WritableImage image = scene.snapshot(null);
    int width = (int) image.getWidth();
    int height = (int) image.getHeight();
    BufferedImage out = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        out.setRGB(x, y, image.getPixelReader().getArgb(x, y));
      }
    }
    try {
      Files.createDirectories(folder);
      ImageIO.write(out, "png", folder.resolve(name + ".png").toFile());
    } catch (IOException e) {
      throw new UncheckedIOException("the picture " + name + " could not be written", e);
    }
  }
}
