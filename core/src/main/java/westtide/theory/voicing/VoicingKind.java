package westtide.theory.voicing;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import westtide.theory.Chord;
import westtide.theory.ChordQuality;
import westtide.theory.Interval;
import westtide.theory.Pitch;

/**
 * How the notes of a chord are spread above its bass. The kinds and their names are common
 * practice.
 */
public enum VoicingKind {
  CLOSE("close", "All notes as near together as they go."),
  OPEN("open", "Every second note an octave up: wide and calm."),
  DROP_2("drop 2", "The second note from the top an octave down, as guitars stand."),
  SHELL("shell with ninth", "Third, seventh and ninth only: colour without weight."),
  TWO_NOTES("two-note stack", "Root and fifth: dark, neither major nor minor."),
  OCTAVE_STACK("octave stack", "Root and fifth doubled in octaves: dark and large."),
  ROOT_DOUBLED("root doubled", "The root an octave up, the chord above it: firm.");

  private final String title;
  private final String words;

  VoicingKind(String title, String words) {
    this.title = title;
    this.words = words;
  }

  /** What it does, one sentence. */
  public String words() {
    return words;
  }

  /**
   * The pitch classes of the hand in root position. A chord of four or more notes leaves its bass
   * to the bass; a triad keeps it for body.
   */
  List<Integer> hand(Chord chord) {
    return switch (this) {
      case SHELL -> shell(chord);
      case TWO_NOTES, OCTAVE_STACK -> rootAndFifth(chord);
      case ROOT_DOUBLED -> chord.pitchClasses();
      default -> withoutBass(chord);
    };
  }

  /**
   * The hand standing on its lowest note, given in the inversion that begins with {@code turns}.
   */
  List<Integer> stand(int lowest, List<Integer> hand, int turns) {
    List<Integer> classes = new ArrayList<>(hand);
    Collections.rotate(classes, -turns);
    return switch (this) {
      case OPEN -> opened(close(lowest, hand));
      case DROP_2 -> dropped(close(lowest, hand));
      case OCTAVE_STACK -> inOctaves(close(lowest, hand));
      case SHELL, ROOT_DOUBLED -> upwards(lowest, classes);
      default -> close(lowest, hand);
    };
  }

  /**
   * How many inversions the kind allows for a hand. A shell stands on its third or its seventh,
   * never on the ninth, which would rub against the root. An octave stack moves as one shape.
   */
  int inversions(List<Integer> hand) {
    return switch (this) {
      case ROOT_DOUBLED, OCTAVE_STACK -> 1;
      case SHELL -> Math.min(2, hand.size());
      default -> hand.size();
    };
  }

  /** Semitones by which a wide kind may pass the top of its range. */
  int reach() {
    return switch (this) {
      case OPEN, OCTAVE_STACK, ROOT_DOUBLED -> 9;
      case SHELL -> 5;
      default -> 0;
    };
  }

  /**
   * Semitones by which a kind may stand under the bottom of its range, so that what moves as one
   * shape never has to jump an octave to stay inside.
   */
  int depth() {
    return this == OCTAVE_STACK ? 6 : 0;
  }

  private static List<Integer> withoutBass(Chord chord) {
    List<Integer> classes = new ArrayList<>(chord.pitchClasses());
    if (classes.size() > 3) {
      classes.remove(Integer.valueOf(chord.bass().pitchClass()));
    }
    return classes;
  }

  private static List<Integer> shell(Chord chord) {
    ChordQuality quality = chord.quality();
    List<Interval> wanted =
        Stream.of(
                first(quality, 3, 4, 2),
                alteredFifth(quality),
                first(quality, 7, 6, 5),
                first(quality, 9, 11, 13))
            .flatMap(Optional::stream)
            .distinct()
            .toList();
    List<Interval> tones = wanted.size() < 2 ? quality.tones() : wanted;
    return tones.stream().map(tone -> chord.root().plus(tone).pitchClass()).distinct().toList();
  }

  /** A fifth that is not the plain one colours the chord. */
  private static Optional<Interval> alteredFifth(ChordQuality quality) {
    return quality.tone(5).filter(fifth -> fifth.semitones() != 7);
  }

  private static Optional<Interval> first(ChordQuality quality, int... degrees) {
    return java.util.Arrays.stream(degrees)
        .mapToObj(degree -> quality.tone(degree).orElse(null))
        .filter(Objects::nonNull)
        .findFirst();
  }

  /** Root and fifth; a suspended chord keeps the tone it is suspended on. */
  private static List<Integer> rootAndFifth(Chord chord) {
    ChordQuality quality = chord.quality();
    int root = chord.root().pitchClass();
    List<Integer> out = new ArrayList<>(List.of(root));
    if (quality.tone(3).isEmpty()) {
      first(quality, 2, 4).ifPresent(tone -> out.add((root + tone.semitones()) % 12));
    }
    out.add((root + quality.tone(5).map(Interval::semitones).orElse(7)) % 12);
    return out;
  }

  /** The tones of a chord this kind does not play, as degrees above the root. */
  public List<Interval> leavesOut(Chord chord) {
    List<Integer> played = new ArrayList<>(hand(chord));
    played.add(chord.bass().pitchClass());
    return chord.quality().tones().stream()
        .filter(tone -> !played.contains((chord.root().pitchClass() + tone.semitones()) % 12))
        .toList();
  }

  private static List<Integer> close(int lowest, List<Integer> hand) {
    return new ArrayList<>(
        hand.stream().map(pitchClass -> Pitch.atOrAbove(lowest, pitchClass)).sorted().toList());
  }

  /** Every class above the one before it, in their order. */
  private static List<Integer> upwards(int lowest, List<Integer> classes) {
    List<Integer> out = new ArrayList<>();
    int floor = lowest;
    for (int pitchClass : classes) {
      int key = Pitch.atOrAbove(floor, pitchClass);
      out.add(key);
      floor = key + 1;
    }
    return out;
  }

  private static List<Integer> opened(List<Integer> close) {
    for (int i = 1; i < close.size(); i += 2) {
      close.set(i, close.get(i) + 12);
    }
    return close.stream().sorted().toList();
  }

  private static List<Integer> dropped(List<Integer> close) {
    int second = close.size() - 2;
    if (second > 0) {
      close.set(second, close.get(second) - 12);
    }
    return close.stream().sorted().toList();
  }

  private static List<Integer> inOctaves(List<Integer> close) {
    List<Integer> out = new ArrayList<>(close);
    close.forEach(key -> out.add(key + 12));
    return out;
  }

  @Override
  public String toString() {
    return title;
  }
}
