package westtide.review.drums;

import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import westtide.rhythm.Hit;
import westtide.rhythm.Meter;
import westtide.rhythm.Swing;
import westtide.rhythm.Ticks;
import westtide.rhythm.Velocity;
import westtide.song.PlayedBars;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.PlacedHit;
import westtide.song.pattern.Pattern;

/** Points of the checklist that are read from the grooves. Steps are counted from 0. */
public final class DrumPoints {
  private static final int ANY = -1;

  /** The points of the checklist about grooves, and when they are reached. */
  public static final Map<String, Predicate<Song>> ALL =
      Map.ofEntries(
          Map.entry(
              "hat rolls",
              song -> hits(song, DrumVoice.CLOSED_HAT).anyMatch(hit -> hit.strokes() > 1)),
          Map.entry(
              "open hat chokes", song -> hits(song, DrumVoice.OPEN_HAT).findAny().isPresent()),
          Map.entry("four to the floor", song -> everyBar(song, DrumVoice.KICK, 0, 4, 8, 12)),
          Map.entry("off-beat open hat", song -> everyBar(song, DrumVoice.OPEN_HAT, 2, 6, 10, 14)),
          Map.entry("backbeat", song -> everyBar(song, DrumVoice.SNARE, 4, 12)),
          Map.entry("open hat under the snare", song -> everyBar(song, DrumVoice.OPEN_HAT, 4, 12)),
          Map.entry("something for the swing to move", DrumPoints::swung),
          Map.entry("late hats", song -> nudges(song, DrumVoice.CLOSED_HAT).anyMatch(n -> n > 0)),
          Map.entry(
              "clap before the snare", song -> nudges(song, DrumVoice.CLAP).anyMatch(n -> n < 0)),
          Map.entry("snare before the clap", song -> onStep(song, DrumVoice.SNARE, ANY, 7)),
          Map.entry("late snare", song -> onStep(song, DrumVoice.SNARE, 1, 12)),
          Map.entry(
              "soft snare",
              song -> hits(song, DrumVoice.SNARE).anyMatch(hit -> hit.velocity() <= Velocity.SOFT)),
          Map.entry("shaker", song -> hits(song, DrumVoice.SHAKER).findAny().isPresent()),
          Map.entry("rim", song -> hits(song, DrumVoice.RIM).findAny().isPresent()),
          Map.entry(
              "lane of its own length",
              song -> grooves(song).anyMatch(g -> ownLength(g, song.brief().meter()))));

  private DrumPoints() {}

  private static Stream<Pattern.Drums> grooves(Song song) {
    return song.parts(Role.DRUMS).stream()
        .flatMap(part -> part.grooves(song.brief().meter()).values().stream());
  }

  private static Stream<Hit> hits(Song song, DrumVoice voice) {
    return lanes(song, voice).flatMap(lane -> lane.lane().hits().stream());
  }

  private static Stream<DrumLane> lanes(Song song, DrumVoice voice) {
    return grooves(song)
        .flatMap(groove -> groove.lanes().stream())
        .filter(lane -> lane.voice() == voice);
  }

  /** The nudges of a drum in the main grooves, in ticks; before the beat below 0. */
  private static IntStream nudges(Song song, DrumVoice voice) {
    return main(song)
        .flatMap(groove -> groove.lanes().stream())
        .filter(lane -> lane.voice() == voice)
        .mapToInt(lane -> lane.feel().nudge());
  }

  /** The main groove of each drum part: the one it plays longest in the hooks. */
  private static Stream<Pattern.Drums> main(Song song) {
    PlayedBars played = new PlayedBars(song);
    return song.parts(Role.DRUMS).stream()
        .flatMap(part -> part.groove(played.pattern(part), song.brief().meter()).stream());
  }

  /** Whether the main groove of some part has the voice on these sixteenths of every bar. */
  private static boolean everyBar(Song song, DrumVoice voice, int... steps) {
    Meter meter = song.brief().meter();
    return main(song).anyMatch(groove -> everyBar(groove, voice, meter, steps));
  }

  private static boolean everyBar(
      Pattern.Drums groove, DrumVoice voice, Meter meter, int... steps) {
    Set<Integer> struck =
        groove.lanes().stream()
            .filter(lane -> lane.voice() == voice)
            .flatMap(lane -> groove.laid(lane, meter).stream())
            .map(PlacedHit::tick)
            .collect(Collectors.toSet());
    return IntStream.range(0, groove.bars())
        .map(bar -> bar * meter.ticksPerBar())
        .allMatch(
            from ->
                IntStream.of(steps)
                    .allMatch(step -> struck.contains(from + step * Ticks.PER_STEP)));
  }

  /** Whether some hit of a drum stands on a sixteenth of a bar of its groove. */
  private static boolean onStep(Song song, DrumVoice voice, int bar, int step) {
    Meter meter = song.brief().meter();
    return grooves(song)
        .anyMatch(
            groove ->
                groove.lanes().stream()
                    .filter(lane -> lane.voice() == voice)
                    .flatMap(lane -> groove.laid(lane, meter).stream())
                    .mapToInt(PlacedHit::tick)
                    .anyMatch(tick -> on(tick, bar, step, meter)));
  }

  private static boolean on(int tick, int bar, int step, Meter meter) {
    boolean there = tick % meter.ticksPerBar() == step * Ticks.PER_STEP;
    return there && (bar < 0 || tick / meter.ticksPerBar() == bar);
  }

  private static boolean swung(Song song) {
    Swing swing = song.brief().swing();
    return grooves(song)
        .flatMap(groove -> groove.lanes().stream())
        .anyMatch(
            lane ->
                lane.lane().hits().stream()
                    .anyMatch(
                        hit -> lane.swing(swing).reaches((long) hit.step() * lane.grid().ticks())));
  }

  /** Whether hits, or the velocities that run along them, have a length that fits no bars. */
  private static boolean ownLength(Pattern.Drums groove, Meter meter) {
    return groove.lanes().stream()
        .filter(lane -> !lane.lane().hits().isEmpty())
        .anyMatch(lane -> ownLength(lane, groove.ticks(meter) / lane.grid().ticks()));
  }

  private static boolean ownLength(DrumLane lane, int steps) {
    return steps % lane.lane().length() != 0
        || lane.accents().filter(a -> steps % a.length() != 0).isPresent();
  }
}
