package westtide.follow;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.TreeMap;
import westtide.rhythm.Figure;
import westtide.rhythm.Ticks;
import westtide.rhythm.Velocity;
import westtide.song.chord.ChordRhythm;
import westtide.song.chord.ChordSpan;
import westtide.song.chord.PlacedChord;
import westtide.song.chord.Strum;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.pattern.ChordVoicings;
import westtide.song.pattern.FollowRule;
import westtide.theory.Chord;
import westtide.theory.voicing.ChordMember;
import westtide.theory.voicing.Voicing;

/**
 * Plays whole chords, held or struck in a figure. A chord that no strike of the figure falls on is
 * struck when it begins, so that none is lost, unless it begins in a rest of a figure of several
 * bars or of the progression's own. A pushed chord is struck early and held over its written place.
 */
final class ChordFollower {
  private static final int HELD_VELOCITY = 84;
  private static final int BAR_STEPS = 16;

  private final FollowRule.Chords rule;
  private final Harmony harmony;
  private final PartId part;
  private final List<Voicing> voicings;
  private final Map<Laid, Optional<Voicing>> played = new HashMap<>();

  ChordFollower(FollowRule.Chords rule, Harmony harmony, PartId part) {
    this.rule = rule;
    this.harmony = harmony;
    this.part = part;
    this.voicings =
        ChordVoicings.of(
            rule,
            harmony.progression(),
            harmony.chords().stream().map(PlacedChord::span).toList(),
            harmony.octave());
  }

  List<Note> resolve() {
    List<PlacedChord> chords = harmony.chords();
    List<Note> out = new ArrayList<>();
    for (int i = 0; i < chords.size(); i++) {
      if (chords.get(i).span().articulation().rest()) {
        continue;
      }
      for (Strike strike : strikes(chords.get(i))) {
        int played = strike.ahead && i + 1 < chords.size() ? i + 1 : i;
        addNotes(out, strike, chords.get(played), voicings.get(played));
      }
    }
    return out;
  }

  private List<Strike> strikes(PlacedChord chord) {
    Optional<Figure> figure = harmony.rhythm().map(ChordRhythm::figure).orElse(rule.figure());
    if (figure.isEmpty()) {
      return List.of(new Strike(chord.start(), chord.ticks(), HELD_VELOCITY, false));
    }
    TreeMap<Integer, Strike> strikes = struck(figure.get(), chord);
    if (chord.push() > 0) {
      pushFirst(strikes, chord);
    }
    if (strikes.isEmpty() && rests(figure.get(), chord)) {
      return List.of();
    }
    if (strikes.isEmpty()) {
      return List.of(new Strike(chord.start(), chord.ticks(), Velocity.HIT, false));
    }
    return List.copyOf(strikes.values());
  }

  private boolean rests(Figure figure, PlacedChord chord) {
    boolean meant = harmony.rhythm().isPresent() || figure.length() > BAR_STEPS;
    int step = chord.start() / Ticks.PER_STEP % figure.length();
    return meant && figure.text().charAt(step) == '.';
  }

  private static TreeMap<Integer, Strike> struck(Figure figure, PlacedChord chord) {
    TreeMap<Integer, Strike> strikes = new TreeMap<>();
    int length = Ticks.ofSteps(figure.length());
    for (int from = chord.start() / length * length; from < chord.end(); from += length) {
      for (Figure.Stroke stroke : figure.strokes()) {
        int start = from + Ticks.ofSteps(stroke.step());
        if (chord.covers(start)) {
          int ticks = Math.min(Ticks.ofSteps(stroke.steps()), chord.end() - start);
          strikes.put(start, new Strike(start, ticks, stroke.velocity(), stroke.ahead()));
        }
      }
    }
    return strikes;
  }

  /** The strike on the written place comes early instead; where none is, one is added. */
  private static void pushFirst(TreeMap<Integer, Strike> strikes, PlacedChord chord) {
    strikes.headMap(chord.start() + chord.push(), false).clear();
    Strike written = strikes.remove(chord.start() + chord.push());
    int next = strikes.isEmpty() ? chord.end() : strikes.firstKey();
    int ticks = written == null ? next - chord.start() : written.ticks + chord.push();
    int velocity = written == null ? Velocity.HIT : written.velocity;
    strikes.put(chord.start(), new Strike(chord.start(), ticks, velocity, false));
  }

  private void addNotes(List<Note> out, Strike strike, PlacedChord placed, Voicing whole) {
    Optional<Voicing> played = played(placed, whole);
    if (played.isEmpty()) {
      return;
    }
    Voicing voicing = played.get();
    Optional<Strum> strum = rule.own().strum().or(placed.span().articulation()::strum);
    for (int i = 0; i < voicing.keys().size(); i++) {
      int late = late(strum, voicing, i, strike);
      int key = voicing.keys().get(i);
      int velocity = varied(strike, i);
      out.add(new Note(strike.start + late, strike.ticks - late, key, velocity));
    }
  }

  /** What the part plays of a chord, worked out once a chord and way of playing it. */
  private Optional<Voicing> played(PlacedChord placed, Voicing whole) {
    return played.computeIfAbsent(
        new Laid(placed.span(), whole),
        laid -> {
          List<Integer> kept = kept(whole, placed);
          return kept.isEmpty()
              ? Optional.empty()
              : Optional.of(new Voicing(kept).plus(12 * rule.layer().octaves()));
        });
  }

  private record Laid(ChordSpan span, Voicing whole) {}

  private List<Integer> kept(Voicing voicing, PlacedChord placed) {
    Chord chord = placed.chord();
    Set<ChordMember> here = placed.span().articulation().without(part);
    return voicing.keys().stream()
        .filter(key -> rule.layer().without().stream().noneMatch(m -> m.is(key, voicing, chord)))
        .filter(key -> here.stream().noneMatch(m -> m.is(key, voicing, chord)))
        .toList();
  }

  private int late(Optional<Strum> strum, Voicing voicing, int note, Strike strike) {
    double millis = strum.map(s -> s.late(voicing, note)).orElse(0.0);
    long ticks = Math.round(millis / harmony.tempo().millis(Ticks.PER_QUARTER) * Ticks.PER_QUARTER);
    return (int) Math.min(ticks, strike.ticks - 1);
  }

  /** Every part differs in its own way, though it may have the seed of another. */
  private int varied(Strike strike, int voice) {
    int amount = rule.vary().amount();
    if (amount == 0) {
      return strike.velocity;
    }
    long own = rule.vary().seed() * 1_000_003L + part.seed() * 31L;
    long seed = own + strike.start * 131L + voice;
    return Velocity.held(
        strike.velocity + (long) new SplittableRandom(seed).nextInt(-amount, amount + 1));
  }

  private record Strike(int start, int ticks, int velocity, boolean ahead) {}
}
