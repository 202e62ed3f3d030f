package westtide.review.form;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.compose.form.TransitionDraft;
import westtide.review.finding.Check;
import westtide.review.finding.Finding;
import westtide.review.finding.FindingId;
import westtide.review.finding.Fix;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.edit.Edit;
import westtide.song.edit.form.FormEdits;
import westtide.song.edit.form.SectionEdits;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.song.form.TransitionKind;
import westtide.style.Style;

/**
 * Boundaries nobody hears coming or arriving, and more parts than can be followed that enter at one
 * of them (common practice).
 */
final class BoundaryFindings {
  private static final int MOST_NEW = 2;

  private final PlacedSections sections;
  private final Song song;
  private final Form form;
  private final Style style;

  BoundaryFindings(PlacedSections sections, Style style) {
    this.sections = sections;
    this.song = sections.song();
    this.form = sections.form();
    this.style = style;
  }

  /** What is noticed where a section is entered; nothing for the first. */
  List<Finding> at(int place) {
    if (place == 0) {
      return List.of();
    }
    List<Finding> out = new ArrayList<>();
    boundary(place).ifPresent(out::add);
    newParts(place).ifPresent(out::add);
    return out;
  }

  private Optional<Finding> boundary(int place) {
    boolean hook = sections.kind(place) == SectionKind.HOOK;
    boolean landed = landed(place);
    boolean silent = sections.energy().bars().get(form.startBar(place) - 1) == 0;
    if (silent && sections.at(place).entry().isEmpty()) {
      return Optional.of(silence(place));
    }
    if (!announced(place) && (hook || !landed)) {
      return Optional.of(unannounced(place));
    }
    return hook && !landed ? Optional.of(unlanded(place)) : Optional.empty();
  }

  private boolean announced(int place) {
    Section before = sections.at(place - 1);
    return !before.at(before.bars()).isEmpty()
        || stands(place, TransitionKind.Place.BEFORE)
        || endsOtherwise(place - 1);
  }

  private boolean landed(int place) {
    return stands(place, TransitionKind.Place.AFTER) || sections.entering(place) > 0;
  }

  private boolean stands(int place, TransitionKind.Place where) {
    return sections.at(place).entry().stream().anyMatch(t -> t.kind().place() == where);
  }

  private Finding silence(int place) {
    return PlacedSections.note(
        FindingId.of(Check.FORM_SILENCE).at("#" + form.id(place)),
        "The " + form.label(place) + " enters from silence",
        sections.bars(place),
        "Nothing leads into it; a riser, a reversed crash or a fill would.",
        asTheStyleDoes(place));
  }

  private Finding unannounced(int place) {
    return PlacedSections.note(
        FindingId.of(Check.FORM_UNANNOUNCED).at("#" + form.id(place)),
        "Nothing announces the " + form.label(place),
        sections.bars(place),
        "A listener hears a section coming when something stops, fills or rises before it.",
        asTheStyleDoes(place));
  }

  private Finding unlanded(int place) {
    return PlacedSections.note(
        FindingId.of(Check.FORM_UNLANDED).at("#" + form.id(place)),
        "Nothing lands on the one of the " + form.label(place),
        sections.bars(place),
        "A crash, an impact or a part that enters on the one makes the arrival heard.",
        Optional.of(
            new Fix(
                "crash on the one",
                new SectionEdits(form.id(place), SectionEdits.Scope.THIS)
                    .enter(sections.at(place).atWith(0, TransitionKind.CRASH)))));
  }

  private Optional<Fix> asTheStyleDoes(int place) {
    return new TransitionDraft(style, song)
        .of(form.id(place))
        .filter(proposal -> !proposal.marks().equals(sections.at(place).entry()))
        .map(
            proposal ->
                new Fix(
                    "enter it as " + style.name() + " does",
                    new SectionEdits(form.id(place), SectionEdits.Scope.THIS)
                        .enter(proposal.marks())));
  }

  /** Whether some part changes in the last two bars of a section. */
  private boolean endsOtherwise(int place) {
    return song.parts().stream()
        .anyMatch(
            part ->
                sections.at(place).cells(part.id()).stream()
                    .anyMatch(cell -> sections.at(place).ending(cell.fromBar())));
  }

  private Optional<Finding> newParts(int place) {
    SectionKind before = sections.kind(place - 1);
    boolean may =
        sections.kind(place) == SectionKind.HOOK
            || before == SectionKind.GAP
            || before == SectionKind.INTRO;
    long count = sections.entering(place);
    if (may || count <= MOST_NEW) {
      return Optional.empty();
    }
    return Optional.of(
        PlacedSections.note(
            FindingId.of(Check.FORM_CROWD).at("#" + form.id(place), count),
            count + " parts enter at once in the " + form.label(place),
            sections.bars(place),
            "More than two new parts at once sound like a drop; let one of them wait for the"
                + " second half.",
            late(place)));
  }

  /** The last of the parts that enter waits for the second half. */
  private Optional<Fix> late(int place) {
    Section section = sections.at(place);
    for (int i = song.parts().size() - 1; i >= 0; i--) {
      Part part = song.parts().get(i);
      if (sections.enters(part, place) && section.bars() > 1) {
        int half = section.bars() / 2;
        Edit edit =
            Edit.together(
                "Let " + part.name() + " enter later",
                List.of(
                    FormEdits.split(form.id(place), part.id(), half),
                    FormEdits.level(form.id(place), part.id(), 0, Level.OUT)));
        return Optional.of(new Fix("let " + part.name() + " enter at bar " + (half + 1), edit));
      }
    }
    return Optional.empty();
  }
}
