package westtide.drafts;

import java.util.List;
import westtide.score.ScoredPart;
import westtide.score.event.ScoredNote;
import westtide.song.Role;
import westtide.song.drum.DrumVoice;
import westtide.song.form.Transition;

/** Whether a mark between sections is heard in a draft. */
final class HeardMarks {
  private static final int BEAT = 960;
  private static final int EARLY = 120;

  private HeardMarks() {}

  static boolean heard(HeardDraft draft, int place, Transition mark) {
    int at = draft.song().form().startTick(place, draft.song().brief().meter());
    int before = at - mark.beats() * BEAT;
    return switch (mark.kind()) {
      case CRASH -> crash(draft, at) || marks(draft, at - EARLY, at + EARLY) > 0;
      case IMPACT, SWEEP -> marks(draft, at - EARLY, at + EARLY) > 0;
      case REVERSE, RISER -> marks(draft, before - EARLY, at) > 0;
      case DRUMS_OUT -> drums(draft, before, at - EARLY) == 0;
      case STOP -> all(draft, before, at - EARLY) == 0;
      case GAP -> drums(draft, before, at - EARLY) == 0 && role(draft, Role.SUB, before, at) == 0;
      case KICKLESS ->
          draft.drums().stream()
              .noneMatch(
                  n -> n.of(DrumVoice.KICK) && n.start() >= before && n.start() < at - EARLY);
      case FILL, TOM_FILL, HAT_FILL, SNARE_BUILD, COUNT -> drums(draft, before, at) >= 2;
      case BASS_RUN -> role(draft, Role.BASS, before, at) + role(draft, Role.SUB, before, at) >= 3;
      case LINE_RUN -> role(draft, Role.LINE, before, at) >= 3;
      case RAMP -> role(draft, Role.SUB, before, at) >= 4;
      case SNARE_STOP -> stopsOnItsSnare(draft, at);
      case HOLD, LATE, TAIL, OPEN, CLOSE, FADE -> true;
    };
  }

  private static boolean crash(HeardDraft draft, int at) {
    return draft.drums().stream()
        .anyMatch(n -> n.of(DrumVoice.CRASH) && Math.abs(n.start() - at) <= EARLY);
  }

  /** For half a beat after the first snare nothing else begins. */
  private static boolean stopsOnItsSnare(HeardDraft draft, int at) {
    int snare =
        draft.drums().stream()
            .filter(n -> n.of(DrumVoice.SNARE) || n.of(DrumVoice.CLAP))
            .mapToInt(ScoredNote::start)
            .filter(start -> start >= at)
            .min()
            .orElse(at);
    return all(draft, snare + EARLY / 2, snare + BEAT / 2) == 0;
  }

  private static long marks(HeardDraft draft, int from, int to) {
    return role(draft, Role.MARKS, from, to);
  }

  private static long drums(HeardDraft draft, int from, int to) {
    return role(draft, Role.DRUMS, from, to);
  }

  private static long all(HeardDraft draft, int from, int to) {
    return List.of(Role.CHORDS, Role.LINE, Role.BASS, Role.SUB, Role.DRUMS).stream()
        .mapToLong(role -> role(draft, role, from, to))
        .sum();
  }

  private static long role(HeardDraft draft, Role role, int from, int to) {
    long out = 0;
    for (ScoredPart part : draft.score().parts(role)) {
      out += part.notes().stream().filter(n -> n.start() >= from && n.start() < to).count();
    }
    return out;
  }
}
