package westtide.review;

import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import westtide.rhythm.Hit;
import westtide.rhythm.StepLane;
import westtide.rhythm.Swing;
import westtide.rhythm.Velocity;
import westtide.song.Pattern;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;

/** Points of the checklist that are read from the grooves. Steps are counted from 0. */
final class DrumPoints {
  private static final int STEPS = 16;

  static final Map<String, Predicate<Song>> ALL =
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
          Map.entry("late hats", song -> nudge(song, DrumVoice.CLOSED_HAT) > 0),
          Map.entry("clap before the snare", song -> nudge(song, DrumVoice.CLAP) < 0),
          Map.entry(
              "snare before the clap",
              song -> hits(song, DrumVoice.SNARE).anyMatch(hit -> hit.step() % STEPS == 7)),
          Map.entry(
              "late snare",
              song -> hits(song, DrumVoice.SNARE).anyMatch(hit -> hit.step() == STEPS + 12)),
          Map.entry(
              "soft snare",
              song -> hits(song, DrumVoice.SNARE).anyMatch(hit -> hit.velocity() <= Velocity.SOFT)),
          Map.entry("shaker", song -> hits(song, DrumVoice.SHAKER).findAny().isPresent()),
          Map.entry("rim", song -> hits(song, DrumVoice.RIM).findAny().isPresent()),
          Map.entry(
              "lane of its own length", song -> grooves(song).anyMatch(DrumPoints::ownLength)));

  private DrumPoints() {}

  private static Stream<Pattern.Drums> grooves(Song song) {
    return song.part(Role.DRUMS).stream()
        .flatMap(part -> part.grooves(song.brief().meter()).values().stream());
  }

  private static Stream<Hit> hits(Song song, DrumVoice voice) {
    return grooves(song)
        .flatMap(groove -> groove.lane(voice).stream())
        .flatMap(lane -> lane.hits().stream());
  }

  private static int nudge(Song song, DrumVoice voice) {
    return grooves(song)
        .findFirst()
        .flatMap(groove -> groove.find(voice.lane()))
        .map(lane -> lane.feel().nudge())
        .orElse(0);
  }

  /** Whether the main groove has the voice on these steps of every bar. */
  private static boolean everyBar(Song song, DrumVoice voice, int... steps) {
    return grooves(song)
        .findFirst()
        .map(groove -> groove.lane(voice).map(lane -> everyBar(groove, lane, steps)).orElse(false))
        .orElse(false);
  }

  private static boolean everyBar(Pattern.Drums groove, StepLane lane, int... steps) {
    int all = groove.bars() * STEPS;
    List<Integer> struck = lane.over(all).stream().map(Hit::step).toList();
    return IntStream.iterate(0, from -> from < all, from -> from + STEPS)
        .allMatch(from -> IntStream.of(steps).allMatch(step -> struck.contains(from + step)));
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
  private static boolean ownLength(Pattern.Drums groove) {
    int steps = groove.bars() * STEPS;
    return groove.lanes().stream()
        .filter(lane -> !lane.lane().hits().isEmpty())
        .anyMatch(
            lane ->
                steps % lane.lane().length() != 0
                    || lane.accents().filter(a -> steps % a.length() != 0).isPresent());
  }
}
