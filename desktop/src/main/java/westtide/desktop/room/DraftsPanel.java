package westtide.desktop.room;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.function.LongFunction;
import java.util.stream.IntStream;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import westtide.compose.DraftWords;
import westtide.compose.PartRedraft;
import westtide.compose.SongRedraft;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Chooser;
import westtide.desktop.kit.Controls;
import westtide.desktop.play.PlayDesk;
import westtide.draft.Draft;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.chord.ChordLine;
import westtide.song.edit.Edit;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.SectionKind;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;

/**
 * Three drafts of the whole song, of one part or of one section, heard in turn before one is taken.
 * What is not drawn anew stays.
 */
public final class DraftsPanel extends VBox {
  private static final int COUNT = 3;

  /** So that the panel does not move under the pointer when the takes arrive. */
  private static final double TAKES_HEIGHT = 412;

  /** What is drawn anew. */
  public enum Of {
    SONG("the whole song"),
    PART("one part"),
    SECTION("one section");

    private final String title;

    Of(String title) {
      this.title = title;
    }

    @Override
    public String toString() {
      return title;
    }
  }

  private final RoomContext context;
  private final Set<SongRedraft.Keep> kept =
      EnumSet.of(SongRedraft.Keep.PACE, SongRedraft.Keep.FORM);
  private final Chips<Of> scopes = new Chips<>("drafts-of-", Of::toString, this::turnTo);
  private final Label words = Controls.wrapped("", "small");
  private final VBox choice = Controls.column(4);
  private final VBox takes = Controls.column(8);
  private final Label state = Controls.label("", "small");
  private final Chooser<Part> parts =
      new Chooser<>("drafts-part", "the part drawn anew", List.of(), Part::name, this::choose);
  private final Chooser<Integer> sections =
      new Chooser<>(
          "drafts-section",
          "the section drawn anew",
          List.of(),
          place -> form().label(place),
          this::choose);
  private Of of;
  private long seed;
  private int turn;

  private DraftsPanel(RoomContext context, Of of) {
    this.context = context;
    this.of = of;
    this.seed = context.open().song().seed();
    setId("drafts-panel");
    getStyleClass().add("card");
    setSpacing(10);
    setPrefWidth(760);
    state.setId("drafts-state");
    takes.setMinHeight(TAKES_HEIGHT);
    offer();
    getChildren()
        .addAll(
            Controls.title("Three drafts"),
            Controls.row(8, Controls.whole(Controls.label("regenerate", "small")), scopes),
            words,
            choice,
            takes,
            Controls.row(
                8,
                Controls.action("drafts-more", "three others", this::draw),
                state,
                Controls.spring(),
                Controls.action("drafts-close", "cancel", this::leave)));
    turnTo(of);
  }

  /** Opens it over the window. */
  public static void open(RoomContext context, Of of) {
    context.panels().open(new DraftsPanel(context, of));
  }

  private Form form() {
    return context.open().song().form();
  }

  private void offer() {
    List<Part> drawn = retake().parts();
    Part chosen = drawn.contains(context.open().part()) ? context.open().part() : drawn.get(0);
    parts.display(drawn, chosen);
    sections.display(
        IntStream.range(0, form().sections().size()).boxed().toList(), context.open().section());
  }

  private PartRedraft retake() {
    Song open = context.open().song();
    return new PartRedraft(open, context.open().book().find(open.brief().style()).orElseThrow());
  }

  private void turnTo(Of wanted) {
    of = wanted;
    scopes.show(List.of(Of.values()), of);
    words.setText(
        switch (of) {
          case SONG ->
              "Each is a whole arrangement in the style, from a seed of its own, its lead over the chords and"
                  + " the whole as loud as the style aims at unless levels stay. Hear their hooks in turn;"
                  + " taking one is one step to undo.";
          case PART ->
              "Each is other music for this part over the same chords; its instrument, its level and"
                  + " where it plays stay.";
          case SECTION ->
              "Each has other music and other players in this section, the same chords and marks; the other"
                  + " sections stay.";
        });
    choice.getChildren().setAll(chooser());
    draw();
  }

  private Node chooser() {
    return switch (of) {
      case SONG -> keeps();
      case PART -> parts;
      case SECTION -> sections;
    };
  }

  private FlowPane keeps() {
    FlowPane row = Controls.flow(Controls.whole(Controls.label("what stays", "small")));
    row.setHgap(12);
    for (SongRedraft.Keep keep : SongRedraft.Keep.values()) {
      CheckBox box = new CheckBox(keep.toString());
      box.setId("keep-" + keep.name().toLowerCase());
      box.setSelected(kept.contains(keep));
      box.setOnAction(event -> keep(keep, box.isSelected()));
      row.getChildren().add(box);
    }
    return row;
  }

  private void keep(SongRedraft.Keep keep, boolean stays) {
    if (stays) {
      kept.add(keep);
    } else {
      kept.remove(keep);
    }
    drawAgain();
  }

  private void choose(Object chosen) {
    drawAgain();
  }

  private void drawAgain() {
    seed -= COUNT;
    draw();
  }

  private void draw() {
    takes.getChildren().clear();
    turn++;
    drawNext(turn, drawing(), seed + 1, 1);
    seed += COUNT;
  }

  /** What is drawn by what is chosen now. */
  private LongFunction<Song> drawing() {
    PartRedraft retake = retake();
    SongRedraft redraft = new SongRedraft(retake.song(), retake.style(), Set.copyOf(kept));
    PartId part = parts.value().id();
    SectionId section = form().id(sections.value());
    return switch (of) {
      case SONG -> from -> Draft.again(redraft, from);
      case PART -> from -> retake.part(part, from);
      case SECTION -> from -> retake.section(section, from);
    };
  }

  /** Each can be heard while the next is drawn; another choice, or leaving, ends it. */
  private void drawNext(int drawnIn, LongFunction<Song> drawing, long from, int number) {
    state.setText("drawing " + number + " of " + COUNT + " …");
    context.compute(
        () -> DraftPicture.of(drawing.apply(from)),
        take -> {
          if (drawnIn != turn || getScene() == null) {
            return;
          }
          takes.getChildren().add(row(take, number, from));
          if (number < COUNT) {
            drawNext(drawnIn, drawing, from + 1, number + 1);
          } else {
            state.setText("");
          }
        });
  }

  private VBox row(DraftPicture picture, int number, long from) {
    Song take = picture.song();
    Label head = Controls.wrapped(number + "  ·  seed " + from + facts(picture));
    head.setId("draft-facts-" + number);
    Label other = Controls.wrapped(described(take), "small");
    other.setId("draft-words-" + number);
    VBox row =
        Controls.column(
            3,
            Controls.row(
                8,
                head,
                Controls.spring(),
                Controls.action("draft-hear-" + number, "hear", () -> hear(take)),
                Controls.action("draft-take-" + number, "use this", () -> take(take))));
    if (of == Of.SONG) {
      row.getChildren().add(picture.drawn(context.open().song()));
    }
    row.getChildren().add(other);
    row.getStyleClass().add("finding");
    return row;
  }

  private String facts(DraftPicture picture) {
    return "  ·  "
        + switch (of) {
          case SONG -> picture.outline().facts() + "  ·  " + chords(picture.song());
          case PART -> parts.value().name();
          case SECTION -> form().label(sections.value());
        };
  }

  private static String chords(Song take) {
    return ChordLine.in(take.brief().key(), take.brief().meter())
        .format(take.progressions().get(0));
  }

  private String described(Song take) {
    return switch (of) {
      case SONG -> DraftWords.tune(take);
      case PART -> DraftWords.of(take, parts.value().id());
      case SECTION -> DraftWords.of(take, form().id(sections.value()));
    };
  }

  /** The section that tells most, round and round. */
  private void hear(Song take) {
    int place =
        switch (of) {
          case SONG -> take.form().first(SectionKind.HOOK).orElse(0);
          case PART -> firstWith(take);
          case SECTION -> sections.value();
        };
    context.play().tryOut(now -> take, PlayDesk.Range.of(take, place));
  }

  /** The first section in which the part plays from the start, else the first hook. */
  private int firstWith(Song take) {
    for (int i = 0; i < take.form().sections().size(); i++) {
      if (take.form().sections().get(i).cell(parts.value().id(), 0).level() != Level.OUT) {
        return i;
      }
    }
    return take.form().first(SectionKind.HOOK).orElse(0);
  }

  private void take(Song take) {
    String name =
        switch (of) {
          case SONG -> "New draft";
          case PART -> "New take of " + parts.value().name();
          case SECTION -> "New take of " + form().label(sections.value());
        };
    leave();
    context.apply(Edit.of(name, song -> take));
  }

  private void leave() {
    if (context.play().trying()) {
      context.play().stop();
    }
    context.panels().close();
  }
}
