package westtide.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import westtide.rhythm.Meter;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.Pattern;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.DrumEdits;
import westtide.style.Style;

/** What is measured and found about the grooves, and about how they repeat over the song. */
final class DrumSoundings {
  private final Score score;
  private final Song song;
  private final Style style;

  DrumSoundings(Score score, Style style) {
    this.score = score;
    this.song = score.song();
    this.style = style;
  }

  StageSoundings take() {
    Optional<Part> part = song.part(Role.DRUMS);
    Meter meter = song.brief().meter();
    Map<String, Pattern.Drums> grooves = part.map(p -> p.grooves(meter)).orElse(Map.of());
    if (grooves.isEmpty()) {
      return new StageSoundings(List.of(), List.of());
    }
    List<Finding> findings = new ArrayList<>();
    grooves.forEach(
        (name, groove) -> {
          DrumEdits edits = new DrumEdits(part.get().id(), name);
          findings.addAll(new GrooveFindings(new StyledGroove(song, style, edits, groove)).take());
        });
    String first = grooves.keySet().iterator().next();
    DrumEdits edits = new DrumEdits(part.get().id(), first);
    StyledGroove main = new StyledGroove(song, style, edits, grooves.get(first));
    findings.addAll(new StyleGrooveFindings(main).take());
    DrumRepeats repeats = DrumRepeats.of(score, part.get());
    repeats.missingFills(song, part.get()).forEach(findings::add);
    repeats.againstSchool(style).ifPresent(findings::add);
    List<Measure> measures = new ArrayList<>(new DrumMeasures(main).take());
    measures.add(repeats.measure(style));
    return new StageSoundings(measures, findings);
  }
}
