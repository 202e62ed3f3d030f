package westtide.desktop.found;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.TypedLine;
import westtide.desktop.open.SongView;
import westtide.desktop.room.BringLoop;
import westtide.desktop.room.Command;
import westtide.desktop.room.PatternTrial;
import westtide.desktop.room.RoomContext;
import westtide.found.BringIn;
import westtide.found.ChordGuess;
import westtide.found.FoundFacts;
import westtide.found.SoundNotes;
import westtide.rhythm.Swing;
import westtide.rhythm.Tempo;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.edit.BriefEdits;
import westtide.song.edit.Edit;
import westtide.song.edit.found.FoundEdits;
import westtide.song.found.Fit;
import westtide.song.found.FoundSound;
import westtide.song.found.PieceLine;
import westtide.song.found.Recording;
import westtide.song.pattern.NamedPattern;
import westtide.text.Reading;
import westtide.theory.Key;
import westtide.theory.KeyFinder;

/** The sheet of a found sound, in front while such a part is chosen. */
public final class FoundBench {
  private static final int KEPT = 4;
  private static final int LOWS_HERTZ = 140;
  private static final int HEARD_VELOCITY = 112;

  private final RoomContext context;
  private final BringLoop bring;
  private final VBox content = new VBox(8);
  private final Chips<String> patterns =
      new Chips<String>("found-pattern-", name -> name, this::choosePattern).wrapping();
  private final Label state = Controls.wrapped("", "small");
  private final Button next = Controls.primary("found-next", "next step", this::takeNext);
  private final LoopSheet loop = new LoopSheet(new Hand());
  private final FitSheet fit = new FitSheet(this::semitones);
  private final Chips<Fit.Way> ways = new Chips<>("fit-", Fit.Way::toString, this::way);
  private final Chips<Fit.Feel> feels = new Chips<>("feel-", this::felt, this::feel);
  private final Label cost = Controls.wrapped("", "small");
  private final Chips<String> tempi = new Chips<String>("loop-tempo-", word -> word, this::count);
  private final Label left = Controls.label("", "small");
  private final KeyRose rose = new KeyRose();
  private final Chips<String> keyChips = new Chips<String>("loop-key-", word -> word, this::keyed);
  private final PieceShapes shapes = new PieceShapes();
  private final TypedLine line =
      new TypedLine("found-line", "such as A A C:C ,B | E F . G+5", this::type);
  private final Map<String, FoundScene.Heard> heard = new LinkedHashMap<>();
  private String asked = "";
  private Optional<FoundScene> scene = Optional.empty();
  private Optional<Step> step = Optional.empty();

  /** What to do next, and what does it. */
  private record Step(String words, Runnable run) {}

  /** A sheet. */
  public FoundBench(RoomContext context) {
    this.context = context;
    this.bring = new BringLoop(context);
    build();
  }

  /** What it draws. */
  public Node node() {
    return content;
  }

  private void build() {
    HBox.setHgrow(patterns, Priority.NEVER);
    HBox.setHgrow(state, Priority.ALWAYS);
    VBox.setVgrow(loop, Priority.ALWAYS);
    loop.setMinHeight(90);
    loop.setPrefHeight(250);
    state.setId("found-state");
    cost.setId("found-cost");
    VBox fits =
        Controls.column(
            4, Controls.label("How it fits", "group-name"), fit, Controls.flow(ways, feels), cost);
    VBox keys =
        Controls.column(4, Controls.label("Its key", "group-name"), rose, Controls.flow(keyChips));
    VBox cut =
        Controls.column(
            4, Controls.label("Cut up and put together anew", "group-name"), shapes, line);
    VBox.setVgrow(rose, Priority.ALWAYS);
    HBox.setHgrow(fits, Priority.ALWAYS);
    HBox.setHgrow(cut, Priority.ALWAYS);
    fits.setPrefWidth(420);
    keys.setPrefWidth(230);
    cut.setPrefWidth(340);
    HBox below = new HBox(22, fits, keys, cut);
    content
        .getChildren()
        .addAll(
            Controls.row(12, patterns, state, Controls.spring(), next),
            loop,
            Controls.row(
                10,
                Controls.whole(Controls.label("counted as", "small")),
                tempi,
                Controls.spring(),
                left),
            below,
            verbs());
    Controls.explained(
        line.field(),
        "Letters are pieces, * the whole loop; signs in a bar share it evenly; a comma plays a piece"
            + " backwards, : halves, - holds, . rests, +5 moves it by semitones, | ends a bar");
  }

  private FlowPane verbs() {
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
        verb("found-beats", "cut at beats", "A piece a beat", () -> cutAtGrid(4)),
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

  /** Shows a part that plays found sound. */
  public void show(SongView view, Part part) {
    FoundSound sound = part.found().orElseThrow();
    NamedPattern pattern = part.pattern(context.open().selection().pattern(part));
    Optional<FoundScene.Heard> known = Optional.ofNullable(heard.get(sound.recording().id()));
    FoundScene shown = new FoundScene(view, part, sound, pattern, known);
    scene = Optional.of(shown);
    listen(sound.recording());
    patterns.show(part.patterns().stream().map(NamedPattern::name).toList(), pattern.name());
    loop.show(shown);
    fit.show(shown);
    rose.show(shown);
    shapes.show(shown);
    ways.show(List.of(Fit.Way.values()), sound.fit().way());
    feels.show(List.of(Fit.Feel.values()), sound.fit().feel());
    cost.setText(cost(shown));
    showTempi(shown);
    showKeys(shown);
    line.show(
        shown.line().flatMap(l -> PieceLine.text(sound, l, view.song().brief().meter())).orElse(""),
        part.id() + pattern.name());
    state.setText(state(sound));
    left.setText(left(sound));
    line.field()
        .setPromptText(
            shown.line().isEmpty() || line.field().getText().isEmpty()
                ? "in its own time: type letters"
                : "");
    step = step(shown);
    step.map(Step::words).ifPresent(next::setText);
    next.setVisible(step.isPresent());
  }

  /** Finds out beside the window what a recording is; it is shown when it is known. */
  private void listen(Recording recording) {
    if (heard.containsKey(recording.id()) || !recording.isThere() || asked.equals(recording.id())) {
      return;
    }
    asked = recording.id();
    context
        .background()
        .runLong(
            () ->
                new FoundScene.Heard(
                    FoundFacts.of(recording, SoundNotes.NONE), Envelope.of(recording)),
            found -> {
              asked = "";
              heard.put(recording.id(), found);
              if (heard.size() > KEPT) {
                heard.remove(heard.keySet().iterator().next());
              }
              scene.ifPresent(
                  s -> {
                    if (s.sound().recording().id().equals(recording.id())) {
                      show(s.view(), s.part());
                    }
                  });
            });
  }

  private static String state(FoundSound sound) {
    if (!sound.recording().isThere()) {
      return "Its sound is missing: bring the same file in again and it takes its place.";
    }
    String from = sound.origin().line();
    return "a loop brought in · its file is never changed · "
        + (from.isEmpty() ? "" : from + " · ")
        + (sound.origin().cleared() ? "cleared" : "not cleared yet");
  }

  private static String left(FoundSound sound) {
    double seconds = sound.downbeat() / (double) sound.recording().rate();
    return seconds < 0.01
        ? ""
        : String.format(Locale.ROOT, "%.2f s before the downbeat are left out", seconds);
  }

  private String felt(Fit.Feel feel) {
    double factor = feel.factor();
    return scene
        .map(s -> feel + ": " + figure(s.sound().tempo().bpm() * factor))
        .orElse(feel.toString());
  }

  private static String figure(double value) {
    String text = String.format(Locale.ROOT, "%.2f", value);
    return text.replaceFirst("\\.?0+$", "");
  }

  private static String cost(FoundScene shown) {
    FoundSound sound = shown.sound();
    double moved = sound.semitones(shown.tempo());
    String semitones = (moved < 0 ? "−" : "+") + figure(Math.abs(moved));
    double times = sound.times(shown.tempo());
    String length = figure(100 * times) + " % of its length";
    String key = sound.key().map(k -> ", key " + k + " → " + moved(k, moved)).orElse("");
    String cents =
        Math.abs(sound.cents()) < 3 ? "" : ", " + cents(sound.cents()) + " off concert pitch";
    return semitones + " semitones, " + length + key + cents + ": " + sound.fit().way().reason();
  }

  private static String cents(int cents) {
    return (cents > 0 ? "+" : "−") + Math.abs(cents) + " cents";
  }

  private static Key moved(Key key, double semitones) {
    int by = (int) Math.round(semitones);
    return Key.usual(Math.floorMod(key.tonic().pitchClass() + by, 12), key.scale());
  }

  private void showTempi(FoundScene shown) {
    String now = counted(shown.sound().tempo().bpm(), shown.sound().bars());
    List<String> words = new ArrayList<>();
    words.add(now);
    shown
        .heard()
        .ifPresent(
            found ->
                found.facts().tempos().stream()
                    .map(guess -> counted(Tempo.nearest(guess.bpm()).bpm(), guess.bars()))
                    .filter(word -> !words.contains(word))
                    .limit(3)
                    .forEach(words::add));
    tempi.show(words, now);
  }

  private static String counted(double bpm, int bars) {
    return bars + (bars == 1 ? " bar at " : " bars at ") + figure(bpm);
  }

  private void count(String word) {
    withFacts(
        (s, facts) ->
            facts.tempos().stream()
                .filter(g -> counted(Tempo.nearest(g.bpm()).bpm(), g.bars()).equals(word))
                .findFirst()
                .ifPresent(g -> context.apply(edits(s).bars(Tempo.nearest(g.bpm()), g.bars()))));
  }

  private void showKeys(FoundScene shown) {
    String now = shown.sound().key().map(Key::toString).orElse("no key");
    List<String> words = new ArrayList<>();
    words.add(now);
    shown
        .heard()
        .ifPresent(
            found ->
                found.facts().keys().stream()
                    .limit(2)
                    .map(guess -> guess.key().toString())
                    .filter(word -> !words.contains(word))
                    .forEach(words::add));
    keyChips.show(words, now);
  }

  private void keyed(String word) {
    withFacts(
        (s, facts) ->
            facts.keys().stream()
                .map(KeyFinder.Guess::key)
                .filter(key -> key.toString().equals(word))
                .findFirst()
                .ifPresent(key -> context.apply(edits(s).key(Optional.of(key)))));
  }

  /** The one thing that is still missing. */
  private Optional<Step> step(FoundScene shown) {
    FoundSound sound = shown.sound();
    Song song = shown.view().song();
    if (!sound.recording().isThere()) {
      return Optional.of(
          new Step("bring it in again …", () -> bring.choose(content.getScene().getWindow())));
    }
    double moved = sound.semitones(shown.tempo());
    if (sound.fit().way() == Fit.Way.REPITCH && Math.abs(moved) > 3.6) {
      return Optional.of(new Step("take it at " + shown.tempo(), () -> way(Fit.Way.STRETCH)));
    }
    boolean inKey =
        sound.key().isEmpty()
            || FoundEdits.toKey(sound.withKey(sound.key().map(k -> moved(k, moved))), key(song))
                == 0;
    if (!inKey) {
      return Optional.of(
          sound.fit().way() == Fit.Way.REPITCH
              ? new Step("the song to the loop", this::songToLoop)
              : new Step("move it to " + key(song), () -> toSong(sound.fit().way())));
    }
    boolean chords = shown.heard().isPresent() && !takenChords(song, sound);
    if (chords) {
      return Optional.of(new Step("take its chords", this::takeChords));
    }
    return sound.origin().cleared()
        ? Optional.empty()
        : Optional.of(new Step("where it is from …", this::origin));
  }

  private static Key key(Song song) {
    return song.brief().key();
  }

  private boolean takenChords(Song song, FoundSound sound) {
    return chordsTaken.contains(sound.recording().id() + song.progressions());
  }

  private final java.util.Set<String> chordsTaken = new java.util.HashSet<>();

  private void takeNext() {
    step.ifPresent(now -> now.run().run());
  }

  private FoundEdits edits(FoundScene shown) {
    return new FoundEdits(shown.part().id());
  }

  private interface WithFacts {
    void run(FoundScene scene, FoundFacts facts);
  }

  private void withFacts(WithFacts then) {
    scene.ifPresent(s -> s.heard().ifPresent(found -> then.run(s, found.facts())));
  }

  private void choosePattern(String name) {
    scene.ifPresent(s -> context.open().select(s.part(), name));
  }

  private void way(Fit.Way chosen) {
    scene.ifPresent(s -> context.apply(edits(s).fit(s.sound().fit().withWay(chosen))));
  }

  private void toSong(Fit.Way chosen) {
    scene.ifPresent(s -> context.apply(edits(s).loopToSong(chosen)));
  }

  private void feel(Fit.Feel chosen) {
    scene.ifPresent(
        s -> {
          FoundSound counted = s.sound().withFit(s.sound().fit().withFeel(chosen));
          Edit fitted = edits(s).fit(counted.fit());
          Edit laid = edits(s).bars(counted.tempo(), counted.bars());
          context.apply(
              Edit.together("Count " + s.part().name() + " " + chosen, List.of(fitted, laid)));
        });
  }

  /** Repitched, a semitone is another tempo of the song; else it is the loop that moves. */
  private void semitones(int wanted) {
    scene.ifPresent(
        s -> {
          if (s.sound().fit().way() == Fit.Way.REPITCH) {
            double bpm = s.sound().countedBpm() * Math.pow(2, wanted / 12.0);
            context.apply(BriefEdits.tempo(Tempo.nearest(Math.max(20, Math.min(300, bpm)))));
          } else {
            context.apply(edits(s).fit(s.sound().fit().withSemitones(wanted)));
          }
        });
  }

  private void songToLoop() {
    scene.ifPresent(s -> context.apply(edits(s).songToLoop()));
  }

  private void takeChords() {
    scene.ifPresent(
        s ->
            context.compute(
                () -> ChordGuess.of(s.sound()),
                guesses -> {
                  Edit edit =
                      Edit.of(
                          "The chords of " + s.part().name(),
                          song -> BringIn.withChordsOf(guesses, song));
                  context.apply(edit);
                  Song after = context.open().song();
                  chordsTaken.add(s.sound().recording().id() + after.progressions());
                  context
                      .messages()
                      .done(
                          "Chords of the loop: "
                              + guesses.stream()
                                  .map(
                                      g ->
                                          g.name()
                                              + String.format(
                                                  Locale.ROOT, " %.0f %%", 100 * g.sure()))
                                  .collect(Collectors.joining(", ")));
                  show(context.open().view().orElseThrow(), s.part());
                }));
  }

  private void takeFeel() {
    scene.ifPresent(
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
    scene.ifPresent(
        s -> context.apply(edits(s).lowsApart(BringIn.freshId(s.view().song()), LOWS_HERTZ)));
  }

  private void gap() {
    scene.ifPresent(
        s -> {
          boolean open = s.part().mix().effects().equaliser().mid() < 0;
          context.apply(edits(s).voiceGap(!open));
        });
  }

  private void cutAtOnsets() {
    withFacts((s, facts) -> context.apply(edits(s).marks(BringIn.marks(s.sound(), facts))));
  }

  private void cutAtGrid(int aBar) {
    scene.ifPresent(
        s -> {
          FoundSound sound = s.sound();
          int share = Math.min(aBar, FoundSound.MOST_PIECES / Math.max(1, sound.bars()));
          int count = Math.max(1, share) * sound.bars();
          List<Integer> marks = new ArrayList<>();
          for (int i = 0; i < count; i++) {
            int at = (int) Math.round(sound.downbeat() + i * sound.frames() / count);
            marks.add(i == 0 ? at : BringIn.crossing(sound.recording(), at));
          }
          context.apply(edits(s).marks(marks));
        });
  }

  private void chokes() {
    scene.ifPresent(s -> context.apply(edits(s).chokes(!s.sound().chokes())));
  }

  private void origin() {
    scene.ifPresent(s -> new OriginPanel(context, s.part()).open());
  }

  private void another() {
    bring.crate(Math.floorMod(context.open().song().seed() * 31 + heard.size() + 7, 9000));
  }

  private Optional<Reading.Problem<?>> type(String text) {
    if (scene.isEmpty()) {
      return Optional.empty();
    }
    FoundScene s = scene.get();
    Reading<PieceLine.Read> read = PieceLine.read(text, s.sound(), s.view().song().brief().meter());
    if (read instanceof Reading.Problem<PieceLine.Read> problem) {
      return Optional.of(problem);
    }
    context.apply(edits(s).line(s.pattern().name(), text));
    return Optional.empty();
  }

  /** The pattern in front, looped. */
  public Optional<PatternTrial> trial() {
    return scene.flatMap(
        s ->
            s.line()
                .flatMap(
                    l ->
                        PatternTrial.of(
                            s.view().song(),
                            s.part().id(),
                            s.pattern().name(),
                            l.bars(),
                            context.open().section())));
  }

  /** What can be done by keys. */
  public List<KeyTable> keys() {
    return List.of(loop.keys(), fit.keys());
  }

  /** What can be done, by name. */
  public List<Command> commands() {
    return List.of(
        Command.of(
            "bring-loop",
            "Bring in a loop: a sample from a file …",
            () -> bring.choose(content.getScene() == null ? null : content.getScene().getWindow())),
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
        Command.of("loop-beats", "Chop the loop at beats", () -> cutAtGrid(4)),
        Command.of("loop-origin", "Where the loop is from: clearance", this::origin));
  }

  /** What the sheet asks for. */
  private final class Hand implements LoopSheet.Hand {
    @Override
    public void hear(int piece) {
      scene.ifPresent(
          s -> context.play().touch(s.part(), FoundSound.FIRST_KEY + piece, HEARD_VELOCITY));
    }

    @Override
    public void cut(List<Integer> marks) {
      scene.ifPresent(s -> context.apply(edits(s).marks(marks)));
    }

    @Override
    public void downbeat(int sample) {
      scene.ifPresent(s -> context.apply(edits(s).downbeat(sample)));
    }
  }
}
