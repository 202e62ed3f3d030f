package westtide.song.pattern;

import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * One way a part plays, such as groove A or the fill.
 *
 * @param name what cells call it by
 * @param pattern what is played
 */
public record NamedPattern(String name, Pattern pattern) {
  /** The same name for another pattern. */
  public NamedPattern withPattern(Pattern other) {
    return new NamedPattern(name, other);
  }

  /** The rule it follows, if it follows one of that kind. */
  public <R extends FollowRule> Optional<R> rule(Class<R> kind) {
    return pattern instanceof Pattern.Following following && kind.isInstance(following.rule())
        ? Optional.of(kind.cast(following.rule()))
        : Optional.empty();
  }

  /** The same with its rule changed, if it follows one of that kind. */
  public <R extends FollowRule> NamedPattern withRule(Class<R> kind, UnaryOperator<R> change) {
    return rule(kind)
        .map(rule -> withPattern(new Pattern.Following(change.apply(rule))))
        .orElse(this);
  }

  /** The MIDI note from which the octave of its basses begins; empty where it has none. */
  public Optional<Integer> lowest() {
    if (pattern instanceof Pattern.Attached line) {
      return Optional.of(line.lowest());
    }
    return rule(FollowRule.Bass808.class)
        .map(FollowRule.Bass808::lowest)
        .or(() -> rule(FollowRule.Bass.class).map(FollowRule.Bass::lowest))
        .or(() -> rule(LowLine.class).map(LowLine::lowest));
  }
}
