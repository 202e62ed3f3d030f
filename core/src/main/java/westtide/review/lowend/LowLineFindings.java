package westtide.review.lowend;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import westtide.review.finding.Check;
import westtide.review.finding.Finding;
import westtide.review.finding.FindingId;
import westtide.review.finding.Fix;
import westtide.review.finding.Severity;
import westtide.rhythm.Position;
import westtide.rhythm.Ticks;
import westtide.score.Passage;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.score.event.ScoredNote;
import westtide.song.Role;
import westtide.song.chord.PlacedChord;
import westtide.song.edit.line.LowEndEdits;
import westtide.song.edit.part.PartEdits;
import westtide.song.line.Note;
import westtide.song.pattern.Pattern;
import westtide.theory.Key;

/**
 * How low lines move, passage by passage: chords that do not begin on their bass, pick-ups on the
 * note they lead to, and two low parts on one note at one time. The same slip of a pattern is told
 * once.
 */
final class LowLineFindings {
  /** A fifth, in semitones: a low line that leaps further says so on purpose. */
  private static final int FIFTH = 7;

  private final Score score;
  private final Key key;
  private final List<Finding> out = new ArrayList<>();
  private final Set<FindingId> found = new HashSet<>();

  LowLineFindings(Score score) {
    this.score = score;
    this.key = score.song().brief().key();
  }

  List<Finding> take() {
    List<ScoredPart> low = new ArrayList<>(score.parts(Role.SUB));
    low.addAll(score.parts(Role.BASS));
    for (ScoredPart part : low) {
      for (Passage passage : part.passages()) {
        addDownbeats(part, passage);
        addPickUps(part, passage);
      }
    }
    for (ScoredPart bass : score.parts(Role.BASS)) {
      for (ScoredPart sub : score.parts(Role.SUB)) {
        addUnison(sub, bass);
      }
    }
    return out;
  }

  /** Share of the moves of a part past a fifth, 0 to 1; octaves are a gesture of their own. */
  static double leaps(List<ScoredNote> notes) {
    int moves = 0;
    int leaps = 0;
    for (int i = 0; i + 1 < notes.size(); i++) {
      int move = Math.abs(notes.get(i + 1).key() - notes.get(i).key());
      moves++;
      leaps += move > FIFTH && move != 12 ? 1 : 0;
    }
    return moves == 0 ? 0 : leaps / (double) moves;
  }

  private void addDownbeats(ScoredPart part, Passage passage) {
    for (ScoredNote note : passage.notes()) {
      PlacedChord chord = passage.chord(note.written());
      boolean begins = note.written() - passage.sectionStart() == chord.start();
      boolean bass = note.key() % 12 == chord.chord().bass().pitchClass();
      FindingId id = id(Check.LOWEND_DOWNBEAT, part, passage, note);
      if (begins && !bass && written(passage) && found.add(id)) {
        out.add(
            new Finding(
                id,
                Severity.WARNING,
                part.part().name() + " begins " + chord.chord() + " on " + key.pitch(note.key()),
                at(note),
                "The first note under a chord says which chord it is; it is usually the bass.",
                Optional.of(
                    new Fix(
                        "put it on " + chord.chord().bass(),
                        LowEndEdits.bass(
                            part.part().id(),
                            passage.name(),
                            note.source().index(),
                            chord.chord().bass().pitchClass())))));
      }
    }
  }

  private void addPickUps(ScoredPart part, Passage passage) {
    List<ScoredNote> notes = passage.notes();
    for (int i = 0; i + 1 < notes.size(); i++) {
      ScoredNote note = notes.get(i);
      ScoredNote next = notes.get(i + 1);
      boolean leads =
          next.written() - note.written() <= 2 * Ticks.PER_STEP
              && passage.chord(next.written()).start() == next.written() - passage.sectionStart()
              && passage.chord(note.written()) != passage.chord(next.written());
      boolean other =
          passage.chord(note.written()).chord().bass().pitchClass()
              != passage.chord(next.written()).chord().bass().pitchClass();
      FindingId id = id(Check.LOWEND_PICKUP, part, passage, note);
      if (leads && other && note.key() == next.key() && written(passage) && found.add(id)) {
        out.add(
            new Finding(
                id,
                Severity.NOTE,
                part.part().name() + " leads into " + key.pitch(next.key()) + " from itself",
                at(note),
                "A pick-up moves into the next bass; on the same note it only comes early.",
                Optional.of(
                    new Fix(
                        "leave it out",
                        LowEndEdits.without(
                            part.part().id(), passage.name(), note.source().index())))));
      }
    }
  }

  private void addUnison(ScoredPart sub, ScoredPart bass) {
    int same = 0;
    Optional<ScoredNote> first = Optional.empty();
    for (ScoredNote note : bass.notes()) {
      boolean together =
          sub.between(note.start() - Ticks.PER_QUARTER * 16, note.end()).stream()
              .anyMatch(s -> s.key() == note.key() && s.end() > note.start());
      if (together) {
        same++;
        first = first.isEmpty() ? Optional.of(note) : first;
      }
    }
    if (first.isPresent() && same * 4 > bass.notes().size()) {
      out.add(
          new Finding(
              FindingId.of(Check.LOWEND_UNISON, sub.part().id()).at(bass.part().id()),
              Severity.NOTE,
              bass.part().name() + " and " + sub.part().name() + " on one note",
              at(first.get()) + ", " + same + " times",
              "Two parts on one low note add up or cancel; one of them, or an octave between.",
              Optional.of(
                  new Fix(
                      bass.part().name() + " an octave up",
                      new PartEdits(bass.part().id()).transpose(12)))));
    }
  }

  private static FindingId id(Check check, ScoredPart part, Passage passage, ScoredNote note) {
    FindingId id = FindingId.of(check, part.part().id(), passage.name());
    Optional<Note> written = passage.source(note);
    return written.isPresent() ? id.at(written.get()) : id.at(note.source().index());
  }

  private static boolean written(Passage passage) {
    return !(passage.pattern() instanceof Pattern.Following);
  }

  private String at(ScoredNote note) {
    Position at = score.song().barLines().position(note.start());
    return "bar " + at.bar() + "." + at.beat();
  }
}
