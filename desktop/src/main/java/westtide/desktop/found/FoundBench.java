package westtide.desktop.found;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.TypedLine;
import westtide.desktop.open.SongView;
import westtide.desktop.room.Command;
import westtide.desktop.room.PatternTrial;
import westtide.desktop.room.RoomContext;
import westtide.found.FoundFacts;
import westtide.found.SoundNotes;
import westtide.rhythm.Tempo;
import westtide.song.Part;
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
  private static final int HEARD_VELOCITY = 112;

  private final RoomContext context;
  private final LoopActions actions;
  private final VBox content = new VBox(8);
  private final Chips<String> patterns =
      new Chips<String>("found-pattern-", name -> name, this::choosePattern).wrapping();
  private final Label state = Controls.wrapped("", "small");
  private final Button next = Controls.primary("found-next", "next step", this::takeNext);
  private final LoopSheet loop = new LoopSheet(new Hand());
  private final FitSheet fit = new FitSheet(wanted -> actions().semitones(wanted));
  private final Chips<Fit.Way> ways =
      new Chips<>("fit-", Fit.Way::toString, way -> actions().way(way));
  private final Chips<Fit.Feel> feels =
      new Chips<>("feel-", this::felt, feel -> actions().feel(feel));
  private final Label cost = Controls.wrapped("", "small");
  private final Chips<String> tempi = new Chips<String>("loop-tempo-", word -> word, this::count);
  private final Label left = Controls.label("", "small");
  private final KeyRose rose = new KeyRose();
  private final Chips<String> keyChips = new Chips<String>("loop-key-", word -> word, this::keyed);
  private final PieceShapes shapes = new PieceShapes();
  private final TypedLine line =
      new TypedLine("found-line", "such as A A C:C ,B | E F . G+5", this::type);
  private final Map<String, Envelope> envelopes = new LinkedHashMap<>();
  private String asked = "";
  private Optional<FoundScene> scene = Optional.empty();
  private Optional<LoopActions.Step> step = Optional.empty();

  /** A sheet. */
  public FoundBench(RoomContext context) {
    this.context = context;
    this.actions =
        new LoopActions(
            context,
            () -> scene,
            () -> content.getScene() == null ? null : content.getScene().getWindow());
  }

  private LoopActions actions() {
    return actions;
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
            actions.verbs());
    Controls.explained(
        line.field(),
        "Letters are pieces, * the whole loop; signs in a bar share it evenly; a comma plays a piece"
            + " backwards, : halves, - holds, . rests, +5 moves it by semitones, | ends a bar");
  }

  /** Shows a part that plays found sound; songs without one never need the sheet. */
  public void show(SongView view, Part part) {
    if (content.getChildren().isEmpty()) {
      build();
    }
    FoundSound sound = part.found().orElseThrow();
    NamedPattern pattern = part.pattern(context.open().selection().pattern(part));
    FoundScene shown = new FoundScene(view, part, sound, pattern, heard(sound.recording()));
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
    step = actions.next(shown);
    step.map(LoopActions.Step::words).ifPresent(next::setText);
    next.setVisible(step.isPresent());
  }

  private Optional<FoundScene.Heard> heard(Recording recording) {
    return Optional.ofNullable(envelopes.get(recording.id()))
        .flatMap(
            drawn ->
                context.loops().of(recording).map(facts -> new FoundScene.Heard(facts, drawn)));
  }

  /** Finds out beside the window what of a recording is not known; it is shown when it is. */
  private void listen(Recording recording) {
    if (!recording.isThere() || asked.equals(recording.id()) || heard(recording).isPresent()) {
      return;
    }
    asked = recording.id();
    Optional<FoundFacts> known = context.loops().of(recording);
    context
        .background()
        .runLong(
            () ->
                new FoundScene.Heard(
                    known.orElseGet(() -> FoundFacts.of(recording, SoundNotes.NONE)),
                    Envelope.of(recording)),
            found -> heard(recording, found));
  }

  private void heard(Recording recording, FoundScene.Heard found) {
    asked = "";
    context.loops().keep(recording, found.facts());
    envelopes.put(recording.id(), found.envelope());
    if (envelopes.size() > KEPT) {
      envelopes.remove(envelopes.keySet().iterator().next());
    }
    scene
        .filter(s -> s.sound().recording().id().equals(recording.id()))
        .ifPresent(s -> show(s.view(), s.part()));
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
    String now = counted(shown.sound().tempo(), shown.sound().bars());
    tempi.show(withOthers(now, guesses(shown).stream().map(FoundBench::counted).toList(), 3), now);
  }

  private static List<FoundFacts.TempoGuess> guesses(FoundScene shown) {
    return shown.facts().map(FoundFacts::tempos).orElse(List.of());
  }

  /** What holds now, and the likeliest others. */
  private static List<String> withOthers(String now, List<String> likely, int most) {
    return Stream.concat(
            Stream.of(now),
            likely.stream().filter(word -> !word.equals(now)).distinct().limit(most))
        .toList();
  }

  private static String counted(FoundFacts.TempoGuess guess) {
    return counted(Tempo.nearest(guess.bpm()), guess.bars());
  }

  private static String counted(Tempo tempo, int bars) {
    return bars + (bars == 1 ? " bar at " : " bars at ") + figure(tempo.bpm());
  }

  private void count(String word) {
    scene.ifPresent(
        s ->
            guesses(s).stream()
                .filter(guess -> counted(guess).equals(word))
                .findFirst()
                .ifPresent(g -> context.apply(edits(s).bars(Tempo.nearest(g.bpm()), g.bars()))));
  }

  private void showKeys(FoundScene shown) {
    String now = shown.sound().key().map(Key::toString).orElse("no key");
    List<String> likely = keys(shown).stream().limit(2).map(Key::toString).toList();
    keyChips.show(withOthers(now, likely, 2), now);
  }

  private static List<Key> keys(FoundScene shown) {
    return shown.facts().stream()
        .flatMap(facts -> facts.keys().stream())
        .map(KeyFinder.Guess::key)
        .toList();
  }

  private void keyed(String word) {
    scene.ifPresent(
        s ->
            keys(s).stream()
                .filter(key -> key.toString().equals(word))
                .findFirst()
                .ifPresent(key -> context.apply(edits(s).key(Optional.of(key)))));
  }

  private void takeNext() {
    step.ifPresent(now -> now.run().run());
  }

  private FoundEdits edits(FoundScene shown) {
    return new FoundEdits(shown.part().id());
  }

  private void choosePattern(String name) {
    scene.ifPresent(s -> context.open().select(s.part(), name));
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
    return actions.commands();
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
    public void downbeat(Part from, int sample) {
      context.apply(new FoundEdits(from.id()).downbeat(from, sample));
    }
  }
}
