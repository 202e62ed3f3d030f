package westtide.sound;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import westtide.score.event.ScoredNote;
import westtide.song.Part;
import westtide.song.drum.LaneId;

/**
 * The notes of a drum part, apart by the channels they go through: a lane with effects of its own
 * has one, all others share that of the part. Hats choke one another across channels all the same.
 */
final class LaneChannels {
  private final Part part;
  private final List<ScoredNote> shared = new ArrayList<>();
  private final Map<LaneId, List<ScoredNote>> own = new LinkedHashMap<>();
  private final List<ScoredNote> choking;

  private LaneChannels(Part part, List<ScoredNote> notes) {
    this.part = part;
    for (ScoredNote note : notes) {
      channel(note)
          .map(lane -> own.computeIfAbsent(lane, fresh -> new ArrayList<>()))
          .orElse(shared)
          .add(note);
    }
    choking =
        own.isEmpty()
            ? List.of()
            : notes.stream()
                .filter(note -> group(note) > 0)
                .sorted(Comparator.comparingInt(ScoredNote::start))
                .toList();
  }

  static LaneChannels of(Part part, List<ScoredNote> notes) {
    return new LaneChannels(part, notes);
  }

  List<ScoredNote> shared() {
    return shared;
  }

  Map<LaneId, List<ScoredNote>> own() {
    return own;
  }

  /** The tick at which a stroke is choked by one that goes through another channel. */
  OptionalInt chokedAt(ScoredNote note) {
    int group = group(note);
    if (choking.isEmpty() || group == 0) {
      return OptionalInt.empty();
    }
    Optional<LaneId> channel = channel(note);
    return choking.subList(firstAfter(note.start()), choking.size()).stream()
        .filter(other -> group(other) == group)
        .filter(other -> !Objects.equals(channel(other), channel))
        .mapToInt(ScoredNote::start)
        .findFirst();
  }

  private int firstAfter(int tick) {
    int low = 0;
    int high = choking.size();
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (choking.get(middle).start() <= tick) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low;
  }

  private Optional<LaneId> channel(ScoredNote note) {
    return note.struck()
        .map(ScoredNote.Struck::lane)
        .filter(lane -> part.sound(lane).goesThroughEffects());
  }

  private int group(ScoredNote note) {
    return note.struck().map(struck -> part.sound(struck.lane()).choke()).orElse(0);
  }
}
