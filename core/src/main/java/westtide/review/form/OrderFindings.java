package westtide.review.form;

import java.util.Optional;
import java.util.stream.IntStream;
import westtide.review.finding.Check;
import westtide.review.finding.Finding;
import westtide.review.finding.FindingId;
import westtide.review.finding.Fix;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.form.FormEdits;
import westtide.song.edit.form.SectionEdits;
import westtide.song.form.Form;
import westtide.song.form.FormLine;
import westtide.song.form.SectionKind;
import westtide.song.form.TransitionKind;
import westtide.style.Style;

/**
 * Whether each section is as full as its place in the song asks for: builds rise, what stands
 * before a hook dips, the last hook is the highest, the intro is short (common practice).
 */
final class OrderFindings {
  private static final int USUAL_INTRO_BARS = 8;
  private static final double DIP = 3;
  private static final double FALL = 0.5;
  private static final double LOWER = 1;

  private final PlacedSections sections;
  private final Song song;
  private final Form form;
  private final Style style;

  OrderFindings(PlacedSections sections, Style style) {
    this.sections = sections;
    this.song = sections.song();
    this.form = sections.form();
    this.style = style;
  }

  /** What is noticed of a section against those around it. */
  Optional<Finding> at(int place) {
    return switch (sections.kind(place)) {
      case PRE_HOOK -> beforeHook(place);
      case HOOK -> lastHook(place);
      default -> Optional.empty();
    };
  }

  private Optional<Finding> beforeHook(int place) {
    if (place + 1 == sections.count() || sections.kind(place + 1) != SectionKind.HOOK) {
      return Optional.empty();
    }
    return sections.at(place).word().toString().equals("build") ? build(place) : dip(place);
  }

  private Optional<Finding> build(int place) {
    int bars = sections.at(place).bars();
    int half = bars / 2;
    double first = sections.energy().mean(form.startBar(place), Math.max(1, half));
    double second = sections.energy().mean(form.startBar(place) + half, bars - half);
    if (second >= first - FALL) {
      return Optional.empty();
    }
    return Optional.of(
        PlacedSections.note(
            FindingId.of(Check.FORM_BUILDFALLS).at("#" + form.id(place)),
            "The " + form.label(place) + " does not rise",
            sections.bars(place),
            "Its second half has "
                + Math.round(second)
                + " against "
                + Math.round(first)
                + "; a build gets louder, brighter and denser towards the drop.",
            Optional.of(
                new Fix(
                    "snare build into the " + form.label(place + 1),
                    new SectionEdits(form.id(place + 1), SectionEdits.Scope.THIS)
                        .enter(sections.at(place + 1).atWith(0, TransitionKind.SNARE_BUILD))))));
  }

  private Optional<Finding> dip(int place) {
    if (sections.mean(place) <= sections.mean(place + 1) - DIP) {
      return Optional.empty();
    }
    return Optional.of(
        PlacedSections.note(
            FindingId.of(Check.FORM_NODIP).at("#" + form.id(place)),
            "The " + form.label(place) + " does not dip before the " + form.label(place + 1),
            sections.bars(place),
            "It has "
                + Math.round(sections.mean(place))
                + " against "
                + Math.round(sections.mean(place + 1))
                + "; a hook lands because what stands before it is emptier.",
            Optional.of(
                new Fix(
                    "strip the drums of the " + form.label(place),
                    new SectionEdits(form.id(place), SectionEdits.Scope.THIS).stripDrums()))));
  }

  private Optional<Finding> lastHook(int place) {
    if (form.last(SectionKind.HOOK).orElseThrow() != place) {
      return Optional.empty();
    }
    return IntStream.range(0, place)
        .filter(earlier -> sections.kind(earlier) == SectionKind.HOOK)
        .filter(earlier -> sections.mean(earlier) > sections.mean(place) + LOWER)
        .mapToObj(higher -> lastHook(place, higher))
        .findFirst();
  }

  private Finding lastHook(int place, int higher) {
    return PlacedSections.note(
        FindingId.of(Check.FORM_LASTHOOK).at("#" + form.id(place)),
        "The last hook is lower than the " + form.label(higher),
        sections.bars(place),
        Math.round(sections.mean(place))
            + " against "
            + Math.round(sections.mean(higher))
            + "; the last hook is usually the highest, or equal.",
        Optional.of(
            new Fix(
                "fill the " + form.label(place),
                FormEdits.fill(
                    form.id(place),
                    song.parts().stream()
                        .filter(part -> part.role() != Role.MARKS && part.role() != Role.BASS)
                        .map(Part::id)
                        .toList()))));
  }

  /** An intro longer than the style begins with. */
  Optional<Finding> longIntro() {
    int bars = sections.at(0).bars();
    int usual = usualIntro();
    if (sections.kind(0) != SectionKind.INTRO || bars <= usual) {
      return Optional.empty();
    }
    return Optional.of(
        PlacedSections.note(
            FindingId.of(Check.FORM_INTRO).at(bars),
            "The intro has " + bars + " bars",
            sections.bars(0),
            style.name() + " usually begins with at most " + usual + "; listeners leave in intros.",
            Optional.of(
                new Fix("make it " + usual + " bars", FormEdits.resize(form.id(0), usual)))));
  }

  private int usualIntro() {
    return style.form().templates().stream()
        .map(template -> FormLine.parse(template.line()).orElseThrow().get(0))
        .filter(item -> item.word().kind() == SectionKind.INTRO)
        .mapToInt(FormLine.Item::bars)
        .max()
        .orElse(USUAL_INTRO_BARS);
  }
}
