package westtide.desktop.open;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.Decisions;
import westtide.song.edit.Edit;
import westtide.song.edit.History;
import westtide.song.form.Form;
import westtide.song.id.SectionId;
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
  private Selection selection;
  private int place;
  private boolean precious;
  private String gesture = "";
  private int gestures;
  private Optional<History> beforeGesture = Optional.empty();
  private boolean givenBack;

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

  /** What is chosen, inside what the present song has. */
  public Selection selection() {
    return selection;
  }

  /** Chooses something else; every watcher is told. */
  public void select(Selection other) {
    if (!other.equals(selection)) {
      selection = other;
      refresh();
    }
  }

  /** The place of the selected section, counted from 0. */
  public int section() {
    return place;
  }

  /** Selects the section at a place. */
  public void select(int index) {
    select(selection.withSection(song(), song().form().id(index)));
  }

  /** Selects a bar of the song, counted from 0, and its section. */
  public void selectBar(int bar) {
    Form form = song().form();
    int index = form.sectionAt(bar);
    SectionId id = form.id(index);
    boolean there = selection.section().equals(id);
    Selection section = there ? selection : selection.withSection(song(), id);
    select(section.withBar(bar - form.startBar(index)));
  }

  /** The chosen bar of the song, counted from 0; the first of its section until one is chosen. */
  public int bar() {
    Form form = song().form();
    int last = form.sections().get(place).bars() - 1;
    return form.startBar(place) + Math.min(last, selection.bar().orElse(0));
  }

  /** Selects a part. */
  public void select(Part part) {
    select(selection.withPart(part));
  }

  /** Puts a pattern of a part in front, and selects the part. */
  public void select(Part part, String pattern) {
    select(selection.withPart(part).withPattern(part.id(), pattern));
  }

  /** The selected part. */
  public Part part() {
    return song().part(selection.part()).orElseThrow();
  }

  /** The selected part of a role, or the first of it. */
  public Optional<Part> part(Role role) {
    return selection.part(song(), role);
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

  /** Applies an edit; what is applied in one gesture is one step of the history. */
  public void apply(Edit edit) {
    if (!givenBack) {
      change(old -> old.plus(Decisions.noting(edit), gesture));
    }
  }

  /** Applies an edit that belongs to a run of edits longer than one gesture, such as tapping. */
  public void apply(Edit edit, String run) {
    change(old -> old.plus(Decisions.noting(edit), run));
  }

  /** Applies an edit and chooses what is chosen after it. */
  public void apply(Edit edit, UnaryOperator<Selection> choice) {
    if (!givenBack) {
      History after = history().plus(Decisions.noting(edit), gesture);
      Memory before = memory();
      selection = choice.apply(selection);
      history = Optional.of(after);
      attempt(before, this::refresh);
    }
  }

  /** Begins a gesture, such as a drag or a run of one key: its edits are one step. */
  public void beginGesture() {
    gesture = "gesture " + ++gestures;
    beforeGesture = history;
    givenBack = false;
  }

  /** Ends the gesture. */
  public void endGesture() {
    gesture = "";
    beforeGesture = Optional.empty();
    givenBack = false;
  }

  /** Gives back what the gesture that is under way changed; the rest of it changes nothing. */
  public void giveBackGesture() {
    if (beforeGesture.isEmpty() || givenBack) {
      return;
    }
    givenBack = true;
    History before = beforeGesture.get();
    boolean mine = history().steps().get(history().at()).gesture().equals(gesture);
    if (mine && history().savedAt() == before.savedAt()) {
      change(now -> before);
    } else if (mine) {
      undo();
    }
  }

  /** The steps of the session and which of them is present. */
  public Optional<History> steps() {
    return history;
  }

  /** Goes to another step of the session, by its index. */
  public void goTo(int step) {
    change(now -> now.goTo(step));
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

  /** All or nothing: a song that cannot be scored, measured or shown leaves the one before it. */
  private void start(History begun, Optional<Path> from) {
    SongView fresh = SongView.of(begun.song(), book, Optional.empty());
    Memory before = memory();
    endGesture();
    history = Optional.of(begun);
    file = from;
    selection = Selection.of(begun.song());
    view = Optional.of(fresh);
    attempt(
        before,
        () -> {
          List.copyOf(openings).forEach(Runnable::run);
          refresh();
        });
  }

  private record Memory(
      Optional<History> history,
      Optional<Path> file,
      Selection selection,
      int place,
      Optional<SongView> view) {}

  private Memory memory() {
    return new Memory(history, file, selection, place, view);
  }

  /** Does something; where it fails everything is as it was, and shown so. */
  private void attempt(Memory before, Runnable change) {
    try {
      change.run();
    } catch (RuntimeException | Error e) {
      history = before.history();
      file = before.file();
      selection = before.selection();
      place = before.place();
      view = before.view();
      if (isOpen()) {
        refresh();
      }
      throw e;
    }
  }

  private History history() {
    return history.orElseThrow(() -> new IllegalStateException("no song is open"));
  }

  private void change(UnaryOperator<History> step) {
    History after = step.apply(history());
    if (after != history()) {
      Memory before = memory();
      history = Optional.of(after);
      attempt(before, this::refresh);
    }
  }

  private void refresh() {
    Song present = song();
    selection = selection.in(present, place);
    place = present.form().place(selection.section()).orElse(0);
    boolean same = view.isPresent() && view.get().song() == present;
    SongView fresh = same ? view.get() : SongView.of(present, book, view);
    view = Optional.of(fresh);
    List.copyOf(watchers).forEach(watcher -> watcher.accept(fresh));
  }
}
