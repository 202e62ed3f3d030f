package westtide.desktop.frame;

import java.util.concurrent.atomic.AtomicBoolean;
import javafx.scene.Node;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.Floating;
import westtide.desktop.open.Background;
import westtide.desktop.open.Messages;
import westtide.desktop.open.OpenSong;
import westtide.desktop.open.SongView;
import westtide.review.form.EnergyProposal;
import westtide.song.id.SectionId;

/**
 * What would let a section reach the energy its target was dragged to: worked out beside the
 * window, shown with its reasons, taken as one step or left.
 */
public final class EnergyPanel {
  private static final double WIDTH = 430;

  private final OpenSong open;
  private final Background background;
  private final Messages messages;
  private AtomicBoolean cancelled = new AtomicBoolean();

  /** A panel for the open song. */
  public EnergyPanel(OpenSong open, Background background, Messages messages) {
    this.open = open;
    this.background = background;
    this.messages = messages;
  }

  /** Looks for a way to an energy, 0 to 100; one that is under way for another is given up. */
  void propose(TideChart chart, SectionId section, int wanted) {
    cancelled.set(true);
    AtomicBoolean mine = new AtomicBoolean();
    cancelled = mine;
    SongView view = open.view().orElseThrow();
    chart.ghost(section, wanted);
    messages.done("Looking for a way to an energy of " + wanted + " …");
    background.run(
        () -> EnergyProposal.of(view.score(), view.style(), section, wanted, mine::get),
        found -> found.ifPresent(proposal -> shown(chart, view, proposal)));
  }

  private void shown(TideChart chart, SongView view, EnergyProposal proposal) {
    messages.hide();
    if (open.view().filter(now -> now.song() == view.song()).isEmpty()) {
      chart.noGhost();
      return;
    }
    chart.ghost(proposal.section(), (int) Math.round(proposal.after()));
    if (!proposal.any()) {
      chart.noGhost();
      messages.done("No part of the section can bring it nearer to " + proposal.wanted() + ".");
      return;
    }
    VBox panel = new VBox(8);
    panel.setId("energy-proposal");
    panel.setPrefWidth(WIDTH);
    panel.setStyle("-fx-padding: 12 14 12 14;");
    Floating[] floating = new Floating[1];
    String title =
        "From "
            + Math.round(proposal.before())
            + " to "
            + Math.round(proposal.after())
            + (Math.round(proposal.after()) == proposal.wanted()
                ? ""
                : " (asked: " + proposal.wanted() + ")");
    panel.getChildren().add(Controls.wrapped(title, "strong"));
    proposal.steps().forEach(step -> panel.getChildren().add(Controls.wrapped("· " + step)));
    Node take =
        Controls.primary(
            "energy-take",
            "use this",
            () -> {
              floating[0].close();
              chart.noGhost();
              open.apply(proposal.edit());
            });
    Node leave =
        Controls.action(
            "energy-leave",
            "leave it",
            () -> {
              floating[0].close();
              chart.noGhost();
            });
    panel.getChildren().add(Controls.row(8, Controls.spring(), leave, take));
    floating[0] = Floating.at(chart, chart.sectionX(proposal.section()), -20, panel);
    take.requestFocus();
  }
}
