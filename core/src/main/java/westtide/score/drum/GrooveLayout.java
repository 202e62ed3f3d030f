package westtide.score.drum;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BiPredicate;
import westtide.rhythm.Hit;
import westtide.rhythm.Meter;
import westtide.rhythm.Velocity;
import westtide.rhythm.When;
import westtide.song.Part;
import westtide.song.drum.DrumLane;
import westtide.song.drum.LaneId;
import westtide.song.drum.PlacedHit;
import westtide.song.pattern.Pattern;

/**
 * A groove laid out in time: where the hits of its lanes fall, and which of them are silent since
 * another lane of their choke group starts with them. Of two that start together the one that rings
 * plays, as the open hat does; between equals the one that stands first. The score, the drawing and
 * the findings all read it.
 */
public final class GrooveLayout {
  private final Pattern.Drums groove;
  private final Part part;
  private final Meter meter;
  private final Map<LaneId, List<Integer>> borrowed;

  private GrooveLayout(
      Pattern.Drums groove, Part part, Meter meter, Map<LaneId, List<Integer>> borrowed) {
    this.groove = groove;
    this.part = part;
    this.meter = meter;
    this.borrowed = borrowed;
  }

  /** A groove of a part as it is written. */
  public static GrooveLayout of(Pattern.Drums groove, Part part, Meter meter) {
    return new GrooveLayout(groove, part, meter, Map.of());
  }

  /** The same with lanes that are struck at those ticks, whatever they hold. */
  GrooveLayout borrowing(Map<LaneId, List<Integer>> ticks) {
    return new GrooveLayout(groove, part, meter, ticks);
  }

  /** The hits of a lane over the length of the groove, silent ones too. */
  public List<PlacedHit> hits(DrumLane lane) {
    return hits(lane, groove.ticks(meter));
  }

  /** The hits of a lane that are heard on some pass at least. */
  public List<PlacedHit> heard(DrumLane lane) {
    Set<Integer> silent = silent(groove.lanes().indexOf(lane));
    return hits(lane).stream()
        .filter(hit -> !lane.silences(hit) && !silent.contains(hit.tick()))
        .toList();
  }

  /** The ticks at which a lane, told by its place, is silent on every pass. */
  public Set<Integer> silent(int lane) {
    return silent(lane, groove.ticks(meter), GrooveLayout::always);
  }

  private static boolean always(DrumLane lane, PlacedHit hit) {
    return hit.hit().when().equals(When.ALWAYS) && !lane.silences(hit);
  }

  /** The hits of a lane from the start of a section to a tick of it. */
  List<PlacedHit> hits(DrumLane lane, int to) {
    List<Integer> ticks = borrowed.get(lane.id());
    return ticks == null
        ? lane.laid(to, groove.restartTicks(lane, meter))
        : struck(lane, ticks, to);
  }

  /** The ticks up to one of the section at which a lane is silent, of hits that play. */
  Set<Integer> silent(int lane, int to, BiPredicate<DrumLane, PlacedHit> plays) {
    Set<Integer> out = new HashSet<>();
    for (DrumLane other : choking(lane)) {
      for (PlacedHit hit : hits(other, to)) {
        if (plays.test(other, hit)) {
          out.add(hit.tick());
        }
      }
    }
    return out;
  }

  /** The hits of a lane in order, as loud as they are, at the ticks it borrows. */
  private static List<PlacedHit> struck(DrumLane lane, List<Integer> ticks, int to) {
    List<Hit> own = lane.lane().hits();
    List<PlacedHit> out = new ArrayList<>();
    for (int tick : ticks) {
      Hit hit = own.isEmpty() ? Hit.of(0, Velocity.HIT) : own.get(out.size() % own.size());
      Hit plain = Hit.of(hit.step(), hit.velocity());
      out.add(new PlacedHit(plain, tick, hit.step(), hit.step(), 0, 0, to));
    }
    return out;
  }

  /** The lanes that silence a lane where they start together with it. */
  private List<DrumLane> choking(int lane) {
    List<DrumLane> out = new ArrayList<>();
    DrumLane own = groove.lanes().get(lane);
    int group = part.sound(own.id()).choke();
    for (int i = 0; group != 0 && i < groove.lanes().size(); i++) {
      DrumLane other = groove.lanes().get(i);
      if (i != lane && part.sound(other.id()).choke() == group && wins(other, i, own, lane)) {
        out.add(other);
      }
    }
    return out;
  }

  private static boolean wins(DrumLane lane, int place, DrumLane other, int otherPlace) {
    boolean rings = lane.voice().rings();
    return rings == other.voice().rings() ? place < otherPlace : rings;
  }
}
