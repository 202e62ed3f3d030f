package westtide.song.edit;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.lang.reflect.Constructor;
import java.lang.reflect.Executable;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import westtide.Songs;
import westtide.sampling.Sampled;
import westtide.sampling.Samples;
import westtide.score.Score;
import westtide.song.Song;

/**
 * Every edit there is, found by its return type, with values drawn from the song and from outside
 * it: it is refused, or the song it makes can be scored, saved, read again and taken back.
 */
class EveryEditTest {
  private static final Path SOURCES = Path.of("src/main/java/westtide/song/edit");

  /** Edits that are told apart by a value this test cannot draw. */
  private static final double LEAST_TRIED = 0.95;

  private static List<Method> edits() throws IOException, ClassNotFoundException {
    List<Method> out = new ArrayList<>();
    try (Stream<Path> files = Files.list(SOURCES)) {
      for (Path file : files.filter(f -> f.toString().endsWith("Edits.java")).sorted().toList()) {
        String name = file.getFileName().toString().replace(".java", "");
        for (Method method : Class.forName("westtide.song.edit." + name).getDeclaredMethods()) {
          if (Modifier.isPublic(method.getModifiers()) && method.getReturnType() == Edit.class) {
            out.add(method);
          }
        }
      }
    }
    out.sort(java.util.Comparator.comparing(Method::toGenericString));
    return out;
  }

  private static Edit made(Method method, AnyValue any) throws ReflectiveOperationException {
    Object on = null;
    if (!Modifier.isStatic(method.getModifiers())) {
      Constructor<?> constructor = method.getDeclaringClass().getConstructors()[0];
      on = constructor.newInstance(values(constructor, any));
    }
    return (Edit) method.invoke(on, values(method, any));
  }

  private static Object[] values(Executable what, AnyValue any) {
    return Stream.of(what.getGenericParameterTypes()).map(any::of).toArray();
  }

  static List<Long> seeds() {
    return Samples.few(2, List.of(1L, 2L, 3L, 4L, 5L, 6L));
  }

  @ParameterizedTest
  @MethodSource("seeds")
  @Sampled
  void whateverAnEditMakesIsASongAndIsTakenBack(long seed) throws Exception {
    Random random = new Random(seed);
    List<String> styles = List.of("trap", "house", "soul", "amapiano", "drill", "lo-fi");
    Song song = Songs.draft(styles.get((int) seed - 1), seed);
    for (int round = 0; round < 2; round++) {
      for (Method method : edits()) {
        song = after(song, method, new AnyValue(song, random));
      }
    }
  }

  /** The song after the edit, or as it was where that is refused or cannot be drawn. */
  private static Song after(Song song, Method method, AnyValue any) throws Exception {
    History before = History.unsaved(song);
    History now;
    try {
      now = before.plus(made(method, any));
    } catch (AnyValue.Unknown
        | IllegalArgumentException
        | IndexOutOfBoundsException
        | NoSuchElementException refused) {
      return song;
    } catch (InvocationTargetException e) {
      assertThat(e.getCause()).as(method.getName()).isInstanceOf(IllegalArgumentException.class);
      return song;
    } catch (RuntimeException e) {
      throw new AssertionError(method + " with " + any, e);
    }
    String what = method.getDeclaringClass().getSimpleName() + "." + method.getName() + " " + any;
    if (now == before) {
      return song;
    }
    assertThat(now.undo().song()).as(what).isSameAs(song);
    try {
      assertThat(Score.of(now.song()).ticks()).as(what).isEqualTo(now.song().ticks());
      assertThat(Songs.filed(now.song())).as(what).isEqualTo(now.song());
    } catch (IOException | RuntimeException e) {
      throw new AssertionError(what, e);
    }
    return now.song().form().bars() > 400 ? song : now.song();
  }

  @Test
  void nearlyEveryEditIsTried() throws Exception {
    Song song = Songs.draft("trap", 1);
    Set<String> tried = new LinkedHashSet<>();
    Set<String> left = new LinkedHashSet<>();
    for (Method method : edits()) {
      for (int i = 0; i < 20; i++) {
        try {
          made(method, new AnyValue(song, new Random(i)));
          tried.add(method.toGenericString());
          break;
        } catch (AnyValue.Unknown unknown) {
          left.add(method.toGenericString() + ": " + unknown.getMessage());
        } catch (InvocationTargetException | IllegalArgumentException refused) {
          tried.add(method.toGenericString());
          break;
        }
      }
    }
    assertThat(tried.size() / (double) edits().size())
        .as("left: " + left)
        .isGreaterThan(LEAST_TRIED);
  }
}
