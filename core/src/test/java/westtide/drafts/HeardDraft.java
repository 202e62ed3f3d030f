package westtide.drafts;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import westtide.compose.Arranger;
import westtide.compose.SongDraft;
import westtide.rhythm.Ticks;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.score.event.ScoredNote;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.form.Form;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.song.id.PartId;
import westtide.style.CoreParts;

/**
 * What one draft plays, asked for in the words of the trade. Steps are sixteenths of a bar from 0;
 * last bars of sections, where fills are, are not asked.
 *
 * @param song the draft
 * @param score its notes
 */
record HeardDraft(Song song, Score score) {
  private static final int BAR = 3840;
  private static final int STEP = 240;
  private static final int NEAR = 60;

  static HeardDraft of(SongDraft draft) {
    Song song = Arranger.arranged(draft);
    return new HeardDraft(song, Score.of(song));
  }

  Optional<Part> part(PartId id) {
    return song.part(id);
  }

  List<ScoredNote> notes(PartId id) {
    return score.part(id).map(ScoredPart::notes).orElse(List.of());
  }

  private Section section(int place) {
    return song.form().sections().get(place);
  }

  private int start(int place) {
    return song.form().startBar(place) * BAR;
  }

  /** The places of sections of a kind, in order. */
  List<Integer> places(SectionKind kind) {
    List<Integer> out = new ArrayList<>();
    for (int i = 0; i < song.form().sections().size(); i++) {
      if (section(i).word().kind() == kind) {
        out.add(i);
      }
    }
    return out;
  }

  /** What a part plays in one section. */
  List<ScoredNote> in(PartId id, int place) {
    int from = start(place);
    int to = from + section(place).bars() * BAR;
    return notes(id).stream().filter(n -> n.written() >= from && n.written() < to).toList();
  }

  boolean plays(PartId id, SectionKind kind) {
    return places(kind).stream().anyMatch(place -> !in(id, place).isEmpty());
  }

  /** Whether it is silent in the first half of a section of a kind and plays in its second. */
  boolean joinsLate(PartId id, SectionKind kind) {
    return places(kind).stream()
        .anyMatch(
            place -> {
              int middle = start(place) + section(place).bars() * BAR / 2;
              List<ScoredNote> all = in(id, place);
              return !all.isEmpty() && all.stream().allMatch(n -> n.written() >= middle);
            });
  }

  boolean playsInLastHook(PartId id) {
    Form form = song.form();
    return form.last(SectionKind.HOOK).stream().anyMatch(place -> !in(id, place).isEmpty());
  }

  boolean playsInFirstHook(PartId id) {
    return !in(id, places(SectionKind.HOOK).get(0)).isEmpty();
  }

  /** Notes in sections of hooks, grooves and drops, but for their last bars. */
  List<ScoredNote> full(PartId id) {
    List<ScoredNote> out = new ArrayList<>();
    for (SectionKind kind : List.of(SectionKind.HOOK, SectionKind.GROOVE)) {
      for (int place : places(kind)) {
        int last = start(place) + (section(place).bars() - 1) * BAR;
        in(id, place).stream().filter(n -> n.written() < last).forEach(out::add);
      }
    }
    return out;
  }

  /** Notes anywhere but in last bars; those of hooks where there are any. */
  List<ScoredNote> usual(PartId id) {
    List<ScoredNote> full = full(id);
    return full.isEmpty() ? notes(id) : full;
  }

  /** Strokes of one drum of the first drum part in sections where all play. */
  List<ScoredNote> drum(DrumVoice voice) {
    return full(CoreParts.DRUMS).stream().filter(note -> note.of(voice)).toList();
  }

  private static int step(ScoredNote note) {
    return note.written() % BAR / STEP;
  }

  /** The steps that are struck, bar by bar. */
  static TreeMap<Integer, Set<Integer>> bars(List<ScoredNote> notes) {
    TreeMap<Integer, Set<Integer>> out = new TreeMap<>();
    notes.forEach(n -> out.computeIfAbsent(n.written() / BAR, bar -> new TreeSet<>()).add(step(n)));
    return out;
  }

  /** The share of bars in which all these steps are struck, of those in which anything is. */
  static double share(List<ScoredNote> notes, Integer... steps) {
    TreeMap<Integer, Set<Integer>> bars = bars(notes);
    long all = bars.values().stream().filter(s -> s.containsAll(Arrays.asList(steps))).count();
    return bars.isEmpty() ? 0 : (double) all / bars.size();
  }

  /** Struck steps in a bar in which anything is struck. */
  static double perBar(List<ScoredNote> notes) {
    return bars(notes).values().stream().mapToInt(Set::size).average().orElse(0);
  }

  /** The share of notes that begin where one of the others does. */
  static double together(List<ScoredNote> notes, List<ScoredNote> others) {
    Set<Integer> places = others.stream().map(n -> n.written() / STEP).collect(Collectors.toSet());
    return share(notes, note -> places.contains(note.written() / STEP));
  }

  /** The share of notes of which something is true. */
  static double share(List<ScoredNote> notes, Predicate<ScoredNote> holds) {
    return notes.isEmpty() ? 0 : (double) notes.stream().filter(holds).count() / notes.size();
  }

  static double middleKey(List<ScoredNote> notes) {
    return notes.stream().mapToInt(ScoredNote::key).average().orElse(0);
  }

  static double middleLength(List<ScoredNote> notes) {
    return notes.stream().mapToInt(ScoredNote::ticks).average().orElse(0);
  }

  static int velocityRange(List<ScoredNote> notes) {
    int low = notes.stream().mapToInt(ScoredNote::velocity).min().orElse(0);
    int high = notes.stream().mapToInt(ScoredNote::velocity).max().orElse(0);
    return high - low;
  }

  /** Whether some strokes follow one another within less than a step. */
  static boolean rolls(List<ScoredNote> lane) {
    for (int i = 1; i < lane.size(); i++) {
      int apart = lane.get(i).start() - lane.get(i - 1).start();
      if (apart > 0 && apart < STEP - NEAR / 2) {
        return true;
      }
    }
    return false;
  }

  /** Whether the notes of some chords come one after another within a tenth of a second. */
  boolean strums(PartId id) {
    int most = (int) song.brief().tempo().ticks(100);
    List<ScoredNote> notes = notes(id);
    long spread = 0;
    for (int i = 1; i < notes.size(); i++) {
      int apart = notes.get(i).start() - notes.get(i - 1).start();
      spread += apart > 4 && apart < most ? 1 : 0;
    }
    return spread >= 8;
  }

  /** The share of notes that begin while another part sounds. */
  static double over(List<ScoredNote> notes, List<ScoredNote> other) {
    return share(
        notes, n -> other.stream().anyMatch(o -> o.start() <= n.start() && o.end() > n.start()));
  }

  /** The share of steps between notes that are an octave. */
  static double octaves(List<ScoredNote> notes) {
    long found = 0;
    for (int i = 1; i < notes.size(); i++) {
      found += Math.abs(notes.get(i).key() - notes.get(i - 1).key()) == 12 ? 1 : 0;
    }
    return notes.size() < 2 ? 0 : (double) found / (notes.size() - 1);
  }

  /** The share of notes that are the root of what is heard there. */
  double roots(PartId id) {
    ScoredPart part = score.part(id).orElseThrow();
    return share(
        usual(id),
        note ->
            part.passage(note.written())
                .map(passage -> passage.chord(note.written()).chord())
                .filter(chord -> chord.root().pitchClass() == note.key() % 12)
                .isPresent());
  }

  /** The share of a part's bars that it fills with sound. */
  double sounding(PartId id) {
    List<ScoredNote> notes = usual(id);
    long ticks = notes.stream().mapToLong(ScoredNote::ticks).sum();
    return (double) ticks / (Math.max(1, bars(notes).size()) * (double) BAR);
  }

  /** All strokes of drum parts. */
  List<ScoredNote> drums() {
    List<ScoredNote> out = new ArrayList<>();
    score.parts(Role.DRUMS).forEach(part -> out.addAll(part.notes()));
    return out;
  }

  /** How much louder second halves of eight bars are than first ones. */
  static double rise(List<ScoredNote> notes, int eight) {
    double early =
        notes.stream()
            .filter(n -> n.written() / BAR % eight < eight / 2)
            .mapToInt(ScoredNote::velocity)
            .average()
            .orElse(0);
    double late =
        notes.stream()
            .filter(n -> n.written() / BAR % eight >= eight / 2)
            .mapToInt(ScoredNote::velocity)
            .average()
            .orElse(0);
    return late - early;
  }

  /** How many pitches a part has. */
  static int pitches(List<ScoredNote> notes) {
    Set<Integer> out = new HashSet<>();
    notes.forEach(
        n -> out.add(n.key() + 128 * n.struck().map(ScoredNote.Struck::semitones).orElse(0)));
    return out.size();
  }

  /** Ticks by which notes on even steps stand late, on average. */
  static double late(List<ScoredNote> notes) {
    return notes.stream()
        .filter(n -> step(n) % 2 == 0)
        .mapToInt(n -> n.start() - n.written())
        .average()
        .orElse(0);
  }

  /** How many notes sound at once, on average where any begins. */
  static double atOnce(List<ScoredNote> notes) {
    long places = notes.stream().map(n -> n.written() / Ticks.ofSteps(1)).distinct().count();
    return places == 0 ? 0 : (double) notes.size() / places;
  }
}
