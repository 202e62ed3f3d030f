package westtide.file.midi;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.TimeUnit;

/**
 * A MIDI file as an independent reader lists it: Debian's {@code midicsv} and {@code python3-mido}.
 * A reader that is not installed is passed over with a message; continuous integration installs
 * both.
 */
record MidiListing(
    int ticksPerQuarter,
    int tempo,
    TreeMap<Integer, String> markers,
    TreeMap<Integer, String> meters,
    List<Track> tracks) {
  /** A note as listed. */
  record Listed(int start, int ticks, int key, int velocity) {}

  /** A track with notes as listed. */
  record Track(
      String name,
      int program,
      Set<Integer> channels,
      List<Listed> notes,
      int end,
      Map<Integer, TreeMap<Integer, Integer>> controls) {
    /** The value of a controller at a tick. */
    int control(int number, int tick) {
      return controls.get(number).floorEntry(tick).getValue();
    }
  }

  private record Event(int track, int tick, String kind, List<String> values) {}

  /** The file as every installed reader lists it. */
  static List<MidiListing> readBy(Path file) throws IOException, InterruptedException {
    List<MidiListing> out = new ArrayList<>();
    if (installed("midicsv", "/dev/null")) {
      out.add(fromEvents(csv(run("midicsv", file.toString()))));
    }
    if (installed("/usr/bin/python3", "-c", "import mido")) {
      Path script = Path.of("src/test/reference/list-midi.py");
      out.add(fromEvents(json(run("/usr/bin/python3", script.toString(), file.toString()))));
    }
    if (System.getenv("CI") != null) {
      assertThat(out).as("both readers are installed").hasSize(2);
    }
    return out;
  }

  private static boolean installed(String... command) throws InterruptedException {
    try {
      Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
      process.getInputStream().readAllBytes();
      process.waitFor(20, TimeUnit.SECONDS);
      return command[0].equals("midicsv") || process.exitValue() == 0;
    } catch (IOException missing) {
      System.out.println(command[0] + " is not installed; its reading is passed over");
      return false;
    }
  }

  private static String run(String... command) throws IOException, InterruptedException {
    Process process = new ProcessBuilder(command).start();
    String out = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(process.waitFor(20, TimeUnit.SECONDS)).isTrue();
    assertThat(process.exitValue()).as(String.join(" ", command)).isZero();
    return out;
  }

  private static List<Event> csv(String text) {
    List<Event> out = new ArrayList<>();
    for (String line : text.split("\n")) {
      String[] cells = line.split(", ");
      List<String> values = new ArrayList<>();
      for (int i = 3; i < cells.length; i++) {
        values.add(cells[i].replace("\"", "").strip());
      }
      out.add(
          new Event(
              Integer.parseInt(cells[0]), Integer.parseInt(cells[1]), cells[2].strip(), values));
    }
    return out;
  }

  private static List<Event> json(String text) throws IOException {
    List<Event> out = new ArrayList<>();
    for (JsonNode row : new ObjectMapper().readTree(text)) {
      List<String> values = new ArrayList<>();
      row.get(3).forEach(value -> values.add(value.asText()));
      out.add(new Event(row.get(0).asInt(), row.get(1).asInt(), row.get(2).asText(), values));
    }
    return out;
  }

  private static MidiListing fromEvents(List<Event> events) {
    int quarter = 0;
    int tempo = 0;
    TreeMap<Integer, String> markers = new TreeMap<>();
    TreeMap<Integer, String> meters = new TreeMap<>();
    TreeSet<Integer> numbers = new TreeSet<>();
    for (Event event : events) {
      switch (event.kind()) {
        case "Header" -> quarter = number(event, 2);
        case "Tempo" -> tempo = number(event, 0);
        case "Marker_t" -> markers.put(event.tick(), event.values().get(0));
        case "Time_signature" ->
            meters.put(event.tick(), number(event, 0) + "/" + (1 << number(event, 1)));
        case "Note_on_c" -> numbers.add(event.track());
        default -> {}
      }
    }
    List<Track> tracks = numbers.stream().map(track -> track(events, track)).toList();
    return new MidiListing(quarter, tempo, markers, meters, tracks);
  }

  private static Track track(List<Event> events, int track) {
    String name = "";
    int program = -1;
    int end = -1;
    Set<Integer> channels = new TreeSet<>();
    List<Listed> notes = new ArrayList<>();
    Map<Integer, Event> sounding = new HashMap<>();
    Map<Integer, TreeMap<Integer, Integer>> controls = new HashMap<>();
    for (Event event : events) {
      if (event.track() != track) {
        continue;
      }
      switch (event.kind()) {
        case "Title_t" -> name = event.values().get(0);
        case "Program_c" -> program = program < 0 ? number(event, 1) : program;
        case "End_track" -> end = event.tick();
        case "Control_c" ->
            controls
                .computeIfAbsent(number(event, 1), n -> new TreeMap<>())
                .put(event.tick(), number(event, 2));
        case "Note_on_c" -> {
          channels.add(number(event, 0));
          assertThat(sounding.put(number(event, 1), event)).as("a note starts twice").isNull();
        }
        case "Note_off_c" -> {
          Event on = sounding.remove(number(event, 1));
          notes.add(new Listed(on.tick(), event.tick() - on.tick(), number(on, 1), number(on, 2)));
        }
        default -> {}
      }
    }
    assertThat(sounding).as("a note never ends").isEmpty();
    return new Track(name, program, channels, notes, end, controls);
  }

  private static int number(Event event, int index) {
    return Integer.parseInt(event.values().get(index));
  }
}
