package westtide.file.midi;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import westtide.Songs;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.score.event.ScoredNote;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.form.FormEdits;
import westtide.song.form.Level;
import westtide.song.form.Transition;
import westtide.song.form.TransitionKind;
import westtide.song.id.PartId;
import westtide.song.mix.Curve;
import westtide.song.mix.CurveShape;

/**
 * Curves, hints, transitions and single sections as independent readers list them (Debian's midicsv
 * and python3-mido). Controller 7 and 11 read as 40·log10(value/127) dB, 74 evenly in octaves
 * (General MIDI, from memory).
 */
class MidiMotionsTest {
  private static final int BAR = 3840;
  private static final PartId KEYS = PartId.of("keys");
  private static final Song SONG = Songs.draft("trap", 1);
  private static final int HOOK = 8 * BAR;

  @TempDir Path folder;

  private List<MidiListing> read(Song song) throws Exception {
    Path file = folder.resolve("song.mid");
    MidiFile.write(Score.of(song), file);
    return MidiListing.readBy(file);
  }

  private static MidiListing.Track track(MidiListing listing, Song song, PartId part) {
    String name = song.part(part).orElseThrow().name();
    return listing.tracks().stream().filter(t -> t.name().equals(name)).findFirst().orElseThrow();
  }

  private static Song moving(Curve... curves) {
    return FormEdits.curves(SONG.form().id(1), KEYS, List.of(curves)).apply(SONG);
  }

  @Test
  void aLevelCurveIsWithinOneStepOfControllerSeven() throws Exception {
    Song song = moving(new Curve(Curve.Kind.LEVEL, 0, 8, CurveShape.straight(-240, 0)));
    double own = SONG.part(KEYS).orElseThrow().mix().level() / 10.0;
    for (MidiListing listing : read(song)) {
      MidiListing.Track keys = track(listing, song, KEYS);
      for (int tick = 0; tick < 8 * BAR; tick += 37) {
        double decibels = own - 24 + 24.0 * tick / (8 * BAR);
        double expected = 127 * Math.pow(10, (decibels - 6) / 40);
        assertThat((double) keys.control(7, HOOK + tick))
            .as("tick %d", tick)
            .isBetween(expected - 1, expected + 1);
      }
      assertThat(keys.control(7, HOOK + 8 * BAR)).isEqualTo(keys.control(7, 0));
      assertThat(keys.controls().get(7).size()).as("it is thinned").isLessThan(130);
    }
  }

  @Test
  void aLowPassIsControllerSeventyFourAndPanBouncesOnTen() throws Exception {
    Song song =
        moving(
            Curve.straight(Curve.Kind.LOW_PASS, 400, 20_000),
            new Curve(
                Curve.Kind.PAN, 0, 2, new CurveShape.Cycle(-100, 100, 960, CurveShape.Wave.STEPS)));
    for (MidiListing listing : read(song)) {
      MidiListing.Track keys = track(listing, song, KEYS);
      for (int tick = 0; tick < 16 * BAR; tick += 1001) {
        double hertz = 400 * Math.pow(50, tick / (16.0 * BAR));
        double expected = 127 * Math.log(hertz / 200) / Math.log(100);
        assertThat((double) keys.control(74, HOOK + tick)).isBetween(expected - 1, expected + 1);
      }
      for (int beat = 0; beat < 8; beat++) {
        assertThat(keys.control(10, HOOK + 960 * beat + 10)).isEqualTo(1);
        assertThat(keys.control(10, HOOK + 960 * beat + 490)).isEqualTo(127);
      }
    }
  }

  /** Receivers by cable take about a thousand messages a second for all channels (MIDI 1.0). */
  @Test
  void aFastWobbleIsFiftyEventsASecondAndExactWhereItTurns() throws Exception {
    Song song =
        moving(
            Curve.straight(Curve.Kind.WOBBLE, 80, 80),
            Curve.straight(Curve.Kind.WOBBLE_RATE, 4, 4));
    double seconds = song.form().sections().get(1).bars() * 4 * 60 / song.brief().tempo().bpm();
    for (MidiListing listing : read(song)) {
      MidiListing.Track keys = track(listing, song, KEYS);
      long inside =
          keys.controls().get(74).keySet().stream()
              .filter(t -> t >= HOOK && t < HOOK + 16 * BAR)
              .count();
      assertThat(inside / seconds).isBetween(8.0, 51.0);
      int lowest = keys.control(74, HOOK + 120);
      for (int turn = 1; turn < 40; turn++) {
        assertThat(keys.control(74, HOOK + 240 * turn + 120)).isCloseTo(lowest, within(3));
      }
    }
  }

  /** A gate in eighths closes every second sixteenth; in sixteenths every second half of one. */
  @Test
  void aGateThatDoublesItsRateIsExpression() throws Exception {
    Song song =
        moving(
            Curve.straight(Curve.Kind.GATE, 75, 75).over(0, 4),
            new Curve(
                Curve.Kind.GATE_RATE,
                0,
                4,
                new CurveShape.Points(
                    List.of(
                        new CurveShape.Point(0, 2, CurveShape.Bend.HELD),
                        new CurveShape.Point(500, 4, CurveShape.Bend.HELD),
                        new CurveShape.Point(1000, 4, CurveShape.Bend.HELD)))));
    for (MidiListing listing : read(song)) {
      MidiListing.Track keys = track(listing, song, KEYS);
      assertThat(keys.control(11, HOOK + 100)).isEqualTo(127);
      assertThat(keys.control(11, HOOK + 300)).as("a quarter of the level").isEqualTo(64);
      assertThat(keys.control(11, HOOK + 500)).isEqualTo(127);
      int second = HOOK + 2 * BAR;
      assertThat(keys.control(11, second + 60)).isEqualTo(127);
      assertThat(keys.control(11, second + 180)).isEqualTo(64);
      assertThat(keys.control(11, second + 300)).isEqualTo(127);
    }
  }

  @Test
  void aHintSaysSoByVelocityExpressionAndBrightness() throws Exception {
    Song song = FormEdits.level(SONG.form().id(1), KEYS, 0, Level.HINT).apply(SONG);
    for (MidiListing listing : read(song)) {
      MidiListing.Track keys = track(listing, song, KEYS);
      assertThat(keys.control(11, HOOK)).isLessThan(127);
      assertThat(keys.control(74, HOOK)).isLessThan(90);
      assertThat(keys.control(11, HOOK + 16 * BAR)).isEqualTo(127);
    }
  }

  /** Risers, sweeps and impacts have programs of their own, each right before its note. */
  @Test
  void marksAreWrittenWithTheirPrograms() throws Exception {
    Song song =
        FormEdits.transitions(
                SONG.form().id(1),
                0,
                List.of(
                    Transition.of(TransitionKind.RISER),
                    Transition.of(TransitionKind.REVERSE),
                    Transition.of(TransitionKind.IMPACT)))
            .apply(SONG);
    PartId marks = song.parts(Role.MARKS).get(0).id();
    for (MidiListing listing : read(song)) {
      MidiListing.Track track = track(listing, song, marks);
      assertThat(track.notes())
          .extracting(MidiListing.Listed::start)
          .contains(HOOK - 8 * 960, HOOK - 4 * 960, HOOK);
    }
  }

  @Test
  void everySectionIsAFileWithWhatStartsInIt() throws Exception {
    Score score = Score.of(moving(Curve.straight(Curve.Kind.LEVEL, -200, 0)));
    List<Path> files = WrittenPieces.in(folder, MidiPieces.sections(score));
    assertThat(files).hasSize(SONG.form().sections().size());
    assertThat(files.get(1).getFileName().toString()).endsWith(" 02 hook.mid");
    for (int place = 0; place < files.size(); place++) {
      int from = SONG.form().startBar(place) * BAR;
      int to = from + SONG.form().sections().get(place).bars() * BAR;
      for (MidiListing listing : MidiListing.readBy(files.get(place))) {
        assertThat(listing.markers())
            .isEqualTo(
                new TreeMap<>(java.util.Map.of(0, SONG.form().sections().get(place).title())));
        for (ScoredPart part : score.parts()) {
          List<String> expected = new ArrayList<>();
          for (ScoredNote note : part.between(from, to)) {
            expected.add(note.start() - from + " " + note.key() + " " + note.velocity());
          }
          List<String> listed =
              listing.tracks().stream()
                  .filter(track -> track.name().equals(part.part().name()))
                  .flatMap(track -> track.notes().stream())
                  .map(note -> note.start() + " " + note.key() + " " + note.velocity())
                  .toList();
          assertThat(listed).containsExactlyInAnyOrderElementsOf(expected);
        }
        if (place == 1) {
          MidiListing.Track keys = track(listing, SONG, KEYS);
          assertThat(keys.control(7, 0)).isLessThan(keys.control(7, 16 * BAR - 1) / 2);
        }
      }
    }
  }
}
