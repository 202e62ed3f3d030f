package westtide.desktop;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.concurrent.locks.LockSupport;
import java.util.function.LongSupplier;
import java.util.function.Supplier;
import westtide.desktop.play.LoudnessWatcher;
import westtide.file.disk.Folders;
import westtide.play.AudioOutput;
import westtide.play.SilentOutput;
import westtide.play.SteadyOutput;
import westtide.play.SystemOutput;
import westtide.sound.Engine;
import westtide.sound.Listening;
import westtide.sound.SharedTables;

/**
 * What the application finds around it, passed in so that tests can give it their own.
 *
 * @param data where it keeps its list of recent files, its log and unsaved work
 * @param documents where new songs go unless another place is chosen
 * @param millis a clock in milliseconds
 * @param clock tells the date and the time of day
 * @param audio finds where sound goes
 * @param tables what is played from beside what the player makes itself
 * @param hearing measures a rendering of the song
 */
public record Environment(
    Path data,
    Path documents,
    LongSupplier millis,
    Clock clock,
    Supplier<AudioOutput> audio,
    SharedTables tables,
    LoudnessWatcher.Hearing hearing) {
  private static final int RATE = 48_000;

  /** Where sound is made and measured as it is for everybody. */
  public Environment(
      Path data, Path documents, LongSupplier millis, Clock clock, Supplier<AudioOutput> audio) {
    this(data, documents, millis, clock, audio, SharedTables.none(), Listening::of);
  }

  /** Those of this machine and this user. */
  static Environment of(Folders folders) {
    Path home = Path.of(System.getProperty("user.home"));
    return new Environment(
        folders.data(),
        Files.isDirectory(home) ? home : Path.of("").toAbsolutePath(),
        System::currentTimeMillis,
        Clock.systemDefaultZone(),
        () ->
            new SteadyOutput(
                () -> SystemOutput.open(RATE, Engine.BLOCK), silent(), System::nanoTime));
  }

  /** An output for machines without an audio line, by the machine's own clock. */
  static AudioOutput silent() {
    return new SilentOutput(RATE, System::nanoTime, LockSupport::parkNanos);
  }
}
