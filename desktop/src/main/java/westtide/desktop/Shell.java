package westtide.desktop;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.util.Duration;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import westtide.desktop.files.Autosave;
import westtide.desktop.files.DemoSong;
import westtide.desktop.files.DemoSongs;
import westtide.desktop.files.GrooveFiles;
import westtide.desktop.files.OwnStyles;
import westtide.desktop.files.RecentFiles;
import westtide.desktop.files.SongExports;
import westtide.desktop.files.SongFiles;
import westtide.desktop.found.LoopTempo;
import westtide.desktop.frame.CommandList;
import westtide.desktop.frame.EnergyPanel;
import westtide.desktop.frame.KeyCard;
import westtide.desktop.frame.ScrolledFrame;
import westtide.desktop.frame.SoundingsPane;
import westtide.desktop.frame.StageList;
import westtide.desktop.frame.TideChart;
import westtide.desktop.frame.TopBar;
import westtide.desktop.frame.guide.GuidePage;
import westtide.desktop.frame.guide.GuidePanel;
import westtide.desktop.kit.Zoomed;
import westtide.desktop.open.Background;
import westtide.desktop.open.Gestures;
import westtide.desktop.open.Messages;
import westtide.desktop.open.OpenSong;
import westtide.desktop.open.Overlay;
import westtide.desktop.open.Preferences;
import westtide.desktop.open.SongView;
import westtide.desktop.play.Comparison;
import westtide.desktop.play.FrameTicker;
import westtide.desktop.play.ListeningPanel;
import westtide.desktop.play.LoudnessWatcher;
import westtide.desktop.play.PlayBar;
import westtide.desktop.play.PlayDesk;
import westtide.desktop.play.PlayPosition;
import westtide.desktop.room.BringLoop;
import westtide.desktop.room.Command;
import westtide.desktop.room.LoopFacts;
import westtide.desktop.room.PatternTrial;
import westtide.desktop.room.Room;
import westtide.desktop.room.RoomContext;
import westtide.desktop.room.StandingRoom;
import westtide.file.Recovery;
import westtide.file.SongVersions;
import westtide.play.AudioOutput;
import westtide.play.Player;
import westtide.review.finding.Stage;
import westtide.song.Song;
import westtide.style.StyleBook;

/**
 * The frame of the window: top bar, stages, the present sheet, soundings and tide chart, and the
 * keys of the house.
 */
public final class Shell {
  private static final Logger LOG = LoggerFactory.getLogger(Shell.class);

  /** The first picture is there by then; rooms are built after it. */
  private static final Duration FIRST_PICTURE = Duration.millis(400);

  private final OpenSong open = new OpenSong(StyleBook.shipped());
  private final List<DemoSong> demos = DemoSongs.list();
  private final Environment around;
  private final Messages messages = new Messages();
  private final Overlay overlay = new Overlay();
  private final Background background = new Background(messages);
  private final Recovery recovery;
  private final SongFiles files;
  private final Autosave autosave;
  private final RoomContext context;
  private final Rooms rooms;
  private boolean ended;
  private final Comparison comparison;
  private final NewSongs start;
  private Optional<List<Command>> commands = Optional.empty();
  private final TopBar bridge;
  private final StageList course;
  private final SoundingsPane soundings;
  private final TideChart tide;
  private final PlayDesk play;
  private final LoudnessWatcher loudness;
  private final FrameTicker pulse;
  private final Path preferencesFile;
  private final StackPane inFront = new StackPane();

  /** The room comes first for the Tab key, then what lies around it. */
  private final BorderPane frame = new BorderPane(inFront);

  private final StackPane root = new StackPane();
  private Stage front = Stage.BRIEF;
  private Consumer<Path> reveal = folder -> {};
  private Preferences kept;
  private final Appearance appearance;

  /** Shows folders by this from now on; before, they are not shown. */
  void revealBy(Consumer<Path> shows) {
    reveal = shows;
  }

  /** A window frame in its surroundings; nothing is open yet. */
  public Shell(Environment around) {
    this.around = around;
    this.recovery = Recovery.in(around.data().resolve("unsaved"), around.clock());
    RecentFiles recent = new RecentFiles(around.data().resolve("recent-files.txt"));
    this.files =
        new SongFiles(
            open,
            overlay,
            messages,
            background,
            new SongFiles.Kept(
                recent,
                recovery,
                new SongVersions(around.data().resolve(SongVersions.FOLDER), around.clock()),
                around.documents()));
    SongExports exports = new SongExports(messages, background, folder -> reveal.accept(folder));
    OwnStyles own = new OwnStyles(around.data().resolve("styles"), open.book());
    open.useBook(own.book());
    this.autosave =
        new Autosave(
            open,
            recovery,
            what -> Platform.runLater(() -> messages.failed(what)),
            () -> Platform.runLater(() -> messages.withdraw(Autosave.CANNOT)));
    this.preferencesFile = around.data().resolve("preferences.properties");
    this.appearance =
        new Appearance(
            around.data().resolve("window.properties"),
            messages,
            () -> open.view().ifPresent(this::show));
    this.front = appearance.memory().room();
    AudioOutput audio = around.audio().get();
    Player player = new Player(audio, around.tables(), this::playingFailed);
    this.play = new PlayDesk(open, player, messages, Preferences.read(preferencesFile));
    audio.watch(this::deviceChanged);
    this.kept = play.preferences();
    this.loudness = new LoudnessWatcher(open, around.hearing());
    GrooveFiles grooves = new GrooveFiles(open, overlay, messages, background, files);
    this.context =
        new RoomContext(
            open,
            files,
            exports,
            grooves,
            messages,
            background,
            play,
            overlay,
            appearance.pages(),
            new LoopFacts());
    LoopTempo.watch(open, messages);
    this.rooms = new Rooms(context, own, around, messages::builtAnew);
    this.bridge =
        new TopBar(
            open,
            new PlayBar(play, this::listening),
            this::find,
            this::keys,
            new TopBar.Saving(files::save, files::versions),
            this::typeInBrief);
    this.course = new StageList(this::go);
    this.soundings = new SoundingsPane(open::apply, appearance::openSoundings);
    soundings.stand(appearance.memory().soundings());
    this.tide =
        new TideChart(
            play, open, () -> go(Stage.FORM), new EnergyPanel(open, background, messages));
    this.pulse = new FrameTicker(play, around.millis(), messages, this::follow);
    this.comparison = new Comparison(open, play, messages, background);
    files.comparing(comparison::with);
    open.watchOpening(comparison::forget);
    overlay.whenLeft(this::neverWithoutSong);
    this.start =
        new NewSongs(open, files, recovery, background, messages, play, overlay, around.millis());
    open.watchOpening(play::opened);
    open.watch(this::show);
    open.watch(play::show);
    play.watch(this::keepPreferences);
    frame.setTop(bridge);
    frame.setLeft(course);
    frame.setRight(soundings);
    frame.setBottom(tide);
    tide.fitInto(frame);
    root.getStyleClass().add("desk");
    root.getChildren().addAll(new ScrolledFrame(frame), overlay, messages);
  }

  /** What can be done, listed when it is first asked for. */
  private List<Command> commands() {
    if (commands.isEmpty()) {
      List<Command> all =
          new ArrayList<>(new ShellCommands(this, open, files, play, comparison).list());
      all.add(
          Command.of(
                  "reach-energy",
                  "Bring the section to the energy its style wants",
                  tide::reachTarget)
              .when(open::isOpen));
      all.addAll(rooms.commands(this::go));
      commands = Optional.of(List.copyOf(all));
    }
    return commands.get();
  }

  /** The scene, dressed and listening to the keys. */
  public Scene scene(double width, double height) {
    Scene scene = new Scene(new Zoomed(root), width, height);
    appearance.dress(scene);
    Gestures.watch(scene, open, around.millis());
    ShellKeys.on(
        scene, this::commands, () -> open.isOpen() && !overlay.isOpen(), this::find, this::keys);
    DroppedFiles.on(scene, files::openFile, this::bringIn);
    autosave.start();
    pulse.start();
    return scene;
  }

  /** A sound that was dropped on the window becomes a part of the song in front. */
  void bringIn(Path sound) {
    if (open.isOpen()) {
      go(Stage.LINES);
      new BringLoop(context).file(sound);
    } else {
      notice("Open or draft a song first; the loop then comes into it.");
    }
  }

  /** How the window looks and where it stood. */
  Appearance appearance() {
    return appearance;
  }

  /** Keeps where the window stands, with the room in front and the look. */
  void remember(int x, int y, int width, int height) {
    appearance.remember(x, y, width, height, front);
  }

  /** The open song. */
  public OpenSong open() {
    return open;
  }

  /** Playing what is open. */
  PlayDesk play() {
    return play;
  }

  /** The demo songs; each is read when it is opened. */
  List<DemoSong> demos() {
    return demos;
  }

  /** Opens a file the application was started with. */
  public void openFile(Path file) {
    showStart();
    files.openFile(file, this::offerLeft);
  }

  /** Whoever names a song is told of unsaved work too. */
  private void offerLeft() {
    if (start.somethingIsLeft()) {
      showStart();
    }
  }

  /** Says what one should know of the surroundings. */
  void notice(String sentence) {
    messages.notice(sentence);
  }

  /** The window came in front: somebody may have written the open file meanwhile. */
  void inFront() {
    files.lookAgain();
  }

  /** Opens a song that has no file, at the first stage. */
  public void begin(Song song) {
    start.begin(song, () -> go(Stage.BRIEF));
  }

  /** Opens a demo song. */
  void begin(DemoSong demo) {
    start.begin(demo, () -> go(Stage.BRIEF));
  }

  /** Every way out of a question ends at a song or at the start sheet. */
  private void neverWithoutSong() {
    if (!open.isOpen() && !ended) {
      showStart();
    }
  }

  /** Shows the start sheet over everything. */
  public void showStart() {
    start.show(demos, () -> go(Stage.BRIEF));
    PauseTransition drawn = new PauseTransition(FIRST_PICTURE);
    drawn.setOnFinished(
        event -> {
          if (!ended) {
            rooms.buildWhileIdle();
          }
        });
    drawn.play();
  }

  /** Shows the start sheet with the first demo song at hand. */
  void showDemos() {
    showStart();
    root.lookup("#demo-0").requestFocus();
  }

  private void typeInBrief(String field) {
    go(Stage.BRIEF);
    root.lookup("#" + field).requestFocus();
  }

  /** Brings a stage's sheet to the front. */
  public void go(Stage stage) {
    if (front != stage) {
      front().leave();
      messages.leave();
    }
    front = stage;
    open.view()
        .ifPresent(
            view -> {
              show(view);
              areas().enterDrawing();
            });
  }

  /** Opens the list of commands. */
  void find() {
    if (open.isOpen()) {
      new CommandList(commands(), new Places(this, rooms.all(), front).list(), overlay).open();
    }
  }

  /** Opens the card of all keys. */
  void keys() {
    if (open.isOpen()) {
      overlay.open(new KeyCard(front().keys(), commands(), overlay::close));
    }
  }

  /** Opens the guide at the page of the room in front. */
  void guide() {
    overlay.open(new GuidePanel(GuidePage.of(front), overlay::close));
  }

  /** Opens the soundings, or folds them to their line. */
  void turnSoundings() {
    soundings.open(!soundings.isOpen());
  }

  /** Moves the focus to the next area of the window. */
  void nextArea() {
    areas().next(root.getScene().getFocusOwner());
  }

  private WindowAreas areas() {
    return new WindowAreas(() -> front().node(), List.of(soundings, tide, course));
  }

  /** Opens the list of what was done in this session. */
  void history() {
    bridge.openHistory();
  }

  /** Runs the end once unsaved changes are settled. */
  void end(Runnable then) {
    files.settled(then);
  }

  /**
   * Logs what nobody expected and says that nothing was lost; the sheet in front is built anew, so
   * that what failed in it does not stay.
   */
  void unexpected(Throwable problem) {
    LOG.error("Something unexpected went wrong in the window", problem);
    messages.unexpected();
    open.view()
        .ifPresent(
            view -> {
              front().anew(view.song());
              show(view);
            });
  }

  /**
   * Forgets kept work and finishes what is being written; the last thing before the process ends.
   */
  void close() {
    ended = true;
    pulse.stop();
    loudness.close();
    play.close();
    autosave.end();
    files.close();
    background.finish();
  }

  private void playingFailed(Throwable problem) {
    LOG.error("Playing failed", problem);
    Platform.runLater(
        () -> messages.failed("Playing failed and stopped; press play to try again."));
  }

  private void deviceChanged(boolean found) {
    Platform.runLater(
        () -> {
          messages.notice(
              found
                  ? "The audio device is there again; sound goes to it."
                  : "The audio device is gone: playing silently until it is found again.");
          play.outputChanged();
        });
  }

  private void show(SongView view) {
    putInFront(front());
    front().show(view);
    putInFront(front());
    bridge.show(view);
    course.show(view, rooms.all(), front);
    soundings.show(view, front, open.selection());
    tide.show(view);
    loudness.show(view, front);
  }

  private void putInFront(Room room) {
    if (!inFront.getChildren().contains(room.node())) {
      ((Region) room.node()).setMinSize(0, 0);
      inFront.getChildren().setAll(room.node());
    }
  }

  private void follow(PlayPosition moment) {
    if (open.isOpen()) {
      bridge.follow(moment);
      tide.follow(moment);
      front().follow(moment);
    }
  }

  /** The sheet in front. */
  StandingRoom front() {
    return rooms.of(front);
  }

  private void keepPreferences() {
    Preferences now = play.preferences();
    if (!now.equals(kept)) {
      kept = now;
      background.quietly(
          () -> {
            now.write(preferencesFile);
            return null;
          });
    }
    open.view().ifPresent(view -> tide.show(view));
  }

  /** Runs a command by its id, as its row in the list does. */
  void run(String id) {
    commands().stream().filter(command -> command.id().equals(id)).forEach(c -> c.run().run());
  }

  /** Leaves what is in front of the window. */
  void closeOverlay() {
    overlay.close();
  }

  /** Plays the pattern or progression in front; the song, where the room has none. */
  void playInFront() {
    Optional<PatternTrial> trial = play.gauges().playing() ? Optional.empty() : front().inFront();
    trial.ifPresentOrElse(found -> play.tryOut(found.change(), found.range()), play::toggle);
  }

  /** Opens what can be set about listening, with the cautions. */
  void listening() {
    overlay.open(new ListeningPanel(play, overlay::close));
  }
}
