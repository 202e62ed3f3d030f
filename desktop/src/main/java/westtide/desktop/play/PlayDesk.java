package westtide.desktop.play;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.UnaryOperator;
import westtide.desktop.open.Messages;
import westtide.desktop.open.OpenSong;
import westtide.desktop.open.Preferences;
import westtide.desktop.open.SongView;
import westtide.play.Loudspeaker;
import westtide.play.PlaybackMeters;
import westtide.play.Player;
import westtide.rhythm.Meter;
import westtide.score.Score;
import westtide.score.event.ScoredNote;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.form.Form;
import westtide.sound.Audible;

/**
 * Playing, as the window does it: what is open is what is heard; sections are looped, notes and
 * hits sound when they are touched, and the first sound of a session is quiet.
 */
public final class PlayDesk {
  private static final int COUNT_IN = 4;
  private static final int TOUCH_MILLIS = 350;

  /**
   * A range of the song.
   *
   * @param from first tick
   * @param to tick after the last
   */
  public record Range(int from, int to) {
    /** A section of a song, by its place. */
    public static Range of(Song song, int section) {
      Meter meter = song.brief().meter();
      Form form = song.form();
      return new Range(form.startTick(section, meter), form.startTick(section + 1, meter));
    }
  }

  private final OpenSong open;
  private final Player player;
  private final Messages messages;
  private final List<Runnable> watchers = new ArrayList<>();
  private Runnable waking = () -> {};
  private Preferences preferences;
  private Optional<Range> loop = Optional.empty();
  private OptionalInt loopedSection = OptionalInt.empty();
  private Score shown;
  private Optional<UnaryOperator<Song>> trial = Optional.empty();
  private Song heard;
  private boolean greeted;
  private boolean hearsVersion;
  private Loudspeaker speaker = Loudspeaker.FULL;

  /** Playing what is open. */
  public PlayDesk(OpenSong open, Player player, Messages messages, Preferences preferences) {
    this.open = open;
    this.player = player;
    this.messages = messages;
    setPreferences(preferences.withListeningDb(quietly(preferences.listeningDb())));
  }

  private static int quietly(int decibels) {
    return (int) Math.min(decibels, Player.FIRST_LEVEL_DB);
  }

  /** Tells a watcher whenever loop, muting or preferences change. */
  public void watch(Runnable watcher) {
    watchers.add(watcher);
  }

  /** Runs something whenever sound or the place of the song is about to move. */
  void watchWaking(Runnable watcher) {
    waking = watcher;
  }

  /** Whether a song is open to be played. */
  boolean ready() {
    return open.isOpen();
  }

  /** What is playing, where it is and how loud. */
  public PlaybackMeters gauges() {
    return player.gauges();
  }

  /** In plain words, where sound goes. */
  public String output() {
    return player.output().name();
  }

  /** Whether anything can be heard on this machine. */
  public boolean audible() {
    return player.output().audible();
  }

  /** The level, count-in and clicks that are set. */
  public Preferences preferences() {
    return preferences;
  }

  /** Sets level, count-in, clicks and breaks. */
  public void setPreferences(Preferences changed) {
    preferences = changed;
    player.listenAt(changed.listeningDb());
    player.metronome(changed.metronome());
    tell();
  }

  /** What is listened through; it is kept by no file and full again with the next start. */
  public Loudspeaker speaker() {
    return speaker;
  }

  /** Listens through another loudspeaker. */
  public void listenThrough(Loudspeaker wanted) {
    speaker = wanted;
    player.listenThrough(wanted);
    tell();
  }

  /** Listens louder or more quietly by dB. */
  public void louder(int decibels) {
    setPreferences(preferences.withListeningDb(preferences.listeningDb() + decibels));
  }

  /** Plays a state of the song from now on. */
  public void show(SongView view) {
    if (view.score() == shown) {
      return;
    }
    if (hearsVersion) {
      hearVersion(Optional.empty());
    }
    shown = view.score();
    send();
    keepLoop();
  }

  /** The song as it is heard now, which is not the open one while something is tried out. */
  public Song heard() {
    return heard;
  }

  /** Whether something is tried out. */
  public boolean trying() {
    return trial.isPresent();
  }

  /**
   * Plays the open song with a change round and round a range, leaving the song as it is. It ends
   * as soon as anything else is played or looped, or playing stops; edits are heard meanwhile.
   */
  public void tryOut(UnaryOperator<Song> change, Range range) {
    tryOut(change, range, preferences.countIn() ? COUNT_IN : 0);
  }

  /** As {@link #tryOut}, always after a count-in, to be played into. */
  public void playInto(UnaryOperator<Song> change, Range range) {
    tryOut(change, range, COUNT_IN);
  }

  /**
   * Plays another song round and round a range, whether one is open or not, until it is stopped.
   */
  public void audition(Song other, Range range) {
    if (shown != null) {
      tryOut(now -> other, range, 0);
      return;
    }
    player.show(Score.of(other));
    player.loop(range.from(), range.to());
    greet();
    player.play(range.from(), 0);
  }

  private void tryOut(UnaryOperator<Song> change, Range range, int countIn) {
    trial = Optional.of(change);
    loopedSection = OptionalInt.empty();
    send();
    setLoop(range);
    greet();
    player.play(range.from(), countIn);
  }

  /**
   * Plays another version of the song in place of the open one, from where it is, or the open one
   * again. An edit, or another song, brings the open one back.
   */
  public void hearVersion(Optional<Song> version) {
    trial = version.map(other -> now -> other);
    hearsVersion = version.isPresent();
    if (shown != null) {
      send();
    }
    tell();
  }

  /** Whether another version than the open one is heard. */
  public boolean hearsVersion() {
    return hearsVersion;
  }

  private void tryNothing() {
    if (trial.isEmpty() || hearsVersion) {
      return;
    }
    trial = Optional.empty();
    send();
    unloop();
  }

  private void send() {
    Score score = trial.map(change -> Score.of(change.apply(shown.song()))).orElse(shown);
    heard = score.song();
    player.show(score);
  }

  /** Another song was opened: nothing plays, at its beginning, without loop and muting. */
  public void opened() {
    waking.run();
    player.stop();
    trial = Optional.empty();
    hearsVersion = false;
    player.locate(0);
    player.hear(Audible.ALL);
    loopNothing();
  }

  /** Starts where the song is, or stops there. */
  public void toggle() {
    if (gauges().playing()) {
      stop();
    } else {
      double at = gauges().tick();
      start(loop.filter(l -> at < l.from() || at >= l.to()).map(l -> (double) l.from()).orElse(at));
    }
  }

  /** Starts from the beginning of the selected section. */
  public void playSection() {
    tryNothing();
    start(Range.of(open.song(), open.section()).from());
  }

  /** Starts from the selected bar. */
  public void playBar() {
    tryNothing();
    start(open.song().barLines().tick(open.bar()));
  }

  /** Loops the selected section, or plays on when it is looped already. */
  public void toggleLoop() {
    tryNothing();
    Range section = Range.of(open.song(), open.section());
    if (loop.filter(section::equals).isPresent()) {
      loopNothing();
      return;
    }
    loopedSection = OptionalInt.of(open.section());
    setLoop(section);
  }

  /** Loops over a range. */
  public void loop(Range range) {
    tryNothing();
    loopedSection = OptionalInt.empty();
    setLoop(range);
  }

  /** Plays on at the end of the loop. */
  public void loopNothing() {
    tryNothing();
    unloop();
  }

  private void unloop() {
    loop = Optional.empty();
    loopedSection = OptionalInt.empty();
    player.loopNothing();
    tell();
  }

  /** What is looped. */
  public Optional<Range> loop() {
    return loop;
  }

  /** Goes to a tick. */
  public void seek(int tick) {
    waking.run();
    player.locate(tick);
  }

  /** Lets a note of a part sound for a moment. */
  public void touch(Part part, int key, int velocity) {
    greet();
    player.hear(part, key, velocity, TOUCH_MILLIS);
  }

  /** Lets a stroke of a drum lane sound for a moment. */
  public void touch(Part part, ScoredNote.Struck struck, int velocity) {
    greet();
    player.hear(part, struck, velocity, TOUCH_MILLIS);
  }

  /** Stops where it is. */
  public void stop() {
    player.stop();
    tryNothing();
  }

  /** Whether a part, or a lane by its name, is muted. */
  public boolean muted(String name) {
    return player.audible().muted().contains(name);
  }

  /** Whether a part, or a lane by its name, is heard alone. */
  public boolean alone(String name) {
    return player.audible().alone().contains(name);
  }

  /** Mutes a part or lane, or unmutes it. */
  public void toggleMute(String name) {
    player.hear(player.audible().toggleMute(name));
    tell();
  }

  /** Hears a part or lane alone, or again with the others. */
  public void toggleAlone(String name) {
    player.hear(player.audible().toggleAlone(name));
    tell();
  }

  /** Where the song is now. */
  public PlayPosition moment() {
    double tick = gauges().tick();
    Form form = open.song().form();
    int bar = open.song().barLines().bar(Math.max(0, (int) tick));
    int section = form.sectionAt(Math.min(form.bars() - 1, bar));
    double start = form.startTick(section, open.song().brief().meter());
    return new PlayPosition(gauges().playing(), tick, section, tick - start);
  }

  /** Ends the sound with the application. */
  public void close() {
    player.close();
  }

  private void start(double tick) {
    greet();
    player.play(tick, preferences.countIn() ? COUNT_IN : 0);
  }

  private void greet() {
    waking.run();
    if (greeted) {
      return;
    }
    greeted = true;
    messages.done(
        audible()
            ? "Playing quietly at first. Raise the listening level beside the meter when you are ready."
            : "This machine has no audio line: the time runs and the meters move, but nothing can be heard.");
  }

  private void setLoop(Range range) {
    loop = Optional.of(range);
    player.loop(range.from(), range.to());
    tell();
  }

  /** A looped section stays looped when it moves or changes length; a range ends with the song. */
  private void keepLoop() {
    Form form = open.song().form();
    if (loopedSection.isPresent() && loopedSection.getAsInt() < form.sections().size()) {
      Range now = Range.of(open.song(), loopedSection.getAsInt());
      if (!loop.filter(now::equals).isPresent()) {
        setLoop(now);
      }
    } else if (loop.isPresent() && loop.get().to() > open.song().ticks()) {
      loopNothing();
    }
  }

  /** What is heard was lost or found: whoever shows it shows it anew. */
  public void outputChanged() {
    tell();
  }

  private void tell() {
    List.copyOf(watchers).forEach(Runnable::run);
  }
}
