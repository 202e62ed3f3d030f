package westtide.desktop.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;

import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import westtide.compose.SongDraft;
import westtide.desktop.open.OpenSong;
import westtide.file.Recovery;
import westtide.song.edit.part.PartEdits;
import westtide.song.id.PartId;
import westtide.style.StyleBook;

/** What is kept of unsaved work, and that a clean end leaves nothing. */
class AutosaveTest {
  /** Longer than the time between two keepings. */
  private static final long SLOW_MS = 1500;

  private final StyleBook book = StyleBook.shipped();
  private final OpenSong open = new OpenSong(book);
  private final BlockingQueue<String> done = new LinkedBlockingQueue<>();
  private final Recovery slow = mock(Recovery.class);
  private final Autosave autosave = new Autosave(open, slow, said -> {}, () -> {});

  private void rename(String name) {
    open.apply(new PartEdits(PartId.of("lead")).rename(name));
  }

  private String next(long millis) throws InterruptedException {
    return done.poll(millis, TimeUnit.MILLISECONDS);
  }

  @Test
  void nothingIsKeptOnceACleanEndHasBegun() throws Exception {
    doAnswer(call -> done.add("kept")).when(slow).keep(any(), any());
    doAnswer(
            call -> {
              Thread.sleep(SLOW_MS);
              return done.add("forgotten");
            })
        .when(slow)
        .forget();
    open.begin(SongDraft.in(book.get("trap")).withSeed(1).song());
    rename("Gull");
    autosave.start();
    assertThat(next(10_000)).isEqualTo("kept");
    rename("Tern");
    autosave.end();
    assertThat(next(0)).isEqualTo("forgotten");
    assertThat(next(300)).as("after the end").isNull();
  }
}
