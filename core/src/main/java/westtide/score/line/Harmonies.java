package westtide.score.line;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import westtide.follow.Harmony;
import westtide.follow.SectionHarmony;
import westtide.score.drum.KickTrack;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.chord.ChordRhythm;
import westtide.song.chord.Progression;
import westtide.song.form.Section;
import westtide.song.pattern.FollowRule;
import westtide.theory.NoteName;

/**
 * What is heard in each section: its progression, or what a chord part has of its own. Sections
 * over the same chords hear the same, so that what follows them is worked out once.
 */
public final class Harmonies {
  private final Song song;
  private final List<Part> drums;
  private final SectionHarmony sections;
  private final Map<Key, Heard> known = new HashMap<>();
  private final List<Kicks> kicks = new ArrayList<>();
  private final Map<List<Integer>, Kicks> distinct = new HashMap<>();

  /**
   * A harmony.
   *
   * @param id the same for equal harmonies of one song
   * @param harmony what is heard
   */
  public record Heard(int id, Harmony harmony) {}

  /**
   * The kick hits of a section.
   *
   * @param id the same for equal hits
   * @param ticks where they are, from the start of the section
   */
  record Kicks(int id, List<Integer> ticks) {}

  private record Key(
      String progression,
      int offset,
      int ticks,
      Optional<NoteName> pedal,
      Optional<ChordRhythm> rhythm) {}

  /** What every section of a song hears as its chords. */
  public Harmonies(Song song) {
    this.song = song;
    this.drums = song.parts(Role.DRUMS);
    this.sections = new SectionHarmony(song);
    song.form().sections().forEach(section -> kicks.add(null));
  }

  /** What a part hears in the section at a place while it plays a pattern. */
  public Heard of(Part part, String pattern, int place) {
    FollowRule.Own own =
        part.pattern(pattern)
            .rule(FollowRule.Chords.class)
            .map(FollowRule.Chords::own)
            .orElse(FollowRule.Own.NOTHING);
    Section section = song.form().sections().get(place);
    String row = own.progression().orElse(section.progression());
    int offset = row.equals(section.progression()) ? sections.offset(place) : 0;
    Key key =
        new Key(row, offset, section.ticks(song.brief().meter()), section.pedal(), own.rhythm());
    Heard found = known.get(key);
    if (found == null) {
      found = new Heard(known.size(), harmony(key));
      known.put(key, found);
    }
    return found;
  }

  /** The kick hits heard in the section at a place. */
  Kicks kicks(int place) {
    if (kicks.get(place) == null) {
      Section section = song.form().sections().get(place);
      List<Integer> ticks = new KickTrack(drums, section, song.brief()).ticks();
      kicks.set(place, distinct.computeIfAbsent(ticks, t -> new Kicks(distinct.size(), t)));
    }
    return kicks.get(place);
  }

  private Harmony harmony(Key key) {
    Progression row = song.progression(key.progression);
    Progression played = key.rhythm.isPresent() ? row.withRhythm(key.rhythm) : row;
    Harmony chords = sections.over(played, key.offset, key.ticks);
    return key.pedal.map(chords::overPedal).orElse(chords);
  }
}
