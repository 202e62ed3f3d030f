package westtide.review.form;

import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;

/** Points of the checklist that are read from the form. */
public final class FormPoints {
  private static final int TOLERANCE_SECONDS = 15;
  private static final int USUAL_SECONDS = 170;
  private static final int USUAL_TOLERANCE = 60;

  /** The points of the checklist about the form, and when they are reached. */
  public static final Map<String, Predicate<Score>> ALL =
      Map.of(
          "line hinted at early", score -> hinted(score.song()),
          "fill before sections", score -> drumsBeforeSections(score.song(), false),
          "drums stop before a section", score -> drumsBeforeSections(score.song(), true),
          "two-bar gap",
              score ->
                  score.song().form().sections().stream()
                      .anyMatch(s -> s.word().kind() == SectionKind.GAP),
          "hook above verse", FormPoints::hookAboveVerse,
          "last hook highest", FormPoints::lastHookHighest,
          "planned length", score -> planned(score.song()));

  private FormPoints() {}

  /** The first section in which some line plays has it at a hint or half. */
  private static boolean hinted(Song song) {
    return song.parts(Role.LINE).stream()
        .anyMatch(
            line ->
                song.form().sections().stream()
                    .flatMap(section -> section.cells(line.id()).stream())
                    .filter(cell -> cell.level() != Level.OUT)
                    .findFirst()
                    .map(cell -> cell.level().ordinal() <= Level.HALF.ordinal())
                    .orElse(false));
  }

  /** Whether, in front of some section, some drums play another groove or fall out. */
  private static boolean drumsBeforeSections(Song song, boolean silent) {
    List<Section> sections = song.form().sections();
    return song.parts(Role.DRUMS).stream()
        .anyMatch(
            drums ->
                IntStream.range(0, sections.size() - 1)
                    .anyMatch(i -> turns(sections.get(i), drums, silent)));
  }

  private static boolean turns(Section section, Part drums, boolean silent) {
    var last = section.cell(drums.id(), section.bars() - 1);
    var before = section.cell(drums.id(), Math.max(0, section.bars() - 2));
    boolean played = before.level() != Level.OUT;
    return silent
        ? last.level() == Level.OUT && section.bars() > 1
        : played
            && last.level() != Level.OUT
            && !drums.pattern(last.pattern()).equals(drums.pattern(before.pattern()));
  }

  private static boolean hookAboveVerse(Score score) {
    List<Double> hooks = energies(score, SectionKind.HOOK);
    List<Double> verses = energies(score, SectionKind.VERSE);
    if (hooks.isEmpty()) {
      return false;
    }
    double highestVerse = verses.stream().mapToDouble(d -> d).max().orElse(0);
    return hooks.stream().mapToDouble(d -> d).min().orElse(0) > highestVerse;
  }

  private static boolean lastHookHighest(Score score) {
    List<Double> hooks = energies(score, SectionKind.HOOK);
    return !hooks.isEmpty()
        && hooks.get(hooks.size() - 1) >= hooks.stream().mapToDouble(d -> d).max().orElse(0);
  }

  private static List<Double> energies(Score score, SectionKind kind) {
    Energy energy = Energy.of(score);
    Form form = score.song().form();
    return IntStream.range(0, form.sections().size())
        .filter(i -> form.sections().get(i).word().kind() == kind)
        .mapToObj(i -> energy.mean(form.startBar(i), form.sections().get(i).bars()))
        .toList();
  }

  /** Within 15 seconds of the plan; without a plan between 1:50 and 3:50. */
  private static boolean planned(Song song) {
    int wished = song.brief().plan().seconds();
    double off = Math.abs(song.millis() / 1000 - (wished == 0 ? USUAL_SECONDS : wished));
    return off <= (wished == 0 ? USUAL_TOLERANCE : TOLERANCE_SECONDS);
  }
}
