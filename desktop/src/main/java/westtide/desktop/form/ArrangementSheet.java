package westtide.desktop.form;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.scene.input.ScrollEvent;
import javafx.scene.text.Text;
import westtide.desktop.kit.Drawing;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.NameEditor;
import westtide.desktop.kit.Window;
import westtide.desktop.kit.sheet.SheetGestures;
import westtide.song.Part;
import westtide.song.PatternDescription;
import westtide.song.Song;
import westtide.song.form.Cell;
import westtide.song.form.CellSpan;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.Transition;
import westtide.song.mix.Curve;

/**
 * The form as tanks: the level of the water is how full a part plays. A click chooses a tank, a
 * drag sets its water. Parts are renamed by a double click on their name and reordered by dragging
 * it. Of many parts and sections those in view are drawn, the wheel moves on.
 */
final class ArrangementSheet extends Drawing {
  private static final double LEFT = TankLayout.LEFT;

  /** Pixels of a row above its tanks, and below them. */
  static final double ABOVE = 3;

  static final double BELOW = 3;

  private final TankActions actions;
  private final TankChoice choice = new TankChoice();
  private final TankMarks marks;
  private int closer = 1;
  private int firstRow;
  private int firstColumn;

  ArrangementSheet(TankActions actions) {
    super("The form: what each part does in each section", true);
    this.actions = actions;
    setId("tank-sheet");
    this.marks = new TankMarks(this, actions);
    SheetGestures.on(this, marks);
    setOnScroll(this::scroll);
  }

  void show(Song shown, int section, Part part) {
    if (choice.follow(shown, section, part)) {
      bringIntoView();
    }
    redraw();
  }

  /** Another song is opened: nothing is chosen and all of it is seen. */
  void forget() {
    choice.forget();
    closer = 1;
  }

  /** What is chosen here. */
  TankChoice choice() {
    return choice;
  }

  /** What can be done here and by which keys. */
  KeyTable keys() {
    return marks.keys();
  }

  void bringIntoView() {
    firstRow = place().rows().showing(choice.here().row()).offset();
    firstColumn = place().columns().showing(choice.here().section()).offset();
  }

  TankLayout place() {
    return new TankLayout(
        choice.song(),
        getWidth(),
        getHeight(),
        textScaleProperty().get(),
        closer,
        firstRow,
        firstColumn);
  }

  @Override
  protected double playX(double tick) {
    return place().x(tick);
  }

  /** Fewer sections wider, or more of them narrower. */
  void zoom(boolean nearer) {
    closer = Math.max(1, Math.min(TankLayout.CLOSEST, nearer ? closer * 2 : closer / 2));
    bringIntoView();
    redraw();
  }

  private void scroll(ScrollEvent event) {
    if (choice.empty()) {
      return;
    }
    int by = event.getDeltaY() + event.getDeltaX() > 0 ? -1 : 1;
    boolean across =
        event.isShiftDown() || Math.abs(event.getDeltaX()) > Math.abs(event.getDeltaY());
    if (across || !place().rows().scrolls()) {
      firstColumn = place().columns().by(by).offset();
    } else {
      firstRow = place().rows().by(by).offset();
    }
    event.consume();
    redraw();
  }

  /** Chooses tanks, or the name of a part; the last of them is the one that is shown below. */
  void choose(Set<TankMark> marked) {
    TankMark here = choice.after(marked);
    choice.take(here, marked);
    actions.select(here.section(), choice.part());
    choice.take(here, marked);
    actions.chosen();
    redraw();
  }

  /** Opens a field over the name of a part in view. */
  void rename(Part part) {
    int at = choice.song().parts().indexOf(part);
    double y = place().top(at) + place().rowHeight() / 2 - 20;
    layout();
    NameEditor.open(
        this, "rename-part", 2, y, LEFT - 6, part.name(), name -> actions.rename(part, name));
  }

  @Override
  protected void draw() {
    if (choice.empty()) {
      return;
    }
    Song shown = choice.song();
    TankLayout place = place();
    Window rows = place.rows();
    Window columns = place.columns();
    firstRow = rows.offset();
    firstColumn = columns.offset();
    double[] edges = place.edges();
    double bottom = place.bottom();
    int picked = choice.here().section() - columns.offset();
    if (picked >= 0 && picked < columns.shown()) {
      box(edges[picked], 0, edges[picked + 1] - edges[picked], bottom + 4, "band", "pick");
    }
    for (int i = rows.offset(); i < rows.end(); i++) {
      drawPartName(shown.parts().get(i), i);
    }
    for (int i = 0; i < columns.shown(); i++) {
      int section = columns.offset() + i;
      drawHeader(shown, section, edges[i], edges[i + 1]);
      for (int p = rows.offset(); p < rows.end(); p++) {
        drawTanks(shown.parts().get(p), p, section);
      }
      line(edges[i], 2, edges[i], bottom + 8, "rule", "bar");
    }
    drawSigns();
    drawMore(rows, columns, bottom);
  }

  /** Says which parts and sections are in view where not all are. */
  private void drawMore(Window rows, Window columns, double bottom) {
    if (rows.scrolls()) {
      String words = "parts " + (rows.offset() + 1) + "–" + rows.end() + " of " + rows.count();
      named(text(6, bottom + scaled(18), words, "soft"), "rows-in-view", words);
    }
    if (columns.scrolls()) {
      String words =
          "sections " + (columns.offset() + 1) + "–" + columns.end() + " of " + columns.count();
      named(text(6, scaled(17), words, "soft"), "sections-in-view", words);
    }
  }

  private void drawPartName(Part part, int index) {
    double height = place().rowHeight();
    boolean low = height < scaled(34);
    double y = place().top(index) + height / 2 + (low ? 3 : -1);
    boolean main = choice.song().main().filter(part.id()::equals).isPresent();
    Text name =
        text(
            6,
            y,
            (main ? "◆ " : "") + part.name(),
            index == choice.here().row() ? "bold" : "plain");
    named(name, "part-name-" + part.id(), part.name() + (main ? ", the main part" : ""));
    fit(name, LEFT - 14);
    if (choice.marks().contains(TankMark.name(index))) {
      chosenRing(1, place().top(index) + 2, LEFT - 8, height - 5);
    }
    if (!low) {
      fit(textBelow(name, main ? "main part" : habit(part), "soft"), LEFT - 14);
    }
  }

  private String habit(Part part) {
    return PatternDescription.main(part, choice.song());
  }

  private void drawHeader(Song shown, int index, double left, double right) {
    Section section = choice.sections().get(index);
    Text name = text(left + 5, scaled(17), shown.form().label(index), "section");
    String linked = section.link().map(link -> link.different() ? "≠" : "=").orElse("");
    String words =
        shown.form().label(index)
            + ", "
            + section.length().words(choice.meter())
            + (linked.isEmpty() ? "" : ", linked");
    TankMark head = TankMark.head(index);
    thing(name, "section-" + index, "section", words, choice.marks().contains(head));
    fit(name, right - left - 7);
    String bars = lengthIn(section, right - left > scaled(56));
    Text below = textBelow(name, linked.isEmpty() ? bars : linked + " " + bars, "soft");
    fit(below, right - left - 7);
    if (choice.marks().contains(head)) {
      chosenRing(left + 1, 2, right - left - 2, place().top() - 6);
    }
  }

  /** A length in words; where there is little room bars are a number, and beats have a note. */
  private String lengthIn(Section section, boolean wide) {
    if (wide) {
      return section.length().words(choice.meter());
    }
    return section.length().cut(choice.meter())
        ? section.beats(choice.meter()) + " ♩"
        : String.valueOf(section.bars());
  }

  /** What announces and lands bars, as shapes and in words. */
  private void drawSigns() {
    BoundaryMarks signs = new BoundaryMarks(place());
    for (BoundaryMarks.Placed placed : signs.all()) {
      Transition what = placed.mark().transition();
      TransitionSigns.Sign sign =
          TransitionSigns.of(what, placed.edge(), placed.beat(), placed.y());
      TankMark mark = TankMark.sign(placed.section(), placed.mark().bar(), what.kind());
      String words =
          choice.song().form().label(placed.section())
              + (placed.mark().bar() == 0 ? "" : ", bar " + (placed.mark().bar() + 1))
              + ": "
              + what;
      String id = "sign-" + placed.section() + "-" + placed.mark().bar() + "-" + what.kind().word();
      thing(
          polygon(sign.points(), "transition", sign.style()),
          id,
          "transition",
          words,
          choice.marks().contains(mark));
      if (choice.marks().contains(mark)) {
        double from = Math.min(placed.left(), placed.edge() - 3);
        chosenRing(from - 2, placed.y() - 9, placed.right() - from + 4, 18);
      }
    }
    for (int i = place().columns().offset(); i < place().columns().end(); i++) {
      drawSignWords(i);
    }
  }

  private void drawSignWords(int section) {
    String words =
        choice.sections().get(section).entry().stream()
            .map(what -> what.kind().word())
            .collect(Collectors.joining(" · "));
    double x = place().beatX(section, 0);
    boolean last = section + 1 == place().columns().end();
    double right = last ? getWidth() - 4 : place().beatX(section + 1, 0);
    if (words.isEmpty() && section > 0) {
      double y = place().bottom() + 12;
      named(
          polygon(new double[] {x, y - 5, x + 4, y, x, y + 5, x - 4, y}, "boundary"),
          "boundary-" + section,
          choice.sections().get(section).title() + ": nothing announces it");
      return;
    }
    if (!words.isEmpty()) {
      Text text = text(x + 2, place().bottom() + BoundaryMarks.LOW + scaled(10), words, "soft");
      fit(text, right - x - 6);
      named(text, "boundary-" + section, choice.sections().get(section).title() + ": " + words);
    }
  }

  private void drawTanks(Part part, int index, int sectionIndex) {
    Section section = choice.sections().get(sectionIndex);
    int beats = choice.beats();
    List<CellSpan> spans = section.spans(part.id());
    for (int i = 0; i < spans.size(); i++) {
      CellSpan span = spans.get(i);
      Optional<Cell> before =
          i > 0 ? Optional.of(spans.get(i - 1).cell()) : lastCell(part, sectionIndex - 1);
      double from =
          place().beatX(sectionIndex, span.fromBar() * (double) beats + span.cell().beat());
      double to = place().beatX(sectionIndex, span.endBar() * (double) beats + span.endBeat());
      boolean goesOn = before.filter(cell -> cell.same(span.cell())).isPresent();
      drawTank(part, index, sectionIndex, span.cell(), from, to, goesOn);
    }
    drawCurves(part, index, sectionIndex);
  }

  private Optional<Cell> lastCell(Part part, int section) {
    if (section < 0 || !place().shows(section)) {
      return Optional.empty();
    }
    List<Cell> cells = choice.sections().get(section).cells(part.id());
    return Optional.of(cells.get(cells.size() - 1));
  }

  /** Water that goes on from the tank before has no wall between. */
  private void drawTank(
      Part part, int index, int sectionIndex, Cell cell, double from, double to, boolean goesOn) {
    double top = place().top(index) + ABOVE;
    double bottom = place().top(index) + place().rowHeight() - BELOW;
    double water = bottom - TankWater.share(cell.level()) * (bottom - top);
    String id =
        "tank-"
            + sectionIndex
            + "-"
            + part.id()
            + "-"
            + cell.fromBar()
            + (cell.beat() == 0 ? "" : "." + cell.beat());
    TankMark mark = new TankMark(sectionIndex, index, cell.fromBar(), cell.beat());
    boolean isChosen = choice.marks().contains(mark);
    String where =
        choice.song().form().label(sectionIndex)
            + " from bar "
            + (cell.fromBar() + 1)
            + (cell.beat() == 0 ? "" : "." + (cell.beat() + 1));
    thing(
        box(from, top, to - from, bottom - top, "tank"),
        id,
        "tank",
        part.name() + ", " + cell.level() + ", " + where,
        isChosen);
    if (cell.level() != Level.OUT) {
      polygon(TankWater.outline(from, to, water, bottom), "water-" + cell.level());
    }
    line(from, bottom, to, bottom, "tank-wall", "in");
    if (!goesOn) {
      line(from, top, from, bottom, "tank-wall", "in");
    }
    drawTankWords(part, cell, from, to, top, bottom);
    if (isChosen) {
      double at =
          place()
              .beatX(
                  sectionIndex,
                  choice.cursor().bar() * (double) choice.beats() + choice.cursor().beat());
      if (at >= from && at <= to) {
        line(at, bottom - 6, at, bottom, "tank-cursor");
      }
      chosenRing(from - 1, top - 1, to - from + 2, bottom - top + 3);
      ring(from - 3, top - 3, to - from + 6, bottom - top + 7);
    }
  }

  private void drawTankWords(
      Part part, Cell cell, double from, double to, double top, double bottom) {
    if (cell.level() == Level.OUT) {
      return;
    }
    boolean special = !part.pattern(cell.pattern()).equals(part.usual());
    List<String> signs = new ArrayList<>();
    if (special) {
      signs.add(narrow(cell.pattern()));
    }
    signs.addAll(TankSound.signs(cell.sound()));
    boolean deep = cell.level() == Level.LIFTED;
    String style = deep ? "on-deep" : "soft";
    if (bottom - top < scaled(14) && deep) {
      return;
    }
    if (bottom - top < scaled(30)) {
      List<String> words = signs.isEmpty() ? List.of(cell.level().toString()) : signs;
      writeAsManyAsFit(from + 4, bottom - 4, to - from - 6, words, style);
      return;
    }
    if (!signs.isEmpty()) {
      writeAsManyAsFit(from + 4, top + scaled(12), to - from - 7, signs, style);
    }
    textCentred((from + to) / 2, bottom - 6, to - from - 4, cell.level().toString(), style);
  }

  /** Leaves the last signs out where there is no room for all; the page says everything. */
  private void writeAsManyAsFit(double x, double y, double most, List<String> signs, String style) {
    Text text = text(x, y, String.join(" ", signs), style);
    for (int kept = signs.size() - 1; kept > 0 && wide(text, most); kept--) {
      text.setText(String.join(" ", signs.subList(0, kept)) + " …");
    }
    squeeze(text, most);
  }

  private static boolean wide(Text text, double most) {
    return text.getLayoutBounds().getWidth() > most;
  }

  /** The name of a pattern where there is little room: its first and last words. */
  private static String narrow(String name) {
    String[] words = name.split(", ");
    return words.length > 2 ? words[0] + " " + words[words.length - 1] : name;
  }

  /** What moves, as a second line over the water. */
  private void drawCurves(Part part, int index, int sectionIndex) {
    Section section = choice.sections().get(sectionIndex);
    double top = place().top(index) + 4;
    double bottom = top + place().rowHeight() - 8;
    double right = getWidth() - 4;
    int number = 0;
    for (Curve curve : section.curves().getOrDefault(part.id(), List.of())) {
      double from = place().beatX(sectionIndex, (double) curve.fromBar() * choice.beats());
      double end = (double) curve.fromBar() + curve.barsIn(section.bars());
      double to = Math.min(right, place().barX(sectionIndex, end));
      double[] points =
          CurveLine.of(
              curve,
              from,
              to,
              top,
              bottom,
              place().barX(sectionIndex, 1) - place().barX(sectionIndex, 0));
      named(
          polyline(points, "curve-line"),
          "curve-" + sectionIndex + "-" + part.id() + "-" + number++,
          part.name() + ", " + curve + " over " + curve.barsIn(section.bars()) + " bars");
      if (bottom - top >= scaled(28)) {
        fit(text(from + 4, top + scaled(10), curve.kind().toString(), "curve-word"), to - from - 8);
      }
    }
  }
}
