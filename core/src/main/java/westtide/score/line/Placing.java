package westtide.score.line;

import java.util.List;
import java.util.Optional;
import westtide.rhythm.Swing;
import westtide.score.event.ScoredNote;
import westtide.score.event.Source;
import westtide.song.form.Level;
import westtide.song.pattern.Transposition;

/**
 * Where the written notes of a stretch sound, how loud and how high.
 *
 * @param level how full the stretch is
 * @param sectionStart first tick of its section
 * @param end tick of the song after the stretch
 * @param transposition how far the part sounds from where it is written
 * @param instrument the preview instrument of the stretch; empty for the part's own
 */
public record Placing(
    Level level, int sectionStart, int end, Transposition transposition, String instrument) {
  /**
   * A note in time, in ticks from the start of the section.
   *
   * @param on where it is written
   * @param from where it begins to sound, before swing
   * @param to where it ends
   * @param struck where it was struck, before swing; earlier than {@code from} where it goes on
   */
  public record Written(int on, int from, int to, int struck) {}

  /** What sounds, apart from when; {@code slide} is the ticks of the slide into it. */
  public record Sounding(
      int key, int velocity, int slide, Source source, Optional<ScoredNote.Struck> struck) {}

  /** Adds a written note as it sounds. */
  public void add(List<ScoredNote> out, Swing swing, Written written, Sounding sounding) {
    long start = swing.at(sectionStart + written.from());
    long stop = swing.at(Math.min(sectionStart + written.to(), end));
    if (stop <= start) {
      return;
    }
    boolean goesOn = written.struck() < written.from();
    long since = goesOn ? start - swing.at(sectionStart + written.struck()) : 0;
    out.add(
        new ScoredNote(
            (int) start,
            (int) (stop - start),
            transposition.key(sounding.key()),
            level.scale(sounding.velocity()),
            sectionStart + written.on(),
            (int) since,
            goesOn ? 0 : sounding.slide(),
            sounding.source(),
            sounding.struck(),
            instrument));
  }
}
