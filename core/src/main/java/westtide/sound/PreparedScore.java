package westtide.sound;

import java.util.List;
import westtide.rhythm.BarLines;
import westtide.song.id.PartId;
import westtide.song.mix.Master;
import westtide.sound.desk.Channel;
import westtide.sound.desk.Strip;
import westtide.sound.desk.Track;

/**
 * A score ready for the audio thread: every note tied to the samples it is heard from.
 *
 * @param parts the channels with what they play
 * @param ticks length of the song
 * @param ticksPerSecond the tempo
 * @param lines where its bars begin, and their meter
 * @param master what is done to all drums together and to the whole mix
 */
public record PreparedScore(
    List<Prepared> parts, int ticks, double ticksPerSecond, BarLines lines, Master master) {
  /**
   * A part.
   *
   * @param id the part's id
   * @param channel the channel it is heard on
   * @param track its notes
   * @param strip its settings
   * @param drums whether it goes through the bus of the drums
   * @param lanes its lanes that have channels of their own
   * @param through those channels
   */
  public record Prepared(
      PartId id,
      Channel channel,
      Track track,
      Strip strip,
      boolean drums,
      List<Lane> lanes,
      Channel[] through) {
    /** A part with the channels of its lanes. */
    public Prepared(
        PartId id, Channel channel, Track track, Strip strip, boolean drums, List<Lane> lanes) {
      this(
          id,
          channel,
          track,
          strip,
          drums,
          List.copyOf(lanes),
          lanes.stream().map(Lane::channel).toArray(Channel[]::new));
    }

    /** A part none of whose lanes has a channel of its own. */
    public Prepared(PartId id, Channel channel, Track track, Strip strip, boolean drums) {
      this(id, channel, track, strip, drums, List.of());
    }
  }

  /**
   * A drum lane with effects of its own.
   *
   * @param channel the channel it goes through before that of its part
   * @param track its notes
   * @param strip its settings
   */
  public record Lane(Channel channel, Track track, Strip strip) {}

  /** Copies the parts. */
  public PreparedScore {
    parts = List.copyOf(parts);
  }

  /** Ticks between two clicks of the metronome. */
  public int ticksPerBeat() {
    return lines.meter().ticksPerBeat();
  }
}
