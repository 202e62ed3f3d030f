package westtide.file.midi;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import westtide.file.disk.UnusableFileException;
import westtide.rhythm.Meter;
import westtide.rhythm.Quantise;
import westtide.rhythm.StepGrid;
import westtide.rhythm.Swing;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.drum.PlayedHit;
import westtide.song.drum.PlayedLanes;
import westtide.song.pattern.Pattern;

/**
 * A groove read from a Standard MIDI File: the notes of channel 10, or of all channels where that
 * one has none, on the drums of the General MIDI percussion map. Hits keep how far they are from
 * the step they are nearest to.
 *
 * @param groove what was read from the first bar with a hit on, 1 to 16 bars
 * @param unknown notes that are no drum of ours, which were left out
 * @param cut whether the file went on after 16 bars
 */
public record MidiGroove(Pattern.Drums groove, List<Integer> unknown, boolean cut) {
  private static final int DRUM_CHANNEL = 9;
  private static final int MOST_BARS = 16;

  /**
   * Reads a file.
   *
   * @param swing the swing the hits are measured against
   * @throws UnusableFileException when it is no MIDI file, or has no drum in it
   */
  public static MidiGroove read(Path path, Meter meter, Swing swing) throws UnusableFileException {
    List<MidiReading.Struck> all = MidiReading.notes(path);
    boolean drums = all.stream().anyMatch(note -> note.channel() == DRUM_CHANNEL);
    List<PlayedHit> hits = new ArrayList<>();
    TreeSet<Integer> unknown = new TreeSet<>();
    for (MidiReading.Struck note : all) {
      if (!drums || note.channel() == DRUM_CHANNEL) {
        hit(note).ifPresentOrElse(hits::add, () -> unknown.add(note.key()));
      }
    }
    if (hits.isEmpty()) {
      throw new UnusableFileException(
          path.getFileName() + " has no drum notes; a groove needs some of 35 to 82 on channel 10",
          null);
    }
    return groove(hits, new ArrayList<>(unknown), meter, swing);
  }

  /** The toms of the percussion map are one drum at several pitches. */
  private static Optional<PlayedHit> hit(MidiReading.Struck note) {
    return LaneId.ofNote(note.key())
        .map(
            lane -> {
              boolean tom = lane.voice() == DrumVoice.TOM;
              return new PlayedHit(
                  tom ? DrumVoice.TOM.lane() : lane,
                  note.tick(),
                  note.velocity(),
                  tom ? note.key() - DrumVoice.TOM.note() : 0);
            });
  }

  private static MidiGroove groove(
      List<PlayedHit> hits, List<Integer> unknown, Meter meter, Swing swing) {
    Quantise quantise = new Quantise(StepGrid.SIXTEENTHS, swing, 0);
    long first = hits.stream().mapToLong(h -> quantise.place(h.tick()).step()).min().orElse(0);
    long silent = Math.max(0, first) / meter.stepsPerBar() * meter.ticksPerBar();
    if (silent > 0) {
      return groove(hits.stream().map(h -> h.earlierBy(silent)).toList(), unknown, meter, swing);
    }
    long last = hits.stream().mapToLong(h -> quantise.place(h.tick()).step()).max().orElse(0);
    int needed = (int) (last / meter.stepsPerBar()) + 1;
    int bars = Math.min(MOST_BARS, needed);
    long end = (long) bars * meter.stepsPerBar();
    List<PlayedHit> inside =
        hits.stream().filter(h -> quantise.place(h.tick()).step() < end).toList();
    PlayedLanes lanes = new PlayedLanes(quantise, bars * meter.stepsPerBar());
    return new MidiGroove(new Pattern.Drums(bars, lanes.of(inside)), unknown, needed > bars);
  }
}
