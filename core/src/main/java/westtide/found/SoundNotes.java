package westtide.found;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.UnaryOperator;
import westtide.song.found.Origin;

/**
 * What a sound file says of itself, before anything is guessed. Frames count from the file's first.
 *
 * @param origin title, author and licence, where it names them
 * @param tempo BPM; empty when it names none
 * @param beats how many it says there are; empty when it names none
 * @param rootKey the MIDI note it says it sounds at; empty when it names none
 * @param loop the stretch it says is repeated
 * @param cues frames it marks, in order
 */
public record SoundNotes(
    Origin origin,
    Optional<Double> tempo,
    OptionalInt beats,
    OptionalInt rootKey,
    Optional<Loop> loop,
    List<Integer> cues) {
  /** It says nothing. */
  public static final SoundNotes NONE =
      new SoundNotes(
          Origin.UNKNOWN,
          Optional.empty(),
          OptionalInt.empty(),
          OptionalInt.empty(),
          Optional.empty(),
          List.of());

  /**
   * A stretch that is repeated.
   *
   * @param first its first frame
   * @param last its last frame, which still belongs to it
   */
  public record Loop(int first, int last) {}

  /** Copies the cues. */
  public SoundNotes {
    cues = cues.stream().sorted().distinct().toList();
  }

  /** The same with another origin. */
  public SoundNotes withOrigin(UnaryOperator<Origin> change) {
    return new SoundNotes(change.apply(origin), tempo, beats, rootKey, loop, cues);
  }

  /** The same naming a tempo; one that none has is not taken. */
  public SoundNotes withTempo(double bpm) {
    return bpm < 20 || bpm > 400
        ? this
        : new SoundNotes(origin, Optional.of(bpm), beats, rootKey, loop, cues);
  }

  /** The same naming so many beats; a count that none has is not taken. */
  public SoundNotes withBeats(int count) {
    return count < 1 || count > 4096
        ? this
        : new SoundNotes(origin, tempo, OptionalInt.of(count), rootKey, loop, cues);
  }

  /** The same naming a note it sounds at; one out of range is not taken. */
  public SoundNotes withRootKey(int midi) {
    return midi < 1 || midi > 127
        ? this
        : new SoundNotes(origin, tempo, beats, OptionalInt.of(midi), loop, cues);
  }

  /** The same naming a stretch that repeats; one that is none is not taken. */
  public SoundNotes withLoop(int first, int last) {
    return first < 0 || last <= first
        ? this
        : new SoundNotes(origin, tempo, beats, rootKey, Optional.of(new Loop(first, last)), cues);
  }

  /** The same with other marks. */
  public SoundNotes withCues(List<Integer> frames) {
    return new SoundNotes(origin, tempo, beats, rootKey, loop, frames);
  }
}
