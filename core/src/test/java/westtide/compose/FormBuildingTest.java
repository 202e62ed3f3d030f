package westtide.compose;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.Songs;
import westtide.compose.form.FormPlans;
import westtide.compose.form.LoopBuild;
import westtide.compose.form.OwnFormDraft;
import westtide.compose.form.TeasePlan;
import westtide.file.OwnFormFile;
import westtide.review.Soundings;
import westtide.review.finding.Check;
import westtide.review.finding.Finding;
import westtide.review.finding.Stage;
import westtide.review.form.Energy;
import westtide.review.form.EnergyProposal;
import westtide.score.Score;
import westtide.song.OwnForm;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.form.FormEdits;
import westtide.song.edit.form.SectionEdits;
import westtide.song.edit.part.PartEdits;
import westtide.song.form.Cell;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.song.form.SectionWord;
import westtide.song.form.Transition;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;
import westtide.style.Style;

/** Forms by plan, out of a loop and for an energy; lines that are teased; what is found missing. */
class FormBuildingTest {
  @TempDir Path folder;

  private static Style style(String id) {
    return Songs.book().get(id);
  }

  /** A song of one hook in which every part plays, an extra line and extra chords among them. */
  private static Song loop(String id) {
    Song song = Songs.draft(id, 2);
    PartId keys = song.parts(Role.CHORDS).get(0).id();
    PartId lead = song.parts(Role.LINE).get(0).id();
    Song more = new PartEdits(keys).duplicate(PartId.of("pad")).apply(song);
    more = new PartEdits(lead).duplicate(PartId.of("counter")).apply(more);
    Section hook =
        more.form().sections().stream()
            .filter(s -> s.word().kind() == SectionKind.HOOK)
            .findFirst()
            .orElseThrow()
            .withBars(8)
            .withEntry(List.of());
    for (Part part : more.parts()) {
      if (part.role() != Role.MARKS) {
        hook = hook.withCells(part.id(), List.of(new Cell(0, Level.FULL, "A")));
      }
    }
    return more.withForm(new Form(List.of(hook)));
  }

  /** 2:20 to 3:30 is usual (common practice); goals are met within eight bars. */
  @ParameterizedTest
  @ValueSource(ints = {100, 150, 200})
  void plansAreFittedToTheLengthGoal(int seconds) {
    for (Style style : Songs.book().styles()) {
      Song draft = Songs.draft(style.id(), 1);
      Song song =
          draft.withBrief(draft.brief().withPlan(draft.brief().plan().withSeconds(seconds)));
      FormPlans plans = new FormPlans(style, song);
      assertThat(plans.all()).as(style.id()).hasSizeGreaterThanOrEqualTo(5);
      long near = plans.all().stream().filter(p -> Math.abs(p.bars() - plans.goal()) <= 12).count();
      assertThat(near).as(style.id() + " " + plans.goal()).isGreaterThanOrEqualTo(1);
      FormPlans.Plan plan = plans.all().get(0);
      assertThat(plans.form(plan).bars()).isEqualTo(plan.bars());
    }
  }

  /**
   * Section lengths of the trade (common practice): intro 4 to 8, or 16 in dance music, hook 8 to
   * 16 or 32, verse 12 to 24 in eights, pre-hook 4 to 8, bridge 8 to 16, outro 4 to 16.
   */
  @Test
  void sectionsOfStylesAreAsLongAsUsual() {
    for (Style style : Songs.book().styles()) {
      Song song = Songs.draft(style.id(), 1);
      for (Section section : song.form().sections()) {
        int most =
            switch (section.word().kind()) {
              case INTRO, OUTRO, BRIDGE -> 16;
              case HOOK, GROOVE -> 32;
              case VERSE -> 24;
              case PRE_HOOK -> 8;
              case GAP -> 2;
            };
        assertThat(section.bars()).as(style.id() + " " + section.title()).isBetween(2, most);
        boolean eights = section.word().kind() == SectionKind.VERSE;
        assertThat(section.bars() % (eights ? 8 : 2))
            .as(style.id() + " " + section.title())
            .isZero();
      }
    }
  }

  /** Arithmetic: a bar of beats/unit at a tempo lasts 60 000 · beats · 4 / (unit · BPM) ms. */
  @ParameterizedTest
  @org.junit.jupiter.params.provider.CsvSource({
    "120, 4/4, 2000",
    "90, 4/4, 2666.67",
    "140, 3/4, 1285.71",
    "100, 6/8, 1800",
    "146, 5/4, 2054.79"
  })
  void barsAndTimeAgreeAtAnyTempoAndMeter(int tempo, String meter, double millis) {
    westtide.rhythm.Meter bars = westtide.rhythm.Meter.parse(meter);
    double bar = westtide.rhythm.Tempo.of(tempo).millis(bars.ticksPerBar());
    assertThat(bar).isCloseTo(millis, org.assertj.core.api.Assertions.within(0.01));
    Song song = Songs.draft("trap", 1);
    Song other = song.withBrief(song.brief().withTempo(westtide.rhythm.Tempo.of(tempo)));
    Score score = Score.of(other);
    assertThat(score.ticks()).isEqualTo(other.form().bars() * other.brief().meter().ticksPerBar());
    for (int i = 0; i < other.form().sections().size(); i++) {
      int start = other.form().startBar(i);
      assertThat(other.form().sectionAt(start)).isEqualTo(i);
    }
  }

  @Test
  void aPlanSaysWhatItWouldChangeAndKeepsPartsOfOnesOwn() {
    Song song = loop("trap");
    FormPlans plans = new FormPlans(style("trap"), song);
    FormPlans.Plan plan = plans.all().get(0);
    assertThat(plans.changes(plan)).anyMatch(s -> s.contains("intro is new"));
    assertThat(plans.isNow(plan)).isFalse();
    Song laid = FormEdits.replace("", plans.form(plan)).apply(song);
    assertThat(new FormPlans(style("trap"), laid).isNow(plan)).isTrue();
    assertThat(laid.form().sections())
        .anyMatch(s -> s.cell(PartId.of("pad"), 0).level() != Level.OUT);
    assertThat(new FormPlans(style("trap"), laid).changes(plan)).isEmpty();
  }

  @Test
  void aLoopBecomesASongThatGrowsFromHookToHook() {
    for (String id : List.of("trap", "house", "lo-fi")) {
      Song song = loop(id);
      LoopBuild build = LoopBuild.of(style(id), song);
      Song built = build.edit().apply(song);
      double seconds = built.millis() / 1000;
      assertThat(seconds).as(id).isBetween(120.0, 240.0);
      List<Long> hooks =
          built.form().sections().stream()
              .filter(s -> s.word().kind() == SectionKind.HOOK)
              .map(s -> playing(built, s))
              .toList();
      for (int i = 1; i < hooks.size(); i++) {
        assertThat(hooks.get(i)).as(id).isGreaterThanOrEqualTo(hooks.get(i - 1));
      }
      assertThat(hooks.get(hooks.size() - 1)).as(id).isGreaterThan(hooks.get(0) - 1);
      assertThat(build.entrances()).hasSameSizeAs(built.form().sections());
      assertThat(build.entrances().get(0)).contains(": in ");
      assertThat(built.form().sections().subList(1, built.form().sections().size()))
          .allMatch(s -> !s.entry().isEmpty());
    }
  }

  private static long playing(Song song, Section section) {
    return song.parts().stream()
        .filter(p -> section.cells(p.id()).stream().anyMatch(c -> c.level() != Level.OUT))
        .count();
  }

  @Test
  void aTeasedLineComesAsHintHalfAndFull() {
    Song song = Songs.draft("trap", 1);
    PartId lead = song.parts(Role.LINE).get(0).id();
    TeasePlan plan = new TeasePlan(song, lead);
    List<Level> levels = plan.stages().stream().map(TeasePlan.Stage::level).toList();
    assertThat(levels).contains(Level.HINT, Level.HALF);
    assertThat(levels.get(levels.size() - 1)).isEqualTo(Level.FULL);
    assertThat(levels.indexOf(Level.HINT)).isLessThan(levels.indexOf(Level.HALF));
    Song planted = plan.edit().apply(song);
    for (TeasePlan.Stage stage : plan.stages()) {
      Section section = planted.form().sections().get(stage.place());
      assertThat(section.cell(lead, stage.fromBar()).level()).isEqualTo(stage.level());
    }
  }

  @Test
  void aTargetIsReachedByLevelsWithReasons() {
    Song song = Songs.draft("trap", 1);
    Score score = Score.of(song);
    for (int wanted : new int[] {20, 45, 85}) {
      EnergyProposal proposal =
          EnergyProposal.of(score, style("trap"), song.form().id(2), wanted, () -> false)
              .orElseThrow();
      double off = Math.abs(proposal.after() - wanted);
      assertThat(off).as("to " + wanted).isLessThan(Math.abs(proposal.before() - wanted));
      assertThat(off).as("to " + wanted).isLessThan(12);
      assertThat(proposal.steps()).isNotEmpty();
      Song there = proposal.edit().apply(song);
      double real =
          Energy.of(Score.of(there))
              .mean(there.form().startBar(2), there.form().sections().get(2).bars());
      assertThat(real).isEqualTo(proposal.after(), org.assertj.core.api.Assertions.within(1e-6));
    }
    assertThat(EnergyProposal.of(score, style("trap"), song.form().id(2), 50, () -> true))
        .isEmpty();
  }

  @Test
  void aFormOfOnesOwnIsKeptAndLaidOutOverAnotherSong() throws Exception {
    Song model = Songs.draft("trap", 1);
    OwnForm own = OwnForm.of(model);
    OwnFormFile.write(own, folder);
    List<String> told = new java.util.ArrayList<>();
    assertThat(OwnFormFile.all(folder, told::add)).containsExactly(own);
    Song other = Songs.draft("house", 3);
    Form laid = new OwnFormDraft(own, style("house"), other).form();
    assertThat(laid).hasToString(model.form().toString());
    PartId lead = other.parts(Role.LINE).get(0).id();
    PartId like = model.parts(Role.LINE).get(0).id();
    for (int i = 0; i < laid.sections().size(); i++) {
      assertThat(laid.sections().get(i).cell(lead, 0).level())
          .isEqualTo(model.form().sections().get(i).cell(like, 0).level());
    }
    Score.of(FormEdits.replace("", laid).apply(other));
    OwnFormFile.remove(own.name(), folder);
    assertThat(OwnFormFile.all(folder, told::add)).isEmpty();
    assertThat(told).isEmpty();
    java.nio.file.Files.writeString(folder.resolve("bad.form.json"), "{");
    assertThat(OwnFormFile.all(folder, told::add)).isEmpty();
    assertThat(told).hasSize(1).first().asString().contains("bad.form.json");
  }

  private static List<Finding> found(Song song) {
    return Soundings.of(Score.of(song), style(song.brief().style())).at(Stage.FORM).findings();
  }

  private static Finding found(Song song, String id) {
    return found(song).stream()
        .filter(finding -> finding.id().code().startsWith("form." + id))
        .findFirst()
        .orElseThrow(() -> new AssertionError(id + " in " + found(song)));
  }

  private static void mends(Song song, String id) {
    Finding finding = found(song, id);
    Song mended = finding.fix().orElseThrow().edit().apply(song);
    assertThat(found(mended)).as(id).noneMatch(other -> other.id().equals(finding.id()));
  }

  @Test
  void whatIsMissingIsFoundAndMended() {
    Song song = Songs.draft("trap", 1);
    Song bare =
        new SectionEdits(song.form().id(0), SectionEdits.Scope.ALL).enter(List.of()).apply(song);
    mends(bare, "unannounced");
    PartId lead = song.parts(Role.LINE).get(0).id();
    Song main = new PartEdits(lead).main().apply(song);
    Song without = main.withForm(main.form().each(s -> s.withCells(lead, List.of(Cell.out()))));
    mends(without, "main");
    mends(without, "unteased");
    mends(FormEdits.resize(song.form().id(0), 24).apply(song), "intro");
    Song still =
        song.withForm(
            song.form()
                .with(
                    song.form().id(1),
                    s -> {
                      Section out = s.withMarks(List.of());
                      for (Part part : song.parts()) {
                        out = out.withCells(part.id(), List.of(s.cell(part.id(), 0)));
                      }
                      return out;
                    }));
    mends(still, "still");
    Song uneven = FormEdits.resize(song.form().id(1), 15).apply(song);
    mends(uneven, "uneven");
  }

  @Test
  void aPreHookThatDoesNotDipAndALastHookThatFallsAreFound() {
    Song song = Songs.draft("trap", 1);
    List<PartId> all =
        song.parts().stream().filter(p -> p.role() != Role.MARKS).map(Part::id).toList();
    Song full = FormEdits.fill(song.form().id(3), all).apply(song);
    mends(full, "nodip");
    Song low = song;
    for (PartId part : all.subList(0, all.size() - 1)) {
      low = FormEdits.level(song.form().id(6), part, 0, Level.HALF).apply(low);
    }
    mends(low, "lasthook");
  }

  @Test
  void moreThanTwoNewPartsAtOnceAreFound() {
    Song song = Songs.draft("trap", 1);
    Song crowd = song;
    for (Part part : song.parts()) {
      if (part.role() != Role.MARKS) {
        crowd = FormEdits.level(song.form().id(3), part.id(), 0, Level.FULL).apply(crowd);
        Section before = crowd.form().sections().get(2);
        int last = before.cells(part.id()).size() - 1;
        Cell cell = before.cells(part.id()).get(last);
        crowd =
            FormEdits.level(song.form().id(2), part.id(), cell.fromBar(), cell.beat(), Level.OUT)
                .apply(crowd);
      }
    }
    Finding finding = found(crowd, "crowd");
    assertThat(finding.fix().orElseThrow().label()).contains("enter at bar 5");
    Optional<Transition> none = Transition.parse("boom");
    assertThat(none).isEmpty();
  }

  /** Two new parts at once are a change, three a drop. */
  @ParameterizedTest
  @ValueSource(ints = {2, 3})
  void twoPartsMayEnterTogether(int count) {
    Song song = loop("trap");
    Section verse = song.form().sections().get(0).withWord(SectionWord.VERSE);
    List<Section> sections = List.of(verse.withId(SectionId.of(1)), verse.withId(SectionId.of(2)));
    Song two = song.withForm(new Form(sections));
    List<Part> parts = song.parts().stream().filter(p -> p.role() != Role.MARKS).toList();
    for (Part part : parts.subList(0, count)) {
      two =
          two.withForm(
              two.form().with(SectionId.of(1), s -> s.withCells(part.id(), List.of(Cell.out()))));
    }
    assertThat(found(two).stream().anyMatch(f -> f.id().check() == Check.FORM_CROWD))
        .isEqualTo(count > 2);
  }

  /** A pre-hook as full as the hook does not dip; one of half its parts does. */
  @Test
  void aPreHookDipsWhenItIsClearlyEmptierThanTheHook() {
    Song song = loop("trap");
    Section hook = song.form().sections().get(0);
    Section before = hook.withWord(SectionWord.PRE_HOOK).withId(SectionId.of(7));
    assertThat(dips(song, before, hook)).isFalse();
    Section emptier = before;
    List<Part> parts = song.parts();
    for (Part part : parts.subList(0, parts.size() / 2)) {
      emptier = emptier.withCells(part.id(), List.of(Cell.out()));
    }
    assertThat(dips(song, emptier, hook)).isTrue();
    assertThat(
            dips(song, hook.withWord(SectionWord.PRE_HOOK).withId(SectionId.of(7)), emptied(hook)))
        .as("fuller than the hook")
        .isFalse();
  }

  private static Section emptied(Section section) {
    Section out = section;
    for (PartId part : List.of(PartId.of("drums"), PartId.of("808"))) {
      out = out.withCells(part, List.of(Cell.out()));
    }
    return out;
  }

  private static boolean dips(Song song, Section before, Section hook) {
    Song both = song.withForm(new Form(List.of(before, hook)));
    return found(both).stream().noneMatch(f -> f.id().check() == Check.FORM_NODIP);
  }

  /** A stage that was set otherwise is planted so, one that is out is left away. */
  @Test
  void theStagesOfATeaseAreChosen() {
    Song song = Songs.draft("trap", 1);
    PartId lead = song.parts(Role.LINE).get(0).id();
    List<TeasePlan.Stage> usual = new TeasePlan(song, lead).stages();
    TeasePlan own =
        new TeasePlan(
            song,
            lead,
            Map.of(usual.get(0).section(), Level.OUT, usual.get(1).section(), Level.LIFTED));
    assertThat(own.path()).hasSize(usual.size() - 1);
    Song planted = own.edit().apply(song);
    Section first = planted.form().sections().get(usual.get(0).place());
    assertThat(first.cells(lead)).allMatch(cell -> cell.level() == Level.OUT);
    Section second = planted.form().sections().get(usual.get(1).place());
    assertThat(second.cell(lead, usual.get(1).fromBar()).level()).isEqualTo(Level.LIFTED);
  }
}
