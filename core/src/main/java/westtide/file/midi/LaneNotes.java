package westtide.file.midi;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import westtide.score.ScoredPart;
import westtide.score.event.ScoredNote;
import westtide.song.Part;
import westtide.song.drum.LaneId;
import westtide.song.drum.LaneSound;
import westtide.song.id.PartId;

/**
 * The MIDI notes that drum lanes are written as. Each lane has the note chosen for it; a lane whose
 * note another has already takes a free one, first of those the General MIDI percussion map has for
 * the same drum, then of the same family, then the nearest. Two lanes share a note only where they
 * belong to two parts, sound the same and never sound at once, so that every stroke can be told.
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

  /** A lane that plays, with what decides on its note. */
  private record Played(Lane lane, int wanted, Heard heard, List<ScoredNote> strokes) {
    /** Whether both may be on one note. */
    boolean joins(Played other) {
      return !lane.part().equals(other.lane.part())
          && heard.equals(other.heard)
          && !together(strokes, other.strokes);
    }
  }

  /** What a lane sounds like: its kit and drum, or an instrument of its own, and its tuning. */
  private record Heard(String instrument, Optional<LaneId> drum, int cents) {
    static Heard of(Part part, LaneId lane) {
      LaneSound sound = part.sound(lane);
      return sound.instrument().isEmpty()
          ? new Heard(
              part.patch().instrument(), Optional.of(LaneId.of(lane.voice())), sound.cents())
          : new Heard(sound.instrument(), Optional.empty(), sound.cents());
    }
  }

  /** The notes for drum parts that are written into one file. */
  static LaneNotes of(List<ScoredPart> drums) {
    List<Played> lanes = drums.stream().flatMap(part -> played(part).stream()).toList();
    Map<Integer, List<Played>> taken = new HashMap<>();
    Map<Lane, Integer> found = new HashMap<>();
    for (Played lane : lanes) {
      if (taken.getOrDefault(lane.wanted, List.of()).stream().allMatch(lane::joins)) {
        take(lane, lane.wanted, found, taken);
      }
    }
    for (Played lane : lanes) {
      if (!found.containsKey(lane.lane)) {
        take(lane, free(lane, taken), found, taken);
      }
    }
    Map<Lane, Integer> out = new LinkedHashMap<>();
    lanes.forEach(lane -> out.put(lane.lane, found.get(lane.lane)));
    return new LaneNotes(out);
  }

  private static void take(
      Played lane, int note, Map<Lane, Integer> found, Map<Integer, List<Played>> taken) {
    found.put(lane.lane, note);
    taken.computeIfAbsent(note, n -> new ArrayList<>()).add(lane);
  }

  /** The lanes of a part that have strokes, by their place in the groove. */
  private static List<Played> played(ScoredPart part) {
    Map<LaneId, List<ScoredNote>> strokes = new HashMap<>();
    for (ScoredNote note : part.notes()) {
      note.struck()
          .ifPresent(s -> strokes.computeIfAbsent(s.lane(), l -> new ArrayList<>()).add(note));
    }
    return strokes.entrySet().stream()
        .sorted(Comparator.comparingInt(entry -> entry.getKey().index()))
        .map(
            entry ->
                new Played(
                    new Lane(part.part().id(), entry.getKey()),
                    part.part().sound(entry.getKey()).note(),
                    Heard.of(part.part(), entry.getKey()),
                    entry.getValue()))
        .toList();
  }

  /** A note no lane has; the wanted one where all are taken. */
  private static int free(Played lane, Map<Integer, List<Played>> taken) {
    return candidates(lane)
        .filter(note -> !taken.containsKey(note))
        .findFirst()
        .orElse(lane.wanted);
  }

  /** The notes of the drum first, then those of its family, then all, each nearest first. */
  private static IntStream candidates(Played lane) {
    Comparator<Integer> nearest = Comparator.comparingInt(note -> Math.abs(note - lane.wanted));
    List<Integer> out = new ArrayList<>(lane.lane.lane().voice().notes());
    FAMILIES.stream()
        .filter(family -> family.contains(lane.wanted))
        .flatMap(List::stream)
        .sorted(nearest)
        .forEach(out::add);
    IntStream.rangeClosed(LOWEST, HIGHEST).boxed().sorted(nearest).forEach(out::add);
    return out.stream().mapToInt(note -> note);
  }

  /** Whether a stroke of one starts or sounds while one of the other does. */
  private static boolean together(List<ScoredNote> one, List<ScoredNote> other) {
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

  /** Whether a lane of any part other than this one is written as a note. */
  boolean hasBeside(Lane lane, int note) {
    return byLane.entrySet().stream()
        .anyMatch(entry -> entry.getValue() == note && !entry.getKey().equals(lane));
  }

  /** The lanes of a part with their notes, such as {@code "Kick = 36, Kick 2 = 35"}. */
  public String list(Part part) {
    return byLane.entrySet().stream()
        .filter(entry -> entry.getKey().part().equals(part.id()))
        .map(entry -> part.name(entry.getKey().lane()) + " = " + entry.getValue())
        .collect(Collectors.joining(", "));
  }
}
