package westtide.compose.line;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import westtide.follow.Harmony;
import westtide.rhythm.Meter;
import westtide.rhythm.Ticks;
import westtide.song.chord.PlacedChord;
import westtide.song.id.Seed;
import westtide.song.line.Note;
import westtide.song.line.NoteShapes;
import westtide.song.pattern.Pattern;
import westtide.style.PartHabit;
import westtide.theory.Key;
import westtide.theory.Pitch;

/**
 * Lines beside a lead: a counter-line of few notes in its rests and in another register, an answer,
 * stabs, a run at the end, or a ghost line of the tops of the chords (common practice).
 *
 * @param key the key
 * @param meter the meter
 * @param harmony the chords heard below
 */
public record SecondLine(Key key, Meter meter, Harmony harmony) {
  private static final int UNIT_BARS = 2;
  private static final int MOST = 6;
  private static final int COUNTER_VELOCITY = 78;
  private static final int GHOST_VELOCITY = 48;
  private static final int GHOST_LOWEST = 67;
  private static final int STEP = 2 * Ticks.PER_STEP;
  private static final int STAB_LOWEST = 60;
  private static final int STAB_VELOCITY = 108;
  private static final int RUN_SOFTEST = 70;
  private static final int RUN_LOUDEST = 114;

  /**
   * Four to six notes in the rests of two bars of a lead, repeated with only the last note changed;
   * an octave below the lead where it is high, else above.
   *
   * @param lead the notes of the lead from the start of the harmony
   * @param bars how long the line is
   */
  public Pattern.Written counter(List<Note> lead, int bars, Seed seed) {
    Random random = seed.random("counter-line");
    int unit = UNIT_BARS * meter.ticksPerBar();
    List<Integer> places = places(lead, Math.min(unit, harmony.ticks()), random);
    int middle = (int) lead.stream().mapToInt(Note::key).average().orElse(72);
    int lowest = middle >= 66 ? middle - 17 : middle + 7;
    List<Note> out = new ArrayList<>();
    int turn = random.nextInt(4);
    for (int from = 0; from < bars * meter.ticksPerBar(); from += unit) {
      List<Note> laid = laid(places, from, unit, lowest, bars * meter.ticksPerBar());
      out.addAll(from % (2 * unit) == 0 ? laid : NoteShapes.lastChanged(laid, key, turn));
    }
    return new Pattern.Written(bars, out);
  }

  /**
   * The eighths of two bars at which the lead does not begin and is silent most often, in order of
   * time.
   */
  private static List<Integer> places(List<Note> lead, int unit, Random random) {
    List<Integer> all = new ArrayList<>();
    for (int at = 0; at < unit; at += STEP) {
      int tick = at;
      if (lead.stream().noneMatch(note -> Math.abs(note.start() - tick) < STEP)) {
        all.add(at);
      }
    }
    Collections.shuffle(all, random);
    all.sort(Comparator.comparingLong(at -> busy(lead, at, unit)));
    List<Integer> chosen = new ArrayList<>(all.subList(0, Math.min(MOST, all.size())));
    chosen.sort(Comparator.naturalOrder());
    return chosen;
  }

  /** How many notes of the lead sound, or are struck close by, at a place of any two bars. */
  private static long busy(List<Note> lead, int at, int unit) {
    return lead.stream()
        .filter(
            note -> {
              int start = note.start() % unit;
              boolean near = Math.abs(start - at) < STEP;
              return near || start < at && start + note.ticks() > at;
            })
        .count();
  }

  private List<Note> laid(List<Integer> places, int from, int unit, int lowest, int end) {
    List<Note> out = new ArrayList<>();
    int last = lowest + 6;
    for (int i = 0; i < places.size(); i++) {
      int start = from + places.get(i);
      if (start >= Math.min(end, harmony.ticks()) || harmony.rests(start)) {
        continue;
      }
      int next = i + 1 < places.size() ? from + places.get(i + 1) : from + unit;
      int midi = nearest(harmony.at(start), last, lowest);
      last = midi;
      int length = Math.min(Math.min(next, end) - start, Ticks.PER_QUARTER);
      out.add(new Note(start, length, midi, COUNTER_VELOCITY));
    }
    return out;
  }

  /** The tone of a chord nearest to the note before, inside an octave and a fourth. */
  private static int nearest(PlacedChord chord, int last, int lowest) {
    return chord.chord().pitchClasses().stream()
        .flatMap(
            pitchClass -> {
              int low = Pitch.atOrAbove(lowest, pitchClass);
              return Stream.of(low, low + 12);
            })
        .filter(midi -> midi <= lowest + 17 && midi != last)
        .min(Comparator.comparingInt(midi -> Math.abs(midi - last)))
        .orElse(last);
  }

  /** The third, fifth or seventh of every chord on top, held and very quiet. */
  public Pattern.Written ghost(int bars) {
    List<Note> out = new ArrayList<>();
    int end = Math.min(bars * meter.ticksPerBar(), harmony.ticks());
    int last = GHOST_LOWEST + 7;
    for (PlacedChord chord : harmony.chords()) {
      if (chord.start() < end && !chord.span().articulation().rest()) {
        last = nearest(chord, last, GHOST_LOWEST);
        int ticks = Math.min(chord.end(), end) - chord.start();
        out.add(new Note(chord.start(), ticks, last, GHOST_VELOCITY));
      }
    }
    return new Pattern.Written(bars, out);
  }

  /**
   * An answer: what the lead plays in every first bar of two, in the bar after it where the lead
   * rests, an octave away and softer, its last note and those on beats on tones of the chord heard
   * there.
   */
  public Pattern.Written answer(List<Note> lead, int bars) {
    int bar = meter.ticksPerBar();
    int middle = (int) lead.stream().mapToInt(Note::key).average().orElse(72);
    int away = middle >= 72 ? -12 : 12;
    List<Note> out = new ArrayList<>();
    for (int call = 0; call + 1 < bars; call += 2) {
      int from = call * bar;
      List<Note> called =
          lead.stream().filter(n -> n.start() >= from && n.start() < from + bar).toList();
      for (int i = 0; i < called.size(); i++) {
        Note note = called.get(i);
        int start = note.start() + bar;
        if (start < harmony.ticks() && !harmony.rests(start) && silent(lead, start)) {
          boolean heard = i + 1 == called.size() || start % Ticks.PER_QUARTER == 0;
          int key = Math.max(0, Math.min(127, note.key() + away));
          out.add(
              new Note(
                  start,
                  Math.min(note.ticks(), bars * bar - start),
                  heard ? toned(harmony.at(start), key) : key,
                  Math.max(1, note.velocity() - 14)));
        }
      }
    }
    return new Pattern.Written(bars, out);
  }

  private static boolean silent(List<Note> lead, int tick) {
    return lead.stream().noneMatch(note -> note.start() <= tick && note.end() > tick);
  }

  private static int toned(PlacedChord chord, int key) {
    for (int away = 0; away < 12; away++) {
      if (chord.chord().contains(Math.floorMod(key - away, 12))) {
        return key - away;
      }
    }
    return key;
  }

  /** Stabs: the chord at the start of every second bar, three of its tones, short and hard. */
  public Pattern.Written stabs(int bars) {
    List<Note> out = new ArrayList<>();
    for (int at = 0; at < bars * meter.ticksPerBar(); at += 2 * meter.ticksPerBar()) {
      if (at >= harmony.ticks() || harmony.rests(at)) {
        continue;
      }
      List<Integer> tones = harmony.at(at).chord().pitchClasses();
      for (int i = 0; i < Math.min(3, tones.size()); i++) {
        int key = Pitch.atOrAbove(STAB_LOWEST, tones.get(i));
        out.add(new Note(at, Ticks.PER_STEP, key, STAB_VELOCITY));
      }
    }
    return new Pattern.Written(bars, out);
  }

  /**
   * The run that ends a drop: sixteenths down the key through the last bar, rising in velocity, to
   * the tonic's neighbour, so that the next section can land on the tonic.
   *
   * @param from the MIDI note it begins on
   */
  public Pattern.Written run(int from, int bars) {
    int bar = meter.ticksPerBar();
    int steps = bar / Ticks.PER_STEP;
    int start = (bars - 1) * bar;
    int last = Pitch.atOrAbove(from - 2 * 12, key.tonic().pitchClass());
    List<Note> out = new ArrayList<>();
    for (int i = 0; i < steps; i++) {
      int velocity = RUN_SOFTEST + i * (RUN_LOUDEST - RUN_SOFTEST) / Math.max(1, steps - 1);
      int midi = NoteShapes.step(key, last, steps - i);
      out.add(new Note(start + Ticks.ofSteps(i), Ticks.PER_STEP, midi, velocity));
    }
    return new Pattern.Written(bars, out);
  }

  /** A riff: one bar in the rhythm of a style, repeated, the last of every four bars changed. */
  public Pattern.Written riff(PartHabit.Lead habit, int bars, Seed seed) {
    Random random = seed.random("riff");
    int bar = meter.ticksPerBar();
    List<LineSketch.Spot> spots =
        LineSketch.rhythm(habit.language(), meter, random).stream()
            .filter(spot -> spot.start() < bar)
            .toList();
    List<Integer> turns = new ArrayList<>();
    spots.forEach(spot -> turns.add(random.nextInt(3)));
    List<Note> out = new ArrayList<>();
    for (int at = 0; at < bars && at * bar < harmony.ticks(); at++) {
      List<Note> laid = new ArrayList<>();
      for (int i = 0; i < spots.size(); i++) {
        int start = at * bar + spots.get(i).start();
        if (!harmony.rests(start)) {
          List<Integer> tones = harmony.at(start).chord().pitchClasses();
          int tone = tones.get(turns.get(i) % tones.size());
          int midi = Pitch.atOrAbove(habit.low() - 12, tone);
          laid.add(new Note(start, spots.get(i).ticks(), midi, i == 0 ? 100 : 84));
        }
      }
      out.addAll(at % 4 == 3 ? NoteShapes.lastChanged(laid, key, 1) : laid);
    }
    return new Pattern.Written(bars, out);
  }
}
