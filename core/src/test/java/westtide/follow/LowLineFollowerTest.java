package westtide.follow;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.Songs;
import westtide.rhythm.Figure;
import westtide.song.Brief;
import westtide.song.chord.PlacedChord;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.pattern.LowLine;
import westtide.theory.Key;

/** The grammar of a low line (common practice). */
class LowLineFollowerTest {
  private static final Brief BRIEF = Songs.draft("trap", 1).brief().withKey(Key.parse("A minor"));
  private static final List<Integer> KICKS =
      List.of(0, 1440, 2880, 3840, 5280, 6240, 7680, 9120, 11520, 12960, 14400);

  private static Harmony harmony(String chords) {
    return Harmony.of(Songs.progression(BRIEF, chords), 8, BRIEF);
  }

  private static List<Note> play(LowLine rule, Harmony harmony) {
    return new LowLineFollower(rule, harmony, KICKS, List.of(), BRIEF.key()).resolve();
  }

  private static LowLine random(long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    List<LowLine.Rhythm> rhythms =
        Stream.of(LowLine.Rhythm.values()).filter(rhythm -> !rhythm.borrowed()).toList();
    List<LowLine.Pitches> pitches =
        Stream.of(LowLine.Pitches.values()).filter(p -> p != LowLine.Pitches.PEDAL).toList();
    LowLine.PickUp[] pickUps = LowLine.PickUp.values();
    return LowLine.of(28)
        .withFigure(new Figure("x--x--x-x---x-x-"))
        .withRhythm(rhythms.get(random.nextInt(rhythms.size())))
        .withPitches(pitches.get(random.nextInt(pitches.size())))
        .withPickUp(pickUps[random.nextInt(pickUps.length)])
        .withPhraseBars(1 << random.nextInt(3))
        .withRest(random.nextInt(60))
        .withSlides(random.nextBoolean())
        .withSeed(seed);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20})
  void everyChordBeginsOnItsBassAndNothingLeadsIntoItselfNorOverlaps(long seed) {
    Harmony harmony = harmony("Am7 | F . . C/E | Dm | G . E7");
    LowLine rule = random(seed);
    List<Note> notes = play(rule, harmony);
    assertThat(notes).as(rule.toString()).isNotEmpty();
    for (PlacedChord chord : harmony.chords()) {
      assertThat(notes)
          .as(chord.chord() + " in " + rule)
          .anyMatch(
              n -> n.start() == chord.start() && n.key() % 12 == chord.chord().bass().pitchClass());
    }
    for (int i = 0; i + 1 < notes.size(); i++) {
      Note note = notes.get(i);
      Note next = notes.get(i + 1);
      assertThat(note.end()).isLessThanOrEqualTo(next.start());
      boolean pickUp =
          rule.pickUp() != LowLine.PickUp.NONE
              && note.end() <= next.start()
              && harmony.chords().stream().anyMatch(c -> c.start() == next.start())
              && next.start() - note.start() == 480
              && harmony.at(note.start()).ticks() > 960
              && harmony.at(note.start()).chord().bass().pitchClass()
                  != harmony.at(next.start()).chord().bass().pitchClass();
      if (pickUp) {
        assertThat(note.key()).as("at " + note.start() + " in " + rule).isNotEqualTo(next.key());
      }
    }
  }

  @ParameterizedTest
  @EnumSource(LowLine.Pitches.class)
  void fifthsFallOnWeakBeatsOnlyAndLeapsStayWithinAFifthButForOctaves(LowLine.Pitches pitches) {
    Harmony harmony = harmony("Am | F | C | G");
    LowLine rule =
        LowLine.of(28).withRhythm(LowLine.Rhythm.EIGHTHS).withPitches(pitches).withPhraseBars(1);
    List<Note> notes = play(rule, harmony);
    for (Note note : notes) {
      PlacedChord chord = harmony.at(note.start());
      boolean fifth =
          note.key() % 12 == (chord.chord().root().pitchClass() + 7) % 12
              && pitches == LowLine.Pitches.FIFTHS
              && note.start() + 480 < chord.end();
      if (fifth) {
        assertThat(note.start() % 1920).isNotZero();
      }
    }
    if (pitches != LowLine.Pitches.OCTAVES && pitches != LowLine.Pitches.ANSWERS) {
      for (int i = 0; i + 1 < notes.size(); i++) {
        assertThat(Math.abs(notes.get(i + 1).key() - notes.get(i).key()))
            .as(notes.get(i) + " to " + notes.get(i + 1))
            .isLessThanOrEqualTo(9);
      }
    }
  }

  @Test
  void theRestIsLeftFreeAndAPhraseChangesInItsSecondBar() {
    Harmony harmony = harmony("Am | Am | Am | Am");
    LowLine rule =
        LowLine.of(28)
            .withRhythm(LowLine.Rhythm.EIGHTHS)
            .withPickUp(LowLine.PickUp.NONE)
            .withRest(30);
    List<Note> notes = play(rule, harmony);
    double share = notes.stream().mapToInt(Note::ticks).sum() / (double) harmony.ticks();
    assertThat(share).isBetween(0.6, 0.75);
    assertThat(inBar(notes, 0)).isEqualTo(8);
    assertThat(inBar(notes, 1)).isEqualTo(7);
    assertThat(inBar(notes, 4)).isEqualTo(8);
    assertThat(inBar(notes, 5)).isEqualTo(7);
  }

  private static long inBar(List<Note> notes, int bar) {
    return notes.stream().filter(note -> note.start() / 3840 == bar).count();
  }

  @Test
  void itSlidesIntoTheFifthAndInTheNextPhraseIntoTheOctave() {
    LowLine rule = LowLine.of(28).withSlides(true).withPickUp(LowLine.PickUp.NONE);
    List<Note> notes = play(rule, harmony("Am | F | C | G"));
    List<Note> slides = notes.stream().filter(note -> note.slide() > 0).toList();
    assertThat(slides).hasSize(2);
    assertThat(slides.get(0).start() / 3840).isEqualTo(3);
    assertThat(slides.get(0).key() % 12).isEqualTo(2);
    assertThat(slides.get(1).key() % 12).isEqualTo(7);
  }

  /** Common practice: the log drum lands on the strong beats and answers on steps 11, 13 and 15. */
  @Test
  void theLogDrumLandsOnStrongBeatsAndAnswersAtTheEndOfTheBarInFifthsAndOctaves() {
    LowLine rule =
        LowLine.of(28)
            .withRhythm(LowLine.Rhythm.LOG_DRUM)
            .withPitches(LowLine.Pitches.ANSWERS)
            .withPickUp(LowLine.PickUp.NONE)
            .withPhraseBars(1)
            .withSlides(true);
    List<Note> notes = play(rule, harmony("Am | Am | F | F"));
    assertThat(notes.stream().filter(n -> n.start() / 3840 == 1).map(n -> n.start() / 240 % 16))
        .containsExactly(0, 8, 10, 12, 14);
    assertThat(notes.stream().filter(n -> n.start() / 3840 == 1).map(Note::key))
        .containsExactly(33, 33, 40, 45, 40);
    assertThat(notes.stream().filter(n -> n.slide() > 0).map(n -> n.start() / 240))
        .containsExactly(30, 62, 94, 126);
  }

  @Test
  void aPedalStaysAtHomeAndARollLeavesTheKicksAlone() {
    Harmony harmony = harmony("Am | F | C | G");
    LowLine rule = LowLine.of(28).withPitches(LowLine.Pitches.PEDAL).withPhraseBars(1);
    assertThat(play(rule.withPickUp(LowLine.PickUp.NONE), harmony))
        .allMatch(note -> note.key() == 33);
    List<Note> rolling =
        play(
            rule.withRhythm(LowLine.Rhythm.ROLLING).withPickUp(LowLine.PickUp.NONE),
            harmony("Am | Am | Am | Am"));
    assertThat(rolling).hasSizeGreaterThan(40);
    assertThat(rolling.subList(1, rolling.size()))
        .allMatch(note -> note.start() % 3840 == 0 || !KICKS.contains(note.start()));
  }

  /** It plays where the other part is silent, and ends before that part begins. */
  @Test
  void inTheGapsOfAnotherPartItNeverSoundsWithIt() {
    List<Note> model = List.of(new Note(0, 960, 40, 90), new Note(1920, 480, 40, 90));
    LowLine rule = LowLine.of(28).listening(LowLine.Rhythm.GAPS, PartId.of("808"));
    List<Note> notes =
        new LowLineFollower(rule, harmony("Am"), KICKS, model, BRIEF.key()).resolve();
    assertThat(notes.stream().limit(2).map(Note::start)).containsExactly(960, 2400);
    assertThat(notes)
        .allMatch(n -> model.stream().allMatch(m -> n.end() <= m.start() || n.start() >= m.end()));
    List<Note> borrowed =
        new LowLineFollower(
                rule.listening(LowLine.Rhythm.PART, PartId.of("808"))
                    .withRest(0)
                    .withPickUp(LowLine.PickUp.NONE),
                harmony("Am"),
                KICKS,
                model,
                BRIEF.key())
            .resolve();
    assertThat(borrowed.stream().map(n -> n.start() + ":" + n.ticks()))
        .startsWith("0:960", "1920:480");
  }

  @Test
  void answeringTheKickItNeverStartsWithOneButOnChords() {
    LowLine rule =
        LowLine.of(28)
            .withRhythm(LowLine.Rhythm.ANSWER)
            .withPickUp(LowLine.PickUp.NONE)
            .withPhraseBars(1);
    Harmony harmony = harmony("Am | F | C | G");
    for (Note note : play(rule, harmony)) {
      boolean chord = harmony.chords().stream().anyMatch(c -> c.start() == note.start());
      assertThat(chord || !KICKS.contains(note.start())).as("tick " + note.start()).isTrue();
    }
  }
}
