package westtide.desktop;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import westtide.song.Song;
import westtide.song.edit.Edit;
import westtide.song.edit.History;
import westtide.sound.Listening;
import westtide.style.StyleBook;

/** The song that is open: its history, its file and the view of its present state. */
public final class OpenSong {
  private StyleBook book;
  private final List<Consumer<SongView>> watchers = new ArrayList<>();
  private final List<Runnable> openings = new ArrayList<>();
  private Optional<SongView> view = Optional.empty();
  private Optional<History> history = Optional.empty();
  private Optional<Path> file = Optional.empty();
  private int section;
  private boolean precious;

  /** Nothing open yet. */
  public OpenSong(StyleBook book) {
    this.book = book;
  }

  /** The styles songs are measured against. */
  public StyleBook book() {
    return book;
  }

  /** Measures songs against another book of styles from now on. */
  public void useBook(StyleBook other) {
    book = other;
    if (history.isPresent()) {
      view = Optional.empty();
      refresh();
    }
  }

  /** Tells a watcher of every new view: after each edit, undo, selection, opening and saving. */
  public void watch(Consumer<SongView> watcher) {
    watchers.add(watcher);
  }

  /** Runs something whenever another song is opened, before its first view. */
  public void watchOpening(Runnable watcher) {
    openings.add(watcher);
  }

  /** Adds what a rendering of a song measured, unless the song has changed since. */
  public void heard(Song measured, Listening listening) {
    if (view.isPresent() && view.get().song() == measured) {
      SongView more = view.get().with(listening);
      view = Optional.of(more);
      List.copyOf(watchers).forEach(watcher -> watcher.accept(more));
    }
  }

  /** The view of the present state, if a song is open. */
  public Optional<SongView> view() {
    return view;
  }

  /** The present song; throws {@link IllegalStateException} when none is open. */
  public Song song() {
    return history().song();
  }

  /** The file of the song, if it has one. */
  public Optional<Path> file() {
    return file;
  }

  /** Whether a song is open. */
  public boolean isOpen() {
    return history.isPresent();
  }

  /** Whether the open song differs from its file. */
  public boolean changed() {
    return history.map(History::changed).orElse(false);
  }

  /** What undo would take back. */
  public Optional<String> undoable() {
    return history.flatMap(History::undoable);
  }

  /** What redo would bring back. */
  public Optional<String> redoable() {
    return history.flatMap(History::redoable);
  }

  /** The selected section, counted from 0. */
  public int section() {
    return Math.min(section, song().form().sections().size() - 1);
  }

  /** Selects a section. */
  public void select(int index) {
    section = index;
    refresh();
  }

  /** Opens a song that is as its file says. */
  public void open(Song song, Path from) {
    precious = false;
    start(History.saved(song), Optional.of(from));
  }

  /** Opens a song that is in no file yet; until it is edited nothing is lost with it. */
  public void begin(Song song) {
    precious = false;
    start(History.unsaved(song), Optional.empty());
  }

  /** Opens work that a crash left, which differs from the file it belongs to. */
  public void recover(Song song, Optional<Path> belongsTo) {
    precious = true;
    start(History.unsaved(song), belongsTo);
  }

  /** Whether something would be lost if the song were closed now. */
  public boolean unsavedWork() {
    boolean made = precious || file.isPresent() || undoable().isPresent();
    return isOpen() && changed() && made;
  }

  /** Applies an edit. */
  public void apply(Edit edit) {
    change(old -> old.plus(edit));
  }

  /** Takes the last edit back. */
  public void undo() {
    change(History::undo);
  }

  /** Brings the last undone edit again. */
  public void redo() {
    change(History::redo);
  }

  /** Notes that a state of the song was written to a file. */
  public void saved(Song written, Path to) {
    file = Optional.of(to);
    history = Optional.of(history().markSaved(written));
    refresh();
  }

  private void start(History begun, Optional<Path> from) {
    history = Optional.of(begun);
    file = from;
    section = firstHook(begun.song());
    List.copyOf(openings).forEach(Runnable::run);
    refresh();
  }

  private static int firstHook(Song song) {
    for (int i = 0; i < song.form().sections().size(); i++) {
      if (song.form().sections().get(i).word().kind() == westtide.song.SectionKind.HOOK) {
        return i;
      }
    }
    return 0;
  }

  private History history() {
    return history.orElseThrow(() -> new IllegalStateException("no song is open"));
  }

  private void change(UnaryOperator<History> step) {
    History after = step.apply(history());
    if (after != history()) {
      history = Optional.of(after);
      refresh();
    }
  }

  private void refresh() {
    Song present = song();
    boolean same = view.isPresent() && view.get().song() == present;
    SongView fresh = same ? view.get() : SongView.of(present, book);
    view = Optional.of(fresh);
    List.copyOf(watchers).forEach(watcher -> watcher.accept(fresh));
  }
}
