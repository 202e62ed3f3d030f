package westtide.score;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import westtide.score.event.AutomationTarget;
import westtide.score.event.Motion;
import westtide.score.event.ScoredNote;
import westtide.song.Song;
import westtide.song.form.Form;
import westtide.song.form.Section;
import westtide.song.id.SectionId;

/**
 * One section of a score by itself, from its first tick to its last. Its notes are those it has in
 * the song, so a line that goes on from the section before stands where it stood.
 */
public final class SectionScore {
  private SectionScore() {}

  /** The section at a place: what starts in it, cut at its end, with what moves over it. */
  public static Score of(Score score, int place) {
    Section section = score.song().form().sections().get(place);
    Song song = score.song();
    Form form = song.form();
    int from = form.startTick(place, song.brief().meter());
    int to = from + section.ticks(song.brief().meter());
    List<ScoredPart> parts = new ArrayList<>();
    for (ScoredPart part : score.parts()) {
      parts.add(
          new ScoredPart(part.part(), notes(part, from, to), List.of(), motions(part, from, to)));
    }
    String title = song.title() + " - " + form.label(place);
    Song alone = song.withTitle(title).withForm(new Form(List.of(section.withId(SectionId.NEW))));
    return new Score(alone, parts, to - from);
  }

  private static List<ScoredNote> notes(ScoredPart part, int from, int to) {
    return part.between(from, to).stream()
        .map(note -> note.end() > to ? note.endingAt(to) : note)
        .map(note -> note.earlierBy(from))
        .toList();
  }

  private static Map<AutomationTarget, Motion> motions(ScoredPart part, int from, int to) {
    Map<AutomationTarget, Motion> out = new EnumMap<>(AutomationTarget.class);
    part.motions()
        .forEach(
            (what, motion) -> {
              List<Motion.Piece> inside =
                  motion.pieces().stream()
                      .filter(piece -> piece.to() > from && piece.from() < to)
                      .map(piece -> cut(piece, from, to))
                      .toList();
              if (!inside.isEmpty()) {
                out.put(what, new Motion(inside));
              }
            });
    return out;
  }

  private static Motion.Piece cut(Motion.Piece piece, int from, int to) {
    int start = Math.max(from, piece.from());
    int end = Math.min(to, piece.to());
    return new Motion.Piece(start - from, end - from, piece.at(start), piece.at(end));
  }
}
