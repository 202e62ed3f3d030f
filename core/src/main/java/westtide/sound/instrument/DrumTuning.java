package westtide.sound.instrument;

import java.util.Optional;
import westtide.song.Part;
import westtide.song.drum.LaneId;
import westtide.song.drum.LaneSound;
import westtide.song.mix.Patch;
import westtide.theory.Pitch;

/**
 * The fundamental a drum of a part is tuned to, as its lane is heard in the preview.
 *
 * @param hertz its frequency
 */
public record DrumTuning(double hertz) {
  private static final InstrumentBook BOOK = InstrumentBook.shipped();
  private static final String TUNE = "tune";
  private static final double CENTS = 1200;
  private static final int A4 = 69;
  private static final int OCTAVE = 12;

  /** The tuning of a lane; empty where its instrument has none. */
  public static Optional<DrumTuning> of(Part drums, LaneId lane) {
    LaneSound sound = drums.sound(lane);
    Kit kit = Kit.find(drums.patch().instrument()).orElse(Kit.SHIPPED.get(0));
    Patch patch =
        sound.instrument().isEmpty()
            ? kit.piece(lane.voice()).patch()
            : Patch.of(sound.instrument());
    return BOOK.find(patch.instrument())
        .map(instrument -> instrument.values(patch.settings()))
        .filter(values -> values.containsKey(TUNE))
        .map(values -> values.get(TUNE))
        .map(tune -> new DrumTuning(tune * Math.pow(2, sound.cents() / CENTS)));
  }

  /** The height of the fundamental in MIDI notes, between them where it is between them. */
  public double midi() {
    return A4 + OCTAVE * Math.log(hertz / Pitch.hertz(A4)) / Math.log(2);
  }

  /** The MIDI note nearest to it. */
  public int nearest() {
    return (int) Math.round(midi());
  }
}
