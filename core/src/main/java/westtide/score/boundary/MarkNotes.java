package westtide.score.boundary;

import java.util.Optional;
import westtide.rhythm.Velocity;
import westtide.score.event.ScoredNote;
import westtide.score.event.Source;
import westtide.song.Part;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.form.Transition;
import westtide.song.form.TransitionEffect;

/** The notes of risers, crashes, sweeps and impacts. */
final class MarkNotes {
  private static final LaneId CRASH = DrumVoice.CRASH.lane();

  private MarkNotes() {}

  /** A mark in the part that holds them, heard with an instrument of its own. */
  static ScoredNote of(TransitionEffect.Sound sound, Transition what, int from, int to) {
    return new ScoredNote(
        from,
        to - from,
        sound.key(),
        velocity(what),
        from,
        0,
        0,
        Source.TRANSITION,
        Optional.empty(),
        sound.instrument());
  }

  /** A crash on a kit. */
  static ScoredNote crash(Part drums, Transition what, int from, int to) {
    return new ScoredNote(
        from,
        to - from,
        drums.sound(CRASH).note(),
        velocity(what),
        from,
        0,
        0,
        Source.TRANSITION,
        Optional.of(new ScoredNote.Struck(CRASH, 0)),
        "");
  }

  private static int velocity(Transition what) {
    return Velocity.held(Math.round(Velocity.ACCENT * what.depth() / 100.0));
  }
}
