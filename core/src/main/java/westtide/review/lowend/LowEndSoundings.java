package westtide.review.lowend;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import westtide.review.finding.Check;
import westtide.review.finding.Finding;
import westtide.review.finding.FindingId;
import westtide.review.finding.Fix;
import westtide.review.finding.Measure;
import westtide.review.finding.Severity;
import westtide.review.finding.StageSoundings;
import westtide.rhythm.Position;
import westtide.score.Passage;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.score.event.ScoredNote;
import westtide.song.PlayedBars;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.edit.MixEdits;
import westtide.song.edit.line.LowEndEdits;
import westtide.song.edit.line.RegisterEdits;
import westtide.song.mix.Duck;
import westtide.song.mix.Mix;
import westtide.style.Span;
import westtide.theory.Key;
import westtide.theory.Pitch;

/** Every 808 against its useful range, the kicks, and the parts above it. */
public final class LowEndSoundings {
  private static final int LOWS_HERTZ = 100;
  private static final int CUT_HERTZ = 120;
  private static final int FEW_HERTZ = 400;
  private static final String KNOCKS = "log drum";

  private final Song song;
  private final Score score;
  private final Key key;

  /** Of a score. */
  public LowEndSoundings(Score score) {
    this.score = score;
    this.song = score.song();
    this.key = song.brief().key();
  }

  /** What is measured and found. */
  public StageSoundings take() {
    List<ScoredPart> subs = score.parts(Role.SUB).stream().filter(ScoredPart::plays).toList();
    if (subs.isEmpty()) {
      return new StageSoundings(List.of(), List.of());
    }
    List<Finding> findings = new ArrayList<>();
    subs.forEach(sub -> addRange(sub, findings));
    LowNotes low = new LowNotes(subs);
    for (ScoredPart part : score.parts()) {
      if (part.part().role() == Role.LINE || part.part().role() == Role.CHORDS) {
        addClashes(part, low, findings);
      }
    }
    score.parts(Role.FOUND).forEach(loop -> addLoop(loop, findings));
    subs.forEach(sub -> addKickOverlap(sub, findings));
    findings.addAll(new LowLineFindings(score).take());
    List<Measure> measures =
        new PlayedBars(song)
            .part(Role.SUB)
            .flatMap(part -> score.part(part.id()))
            .map(this::measures)
            .orElse(List.of());
    return new StageSoundings(measures, findings);
  }

  /** The figures of a low part. */
  public List<Measure> measures(ScoredPart part) {
    List<ScoredNote> notes = part.notes();
    if (notes.isEmpty()) {
      return List.of();
    }
    String name = part.part().name();
    int low = notes.stream().mapToInt(ScoredNote::key).min().orElseThrow();
    int high = notes.stream().mapToInt(ScoredNote::key).max().orElseThrow();
    double together = kickShare(notes);
    double sounding = notes.stream().mapToInt(ScoredNote::ticks).sum() / (double) score.ticks();
    return List.of(
        pitch(name + " lowest, Hz", low),
        pitch(name + " highest, Hz", high),
        Measure.of(name + " notes on a kick", Math.round(100 * together) + " %", together, 1, 0, 1),
        Measure.of(name + " sounds for", Math.round(100 * sounding) + " %", sounding, 1, 0.3, 0.8),
        leaps(name, notes));
  }

  /** A loop brings its own bass; under an 808 one of both has to leave it (common practice). */
  private void addLoop(ScoredPart loop, List<Finding> findings) {
    Mix mix = loop.part().mix();
    boolean keepsLows = mix.lowCut() < LOWS_HERTZ && mix.lowPass() > FEW_HERTZ;
    if (!keepsLows || loop.notes().isEmpty()) {
      return;
    }
    String name = loop.part().name();
    findings.add(
        new Finding(
            FindingId.of(Check.LOWEND_LOOP, loop.part().id()),
            Severity.WARNING,
            name + " keeps its lows beside the 808",
            mix.lowCut() == 0 ? "no low cut" : "low cut " + mix.lowCut() + " Hz",
            "Two basses under "
                + LOWS_HERTZ
                + " Hz hide each other. Cut the loop there, or split its"
                + " lows to a part of their own that steps back.",
            Optional.of(
                new Fix(
                    "low cut " + CUT_HERTZ + " Hz",
                    MixEdits.mix(loop.part().id(), "low cut", m -> m.withLowCut(CUT_HERTZ))))));
  }

  private static Measure leaps(String name, List<ScoredNote> notes) {
    double leaps = LowLineFindings.leaps(notes);
    return Measure.of(
        name + " leaps past a fifth", Math.round(100 * leaps) + " %", leaps, 1, 0, 0.1);
  }

  private Measure pitch(String name, int midi) {
    Span useful =
        new Span(LowEndRange.LOWEST_USEFUL, LowEndRange.HIGHEST_USEFUL, LowEndRange.LOWEST_USEFUL);
    String shown = key.pitch(midi) + " · " + Math.round(Pitch.hertz(midi));
    return new Measure(name, shown, midi, 20, 52, useful);
  }

  private double kickShare(List<ScoredNote> notes) {
    Set<Integer> kicks = new HashSet<>();
    for (ScoredPart drums : score.parts(Role.DRUMS)) {
      for (ScoredNote note : drums.notes()) {
        if (note.of(DrumVoice.KICK)) {
          kicks.add(note.start());
        }
      }
    }
    return notes.stream().filter(note -> kicks.contains(note.start())).count()
        / (double) notes.size();
  }

  /**
   * Kick and 808 at once while nothing steps back. A log drum knocks with the kick on purpose: it
   * lands on the strong beats (common practice).
   */
  private void addKickOverlap(ScoredPart sub, List<Finding> findings) {
    List<KickOverlap> overlaps = KickOverlap.of(score, sub);
    boolean knocks = sub.part().patch().instrument().equals(KNOCKS);
    boolean ducks = sub.part().mix().duck().trigger() != Duck.Trigger.NONE;
    if (overlaps.isEmpty() || ducks || knocks) {
      return;
    }
    double longest = overlaps.stream().mapToDouble(KickOverlap::millis).max().orElse(0);
    findings.add(
        new Finding(
            FindingId.of(Check.LOWEND_KICK, sub.part().id()),
            Severity.NOTE,
            sub.part().name() + " and kick sound at once, up to " + Math.round(longest) + " ms",
            "bar " + bar(overlaps.get(0).kick()) + ", " + overlaps.size() + " times",
            "Two lows at once add up or cancel: the 808 ducks, ends before the kick or moves off it.",
            Optional.of(new Fix("duck it under the kick", LowEndEdits.duck(sub.part().id())))));
  }

  private void addRange(ScoredPart sub, List<Finding> findings) {
    Optional<ScoredNote> outside =
        sub.notes().stream().filter(note -> !LowEndRange.sub(note.key())).findFirst();
    if (outside.isEmpty()) {
      return;
    }
    int found = outside.get().key();
    boolean low = found < LowEndRange.LOWEST_USEFUL;
    String hertz = Math.round(Pitch.hertz(found)) + " Hz";
    findings.add(
        new Finding(
            FindingId.of(Check.LOWEND_RANGE, sub.part().id()).at(found),
            Severity.WARNING,
            sub.part().name()
                + " at "
                + key.pitch(found)
                + ", "
                + hertz
                + (low ? ": too low" : ": too high"),
            "bar " + bar(outside.get().start()),
            "E1 to A2 is its range, 41 to 110 Hz, and best below 82: "
                + (low ? "lower, phone speakers give nothing." : "higher, it stops being a sub."),
            Optional.of(
                new Fix(
                    "begin at E1",
                    LowEndEdits.lowest(sub.part().id(), LowEndRange.LOWEST_USEFUL)))));
  }

  /** The notes of each pattern that dip into what is left to the low end. */
  private void addClashes(ScoredPart part, LowNotes low, List<Finding> findings) {
    Map<String, List<ScoredNote>> dipping = new LinkedHashMap<>();
    for (Passage passage : part.passages()) {
      for (ScoredNote note : passage.notes()) {
        if (LowEndRange.leftFree(note.key()) && low.soundsWith(note)) {
          dipping.computeIfAbsent(passage.name(), name -> new ArrayList<>()).add(note);
        }
      }
    }
    dipping.forEach((pattern, notes) -> findings.add(clash(part, pattern, notes)));
  }

  private Finding clash(ScoredPart part, String pattern, List<ScoredNote> notes) {
    ScoredNote first = notes.get(0);
    String more = notes.size() == 1 ? "" : " and " + (notes.size() - 1) + " more";
    TreeSet<Integer> keys = new TreeSet<>();
    notes.forEach(note -> keys.add(note.key()));
    String pitches =
        keys.stream()
            .map(midi -> key.pitch(midi) + ", " + Math.round(Pitch.hertz(midi)) + " Hz")
            .collect(Collectors.joining("; "));
    int section = song.form().sectionAt(song.barLines().bar(first.start()));
    return new Finding(
        FindingId.of(Check.LOWEND_CLASH, part.part().id(), pattern).at(first.key()),
        Severity.WARNING,
        part.part().name() + " dips into the 808",
        song.form().label(section) + ", bar " + bar(first.start()) + more,
        pitches
            + (keys.size() == 1 ? ", sounds" : " sound")
            + " with the 808; lines leave everything below 150 Hz to it.",
        Optional.of(
            new Fix(
                "lift them an octave",
                new RegisterEdits(part.part().id(), pattern)
                    .liftBelow(LowEndRange.HIGHEST_LEFT_FREE + 1))));
  }

  private String bar(int tick) {
    Position at = song.barLines().position(tick);
    return at.bar() + "." + at.beat();
  }
}
