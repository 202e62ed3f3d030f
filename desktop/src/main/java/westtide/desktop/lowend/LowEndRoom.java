package westtide.desktop.lowend;

import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.Desk;
import westtide.desktop.Room;
import westtide.desktop.SongView;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.NumberField;
import westtide.desktop.play.Moment;
import westtide.review.Stage;
import westtide.score.ScoredNote;
import westtide.score.ScoredPart;
import westtide.song.FollowRule;
import westtide.song.KickLink;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Section;
import westtide.song.Song;
import westtide.song.edit.LowEndEdits;
import westtide.theory.Pitch;

/** The following 808: its school, the octave it begins in, and how it lies on the kick. */
public final class LowEndRoom implements Room {
  private static final int PAGE = 4;

  private final Desk desk;
  private final VBox sheet = new VBox();
  private final Label title = Controls.title("Low end");
  private final Chips<KickLink> link;
  private final LowEndSheet drawing =
      new LowEndSheet(() -> turn(-PAGE), () -> turn(PAGE), this::touch);
  private final NumberField lowest;
  private final Label told = Controls.wrapped("");
  private int firstBar;
  private int shownSection = -1;

  /** The room. */
  public LowEndRoom(Desk desk) {
    this.desk = desk;
    this.link = new Chips<>("link-", KickLink::toString, this::choose);
    this.lowest =
        new NumberField(
            "sub-lowest",
            "808 begins at",
            text -> desk.apply(LowEndEdits.lowest(part().id(), Pitch.parse(text.strip()).midi())),
            units ->
                desk.apply(
                    LowEndEdits.lowest(part().id(), held(rule().orElseThrow().lowest() + units))));
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

  private void touch(ScoredNote note) {
    desk.play().touch(part(), note.key(), note.velocity());
  }

  @Override
  public String fact(SongView view) {
    return rule(view.song())
        .map(r -> r.link() == KickLink.LOCKED ? "808 on the kick" : "808 independent")
        .orElse("no 808");
  }

  @Override
  public void show(SongView view) {
    Optional<FollowRule.Sub> rule = rule(view.song());
    if (rule.isEmpty()) {
      return;
    }
    int section = desk.open().section();
    Section shown = view.song().form().sections().get(section);
    if (section != shownSection) {
      shownSection = section;
      firstBar = firstSounding(view, section);
    }
    firstBar = Math.max(0, Math.min(firstBar, (shown.bars() - 1) / PAGE * PAGE));
    title.setText("Low end of the " + view.song().form().label(section));
    link.show(List.of(KickLink.values()), rule.get().link());
    lowest.show(Pitch.of(rule.get().lowest()).toString());
    drawing.show(view, section, firstBar);
    told.setText(tell(view, section));
  }

  private void build() {
    sheet.getStyleClass().add("sheet");
    VBox.setVgrow(drawing, Priority.ALWAYS);
    sheet
        .getChildren()
        .addAll(
            Controls.row(
                14,
                title,
                link,
                Controls.spring(),
                Controls.action("bars-earlier", "◂ earlier bars", () -> turn(-PAGE)),
                Controls.action("bars-later", "later bars ▸", () -> turn(PAGE))),
            drawing,
            Controls.row(26, lowest, told));
    told.setId("low-end-told");
    told.setMaxWidth(560);
  }

  private void choose(KickLink chosen) {
    desk.apply(LowEndEdits.link(part().id(), chosen));
  }

  private void turn(int bars) {
    firstBar += bars;
    desk.open().view().ifPresent(this::show);
  }

  private static int firstSounding(SongView view, int section) {
    int ticksPerBar = view.song().brief().meter().ticksPerBar();
    int start = view.song().form().startBar(section) * ticksPerBar;
    int end = start + view.song().form().sections().get(section).bars() * ticksPerBar;
    List<ScoredNote> notes =
        view.score().part(Role.SUB).map(p -> p.between(start, end)).orElse(List.of());
    return notes.isEmpty() ? 0 : (notes.get(0).start() - start) / ticksPerBar / PAGE * PAGE;
  }

  private String tell(SongView view, int section) {
    Optional<ScoredPart> sub = view.score().part(Role.SUB);
    int ticksPerBar = view.song().brief().meter().ticksPerBar();
    int from = (view.song().form().startBar(section) + firstBar) * ticksPerBar;
    List<ScoredNote> notes =
        sub.map(p -> p.between(from, from + PAGE * ticksPerBar)).orElse(List.of());
    if (notes.isEmpty()) {
      return "Filled bars are the 808, outlines the bass, dotted verticals the kick. The 808 is out here; the form says where it plays.";
    }
    String pitches =
        notes.stream()
            .map(ScoredNote::key)
            .distinct()
            .map(k -> view.song().brief().key().pitch(k) + " " + Math.round(Pitch.hertz(k)) + " Hz")
            .reduce((a, b) -> a + ", " + b)
            .orElse("");
    return "Filled bars are the 808, outlines the bass, dotted verticals the kick. It follows the chords: "
        + pitches
        + ".";
  }

  private static int held(int midi) {
    return Math.max(12, Math.min(60, midi));
  }

  private Part part() {
    return desk.open().song().part(Role.SUB).orElseThrow();
  }

  private Optional<FollowRule.Sub> rule() {
    return rule(desk.open().song());
  }

  private static Optional<FollowRule.Sub> rule(Song song) {
    return song.part(Role.SUB).flatMap(part -> part.rule(FollowRule.Sub.class));
  }
}
