package westtide.song.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import westtide.rhythm.Hit;
import westtide.rhythm.StepLane;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.form.Section;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;

/**
 * Grooves at half time: kick and backbeat come twice as far apart over twice the bars, everything
 * else goes on as it was.
 */
public final class HalfTime {
  private static final String SUFFIX = " half-time";
  private static final int MOST_BARS = 16;
  private static final Set<DrumVoice> STRETCHED =
      Set.of(DrumVoice.KICK, DrumVoice.SNARE, DrumVoice.CLAP);

  private HalfTime() {}

  /** The song with every groove of a drum part at half time too. */
  public static Song of(Part part, Song song) {
    Map<String, Pattern.Drums> grooves = part.grooves(song.brief().meter());
    Part out = part;
    for (Map.Entry<String, Pattern.Drums> groove : grooves.entrySet()) {
      boolean there = part.find(groove.getKey() + SUFFIX).isPresent();
      boolean fits = 2 * groove.getValue().bars() <= MOST_BARS;
      if (!there && fits && !groove.getKey().endsWith(SUFFIX)) {
        out = out.with(new NamedPattern(groove.getKey() + SUFFIX, stretched(groove.getValue())));
      }
    }
    Part made = out;
    return song.withPart(part.id(), p -> made);
  }

  /** A section that plays its grooves at half time where there are some. */
  public static Section played(Section section, List<Part> drums) {
    Section out = section;
    for (Part part : drums) {
      out =
          out.withEachCell(
              part.id(),
              cell -> {
                String wanted = part.pattern(cell.pattern()).name() + SUFFIX;
                return part.find(wanted).isPresent() ? cell.withPattern(wanted) : cell;
              });
    }
    return out;
  }

  private static Pattern.Drums stretched(Pattern.Drums groove) {
    List<DrumLane> lanes = new ArrayList<>();
    for (DrumLane lane : groove.lanes()) {
      boolean longer =
          STRETCHED.contains(lane.voice()) && 2 * lane.lane().length() <= StepLane.LONGEST;
      lanes.add(longer ? lane.withLane(stretched(lane.lane())) : lane);
    }
    return new Pattern.Drums(2 * groove.bars(), groove.restart(), lanes);
  }

  private static StepLane stretched(StepLane lane) {
    StepLane out = StepLane.empty(2 * lane.length());
    for (Hit hit : lane.hits()) {
      out = out.with(hit.withStep(2 * hit.step()));
    }
    return out;
  }
}
