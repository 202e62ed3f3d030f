package westtide.desktop;

import java.io.IOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.function.Consumer;
import java.util.function.LongSupplier;
import javafx.scene.control.ScrollPane;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import westtide.desktop.files.DemoSong;
import westtide.desktop.files.SongFiles;
import westtide.desktop.files.SongOutline;
import westtide.desktop.files.UnsavedWork;
import westtide.desktop.frame.start.StartSheet;
import westtide.desktop.open.Background;
import westtide.desktop.open.Messages;
import westtide.desktop.open.OpenSong;
import westtide.desktop.open.Overlay;
import westtide.desktop.play.PlayDesk;
import westtide.draft.Draft;
import westtide.file.Recovery;
import westtide.song.Song;
import westtide.song.form.SectionKind;
import westtide.style.StyleOutline;

/** How a song is begun: the start sheet, and the drafts that are heard and opened there. */
final class NewSongs {
  private static final Logger LOG = LoggerFactory.getLogger(NewSongs.class);

  private final OpenSong open;
  private final SongFiles files;
  private final Recovery recovery;
  private final Background background;
  private final Messages messages;
  private final PlayDesk play;
  private final Overlay overlay;
  private final LongSupplier millis;

  /** Drafts of the sheet that is shown, by the id of their style. */
  private final Map<String, Song> drafts = new HashMap<>();

  private long seed;
  private Optional<StyleOutline> wanted = Optional.empty();

  NewSongs(
      OpenSong open,
      SongFiles files,
      Recovery recovery,
      Background background,
      Messages messages,
      PlayDesk play,
      Overlay overlay,
      LongSupplier millis) {
    this.open = open;
    this.files = files;
    this.recovery = recovery;
    this.background = background;
    this.messages = messages;
    this.play = play;
    this.overlay = overlay;
    this.millis = millis;
  }

  /** Opens a song that has no file once unsaved changes are settled. */
  void begin(Song song, Runnable then) {
    files.settled(
        () -> {
          open.begin(song);
          overlay.close();
          then.run();
        });
  }

  /** Reads a demo song beside the window and opens it. */
  void begin(DemoSong demo, Runnable then) {
    background.run(demo::song, song -> begin(song, then));
  }

  /** Shows the sheet over everything; {@code then} follows whatever is opened there. */
  void show(List<DemoSong> demos, Runnable then) {
    seed = millis.getAsLong() % 1000;
    drafts.clear();
    StartSheet.Ways ways =
        new StartSheet.Ways(
            style -> drafted(style, song -> begin(song, then)),
            this::hear,
            this::silence,
            demo -> begin(demo, then),
            files::openFile,
            this::outline,
            files::chooseAndOpen,
            left -> {
              overlay.close();
              files.recover(left);
              then.run();
            },
            left -> {
              files.letGo(left);
              show(demos, then);
            },
            open.view().map(view -> view.song().title()),
            overlay::close);
    StartSheet start = new StartSheet(open.book().outlines(), demos, files.recent(), left(), ways);
    ScrollPane sheet = new ScrollPane(start);
    sheet.setFitToWidth(true);
    sheet.setFitToHeight(true);
    sheet.getStyleClass().add("start");
    overlay.openWhole(sheet, open.isOpen());
    sheet.applyCss();
    start.focusFirst();
  }

  /** Whether a crash left something. */
  boolean somethingIsLeft() {
    return !left().isEmpty();
  }

  /** What is heard and what is opened are the same draft. */
  private void drafted(StyleOutline style, Consumer<Song> then) {
    Song known = drafts.get(style.id());
    if (known != null) {
      then.accept(known);
      return;
    }
    long from = seed;
    background.run(
        () -> Draft.in(open.book().get(style.id()), from).song(),
        song -> {
          drafts.put(style.id(), song);
          then.accept(song);
        });
  }

  private void hear(StyleOutline style) {
    wanted = Optional.of(style);
    drafted(
        style,
        song -> {
          if (wanted.filter(style::equals).isPresent()) {
            int hook = song.form().first(SectionKind.HOOK).orElse(0);
            play.audition(song, PlayDesk.Range.of(song, hook));
          }
        });
  }

  private void silence() {
    wanted = Optional.empty();
    play.stop();
  }

  /** Holds up no draft; a file that cannot be read is told when it is opened. */
  private void outline(Callable<Song> song, Consumer<SongOutline> then) {
    background.runLong(
        () -> {
          try {
            return Optional.of(SongOutline.of(song.call()));
          } catch (Exception e) {
            LOG.info("A song is listed without its outline", e);
            return Optional.<SongOutline>empty();
          }
        },
        outline -> outline.ifPresent(then));
  }

  private List<UnsavedWork> left() {
    try {
      Recovery.Found found = recovery.left();
      found.unreadable().stream()
          .findFirst()
          .ifPresent(file -> messages.notice("Unsaved work that cannot be read was left: " + file));
      return found.work().stream().map(UnsavedWork::of).toList();
    } catch (IOException e) {
      LOG.warn("Unsaved work could not be looked for", e);
      return List.of();
    }
  }
}
