package westtide.review.form;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.compose.form.TeasePlan;
import westtide.review.finding.Check;
import westtide.review.finding.Finding;
import westtide.review.finding.FindingId;
import westtide.review.finding.Fix;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.form.FormEdits;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.style.CoreParts;
import westtide.style.Style;

/**
 * Where parts are over the whole song: the main part in verses and hooks, once nearly alone and
 * hinted at before; drums that rest somewhere (common practice).
 */
final class PartFindings {
  private static final String EVERYWHERE = "the whole song";
  private static final int SECTIONS_TO_REST = 3;

  private static final int SECTIONS_TO_STAND_ALONE = 4;
  private static final int NEARLY_ALONE = 2;

  private final PlacedSections sections;
  private final Style style;
  private final Song song;
  private final Form form;

  PartFindings(PlacedSections sections, Style style) {
    this.sections = sections;
    this.style = style;
    this.song = sections.song();
    this.form = sections.form();
  }

  List<Finding> all() {
    Optional<Part> main = song.main().flatMap(song::part);
    List<Finding> out = new ArrayList<>();
    main.ifPresent(part -> out.addAll(missing(part)));
    out.addAll(restless(main));
    if (main.isPresent() && sections.count() >= SECTIONS_TO_STAND_ALONE) {
      neverAlone(main.get()).ifPresent(out::add);
      unteased(main.get()).ifPresent(out::add);
    }
    return out;
  }

  private List<Finding> missing(Part main) {
    List<Finding> out = new ArrayList<>();
    for (int place = 0; place < sections.count(); place++) {
      SectionKind kind = sections.kind(place);
      boolean asked = kind == SectionKind.VERSE || kind == SectionKind.HOOK;
      if (asked && !plays(sections.at(place), main)) {
        out.add(missing(main, place));
      }
    }
    return out;
  }

  private static boolean plays(Section section, Part part) {
    return section.cells(part.id()).stream().anyMatch(cell -> cell.level() != Level.OUT);
  }

  private Finding missing(Part main, int place) {
    return PlacedSections.note(
        FindingId.of(Check.FORM_MAIN).at("#" + form.id(place)),
        main.name() + ", the main part, is out of the " + form.label(place),
        sections.bars(place),
        "Verses keep the main part and the groove, and little else.",
        Optional.of(
            new Fix(
                "bring it in at half", FormEdits.level(form.id(place), main.id(), 0, Level.HALF))));
  }

  private List<Finding> restless(Optional<Part> main) {
    boolean could = form.sections().stream().anyMatch(this::restsByStyle);
    if (sections.count() < SECTIONS_TO_REST || !could) {
      return List.of();
    }
    return song.parts(Role.DRUMS).stream()
        .filter(part -> !main.equals(Optional.of(part)))
        .filter(this::neverRests)
        .map(PartFindings::restless)
        .toList();
  }

  /** Whether the style leaves the drums out of some of such a section. */
  private boolean restsByStyle(Section section) {
    return Optional.ofNullable(style.form().levels().get(section.word().kind()))
        .map(plan -> plan.get(CoreParts.DRUMS.value()))
        .filter(
            plan ->
                plan.cells(section.bars(), Role.DRUMS).stream()
                    .anyMatch(cell -> cell.level() == Level.OUT))
        .isPresent();
  }

  private boolean neverRests(Part part) {
    return form.sections().stream()
        .flatMap(section -> section.cells(part.id()).stream())
        .allMatch(cell -> cell.level() != Level.OUT);
  }

  private static Finding restless(Part part) {
    return PlacedSections.note(
        FindingId.of(Check.FORM_RESTLESS, part.id()),
        part.name() + " never rests",
        EVERYWHERE,
        "What is always there is not heard any more; an intro, a pre-hook or a bridge without"
            + " it brings it back.",
        Optional.empty());
  }

  private Optional<Finding> neverAlone(Part main) {
    if (form.sections().stream().anyMatch(section -> nearlyAlone(section, main))) {
      return Optional.empty();
    }
    return Optional.of(
        PlacedSections.note(
            FindingId.of(Check.FORM_NEVERALONE, main.id()),
            main.name() + " never stands alone",
            EVERYWHERE,
            "The main part is remembered when it is heard by itself, or nearly, once: in the"
                + " intro or the bridge.",
            Optional.empty()));
  }

  private boolean nearlyAlone(Section section, Part main) {
    return begins(section, main)
        && song.parts().stream().filter(part -> begins(section, part)).count() <= NEARLY_ALONE;
  }

  private static boolean begins(Section section, Part part) {
    return section.cell(part.id(), 0).level() != Level.OUT;
  }

  private Optional<Finding> unteased(Part main) {
    if (main.role() != Role.LINE || teased(main)) {
      return Optional.empty();
    }
    return Optional.of(
        PlacedSections.note(
            FindingId.of(Check.FORM_UNTEASED, main.id()),
            main.name() + " is never hinted at",
            EVERYWHERE,
            "A line that has been hinted at before is recognised when it comes in full.",
            Optional.of(new Fix("tease it", new TeasePlan(song, main.id()).edit()))));
  }

  private boolean teased(Part line) {
    return form.sections().stream()
        .flatMap(section -> section.cells(line.id()).stream())
        .anyMatch(cell -> cell.level() == Level.HINT);
  }
}
