package westtide.song.found;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import westtide.rhythm.Tempo;
import westtide.rhythm.Ticks;
import westtide.theory.Key;

/**
 * A sound that was brought in as a part of a song: a recording, which is never changed, and what is
 * known and decided of it. Its pieces lie between marks and are played as notes: the whole loop on
 * the key {@value #WHOLE_KEY}, its pieces from {@value #FIRST_KEY} (C2) up in order, and pieces
 * played otherwise from {@value #LAST_KEY} down.
 *
 * @param recording its samples
 * @param origin where it is from
 * @param downbeat the sample its first whole bar begins with
 * @param tempo its own tempo
 * @param bars how many bars of four beats it has, 1 to 64
 * @param key the key it is in, where it has one
 * @param cents how far it lies above or below the tempered scale
 * @param marks samples where pieces begin, the first at the downbeat, in order; at most {@value
 *     #MOST_PIECES}
 * @param takes pieces played otherwise
 * @param fit how it is made to fit
 * @param chokes whether a piece ends the one before
 */
public record FoundSound(
    Recording recording,
    Origin origin,
    int downbeat,
    Tempo tempo,
    int bars,
    Optional<Key> key,
    int cents,
    List<Integer> marks,
    List<Take> takes,
    Fit fit,
    boolean chokes) {
  /** The MIDI note the whole loop is played on. */
  public static final int WHOLE_KEY = 35;

  /** The MIDI note of the first piece, C2. */
  public static final int FIRST_KEY = 36;

  /** The MIDI note of the first take. */
  public static final int LAST_KEY = 127;

  /** The most pieces a loop is cut into. */
  public static final int MOST_PIECES = 52;

  /** The most takes. */
  public static final int MOST_TAKES = 32;

  private static final double BEATS_A_BAR = 4;

  /** Sorts the marks and checks everything. */
  public FoundSound {
    int end = recording.frames();
    if (downbeat < 0 || downbeat >= end) {
      throw new IllegalArgumentException(
          "a loop begins within its sound, but at sample " + downbeat + " of " + end);
    }
    if (bars < 1 || bars > 64) {
      throw new IllegalArgumentException("a loop has 1 to 64 bars, but had " + bars);
    }
    int first = downbeat;
    List<Integer> sorted = new ArrayList<>();
    sorted.add(first);
    marks.stream()
        .filter(mark -> mark > first && mark < end)
        .sorted()
        .distinct()
        .limit(MOST_PIECES - 1L)
        .forEach(sorted::add);
    marks = List.copyOf(sorted);
    takes = List.copyOf(takes);
    if (takes.size() > MOST_TAKES) {
      throw new IllegalArgumentException(
          "a loop has at most " + MOST_TAKES + " pieces played otherwise");
    }
  }

  /** How long it is at its own tempo, in samples of the recording. */
  public double frames() {
    return bars * BEATS_A_BAR * tempo.millis(Ticks.PER_QUARTER) / 1000 * recording.rate();
  }

  /** The sample after its last, inside the recording. */
  public int end() {
    return (int) Math.min(recording.frames(), Math.round(downbeat + frames()));
  }

  /** How many pieces it has. */
  public int pieces() {
    return marks.size();
  }

  /** Where a piece begins in the recording; {@link Take#WHOLE} begins with the first. */
  public int begins(int piece) {
    return piece == Take.WHOLE ? downbeat : marks.get(Math.min(piece, marks.size() - 1));
  }

  /** The sample after a piece's last. */
  public int ends(int piece) {
    boolean last = piece == Take.WHOLE || piece >= marks.size() - 1;
    return last ? Math.max(end(), begins(piece) + 1) : marks.get(piece + 1);
  }

  /** Where a piece begins, in beats from the downbeat at its own tempo. */
  public double beat(int piece) {
    double seconds = (begins(piece) - downbeat) / (double) recording.rate();
    return seconds * tempo.bpm() / 60;
  }

  /** What a MIDI note plays; nothing on keys that play none. */
  public Optional<Take> take(int key) {
    if (key == WHOLE_KEY) {
      return Optional.of(new Take(Take.WHOLE, false, 0));
    }
    if (key >= FIRST_KEY && key < FIRST_KEY + pieces()) {
      return Optional.of(new Take(key - FIRST_KEY, false, 0));
    }
    int place = LAST_KEY - key;
    return place >= 0 && place < takes.size() ? Optional.of(takes.get(place)) : Optional.empty();
  }

  /** The MIDI note that plays that, if one does. */
  public Optional<Integer> key(Take take) {
    if (!take.reversed() && take.semitones() == 0) {
      boolean there = take.piece() < pieces();
      return there ? Optional.of(FIRST_KEY + take.piece()) : Optional.empty();
    }
    int place = takes.indexOf(take);
    return place < 0 ? Optional.empty() : Optional.of(LAST_KEY - place);
  }

  /** The same with a take among its takes. */
  public FoundSound with(Take take) {
    if (key(take).isPresent()) {
      return this;
    }
    List<Take> more = new ArrayList<>(takes);
    more.add(take);
    return with(copy -> copy.takes = more);
  }

  /** The tempo it is counted at. */
  public double countedBpm() {
    return tempo.bpm() * fit.feel().factor();
  }

  /** How many bars of the song it lasts, counted as it is fitted. */
  public double countedBars() {
    return bars * fit.feel().factor();
  }

  /** How many times as long it is in a song of that tempo. */
  public double times(Tempo song) {
    return fit.way() == Fit.Way.SLICES ? 1 : countedBpm() / song.bpm();
  }

  /** How much higher it sounds in a song of that tempo, as a ratio. */
  public double pitch(Tempo song) {
    double moved = Math.pow(2, (fit.semitones() + fit.cents() / 100.0) / 12);
    return fit.way() == Fit.Way.REPITCH ? moved / times(song) : moved;
  }

  /**
   * How many times as long it is stretched, besides being read faster or slower; 1 is not at all.
   */
  public double stretch(Tempo song) {
    double all = fit.way() == Fit.Way.SLICES ? 1 : times(song) * pitch(song);
    return Math.abs(all - 1) < 1e-6 ? 1 : all;
  }

  /** How much higher it sounds, in semitones. */
  public double semitones(Tempo song) {
    return 12 * Math.log(pitch(song)) / Math.log(2);
  }

  /** The same with another recording of the same sound, such as one that was missing. */
  public FoundSound withRecording(Recording other) {
    return with(copy -> copy.recording = other);
  }

  /** The same from elsewhere. */
  public FoundSound withOrigin(Origin other) {
    return with(copy -> copy.origin = other);
  }

  /** The same beginning at another sample; its marks go along. */
  public FoundSound withDownbeat(int sample) {
    int held = Math.max(0, Math.min(recording.frames() - 1, sample));
    return with(copy -> copy.downbeat = held);
  }

  /** The same at another tempo of its own and with other bars. */
  public FoundSound withTempo(Tempo other, int otherBars) {
    return with(
        copy -> {
          copy.tempo = other;
          copy.bars = otherBars;
        });
  }

  /** The same in another key. */
  public FoundSound withKey(Optional<Key> other) {
    return with(copy -> copy.key = other);
  }

  /** The same cut elsewhere. */
  public FoundSound withMarks(List<Integer> other) {
    return with(copy -> copy.marks = other);
  }

  /** The same fitted otherwise. */
  public FoundSound withFit(Fit other) {
    return with(copy -> copy.fit = other);
  }

  /** The same with pieces that end each other, or ring. */
  public FoundSound withChokes(boolean ends) {
    return with(copy -> copy.chokes = ends);
  }

  private FoundSound with(Consumer<Copy> change) {
    Copy copy = new Copy(this);
    change.accept(copy);
    return copy.made();
  }

  private static final class Copy {
    private Recording recording;
    private Origin origin;
    private int downbeat;
    private Tempo tempo;
    private int bars;
    private Optional<Key> key;
    private final int cents;
    private List<Integer> marks;
    private List<Take> takes;
    private Fit fit;
    private boolean chokes;

    Copy(FoundSound from) {
      recording = from.recording;
      origin = from.origin;
      downbeat = from.downbeat;
      tempo = from.tempo;
      bars = from.bars;
      key = from.key;
      cents = from.cents;
      marks = from.marks;
      takes = from.takes;
      fit = from.fit;
      chokes = from.chokes;
    }

    FoundSound made() {
      return new FoundSound(
          recording, origin, downbeat, tempo, bars, key, cents, marks, takes, fit, chokes);
    }
  }
}
