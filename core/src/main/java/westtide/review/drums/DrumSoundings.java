package westtide.review.drums;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import westtide.review.finding.Finding;
import westtide.review.finding.Measure;
import westtide.review.finding.StageSoundings;
import westtide.rhythm.Meter;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.song.Part;
import westtide.song.PlayedBars;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.drum.DrumEdits;
import westtide.song.id.PartId;
import westtide.song.pattern.Pattern;
import westtide.style.Style;

/**
 * What is measured and found about the grooves of every drum part, and about how they repeat over
 * the song. What the style expects of drums as a whole is looked for in all drum parts together.
 */
public final class DrumSoundings {
  private final Score score;
  private final Song song;
  private final Style style;
  private final Meter meter;
  private final Map<PartId, DrumRepeats> repeats = new HashMap<>();

  /** Of a score. */
  public DrumSoundings(Score score, Style style) {
    this.score = score;
    this.song = score.song();
    this.style = style;
    this.meter = song.brief().meter();
  }

  /** What is measured and found. */
  public StageSoundings take() {
    List<ScoredPart> drums = score.parts(Role.DRUMS);
    if (drums.isEmpty()) {
      return new StageSoundings(List.of(), List.of());
    }
    List<Finding> findings = new ArrayList<>();
    for (ScoredPart part : drums) {
      Map<String, Pattern.Drums> grooves = part.part().grooves(meter);
      grooves.forEach(
          (name, groove) -> {
            StyledGroove view = view(part.part(), name, groove);
            findings.addAll(new GrooveFindings(view).take());
            findings.addAll(new NeverFindings(view, part).take());
          });
    }
    ScoredPart main = main(drums);
    findings.addAll(repeats(main.part()).missingFills(song, main.part()));
    StyledGroove mainGroove = mainGroove(main);
    List<StyledGroove> beside =
        drums.stream().filter(part -> part != main && part.plays()).map(this::mainGroove).toList();
    findings.addAll(new StyleGrooveFindings(mainGroove, beside).take());
    repeats(main.part()).againstSchool(style).ifPresent(findings::add);
    return new StageSoundings(measures(mainGroove, main.part()), findings);
  }

  private DrumRepeats repeats(Part part) {
    return repeats.computeIfAbsent(part.id(), id -> DrumRepeats.of(score, part));
  }

  /** The figures of one groove of a drum part. */
  public List<Measure> measures(Part part, String groove) {
    Optional<Pattern.Drums> found = part.groove(groove, meter);
    return found.map(drums -> measures(view(part, groove, drums), part)).orElse(List.of());
  }

  private List<Measure> measures(StyledGroove view, Part part) {
    List<Measure> out = new ArrayList<>(new DrumMeasures(view).take());
    out.add(repeats(part).measure(style));
    return out;
  }

  /** The part that carries kick and backbeat, by how many of their hits its main groove has. */
  private ScoredPart main(List<ScoredPart> drums) {
    ScoredPart out = drums.get(0);
    for (ScoredPart part : drums) {
      out = backbone(part) > backbone(out) ? part : out;
    }
    return out;
  }

  private long backbone(ScoredPart part) {
    StyledGroove view = mainGroove(part);
    return view.groove().lanes().stream()
        .filter(lane -> lane.voice().backbone())
        .mapToLong(lane -> view.heard(lane).size())
        .sum();
  }

  /** The main groove of a part: the one it plays longest in the hooks. */
  private StyledGroove mainGroove(ScoredPart part) {
    String name = new PlayedBars(song).pattern(part.part());
    return view(part.part(), name, part.part().groove(name, meter).orElseThrow());
  }

  private StyledGroove view(Part part, String name, Pattern.Drums groove) {
    return new StyledGroove(song, style, new DrumEdits(part.id(), name), groove);
  }
}
