package westtide.compose;

import java.util.Optional;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import westtide.compose.groove.EightBars;
import westtide.compose.groove.GrooveDraft;
import westtide.compose.groove.KickVelocity;
import westtide.rhythm.Hit;
import westtide.rhythm.LaneFeel;
import westtide.song.Cell;
import westtide.song.Form;
import westtide.song.Part;
import westtide.song.Pattern;
import westtide.song.Role;
import westtide.song.Section;
import westtide.song.Seed;
import westtide.song.Song;
import westtide.song.Variant;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.edit.GrooveEdits;

/** What a song answers to the questions about drums, and the other answer given. */
final class DrumSchools {
  private static final int VARIED = 9;
  private static final int LONG = 8;
  private static final String GROWN = GrooveDraft.MAIN + " in eight";

  private DrumSchools() {}

  /** Whether a section plays a groove of eight bars or more; empty without drums. */
  static Optional<Boolean> throughWritten(Song song) {
    return song.part(Role.DRUMS)
        .map(
            part ->
                song.form().sections().stream()
                    .flatMap(section -> section.cells(part.id()).stream())
                    .anyMatch(cell -> bars(song, part, cell) >= LONG));
  }

  private static int bars(Song song, Part part, Cell cell) {
    return part.groove(cell.variant(), song.brief().meter()).map(Pattern.Drums::bars).orElse(0);
  }

  /** The main groove grown to eight bars wherever it plays, or one groove kept again. */
  static Song withEightBars(Song song, boolean throughWritten) {
    Optional<Part> part = song.part(Role.DRUMS);
    if (part.isEmpty()) {
      return song;
    }
    if (!throughWritten) {
      return playing(song, part.get(), cell -> bars(song, part.get(), cell) >= LONG, first(part));
    }
    Song grown = part.get().find(GROWN).isPresent() ? song : grown(song, part.get());
    return playing(grown, part.get(), cell -> cell.variant().equals(first(part)), GROWN);
  }

  private static String first(Optional<Part> part) {
    return part.orElseThrow().variants().get(0).name();
  }

  private static Song grown(Song song, Part part) {
    String first = part.variants().get(0).name();
    Pattern.Drums groove =
        EightBars.of(EightBars.Plan.ALL)
            .grow(
                part.groove(first, song.brief().meter()).orElseThrow(),
                song.brief().meter(),
                new Seed(song.seed()));
    return new GrooveEdits(part.id(), first).grow(GROWN, groove).apply(song);
  }

  private static Song playing(Song song, Part part, Predicate<Cell> which, String variant) {
    return song.withForm(
        new Form(
            song.form().sections().stream()
                .map(section -> playing(section, part, which, variant))
                .toList()));
  }

  private static Section playing(
      Section section, Part part, Predicate<Cell> which, String variant) {
    return section.withCells(
        part.id(),
        section.cells(part.id()).stream()
            .map(c -> which.test(c) ? new Cell(c.fromBar(), c.level(), variant) : c)
            .toList());
  }

  /** Whether velocities of copies differ; empty without drums. */
  static Optional<Boolean> varied(Song song) {
    return lanes(song).findAny().map(any -> lanes(song).anyMatch(l -> l.feel().velocity() > 0));
  }

  static Song withVaried(Song song, boolean varied) {
    return each(
        song,
        lane -> {
          LaneFeel feel = lane.feel().withVelocity(varied ? VARIED : 0);
          return lane.withFeel(varied ? feel.withSeed(song.seed()) : feel.withTicks(0));
        });
  }

  /** Whether the kicks are not all at full velocity; empty without kicks. */
  static Optional<Boolean> shaped(Song song) {
    return kicks(song).findAny().map(any -> !kicks(song).allMatch(KickVelocity::full));
  }

  static Song withShaped(Song song, boolean shaped) {
    return each(
        song, lane -> lane.voice() == DrumVoice.KICK ? KickVelocity.of(lane, shaped) : lane);
  }

  private static Stream<Hit> kicks(Song song) {
    return lanes(song)
        .filter(lane -> lane.voice() == DrumVoice.KICK)
        .flatMap(lane -> lane.lane().hits().stream());
  }

  private static Stream<DrumLane> lanes(Song song) {
    return song.part(Role.DRUMS).stream()
        .flatMap(part -> part.grooves(song.brief().meter()).values().stream())
        .flatMap(groove -> groove.lanes().stream());
  }

  /** Every lane of every groove changed; what follows goes on following where it is alike. */
  private static Song each(Song song, UnaryOperator<DrumLane> change) {
    Song out = song;
    for (Part part : song.parts()) {
      for (Variant variant : part.variants()) {
        Optional<Pattern.Drums> groove =
            out.part(part.id()).flatMap(p -> p.groove(variant.name(), song.brief().meter()));
        if (groove.isPresent()) {
          GrooveEdits edits = new GrooveEdits(part.id(), variant.name());
          out = edits.replace("", groove.get().each(change)).apply(out);
        }
      }
    }
    return out;
  }
}
