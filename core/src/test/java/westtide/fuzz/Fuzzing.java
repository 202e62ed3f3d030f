package westtide.fuzz;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BooleanSupplier;
import java.util.random.RandomGenerator;

/**
 * Tries altered inputs and keeps those that break something, made as small as they can be. Inputs
 * follow from a seed, so that a run can be done again.
 */
final class Fuzzing {
  /** Longer than any input may take, however loaded the machine is. */
  private static final long PATIENCE_S = 60;

  private static final int MOST_SMALLER = 400;

  private final String name;
  private final Budget budget;
  private final long seed;
  private final Path found;
  private long tried;

  /**
   * Fuzzing of one kind of input.
   *
   * @param name what is tried, which names the files of what was found
   * @param budget how long
   * @param seed where to start
   * @param found the folder for what was found
   */
  Fuzzing(String name, Budget budget, long seed, Path found) {
    this.name = name;
    this.budget = budget;
    this.seed = seed;
    this.found = found;
  }

  /** How many inputs are tried: a number, the same on every machine, or what fits into a time. */
  interface Budget {
    /** Begins; the answer says whether one more is tried. */
    BooleanSupplier begin();

    static Budget cases(int most) {
      return () -> {
        AtomicInteger next = new AtomicInteger();
        return () -> next.getAndIncrement() < most;
      };
    }

    static Budget seconds(long seconds) {
      return () -> {
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(seconds);
        return () -> System.nanoTime() < end;
      };
    }
  }

  /** Makes an altered input. */
  interface Maker {
    byte[] make(RandomGenerator random) throws IOException;
  }

  /** What must hold of every input; throws what does not hold. */
  interface Promise {
    void hold(byte[] input) throws Exception;
  }

  /** What broke, a line each; empty when everything held. */
  List<String> run(Maker maker, Promise promise) throws IOException {
    List<String> out = new ArrayList<>();
    Runner runner = new Runner();
    BooleanSupplier left = budget.begin();
    try {
      for (long i = 0; left.getAsBoolean() && out.size() < 10; i++) {
        byte[] input = maker.make(new java.util.SplittableRandom(seed + i));
        tried++;
        Optional<Throwable> broken = broken(runner, promise, input);
        if (broken.isPresent()) {
          byte[] small = smaller(runner, promise, input, broken.get());
          Files.createDirectories(found);
          Path kept = Files.write(found.resolve(name + "-" + (seed + i)), small);
          out.add(kept + ": " + said(broken.get()));
        }
      }
    } finally {
      runner.close();
    }
    System.out.println(
        name + ": " + tried + " inputs from seed " + seed + ", " + out.size() + " findings");
    return out;
  }

  private static String said(Throwable broken) {
    StackTraceElement[] trace = broken.getStackTrace();
    String told = broken.toString().replaceAll("\\s+", " ");
    return told + (trace.length == 0 ? "" : " at " + trace[0]);
  }

  /** What breaks; what takes too long is tried once more, since machines are taken away. */
  private static Optional<Throwable> broken(Runner runner, Promise promise, byte[] input) {
    Optional<Throwable> first = runner.broken(promise, input);
    boolean slow = first.filter(TimeoutException.class::isInstance).isPresent();
    return slow ? runner.broken(promise, input) : first;
  }

  /** Tries inputs on a thread that is left behind when one of them never ends. */
  private static final class Runner implements AutoCloseable {
    private ExecutorService thread = Executors.newSingleThreadExecutor();

    Optional<Throwable> broken(Promise promise, byte[] input) {
      Callable<Void> work =
          () -> {
            promise.hold(input);
            return null;
          };
      Future<Void> future = thread.submit(work);
      try {
        future.get(PATIENCE_S, TimeUnit.SECONDS);
        return Optional.empty();
      } catch (ExecutionException e) {
        return Optional.of(e.getCause());
      } catch (TimeoutException e) {
        thread.shutdownNow();
        thread = Executors.newSingleThreadExecutor();
        return Optional.of(e);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        return Optional.empty();
      }
    }

    @Override
    public void close() {
      thread.shutdownNow();
    }
  }

  /** Takes pieces away as long as the same thing breaks. */
  private static byte[] smaller(Runner runner, Promise promise, byte[] input, Throwable broken) {
    if (broken instanceof TimeoutException) {
      return input;
    }
    byte[] best = input;
    int tries = 0;
    for (int piece = best.length / 2; piece > 0 && tries < MOST_SMALLER; piece /= 2) {
      for (int at = 0; at + piece <= best.length && tries < MOST_SMALLER; tries++) {
        byte[] less = Mutations.without(best, at, piece);
        Optional<Throwable> same = broken(runner, promise, less);
        if (same.filter(e -> e.getClass() == broken.getClass()).isPresent()) {
          best = less;
        } else {
          at += piece;
        }
      }
    }
    return best;
  }
}
