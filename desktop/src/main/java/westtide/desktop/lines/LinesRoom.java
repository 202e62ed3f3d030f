package westtide.desktop.lines;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.compose.LineDraft;
import westtide.desktop.Desk;
import westtide.desktop.Room;
import westtide.desktop.SongView;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.play.Moment;
import westtide.review.Stage;
import westtide.rhythm.Position;
import westtide.song.Brief;
import westtide.song.Note;
import westtide.song.Part;
import westtide.song.Pattern;
import westtide.song.Role;
import westtide.song.Seed;
import westtide.song.Song;
import westtide.song.Variant;
import westtide.song.chord.PlacedChord;
import westtide.song.edit.LineEdits;

/** The lead: written notes over the hook's chords. */
public final class LinesRoom implements Room {
  private final Desk desk;
  private final VBox sheet = new VBox();
  private final Label title = Controls.title("Lead");
  private final Chips<String> variants;
  private final Chips<String> pages;
  private final DegreeSheet degrees = new DegreeSheet(new Fingers());
  private final Label told = Controls.wrapped("");
  private String variant = "";
  private String shownLine = "";
  private int page;
  private long take;

  /** The room. */
  public LinesRoom(Desk desk) {
    this.desk = desk;
    this.variants = new Chips<>("line-", name -> name, this::choose);
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
  public String fact(SongView view) {
    return lead(view.song())
        .map(
            p ->
                p.name().toLowerCase()
                    + " · "
                    + written(p.variants().get(0)).notes().size()
                    + " notes")
        .orElse("no line");
  }

  @Override
  public void show(SongView view) {
    Optional<Part> lead = lead(view.song());
    if (lead.isEmpty()) {
      return;
    }
    List<String> names = lead.get().variants().stream().map(Variant::name).toList();
    variant = names.contains(variant) ? variant : names.get(0);
    Pattern.Written line = written(lead.get().variant(variant));
    page = Math.min(page, (line.bars() - 1) / LinePage.BARS);
    title.setText(lead.get().name());
    variants.show(names, variant);
    List<String> pageNames = pageNames(line);
    pages.show(pageNames, pageNames.get(page));
    Brief brief = view.song().brief();
    List<PlacedChord> chords =
        view.song().progressions().get(0).over(line.bars() * brief.meter().ticksPerBar());
    String name = view.song().title() + variant;
    degrees.show(brief, line, chords, page * LinePage.BARS, !name.equals(shownLine));
    shownLine = name;
    tell(degrees.chosen());
  }

  @Override
  public void follow(Moment moment) {
    Song song = desk.open().song();
    Optional<Part> lead = lead(song);
    if (lead.isPresent() && moment.plays(song, lead.get(), variant)) {
      int bars = written(lead.get().variant(variant)).bars();
      degrees.follow(moment.sectionTick() % (bars * song.brief().meter().ticksPerBar()));
    } else {
      degrees.playNowhere();
    }
  }

  private void build() {
    sheet.getStyleClass().add("sheet");
    VBox.setVgrow(degrees, Priority.ALWAYS);
    told.setId("note-told");
    sheet
        .getChildren()
        .addAll(
            Controls.row(14, title, variants, Controls.spring(), pages),
            degrees,
            told,
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
                "click writes, drag moves or lengthens; keys: arrows, Shift for length or semitone, Enter writes, + and − velocity, Delete, Escape",
                "small"));
  }

  /** Moves the whole line by semitones. */
  public void transpose(int semitones) {
    desk.apply(edits().transpose(semitones));
  }

  /** Drafts another line over the hook's chords. */
  public void newTake() {
    take++;
    SongView view = desk.open().view().orElseThrow();
    Brief brief = view.song().brief();
    LineDraft draft = new LineDraft(brief.key(), brief.meter(), view.style().lead());
    Seed seed = new Seed(view.song().seed() + take);
    LineEdits edits = edits();
    desk.compute(
        () -> draft.draw(view.song().progressions().get(0), seed),
        line -> desk.apply(edits.replace("New take of the line", line)));
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
    variant = name;
    refresh();
  }

  private void turnTo(String name) {
    page =
        pageNames(written(lead(desk.open().song()).orElseThrow().variant(variant))).indexOf(name);
    refresh();
  }

  private void refresh() {
    desk.open().view().ifPresent(this::show);
  }

  private void tell(Optional<Note> chosen) {
    Brief brief = desk.open().song().brief();
    told.setText(
        chosen
            .map(
                note ->
                    brief.key().pitch(note.key())
                        + " · degree "
                        + brief.key().degreeOf(note.key() % 12)
                        + " · at "
                        + Position.of(note.start(), brief.meter())
                        + " · "
                        + note.ticks() / 240
                        + " steps · velocity "
                        + note.velocity())
            .orElse(
                "No note chosen. Shaded rows are tones of the chord; ends sound settled on them."));
  }

  private LineEdits edits() {
    return new LineEdits(lead(desk.open().song()).orElseThrow().id(), variant);
  }

  private static Optional<Part> lead(Song song) {
    return song.part(Role.LEAD)
        .filter(
            part -> part.variants().stream().allMatch(v -> v.pattern() instanceof Pattern.Written));
  }

  private static Pattern.Written written(Variant variant) {
    return (Pattern.Written) variant.pattern();
  }

  private final class Fingers implements NoteGestures.Hands {
    @Override
    public void add(Note note) {
      desk.apply(edits().add(note));
      touch(note);
    }

    @Override
    public void remove(Note note) {
      desk.apply(edits().remove(note));
    }

    @Override
    public void replace(Note old, Note changed, long gesture) {
      desk.apply(edits().replace(old, changed).merging("note " + gesture));
      if (old.key() != changed.key()) {
        touch(changed);
      }
    }

    @Override
    public void chosen(Optional<Note> note) {
      tell(note);
    }

    private void touch(Note note) {
      Part lead = lead(desk.open().song()).orElseThrow();
      desk.play().touch(lead, note.key(), note.velocity());
    }
  }
}
