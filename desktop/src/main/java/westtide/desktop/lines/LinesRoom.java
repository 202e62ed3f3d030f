package westtide.desktop.lines;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.compose.LineDraft;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.open.NotePlace;
import westtide.desktop.open.Selection;
import westtide.desktop.open.SongView;
import westtide.desktop.play.Moment;
import westtide.desktop.room.Command;
import westtide.desktop.room.Desk;
import westtide.desktop.room.PartChips;
import westtide.desktop.room.Room;
import westtide.review.Stage;
import westtide.rhythm.Position;
import westtide.score.ScoredPart;
import westtide.song.Brief;
import westtide.song.NamedPattern;
import westtide.song.Note;
import westtide.song.Part;
import westtide.song.Pattern;
import westtide.song.Role;
import westtide.song.Seed;
import westtide.song.Song;
import westtide.song.chord.Progression;
import westtide.song.edit.LineEdits;

/** Lines: the patterns of any line over the chords that are heard where it plays. */
public final class LinesRoom implements Room {
  private final Desk desk;
  private final VBox sheet = new VBox();
  private final VBox content = new VBox(10);
  private final PartChips parts;
  private final Label over = Controls.label("", "small");
  private final Chips<String> patterns;
  private final Chips<String> pages;
  private final Gestures gestures = new Gestures();
  private final DegreeSheet degrees = new DegreeSheet(gestures);
  private final Label summary = Controls.wrapped("");
  private String shownLine = "";
  private long take;

  /** The room. */
  public LinesRoom(Desk desk) {
    this.desk = desk;
    this.parts = new PartChips(desk, "lines-", List.of(Role.LINE));
    this.patterns = new Chips<>("line-", name -> name, this::choose);
    this.pages = new Chips<>("page-", name -> name, this::turnTo);
    build();
  }

  @Override
  public Stage stage() {
    return Stage.LINES;
  }

  @Override
  public Node node() {
    return sheet;
  }

  @Override
  public String summary(SongView view) {
    List<ScoredPart> lines = view.score().parts(Role.LINE);
    int notes = lines.stream().mapToInt(part -> part.notes().size()).sum();
    return switch (lines.size()) {
      case 0 -> "no line";
      case 1 -> lines.get(0).part().name().toLowerCase() + " · " + notes + " notes";
      default -> lines.size() + " lines · " + notes + " notes";
    };
  }

  @Override
  public void show(SongView view) {
    parts.show(view);
    Optional<HeardLine> found = line(view);
    content.setDisable(found.isEmpty());
    if (found.isEmpty()) {
      summary.setText("This song has no line yet. Add one with + part.");
      return;
    }
    HeardLine line = found.get();
    int page = line.page(bar());
    patterns.show(line.part().patterns().stream().map(NamedPattern::name).toList(), line.pattern());
    List<String> pageNames = pageNames(line.line());
    pages.show(pageNames, pageNames.get(page));
    over.setText(line.words());
    String name = view.song().title() + line.part().id() + line.pattern();
    degrees.show(
        view.song().brief(),
        line.line(),
        line.chords(),
        page * LinePage.BARS,
        !name.equals(shownLine));
    shownLine = name;
    tell(gestures.chosen());
  }

  @Override
  public void follow(Moment moment) {
    Song song = desk.open().song();
    Optional<HeardLine> line = desk.open().view().flatMap(this::line);
    if (line.isPresent() && moment.plays(song, line.get().part(), line.get().pattern())) {
      int ticks = line.get().line().bars() * song.brief().meter().ticksPerBar();
      degrees.follow(moment.sectionTick() % ticks);
    } else {
      degrees.playNowhere();
    }
  }

  @Override
  public List<KeyTable> keys() {
    return List.of(degrees.keys());
  }

  @Override
  public List<Command> commands() {
    return List.of(
        Command.of("take-line", "New take of the line in front", this::newTake),
        Command.of("line-up", "Move the line a semitone up", () -> transpose(1)),
        Command.of("line-down", "Move the line a semitone down", () -> transpose(-1)),
        Command.of("line-octave-up", "Move the line an octave up", () -> transpose(12)),
        Command.of("line-octave-down", "Move the line an octave down", () -> transpose(-12)));
  }

  private Optional<HeardLine> line(SongView view) {
    return parts
        .chosen()
        .map(part -> HeardLine.of(view, part, desk.open().selection().pattern(part), section()));
  }

  private int section() {
    return desk.open().section();
  }

  private void build() {
    sheet.getStyleClass().add("sheet");
    VBox.setVgrow(degrees, Priority.ALWAYS);
    VBox.setVgrow(content, Priority.ALWAYS);
    HBox.setHgrow(parts, Priority.ALWAYS);
    summary.setId("note-summary");
    over.setId("line-over");
    content
        .getChildren()
        .addAll(
            Controls.flow(
                Controls.whole(Controls.label("pattern", "small")),
                patterns,
                Controls.whole(Controls.label("   bars", "small")),
                pages,
                over),
            degrees,
            summary,
            Controls.row(
                4,
                Controls.action("line-up", "semitone up", () -> transpose(1)),
                Controls.action("line-down", "semitone down", () -> transpose(-1)),
                Controls.action("octave-up", "octave up", () -> transpose(12)),
                Controls.action("octave-down", "octave down", () -> transpose(-12)),
                Controls.spring(),
                Controls.explained(
                    Controls.action("line-take", "new take", this::newTake),
                    "Another line from the next seed, over the same chords")),
            Controls.wrapped(
                "drag on an empty place writes a note, a double click a short one; drag a note to move it, its end to lengthen it, with Alt its velocity",
                "small"));
    sheet.getChildren().addAll(Controls.row(14, Controls.title("Lines"), parts), content);
  }

  /** Moves the whole line by semitones. */
  public void transpose(int semitones) {
    Song before = desk.open().song();
    Optional<LineEdits> edits = edits();
    edits.ifPresent(e -> desk.apply(e.transpose(semitones)));
    if (edits.isPresent() && desk.open().song() == before) {
      desk.messages().done("A note would leave the range of MIDI, C−1 to G9; nothing was moved.");
    }
  }

  /** Drafts another line over the chords that are heard. */
  public void newTake() {
    SongView view = desk.open().view().orElseThrow();
    Optional<HeardLine> line = line(view);
    Optional<LineEdits> edits = edits();
    if (line.isEmpty() || edits.isEmpty()) {
      return;
    }
    take++;
    Brief brief = view.song().brief();
    LineDraft draft = new LineDraft(brief.key(), brief.meter(), view.style().lead());
    Seed seed = new Seed(view.song().seed() + take);
    Progression row = line.get().progression();
    desk.compute(
        () -> draft.draw(row, seed),
        drawn -> desk.apply(edits.get().replace("New take of the line", drawn)));
  }

  private static List<String> pageNames(Pattern.Written line) {
    return IntStream.rangeClosed(0, (line.bars() - 1) / LinePage.BARS)
        .mapToObj(
            p -> {
              int first = p * LinePage.BARS + 1;
              return "bars " + first + "–" + Math.min(line.bars(), first + LinePage.BARS - 1);
            })
        .toList();
  }

  private void choose(String name) {
    parts.chosen().ifPresent(part -> desk.open().select(part, name));
  }

  private void turnTo(String name) {
    desk.open()
        .view()
        .flatMap(this::line)
        .map(line -> line.bar(pageNames(line.line()).indexOf(name), bar()))
        .ifPresent(bar -> desk.open().select(desk.open().selection().withBar(bar)));
  }

  private int bar() {
    return desk.open().selection().bar().orElse(0);
  }

  private void tell(List<Note> chosen) {
    Brief brief = desk.open().song().brief();
    if (chosen.size() != 1) {
      summary.setText(
          chosen.isEmpty()
              ? "No note chosen. Shaded rows are tones of the chord; ends sound settled on them."
              : chosen.size() + " notes chosen.");
      return;
    }
    Note note = chosen.get(0);
    summary.setText(
        brief.key().pitch(note.key())
            + " · degree "
            + brief.key().degreeOf(note.key() % 12)
            + " · at "
            + Position.of(note.start(), brief.meter())
            + " · "
            + note.ticks() / 240
            + " steps · velocity "
            + note.velocity());
  }

  /** Edits of the pattern in front; empty, and told, where it follows another part. */
  private Optional<LineEdits> edits() {
    Optional<HeardLine> line = desk.open().view().flatMap(this::line);
    if (line.isPresent() && !line.get().written()) {
      desk.messages()
          .failed(
              line.get().part().name()
                  + " "
                  + line.get().words()
                  + ". Stop doubling in part … to change its notes.");
    }
    return line.filter(HeardLine::written).map(l -> new LineEdits(l.part().id(), l.pattern()));
  }

  private final class Gestures implements NoteMarks.Actions {
    @Override
    public List<Note> chosen() {
      Set<NotePlace> places = desk.open().selection().notes();
      return desk.open().view().flatMap(LinesRoom.this::line).stream()
          .flatMap(line -> line.line().notes().stream())
          .filter(note -> places.contains(NotePlace.of(note)))
          .toList();
    }

    @Override
    public void choose(List<Note> notes) {
      if (notes.size() == 1 && !chosen().equals(notes)) {
        touch(notes.get(0));
      }
      desk.open().select(choosing(notes).apply(desk.open().selection()));
    }

    @Override
    public void put(String name, List<Note> without, List<Note> with) {
      edits()
          .ifPresent(
              edits -> {
                desk.open().apply(edits.put(name, without, with), choosing(with));
                if (with.size() == 1 && without.stream().noneMatch(n -> sameKey(n, with.get(0)))) {
                  touch(with.get(0));
                }
              });
    }

    private static boolean sameKey(Note one, Note other) {
      return one.key() == other.key();
    }

    private UnaryOperator<Selection> choosing(List<Note> notes) {
      Set<NotePlace> places = notes.stream().map(NotePlace::of).collect(Collectors.toSet());
      Part part = parts.chosen().orElseThrow();
      return now -> now.withPart(part).withNotes(places);
    }

    private void touch(Note note) {
      parts.chosen().ifPresent(part -> desk.play().touch(part, note.key(), note.velocity()));
    }
  }
}
