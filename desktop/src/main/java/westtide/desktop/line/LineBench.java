package westtide.desktop.line;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.DoubleBinding;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.Page;
import westtide.desktop.kit.Pages;
import westtide.desktop.kit.TypedLine;
import westtide.desktop.open.NotePlace;
import westtide.desktop.open.Selection;
import westtide.desktop.open.SongView;
import westtide.desktop.play.PlayPosition;
import westtide.desktop.room.Command;
import westtide.desktop.room.PartChips;
import westtide.desktop.room.PatternTrial;
import westtide.desktop.room.RoomContext;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.line.Note;
import westtide.song.pattern.NamedPattern;
import westtide.text.Reading;

/**
 * The workbench of one line: which part and pattern is in front, its notes by mouse and keys, its
 * text, and pages of what can be made of it. A room lays its pieces out around a drawing of its
 * own.
 */
public final class LineBench implements NoteMarks.Actions {
  private static final int MOST_BARS = 16;
  private static final int BARS = 4;

  /**
   * What is said of notes never moves the sheet: where it may take two lines it always has them.
   */
  private static final double NARROW = 730;

  private static final double LINE = 23;

  private final RoomContext context;
  private final String prefix;
  private final String none;
  private final List<Role> roles;
  private final PartChips parts;
  private final Chips<String> patterns;
  private final Chips<String> pages;
  private final Label summary = Controls.wrapped("");
  private final TypedLine text;
  private final NoteSheet sheet;
  private final Pages<LineScene> tools;
  private final Ghosts ghosts = new Ghosts(this::refresh);
  private final PlayPage playing;
  private final ViewOptions view;
  private Optional<HeardLine> line = Optional.empty();
  private String shownLine = "";
  private int bars = BARS;

  /**
   * A workbench.
   *
   * @param desk what it works with
   * @param prefix what the ids of its part chips begin with
   * @param roles the jobs of the parts it shows
   * @param none said when the song has no such part
   * @param sheet the drawing
   * @param own pages of the room itself
   */
  public LineBench(
      RoomContext context,
      String prefix,
      List<Role> roles,
      String none,
      Function<NoteMarks.Actions, NoteSheet> sheet,
      Function<LineBench, List<Page<LineScene>>> own) {
    this.context = context;
    context.open().watchOpening(() -> bars = BARS);
    this.prefix = prefix;
    this.none = none;
    this.roles = List.copyOf(roles);
    this.parts = new PartChips(context, prefix, chips(roles));
    this.patterns = new Chips<String>("line-", name -> name, this::choosePattern).wrapping();
    this.pages = new Chips<>("page-", name -> name, this::turnTo);
    this.text = new TypedLine(prefix + "line-text", "such as 5 - . b6 5 - - -", this::type);
    this.sheet = sheet.apply(this);
    this.view = new ViewOptions(prefix, this.sheet);
    this.sheet.turning(this::zoom, this::turnBy);
    this.playing = new PlayPage(this);
    this.tools =
        new Pages<>(prefix + "page-", pages(own.apply(this)), context.pages(), this::refresh);
    context.open().watchOpening(tools::startOver);
    summary.setId(prefix + "summary");
    DoubleBinding height =
        Bindings.createDoubleBinding(
            () -> this.sheet.getWidth() < NARROW ? 2 * LINE : LINE, this.sheet.widthProperty());
    summary.minHeightProperty().bind(height);
    summary.prefHeightProperty().bind(height);
    summary.maxHeightProperty().bind(height);
    text.smallerFrom(70).field().getStyleClass().add("small-typed");
    Controls.explained(
        text.field(),
        "One sign a sixteenth: a degree starts a note, - holds, . rests, | ends a bar, ' and , move"
            + " an octave, ^ accents, _ softens, ~ slides, (…)x2 repeats, % the bar again");
  }

  /** Found sound stands among the lines; its sheet is another one. */
  private static List<Role> chips(List<Role> roles) {
    return roles.contains(Role.LINE) ? List.of(Role.LINE, Role.FOUND) : roles;
  }

  /** Lines have phrases and arpeggios, low lines a grammar. */
  private List<Page<LineScene>> pages(List<Page<LineScene>> own) {
    List<Page<LineScene>> out = new ArrayList<>();
    out.add(new ShapePage(this));
    if (roles.contains(Role.LINE)) {
      out.add(new PhrasePage(this));
      out.add(new ArpeggioPage(this));
    } else {
      out.add(new LowLinePage(this));
    }
    out.add(new RhythmPage(this));
    out.addAll(own);
    out.add(playing);
    out.add(new NoteListPage(this));
    out.add(ghosts);
    return out;
  }

  /** The chips of the parts. */
  public PartChips parts() {
    return parts;
  }

  /** The patterns of the part, what is done with them, and the bars in view. */
  public HBox patternBar() {
    HBox.setHgrow(patterns, Priority.ALWAYS);
    return Controls.row(
        10,
        Controls.whole(Controls.label("pattern", "small")),
        patterns,
        Controls.explained(
            Controls.action("pattern-more", "pattern …", this::openPattern),
            "New, copy, rename, length, bars, use in every section, write out, delete"),
        view.node(),
        pages);
  }

  /** The drawing. */
  public NoteSheet sheet() {
    return sheet;
  }

  /** The line in writing. */
  public TypedLine text() {
    return text;
  }

  /** What is chosen, in words. */
  public Label summary() {
    return summary;
  }

  /** Pages of what can be done. */
  public Pages<LineScene> tools() {
    return tools;
  }

  /** What the sheet shows, by name. */
  public List<Command> commands() {
    return List.of(
        Command.of("note-names", "Show or hide the names of notes", view::turnNames),
        Command.of("scale-lock", "Keep notes inside the scale, or no longer", view::turnLock));
  }

  /** What can be done by keys. */
  public List<KeyTable> keys() {
    return List.of(sheet.keys());
  }

  /** What the ids of its controls begin with. */
  String prefix() {
    return prefix;
  }

  /** What the bench works with. */
  RoomContext context() {
    return context;
  }

  /** The line in front, if there is one. */
  public Optional<HeardLine> line() {
    return line;
  }

  /** Shows a song; false when it has no such part. */
  public boolean show(SongView view) {
    parts.show(view);
    line = found(view);
    if (line.isEmpty()) {
      summary.setText(none);
      return false;
    }
    HeardLine shown = line.get();
    int page = page(shown);
    patterns.show(
        shown.part().patterns().stream().map(NamedPattern::name).toList(), shown.pattern());
    List<String> names = pageNames(shown);
    pages.show(names, names.get(page));
    pages.setVisible(names.size() > 1);
    pages.setManaged(names.size() > 1);
    String name = view.song().title() + shown.part().id() + shown.pattern();
    sheet.show(
        view.score(),
        shown,
        ghosts.notes(view.score(), shown),
        page * bars,
        Math.min(bars, shown.bars()),
        !name.equals(shownLine));
    shownLine = name;
    text.show(LineWriting.of(shown).map(LineWriting::format).orElse(""));
    text.setVisible(shown.written());
    text.setManaged(shown.written());
    tell();
    tools.show(new LineScene(shown, chosen()));
    return true;
  }

  /** The pattern in front looped in full, where a section is long enough for it. */
  public Optional<PatternTrial> trial() {
    return line.flatMap(this::trial);
  }

  /** The pattern of a line looped in full, where a section is long enough for it. */
  Optional<PatternTrial> trial(HeardLine shown) {
    return PatternTrial.of(
        shown.song(), shown.part().id(), shown.pattern(), shown.bars(), shown.place());
  }

  /** Another room comes in front. */
  public void leave() {
    playing.leave();
  }

  /** Shows where a line that plays is. */
  public void follow(PlayPosition moment) {
    playing.follow(moment);
    Song song = context.open().song();
    if (line.isPresent() && moment.plays(song, line.get().part(), line.get().pattern())) {
      sheet.follow(moment.sectionTick() % line.get().ticks());
    } else {
      sheet.playNowhere();
    }
  }

  private Optional<HeardLine> found(SongView view) {
    return parts
        .chosen()
        .map(
            part ->
                HeardLine.of(
                    view,
                    part,
                    context.open().selection().pattern(part),
                    context.open().section(),
                    bar()));
  }

  private int bar() {
    return context.open().selection().bar().orElse(0);
  }

  private int page(HeardLine shown) {
    return bar() % shown.bars() / bars;
  }

  private List<String> pageNames(HeardLine shown) {
    return IntStream.rangeClosed(0, (shown.bars() - 1) / bars)
        .mapToObj(
            p -> {
              int first = p * bars + 1;
              int last = Math.min(shown.bars(), first + bars - 1);
              return first == last ? "bar " + first : "bars " + first + "–" + last;
            })
        .toList();
  }

  private void turnTo(String name) {
    line.ifPresent(shown -> turn(shown, pageNames(shown).indexOf(name)));
  }

  private void turnBy(int by) {
    line.ifPresent(
        shown -> {
          int to = page(shown) + by;
          if (to >= 0 && to < pageNames(shown).size()) {
            turn(shown, to);
          }
        });
  }

  private void turn(HeardLine shown, int page) {
    context.open().select(context.open().selection().withBar(shown.firstBar() + page * bars));
  }

  /** Fewer bars larger, or more of them smaller. */
  private void zoom(boolean closer) {
    int wanted = closer ? bars / 2 : bars * 2;
    int most = line.map(HeardLine::bars).orElse(BARS);
    if (wanted >= 1 && (wanted <= MOST_BARS && (closer || bars < most))) {
      bars = wanted;
      refresh();
    }
  }

  private void choosePattern(String name) {
    parts.chosen().ifPresent(part -> context.open().select(part, name));
  }

  private void openPattern() {
    line.ifPresent(shown -> new PatternPanel(context, shown).open());
  }

  void refresh() {
    context.open().view().ifPresent(this::show);
  }

  private Optional<Reading.Problem<?>> type(String typed) {
    Optional<HeardLine> shown = written();
    if (shown.isEmpty()) {
      return Optional.empty();
    }
    LineWriting writing = LineWriting.of(shown.get()).orElseThrow();
    Optional<Reading.Problem<?>> trouble = writing.type(typed, context::apply);
    if (trouble.isEmpty()) {
      writing.told(typed).ifPresent(context.messages()::done);
    }
    return trouble;
  }

  /** The line in front when its notes are written; else it says what to do. */
  Optional<HeardLine> written() {
    if (line.isPresent() && !line.get().written()) {
      HeardLine shown = line.get();
      context
          .messages()
          .failed(
              shown.part().name()
                  + " "
                  + shown.description()
                  + ". Write it out in pattern … to change single notes.");
    }
    return line.filter(HeardLine::written);
  }

  @Override
  public List<Note> chosen() {
    Set<NotePlace> places = context.open().selection().notes();
    return line.stream()
        .flatMap(shown -> shown.notes().stream())
        .filter(note -> places.contains(NotePlace.of(note)))
        .toList();
  }

  @Override
  public void choose(List<Note> notes) {
    if (notes.size() == 1 && !chosen().equals(notes)) {
      touch(notes.get(0));
    }
    context.open().select(choosing(notes).apply(context.open().selection()));
  }

  @Override
  public void put(String name, List<Note> without, List<Note> with) {
    Optional<HeardLine> shown = written();
    if (shown.isEmpty()) {
      return;
    }
    context.open().apply(shown.get().put(name, without, with), choosing(with));
    boolean sounds =
        with.size() == 1 && without.stream().noneMatch(n -> n.key() == with.get(0).key());
    if (sounds) {
      touch(with.get(0));
    }
  }

  private UnaryOperator<Selection> choosing(List<Note> notes) {
    Set<NotePlace> places = notes.stream().map(NotePlace::of).collect(Collectors.toSet());
    Part part = parts.chosen().orElseThrow();
    return now -> now.withPart(part).withNotes(places);
  }

  private void touch(Note note) {
    parts.chosen().ifPresent(part -> context.play().touch(part, note.key(), note.velocity()));
  }

  private void tell() {
    List<Note> chosen = chosen();
    HeardLine shown = line.orElseThrow();
    if (chosen.size() == 1) {
      summary.setText(NoteWords.of(chosen.get(0), shown));
    } else if (chosen.isEmpty()) {
      String plays = roles.contains(Role.LINE) ? "" : NoteWords.pitches(shown);
      String how =
          shown.written()
              ? "Drag to write a note, its end to lengthen it, with Alt its velocity."
              : "Write it out to change single notes.";
      String over = shown.description();
      summary.setText(
          plays + Character.toUpperCase(over.charAt(0)) + over.substring(1) + ". " + how);
    } else {
      summary.setText(
          chosen.size() + " notes chosen, from " + shown.position(chosen.get(0).start()) + ".");
    }
  }
}
