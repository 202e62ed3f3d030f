package westtide.desktop.found;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.layout.FlowPane;
import javafx.stage.Window;
import westtide.desktop.kit.Controls;
import westtide.desktop.room.BringLoop;
import westtide.desktop.room.Command;
import westtide.desktop.room.RoomContext;
import westtide.found.BringIn;
import westtide.found.ChordGuess;
import westtide.rhythm.Swing;
import westtide.rhythm.Tempo;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.chord.Progression;
import westtide.song.edit.BriefEdits;
import westtide.song.edit.Edit;
import westtide.song.edit.PartNames;
import westtide.song.edit.found.FoundEdits;
import westtide.song.found.Fit;
import westtide.song.found.FoundSound;

/** What can be done with the loop in front, and which of it comes next. */
final class LoopActions {
  private static final int LOWS_HERTZ = 140;
  private static final int BEATS = 4;
  private static final int CRATE = 9000;

  private final RoomContext context;
  private final Supplier<Optional<FoundScene>> shown;
  private final Supplier<Window> owner;
  private final BringLoop bring;
  private final Set<TakenChords> taken = new HashSet<>();

  /** What to do next, and what does it. */
  record Step(String words, Runnable run) {}

  /** Rows of chords that were taken from a recording. */
  private record TakenChords(String recording, List<Progression> rows) {}

  /**
   * Actions.
   *
   * @param shown the loop in front
   * @param owner the window the system's chooser belongs to
   */
  LoopActions(RoomContext context, Supplier<Optional<FoundScene>> shown, Supplier<Window> owner) {
    this.context = context;
    this.shown = shown;
    this.owner = owner;
    this.bring = new BringLoop(context);
  }

  private Optional<FoundScene> scene() {
    return shown.get();
  }

  private static FoundEdits edits(FoundScene scene) {
    return new FoundEdits(scene.part().id());
  }

  private void choose() {
    bring.choose(owner.get());
  }

  /** The one thing that is still missing. */
  Optional<Step> next(FoundScene shown) {
    FoundSound sound = shown.sound();
    Song song = shown.view().song();
    if (!sound.recording().isThere()) {
      return Optional.of(new Step("bring it in again …", this::choose));
    }
    boolean far = Math.abs(sound.semitones(shown.tempo())) > BringIn.MOST_SEMITONES;
    if (sound.fit().way() == Fit.Way.REPITCH && far) {
      return Optional.of(new Step("take it at " + shown.tempo(), () -> way(Fit.Way.STRETCH)));
    }
    if (FoundEdits.fromKey(sound, song.brief()) != 0) {
      return Optional.of(
          sound.fit().way() == Fit.Way.REPITCH
              ? new Step("the song to the loop", this::songToLoop)
              : new Step("move it to " + song.brief().key(), () -> toSong(sound.fit().way())));
    }
    TakenChords rows = new TakenChords(sound.recording().id(), song.progressions());
    if (shown.facts().isPresent() && !taken.contains(rows)) {
      return Optional.of(new Step("take its chords", this::takeChords));
    }
    return sound.origin().cleared()
        ? Optional.empty()
        : Optional.of(new Step("where it is from …", this::origin));
  }

  void way(Fit.Way chosen) {
    scene().ifPresent(s -> context.apply(edits(s).fit(s.sound().fit().withWay(chosen))));
  }

  void toSong(Fit.Way chosen) {
    scene().ifPresent(s -> context.apply(edits(s).loopToSong(chosen)));
  }

  void feel(Fit.Feel chosen) {
    scene()
        .ifPresent(
            s -> {
              FoundSound counted = s.sound().withFit(s.sound().fit().withFeel(chosen));
              Edit fitted = edits(s).fit(counted.fit());
              Edit laid = edits(s).bars(counted.tempo(), counted.bars());
              context.apply(
                  Edit.together("Count " + s.part().name() + " " + chosen, List.of(fitted, laid)));
            });
  }

  /** Repitched, a semitone is another tempo of the song; else it is the loop that moves. */
  void semitones(int wanted) {
    scene()
        .ifPresent(
            s -> {
              if (s.sound().fit().way() == Fit.Way.REPITCH) {
                double bpm = s.sound().countedBpm() * Math.pow(2, wanted / 12.0);
                context.apply(BriefEdits.tempo(Tempo.nearest(Math.max(20, Math.min(300, bpm)))));
              } else {
                context.apply(edits(s).fit(s.sound().fit().withSemitones(wanted)));
              }
            });
  }

  void songToLoop() {
    scene().ifPresent(s -> context.apply(edits(s).songToLoop()));
  }

  private void takeChords() {
    scene()
        .ifPresent(s -> context.compute(() -> ChordGuess.of(s.sound()), found -> take(s, found)));
  }

  private void take(FoundScene shown, List<ChordGuess.Guess> chords) {
    Edit edit =
        Edit.of("The chords of " + shown.part().name(), song -> BringIn.withChordsOf(chords, song));
    List<Progression> rows = edit.apply(context.open().song()).progressions();
    taken.add(new TakenChords(shown.sound().recording().id(), rows));
    context.apply(edit);
    context
        .messages()
        .done(
            "Chords of the loop: "
                + chords.stream()
                    .map(g -> g.name() + String.format(Locale.ROOT, " %.0f %%", 100 * g.sure()))
                    .collect(Collectors.joining(", ")));
  }

  private void takeFeel() {
    scene()
        .ifPresent(
            s -> {
              Optional<Swing> swing = BringIn.swing(s.sound());
              if (swing.isPresent()) {
                context.apply(edits(s).feelToSong(swing.get()));
              } else {
                context
                    .messages()
                    .notice(
                        "Nothing begins between the eighths of "
                            + s.part().name()
                            + ", so it has no swing to take.");
              }
            });
  }

  private void lows() {
    scene()
        .ifPresent(
            s ->
                context.apply(
                    edits(s).lowsApart(PartNames.freeId(s.view().song(), Role.FOUND), LOWS_HERTZ)));
  }

  private void gap() {
    scene()
        .ifPresent(
            s -> {
              boolean open = s.part().mix().effects().equaliser().mid() < 0;
              context.apply(edits(s).voiceGap(!open));
            });
  }

  private void cutAtOnsets() {
    scene()
        .ifPresent(
            s ->
                s.facts()
                    .ifPresent(
                        facts -> context.apply(edits(s).marks(BringIn.marks(s.sound(), facts)))));
  }

  private void cutAtBeats() {
    scene().ifPresent(s -> context.apply(edits(s).marks(BringIn.grid(s.sound(), BEATS))));
  }

  private void chokes() {
    scene().ifPresent(s -> context.apply(edits(s).chokes(!s.sound().chokes())));
  }

  private void origin() {
    scene().ifPresent(s -> new OriginPanel(context, s.part()).open());
  }

  private void another() {
    Song song = context.open().song();
    bring.crate(Math.floorMod(song.seed() * 31 + song.parts(Role.FOUND).size() + 7, CRATE));
  }

  /** The verbs beside its drawings. */
  FlowPane verbs() {
    return Controls.wholeFlow(
        verb(
            "found-song-to-loop",
            "the song to the loop",
            "Tempo, key and tuning of the loop for the whole song",
            this::songToLoop),
        verb(
            "found-chords",
            "its chords",
            "Takes the chord of each bar of the loop for the song; every part follows them",
            this::takeChords),
        verb(
            "found-feel",
            "its feel",
            "Takes the swing of the loop for the song's drums",
            this::takeFeel),
        verb(
            "found-lows",
            "lows to a part of their own",
            "Splits it at 140 Hz: the lows driven and stepping back for the kick, by themselves",
            this::lows),
        verb(
            "found-gap",
            "room for a voice",
            "Lowers 2.5 kHz by 3.5 dB, or gives it back",
            this::gap),
        verb(
            "found-onsets",
            "cut where it begins",
            "A piece for everything that begins",
            this::cutAtOnsets),
        verb("found-beats", "cut at beats", "A piece a beat", this::cutAtBeats),
        verb(
            "found-chokes",
            "pieces end each other",
            "A piece ends the one before, or both ring",
            this::chokes),
        verb(
            "found-origin",
            "where it is from",
            "Source, author, licence and credit, kept with it",
            this::origin),
        verb(
            "found-crate",
            "another from the crate",
            "Brings in an invented loop to work with",
            this::another));
  }

  private static Button verb(String id, String words, String told, Runnable run) {
    return Controls.explained(Controls.action(id, words, run), told);
  }

  /** What can be done, by name. */
  List<Command> commands() {
    return List.of(
        Command.of("bring-loop", "Bring in a loop: a sample from a file …", this::choose),
        Command.of("bring-crate", "Bring in an invented loop from the crate", this::another),
        Command.of(
            "loop-to-song",
            "The loop to the song: stretch, in its key",
            () -> toSong(Fit.Way.STRETCH)),
        Command.of("song-to-loop", "The song to the loop: tempo, key, tuning", this::songToLoop),
        Command.of("loop-chords", "Take the chords of the loop", this::takeChords),
        Command.of("loop-feel", "Take the feel of the loop for the drums", this::takeFeel),
        Command.of("loop-lows", "Lows of the loop to a part of their own", this::lows),
        Command.of("loop-onsets", "Chop the loop where something begins", this::cutAtOnsets),
        Command.of("loop-beats", "Chop the loop at beats", this::cutAtBeats),
        Command.of("loop-origin", "Where the loop is from: clearance", this::origin));
  }
}
