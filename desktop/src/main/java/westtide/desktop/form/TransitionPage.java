package westtide.desktop.form;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import westtide.compose.form.TransitionDraft;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.NumberField;
import westtide.desktop.kit.Page;
import westtide.desktop.play.PlayDesk;
import westtide.desktop.room.RoomContext;
import westtide.rhythm.BarLines;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.drum.DrumLane;
import westtide.song.drum.LaneId;
import westtide.song.edit.form.FormEdits;
import westtide.song.form.Transition;
import westtide.song.form.TransitionKind;
import westtide.song.id.PartId;

/** What announces and lands a bar: several kinds at once, each with its length, depth and parts. */
final class TransitionPage implements Page<FormScene> {
  private final RoomContext context;
  private final Chips<TransitionKind> kinds =
      new Chips<TransitionKind>("entry-", TransitionKind::word, this::turn).wrapping();
  private final NumberField at = BarField.of("entry-bar", "at bar", this::at);
  private final Chips<TransitionKind> chosen =
      new Chips<>("entry-set-", TransitionKind::toString, this::choose);
  private final NumberField beats =
      NumberField.held(
              "entry-beats", "beats", 0, Transition.MOST_BEATS, () -> now().beats(), this::beats)
          .inline()
          .telling("How long it lasts; 0 with snare-stop and fade: to the end of bar or section");
  private final NumberField depth =
      NumberField.held("entry-depth", "depth, %", 10, 100, () -> now().depth(), this::depth)
          .inline()
          .telling("How far it goes: how silent, how loud, how closed");
  private final Chips<String> parts =
      new Chips<String>("entry-part-", name -> name, this::part).wrapping();
  private final Chips<LaneId> lanes =
      new Chips<LaneId>("entry-lane-", LaneId::toString, this::lane).wrapping();
  private final Label why = Controls.wrapped("", "small");
  private final VBox box = new VBox(8);
  private final Node details;
  private final Node laneRow;
  private FormScene scene;
  private int bar;
  private Optional<TransitionKind> kind = Optional.empty();

  TransitionPage(RoomContext context) {
    this.context = context;
    kinds.getStyleClass().add("small-chips");
    chosen.getStyleClass().add("small-chips");
    parts.getStyleClass().add("small-chips");
    why.setId("entry-why");
    lanes.getStyleClass().add("small-chips");
    laneRow = Controls.row(8, Controls.whole(Controls.label("of the drums", "small")), lanes);
    details =
        Controls.column(
            6,
            Controls.flow(chosen, beats, depth),
            Controls.row(8, Controls.whole(Controls.label("for", "small")), parts),
            laneRow);
    box.getChildren()
        .addAll(
            Controls.flow(
                at,
                Controls.explained(
                    Controls.action("entry-hear", "▷ hear it", this::hear),
                    "Two bars before it and two after, round and round"),
                Controls.explained(
                    Controls.action("entry-propose", "as the style does", this::propose),
                    "What this style usually does before a section like this, with its reason"),
                why),
            kinds,
            details);
  }

  @Override
  public String title() {
    return "transitions";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(FormScene shown) {
    boolean other = scene == null || !scene.id().equals(shown.id());
    scene = shown;
    bar = other ? 0 : Math.min(bar, scene.section().bars());
    scene
        .sign()
        .ifPresent(
            sign -> {
              bar = sign.fromBar();
              kind = sign.sign();
            });
    at.show(String.valueOf(bar + 1));
    List<Transition> here = scene.section().at(bar);
    List<TransitionKind> set = here.stream().map(Transition::kind).distinct().toList();
    kinds.showMany(List.of(TransitionKind.values()), set);
    if (kind.filter(set::contains).isEmpty()) {
      kind = set.stream().findFirst();
    }
    details.setVisible(!set.isEmpty());
    details.setManaged(!set.isEmpty());
    if (!set.isEmpty()) {
      chosen.show(set, kind.orElseThrow());
      beats.show(String.valueOf(now().beats()));
      depth.show(String.valueOf(now().depth()));
      parts.showMany(
          scene.song().parts().stream().map(Part::name).toList(),
          scene.song().parts().stream()
              .filter(part -> now().parts().contains(part.id()))
              .map(Part::name)
              .toList());
      boolean drums = now().kind().takesLanes();
      laneRow.setVisible(drums);
      laneRow.setManaged(drums);
      lanes.showMany(drums ? lanesHere() : List.of(), List.copyOf(now().lanes()));
    }
    why.setText(
        here.isEmpty()
            ? "Nothing announces bar " + (bar + 1) + " of the " + scene.label() + " yet."
            : words(here));
  }

  private static String words(List<Transition> here) {
    return String.join("; ", here.stream().map(Transition::toString).toList()) + ".";
  }

  private Transition now() {
    return scene.section().at(bar).stream()
        .filter(one -> kind.filter(k -> k == one.kind()).isPresent())
        .findFirst()
        .orElse(Transition.of(TransitionKind.CRASH));
  }

  private void at(BarField.Typed typed) {
    if (typed.bar() > scene.section().bars() || typed.beat() > 0) {
      throw new IllegalArgumentException(
          "a transition stands at bar 1 to " + (scene.section().bars() + 1) + ", but was " + typed);
    }
    bar = typed.bar();
    kind = Optional.empty();
    show(scene.withoutSign());
  }

  private void turn(TransitionKind wanted) {
    List<Transition> next = new ArrayList<>(scene.section().at(bar));
    boolean off = next.removeIf(one -> one.kind() == wanted);
    if (!off) {
      next.add(Transition.of(wanted));
      kind = Optional.of(wanted);
    }
    context.apply(FormEdits.transitions(scene.id(), bar, next));
  }

  private void choose(TransitionKind wanted) {
    kind = Optional.of(wanted);
    show(scene.withoutSign());
  }

  private void set(Transition changed) {
    List<Transition> next =
        scene.section().at(bar).stream()
            .map(one -> one.kind() == changed.kind() ? changed : one)
            .toList();
    context.apply(FormEdits.transitions(scene.id(), bar, next));
  }

  private void beats(int wanted) {
    if (wanted < now().kind().least()) {
      throw new IllegalArgumentException(
          now().kind() + " lasts " + now().kind().least() + " to 32 beats, but was " + wanted);
    }
    set(now().withBeats(wanted));
  }

  private void depth(int percent) {
    set(now().withDepth(percent));
  }

  private void part(String name) {
    Set<PartId> next = new LinkedHashSet<>(now().parts());
    PartId id =
        scene.song().parts().stream()
            .filter(part -> part.name().equals(name))
            .findFirst()
            .orElseThrow()
            .id();
    if (!next.remove(id)) {
      next.add(id);
    }
    set(now().withParts(next));
  }

  /** The lanes of the drums that play in the section before, or in this one. */
  private List<LaneId> lanesHere() {
    return scene.song().parts(Role.DRUMS).stream()
        .flatMap(part -> part.grooves(scene.song().brief().meter()).values().stream())
        .flatMap(groove -> groove.lanes().stream())
        .map(DrumLane::id)
        .distinct()
        .toList();
  }

  private void lane(LaneId lane) {
    Set<LaneId> next = new LinkedHashSet<>(now().lanes());
    if (!next.remove(lane)) {
      next.add(lane);
    }
    set(now().withLanes(next));
  }

  private void propose() {
    new TransitionDraft(scene.view().style(), scene.song())
        .of(scene.id())
        .ifPresentOrElse(
            proposal -> {
              context.apply(FormEdits.transitions(scene.id(), 0, proposal.marks()));
              context.messages().done(proposal.why());
            },
            () -> context.messages().done("The song begins here; nothing can announce it."));
  }

  private void hear() {
    BarLines lines = scene.song().barLines();
    int here = scene.song().form().startBar(scene.place()) + bar;
    int from = Math.max(0, here - 2);
    int to = Math.min(scene.song().form().bars(), here + 2);
    context.play().tryOut(song -> song, new PlayDesk.Range(lines.tick(from), lines.tick(to)));
  }
}
