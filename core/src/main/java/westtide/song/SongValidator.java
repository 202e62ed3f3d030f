package westtide.song;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import westtide.song.chord.ChordSpan;
import westtide.song.chord.Progression;
import westtide.song.form.Cell;
import westtide.song.form.Form;
import westtide.song.form.Mark;
import westtide.song.form.Section;
import westtide.song.id.PartId;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.NamedPattern;
import westtide.theory.voicing.ChordMember;

/**
 * What must hold between the pieces of a song: names are unique, and whatever points to a part, a
 * pattern or a progression points to one that is there.
 *
 * @param progressions the chord rows
 * @param parts the parts
 * @param form the form
 */
record SongValidator(List<Progression> progressions, List<Part> parts, Form form) {
  /**
   * Checks everything.
   *
   * @throws IllegalArgumentException with what points where to nothing
   */
  void check() {
    Set<String> rows = progressions.stream().map(Progression::name).collect(Collectors.toSet());
    require(rows.size() == progressions.size(), "two progressions have the same name");
    Map<PartId, Part> byId = new HashMap<>();
    parts.forEach(part -> byId.put(part.id(), part));
    require(byId.size() == parts.size(), "two parts have the same id");
    require(
        parts.stream().map(Part::name).distinct().count() == parts.size(),
        "two parts have the same name");
    Map<PartId, Set<String>> patterns = new HashMap<>();
    parts.forEach(part -> patterns.put(part.id(), names(part)));
    for (Section section : form.sections()) {
      if (!rows.contains(section.progression())) {
        throw new IllegalArgumentException(
            "section "
                + section.word()
                + " asks for the progression \""
                + section.progression()
                + "\", which the song does not have");
      }
      checkParts(section, byId, patterns);
    }
    for (Part part : parts) {
      checkRules(part, rows, byId);
    }
    checkMembers(byId);
  }

  private static Set<String> names(Part part) {
    return part.patterns().stream().map(NamedPattern::name).collect(Collectors.toSet());
  }

  private static void checkParts(
      Section section, Map<PartId, Part> byId, Map<PartId, Set<String>> patterns) {
    for (Map.Entry<PartId, List<Cell>> cells : section.cells().entrySet()) {
      Part part = byId.get(cells.getKey());
      if (part == null) {
        throw new IllegalArgumentException(
            "section "
                + section.word()
                + " names a part \""
                + cells.getKey()
                + "\" that is not in the song");
      }
      for (Cell cell : cells.getValue()) {
        if (!cell.pattern().isEmpty() && !patterns.get(part.id()).contains(cell.pattern())) {
          throw new IllegalArgumentException(
              "in section "
                  + section.word()
                  + " "
                  + part.name()
                  + " plays \""
                  + cell.pattern()
                  + "\", which is none of its patterns");
        }
      }
    }
    for (Mark mark : section.marks()) {
      for (PartId part : mark.transition().parts()) {
        require(
            byId.containsKey(part),
            "section " + section.word() + " enters by a part \"" + part + "\" that is not there");
      }
    }
    for (PartId part : section.curves().keySet()) {
      if (!byId.containsKey(part)) {
        throw new IllegalArgumentException(
            "section " + section.word() + " moves a part \"" + part + "\" that is not in the song");
      }
    }
  }

  private static void checkRules(Part part, Set<String> rows, Map<PartId, Part> byId) {
    for (FollowRule.Chords rule : part.rules(FollowRule.Chords.class)) {
      rule.own()
          .progression()
          .ifPresent(
              row ->
                  require(
                      rows.contains(row),
                      part.name()
                          + " plays the progression \""
                          + row
                          + "\", which the song does not have"));
    }
    for (PartId id : models(part)) {
      Part model = byId.get(id);
      require(
          model != null, part.name() + " listens to a part \"" + id + "\" that is not in the song");
      require(
          model.role() != Role.DRUMS,
          part.name() + " doubles drums, but only pitched parts can be");
      checkCircle(part, byId);
    }
  }

  /** Parts that listen to listeners are fine as long as one of them plays something itself. */
  private static void checkCircle(Part part, Map<PartId, Part> byId) {
    Set<PartId> seen = new HashSet<>();
    List<PartId> open = new java.util.ArrayList<>(models(part));
    while (!open.isEmpty()) {
      PartId next = open.remove(open.size() - 1);
      require(!next.equals(part.id()), part.name() + " listens to itself in a circle");
      if (seen.add(next) && byId.containsKey(next)) {
        open.addAll(models(byId.get(next)));
      }
    }
  }

  private static List<PartId> models(Part part) {
    return part.hears();
  }

  private void checkMembers(Map<PartId, Part> byId) {
    for (Progression row : progressions) {
      for (ChordSpan span : row.spans()) {
        Map<PartId, Set<ChordMember>> without = span.articulation().without();
        if (!without.isEmpty()) {
          for (PartId part : without.keySet()) {
            require(
                byId.containsKey(part),
                "progression "
                    + row.name()
                    + " leaves notes of "
                    + span.chord()
                    + " out of a part \""
                    + part
                    + "\" that is not in the song");
          }
        }
      }
    }
  }

  private static void require(boolean holds, String message) {
    if (!holds) {
      throw new IllegalArgumentException(message);
    }
  }
}
