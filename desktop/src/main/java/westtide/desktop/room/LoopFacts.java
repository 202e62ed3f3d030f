package westtide.desktop.room;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import westtide.found.FoundFacts;
import westtide.song.found.Recording;

/** What was found of the last few recordings, so that none is listened to twice; window thread. */
public final class LoopFacts {
  private static final int KEPT = 8;

  private final Map<String, FoundFacts> known = new LinkedHashMap<>();

  /** What is known of a recording. */
  public Optional<FoundFacts> of(Recording recording) {
    return Optional.ofNullable(known.get(recording.id()));
  }

  /** Keeps what was found; the oldest beyond eight go. */
  public void keep(Recording recording, FoundFacts facts) {
    known.put(recording.id(), facts);
    if (known.size() > KEPT) {
      known.remove(known.keySet().iterator().next());
    }
  }
}
