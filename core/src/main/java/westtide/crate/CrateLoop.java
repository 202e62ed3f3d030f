package westtide.crate;

import java.util.List;
import westtide.song.found.Origin;
import westtide.song.found.Recording;
import westtide.theory.Key;

/**
 * A loop of the crate, and what is true of it. Times are seconds from the first sample.
 *
 * @param recording its samples
 * @param origin its licence card
 * @param style id of the style it was made of
 * @param begins where sound begins
 * @param downbeat the first beat of its first whole bar
 * @param tempo BPM
 * @param bars bars of four beats from the downbeat
 * @param key the key it is in
 * @param cents how far it lies above or below the tempered scale
 * @param swing percent
 * @param onsets where notes begin, those within 50 ms of each other once
 */
public record CrateLoop(
    Recording recording,
    Origin origin,
    String style,
    double begins,
    double downbeat,
    double tempo,
    int bars,
    Key key,
    int cents,
    double swing,
    List<Double> onsets) {
  /** Copies the onsets. */
  public CrateLoop {
    onsets = List.copyOf(onsets);
  }
}
