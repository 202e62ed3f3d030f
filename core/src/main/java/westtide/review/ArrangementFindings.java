package westtide.review;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import westtide.compose.TeasePlan;
import westtide.compose.TransitionDraft;
import westtide.score.Score;
import westtide.score.ScoredNote;
import westtide.score.ScoredPart;
import westtide.song.Cell;
import westtide.song.Form;
import westtide.song.FormLine;
import westtide.song.Level;
import westtide.song.Mark;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Section;
import westtide.song.SectionKind;
import westtide.song.Song;
import westtide.song.Transition;
import westtide.song.edit.FormEdits;
import westtide.song.edit.SectionEdits;
import westtide.style.Style;

/**
 * What a listener would miss in an arrangement: boundaries that nobody hears coming, too much or
 * too little that changes, a main part that is gone. Figures are common practice.
 */
final class ArrangementFindings {
  private static final int HABIT_BARS = 8;
  private static final int MOST_NEW = 2;
  private static final double DIP = 3;

  private final Score score;
  private final Song song;
  private final Form form;
  private final Style style;
  private final Energy energy;
  private final List<Finding> out = new ArrayList<>();

  ArrangementFindings(Score score, Style style, Energy energy) {
    this.score = score;
    this.song = score.song();
    this.form = song.form();
    this.style = style;
    this.energy = energy;
  }

  List<Finding> all() {
    for (int i = 0; i < form.sections().size(); i++) {
      addBoundary(i);
      addNewParts(i);
      addStill(i);
      addOrder(i);
      addUneven(i);
      addReturn(i);
    }
    addMain();
    addRestless();
    addNeverAlone();
    addLongIntro();
    return out;
  }

  private Section section(int place) {
    return form.sections().get(place);
  }

  private SectionKind kind(int place) {
    return section(place).word().kind();
  }

  private double mean(int place) {
    return energy.mean(form.startBar(place), section(place).bars());
  }

  private void add(String id, String title, String where, String why, Optional<Fix> fix) {
    out.add(new Finding("form." + id, Weight.NOTE, title, where, why, fix));
  }

  private String bars(int place) {
    int first = form.startBar(place) + 1;
    return "bars " + first + "–" + (first + section(place).bars() - 1);
  }

  private void addBoundary(int place) {
    if (place == 0) {
      return;
    }
    List<Transition> entry = section(place).entry();
    List<Transition> end = section(place - 1).at(section(place - 1).bars());
    boolean before =
        !end.isEmpty()
            || entry.stream().anyMatch(t -> t.kind().place() == Transition.Place.BEFORE)
            || endsOtherwise(place - 1);
    boolean after =
        entry.stream().anyMatch(t -> t.kind().place() == Transition.Place.AFTER)
            || enters(place) > 0;
    boolean hook = kind(place) == SectionKind.HOOK;
    boolean silent = energy.bars().get(form.startBar(place) - 1) == 0;
    Optional<Fix> fix =
        new TransitionDraft(style, song)
            .of(form.id(place))
            .filter(proposal -> !proposal.marks().equals(entry))
            .map(
                proposal ->
                    new Fix(
                        "enter it as " + style.name() + " does",
                        new SectionEdits(form.id(place), SectionEdits.Scope.THIS)
                            .enter(proposal.marks())));
    if (silent && entry.isEmpty()) {
      add(
          "silence.#" + form.id(place),
          "The " + form.label(place) + " enters from silence",
          bars(place),
          "Nothing leads into it; a riser, a reversed crash or a fill would.",
          fix);
    } else if (!before && (hook || !after)) {
      add(
          "unannounced.#" + form.id(place),
          "Nothing announces the " + form.label(place),
          bars(place),
          "A listener hears a section coming when something stops, fills or rises before it.",
          fix);
    } else if (hook && !after) {
      add(
          "unlanded.#" + form.id(place),
          "Nothing lands on the one of the " + form.label(place),
          bars(place),
          "A crash, an impact or a part that enters on the one makes the arrival heard.",
          Optional.of(
              new Fix(
                  "crash on the one",
                  new SectionEdits(form.id(place), SectionEdits.Scope.THIS)
                      .enter(with(entry, Transition.of(Transition.Kind.CRASH))))));
    }
  }

  private static List<Transition> with(List<Transition> entry, Transition more) {
    List<Transition> all = new ArrayList<>(entry);
    all.add(more);
    return all;
  }

  /** Whether some part changes in the last two bars of a section. */
  private boolean endsOtherwise(int place) {
    return song.parts().stream()
        .anyMatch(
            part ->
                section(place).cells(part.id()).stream()
                    .anyMatch(cell -> section(place).ending(cell.fromBar())));
  }

  private int enters(int place) {
    int count = 0;
    for (Part part : song.parts()) {
      Section before = section(place - 1);
      boolean was = before.cell(part.id(), before.bars() - 1).level() != Level.OUT;
      boolean is = section(place).cell(part.id(), 0).level() != Level.OUT;
      count += !was && is ? 1 : 0;
    }
    return count;
  }

  private void addNewParts(int place) {
    boolean may =
        place == 0 || kind(place) == SectionKind.HOOK || kind(place - 1) == SectionKind.GAP;
    int count = may ? 0 : enters(place);
    if (count > MOST_NEW + 1) {
      add(
          "crowd.#" + form.id(place) + "." + count,
          count + " parts enter at once in the " + form.label(place),
          bars(place),
          "More than two new parts at once sound like a drop; let one of them wait for the second"
              + " half.",
          late(place));
    }
  }

  /** The last of the parts that enter waits for the second half. */
  private Optional<Fix> late(int place) {
    Section section = section(place);
    for (int i = song.parts().size() - 1; i >= 0; i--) {
      Part part = song.parts().get(i);
      Cell cell = section.cell(part.id(), 0);
      Section before = section(place - 1);
      boolean enters =
          cell.level() != Level.OUT
              && before.cell(part.id(), before.bars() - 1).level() == Level.OUT;
      if (enters && section.bars() > 1) {
        int half = section.bars() / 2;
        return Optional.of(
            new Fix(
                "let " + part.name() + " enter at bar " + (half + 1),
                westtide.song.edit.Edit.together(
                    "Let " + part.name() + " enter later",
                    List.of(
                        FormEdits.split(form.id(place), part.id(), half),
                        FormEdits.level(form.id(place), part.id(), 0, Level.OUT)))));
      }
    }
    return Optional.empty();
  }

  private void addStill(int place) {
    TreeSet<Integer> changes = new TreeSet<>(List.of(0, section(place).bars()));
    song.parts()
        .forEach(part -> section(place).cells(part.id()).forEach(c -> changes.add(c.fromBar())));
    section(place).curves().values().forEach(list -> list.forEach(c -> changes.add(c.fromBar())));
    section(place).marks().stream().map(Mark::bar).forEach(changes::add);
    int last = 0;
    for (int change : changes) {
      if (change - last > HABIT_BARS && kind(place) != SectionKind.GROOVE) {
        int half = last + (change - last) / 2;
        add(
            "still.#" + form.id(place) + "." + last,
            (change - last) + " bars of the " + form.label(place) + " without any change",
            "bars " + (form.startBar(place) + last + 1) + "–" + (form.startBar(place) + change),
            "Every four or eight bars something usually enters, leaves or varies.",
            dropOut(place, half));
        return;
      }
      last = change;
    }
  }

  /** The drums leave a beat in the middle. */
  private Optional<Fix> dropOut(int place, int bar) {
    return Optional.of(
        new Fix(
            "drums out for a beat before bar " + (form.startBar(place) + bar + 1),
            FormEdits.transitions(
                form.id(place),
                bar,
                with(section(place).at(bar), Transition.of(Transition.Kind.DRUMS_OUT)))));
  }

  private void addOrder(int place) {
    if (kind(place) == SectionKind.PRE_HOOK
        && place + 1 < form.sections().size()
        && kind(place + 1) == SectionKind.HOOK) {
      boolean build = section(place).word().toString().equals("build");
      double first = energy.mean(form.startBar(place), Math.max(1, section(place).bars() / 2));
      int half = section(place).bars() / 2;
      double second = energy.mean(form.startBar(place) + half, section(place).bars() - half);
      if (build && second < first - 0.5) {
        add(
            "buildfalls.#" + form.id(place),
            "The " + form.label(place) + " does not rise",
            bars(place),
            "Its second half has "
                + Math.round(second)
                + " against "
                + Math.round(first)
                + "; a build gets louder, brighter and denser towards the drop.",
            Optional.of(
                new Fix(
                    "snare build into the " + form.label(place + 1),
                    new SectionEdits(form.id(place + 1), SectionEdits.Scope.THIS)
                        .enter(
                            with(
                                section(place + 1).entry(),
                                Transition.of(Transition.Kind.SNARE_BUILD))))));
      }
      if (!build && mean(place) > mean(place + 1) - DIP) {
        add(
            "nodip.#" + form.id(place),
            "The " + form.label(place) + " does not dip before the " + form.label(place + 1),
            bars(place),
            "It has "
                + Math.round(mean(place))
                + " against "
                + Math.round(mean(place + 1))
                + "; a hook lands because what stands before it is emptier.",
            Optional.of(
                new Fix(
                    "strip the drums of the " + form.label(place),
                    new SectionEdits(form.id(place), SectionEdits.Scope.THIS).stripDrums())));
      }
    }
    if (kind(place) == SectionKind.HOOK && lastHook() == place) {
      for (int i = 0; i < place; i++) {
        if (kind(i) == SectionKind.HOOK && mean(i) > mean(place) + 1) {
          add(
              "lasthook.#" + form.id(place),
              "The last hook is lower than the " + form.label(i),
              bars(place),
              Math.round(mean(place))
                  + " against "
                  + Math.round(mean(i))
                  + "; the last hook is usually the highest, or equal.",
              Optional.of(
                  new Fix(
                      "fill the " + form.label(place),
                      FormEdits.fill(
                          form.id(place),
                          song.parts().stream()
                              .filter(p -> p.role() != Role.MARKS && p.role() != Role.BASS)
                              .map(Part::id)
                              .toList()))));
          return;
        }
      }
    }
  }

  private int lastHook() {
    for (int i = form.sections().size() - 1; i >= 0; i--) {
      if (kind(i) == SectionKind.HOOK) {
        return i;
      }
    }
    return -1;
  }

  /** A groove or line whose bars do not divide its section breaks off at the end. */
  private void addUneven(int place) {
    for (ScoredPart part : score.parts()) {
      for (westtide.score.Passage passage : part.passages()) {
        int bar = song.brief().meter().ticksPerBar();
        int length =
            passage
                .groove()
                .map(groove -> groove.bars())
                .or(() -> passage.line().map(line -> line.bars()))
                .orElse(1);
        int played = (passage.end() - passage.sectionStart()) / bar;
        boolean fill = section(passage.place()).ending(passage.from() / bar);
        if (passage.place() == place
            && length > 1
            && !fill
            && played == section(place).bars()
            && played % length != 0) {
          add(
              "uneven." + part.part().id() + ".#" + form.id(place),
              part.part().name() + " breaks off in the " + form.label(place),
              bars(place),
              passage.name()
                  + " is "
                  + length
                  + " bars long, the section "
                  + played
                  + "; the last time it is cut.",
              Optional.of(
                  new Fix(
                      "make the section " + (played / length + 1) * length + " bars",
                      FormEdits.resize(form.id(place), (played / length + 1) * length))));
          return;
        }
      }
    }
  }

  /** A section that comes back note for note, in songs of a style that goes on evolving. */
  private void addReturn(int place) {
    if (!style.groove().schools().throughWritten() || kind(place) == SectionKind.GAP) {
      return;
    }
    for (int i = 0; i < place; i++) {
      boolean same =
          kind(i) == kind(place)
              && section(i).bars() == section(place).bars()
              && notes(i).equals(notes(place));
      if (same) {
        add(
            "same.#" + form.id(place),
            "The " + form.label(place) + " is the " + form.label(i) + " note for note",
            bars(place),
            style.name()
                + " usually evolves; a part more, another fill or another ending makes it"
                + " a return.",
            Optional.empty());
        return;
      }
    }
  }

  private Set<String> notes(int place) {
    int bar = song.brief().meter().ticksPerBar();
    int from = form.startBar(place) * bar;
    int to = from + section(place).bars() * bar;
    Set<String> all = new HashSet<>();
    for (ScoredPart part : score.parts()) {
      for (ScoredNote note : part.between(from, to)) {
        all.add(
            part.part().id()
                + " "
                + (note.start() - from)
                + " "
                + note.key()
                + " "
                + note.velocity());
      }
    }
    return all;
  }

  private void addMain() {
    if (song.main().isEmpty()) {
      return;
    }
    Part main = song.part(song.main().get()).orElseThrow();
    for (int i = 0; i < form.sections().size(); i++) {
      boolean asked = kind(i) == SectionKind.VERSE || kind(i) == SectionKind.HOOK;
      boolean plays =
          section(i).cells(main.id()).stream().anyMatch(cell -> cell.level() != Level.OUT);
      if (asked && !plays) {
        add(
            "main.#" + form.id(i),
            main.name() + ", the main part, is out of the " + form.label(i),
            bars(i),
            "Verses keep the main part and the groove, and little else.",
            Optional.of(
                new Fix(
                    "bring it in at half", FormEdits.level(form.id(i), main.id(), 0, Level.HALF))));
      }
    }
  }

  private void addRestless() {
    if (form.sections().size() < 3) {
      return;
    }
    for (Part part : song.parts()) {
      boolean always =
          form.sections().stream()
              .allMatch(s -> s.cells(part.id()).stream().allMatch(c -> c.level() != Level.OUT));
      boolean main = song.main().filter(part.id()::equals).isPresent();
      if (always && !main && part.role() == Role.DRUMS) {
        add(
            "restless." + part.id(),
            part.name() + " never rests",
            "the whole song",
            "What is always there is not heard any more; an intro, a pre-hook or a bridge without"
                + " it brings it back.",
            Optional.empty());
      }
    }
  }

  private void addNeverAlone() {
    Optional<Part> main = song.main().flatMap(song::part);
    if (main.isEmpty() || form.sections().size() < 4) {
      return;
    }
    boolean alone =
        form.sections().stream()
            .anyMatch(
                section ->
                    section.cell(main.get().id(), 0).level() != Level.OUT
                        && song.parts().stream()
                                .filter(p -> section.cell(p.id(), 0).level() != Level.OUT)
                                .count()
                            <= 2);
    if (!alone) {
      add(
          "neveralone." + main.get().id(),
          main.get().name() + " never stands alone",
          "the whole song",
          "The main part is remembered when it is heard by itself, or nearly, once: in the intro or"
              + " the bridge.",
          Optional.empty());
    }
    if (main.get().role() == Role.LINE && !teased(main.get())) {
      add(
          "unteased." + main.get().id(),
          main.get().name() + " is never hinted at",
          "the whole song",
          "A line that has been hinted at before is recognised when it comes in full.",
          Optional.of(new Fix("tease it", new TeasePlan(song, main.get().id()).edit())));
    }
  }

  private boolean teased(Part line) {
    return form.sections().stream()
        .flatMap(section -> section.cells(line.id()).stream())
        .anyMatch(cell -> cell.level() == Level.HINT);
  }

  private void addLongIntro() {
    int usual =
        style.form().templates().stream()
            .map(template -> FormLine.parse(template.line()).orElseThrow().get(0))
            .filter(item -> item.word().kind() == SectionKind.INTRO)
            .mapToInt(FormLine.Item::bars)
            .max()
            .orElse(HABIT_BARS);
    if (kind(0) == SectionKind.INTRO && section(0).bars() > usual) {
      add(
          "intro." + section(0).bars(),
          "The intro has " + section(0).bars() + " bars",
          bars(0),
          style.name() + " usually begins with at most " + usual + "; listeners leave in intros.",
          Optional.of(new Fix("make it " + usual + " bars", FormEdits.resize(form.id(0), usual))));
    }
  }
}
