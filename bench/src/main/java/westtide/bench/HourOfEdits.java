package westtide.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.lang.management.MemoryType;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Queue;
import java.util.Random;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.event.Event;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Stage;
import westtide.desktop.Environment;
import westtide.desktop.Shell;
import westtide.rhythm.Hit;
import westtide.rhythm.Swing;
import westtide.rhythm.Tempo;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.edit.BriefEdits;
import westtide.song.edit.Edit;
import westtide.song.edit.MixEdits;
import westtide.song.edit.drum.DrumEdits;
import westtide.song.id.PartId;
import westtide.sound.Engine;

/**
 * Plays a demo in the real window for so many minutes while it is edited four times a second and
 * rooms are gone through, and says what became of memory, time and late blocks. A block is late
 * when everything taken before it was heard already; one is excused when a process that only
 * sleeps, one on each processor, overslept about then, which says that the machine itself was taken
 * away.
 */
public final class HourOfEdits {
  private static final long EDIT_NANOS = 250_000_000L;
  private static final long EXCUSED_NANOS = 60_000_000L;
  private static final long SECOND = 1_000_000_000L;
  private static final long WARM_UP_SECONDS = 180;
  private static final long REPORTS = 12;

  private final Heard heard = new Heard();
  private final Queue<Long> overslept = new ConcurrentLinkedQueue<>();
  private final Random random = new Random(5);
  private long edits;

  /** A silent output that keeps the time and counts blocks that come too late. */
  private final class Heard extends WatchedOutput {
    private volatile long frames;
    private volatile long began;
    private final Queue<Long> late = new ConcurrentLinkedQueue<>();
    private volatile long quietUntil;
    private boolean wasBehind;

    @Override
    public void write(float[] left, float[] right, int length) {
      long now = System.nanoTime();
      if (began == 0) {
        began = now;
      } else {
        boolean behind = pending() == 0;
        if (behind && !wasBehind && now > quietUntil) {
          late.add(now);
        }
        wasBehind = behind;
      }
      frames = frames + length;
      super.write(left, right, length);
    }

    /** How many late blocks nobody who only sleeps overslept beside; the others are excused. */
    long lateByItself() {
      return late.stream()
          .filter(at -> overslept.stream().noneMatch(o -> Math.abs(o - at) < EXCUSED_NANOS))
          .count();
    }

    /** Counts from now on. Blocks that catch up are late once, with the first of them. */
    void beginAgain() {
      frames = 0;
      late.clear();
      began = System.nanoTime();
      quietUntil = began + SECOND;
    }

    /** Milliseconds by which what was taken is before the clock. */
    double ahead() {
      return 1000.0 * frames / WatchedOutput.RATE - (System.nanoTime() - began) / 1e6;
    }
  }

  private HourOfEdits() {}

  /** Runs for the minutes given and prints a line of tab-separated figures for each report. */
  public static void main(String[] words) throws Exception {
    new HourOfEdits().run(Integer.parseInt(words[0]));
    System.exit(0);
  }

  private void run(int minutes) throws Exception {
    List<Process> sleepers = new ArrayList<>();
    for (int processor = 0; processor < Runtime.getRuntime().availableProcessors(); processor++) {
      Process sleeper = sleeperOn(processor);
      sleepers.add(sleeper);
      Thread listener = new Thread(() -> listenTo(sleeper), "sleeper");
      listener.setDaemon(true);
      listener.start();
    }
    try {
      Shell shell = opened();
      editFor(shell, WARM_UP_SECONDS, WARM_UP_SECONDS);
      LockSupport.parkNanos(5 * SECOND);
      heard.beginAgain();
      editFor(shell, 60L * minutes, Math.max(60, 60L * minutes / REPORTS));
    } finally {
      sleepers.forEach(Process::destroy);
    }
  }

  private static Process sleeperOn(int processor) throws IOException {
    return new ProcessBuilder(
            "taskset",
            "-c",
            Integer.toString(processor),
            Path.of(System.getProperty("java.home"), "bin", "java").toString(),
            "-XX:+UseSerialGC",
            "-Xmx32m",
            "-cp",
            System.getProperty("java.class.path"),
            LightSleeper.class.getName())
        .redirectError(ProcessBuilder.Redirect.DISCARD)
        .start();
  }

  private void editFor(Shell shell, long seconds, long reportEvery) throws InterruptedException {
    long end = System.nanoTime() + seconds * SECOND;
    long next = System.nanoTime() + reportEvery * SECOND;
    List<westtide.review.finding.Stage> rooms =
        new ArrayList<>(List.of(westtide.review.finding.Stage.values()));
    while (System.nanoTime() < end) {
      onWindow(() -> shell.open().apply(edit()));
      edits++;
      if (edits % 40 == 0) {
        westtide.review.finding.Stage room = rooms.get((int) (edits / 40 % rooms.size()));
        onWindow(() -> shell.go(room));
      }
      LockSupport.parkNanos(EDIT_NANOS);
      if (System.nanoTime() > next) {
        next += reportEvery * SECOND;
        report();
      }
    }
  }

  private Shell opened() throws Exception {
    Path data = Files.createTempDirectory("hour-of-edits");
    Song song = Demos.read("ferry-without-passengers");
    Shell[] shell = new Shell[1];
    CountDownLatch shown = new CountDownLatch(1);
    Platform.startup(
        () -> {
          shell[0] =
              new Shell(
                  new Environment(
                      data,
                      data,
                      System::currentTimeMillis,
                      Clock.systemDefaultZone(),
                      () -> heard));
          Scene scene = shell[0].scene(1280, 800);
          Stage stage = new Stage();
          stage.setScene(scene);
          stage.show();
          shell[0].begin(song);
          shell[0].open().select(3);
          press(scene, KeyCode.L);
          press(scene, KeyCode.P);
          shown.countDown();
        });
    shown.await();
    return shell[0];
  }

  private static void press(Scene scene, KeyCode key) {
    Event.fireEvent(
        scene.getRoot(),
        new KeyEvent(KeyEvent.KEY_PRESSED, "", "", key, false, false, false, false));
  }

  private static void onWindow(Runnable work) throws InterruptedException {
    CountDownLatch done = new CountDownLatch(1);
    Platform.runLater(
        () -> {
          work.run();
          done.countDown();
        });
    done.await();
  }

  /** The clock of both processes is that of the machine. */
  private void listenTo(Process sleeper) {
    try (BufferedReader lines = sleeper.inputReader()) {
      for (String line = lines.readLine(); line != null; line = lines.readLine()) {
        overslept.add(Long.parseLong(line));
      }
    } catch (IOException e) {
      System.err.println("the sleeper was not heard: " + e);
    }
  }

  /** What lives after everything dead was collected; the blocks of that moment do not count. */
  private void report() {
    double ahead = heard.ahead();
    heard.quietUntil = Long.MAX_VALUE;
    System.gc();
    double used = livedThrough() / (double) (1 << 20);
    double seconds = (System.nanoTime() - heard.began) / 1e9;
    long late = heard.lateByItself();
    System.out.printf(
        Locale.ROOT,
        "%.1f\t%d\t%.1f\t%d\t%.1f\t%d\t%d\t%d%n",
        seconds / 60,
        edits,
        used,
        resident(),
        ahead,
        heard.frames / Engine.BLOCK,
        late,
        heard.late.size() - late);
    heard.quietUntil = System.nanoTime() + SECOND;
  }

  /** Megabytes of memory the process has from the machine, as Linux tells. */
  private static long resident() {
    try (Stream<String> lines = Files.lines(Path.of("/proc/self/status"))) {
      return lines
          .filter(line -> line.startsWith("VmRSS:"))
          .mapToLong(line -> Long.parseLong(line.replaceAll("\\D", "")) >> 10)
          .findFirst()
          .orElse(0);
    } catch (IOException e) {
      return 0;
    }
  }

  /** Bytes that were left by the last collection of each part of the heap. */
  private static long livedThrough() {
    return ManagementFactory.getMemoryPoolMXBeans().stream()
        .filter(pool -> pool.getType() == MemoryType.HEAP && pool.getCollectionUsage() != null)
        .mapToLong(pool -> pool.getCollectionUsage().getUsed())
        .sum();
  }

  private Edit edit() {
    DrumEdits drums = new DrumEdits(PartId.of("drums"), "A");
    int step = random.nextInt(32);
    return switch (random.nextInt(5)) {
      case 0 -> BriefEdits.tempo(Tempo.of(118 + random.nextInt(8)));
      case 1 -> BriefEdits.swing(Swing.of(50 + random.nextInt(12)));
      case 2 ->
          drums.place(
              DrumVoice.CLOSED_HAT.lane(), Hit.of(step, 40 + random.nextInt(80)).withStrokes(3));
      case 3 -> drums.place(DrumVoice.KICK.lane(), Hit.of(step, 60 + random.nextInt(60)));
      default ->
          MixEdits.mix(PartId.of("keys"), "level", mix -> mix.withLevel(-160 + random.nextInt(60)));
    };
  }
}
