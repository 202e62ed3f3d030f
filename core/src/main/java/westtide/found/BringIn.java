package westtide.found;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import westtide.rhythm.Swing;
import westtide.rhythm.Tempo;
import westtide.song.HintSound;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.chord.ChordLine;
import westtide.song.chord.ChordSpan;
import westtide.song.chord.Progression;
import westtide.song.edit.Edit;
import westtide.song.edit.part.ChordEdits;
import westtide.song.edit.part.PartEdits;
import westtide.song.form.Cell;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.song.found.Fit;
import westtide.song.found.FoundSound;
import westtide.song.found.LoopPatterns;
import westtide.song.found.Origin;
import westtide.song.found.Recording;
import westtide.song.id.PartId;

/** Makes a part of a sound that was found, cut where something begins and fitted the usual way. */
public final class BringIn {
  /** Beyond that many semitones a loop that is only played faster is a different loop. */
  public static final double MOST_SEMITONES = 3.6;

  private static final double TONAL = 0.3;
  private static final int NEAR_ZERO_MILLIS = 3;

  private BringIn() {}

  /**
   * The part.
   *
   * @param id its id in the song
   * @param recording the sound
   * @param facts what was found of it
   * @param origin where it is from
   * @param song the song it comes into
   */
  public static Part part(
      PartId id, Recording recording, FoundFacts facts, Origin origin, Song song) {
    FoundSound sound = sound(recording, facts, origin, song.brief().tempo());
    return Part.of(id, name(recording), sound, LoopPatterns.of(sound, song.brief().meter()));
  }

  private static String name(Recording recording) {
    String name = recording.name().strip();
    return name.isEmpty() ? "Loop" : name.length() > 40 ? name.substring(0, 40) : name;
  }

  /** The sound with what is known of it. */
  public static FoundSound sound(Recording recording, FoundFacts facts, Origin origin, Tempo song) {
    int downbeat = (int) Math.round(facts.downbeat() * recording.rate());
    FoundSound plain =
        new FoundSound(
            recording,
            origin,
            Math.min(downbeat, recording.frames() - 1),
            Tempo.nearest(facts.tempo()),
            facts.bars(),
            facts.tonal() < 0.08 ? Optional.empty() : facts.key(),
            (int) Math.round(facts.cents()),
            List.of(),
            List.of(),
            Fit.USUAL,
            false);
    FoundSound cut = plain.withMarks(marks(plain, facts));
    return cut.withFit(fit(cut, facts.tonal(), song));
  }

  /** The way that costs least: repitched where it is near, stretched where it is not. */
  static Fit fit(FoundSound sound, double tonal, Tempo song) {
    Fit best = Fit.USUAL;
    double least = Double.MAX_VALUE;
    for (Fit.Feel feel : Fit.Feel.values()) {
      Fit counted = Fit.USUAL.withFeel(feel);
      double away = Math.abs(sound.withFit(counted).semitones(song));
      if (away < least - 0.01) {
        least = away;
        best = counted;
      }
    }
    if (least <= MOST_SEMITONES) {
      return best;
    }
    return best.withWay(tonal > TONAL ? Fit.Way.STRETCH : Fit.Way.SPLICE);
  }

  /** Marks where something begins, each moved to a crossing of zero just before; or on a grid. */
  public static List<Integer> marks(FoundSound sound, FoundFacts facts) {
    int rate = sound.recording().rate();
    List<Integer> out = new ArrayList<>();
    for (double onset : facts.onsets()) {
      int at = (int) Math.round(onset * rate);
      if (at > sound.downbeat() + rate / 50 && at < sound.end() - rate / 50) {
        out.add(crossing(sound.recording(), at));
      }
    }
    return out.size() < FoundSound.MOST_PIECES ? out : nearGrid(sound, out);
  }

  /**
   * Marks on a grid: each at a crossing of zero just before its line.
   *
   * @param aBar pieces a bar, fewer where that would be too many
   */
  public static List<Integer> grid(FoundSound sound, int aBar) {
    int share = Math.max(1, Math.min(aBar, FoundSound.MOST_PIECES / sound.bars()));
    return lines(sound, share).map(line -> crossing(sound.recording(), line)).toList();
  }

  /** What begins nearest to the eighths or beats, or the crossing before the line itself. */
  private static List<Integer> nearGrid(FoundSound sound, List<Integer> onsets) {
    int aBar = sound.bars() * 8 <= FoundSound.MOST_PIECES ? 8 : 4;
    double reach = sound.frames() / (sound.bars() * aBar) / 4;
    return lines(sound, aBar).map(line -> nearest(sound, onsets, line, reach)).toList();
  }

  private static int nearest(FoundSound sound, List<Integer> onsets, int line, double reach) {
    return onsets.stream()
        .filter(onset -> Math.abs(onset - line) < reach)
        .min(Comparator.comparingInt(onset -> Math.abs(onset - line)))
        .orElseGet(() -> crossing(sound.recording(), line));
  }

  /** The samples of a grid behind the downbeat, no more than a loop has pieces. */
  private static Stream<Integer> lines(FoundSound sound, int aBar) {
    int all = aBar * sound.bars();
    double step = sound.frames() / all;
    return IntStream.range(1, Math.min(FoundSound.MOST_PIECES, all))
        .mapToObj(i -> (int) Math.round(sound.downbeat() + i * step));
  }

  /** The nearest crossing of zero before a sample, within 3 ms; the sample itself where none is. */
  static int crossing(Recording recording, int sample) {
    if (!recording.isThere()) {
      return sample;
    }
    float[] left = recording.side(0);
    int from = Math.min(sample, left.length - 1);
    int least = Math.max(1, from - recording.rate() * NEAR_ZERO_MILLIS / 1000);
    for (int at = from; at >= least; at--) {
      if (left[at - 1] <= 0 && left[at] > 0 || left[at - 1] >= 0 && left[at] < 0) {
        return at;
      }
    }
    return sample;
  }

  /** How its sixteenths swing: from where those between the eighths begin; empty where none do. */
  public static Optional<Swing> swing(FoundSound sound) {
    double sum = 0;
    int count = 0;
    for (int piece = 0; piece < sound.pieces(); piece++) {
      double eighth = sound.beat(piece) * sound.fit().feel().factor() * 2;
      double within = eighth - Math.floor(eighth);
      if (within > 0.42 && within < 0.74) {
        sum += within;
        count++;
      }
    }
    return count < 3
        ? Optional.empty()
        : Optional.of(Swing.of((int) Math.max(50, Math.min(75, Math.round(100 * sum / count)))));
  }

  /** Adds it to a song: everywhere in full, but filtered where the song begins and ends. */
  public static Edit into(Part part) {
    return Edit.of(
        "Bring in " + part.name(),
        song -> {
          Song there = PartEdits.add(part, song.form().id(0)).apply(song);
          return there.withForm(there.form().each(section -> plays(section, part)));
        });
  }

  private static Section plays(Section section, Part part) {
    boolean edge =
        section.word().kind() == SectionKind.INTRO || section.word().kind() == SectionKind.OUTRO;
    Level level = edge ? Level.HINT : Level.FULL;
    Cell cell = HintSound.led(new Cell(0, Level.OUT, ""), level, part.role());
    return section.withCells(part.id(), List.of(cell));
  }

  /** The chords of a loop for the hook, or where they cannot be read the song as it was. */
  public static Song withChordsOf(FoundSound sound, Song song) {
    return withChordsOf(ChordGuess.of(sound), song);
  }

  /** The same of chords that were guessed. */
  public static Song withChordsOf(List<ChordGuess.Guess> guesses, Song song) {
    String line = ChordGuess.line(guesses);
    List<ChordSpan> spans =
        ChordLine.in(song.brief().key(), song.brief().meter()).parse(line).orElseThrow();
    Song out = song;
    for (Progression row : song.progressions()) {
      out = new ChordEdits(row.name()).line(spans).apply(out);
    }
    return out;
  }
}
