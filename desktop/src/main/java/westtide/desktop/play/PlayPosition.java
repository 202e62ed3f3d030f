package westtide.desktop.play;

import westtide.song.Part;
import westtide.song.Song;
import westtide.song.form.Cell;
import westtide.song.form.Level;

/**
 * Where the song is in one frame of the window.
 *
 * @param playing whether it moves
 * @param tick ticks from the beginning
 * @param section the section it is in, from 0
 * @param sectionTick ticks from the beginning of that section
 */
public record PlayPosition(boolean playing, double tick, int section, double sectionTick) {
  /** Whether a part is playing one of its patterns just now. */
  public boolean plays(Song song, Part part, String pattern) {
    int bar = (int) (sectionTick / song.brief().meter().ticksPerBar());
    Cell cell = song.form().sections().get(section).cell(part.id(), bar);
    boolean in = playing && cell.level() != Level.OUT;
    return in && part.pattern(cell.pattern()).name().equals(pattern);
  }
}
