package westtide.review.lines;

import java.util.Locale;
import java.util.Optional;
import westtide.review.finding.Check;
import westtide.review.finding.Finding;
import westtide.review.finding.FindingId;
import westtide.review.finding.Fix;
import westtide.review.finding.Severity;
import westtide.score.Passage;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.found.FoundEdits;
import westtide.song.found.Fit;
import westtide.song.found.FoundSound;

/**
 * What may be wrong with a loop in its song: its sound, its key, its tuning, how long it goes on.
 */
final class LoopFindings {
  /** Two tones that far apart beat so fast that a held chord wavers (common practice). */
  private static final int MOST_CENTS = 12;

  private static final int MOST_BARS = 32;

  private final Score score;
  private final Song song;

  LoopFindings(Score score) {
    this.score = score;
    this.song = score.song();
  }

  void look(FoundOnce out) {
    for (ScoredPart part : score.parts(Role.FOUND)) {
      FoundSound sound = part.part().found().orElseThrow();
      if (sound.recording().isThere()) {
        key(part.part(), sound).ifPresent(out::add);
        tuning(part.part(), sound).ifPresent(out::add);
        tooLong(part).ifPresent(out::add);
      } else {
        out.add(missing(part.part()));
      }
    }
  }

  private static Finding missing(Part part) {
    return new Finding(
        FindingId.of(Check.LINES_SOUND_MISSING, part.id()),
        Severity.WARNING,
        "The sound of " + part.name() + " is missing",
        "whole song",
        "Its file was not found beside the song, so the part is silent. Bring the same file in again"
            + " and it takes its place.",
        Optional.empty());
  }

  /** The loop as it is heard against the song's key; a minor key and its major count as one. */
  private Optional<Finding> key(Part part, FoundSound sound) {
    int away = FoundEdits.fromKey(sound, song.brief());
    if (away == 0) {
      return Optional.empty();
    }
    double moved = sound.semitones(song.brief().tempo());
    return Optional.of(
        new Finding(
            FindingId.of(Check.LINES_LOOP_KEY, part.id()),
            Severity.WARNING,
            part.name()
                + " is "
                + Math.abs(away)
                + (Math.abs(away) == 1 ? " semitone" : " semitones")
                + (away > 0 ? " below" : " above")
                + " the song's key",
            "found: " + sound.key().get() + String.format(Locale.ROOT, ", played %+.2f", moved),
            "Parts in two keys rub at every chord. The loop can be stretched and moved into the key"
                + " of the song, or the song takes key and tempo of the loop.",
            Optional.of(new Fix("the song to the loop", new FoundEdits(part.id()).songToLoop()))));
  }

  private Optional<Finding> tuning(Part part, FoundSound sound) {
    double moved = sound.semitones(song.brief().tempo());
    double cents = 100 * (moved - Math.rint(moved)) + sound.cents() - song.brief().cents();
    double away = cents - 100 * Math.rint(cents / 100);
    if (sound.key().isEmpty() || Math.abs(away) <= MOST_CENTS) {
      return Optional.empty();
    }
    Fit fit = sound.fit();
    int mended = Math.max(-100, Math.min(100, fit.cents() - (int) Math.round(away)));
    return Optional.of(
        new Finding(
            FindingId.of(Check.LINES_LOOP_TUNING, part.id()),
            Severity.WARNING,
            String.format(
                Locale.ROOT,
                "%s is %d cents %s the song",
                part.name(),
                Math.abs(Math.round(away)),
                away > 0 ? "above" : "below"),
            "whole song",
            "More than "
                + MOST_CENTS
                + " cents apart, loop and chords beat against each other. Tuned, it keeps its"
                + " length.",
            Optional.of(
                new Fix(
                    "tune it by " + (mended - fit.cents()) + " cents",
                    new FoundEdits(part.id()).fit(fit.withCents(mended))))));
  }

  /** How long the same pattern goes on at the same level and sound. */
  private Optional<Finding> tooLong(ScoredPart part) {
    int bar = song.brief().meter().ticksPerBar();
    int since = 0;
    int longest = 0;
    int from = 0;
    Passage before = null;
    for (Passage passage : part.passages()) {
      boolean goesOn =
          before != null
              && before.end() == passage.start()
              && before.name().equals(passage.name())
              && before.level() == passage.level();
      since = goesOn ? since : passage.start();
      if (passage.end() - since > longest) {
        longest = passage.end() - since;
        from = since;
      }
      before = passage;
    }
    int bars = longest / bar;
    if (bars <= MOST_BARS || !part.motions().isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        new Finding(
            FindingId.of(Check.LINES_LOOP_LONG, part.part().id()),
            Severity.NOTE,
            part.part().name() + " goes round " + bars + " bars without a change",
            "from bar " + (from / bar + 1),
            "After "
                + MOST_BARS
                + " bars a loop is no longer heard. Filter it, cut it anew or leave it out for a"
                + " while; hypnotic styles may mean it.",
            Optional.empty()));
  }
}
