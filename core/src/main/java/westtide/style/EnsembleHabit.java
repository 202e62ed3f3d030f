package westtide.style;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import westtide.song.Part;
import westtide.song.form.SectionKind;
import westtide.song.id.PartId;
import westtide.song.mix.Master;

/**
 * Who plays in a style beside the five parts every draft begins with, how all of them stand in the
 * mix, and what changes when a section returns.
 *
 * @param members the parts that join
 * @param mixes how the first five stand, by part id
 * @param returns what those do otherwise where a section returns, by occasion and part id
 * @param timing most milliseconds by which a played lane strays from its place; 0 where machines
 *     play
 * @param master what is done to all drums together and to the whole mix
 * @param heard how much louder its drafts are heard than they are estimated
 */
public record EnsembleHabit(
    List<Member> members,
    Map<PartId, MixHabit> mixes,
    Map<String, Map<PartId, LevelPlan>> returns,
    int timing,
    Master master,
    Calibration heard) {
  /** Nobody joins. */
  public static final EnsembleHabit NONE =
      new EnsembleHabit(List.of(), Map.of(), Map.of(), 0, Master.PLAIN, Calibration.USUAL);

  /** Copies everything, keeping the order. */
  public EnsembleHabit {
    members = List.copyOf(members);
    mixes = Collections.unmodifiableMap(new LinkedHashMap<>(mixes));
    returns = Collections.unmodifiableMap(new LinkedHashMap<>(returns));
  }

  /**
   * A part that joins.
   *
   * @param id its part id
   * @param name what it is called
   * @param program General MIDI program, 0 to 127
   * @param instrument its preview instrument; empty for a kit
   * @param job what it is there for
   * @param mix where it stands
   * @param plays what it does by occasion: {@code "hook"}, {@code "hook 2"}, {@code "last hook"};
   *     out where nothing is said
   * @param why the reason, one sentence
   */
  public record Member(
      PartId id,
      String name,
      int program,
      String instrument,
      Job job,
      MixHabit mix,
      Map<String, LevelPlan> plays,
      String why) {
    /** Copies the plans and checks their occasions. */
    public Member {
      plays = Collections.unmodifiableMap(new LinkedHashMap<>(plays));
      plays.keySet().forEach(EnsembleHabit::check);
    }

    /** When it plays and why. */
    Reason reason() {
      return new Reason(name, "in " + String.join(", ", plays.keySet()), why);
    }

    /** The same under the name, on the instrument and in the mix a part has now. */
    public Member as(Part part) {
      return new Member(
          id,
          part.name(),
          part.program(),
          part.patch().instrument(),
          job,
          MixHabit.of(part.mix()),
          plays,
          why);
    }
  }

  /**
   * What is planned for a section that comes for the {@code turn}-th time, from 1: what is said of
   * the last hook where it is that, else of just this turn, else of its kind.
   */
  public static <P> Optional<P> at(
      Map<String, P> plans, SectionKind kind, int turn, boolean lastHook) {
    List<String> occasions = new ArrayList<>();
    if (lastHook) {
      occasions.add("last " + word(SectionKind.HOOK));
    }
    occasions.add(word(kind) + " " + turn);
    occasions.add(word(kind));
    return occasions.stream().filter(plans::containsKey).findFirst().map(plans::get);
  }

  /** How a kind of section is called where occasions are named. */
  public static String word(SectionKind kind) {
    return kind.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /**
   * Checks that an occasion is a kind of section, its turn or the last hook.
   *
   * @throws IllegalArgumentException when it is not
   */
  static void check(String occasion) {
    String kind = occasion.replaceFirst("^last ", "").replaceFirst(" [1-9]$", "");
    for (SectionKind known : SectionKind.values()) {
      if (word(known).equals(kind)) {
        return;
      }
    }
    throw new IllegalArgumentException(
        "an occasion is a kind of section such as \"hook\", \"hook 2\" or \"last hook\", but was \""
            + occasion
            + "\"");
  }
}
