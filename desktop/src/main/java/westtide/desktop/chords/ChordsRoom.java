package westtide.desktop.chords;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.Page;
import westtide.desktop.kit.Pages;
import westtide.desktop.kit.TypedLine;
import westtide.desktop.open.SongView;
import westtide.desktop.play.PlayPosition;
import westtide.desktop.room.Command;
import westtide.desktop.room.PartChips;
import westtide.desktop.room.PatternTrial;
import westtide.desktop.room.Room;
import westtide.desktop.room.RoomContext;
import westtide.desktop.room.Searched;
import westtide.review.finding.Stage;
import westtide.song.Brief;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.chord.ChordLine;
import westtide.song.chord.ChordSpan;
import westtide.song.chord.Notation;
import westtide.song.chord.Progression;
import westtide.text.Reading;

/**
 * Progressions: a typed line, cards and the ladder of voices, and below them pages for what can be
 * decided about a chord, the next one, the row and the parts that play it.
 */
public final class ChordsRoom implements Room {
  private static final double LADDER = 196;
  private static final String SIGNS =
      "| bar   :6 length in sixteenths   . hold   - rest   < push by a sixteenth"
          + "   @1 1st inversion (@0 root position)   % bar again   ( )x2 repeat";

  private final RoomContext context;
  private final ChordChoice choice;
  private final VBox sheet = new VBox();
  private final PartChips parts;
  private final Chips<String> rows;
  private final Chips<Notation> notation;
  private final Label used = Controls.label("", "small");
  private final TypedLine line;
  private final VoiceLadder ladder;
  private final Pages<ChordScene> pages;

  /** The room. */
  public ChordsRoom(RoomContext context) {
    this.context = context;
    this.choice = new ChordChoice(context, this::refresh);
    this.parts = new PartChips(context, "chords-", List.of(Role.CHORDS));
    HBox.setHgrow(parts, Priority.ALWAYS);
    this.rows = new Chips<>("progression-", name -> name, choice::chooseRow);
    this.notation =
        new Chips<>(
            "notation-",
            n -> n == Notation.NAMES ? "names" : "numerals",
            n -> context.apply(choice.edits().notation(n)));
    this.line = new TypedLine("chord-line", "such as i9 | VImaj7 . . III | iv7", this::take);
    OneChordPage one = new OneChordPage(choice);
    this.ladder = new VoiceLadder(choice, one);
    this.pages =
        new Pages<>(
            "page-",
            List.of(
                one,
                new NextPage(choice),
                new MoodPage(choice),
                new RowPage(choice),
                new PartPage(choice),
                new NamePage(choice)),
            context.pages(),
            this::refresh);
    context.open().watchOpening(pages::startOver);
    build();
  }

  @Override
  public Stage stage() {
    return Stage.CHORDS;
  }

  @Override
  public Node node() {
    return sheet;
  }

  @Override
  public String summary(SongView view) {
    int rows = view.song().progressions().size();
    int chords = view.song().progressions().stream().mapToInt(p -> p.spans().size()).sum();
    return rows == 1 ? chords + " chords" : rows + " progressions";
  }

  /** The progression in front, where the song plays it: in the chosen section if it can be. */
  @Override
  public Optional<PatternTrial> inFront() {
    Song song = context.open().song();
    return PatternTrial.of(song, song.progression(choice.row()), context.open().section());
  }

  @Override
  public List<Command> commands() {
    List<Command> out = new ArrayList<>();
    for (Page<ChordScene> page : pages.all()) {
      String id = "chords-" + page.title().replace(' ', '-');
      out.add(Command.of(id, "Chords: " + page.title(), () -> pages.turnTo(page)));
    }
    out.add(written("write-names", "Write chords as names", Notation.NAMES));
    out.add(written("write-numerals", "Write chords as numerals", Notation.NUMERALS));
    return out;
  }

  private Command written(String id, String title, Notation as) {
    return Command.of(id, title, () -> context.apply(choice.edits().notation(as)));
  }

  @Override
  public List<Searched> searched() {
    return Searched.of(sheet, pages);
  }

  @Override
  public List<KeyTable> keys() {
    return List.of(ladder.keys());
  }

  @Override
  public void show(SongView view) {
    Song song = view.song();
    parts.show(view);
    ChordScene scene = ChordScene.of(view, choice.part(), choice.row(), choice.chord());
    choice.settle(scene);
    rows.show(song.progressions().stream().map(Progression::name).toList(), choice.row());
    notation.show(List.of(Notation.values()), scene.row().notation());
    used.setText(usedBy(song));
    line.show(ChordLine.in(song.brief().key(), song.brief().meter()).format(scene.row()));
    ladder.show(scene, choice.note());
    pages.show(scene);
  }

  @Override
  public void follow(PlayPosition moment) {
    Song song = context.open().song();
    boolean shown = song.form().sections().get(moment.section()).progression().equals(choice.row());
    if (shown && moment.playing()) {
      ladder.playAt(moment.sectionTick() % song.progression(choice.row()).ticks());
    } else {
      ladder.playNowhere();
    }
  }

  private void build() {
    sheet.getStyleClass().add("sheet");
    VBox.setVgrow(ladder, Priority.ALWAYS);
    ladder.setMinHeight(LADDER);
    sheet
        .getChildren()
        .addAll(
            Controls.row(14, Controls.title("Chords"), parts),
            Controls.row(
                10,
                Controls.whole(Controls.label("progression", "small")),
                rows,
                used,
                Controls.spring(),
                notation),
            line,
            Controls.shownWhile(context.pages().open(), Controls.wrapped(SIGNS, "small")),
            ladder,
            pages);
  }

  private Optional<Reading.Problem<?>> take(String text) {
    Brief brief = context.open().song().brief();
    Reading<List<ChordSpan>> reading = ChordLine.in(brief.key(), brief.meter()).parse(text);
    if (reading instanceof Reading.Problem<List<ChordSpan>> problem) {
      return Optional.of(problem);
    }
    context.apply(choice.edits().line(reading.orElseThrow()));
    choice.hear();
    return Optional.empty();
  }

  private void refresh() {
    context.open().view().ifPresent(this::show);
  }

  private String usedBy(Song song) {
    long sections =
        song.form().sections().stream().filter(s -> s.progression().equals(choice.row())).count();
    return "used by " + sections + " of " + song.form().sections().size() + " sections";
  }
}
