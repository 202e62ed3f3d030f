package westtide.sound;

import java.util.List;
import westtide.rhythm.BarLines;
import westtide.song.id.PartId;
import westtide.sound.desk.Channel;
import westtide.sound.desk.Strip;
import westtide.sound.desk.Track;

/**
 * A score ready for the audio thread: every note tied to the samples it is heard from.
 *
 * @param parts the channels with what they play
 * @param kicks ticks of the kick hits, rising
 * @param ticks length of the song
 * @param ticksPerSecond the tempo
 * @param lines where its bars begin, and their meter
 */
public record PreparedScore(
    List<Prepared> parts, int[] kicks, int ticks, double ticksPerSecond, BarLines lines) {
  /**
   * A part.
   *
   * @param id the part's id
   * @param channel the channel it is heard on
   * @param track its notes
   * @param strip its settings
   */
  public record Prepared(PartId id, Channel channel, Track track, Strip strip) {}

  /** Copies the parts. */
  public PreparedScore {
    parts = List.copyOf(parts);
  }

  /** Ticks between two clicks of the metronome. */
  public int ticksPerBeat() {
    return lines.meter().ticksPerBeat();
  }
}
