package westtide.follow;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.function.Supplier;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.pattern.Arpeggio;
import westtide.song.pattern.BorrowedRhythm;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.LowLine;
import westtide.theory.Key;

/**
 * Turns the following rules of one part into notes over a section.
 *
 * @param part the part that follows
 * @param harmony what it hears
 * @param kicks asked for by what listens to them: ticks of the kick hits it hears, ascending; empty
 *     where no drums are written
 * @param key the key of the song
 * @param heard the notes of another part, for what doubles it or listens to its rhythm
 */
public record Follower(
    PartId part,
    Harmony harmony,
    Supplier<List<Integer>> kicks,
    Key key,
    Function<PartId, List<Note>> heard)
    implements FollowRule.Kinds<List<Note>> {
  /** A follower of the chords alone, without kicks; what would double plays nothing. */
  public static Follower of(PartId part, Harmony harmony, Key key) {
    return new Follower(part, harmony, List::of, key, model -> List.of());
  }

  /** The same follower hearing kicks. */
  public Follower hearing(List<Integer> ticks) {
    return new Follower(part, harmony, () -> ticks, key, heard);
  }

  /** The notes a rule plays, in order, inside the section. */
  public List<Note> resolve(FollowRule rule) {
    return rule.accept(this);
  }

  @Override
  public List<Note> chords(FollowRule.Chords rule) {
    return new ChordFollower(rule, harmony, part).resolve();
  }

  @Override
  public List<Note> sub(FollowRule.Bass808 rule) {
    return new SubFollower(rule, kicks.get()).resolve(harmony);
  }

  @Override
  public List<Note> bass(FollowRule.Bass rule) {
    return new BassFollower(rule, key).resolve(harmony);
  }

  @Override
  public List<Note> arpeggio(Arpeggio rule) {
    return new ArpeggioFollower(rule, harmony).resolve();
  }

  @Override
  public List<Note> lowLine(LowLine rule) {
    List<Note> model = rule.hears().map(heard).orElse(List.of());
    return new LowLineFollower(rule, harmony, kicks.get(), model, key).resolve();
  }

  @Override
  public List<Note> borrowed(BorrowedRhythm rule) {
    List<Note> model = heard.apply(rule.model());
    List<Note> out = new ArrayList<>();
    int last = -1;
    for (Note struck : model) {
      if (struck.start() != last && struck.start() < harmony.ticks()) {
        Note own = rule.notes().get(out.size() % rule.notes().size());
        out.add(own.withStart(struck.start()).withTicks(struck.ticks()));
      }
      last = struck.start();
    }
    return out;
  }

  @Override
  public List<Note> doubling(FollowRule.Doubling rule) {
    return new DoublingFollower(rule, harmony).resolve(heard.apply(rule.model()));
  }
}
