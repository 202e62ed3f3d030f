package westtide.review.heard;

import java.util.Optional;
import westtide.score.Score;
import westtide.song.Song;
import westtide.sound.Listening;
import westtide.sound.Mixdown.Watch;

/**
 * Another version of a song brought to the loudness of the one at hand, so that the two can be
 * compared: louder always sounds better. Loudness is that of the whole song by ITU-R BS.1770.
 *
 * @param song the other version, its gain moved
 * @param louder how much louder it was before, in dB; less than 0 when it was quieter
 */
public record MatchedVersion(Song song, double louder) {
  private static final int MOST = 240;

  /** Brings a version to a loudness in LUFS; empty when it was cancelled. */
  public static Optional<MatchedVersion> of(Song version, double loudness, Watch watch) {
    return Listening.of(Score.of(version), watch)
        .map(heard -> moved(version, heard.integrated() - loudness));
  }

  private static MatchedVersion moved(Song version, double louder) {
    int gain = version.master().gain() - (int) Math.round(10 * louder);
    int held = Math.max(-MOST, Math.min(MOST, gain));
    return new MatchedVersion(version.withMaster(version.master().withGain(held)), louder);
  }
}
