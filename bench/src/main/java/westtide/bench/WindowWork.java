package westtide.bench;

import java.io.IOException;
import java.lang.reflect.Method;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import java.util.function.IntFunction;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.stage.Stage;
import westtide.desktop.Environment;
import westtide.desktop.Shell;
import westtide.play.SilentOutput;
import westtide.rhythm.Hit;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.edit.Edit;
import westtide.song.edit.drum.DrumEdits;
import westtide.song.edit.form.FormEdits;
import westtide.song.edit.line.LineEdits;
import westtide.song.form.Level;
import westtide.song.line.Note;
import westtide.song.pattern.Pattern;

/**
 * How long the window's own thread is busy with one edit: the edit, the score, the soundings, all
 * drawing, style sheets and layout, in the room where such an edit is made. Says a line of JSON for
 * each song: what an edit costs in the middle of many, in microseconds.
 */
public final class WindowWork {
  private static final int WARM_UP = 60;
  private static final int TIMES = 80;
  private static final int RATE = 48_000;

  private final Shell shell;
  private final Scene scene;
  private final Method styles = pass("doCSSPass");
  private final Method layout = pass("doLayoutPass");

  private WindowWork(Shell shell, Scene scene) {
    this.shell = shell;
    this.scene = scene;
  }

  /** Measures every demo and the two large songs, or only the songs whose names are given. */
  public static void main(String[] names) throws Exception {
    Path data = Files.createTempDirectory("window-work");
    CountDownLatch done = new CountDownLatch(1);
    Platform.startup(
        () -> {
          try {
            measure(data, List.of(names));
          } catch (IOException e) {
            throw new IllegalStateException(e);
          } finally {
            done.countDown();
          }
        });
    done.await();
    System.exit(0);
  }

  private static void measure(Path data, List<String> names) throws IOException {
    Shell shell =
        new Shell(
            new Environment(
                data,
                data,
                () -> 0,
                java.time.Clock.systemDefaultZone(),
                () -> new SilentOutput(RATE, System::nanoTime, nanos -> {})));
    Stage stage = new Stage();
    Scene scene = shell.scene(1280, 800);
    stage.setScene(scene);
    stage.show();
    WindowWork work = new WindowWork(shell, scene);
    work.measure(LargeSongs.ensemble());
    for (Map.Entry<String, Song> song : LargeSongs.all().entrySet()) {
      if (names.isEmpty() || names.contains(song.getKey())) {
        work.report(song.getKey(), song.getValue());
      }
    }
  }

  private void report(String name, Song song) {
    long[] micros = measure(song);
    System.out.printf(
        Locale.ROOT,
        "{\"song\":\"%s\",\"notes\":%d,\"opened\":%d,\"hit\":%d,\"note\":%d,\"tank\":%d}%n",
        name,
        Score.of(song).parts().stream().mapToInt(part -> part.notes().size()).sum(),
        micros[0],
        micros[1],
        micros[2],
        micros[3]);
  }

  /** Opening, a hit, a note and a tank, in microseconds. */
  private long[] measure(Song song) {
    long begun = System.nanoTime();
    shell.open().begin(song);
    layOut();
    long opened = System.nanoTime() - begun;
    boolean large = song.parts().size() > 20;
    Part drums = song.parts(Role.DRUMS).get(0);
    Part line = song.parts(Role.LINE).get(0);
    DrumEdits groove = new DrumEdits(drums.id(), drums.usual().name());
    long hit =
        middle(
            westtide.review.finding.Stage.DRUMS,
            large,
            i -> groove.place(DrumVoice.CLOSED_HAT.lane(), Hit.of(1, 40 + i % 60)));
    long note = middle(westtide.review.finding.Stage.LINES, large, i -> moved(line, i));
    long tank =
        middle(
            westtide.review.finding.Stage.FORM,
            large,
            i ->
                FormEdits.level(
                    song.form().id(1), line.id(), 0, i % 2 == 0 ? Level.HALF : Level.FULL));
    return new long[] {opened / 1000, hit / 1000, note / 1000, tank / 1000};
  }

  private Edit moved(Part line, int turn) {
    Part now = shell.open().song().part(line.id()).orElseThrow();
    Note first = ((Pattern.Written) now.usual().pattern()).notes().get(0);
    Note other = first.withKey(turn % 2 == 0 ? first.key() + 1 : first.key() - 1);
    return new LineEdits(line.id(), line.usual().name())
        .put("Move a note", List.of(first), List.of(other));
  }

  private long middle(westtide.review.finding.Stage room, boolean large, IntFunction<Edit> edits) {
    shell.go(room);
    layOut();
    int warmUp = large ? 2 : WARM_UP;
    int times = large ? 5 : TIMES;
    long[] nanos = new long[times];
    for (int i = 0; i < warmUp + times; i++) {
      Edit edit = edits.apply(i);
      long begun = System.nanoTime();
      shell.open().apply(edit);
      layOut();
      if (i >= warmUp) {
        nanos[i - warmUp] = System.nanoTime() - begun;
      }
    }
    Arrays.sort(nanos);
    return nanos[times / 2];
  }

  /** The passes over style sheets and layout that the next picture begins with. */
  private void layOut() {
    try {
      styles.invoke(scene);
      layout.invoke(scene);
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException("the toolkit has no such pass", e);
    }
  }

  private static Method pass(String name) {
    try {
      Method pass = Scene.class.getDeclaredMethod(name);
      pass.setAccessible(true);
      return pass;
    } catch (NoSuchMethodException e) {
      throw new IllegalStateException("the toolkit has no pass " + name, e);
    }
  }
}
