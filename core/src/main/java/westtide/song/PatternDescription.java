package westtide.song;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import westtide.song.id.PartId;
import westtide.song.pattern.Arpeggio;
import westtide.song.pattern.BorrowedRhythm;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.LowLine;
import westtide.song.pattern.Pattern;
import westtide.theory.voicing.ChordMember;

/** Says in a few words what a pattern plays, such as "808 locked to the kick". */
public final class PatternDescription implements Pattern.Kinds<String>, FollowRule.Kinds<String> {
  private final Map<PartId, String> names;

  private PatternDescription(Song song) {
    this.names = song.parts().stream().collect(Collectors.toMap(Part::id, Part::name));
  }

  /** What a pattern of a song plays. */
  public static String of(Pattern pattern, Song song) {
    return pattern.accept(new PatternDescription(song));
  }

  /** What a part plays longest. */
  public static String main(Part part, Song song) {
    return of(part.pattern(new PlayedBars(song).pattern(part)).pattern(), song);
  }

  @Override
  public String drums(Pattern.Drums pattern) {
    return counted(pattern.bars(), "bar") + ", " + counted(pattern.lanes().size(), "lane");
  }

  @Override
  public String varied(Pattern.Varied pattern) {
    return counted(pattern.bars(), "bar")
        + ", follows "
        + pattern.parent()
        + " but for "
        + counted(pattern.changes().size(), "change");
  }

  @Override
  public String written(Pattern.Written pattern) {
    return counted(pattern.bars(), "bar") + ", " + counted(pattern.notes().size(), "note");
  }

  @Override
  public String phrase(Pattern.Phrase pattern) {
    return "phrase "
        + pattern.units().stream().map(u -> u.change().sign()).collect(Collectors.joining(" "));
  }

  @Override
  public String attached(Pattern.Attached pattern) {
    return counted(pattern.bars(), "bar")
        + ", "
        + counted(pattern.notes().size(), "note")
        + " on the chords";
  }

  @Override
  public String following(Pattern.Following pattern) {
    return pattern.rule().accept(this);
  }

  @Override
  public String chords(FollowRule.Chords rule) {
    String row = rule.own().progression().map(name -> " of " + name).orElse("");
    return "chords" + row + ", " + rule.kind() + octaves(rule.layer().octaves());
  }

  @Override
  public String sub(FollowRule.Bass808 rule) {
    return "roots, " + rule.link();
  }

  @Override
  public String bass(FollowRule.Bass rule) {
    return "roots" + (rule.fifths() ? " and fifths" : "") + (rule.pickUp() ? ", pick-ups" : "");
  }

  @Override
  public String arpeggio(Arpeggio rule) {
    return "arpeggio " + rule.order() + ", " + rule.rate();
  }

  @Override
  public String lowLine(LowLine rule) {
    return rule.pitches()
        + ", "
        + rule.rhythm()
        + rule.hears().map(model -> " (" + names.getOrDefault(model, "a part") + ")").orElse("")
        + (rule.pickUp() == LowLine.PickUp.NONE ? "" : ", pick-ups " + rule.pickUp())
        + ", phrases of "
        + counted(rule.phraseBars(), "bar");
  }

  @Override
  public String borrowed(BorrowedRhythm rule) {
    return counted(rule.notes().size(), "note")
        + " in the rhythm of "
        + names.getOrDefault(rule.model(), "a part");
  }

  @Override
  public String doubling(FollowRule.Doubling rule) {
    return "doubles "
        + names.getOrDefault(rule.model(), "a part")
        + octaves(rule.octaves())
        + without(List.copyOf(rule.without()));
  }

  private static String octaves(int octaves) {
    return octaves == 0
        ? ""
        : ", " + counted(Math.abs(octaves), "octave") + (octaves > 0 ? " up" : " down");
  }

  private static String without(List<ChordMember> members) {
    return members.isEmpty()
        ? ""
        : ", without "
            + members.stream().map(ChordMember::toString).collect(Collectors.joining(", "));
  }

  private static String counted(int count, String thing) {
    return count + " " + thing + (count == 1 ? "" : "s");
  }
}
