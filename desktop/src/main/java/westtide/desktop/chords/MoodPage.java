package westtide.desktop.chords;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.compose.chord.Mood;
import westtide.compose.chord.MoodDraft;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.song.chord.ChordSpan;
import westtide.song.id.Seed;
import westtide.style.Style;
import westtide.theory.Key;
import westtide.theory.RomanNumeral;

/** Whole progressions by mood, three at a time, from a seed. */
final class MoodPage implements ChordPage {
  private static final int TAKES = 3;

  private final ChordChoice choice;
  private final Chips<Mood> moods = new Chips<>("mood-", Mood::toString, this::choose);
  private final Chips<Integer> lengths =
      new Chips<>("mood-bars-", bars -> bars + " bars", this::chooseBars);
  private final Label seedTold = Controls.label("", "small");
  private final VBox list = new VBox(4);
  private final VBox box = new VBox(8);
  private Mood mood = Mood.DARK;
  private int bars = 4;
  private long seed = 1;
  private Drawn drawn = new Drawn("", List.of());

  private record Drawn(String wish, List<List<ChordSpan>> takes) {}

  MoodPage(ChordChoice choice) {
    this.choice = choice;
    box.getChildren()
        .addAll(
            Controls.flow(
                moods,
                lengths,
                Controls.action("mood-others", "other suggestions", this::others),
                seedTold),
            list);
  }

  @Override
  public String title() {
    return "by mood";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(ChordScene scene) {
    moods.show(List.of(Mood.values()), mood);
    lengths.show(List.of(4, 8), bars);
    seedTold.setText("from seed " + seed);
    Key key = scene.brief().key();
    Style style = scene.view().style();
    String wish = mood + " " + bars + " " + seed + " " + key + " " + style.id();
    if (wish.equals(drawn.wish)) {
      return;
    }
    MoodDraft draft = new MoodDraft(key, scene.brief().meter(), style, mood);
    List<List<ChordSpan>> takes =
        LongStream.range(seed, seed + TAKES)
            .mapToObj(value -> draft.draw(bars, new Seed(value)))
            .toList();
    drawn = new Drawn(wish, takes);
    list.getChildren().clear();
    for (int i = 0; i < takes.size(); i++) {
      list.getChildren().add(row(takes.get(i), key, i));
    }
  }

  private HBox row(List<ChordSpan> take, Key key, int index) {
    String numerals =
        take.stream()
            .map(span -> RomanNumeral.of(span.chord(), key).toString())
            .collect(Collectors.joining(" | "));
    Label line = Controls.wrapped(numerals, "strong");
    line.setId("mood-line-" + index);
    HBox.setHgrow(line, Priority.ALWAYS);
    line.setMaxWidth(Double.MAX_VALUE);
    return Controls.row(
        4,
        line,
        Controls.action(
            "mood-hear-" + index,
            "play",
            () -> choice.hearAll(take.stream().map(ChordSpan::chord).toList())),
        Controls.action(
            "mood-take-" + index,
            "replace",
            () ->
                choice.apply(
                    choice.edits().chords("Replace by a " + mood + " progression", take), 0)));
  }

  private void choose(Mood chosen) {
    mood = chosen;
    show(choice.scene());
  }

  private void chooseBars(int chosen) {
    bars = chosen;
    show(choice.scene());
  }

  private void others() {
    seed += TAKES;
    show(choice.scene());
  }
}
