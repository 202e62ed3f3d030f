package westtide.style;

import java.util.List;
import java.util.SortedSet;
import java.util.TreeSet;
import westtide.rhythm.Feel;
import westtide.rhythm.Meter;
import westtide.rhythm.StepLane;
import westtide.rhythm.Velocity;
import westtide.song.drum.DrumVoice;

/**
 * What a style is chosen by: its name and tempo, and one bar of its drums in three rows.
 *
 * @param id as {@link Style#id}
 * @param name as {@link Style#name}
 * @param summary one sentence
 * @param tempo usual BPM
 * @param feel where the backbeat puts the felt tempo
 * @param top sixteenths of the first bar on which hat or shaker plays, 0 to 15
 * @param backbeat those of snare and clap, without soft strokes
 * @param kick those of the kick
 */
public record StyleOutline(
    String id,
    String name,
    String summary,
    Span tempo,
    Feel feel,
    SortedSet<Integer> top,
    SortedSet<Integer> backbeat,
    SortedSet<Integer> kick) {
  private static final int COLUMNS = Meter.COMMON.stepsPerBar();

  /** Fewer hats than this leave the row to the shaker. */
  private static final int FEW_HATS = 4;

  /** The outline of a style, by the first of its habits for each lane. */
  public static StyleOutline of(Style style) {
    return new StyleOutline(
        style.id(),
        style.name(),
        style.summary(),
        style.tempo(),
        style.feel(),
        top(style),
        strokes(style, Velocity.SOFT + 1, DrumVoice.SNARE, DrumVoice.CLAP),
        strokes(style, 1, DrumVoice.KICK));
  }

  private static SortedSet<Integer> top(Style style) {
    SortedSet<Integer> hats = strokes(style, 1, DrumVoice.CLOSED_HAT);
    SortedSet<Integer> shaker = strokes(style, 1, DrumVoice.SHAKER);
    return hats.size() < FEW_HATS && shaker.size() > hats.size() ? shaker : hats;
  }

  private static SortedSet<Integer> strokes(Style style, int least, DrumVoice... voices) {
    SortedSet<Integer> out = new TreeSet<>();
    for (DrumVoice voice : voices) {
      LaneHabit habit = style.groove().lanes().get(voice.lane());
      if (habit != null) {
        add(habit, least, out);
      }
    }
    return out;
  }

  private static void add(LaneHabit habit, int least, SortedSet<Integer> out) {
    StepLane lane = StepLane.parse(habit.texts().get(0));
    int bar = Meter.COMMON.ticksPerBar();
    lane.hits().stream()
        .filter(hit -> hit.velocity() >= least)
        .map(hit -> hit.step() * habit.grid().ticks())
        .filter(tick -> tick < bar)
        .forEach(tick -> out.add(tick * COLUMNS / bar));
  }

  /** How its drums divide the bar. */
  public BeatFamily family() {
    return BeatFamily.of(feel, kick, backbeat);
  }

  /** Its usual tempo in words, such as {@code "125–150"}. */
  public String beats() {
    return Math.round(tempo.low()) + "–" + Math.round(tempo.high());
  }

  /** The three rows from the top down. */
  public List<SortedSet<Integer>> rows() {
    return List.of(top, backbeat, kick);
  }
}
