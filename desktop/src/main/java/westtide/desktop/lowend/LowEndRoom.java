package westtide.desktop.lowend;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.NumberField;
import westtide.desktop.open.NotePlace;
import westtide.desktop.open.SongView;
import westtide.desktop.play.Moment;
import westtide.desktop.room.Command;
import westtide.desktop.room.Desk;
import westtide.desktop.room.PartChips;
import westtide.desktop.room.Room;
import westtide.review.Stage;
import westtide.score.ScoredNote;
import westtide.song.FollowRule;
import westtide.song.KickLink;
import westtide.song.NamedPattern;
import westtide.song.Part;
import westtide.song.PatternDescription;
import westtide.song.Role;
import westtide.song.edit.LowEndEdits;
import westtide.theory.Pitch;

/** The low parts: 808s and basses, the octave each begins in, and how they lie on the kick. */
public final class LowEndRoom implements Room {
  private static final int PAGE = 4;
  private static final List<Role> LOW = List.of(Role.SUB, Role.BASS);

  private final Desk desk;
  private final VBox sheet = new VBox();
  private final VBox content = new VBox(10);
  private final PartChips parts;
  private final Label where = Controls.label("", "small");
  private final Chips<KickLink> link;
  private final LowEndSheet drawing =
      new LowEndSheet(() -> turn(-PAGE), () -> turn(PAGE), this::choose);
  private final NumberField lowest;
  private final Label summary = Controls.wrapped("");

  /** The room. */
  public LowEndRoom(Desk desk) {
    this.desk = desk;
    this.link = new Chips<>("link-", KickLink::toString, this::choose);
    this.lowest =
        new NumberField(
            "sub-lowest",
            "lowest note",
            text -> setLowest(Pitch.parse(text.strip()).midi()),
            units -> lowest().ifPresent(now -> setLowest(held(now + units))));
    this.parts = new PartChips(desk, "low-", LOW);
    build();
  }

  @Override
  public Stage stage() {
    return Stage.LOW_END;
  }

  @Override
  public Node node() {
    return sheet;
  }

  @Override
  public void follow(Moment moment) {
    if (moment.playing()) {
      drawing.follow(moment.tick());
    } else {
      drawing.playNowhere();
    }
  }

  /** Chooses a note of the part in front, or none, and lets it sound. */
  private void choose(Optional<NotePlace> place, Optional<ScoredNote> note) {
    Part part = parts.chosen().orElseThrow();
    Set<NotePlace> places = place.map(Set::of).orElse(Set.of());
    desk.open().select(desk.open().selection().withPart(part).withNotes(places));
    note.ifPresent(n -> desk.play().touch(part, n.key(), n.velocity()));
  }

  @Override
  public String summary(SongView view) {
    List<Part> low =
        view.song().parts().stream().filter(part -> LOW.contains(part.role())).toList();
    if (low.size() > 2 || low.isEmpty()) {
      return low.isEmpty() ? "no low part" : low.size() + " low parts";
    }
    return low.stream().map(Part::name).collect(java.util.stream.Collectors.joining(" · "));
  }

  @Override
  public void show(SongView view) {
    parts.show(view);
    Optional<Part> part = parts.chosen();
    content.setDisable(part.isEmpty());
    if (part.isEmpty()) {
      summary.setText("This song has no 808 and no bass yet. Add one with + part.");
      return;
    }
    int section = desk.open().section();
    int firstBar = firstBar(view, part.get(), section);
    where.setText("in the " + view.song().form().label(section));
    Optional<FollowRule.Bass808> sub = rule();
    link.setVisible(sub.isPresent());
    link.setManaged(sub.isPresent());
    sub.ifPresent(rule -> link.show(List.of(KickLink.values()), rule.link()));
    lowest.setVisible(lowest().isPresent());
    lowest().ifPresent(midi -> lowest.show(Pitch.of(midi).toString()));
    drawing.show(view, part.get().id(), section, firstBar, desk.open().selection().notes());
    summary.setText(tell(view, part.get(), section, firstBar));
  }

  @Override
  public List<KeyTable> keys() {
    return List.of(drawing.keys());
  }

  /** What can be done here by name. */
  @Override
  public List<Command> commands() {
    return List.of(
        Command.of("lock-sub", "Lock the 808 to the kick", () -> choose(KickLink.LOCKED))
            .when(() -> desk.open().isOpen() && rule().isPresent()),
        Command.of("free-sub", "Give the 808 its own rhythm", () -> choose(KickLink.INDEPENDENT))
            .when(() -> desk.open().isOpen() && rule().isPresent()));
  }

  private void build() {
    sheet.getStyleClass().add("sheet");
    VBox.setVgrow(drawing, Priority.ALWAYS);
    VBox.setVgrow(content, Priority.ALWAYS);
    HBox.setHgrow(parts, Priority.ALWAYS);
    sheet.getChildren().addAll(Controls.row(14, Controls.title("Low end"), parts), content);
    content
        .getChildren()
        .addAll(
            Controls.flow(
                where,
                link,
                Controls.action("bars-earlier", "◂ earlier bars", () -> turn(-PAGE)),
                Controls.action("bars-later", "later bars ▸", () -> turn(PAGE))),
            drawing,
            Controls.row(26, lowest, summary));
    summary.setId("low-end-summary");
    summary.setMaxWidth(560);
  }

  private void choose(KickLink chosen) {
    parts.chosen().ifPresent(part -> desk.apply(LowEndEdits.link(part.id(), chosen)));
  }

  private void setLowest(int midi) {
    parts.chosen().ifPresent(part -> desk.apply(LowEndEdits.lowest(part.id(), midi)));
  }

  private void turn(int bars) {
    Optional<Part> part = parts.chosen();
    if (part.isPresent()) {
      SongView view = desk.open().view().orElseThrow();
      int section = desk.open().section();
      int turned = firstBar(view, part.get(), section) + bars;
      int last = view.song().form().sections().get(section).bars() - 1;
      desk.open().select(desk.open().selection().withBar(Math.min(last, turned)));
    }
  }

  /** The first of the bars shown: those of the chosen bar, else the first in which it plays. */
  private int firstBar(SongView view, Part part, int section) {
    int last = view.song().form().sections().get(section).bars() - 1;
    int bar = desk.open().selection().bar().orElseGet(() -> firstSounding(view, part, section));
    return Math.min(bar, last) / PAGE * PAGE;
  }

  private static int firstSounding(SongView view, Part part, int section) {
    int ticksPerBar = view.song().brief().meter().ticksPerBar();
    int start = view.song().form().startBar(section) * ticksPerBar;
    int end = start + view.song().form().sections().get(section).bars() * ticksPerBar;
    List<ScoredNote> notes = between(view, part, start, end);
    return notes.isEmpty() ? 0 : (notes.get(0).start() - start) / ticksPerBar;
  }

  private static List<ScoredNote> between(SongView view, Part part, int from, int to) {
    return view.score().part(part.id()).map(p -> p.between(from, to)).orElse(List.of());
  }

  private String tell(SongView view, Part part, int section, int firstBar) {
    int ticksPerBar = view.song().brief().meter().ticksPerBar();
    int from = (view.song().form().startBar(section) + firstBar) * ticksPerBar;
    List<ScoredNote> notes = between(view, part, from, from + PAGE * ticksPerBar);
    String marks =
        "Filled bars are "
            + part.name()
            + ", outlines the other low parts, dotted verticals the kick. ";
    if (notes.isEmpty()) {
      return marks + "It is out here; the form says where it plays.";
    }
    String pitches =
        notes.stream()
            .map(ScoredNote::key)
            .distinct()
            .map(k -> view.song().brief().key().pitch(k) + " " + Math.round(Pitch.hertz(k)) + " Hz")
            .reduce((a, b) -> a + ", " + b)
            .orElse("");
    return marks
        + "It plays "
        + PatternDescription.of(inFront(part).pattern(), view.song())
        + ": "
        + pitches
        + ".";
  }

  private static int held(int midi) {
    return Math.max(12, Math.min(60, midi));
  }

  /** The pattern of a part that is in front. */
  private NamedPattern inFront(Part part) {
    return part.pattern(desk.open().selection().pattern(part));
  }

  private Optional<FollowRule.Bass808> rule() {
    return parts.chosen().flatMap(p -> inFront(p).rule(FollowRule.Bass808.class));
  }

  /** Where the octave of the chosen part begins; empty where it does not follow the roots. */
  private Optional<Integer> lowest() {
    return rule()
        .map(FollowRule.Bass808::lowest)
        .or(
            () ->
                parts
                    .chosen()
                    .flatMap(p -> inFront(p).rule(FollowRule.Bass.class))
                    .map(FollowRule.Bass::lowest));
  }
}
