package westtide.file.midi;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import westtide.score.ScoredPart;
import westtide.score.event.ScoredNote;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.id.PartId;

/**
 * Where each part goes in a MIDI file: pitched parts take the channels in order and leave the tenth
 * to the drums; the sixteenth pitched part goes on to the next port of sixteen channels, and, where
 * that was asked for, a second drum part.
 *
 * @param places the port and channel of each part that plays, in order
 * @param drums the drum parts that share channel 10 of the first port; empty where each has a port
 * @param notes the notes drum lanes are written as
 * @param notices what a person should know about the file, a sentence each
 */
public record MidiPlan(
    Map<PartId, Place> places, DrumChannel drums, LaneNotes notes, List<String> notices) {
  static final int DRUM_CHANNEL = 9;
  private static final int CHANNELS = 16;

  /**
   * Where a part goes.
   *
   * @param port 0 or more, of sixteen channels each
   * @param channel 0 to 15
   */
  public record Place(int port, int channel) {}

  /** The plan for parts that are written into one file, on one port where they fit. */
  public static MidiPlan of(List<ScoredPart> parts) {
    return of(parts, Ports.ONE);
  }

  /** The plan for parts that are written into one file. */
  public static MidiPlan of(List<ScoredPart> parts, Ports ports) {
    List<ScoredPart> playing = parts.stream().filter(ScoredPart::plays).toList();
    Map<PartId, Place> places = new LinkedHashMap<>();
    int pitched = 0;
    List<ScoredPart> drums = new ArrayList<>();
    for (ScoredPart part : playing) {
      if (part.part().role() == Role.DRUMS) {
        int port = ports == Ports.EACH_DRUM_PART ? drums.size() : 0;
        places.put(part.part().id(), new Place(port, DRUM_CHANNEL));
        drums.add(part);
      } else {
        int within = pitched % (CHANNELS - 1);
        int channel = within < DRUM_CHANNEL ? within : within + 1;
        places.put(part.part().id(), new Place(pitched++ / (CHANNELS - 1), channel));
      }
    }
    LaneNotes notes = LaneNotes.of(drums);
    DrumChannel channel = new DrumChannel(ports == Ports.ONE ? List.copyOf(drums) : List.of());
    List<String> told = new ArrayList<>(notices(playing, places, notes));
    told.addAll(MidiOmissions.of(playing, channel));
    return new MidiPlan(places, channel, notes, List.copyOf(told));
  }

  /**
   * The notes of a part as the file says them: drum lanes on the notes they are written as, as
   * strong as the part is beside others of its channel.
   */
  public List<ScoredNote> written(ScoredPart part) {
    return part.part().role() == Role.DRUMS
        ? MidiDrums.written(part, notes).stream().map(note -> drums.led(part, note)).toList()
        : part.notes();
  }

  /** Whether parts go beyond the first sixteen channels. */
  public boolean ports() {
    return places.values().stream().anyMatch(place -> place.port() > 0);
  }

  private static List<String> notices(
      List<ScoredPart> playing, Map<PartId, Place> places, LaneNotes notes) {
    List<String> out = new ArrayList<>();
    List<String> drums = beyond(playing, places, true);
    if (!drums.isEmpty()) {
      out.add(
          String.join(", ", drums)
              + ": so that level, side and movements stay its own. A program without ports plays it"
              + " with the other drums on channel 10.");
    }
    List<String> pitched = beyond(playing, places, false);
    if (!pitched.isEmpty()) {
      out.add(
          "A MIDI port has fifteen channels for pitched parts, so more ports are used: "
              + String.join(", ", pitched)
              + ". Where a program knows one port only, take one file a part.");
    }
    for (ScoredPart part : playing) {
      if (part.part().role() == Role.DRUMS) {
        moved(part.part(), notes).ifPresent(out::add);
      }
    }
    return out;
  }

  /** Parts that are not on the first port, with their port. */
  private static List<String> beyond(
      List<ScoredPart> playing, Map<PartId, Place> places, boolean drums) {
    return playing.stream()
        .map(ScoredPart::part)
        .filter(part -> (part.role() == Role.DRUMS) == drums)
        .filter(part -> places.get(part.id()).port() > 0)
        .map(part -> part.name() + " on port " + (places.get(part.id()).port() + 1))
        .toList();
  }

  private static Optional<String> moved(Part part, LaneNotes notes) {
    List<String> moved = new ArrayList<>();
    notes
        .byLane()
        .forEach(
            (lane, note) -> {
              int wanted = part.sound(lane.lane()).note();
              if (lane.part().equals(part.id()) && wanted != note) {
                moved.add(part.name(lane.lane()) + " as " + note + " instead of " + wanted);
              }
            });
    return moved.isEmpty()
        ? Optional.empty()
        : Optional.of(
            part.name() + ", so that no two drums share a note: " + String.join(", ", moved) + ".");
  }
}
