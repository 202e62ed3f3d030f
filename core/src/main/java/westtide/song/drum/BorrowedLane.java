package westtide.song.drum;

import java.util.List;
import westtide.song.id.PartId;

/**
 * A drum lane that takes its rhythm from a pitched part.
 *
 * @param model the part whose rhythm is played
 * @param grooves names of the grooves in which it is; those that follow one of them do so too.
 *     Empty for all grooves of the part
 */
public record BorrowedLane(PartId model, List<String> grooves) {
  /** Copies the names. */
  public BorrowedLane {
    grooves = List.copyOf(grooves);
  }

  /** A lane that borrows in every groove. */
  public static BorrowedLane everywhere(PartId model) {
    return new BorrowedLane(model, List.of());
  }

  /** Whether it borrows in every groove. */
  public boolean isEverywhere() {
    return grooves.isEmpty();
  }
}
