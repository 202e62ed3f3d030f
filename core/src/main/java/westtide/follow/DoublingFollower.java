package westtide.follow;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import westtide.rhythm.Velocity;
import westtide.song.chord.PlacedChord;
import westtide.song.line.Note;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.Transposition;
import westtide.theory.voicing.Voicing;

/** Plays what another part plays, octaves away, with members of the chords left out. */
final class DoublingFollower {
  private final FollowRule.Doubling rule;
  private final Harmony harmony;
  private final Map<Integer, Voicing> voicings = new HashMap<>();

  DoublingFollower(FollowRule.Doubling rule, Harmony harmony) {
    this.rule = rule;
    this.harmony = harmony;
  }

  List<Note> resolve(List<Note> model) {
    Transposition away = new Transposition(12 * rule.octaves(), 0);
    List<Note> out = new ArrayList<>(model.size());
    for (Note note : kept(model)) {
      int velocity = Velocity.held((long) note.velocity() + rule.velocity());
      out.add(new Note(note.start(), note.ticks(), away.key(note.key()), velocity));
    }
    return out;
  }

  private List<Note> kept(List<Note> model) {
    return rule.without().isEmpty() ? model : model.stream().filter(n -> plays(n, model)).toList();
  }

  private boolean plays(Note note, List<Note> model) {
    PlacedChord chord = harmony.at(Math.min(note.start(), harmony.ticks() - 1));
    Voicing together =
        voicings.computeIfAbsent(chord.start(), start -> together(note, model, chord));
    return rule.without().stream().noneMatch(m -> m.is(note.key(), together, chord.chord()));
  }

  /** The notes of the model that start over one chord, which tell its bass and its top. */
  private static Voicing together(Note note, List<Note> model, PlacedChord chord) {
    return new Voicing(
        model.stream().filter(n -> chord.covers(n.start()) || n == note).map(Note::key).toList());
  }
}
