package westtide.score;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import westtide.song.Part;
import westtide.song.PlayedBars;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.form.Form;
import westtide.song.form.Mark;
import westtide.song.form.Section;
import westtide.song.form.TransitionEffect;
import westtide.song.id.PartId;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.LowLine;

/**
 * Finds the parts of an earlier score whose notes an edit did not reach: the part is the same, it
 * does the same in every section, and so does whatever it listens to.
 */
final class ScoreReuse implements Function<Part, Optional<ScoredPart>> {
  private final Score earlier;
  private final Song song;
  private final boolean frame;

  ScoreReuse(Score earlier, Song song) {
    this.earlier = earlier;
    this.song = song;
    this.frame =
        earlier.song().brief().equals(song.brief())
            && earlier.song().progressions().equals(song.progressions())
            && mainDrums(earlier.song()).equals(mainDrums(song))
            && earlier.song().main().equals(song.main())
            && roles(earlier.song()).equals(roles(song))
            && sameFrame(earlier.song().form(), song.form());
  }

  @Override
  public Optional<ScoredPart> apply(Part part) {
    return frame && same(part) && hearsTheSame(part) ? earlier.part(part.id()) : Optional.empty();
  }

  /** Which parts there are, in order: the first of a role runs into sections. */
  private static List<Object> roles(Song song) {
    List<Object> out = new java.util.ArrayList<>();
    song.parts().forEach(part -> out.add(List.of(part.id(), part.role())));
    return out;
  }

  /** The drums a crash is played on. */
  private static Optional<PartId> mainDrums(Song song) {
    return new PlayedBars(song).part(Role.DRUMS).map(Part::id);
  }

  private static boolean sameFrame(Form before, Form after) {
    if (before.sections().size() != after.sections().size()) {
      return false;
    }
    for (int i = 0; i < before.sections().size(); i++) {
      Section old = before.sections().get(i);
      Section now = after.sections().get(i);
      boolean same =
          old == now
              || old.id().equals(now.id())
                  && old.bars() == now.bars()
                  && old.progression().equals(now.progression())
                  && old.lastBeats() == now.lastBeats()
                  && old.pedal().equals(now.pedal())
                  && old.options().equals(now.options())
                  && old.marks().equals(now.marks());
      if (!same) {
        return false;
      }
    }
    return true;
  }

  private boolean same(Part part) {
    Optional<Part> before = earlier.song().part(part.id());
    return before.isPresent() && before.get() == part && sameCells(part.id());
  }

  private boolean sameCells(PartId part) {
    List<Section> before = earlier.song().form().sections();
    List<Section> after = song.form().sections();
    for (int i = 0; i < before.size(); i++) {
      boolean same = before.get(i) == after.get(i) || before.get(i).same(after.get(i), part);
      if (!same) {
        return false;
      }
    }
    return true;
  }

  private static boolean stopsOnBackbeat(Mark mark) {
    return mark.transition().kind().effect() instanceof TransitionEffect.StopOnBackbeat;
  }

  private boolean hearsTheSame(Part part) {
    boolean follows =
        !part.rules(FollowRule.Bass808.class).isEmpty() || !part.rules(LowLine.class).isEmpty();
    boolean stops =
        song.form().sections().stream()
            .flatMap(section -> section.marks().stream())
            .anyMatch(ScoreReuse::stopsOnBackbeat);
    if ((follows || stops) && !sameDrums()) {
      return false;
    }
    for (PartId heard : part.hears()) {
      Part model = song.part(heard).orElseThrow();
      if (!same(model) || !hearsTheSame(model)) {
        return false;
      }
    }
    return true;
  }

  private boolean sameDrums() {
    List<Part> now = song.parts(Role.DRUMS);
    return earlier.song().parts(Role.DRUMS).size() == now.size()
        && now.stream().allMatch(this::same);
  }
}
