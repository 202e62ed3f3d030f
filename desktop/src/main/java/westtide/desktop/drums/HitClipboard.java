package westtide.desktop.drums;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import westtide.desktop.open.NotePlace;
import westtide.rhythm.Hit;
import westtide.song.drum.DrumLane;
import westtide.song.drum.LaneId;

/** Copying, cutting, pasting and duplicating the chosen hits. */
final class HitClipboard {
  private final GrooveChoice choice;
  private Map<LaneId, List<Hit>> copied = Map.of();

  HitClipboard(GrooveChoice choice) {
    this.choice = choice;
  }

  boolean full() {
    return !copied.isEmpty();
  }

  /** Chooses every hit of the groove. */
  void chooseAll() {
    Set<NotePlace> all = new java.util.HashSet<>();
    for (DrumLane lane : choice.scene().groove().lanes()) {
      lane.lane().hits().forEach(hit -> all.add(NotePlace.of(lane.id(), hit.step())));
    }
    choice.chooseHits(all);
  }

  /** Copies the chosen hits. */
  void copy() {
    Map<LaneId, List<Hit>> chosen = choice.chosenHits();
    if (!chosen.isEmpty()) {
      copied = new LinkedHashMap<>(chosen);
    }
  }

  /** Copies the chosen hits and deletes them. */
  void cut() {
    copy();
    choice.remove();
  }

  /** Puts what was copied where the cursor is, each hit on its lane. */
  void paste() {
    put("Paste", copied, choice.scene().step() - first(copied));
  }

  /** Puts the chosen hits once more, right behind the last of them. */
  void duplicate() {
    Map<LaneId, List<Hit>> chosen = choice.chosenHits();
    put("Duplicate", chosen, last(chosen) - first(chosen) + 1);
  }

  private void put(String name, Map<LaneId, List<Hit>> hits, int steps) {
    if (hits.isEmpty()) {
      return;
    }
    MovedHits.Moved put = new MovedHits(choice.scene().groove(), hits).copied(steps);
    if (put.count() == 0) {
      choice.context().messages().done("There is no room for them behind the cursor.");
      return;
    }
    choice
        .context()
        .open()
        .apply(
            choice.edits().groove().replace(name + " " + put.count() + " hits", put.groove()),
            now -> now.withNotes(put.places()));
    choice.chooseHits(put.places());
  }

  private static int first(Map<LaneId, List<Hit>> hits) {
    return hits.values().stream().flatMap(List::stream).mapToInt(Hit::step).min().orElse(0);
  }

  private static int last(Map<LaneId, List<Hit>> hits) {
    return hits.values().stream().flatMap(List::stream).mapToInt(Hit::step).max().orElse(0);
  }
}
