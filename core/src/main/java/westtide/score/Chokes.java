package westtide.score;

import java.util.ArrayList;
import java.util.List;
import westtide.song.Part;
import westtide.song.Pattern;
import westtide.song.drum.DrumLane;

/**
 * Which lane plays where two of one choke group start together: the one that rings, as the open hat
 * does; between equals the one that stands first.
 */
public final class Chokes {
  private Chokes() {}

  /** The lanes that silence a lane where they start together with it, by their places. */
  public static List<Integer> silencing(int lane, Pattern.Drums groove, Part part) {
    List<Integer> out = new ArrayList<>();
    DrumLane own = groove.lanes().get(lane);
    int group = part.sound(own.id()).choke();
    for (int i = 0; group != 0 && i < groove.lanes().size(); i++) {
      DrumLane other = groove.lanes().get(i);
      if (i != lane && part.sound(other.id()).choke() == group && wins(other, i, own, lane)) {
        out.add(i);
      }
    }
    return out;
  }

  private static boolean wins(DrumLane lane, int place, DrumLane other, int otherPlace) {
    boolean rings = lane.voice().rings();
    return rings == other.voice().rings() ? place < otherPlace : rings;
  }
}
