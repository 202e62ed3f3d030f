package westtide.review.drums;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import westtide.rhythm.Feel;
import westtide.rhythm.Meter;
import westtide.rhythm.StepGrid;
import westtide.rhythm.StepLane;
import westtide.rhythm.Syncopation;
import westtide.rhythm.Velocity;
import westtide.song.Song;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.drum.PlacedHit;
import westtide.song.pattern.Pattern;
import westtide.style.LaneHabit;
import westtide.style.Style;

/**
 * Says what a hit does in its groove: where in the bar it stands, what it leans on, what it plays
 * with or answers, and how many of the style's own figures have it. Read from the music itself, so
 * that it is as true of a hit placed by hand as of one that was drawn.
 */
public final class HitReason {
  private final Pattern.Drums groove;
  private final Song song;
  private final Style style;
  private final Meter meter;
  private final List<Syncopation.Pull> pulls;

  private HitReason(Pattern.Drums groove, Song song, Style style) {
    this.groove = groove;
    this.song = song;
    this.style = style;
    this.meter = song.brief().meter();
    this.pulls = GroovePulls.of(groove, meter);
  }

  /** Reasons for the hits of a groove of a song. */
  public static HitReason in(Pattern.Drums groove, Song song, Style style) {
    return new HitReason(groove, song, style);
  }

  /**
   * What the hit of a lane at a tick of the groove does, in one sentence without its full stop;
   * empty where the lane has none there.
   */
  public String of(LaneId id, int tick) {
    Optional<DrumLane> lane = groove.find(id);
    Optional<PlacedHit> hit =
        lane.flatMap(l -> laid(l).stream().filter(laid -> laid.tick() == tick).findFirst());
    if (hit.isEmpty()) {
      return "";
    }
    List<String> out = new ArrayList<>();
    boolean ghost = lane.get().velocity(hit.get(), 0) <= Velocity.SOFT;
    out.add((ghost && id.voice().backbone() ? "a ghost " : "") + place(id.voice(), tick, ghost));
    leaning(id.voice(), tick).ifPresent(out::add);
    beside(id, tick).ifPresent(out::add);
    out.add(usual(id, tick));
    return String.join("; ", out);
  }

  private List<PlacedHit> laid(DrumLane lane) {
    return groove.laid(lane, meter);
  }

  private String place(DrumVoice voice, int tick, boolean ghost) {
    int beatTicks = meter.ticksPerBeat();
    int within = tick % beatTicks;
    int beat = tick % meter.ticksPerBar() / beatTicks + 1;
    if (within == 0) {
      boolean back = !ghost && voice.backbone() && voice != DrumVoice.KICK && backbeat(beat);
      return "on beat "
          + beat
          + (back ? ", the backbeat" : beat == 1 ? ", where the bar opens" : "");
    }
    if (2 * within == beatTicks) {
      return "on the off-beat after beat " + beat;
    }
    if (within + StepGrid.SIXTEENTHS.ticks() == beatTicks) {
      return "a sixteenth before beat " + (beat % meter.beats() + 1);
    }
    return within == StepGrid.SIXTEENTHS.ticks()
        ? "a sixteenth after beat " + beat
        : "between the sixteenths of beat " + beat;
  }

  private boolean backbeat(int beat) {
    return song.brief().feel() == Feel.HALF ? beat == meter.beats() / 2 + 1 : beat % 2 == 0;
  }

  private Optional<String> leaning(DrumVoice voice, int tick) {
    if (!voice.backbone()) {
      return Optional.empty();
    }
    int step = tick / StepGrid.SIXTEENTHS.ticks();
    return pulls.stream()
        .filter(pull -> pull.from() == step)
        .findFirst()
        .map(pull -> "leans on " + strong(pull.to()) + ", where kick and backbeat rest");
  }

  private String strong(int step) {
    int within = step * StepGrid.SIXTEENTHS.ticks() % meter.ticksPerBar();
    int beat = within / meter.ticksPerBeat() + 1;
    return within % meter.ticksPerBeat() == 0 ? "beat " + beat : "the off-beat after beat " + beat;
  }

  /** What kick, snare and clap do at the same time, or shortly before a lane that answers. */
  private Optional<String> beside(LaneId id, int tick) {
    List<String> with = new ArrayList<>();
    int nearest = Integer.MAX_VALUE;
    DrumVoice answered = null;
    for (DrumLane lane : groove.lanes()) {
      if (!lane.voice().backbone() || lane.id().equals(id)) {
        continue;
      }
      for (PlacedHit laid : laid(lane)) {
        int before = tick - laid.tick();
        if (before == 0) {
          with.add(word(lane.id().toString()));
        } else if (before > 0 && before < nearest) {
          nearest = before;
          answered = lane.voice();
        }
      }
    }
    if (!with.isEmpty()) {
      return Optional.of("with the " + String.join(" and ", with));
    }
    boolean answers = !id.voice().backbone() && nearest < meter.ticksPerBeat();
    return answers
        ? Optional.of("answers the " + word(answered.toString()) + " before it")
        : Optional.empty();
  }

  private String usual(LaneId id, int tick) {
    LaneHabit habit = style.groove().lanes().get(id);
    if (habit == null || habit.texts().stream().allMatch(text -> text.matches("[. |]*"))) {
      return word(style.name()) + " has no such lane: it is yours";
    }
    List<StepLane> figures = habit.texts().stream().map(StepLane::parse).toList();
    int step = tick / habit.grid().ticks();
    long have = figures.stream().filter(f -> f.at(step % f.length()).isPresent()).count();
    String name = word(style.name());
    if (figures.size() == 1) {
      return "the " + name + " figure has " + (have == 1 ? "one" : "none") + " here";
    }
    String some = have == 0 ? "none" : String.valueOf(have);
    String verb = have == 1 ? " has" : " have";
    return some + " of " + figures.size() + " " + name + " figures" + verb + " one here";
  }

  private static String word(String name) {
    return name.toLowerCase(Locale.ROOT);
  }
}
