package westtide.review.form;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.IntStream;
import westtide.review.finding.Check;
import westtide.review.finding.Finding;
import westtide.review.finding.FindingId;
import westtide.review.finding.Fix;
import westtide.score.Passage;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.score.event.ScoredNote;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.edit.form.FormEdits;
import westtide.song.form.Form;
import westtide.song.form.Mark;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.song.form.TransitionKind;
import westtide.song.pattern.Pattern;
import westtide.style.Style;

/**
 * Sections in which nothing happens for too long, patterns that break off at the end of theirs, and
 * sections that come back note for note (common practice).
 */
final class ChangeFindings {
  private static final int HABIT_BARS = 8;

  private static final int PHRASE = 4;

  private final Score score;
  private final PlacedSections sections;
  private final Song song;
  private final Form form;
  private final Style style;
  private final Map<Integer, Played> breakingOff;

  ChangeFindings(Score score, PlacedSections sections, Style style) {
    this.score = score;
    this.sections = sections;
    this.song = sections.song();
    this.form = sections.form();
    this.style = style;
    this.breakingOff = breakingOff();
  }

  /** The first stretch of a section in which nothing changes for longer than is usual. */
  Optional<Finding> still(int place) {
    if (sections.kind(place) == SectionKind.GROOVE) {
      return Optional.empty();
    }
    int last = 0;
    for (int change : changes(place)) {
      if (change - last > HABIT_BARS) {
        return Optional.of(still(place, last, change));
      }
      last = change;
    }
    return Optional.empty();
  }

  private SortedSet<Integer> changes(int place) {
    Section section = sections.at(place);
    SortedSet<Integer> changes = new TreeSet<>(sections.partChanges(place));
    section.curves().values().forEach(list -> list.forEach(cell -> changes.add(cell.fromBar())));
    section.marks().stream().map(Mark::bar).forEach(changes::add);
    return changes;
  }

  private Finding still(int place, int from, int to) {
    return PlacedSections.note(
        FindingId.of(Check.FORM_STILL).at("#" + form.id(place), from),
        (to - from) + " bars of the " + form.label(place) + " without any change",
        "bars " + (form.startBar(place) + from + 1) + "–" + (form.startBar(place) + to),
        "Every four or eight bars something usually enters, leaves or varies.",
        Optional.of(dropOut(place, from + (to - from) / 2)));
  }

  /** The drums leave a beat in the middle. */
  private Fix dropOut(int place, int bar) {
    return new Fix(
        "drums out for a beat before bar " + (form.startBar(place) + bar + 1),
        FormEdits.transitions(
            form.id(place), bar, sections.at(place).atWith(bar, TransitionKind.DRUMS_OUT)));
  }

  /** A groove or line whose bars do not divide its section breaks off at the end. */
  Optional<Finding> uneven(int place) {
    return Optional.ofNullable(breakingOff.get(place))
        .map(first -> uneven(first.part(), first.passage()));
  }

  /** A part and what it plays. */
  private record Played(Part part, Passage passage) {}

  /** The first part that breaks off in each section where one does. */
  private Map<Integer, Played> breakingOff() {
    Map<Integer, Played> out = new HashMap<>();
    for (ScoredPart part : score.parts()) {
      for (Passage passage : part.passages()) {
        if (!out.containsKey(passage.place()) && breaksOff(passage)) {
          out.put(passage.place(), new Played(part.part(), passage));
        }
      }
    }
    return out;
  }

  private boolean breaksOff(Passage passage) {
    int bar = song.brief().meter().ticksPerBar();
    Section section = sections.at(passage.place());
    int played = (passage.end() - passage.sectionStart()) / bar;
    return !section.ending(passage.from() / bar)
        && played == section.bars()
        && played % length(passage) != 0
        && !half(played, length(passage));
  }

  /** Half of a pattern, or a quarter, of four bars or more is a phrase of its own. */
  private static boolean half(int played, int length) {
    return played >= PHRASE && length % played == 0;
  }

  private static int length(Passage passage) {
    return passage
        .groove()
        .map(Pattern.Drums::bars)
        .or(() -> passage.line().map(Pattern.Written::bars))
        .orElse(1);
  }

  private Finding uneven(Part part, Passage passage) {
    int place = passage.place();
    int played = sections.at(place).bars();
    int length = length(passage);
    int whole = (played / length + 1) * length;
    return PlacedSections.note(
        FindingId.of(Check.FORM_UNEVEN, part.id()).at("#" + form.id(place)),
        part.name() + " breaks off in the " + form.label(place),
        sections.bars(place),
        passage.name()
            + " is "
            + length
            + " bars long, the section "
            + played
            + "; the last time it is cut.",
        Optional.of(
            new Fix(
                "make the section " + whole + " bars", FormEdits.resize(form.id(place), whole))));
  }

  /** A section that comes back note for note, in songs of a style that goes on evolving. */
  Optional<Finding> returns(int place) {
    if (!style.groove().schools().throughWritten() || sections.kind(place) == SectionKind.GAP) {
      return Optional.empty();
    }
    return IntStream.range(0, place)
        .filter(earlier -> same(earlier, place))
        .mapToObj(earlier -> returns(earlier, place))
        .findFirst();
  }

  private boolean same(int earlier, int place) {
    return sections.kind(earlier) == sections.kind(place)
        && sections.at(earlier).length().equals(sections.at(place).length())
        && notes(earlier).equals(notes(place));
  }

  private Finding returns(int earlier, int place) {
    return PlacedSections.note(
        FindingId.of(Check.FORM_SAME).at("#" + form.id(place)),
        "The " + form.label(place) + " is the " + form.label(earlier) + " note for note",
        sections.bars(place),
        style.name()
            + " usually evolves; a part more, another fill or another ending makes it"
            + " a return.",
        Optional.empty());
  }

  private Set<String> notes(int place) {
    int from = form.startTick(place, song.brief().meter());
    int to = from + sections.at(place).ticks(song.brief().meter());
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
}
