package westtide.review;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import westtide.rhythm.Position;
import westtide.score.Score;
import westtide.score.ScoredNote;
import westtide.score.ScoredPart;
import westtide.song.Note;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.edit.LineEdits;
import westtide.song.edit.LowEndEdits;
import westtide.theory.Key;
import westtide.theory.Pitch;

/** The 808 against its useful range, the kick, and the lines above it. */
final class LowEndSoundings {
  private final Song song;
  private final Score score;
  private final Key key;

  LowEndSoundings(Score score) {
    this.score = score;
    this.song = score.song();
    this.key = song.brief().key();
  }

  StageSoundings take() {
    Optional<ScoredPart> sub = score.part(Role.SUB);
    if (sub.isEmpty() || sub.get().notes().isEmpty()) {
      return new StageSoundings(List.of(), List.of());
    }
    List<ScoredNote> notes = sub.get().notes();
    List<Finding> findings = new ArrayList<>();
    addRange(sub.get(), findings);
    score.part(Role.LEAD).ifPresent(lead -> addClash(lead, notes, findings));
    return new StageSoundings(measures(notes), findings);
  }

  private List<Measure> measures(List<ScoredNote> notes) {
    int low = notes.stream().mapToInt(ScoredNote::key).min().orElseThrow();
    int high = notes.stream().mapToInt(ScoredNote::key).max().orElseThrow();
    double together = kickShare(notes);
    double sounding = notes.stream().mapToInt(ScoredNote::ticks).sum() / (double) score.ticks();
    return List.of(
        new Measure(
            "808 lowest, Hz",
            key.pitch(low) + " · " + Math.round(Pitch.hertz(low)),
            low,
            20,
            52,
            new westtide.style.Span(
                LowEndRange.LOWEST_USEFUL, LowEndRange.HIGHEST_USEFUL, LowEndRange.LOWEST_USEFUL)),
        new Measure(
            "808 highest, Hz",
            key.pitch(high) + " · " + Math.round(Pitch.hertz(high)),
            high,
            20,
            52,
            new westtide.style.Span(
                LowEndRange.LOWEST_USEFUL, LowEndRange.HIGHEST_USEFUL, LowEndRange.LOWEST_USEFUL)),
        Measure.of("808 notes on a kick", Math.round(100 * together) + " %", together, 1, 0, 1),
        Measure.of("808 sounds for", Math.round(100 * sounding) + " %", sounding, 1, 0.3, 0.8));
  }

  private double kickShare(List<ScoredNote> notes) {
    Set<Integer> kicks = new HashSet<>();
    score
        .part(Role.DRUMS)
        .ifPresent(
            drums ->
                drums.notes().stream()
                    .filter(note -> note.of(DrumVoice.KICK))
                    .forEach(note -> kicks.add(note.start())));
    return notes.stream().filter(note -> kicks.contains(note.start())).count()
        / (double) notes.size();
  }

  private void addRange(ScoredPart sub, List<Finding> findings) {
    Optional<ScoredNote> outside =
        sub.notes().stream().filter(note -> !LowEndRange.useful(note.key())).findFirst();
    if (outside.isEmpty()) {
      return;
    }
    int found = outside.get().key();
    boolean low = found < LowEndRange.LOWEST_USEFUL;
    String hertz = Math.round(Pitch.hertz(found)) + " Hz";
    findings.add(
        new Finding(
            "lowend.range." + found,
            Weight.WARNING,
            "808 at " + key.pitch(found) + ", " + hertz + (low ? ": too low" : ": too high"),
            "bar " + bar(outside.get().start()),
            "Useful is E1 to E2, 41 to 82 Hz: "
                + (low ? "below, small speakers give nothing." : "above, it stops being a sub."),
            Optional.of(
                new Fix(
                    "begin at E1",
                    LowEndEdits.lowest(sub.part().id(), LowEndRange.LOWEST_USEFUL)))));
  }

  private void addClash(ScoredPart lead, List<ScoredNote> notes, List<Finding> findings) {
    Optional<ScoredNote> clash =
        lead.notes().stream()
            .filter(note -> LowEndRange.leftFree(note.key()) && sounds(notes, note))
            .findFirst();
    if (clash.isEmpty()) {
      return;
    }
    ScoredNote note = clash.get();
    findings.add(
        new Finding(
            "lowend.clash." + lead.part().id() + "." + note.key(),
            Weight.WARNING,
            lead.part().name() + " dips into the 808",
            "bar " + bar(note.start()),
            key.pitch(note.key())
                + " is "
                + Math.round(Pitch.hertz(note.key()))
                + " Hz while the 808 sounds; lines leave everything below 150 Hz to it.",
            Optional.of(
                new Fix(
                    "lift it an octave",
                    new LineEdits(lead.part().id(), lead.part().variants().get(0).name())
                        .each("Lift low notes an octave", LowEndSoundings::lifted)))));
  }

  private static Note lifted(Note note) {
    return LowEndRange.leftFree(note.key()) ? note.withKey(note.key() + 12) : note;
  }

  private static boolean sounds(List<ScoredNote> notes, ScoredNote other) {
    return notes.stream().anyMatch(n -> n.start() < other.end() && other.start() < n.end());
  }

  private String bar(int tick) {
    Position at = Position.of(tick, song.brief().meter());
    return at.bar() + "." + at.beat();
  }
}
