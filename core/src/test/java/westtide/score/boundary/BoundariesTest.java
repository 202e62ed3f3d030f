package westtide.score.boundary;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.Songs;
import westtide.compose.form.FormDraft;
import westtide.compose.form.TransitionDraft;
import westtide.follow.Harmony;
import westtide.review.Soundings;
import westtide.review.finding.Stage;
import westtide.rhythm.Meter;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.score.event.AutomationTarget;
import westtide.score.event.Motion;
import westtide.score.event.ScoredNote;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.edit.form.FormEdits;
import westtide.song.edit.form.SectionEdits;
import westtide.song.edit.part.PartEdits;
import westtide.song.form.Form;
import westtide.song.form.FormLine;
import westtide.song.form.Level;
import westtide.song.form.Transition;
import westtide.song.form.TransitionKind;
import westtide.song.id.PartId;
import westtide.text.Reading;

/**
 * Transitions are notes and silences of the score: before the boundary, on it, and nowhere else.
 */
class BoundariesTest {
  private static final int BAR = 3840;
  private static final int HOOK = 8 * BAR;
  private static final Song SONG = typed("verse 8, hook 8");

  private static Song typed(String line) {
    Song song = Songs.draft("trap", 2);
    Form form =
        FormDraft.in(Songs.book().get("trap"), song).form(FormLine.parse(line).orElseThrow());
    return FormEdits.replace("", form).apply(song);
  }

  private static List<ScoredNote> notes(Song song, Role role) {
    return Score.of(song).parts(role).get(0).notes();
  }

  private static List<ScoredNote> between(Song song, Role role, int from, int to) {
    return notes(song, role).stream().filter(n -> n.end() > from && n.start() < to).toList();
  }

  @Test
  void drumsFallOutForTheBeatsBeforeAndNothingElseChanges() {
    Song out = typed("verse 8, hook 8 drums-out:4");
    assertThat(between(SONG, Role.DRUMS, HOOK - BAR, HOOK)).isNotEmpty();
    assertThat(between(out, Role.DRUMS, HOOK - BAR, HOOK)).isEmpty();
    assertThat(notes(out, Role.DRUMS))
        .filteredOn(n -> n.start() >= HOOK || n.end() <= HOOK - BAR)
        .isEqualTo(
            notes(SONG, Role.DRUMS).stream()
                .filter(n -> n.start() >= HOOK || n.end() <= HOOK - BAR)
                .toList());
    assertThat(notes(out, Role.CHORDS)).isEqualTo(notes(SONG, Role.CHORDS));
  }

  @Test
  void everythingStopsBeforeTheHookAndNoNoteHangs() {
    Song out = typed("verse 8, hook 8 stop:2");
    for (Role role : List.of(Role.DRUMS, Role.CHORDS, Role.SUB)) {
      assertThat(between(out, role, HOOK - 1920, HOOK)).as(role.toString()).isEmpty();
    }
    assertThat(between(SONG, Role.CHORDS, HOOK - 1920, HOOK)).isNotEmpty();
  }

  /** A bar that is silent on purpose is no hole in the form. */
  @Test
  void aStopOfAWholeBarIsNotFoundFaultWith() {
    Song out = typed("verse 8, hook 8 stop:4");
    assertThat(between(out, Role.CHORDS, HOOK - BAR, HOOK)).isEmpty();
    assertThat(Soundings.of(Score.of(out), Songs.book().get("trap")).at(Stage.FORM).findings())
        .noneMatch(finding -> finding.id().code().startsWith("form.empty"));
  }

  @Test
  void everythingStopsOnTheFirstSnareButThatSnare() {
    Song out = typed("verse 8, hook 8 snare-stop");
    int snare =
        notes(SONG, Role.DRUMS).stream()
            .filter(n -> n.start() >= HOOK)
            .filter(n -> n.of(DrumVoice.SNARE) || n.of(DrumVoice.CLAP))
            .mapToInt(ScoredNote::start)
            .min()
            .orElseThrow();
    assertThat(between(out, Role.DRUMS, snare, snare + 960))
        .isNotEmpty()
        .allMatch(n -> n.start() == snare)
        .allMatch(n -> n.of(DrumVoice.SNARE) || n.of(DrumVoice.CLAP));
    for (Role role : List.of(Role.CHORDS, Role.SUB)) {
      assertThat(between(out, role, snare, snare + 960)).as(role.toString()).isEmpty();
    }
    assertThat(notes(out, Role.SUB)).anyMatch(n -> n.start() >= snare + 960);
  }

  @Test
  void aCrashLandsOnTheOne() {
    Song out = typed("verse 8, hook 8 crash");
    assertThat(notes(out, Role.DRUMS))
        .filteredOn(n -> n.of(DrumVoice.CRASH))
        .extracting(ScoredNote::start)
        .containsExactly(HOOK);
    Song marked = typed("verse 8, hook 8 reverse riser:8 sweep impact");
    assertThat(notes(marked, Role.MARKS))
        .extracting(n -> n.instrument() + " " + (n.start() - HOOK) + " " + (n.end() - HOOK))
        .containsExactlyInAnyOrder(
            "riser -7680 0", "reversed crash -3840 0", "sweep down 0 3840", "impact 0 3840");
  }

  /** A score made from the one before is the score made anew, whatever is announced. */
  @ParameterizedTest
  @ValueSource(strings = {"drums-out:8", "stop", "snare-stop:0 crash", "drums-out stop crash"})
  void theScoreAfterAnEditIsTheScoreMadeAnew(String words) {
    Song out = typed("verse 8, hook 8 " + words);
    assertThat(Score.of(SONG).after(out)).isEqualTo(Score.of(out));
    assertThat(Score.of(out).after(SONG)).isEqualTo(Score.of(SONG));
    Song quiet =
        new SectionEdits(out.form().id(1), SectionEdits.Scope.THIS).stripDrums().apply(out);
    assertThat(Score.of(out).after(quiet)).isEqualTo(Score.of(quiet));
  }

  @Test
  void theFormLineSaysThemAndReadsThemAgain() {
    Song out = typed("verse 8, hook 8 drums-out:2 crash, outro 4 none");
    assertThat(FormLine.format(out.form(), Meter.COMMON))
        .isEqualTo("verse 8, hook 8 drums-out:2 crash, outro 4");
    assertThat(typed(FormLine.format(out.form(), Meter.COMMON)).form()).isEqualTo(out.form());
    Reading<?> wrong = FormLine.parse("intro 4, hook 8 boom");
    assertThat(((Reading.Problem<?>) wrong).message()).contains("boom").contains("drums-out");
    assertThat(((Reading.Problem<?>) wrong).column()).isEqualTo(10);
    assertThat(Transition.of(TransitionKind.SNARE_STOP))
        .hasToString("all stop on the first snare for a beat");
    assertThatThrownBy(() -> Transition.of(TransitionKind.STOP, 33))
        .hasMessageContaining("1 to 32");
    assertThat(
            FormLine.format(
                typed("verse 8, hook 8 gap 1 riser:6 open 2, outro 8 fade").form(), Meter.COMMON))
        .as("bars after a word are beats")
        .isEqualTo("verse 8, hook 8 gap:4 riser:6 open:8, outro 8 fade");
  }

  private static List<String> kinds() {
    return Stream.of(TransitionKind.values()).map(TransitionKind::word).toList();
  }

  /** What lies wholly outside its bars stays; nothing hangs over the end of the song. */
  @ParameterizedTest
  @MethodSource("kinds")
  void aTransitionChangesNothingOutsideItsBarsAndLeavesNoNoteHanging(String word) {
    Transition what = Transition.parse(word).orElseThrow();
    Song out = typed("verse 8, hook 8 " + word);
    int beats = what.beats() == 0 ? 32 : what.beats();
    boolean before = what.kind().place() == TransitionKind.Place.BEFORE;
    int from = before ? HOOK - beats * 960 : HOOK;
    int to = before ? HOOK : HOOK + Math.max(BAR, (beats + 4) * 960);
    for (ScoredPart part : Score.of(SONG).parts()) {
      List<ScoredNote> now = Score.of(out).part(part.part().id()).orElseThrow().notes();
      assertThat(now)
          .as("%s of %s", word, part.part().name())
          .filteredOn(n -> n.end() < from || n.start() >= to)
          .isEqualTo(part.notes().stream().filter(n -> n.end() < from || n.start() >= to).toList());
    }
    for (ScoredPart part : Score.of(out).parts()) {
      assertThat(part.notes()).allMatch(n -> n.ticks() >= 1 && n.end() <= Score.of(out).ticks());
      assertThat(part.notes()).allMatch(n -> n.velocity() >= 1 && n.velocity() <= 127);
    }
  }

  /** Each does something that can be heard: other notes, or something that moves. */
  @ParameterizedTest
  @MethodSource("kinds")
  void everyTransitionIsHeard(String word) {
    Song plain = typed("hook 8, verse 8, hook 8");
    Song out = typed("hook 8, verse 8, hook 8 " + word);
    boolean late = word.equals("late");
    boolean tail = word.equals("tail");
    PartId lead = out.parts(Role.LINE).get(0).id();
    if (late) {
      out = new PartEdits(lead).main().apply(out);
      plain = new PartEdits(lead).main().apply(plain);
    }
    if (tail) {
      out = FormEdits.level(out.form().id(2), lead, 0, Level.OUT).apply(out);
      plain = FormEdits.level(plain.form().id(2), lead, 0, Level.OUT).apply(plain);
    }
    Score now = Score.of(out);
    Score then = Score.of(plain);
    assertThat(
            then.parts().stream()
                    .anyMatch(
                        part -> {
                          ScoredPart other = now.part(part.part().id()).orElseThrow();
                          return !other.notes().equals(part.notes())
                              || !other.motions().equals(part.motions());
                        })
                || now.parts(Role.MARKS).stream().anyMatch(ScoredPart::plays))
        .as(word)
        .isTrue();
  }

  /** Quarters, eighths, sixteenths, louder and louder (common practice). */
  @Test
  void aSnareBuildDoublesItsStrokesTwice() {
    Song out = typed("verse 8, hook 8 build:16");
    List<ScoredNote> snares =
        notes(out, Role.DRUMS).stream()
            .filter(n -> n.source().transition() && n.of(DrumVoice.SNARE))
            .toList();
    assertThat(snares).hasSize(8 + 8 + 16);
    assertThat(snares.get(0).start()).isEqualTo(HOOK - 4 * BAR);
    for (int i = 1; i < snares.size(); i++) {
      int apart = snares.get(i).start() - snares.get(i - 1).start();
      assertThat(apart).isEqualTo(i <= 8 ? 960 : i <= 16 ? 480 : 240);
      assertThat(snares.get(i).velocity()).isGreaterThanOrEqualTo(snares.get(i - 1).velocity());
    }
  }

  @Test
  void aRunClimbsTheScaleIntoTheNoteThatOpensTheHook() {
    Song song = Songs.draft("afro-pop", 2);
    Form form =
        FormDraft.in(Songs.book().get("afro-pop"), song)
            .form(FormLine.parse("hook 8, verse 8, hook 8 run:4").orElseThrow());
    Song out = FormEdits.replace("", form).apply(song);
    Role low = song.parts(Role.BASS).isEmpty() ? Role.SUB : Role.BASS;
    List<ScoredNote> run = notes(out, low).stream().filter(n -> n.source().transition()).toList();
    assertThat(run).hasSize(8);
    for (int i = 1; i < run.size(); i++) {
      assertThat(Math.abs(run.get(i).key() - run.get(i - 1).key())).isBetween(1, 3);
      assertThat(song.brief().key().contains(run.get(i).key() % 12)).isTrue();
    }
    ScoredNote one =
        notes(out, low).stream().filter(n -> n.start() >= 16 * BAR).findFirst().orElseThrow();
    assertThat(Math.abs(one.key() - run.get(7).key())).isBetween(1, 3);
  }

  @Test
  void aLowPassOpensOverItsBarsAndAFadeStaysDown() {
    Song out = typed("verse 8, hook 8 open:16, outro 8 fade");
    ScoredPart keys = Score.of(out).parts(Role.CHORDS).get(0);
    double open = AutomationTarget.LOW_PASS.rest();
    Motion low = keys.motion(AutomationTarget.LOW_PASS);
    assertThat(low.at(HOOK - 4 * BAR, open)).isCloseTo(open - 6, within(0.01));
    assertThat(low.at(HOOK - 2 * BAR, open)).isCloseTo(open - 3, within(0.01));
    assertThat(low.at(HOOK, open)).isEqualTo(open);
    Motion level = keys.motion(AutomationTarget.LEVEL);
    assertThat(level.at(16 * BAR, 0)).isCloseTo(0, within(0.01));
    assertThat(level.at(20 * BAR, 0)).isCloseTo(-30, within(0.01));
    assertThat(level.at(24 * BAR - 1, 0)).isCloseTo(-60, within(0.1));
  }

  @Test
  void chosenPartsAndLanesAloneFallSilent() {
    PartId lead = SONG.parts(Role.CHORDS).get(0).id();
    Transition gap = Transition.of(TransitionKind.GAP, 8).withParts(java.util.Set.of(lead));
    Song out =
        new SectionEdits(SONG.form().id(1), SectionEdits.Scope.THIS)
            .enter(List.of(gap))
            .apply(SONG);
    assertThat(between(out, Role.CHORDS, HOOK - 2 * BAR, HOOK)).isEmpty();
    assertThat(notes(out, Role.DRUMS)).isEqualTo(notes(SONG, Role.DRUMS));
    Transition hats =
        Transition.of(TransitionKind.DRUMS_OUT, 4)
            .withLanes(java.util.Set.of(DrumVoice.CLOSED_HAT.lane()));
    Song thin =
        new SectionEdits(SONG.form().id(1), SectionEdits.Scope.THIS)
            .enter(List.of(hats))
            .apply(SONG);
    assertThat(between(thin, Role.DRUMS, HOOK - BAR, HOOK))
        .isNotEmpty()
        .noneMatch(n -> n.of(DrumVoice.CLOSED_HAT) && n.start() >= HOOK - BAR);
  }

  @Test
  void aMarkAtAnyBarIsHeardThere() {
    Song out =
        FormEdits.transitions(SONG.form().id(1), 4, List.of(Transition.of(TransitionKind.STOP, 2)))
            .apply(SONG);
    int bar = HOOK + 4 * BAR;
    assertThat(between(SONG, Role.CHORDS, bar - 1920, bar)).isNotEmpty();
    assertThat(between(out, Role.CHORDS, bar - 1920, bar)).isEmpty();
  }

  @Test
  void theLastTwoBarsAreHeld() {
    Song out = new SectionEdits(SONG.form().id(1), SectionEdits.Scope.THIS).heldEnd(2).apply(SONG);
    int end = HOOK + 8 * BAR;
    List<ScoredNote> held = between(out, Role.CHORDS, end - 2 * BAR, end);
    List<Integer> changes =
        Harmony.of(SONG.progression(SONG.form().sections().get(1).progression()), 8, SONG.brief())
            .chords()
            .stream()
            .map(chord -> HOOK + chord.start())
            .filter(tick -> tick >= end - 2 * BAR && tick < end)
            .toList();
    assertThat(changes).as("chords change inside").hasSizeGreaterThan(1);
    assertThat(held.stream().map(ScoredNote::start).distinct().toList())
        .as("each is struck once, where it changes")
        .isEqualTo(changes);
    assertThat(held)
        .isNotEmpty()
        .allMatch(
            n -> n.end() == changes.stream().filter(c -> c > n.start()).findFirst().orElse(end));
  }

  @Test
  void everyBoundaryIsAnnouncedAsTheStyleDoesWithAReason() {
    for (var style : Songs.book().styles()) {
      Song song = Songs.draft(style.id(), 1);
      TransitionDraft draft = new TransitionDraft(style, song);
      assertThat(draft.proposals()).as(style.id()).hasSizeGreaterThan(2);
      assertThat(draft.proposals()).allMatch(one -> one.why().length() > 3);
      for (int i = 1; i < song.form().sections().size(); i++) {
        assertThat(song.form().sections().get(i).entry())
            .as("%s, %s", style.id(), song.form().label(i))
            .isNotEmpty();
      }
      assertThat(Score.of(song).parts(Role.MARKS).stream().allMatch(ScoredPart::plays))
          .as(style.id())
          .isTrue();
    }
    Song song = Songs.draft("trap", 1);
    assertThat(FormLine.format(song.form(), Meter.COMMON)).contains("reverse crash");
    Song bare =
        new SectionEdits(song.form().id(1), SectionEdits.Scope.ALL).enter(List.of()).apply(song);
    assertThat(new TransitionDraft(Songs.book().get("trap"), bare).propose().apply(bare).form())
        .as("a draft has them already")
        .isEqualTo(song.form());
  }
}
