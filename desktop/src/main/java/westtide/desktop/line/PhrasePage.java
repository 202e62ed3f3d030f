package westtide.desktop.line;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.Page;
import westtide.song.edit.line.PhraseEdits;
import westtide.song.pattern.Pattern;
import westtide.song.pattern.PhraseUnit;

/** From a motif to a phrase: a plan, and what each unit makes of the motif. */
final class PhrasePage implements Page<LineScene> {
  private final LineBench bench;
  private final Chips<Integer> bars =
      new Chips<>("phrase-bars-", bars -> bars + (bars == 1 ? " bar" : " bars"), this::bars);
  private final Chips<PhraseEdits.Plan> plans =
      new Chips<PhraseEdits.Plan>("phrase-plan-", PhraseEdits.Plan::toString, this::plan)
          .wrapping()
          .telling();
  private final Chips<String> units = new Chips<>("phrase-unit-", word -> word, this::choose);
  private final Chips<PhraseUnit.Change> changes =
      new Chips<PhraseUnit.Change>("phrase-change-", PhraseUnit.Change::toString, this::change)
          .wrapping()
          .telling();
  private final VBox settings;
  private final VBox box;
  private LineScene scene;
  private int barsNow = 2;
  private int chosen = 1;

  PhrasePage(LineBench bench) {
    this.bench = bench;
    List.of(bars, plans, units, changes).forEach(chips -> chips.getStyleClass().add("small-chips"));
    HBox.setHgrow(plans, Priority.ALWAYS);
    HBox.setHgrow(changes, Priority.ALWAYS);
    this.settings =
        Controls.column(
            4,
            Controls.row(
                8,
                word("unit"),
                units,
                Controls.spring(),
                Controls.explained(
                    Controls.action("phrase-unlink", "unlink", this::unlink),
                    "Every unit as notes of its own")),
            Controls.row(8, word("makes of the motif"), changes),
            Controls.wrapped(
                "Change a note of the motif and every unit follows; change one elsewhere and that"
                    + " unit stands by itself, its notes ringed.",
                "small"));
    this.box =
        Controls.column(
            4, Controls.row(8, word("motif: the first"), bars, word("plan"), plans), settings);
  }

  private static Node word(String words) {
    return Controls.whole(Controls.label(words, "small"));
  }

  private PhraseEdits edits() {
    return new PhraseEdits(scene.line().part().id(), scene.line().pattern());
  }

  private Optional<Pattern.Phrase> phrase() {
    return scene == null ? Optional.empty() : scene.line().phrase();
  }

  private void bars(int wanted) {
    barsNow = wanted;
  }

  private void plan(PhraseEdits.Plan plan) {
    if (bench.written().isPresent()) {
      bench.context().apply(edits().plan(plan, barsNow));
    }
  }

  private void choose(String word) {
    chosen = Integer.parseInt(word.split(" ")[0]) - 1;
    bench.refresh();
  }

  private void change(PhraseUnit.Change change) {
    if (phrase().isPresent()) {
      bench.context().apply(edits().unit(chosen, change));
    }
  }

  private void unlink() {
    bench.context().apply(edits().unlink());
  }

  @Override
  public String title() {
    return "phrase";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(LineScene shown) {
    scene = shown;
    Optional<Pattern.Phrase> phrase = phrase();
    settings.setVisible(phrase.isPresent());
    settings.setManaged(phrase.isPresent());
    bars.show(List.of(1, 2, 4), barsNow);
    PhraseEdits.Plan now = null;
    for (PhraseEdits.Plan plan : PhraseEdits.Plan.values()) {
      boolean same =
          phrase.filter(p -> changes(p.units()).equals(changes(plan.units()))).isPresent();
      now = same ? plan : now;
    }
    plans.show(List.of(PhraseEdits.Plan.values()), now);
    phrase.ifPresent(this::show);
  }

  private static List<PhraseUnit.Change> changes(List<PhraseUnit> units) {
    return units.stream().map(PhraseUnit::change).toList();
  }

  private void show(Pattern.Phrase phrase) {
    List<String> words = new ArrayList<>();
    for (int i = 0; i < phrase.units().size(); i++) {
      PhraseUnit unit = phrase.units().get(i);
      words.add((i + 1) + "  " + unit.change().sign() + (unit.own().isPresent() ? " own" : ""));
    }
    chosen = Math.min(chosen, words.size() - 1);
    units.show(words, words.get(chosen));
    changes.show(List.of(PhraseUnit.Change.values()), phrase.units().get(chosen).change());
  }
}
