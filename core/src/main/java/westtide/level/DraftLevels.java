package westtide.level;

import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.id.PartId;
import westtide.song.mix.Master;
import westtide.song.mix.Mix;
import westtide.style.Calibration;
import westtide.style.Style;

/**
 * Sets two levels of a draft that the levels of its style cannot know, since another register or
 * rhythm stands elsewhere: the lead over the chords, 3 to 6 LU where it leads (common practice),
 * and the gain of the mix, so that the whole reads what the style aims at. Drafts heard in turn are
 * as loud as one another then, and none seems better for being louder. Everything else stays.
 */
public final class DraftLevels {
  /** The lead is moved to the nearer of these: an estimate may be a LU off, seldom more. */
  private static final double LEAST = 4.3;

  private static final double MOST = 4.7;

  /** How much of a step of the gain comes out behind glue and limiter. */
  private static final double COMES_OUT = 0.85;

  private static final int MOST_GAIN = 240;

  private final Song draft;
  private final Calibration heard;
  private final LoudnessEstimate estimate;

  private DraftLevels(Song draft, Calibration heard) {
    this.draft = draft;
    this.heard = heard;
    this.estimate = LoudnessEstimate.of(Score.of(draft));
  }

  /** A draft of a style with both levels set. */
  public static Song set(Song draft, Style style) {
    return new DraftLevels(draft, style.ensemble().heard()).set();
  }

  private Song set() {
    return draft.parts(Role.LINE).stream()
        .findFirst()
        .map(this::withLead)
        .orElseGet(() -> withGain(draft, estimate));
  }

  private Song withLead(Part lead) {
    int more = missing(lead);
    int level = Math.max(Mix.SILENT, Math.min(Mix.LOUDEST, lead.mix().level() + more));
    if (more == 0) {
      return withGain(draft, estimate);
    }
    Song moved = draft.withPart(lead.id(), part -> part.withMix(part.mix().withLevel(level)));
    double louder = (level - lead.mix().level()) / 10.0;
    return withGain(moved, estimate.with(lead.id(), louder));
  }

  /** What the lead lacks, in tenths of a dB; 0 where it or the chords are silent. */
  private int missing(Part lead) {
    Set<PartId> chords =
        draft.parts(Role.CHORDS).stream().map(Part::id).collect(Collectors.toSet());
    OptionalDouble over = estimate.over(lead.id(), chords::contains);
    if (over.isEmpty()) {
      return 0;
    }
    double stands = over.getAsDouble() + heard.lead() / 10.0;
    return (int) Math.round(10 * (Math.max(LEAST, Math.min(MOST, stands)) - stands));
  }

  private Song withGain(Song song, LoudnessEstimate all) {
    Master master = song.master();
    double loudness = all.integrated();
    if (master.target() == 0 || Double.isInfinite(loudness)) {
      return song;
    }
    double reads = loudness + (heard.mix() + master.gain()) / 10.0;
    int more = (int) Math.round(10 * (master.target() - reads) / COMES_OUT);
    int gain = Math.max(-MOST_GAIN, Math.min(MOST_GAIN, master.gain() + more));
    return song.withMaster(master.withGain(gain));
  }
}
