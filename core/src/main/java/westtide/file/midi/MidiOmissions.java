package westtide.file.midi;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.stream.Collectors;
import westtide.score.ScoredPart;
import westtide.score.event.AutomationTarget;
import westtide.score.event.ScoredNote;
import westtide.song.Role;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.drum.LaneSound;
import westtide.song.mix.Effects;
import westtide.song.mix.Equaliser;
import westtide.song.mix.Mix;

/** What of a song a MIDI file cannot say, a sentence each. Preview and WAV have all of it. */
final class MidiOmissions {
  private static final int NAMED = 4;

  private final Map<String, List<String>> done = new LinkedHashMap<>();

  private MidiOmissions() {}

  /** The sentences for parts that are written into one file. */
  static List<String> of(List<ScoredPart> playing, DrumChannel channel) {
    List<String> out = new ArrayList<>();
    MidiOmissions omissions = new MidiOmissions();
    for (ScoredPart part : playing) {
      if (part.part().role() == Role.DRUMS) {
        untuned(part).ifPresent(out::add);
        placed(part).ifPresent(out::add);
        reversed(part).ifPresent(out::add);
      }
      omissions.look(part);
    }
    shared(channel).ifPresent(out::add);
    omissions.sentence().ifPresent(out::add);
    return out;
  }

  /** What a map of one note a drum cannot say. */
  private static Optional<String> untuned(ScoredPart part) {
    long hits =
        part.notes().stream()
            .filter(note -> note.struck().filter(drum -> drum.semitones() != 0).isPresent())
            .filter(note -> !note.of(DrumVoice.TOM))
            .count();
    List<String> lanes =
        lanes(part).stream()
            .filter(lane -> part.part().sound(lane).cents() != 0)
            .map(
                lane ->
                    part.part().name(lane) + " by " + part.part().sound(lane).cents() + " cents")
            .toList();
    if (hits == 0 && lanes.isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        part.part().name()
            + ": a drum map has one note a drum, so MIDI leaves out"
            + (hits == 0 ? "" : " the pitch of " + hits + " hits")
            + (hits > 0 && !lanes.isEmpty() ? " and" : "")
            + (lanes.isEmpty() ? "" : " the tuning of " + String.join(", ", lanes))
            + "; preview and WAV have it.");
  }

  private static Optional<String> placed(ScoredPart part) {
    List<String> lanes =
        lanes(part).stream()
            .filter(lane -> moved(part.part().sound(lane)))
            .map(part.part()::name)
            .toList();
    return lanes.isEmpty()
        ? Optional.empty()
        : Optional.of(
            part.part().name()
                + ": drums of one channel have one level and one side, so MIDI leaves out those of "
                + named(lanes)
                + "; one file a lane has them.");
  }

  private static Optional<String> reversed(ScoredPart part) {
    List<String> lanes =
        lanes(part).stream()
            .filter(lane -> part.part().sound(lane).reversed())
            .map(part.part()::name)
            .toList();
    return lanes.isEmpty()
        ? Optional.empty()
        : Optional.of(
            part.part().name()
                + ": a MIDI note plays no sound backwards, so MIDI leaves out that of "
                + named(lanes)
                + "; preview and WAV have it.");
  }

  private static boolean moved(LaneSound sound) {
    return sound.pan() != 0 || sound.level() != 0 || sound.sweep().moves();
  }

  private static List<LaneId> lanes(ScoredPart part) {
    return part.notes().stream()
        .flatMap(note -> note.struck().stream())
        .map(ScoredNote.Struck::lane)
        .distinct()
        .sorted((one, other) -> Integer.compare(one.index(), other.index()))
        .toList();
  }

  private static Optional<String> shared(DrumChannel channel) {
    if (!channel.shared()) {
      return Optional.empty();
    }
    String first = channel.parts().get(0).part().name();
    List<ScoredPart> others = channel.parts().subList(1, channel.parts().size());
    String names = others.stream().map(p -> p.part().name()).collect(Collectors.joining(", "));
    List<String> sides =
        others.stream()
            .filter(p -> p.part().mix().pan() != channel.parts().get(0).part().mix().pan())
            .map(p -> p.part().name())
            .toList();
    List<String> moves =
        channel.parts().stream().filter(channel::leavesOut).map(p -> p.part().name()).toList();
    return Optional.of(
        names
            + (others.size() == 1 ? " shares" : " share")
            + " channel 10 with "
            + first
            + ", so velocities carry the levels."
            + (sides.isEmpty() ? "" : " The side of " + named(sides) + " is left out.")
            + (moves.isEmpty() ? "" : " How the filter or side of " + named(moves) + " moves, too.")
            + " One file a part or one port a drum part has all of it.");
  }

  private void look(ScoredPart part) {
    Mix mix = part.part().mix();
    Effects effects = mix.effects();
    BiConsumer<String, Boolean> note =
        (what, used) -> {
          if (used) {
            done.computeIfAbsent(what, w -> new ArrayList<>()).add(part.part().name());
          }
        };
    note.accept("tremolo", effects.tremolo().depth() > 0);
    note.accept("chorus", effects.chorus() > 0);
    note.accept("phaser", effects.phaser() > 0);
    note.accept("tape", effects.tape() > 0);
    note.accept("bit crush", effects.grain() > 0);
    note.accept("attack and sustain", effects.attack() != 0 || effects.sustain() != 0);
    note.accept("equaliser", !effects.equaliser().equals(Equaliser.FLAT));
    note.accept("drive", mix.clip() > 0);
    note.accept("ducking", mix.duck().depth() > 0);
    note.accept("delay", mix.delay() > 0 || part.motion(AutomationTarget.DELAY).any());
    note.accept("reverb", mix.reverb() > 0);
    note.accept("width", mix.width() > 0 || part.motion(AutomationTarget.WIDTH).any());
    note.accept("low cut", mix.lowCut() > 0 || part.motion(AutomationTarget.HIGH_PASS).any());
    note.accept("low-pass", mix.lowPass() < Mix.OPEN);
  }

  private Optional<String> sentence() {
    return done.isEmpty()
        ? Optional.empty()
        : Optional.of(
            "MIDI has no sound, so it leaves out "
                + done.entrySet().stream()
                    .map(each -> each.getKey() + " (" + named(each.getValue()) + ")")
                    .collect(Collectors.joining(", "))
                + "; preview and WAV have it.");
  }

  /** The first few of some names, and how many more there are. */
  private static String named(List<String> names) {
    return names.size() <= NAMED
        ? String.join(", ", names)
        : String.join(", ", names.subList(0, NAMED - 1))
            + " and "
            + (names.size() - NAMED + 1)
            + " more";
  }
}
