package westtide.compose;

import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Stream;
import westtide.compose.groove.EightBars;
import westtide.compose.groove.KickVelocity;
import westtide.rhythm.Hit;
import westtide.rhythm.LaneFeel;
import westtide.song.Part;
import westtide.song.PlayedBars;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.edit.drum.GrooveEdits;
import westtide.song.form.Cell;
import westtide.song.id.Seed;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;

/** What a song answers to the questions about drums, and the other answer given. */
final class DrumSchools {
  private static final int VARIED = 9;
  private static final int LONG = 8;
  private static final String GROWN = " in eight";

  private DrumSchools() {}

  /** Whether a section plays a groove of eight bars or more; empty without drums. */
  static Optional<Boolean> throughWritten(Song song) {
    List<Part> drums = song.parts(Role.DRUMS);
    return drums.isEmpty()
        ? Optional.empty()
        : Optional.of(drums.stream().anyMatch(part -> playsLong(song, part)));
  }

  private static boolean playsLong(Song song, Part part) {
    return song.form().sections().stream()
        .flatMap(section -> section.cells(part.id()).stream())
        .anyMatch(cell -> bars(song, part, cell) >= LONG);
  }

  private static int bars(Song song, Part part, Cell cell) {
    return part.groove(cell.pattern(), song.brief().meter()).map(Pattern.Drums::bars).orElse(0);
  }

  /** The main groove of every drum part grown to eight bars wherever it plays, or kept again. */
  static Song withEightBars(Song song, boolean throughWritten) {
    Song out = song;
    for (Part part : song.parts(Role.DRUMS)) {
      out = withEightBars(out, part, throughWritten);
    }
    return out;
  }

  private static Song withEightBars(Song song, Part part, boolean throughWritten) {
    if (!throughWritten) {
      return playing(
          song, part, cell -> bars(song, part, cell) >= LONG, cell -> kept(part, cell.pattern()));
    }
    String main = new PlayedBars(song).pattern(part);
    String name = main + GROWN;
    Song grown = part.find(name).isPresent() ? song : grown(song, part, main, name);
    return playing(
        grown,
        part,
        cell -> part.pattern(cell.pattern()).name().equals(main),
        cell -> Optional.of(name));
  }

  /** The groove that was grown into this one; empty, the usual one, where none was. */
  private static Optional<String> kept(Part part, String grown) {
    return part.patterns().stream()
        .map(NamedPattern::name)
        .filter(name -> grown.equals(name + GROWN))
        .findFirst();
  }

  private static Song grown(Song song, Part part, String main, String name) {
    Pattern.Drums groove =
        EightBars.of(EightBars.Plan.ALL)
            .grow(
                part.groove(main, song.brief().meter()).orElseThrow(),
                song.brief().meter(),
                new Seed(song.seed()));
    return new GrooveEdits(part.id(), main).grow(name, groove).apply(song);
  }

  private static Song playing(
      Song song, Part part, Predicate<Cell> which, Function<Cell, Optional<String>> pattern) {
    return song.withForm(
        song.form()
            .each(
                section ->
                    section.withEachCell(
                        part.id(),
                        c -> which.test(c) ? c.withPattern(pattern.apply(c).orElse("")) : c)));
  }

  /** Whether velocities of copies differ; empty without drums. */
  static Optional<Boolean> varied(Song song) {
    return lanes(song).findAny().map(any -> lanes(song).anyMatch(l -> l.feel().velocity() > 0));
  }

  static Song withVaried(Song song, boolean varied) {
    return each(
        song,
        (part, lane) -> {
          LaneFeel feel = lane.feel().withVelocity(varied ? VARIED : 0);
          long seed = song.seed() + part.id().seed();
          return lane.withFeel(varied ? feel.withSeed(seed) : feel.withTicks(0));
        });
  }

  /** Whether the kicks are not all at full velocity; empty without kicks. */
  static Optional<Boolean> shaped(Song song) {
    return kicks(song).findAny().map(any -> !kicks(song).allMatch(KickVelocity::full));
  }

  static Song withShaped(Song song, boolean shaped) {
    return each(
        song,
        (part, lane) -> lane.voice() == DrumVoice.KICK ? KickVelocity.of(lane, shaped) : lane);
  }

  private static Stream<Hit> kicks(Song song) {
    return lanes(song)
        .filter(lane -> lane.voice() == DrumVoice.KICK)
        .flatMap(lane -> lane.lane().hits().stream());
  }

  private static Stream<DrumLane> lanes(Song song) {
    return song.parts(Role.DRUMS).stream()
        .flatMap(part -> part.grooves(song.brief().meter()).values().stream())
        .flatMap(groove -> groove.lanes().stream());
  }

  private static Song each(Song song, BiFunction<Part, DrumLane, DrumLane> change) {
    Song out = song;
    for (Part part : song.parts()) {
      out = GrooveEdits.eachLane(out, part.id(), lane -> change.apply(part, lane));
    }
    return out;
  }
}
