package westtide.review.drums;

import java.util.List;
import westtide.review.finding.Check;
import westtide.review.finding.FindingId;
import westtide.rhythm.Meter;
import westtide.score.drum.GrooveLayout;
import westtide.song.HeardPlace;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.drum.DrumLane;
import westtide.song.drum.PlacedHit;
import westtide.song.edit.drum.DrumEdits;
import westtide.song.pattern.Pattern;
import westtide.style.Style;

/**
 * A groove that is looked at.
 *
 * @param song the song it is in
 * @param style the style it is measured against
 * @param edits edits of it
 * @param groove what it plays
 */
record StyledGroove(Song song, Style style, DrumEdits edits, Pattern.Drums groove) {
  Meter meter() {
    return song.brief().meter();
  }

  /** Where the hits of its lanes fall, and which are silent. */
  GrooveLayout layout() {
    return GrooveLayout.of(groove, song.part(edits.part()).orElseThrow(), meter());
  }

  /** Where the hits of a lane fall that are heard. */
  List<PlacedHit> heard(DrumLane lane) {
    return layout().heard(lane);
  }

  /** Hits of all lanes a bar, as far as they are heard. */
  double hitsPerBar() {
    return groove.lanes().stream().mapToInt(lane -> heard(lane).size()).sum()
        / (double) groove.bars();
  }

  /** Its name, and where a place in it is heard first. */
  String where(int tick) {
    return where() + ", " + new HeardPlace(song).of(edits.part(), edits.pattern(), tick);
  }

  /** What findings of it are known by. */
  FindingId id(Check check) {
    return FindingId.of(check, edits.part(), edits.pattern());
  }

  /** Its part and name. */
  String where() {
    String name = song.part(edits.part()).map(Part::name).orElse("Drums");
    return name + ", groove " + edits.pattern();
  }
}
