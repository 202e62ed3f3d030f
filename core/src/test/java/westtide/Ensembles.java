package westtide;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import westtide.rhythm.Figure;
import westtide.song.Brief;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.chord.ChordRhythm;
import westtide.song.chord.Strum;
import westtide.song.edit.Edit;
import westtide.song.form.Level;
import westtide.song.id.PartId;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.song.pattern.Transposition;
import westtide.theory.voicing.VoicingRange;

/** Parts and songs of more than one of a kind, for tests. */
public final class Ensembles {
  private static final VoicingRange RANGE = new VoicingRange(51, 58, 76);

  private Ensembles() {}

  /** A part that holds the chords. */
  public static Part chords(String id) {
    return Songs.part(id, Role.CHORDS, new Pattern.Following(rule(FollowRule.Own.NOTHING)));
  }

  /** A part that plays the chords in a rhythm of its own. */
  public static Part chords(String id, String figure) {
    FollowRule.Own own =
        FollowRule.Own.NOTHING.withRhythm(Optional.of(ChordRhythm.of(new Figure(figure))));
    return Songs.part(id, Role.CHORDS, new Pattern.Following(rule(own)));
  }

  /** A part that strums the chords upwards by that many milliseconds a note. */
  public static Part strummed(String id, int millis) {
    FollowRule.Own own = FollowRule.Own.NOTHING.withStrum(Optional.of(Strum.up(millis)));
    return Songs.part(id, Role.CHORDS, new Pattern.Following(rule(own)));
  }

  /** A part that doubles another some octaves away. */
  public static Part doubling(String id, Role role, String model, int octaves) {
    FollowRule rule = new FollowRule.Doubling(PartId.of(model), octaves, 0, Set.of());
    return Songs.part(id, role, new Pattern.Following(rule));
  }

  /** One hook in which every part plays in full. */
  public static Song song(String key, String chords, int bars, Part... parts) {
    return Songs.oneHook(Songs.brief(key, 50), chords, bars, parts);
  }

  /** A part with more patterns. */
  public static Part with(Part part, NamedPattern... more) {
    List<NamedPattern> all = new ArrayList<>(part.patterns());
    all.addAll(List.of(more));
    return part.withPatterns(all);
  }

  /** A part that sounds semitones away from where it is written. */
  public static Part transposed(Part part, int semitones) {
    return part.withTransposition(new Transposition(semitones, 0));
  }

  /** The song after edits, one after the other. */
  public static Song after(Song song, Edit... edits) {
    Song out = song;
    for (Edit edit : edits) {
      out = edit.apply(out);
    }
    return out;
  }

  /** The usual brief in a key. */
  public static Brief brief(String key) {
    return Songs.brief(key, 50);
  }

  /** The level a part has in the first bar of a section, counted from 0. */
  public static Level level(Song song, int section, String part) {
    return song.form().sections().get(section).cell(PartId.of(part), 0).level();
  }

  private static FollowRule.Chords rule(FollowRule.Own own) {
    return FollowRule.Chords.of(RANGE, Optional.empty()).withOwn(own);
  }
}
