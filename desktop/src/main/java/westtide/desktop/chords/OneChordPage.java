package westtide.desktop.chords;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Chooser;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.NumberField;
import westtide.desktop.kit.TypedLine;
import westtide.song.Brief;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.chord.ChordArticulation;
import westtide.song.chord.ChordSpan;
import westtide.song.chord.Strum;
import westtide.text.Reading;
import westtide.theory.Chord;
import westtide.theory.Interval;
import westtide.theory.NoteName;
import westtide.theory.Pitch;
import westtide.theory.RomanNumeral;
import westtide.theory.voicing.ChordMember;
import westtide.theory.voicing.StackDescription;
import westtide.theory.voicing.VoiceLeading;
import westtide.theory.voicing.Voicing;
import westtide.theory.voicing.VoicingKind;

/**
 * How the chosen chord is played: place, push, rest, spread, inversion, strum and its very notes.
 */
final class OneChordPage implements ChordPage {
  private static final String AS_PART = "voicing as part";
  private static final List<String> TURNS = List.of("auto", "root", "1st", "2nd", "3rd");
  private static final List<String> STRUMS = List.of("block", "up", "down");
  private static final List<String> PUSHES = List.of("on time", "1/16 early", "1/8 early");

  private final ChordChoice choice;
  private final TypedLine name = new TypedLine("chord-name", "chord", this::takeName);
  private final TypedLine notes =
      new TypedLine("chord-notes", "notes, low to high", this::takeNotes);
  private final Chips<String> push = new Chips<>("push-", w -> w, this::takePush);
  private final Chips<String> turns = new Chips<>("inversion-", w -> w, this::takeTurns);
  private final Chips<String> strum = new Chips<>("strum-", w -> w, this::takeStrum);
  private final ToggleButton rest = new ToggleButton("rest");
  private final ToggleButton chordsRest = new ToggleButton("rest, bass goes on");
  private final Chooser<String> spread =
      new Chooser<>("chord-spread", "voicing type of this chord", spreads(), this::takeSpread);
  private final NumberField millis;
  private final NumberField curve;
  private final Label summary = Controls.wrapped("", "small");
  private final VBox box = new VBox(5);

  OneChordPage(ChordChoice choice) {
    this.choice = choice;
    this.millis =
        NumberField.whole(
                "strum-ms",
                "ms",
                ms -> strummed(s -> new Strum(s.up(), ms, s.curve())),
                by -> strummed(s -> new Strum(s.up(), held(s.millis() + by, 1, 120), s.curve())))
            .inline();
    this.curve =
        NumberField.whole(
                "strum-curve",
                "curve",
                bent -> strummed(s -> new Strum(s.up(), s.millis(), bent)),
                by ->
                    strummed(
                        s -> new Strum(s.up(), s.millis(), held(s.curve() + 10 * by, -100, 100))))
            .inline();
    build();
  }

  @Override
  public String title() {
    return "chord";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(ChordScene scene) {
    ChordSpan span = scene.span();
    ChordArticulation articulation = span.articulation();
    name.show(scene.row().notation().write(span.chord(), scene.brief().key()));
    notes.show(names(scene.voicing(), scene.brief()));
    push.show(PUSHES, PUSHES.get(Math.min(2, articulation.push() / 240)));
    rest.setSelected(articulation.rest());
    chordsRest.setSelected(onlyChordsRest(scene));
    turns.show(
        TURNS, TURNS.get(articulation.inversion().map(turn -> Math.min(4, turn + 1)).orElse(0)));
    spread.display(articulation.kind().map(VoicingKind::toString).orElse(AS_PART));
    strum.show(STRUMS, articulation.strum().map(s -> s.up() ? "up" : "down").orElse("block"));
    millis.show(articulation.strum().map(s -> String.valueOf(s.millis())).orElse("–"));
    curve.show(articulation.strum().map(s -> String.valueOf(s.curve())).orElse("–"));
    summary.setText(tell(scene));
  }

  private void build() {
    name.setPrefWidth(110);
    name.setMinWidth(90);
    spread.setPrefWidth(150);
    spread.setMinWidth(130);
    HBox.setHgrow(notes, Priority.ALWAYS);
    summary.setId("chord-summary");
    rest.setId("chord-rest");
    rest.getStyleClass().setAll("toggle-button", "chip");
    rest.setMinWidth(javafx.scene.layout.Region.USE_PREF_SIZE);
    chordsRest.setId("chord-rest-chords");
    chordsRest.getStyleClass().setAll("toggle-button", "chip");
    chordsRest.setMinWidth(javafx.scene.layout.Region.USE_PREF_SIZE);
    chordsRest.setOnAction(
        e -> choice.apply(choice.edits().chordsRest(choice.chord(), chordsRest.isSelected())));
    rest.setOnAction(e -> articulation("Rest a chord", m -> m.withRest(rest.isSelected())));
    box.getChildren()
        .addAll(
            Controls.row(
                8,
                name,
                Controls.whole(Controls.label("voicing", "small")),
                notes,
                Controls.explained(
                    Controls.action("chord-led", "automatic voice leading", this::led),
                    "Voices the chord so that each voice moves least")),
            Controls.row(
                4,
                Controls.action("chord-duplicate", "duplicate", this::duplicate),
                Controls.action("chord-insert", "insert", this::insert),
                Controls.action("chord-earlier", "◂ move", () -> move(-1)),
                Controls.action("chord-later", "move ▸", () -> move(1)),
                Controls.action("chord-remove", "delete", this::remove),
                Controls.spring(),
                push,
                rest,
                chordsRest),
            Controls.flow(
                spread,
                Controls.whole(Controls.label("inversion", "small")),
                turns,
                Controls.whole(Controls.label("strum", "small")),
                strum,
                millis,
                curve),
            summary);
  }

  private static List<String> spreads() {
    Stream<String> kinds = Arrays.stream(VoicingKind.values()).map(VoicingKind::toString);
    return Stream.concat(Stream.of(AS_PART), kinds).toList();
  }

  void duplicate() {
    choice.apply(choice.edits().duplicate(choice.chord()), choice.chord() + 1);
  }

  void insert() {
    ChordSpan span = choice.scene().span();
    ChordSpan plain = ChordSpan.of(span.chord(), span.ticks());
    choice.apply(choice.edits().insert(choice.chord() + 1, plain), choice.chord() + 1);
  }

  void move(int by) {
    int to = choice.chord() + by;
    if (to >= 0 && to < choice.scene().row().spans().size()) {
      choice.apply(choice.edits().move(choice.chord(), to), to);
    }
  }

  void remove() {
    choice.apply(choice.edits().remove(choice.chord()), Math.max(0, choice.chord() - 1));
  }

  void cyclePush() {
    int early = choice.scene().span().articulation().push();
    articulation("Push a chord", m -> m.withPush(early >= 480 ? 0 : early + 240));
  }

  /** Whether every chord part leaves the whole chord out. */
  private static boolean onlyChordsRest(ChordScene scene) {
    List<Part> parts = scene.song().parts(Role.CHORDS);
    return !parts.isEmpty()
        && parts.stream()
            .allMatch(
                part ->
                    scene.span().articulation().without(part.id()).size()
                        == ChordMember.values().length);
  }

  void toggleRest() {
    articulation("Rest a chord", m -> m.withRest(!m.rest()));
  }

  void cycleTurn() {
    Optional<Integer> now = choice.scene().span().articulation().inversion();
    Optional<Integer> next =
        now.isEmpty() ? Optional.of(0) : now.filter(turn -> turn < 3).map(turn -> turn + 1);
    articulation("Invert a chord", m -> m.withInversion(next));
    choice.hear();
  }

  void cycleStrum() {
    Optional<Strum> now = choice.scene().span().articulation().strum();
    takeStrum(now.isEmpty() ? "up" : now.get().up() ? "down" : "block");
  }

  private void led() {
    articulation("Automatic voice leading", m -> m.withOwn(Optional.empty()));
    choice.hear();
  }

  private Optional<Reading.Problem<?>> takeName(String text) {
    Brief brief = choice.scene().brief();
    Optional<Chord> chord =
        Chord.find(text).or(() -> RomanNumeral.find(text).flatMap(n -> n.in(brief.key())));
    if (chord.isEmpty()) {
      return Optional.of(new Reading.Problem<>(1, "type one chord, such as F#m9 or VImaj7"));
    }
    choice.apply(choice.edits().replace(choice.chord(), chord.get()), choice.chord());
    return Optional.empty();
  }

  private Optional<Reading.Problem<?>> takeNotes(String text) {
    List<Integer> keys = new ArrayList<>();
    int column = 1;
    for (String word : text.split(" ", -1)) {
      if (!word.isBlank()) {
        try {
          keys.add(Pitch.parse(word.strip()).midi());
        } catch (IllegalArgumentException e) {
          return Optional.of(new Reading.Problem<>(column, e.getMessage()));
        }
      }
      column += word.length() + 1;
    }
    if (keys.isEmpty()) {
      led();
      return Optional.empty();
    }
    choice.lay(keys, -1);
    choice.hear();
    return Optional.empty();
  }

  private void takePush(String word) {
    articulation("Push a chord", m -> m.withPush(240 * PUSHES.indexOf(word)));
  }

  private void takeTurns(String word) {
    Optional<Integer> turn =
        Optional.of(TURNS.indexOf(word) - 1).filter(inversion -> inversion >= 0);
    articulation("Invert a chord", m -> m.withInversion(turn));
    choice.hear();
  }

  private void takeSpread(String word) {
    Optional<VoicingKind> kind =
        Arrays.stream(VoicingKind.values()).filter(k -> k.toString().equals(word)).findFirst();
    articulation("Spread a chord", m -> m.withKind(kind));
    choice.hear();
  }

  private void takeStrum(String word) {
    Strum before = choice.scene().span().articulation().strum().orElse(Strum.up(22));
    Optional<Strum> after =
        word.equals("block")
            ? Optional.empty()
            : Optional.of(new Strum(word.equals("up"), before.millis(), before.curve()));
    articulation("Strum a chord", m -> m.withStrum(after));
  }

  private void strummed(UnaryOperator<Strum> change) {
    Strum before = choice.scene().span().articulation().strum().orElse(Strum.up(22));
    Strum after = change.apply(before);
    articulation("Strum a chord", m -> m.withStrum(Optional.of(after)));
  }

  private void articulation(String edit, UnaryOperator<ChordArticulation> change) {
    choice.apply(choice.edits().articulation(edit, choice.chord(), change));
  }

  private static int held(int value, int low, int high) {
    return Math.max(low, Math.min(high, value));
  }

  private static String names(Voicing voicing, Brief brief) {
    return voicing.keys().stream()
        .map(key -> brief.key().pitch(key).toString())
        .collect(Collectors.joining(" "));
  }

  /** Which inversion the whole stands in, by its lowest note. */
  private static String turned(ChordScene scene) {
    Chord chord = scene.span().chord();
    int above = Math.floorMod(scene.voicing().bass() - chord.root().pitchClass(), 12);
    List<Integer> heights =
        chord.quality().tones().stream().map(t -> t.semitones() % 12).distinct().toList();
    return switch (heights.indexOf(above)) {
      case 0 -> "root position";
      case 1 -> "first inversion";
      case 2 -> "second inversion";
      case -1 -> "over a foreign bass";
      default -> "third inversion or beyond";
    };
  }

  private static String tell(ChordScene scene) {
    Chord here = scene.span().chord();
    String tones = here.notes().stream().map(NoteName::toString).collect(Collectors.joining(" "));
    String stack = StackDescription.of(scene.voicing(), here);
    StringBuilder out = new StringBuilder(here + " is " + tones + ": " + stack);
    out.append("; ").append(turned(scene)).append(", ");
    out.append(Interval.semitones(scene.voicing().spread())).append(" high");
    int next = scene.chord() + 1;
    if (next < scene.voicings().size()) {
      Chord goal = scene.row().spans().get(next).chord();
      int moved = VoiceLeading.movement(scene.voicing(), scene.voicings().get(next));
      int held = VoiceLeading.commonTones(here, goal);
      out.append(". To ")
          .append(goal)
          .append(" the voices move ")
          .append(Interval.semitones(moved));
      out.append(", ").append(held).append(held == 1 ? " note stays" : " notes can stay");
    }
    return out + ".";
  }
}
