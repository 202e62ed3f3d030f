package westtide.desktop.line;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javafx.scene.Node;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.Page;
import westtide.score.Score;
import westtide.score.event.ScoredNote;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.id.PartId;

/** Which other pitched parts are seen faintly behind the line, and what they play there. */
final class Ghosts implements Page<LineScene> {
  private final Runnable changed;
  private final Set<PartId> chosen = new HashSet<>();
  private final Chips<String> chips =
      new Chips<String>("ghost-", name -> name, this::press).wrapping();
  private final VBox box =
      Controls.column(
          6, Controls.wrapped("Show these parts faintly behind the line:", "small"), chips);
  private Song song;

  /** No ghosts; {@code changed} is told when others are chosen. */
  Ghosts(Runnable changed) {
    this.changed = changed;
  }

  private void press(String name) {
    song.parts().stream()
        .filter(part -> part.name().equals(name))
        .map(Part::id)
        .filter(id -> !chosen.remove(id))
        .forEach(chosen::add);
    changed.run();
  }

  /** The notes of the chosen parts while a pass of a line sounds, in ticks of the song. */
  List<ScoredNote> notes(Score score, HeardLine line) {
    List<ScoredNote> out = new ArrayList<>();
    int from = line.songTick();
    for (PartId id : chosen) {
      boolean other = !id.equals(line.part().id());
      score
          .part(id)
          .filter(part -> other)
          .ifPresent(part -> out.addAll(part.between(from, from + line.ticks())));
    }
    return out;
  }

  @Override
  public String title() {
    return "ghosts";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(LineScene scene) {
    song = scene.line().song();
    List<Part> others =
        song.parts().stream()
            .filter(part -> part.role() != Role.DRUMS)
            .filter(part -> !part.id().equals(scene.line().part().id()))
            .toList();
    chips.showMany(
        others.stream().map(Part::name).toList(),
        others.stream().filter(part -> chosen.contains(part.id())).map(Part::name).toList());
  }
}
