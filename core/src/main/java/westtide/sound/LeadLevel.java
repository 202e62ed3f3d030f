package westtide.sound;

import java.util.OptionalDouble;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.mix.Mix;

/**
 * Brings the lead of a draft to where a lead stands: 3 to 6 LU over the chords where it leads
 * (common practice). The levels of a style fit its middle draft; another register or another rhythm
 * stands elsewhere. A lead that is there already stays, so that drafts keep their own balance.
 */
final class LeadLevel {
  private static final double LEAST = 3.5;
  private static final double MOST = 5.5;

  private LeadLevel() {}

  /** The draft with its lead in place; as it is where lead or chords are silent. */
  static Song reached(Song draft) {
    return draft.parts(Role.LINE).stream()
        .findFirst()
        .map(lead -> reached(draft, lead))
        .orElse(draft);
  }

  private static Song reached(Song draft, Part lead) {
    OptionalDouble over = LeadOverChords.of(Score.of(draft), lead.id());
    if (over.isEmpty()) {
      return draft;
    }
    double wanted = Math.max(LEAST, Math.min(MOST, over.getAsDouble()));
    int more = (int) Math.round(10 * (wanted - over.getAsDouble()));
    int level = Math.max(Mix.SILENT, Math.min(Mix.LOUDEST, lead.mix().level() + more));
    return more == 0
        ? draft
        : draft.withPart(lead.id(), part -> part.withMix(part.mix().withLevel(level)));
  }
}
