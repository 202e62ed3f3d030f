package westtide.follow;

import java.util.List;
import westtide.song.Song;
import westtide.song.chord.Progression;
import westtide.song.form.ChordOption;
import westtide.song.form.Section;

/**
 * The chords heard in the sections of a song: a row from its start, or from where the section
 * before left it, over the bass note that stays where there is one.
 *
 * @param song the song
 */
public record SectionHarmony(Song song) {
  /** The chords of the section at a place, from its start to its end. */
  public Harmony of(int place) {
    Section section = song.form().sections().get(place);
    Progression row = song.progression(section.progression());
    Harmony chords = over(row, offset(place), section.ticks(song.brief().meter()));
    return section.pedal().map(chords::overPedal).orElse(chords);
  }

  /** A row over so many ticks, from a tick of it on. */
  public Harmony over(Progression row, int offset, int ticks) {
    return offset == 0
        ? Harmony.over(row, ticks, song.brief())
        : Harmony.over(row, offset + ticks, song.brief()).from(offset, ticks);
  }

  /** The tick of its row a section begins at; 0 where it does not go on from the one before. */
  public int offset(int place) {
    List<Section> sections = song.form().sections();
    int played = 0;
    int at = place;
    while (at > 0
        && sections.get(at).has(ChordOption.GOES_ON)
        && sections.get(at - 1).progression().equals(sections.get(at).progression())) {
      at--;
      played += sections.get(at).ticks(song.brief().meter());
    }
    int row = song.progression(sections.get(place).progression()).ticks();
    return played % Math.max(1, row);
  }
}
