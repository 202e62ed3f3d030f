package westtide.desktop.line;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.Page;
import westtide.desktop.kit.TypedLine;
import westtide.desktop.kit.sheet.ScaleSheet;
import westtide.rhythm.Figure;
import westtide.song.edit.line.LowEndEdits;
import westtide.song.pattern.LowLine;
import westtide.song.pattern.NamedPattern;
import westtide.text.Reading;

/** The grammar of a low line: rhythm, notes, phrase, pick-ups, rests and slides. */
final class LowLinePage implements Page<LineScene> {
  private static final int USUAL_LOWEST = 28;
  private static final String SLIDING = "fifth, octave";

  private final LineBench bench;
  private final Chips<LowLine.Rhythm> rhythms =
      new Chips<LowLine.Rhythm>(
              "low-rhythm-",
              LowLine.Rhythm::toString,
              rhythm -> change("Rhythm", rule -> rule.withRhythm(rhythm)))
          .wrapping();
  private final Chips<LowLine.Pitches> pitches =
      new Chips<LowLine.Pitches>(
              "low-pitches-",
              LowLine.Pitches::toString,
              to -> change("Notes", rule -> rule.withPitches(to)))
          .wrapping();
  private final Chips<LowLine.PickUp> pickUps =
      new Chips<>(
          "low-pick-up-",
          LowLine.PickUp::toString,
          to -> change("Pick-up", rule -> rule.withPickUp(to)));
  private final Chips<Integer> phrases =
      new Chips<>(
          "low-phrase-",
          String::valueOf,
          bars -> change("Phrase", rule -> rule.withPhraseBars(bars)));
  private final Chips<String> slides =
      new Chips<>(
          "low-slides-",
          word -> word,
          word -> change("Slides", rule -> rule.withSlides(word.equals(SLIDING))));
  private final Chips<String> velocities =
      new Chips<>(
          "low-velocity-",
          word -> word,
          word -> change("Velocity", rule -> rule.withShaped(word.equals("shaped"))));
  private final ScaleSheet scales = new ScaleSheet("low-scales", "Rest of the low line", id -> {});
  private final TypedLine figure = new TypedLine("low-figure", "x--x--x-", this::draw);
  private final HBox drawn;
  private final RuleBox box;
  private LineScene scene;

  LowLinePage(LineBench bench) {
    this.bench = bench;
    List.of(rhythms, pitches, pickUps, phrases, slides, velocities)
        .forEach(chips -> chips.getStyleClass().add("small-chips"));
    HBox.setHgrow(rhythms, Priority.ALWAYS);
    HBox.setHgrow(pitches, Priority.ALWAYS);
    HBox.setHgrow(figure, Priority.ALWAYS);
    this.drawn = Controls.row(8, Controls.label("drawn", "small"), figure);
    HBox.setHgrow(scales, Priority.ALWAYS);
    VBox settings =
        Controls.column(
            3,
            Controls.row(8, Controls.label("rhythm", "small"), rhythms),
            Controls.row(8, Controls.label("notes", "small"), pitches),
            Controls.flow(
                Controls.row(8, word("pick-up"), pickUps),
                Controls.row(8, word("phrase, bars"), phrases),
                Controls.row(8, word("slides"), slides),
                Controls.row(8, word("velocity"), velocities)),
            drawn,
            Controls.row(
                8,
                scales,
                Controls.explained(
                    Controls.action("low-reseed", "reseed", this::reseed),
                    "Other changes inside the phrase")));
    this.box =
        new RuleBox(
            Controls.action("low-grammar", "use bass rules", this::begin),
            "Phrases with rests, pick-ups and slides that follow chords and kick; undo brings"
                + " back what is there.",
            settings);
  }

  private static Node word(String words) {
    return Controls.whole(Controls.label(words, "small"));
  }

  private Optional<NamedPattern> pattern() {
    return Optional.ofNullable(scene).map(s -> s.line().part().pattern(s.line().pattern()));
  }

  private Optional<LowLine> rule() {
    return pattern().flatMap(named -> named.rule(LowLine.class));
  }

  private void change(String what, UnaryOperator<LowLine> change) {
    if (rule().isPresent()) {
      bench
          .context()
          .apply(
              LowEndEdits.grammar(scene.line().part().id(), scene.line().pattern(), what, change));
    }
  }

  /** It begins where the rule before it began. */
  private void begin() {
    int lowest = pattern().flatMap(NamedPattern::lowest).orElse(USUAL_LOWEST);
    LowLine rule = LowLine.of(Math.max(12, Math.min(60, lowest)));
    bench
        .context()
        .apply(LowEndEdits.grammar(scene.line().part().id(), scene.line().pattern(), rule));
  }

  /** What another part plays is chosen on the page of the rhythm. */
  private static List<LowLine.Rhythm> rhythms(LowLine rule) {
    return Stream.of(LowLine.Rhythm.values())
        .filter(rhythm -> !rhythm.borrowed() || rhythm == rule.rhythm())
        .toList();
  }

  private void reseed() {
    change("Seed", rule -> rule.withSeed(rule.seed() + 1));
  }

  private Optional<Reading.Problem<?>> draw(String typed) {
    try {
      Figure drawn = new Figure(typed);
      change("Rhythm", rule -> rule.withFigure(drawn));
      return Optional.empty();
    } catch (IllegalArgumentException e) {
      return Optional.of(new Reading.Problem<>(1, e.getMessage()));
    }
  }

  @Override
  public String title() {
    return "bass rules";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(LineScene shown) {
    scene = shown;
    Optional<LowLine> rule = rule();
    box.show(rule.isPresent());
    rule.ifPresent(this::show);
  }

  private void show(LowLine rule) {
    boolean draws = rule.rhythm() == LowLine.Rhythm.DRAWN;
    drawn.setVisible(draws);
    drawn.setManaged(draws);
    rhythms.show(rhythms(rule), rule.rhythm());
    pitches.show(List.of(LowLine.Pitches.values()), rule.pitches());
    pickUps.show(List.of(LowLine.PickUp.values()), rule.pickUp());
    phrases.show(List.of(1, 2, 4), rule.phraseBars());
    slides.show(List.of("none", SLIDING), rule.slides() ? SLIDING : "none");
    velocities.show(List.of("full", "shaped"), rule.shaped() ? "shaped" : "full");
    figure.show(rule.figure().text());
    scales.show(
        List.of(
            new ScaleSheet.Scale(
                "low-rest",
                "rest probability, %",
                0,
                80,
                5,
                false,
                rule.rest(),
                String::valueOf,
                to -> change("Rest", r -> r.withRest(to)))));
  }
}
