package westtide.file.midi;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import westtide.score.ScoredNote;
import westtide.score.ScoredPart;
import westtide.song.drum.LaneId;
import westtide.song.id.PartId;

/**
 * The MIDI notes that drum lanes are written as. Each lane has the note chosen for it; where two
 * lanes of one note sound at once, the later one takes the nearest free note of the same family of
 * the General MIDI percussion map, so that no stroke is lost.
 *
 * @param byLane the note of every lane that plays, in the order of the parts and their lanes
 */
public record LaneNotes(Map<Lane, Integer> byLane) {
  /**
   * A lane of a part.
   *
   * @param part the part
   * @param lane one of its lanes
   */
  public record Lane(PartId part, LaneId lane) {}

  /** Families of the percussion map (General MIDI 1, from memory). */
  private static final List<List<Integer>> FAMILIES =
      List.of(
          List.of(35, 36),
          List.of(37, 38, 39, 40, 31),
          List.of(41, 43, 45, 47, 48, 50),
          List.of(42, 44, 46),
          List.of(49, 51, 52, 53, 55, 57, 59),
          List.of(60, 61, 62, 63, 64, 65, 66, 67, 68),
          List.of(54, 56, 58, 69, 70, 71, 72, 73, 74, 82),
          List.of(75, 76, 77, 78, 79, 80, 81));

  private static final int LOWEST = 27;
  private static final int HIGHEST = 87;

  /** The notes for drum parts that are written into one file. */
  static LaneNotes of(List<ScoredPart> drums) {
    Map<Lane, List<ScoredNote>> strokes = new LinkedHashMap<>();
    for (ScoredPart part : drums) {
      for (ScoredNote note : part.notes()) {
        note.struck()
            .ifPresent(
                struck ->
                    strokes
                        .computeIfAbsent(
                            new Lane(part.part().id(), struck.lane()), l -> new ArrayList<>())
                        .add(note));
      }
    }
    Map<Lane, Integer> out = new LinkedHashMap<>();
    Map<Integer, List<ScoredNote>> taken = new HashMap<>();
    for (ScoredPart part : drums) {
      strokes.entrySet().stream()
          .filter(entry -> entry.getKey().part().equals(part.part().id()))
          .sorted(Comparator.comparing(entry -> entry.getKey().lane().index()))
          .forEach(
              entry -> {
                int wanted = part.part().sound(entry.getKey().lane()).note();
                int note = free(wanted, entry.getValue(), taken);
                out.put(entry.getKey(), note);
                taken.computeIfAbsent(note, n -> new ArrayList<>()).addAll(entry.getValue());
              });
    }
    return new LaneNotes(out);
  }

  private static int free(
      int wanted, List<ScoredNote> strokes, Map<Integer, List<ScoredNote>> taken) {
    if (!together(strokes, taken.getOrDefault(wanted, List.of()))) {
      return wanted;
    }
    return candidates(wanted).stream()
        .filter(note -> !taken.containsKey(note))
        .findFirst()
        .orElse(wanted);
  }

  /** The notes of the family first, then all, each nearest first. */
  private static List<Integer> candidates(int wanted) {
    Comparator<Integer> nearest = Comparator.comparingInt(note -> Math.abs(note - wanted));
    List<Integer> out = new ArrayList<>();
    FAMILIES.stream()
        .filter(family -> family.contains(wanted))
        .flatMap(List::stream)
        .sorted(nearest)
        .forEach(out::add);
    List<Integer> all = new ArrayList<>();
    for (int note = LOWEST; note <= HIGHEST; note++) {
      all.add(note);
    }
    all.sort(nearest);
    out.addAll(all);
    return out;
  }

  /** Whether a stroke of one starts or sounds while one of the other does. */
  private static boolean together(List<ScoredNote> one, List<ScoredNote> other) {
    if (other.isEmpty()) {
      return false;
    }
    long[] spans =
        other.stream().mapToLong(n -> (long) n.start() << 32 | n.end()).sorted().toArray();
    Set<Integer> starts = new HashSet<>();
    other.forEach(note -> starts.add(note.start()));
    for (ScoredNote note : one) {
      int at = Arrays.binarySearch(spans, (long) note.end() << 32);
      int last = (at >= 0 ? at : -at - 1) - 1;
      boolean over = last >= 0 && (int) spans[last] > note.start();
      if (over || starts.contains(note.start())) {
        return true;
      }
    }
    return false;
  }

  /** The note of a stroke of a part. */
  public int note(PartId part, ScoredNote stroke) {
    return stroke
        .struck()
        .map(struck -> byLane.getOrDefault(new Lane(part, struck.lane()), stroke.key()))
        .orElse(stroke.key());
  }

  /** The lanes of a part with their notes, such as {@code "Kick = 36, Kick 2 = 35"}. */
  public String list(PartId part) {
    return byLane.entrySet().stream()
        .filter(entry -> entry.getKey().part().equals(part))
        .map(entry -> entry.getKey().lane() + " = " + entry.getValue())
        .collect(Collectors.joining(", "));
  }
}
