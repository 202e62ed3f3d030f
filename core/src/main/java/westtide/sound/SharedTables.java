package westtide.sound;

import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Tables of samples that several preparations use, so that equal strikes are made once however
 * often a song is opened. It grows with every new strike and belongs where little is played or much
 * is played again; {@link #none()} keeps nothing. Safe for use by any thread.
 */
public abstract sealed class SharedTables {
  private SharedTables() {}

  /**
   * A table that was made; its samples are never changed.
   *
   * @param frames samples it was made for, which a sound that ends by itself need not fill
   */
  record Made(float[] samples, int frames) {}

  /** Keeps nothing: every preparation makes its own tables. */
  public static SharedTables none() {
    return new None();
  }

  /** Keeps every table. */
  public static SharedTables all() {
    return new All();
  }

  /** A table of at least that many samples, if one was made. */
  abstract Optional<Made> find(int rate, TableStore.Key key, int frames);

  /** Keeps a table for others and answers it. */
  abstract Made keep(int rate, TableStore.Key key, Made made);

  private static final class None extends SharedTables {
    @Override
    Optional<Made> find(int rate, TableStore.Key key, int frames) {
      return Optional.empty();
    }

    @Override
    Made keep(int rate, TableStore.Key key, Made made) {
      return made;
    }
  }

  private static final class All extends SharedTables {
    private record Place(int rate, TableStore.Key key) {}

    private final Map<Place, Made> tables = new ConcurrentHashMap<>();

    @Override
    Optional<Made> find(int rate, TableStore.Key key, int frames) {
      return Optional.ofNullable(tables.get(new Place(rate, key)))
          .filter(made -> made.frames() >= frames);
    }

    @Override
    Made keep(int rate, TableStore.Key key, Made made) {
      tables.put(new Place(rate, key), made);
      return made;
    }
  }
}
