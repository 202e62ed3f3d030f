package westtide.cli;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import westtide.text.Plain;

/**
 * What is in a song, printed to be read: texts of the file on one line, without control characters.
 */
final class SongText {
  private static final int LONGEST = 300;

  private final JsonNode song;
  private final PrintWriter out;

  SongText(ObjectNode song, PrintWriter out) {
    this.song = song;
    this.out = out;
  }

  void print() {
    printBrief();
    out.println();
    for (JsonNode row : song.path("progressions")) {
      line("%s: %s   %s", text(row, "name"), text(row, "names"), text(row, "numerals"));
    }
    out.println();
    for (JsonNode part : song.path("parts")) {
      List<String> patterns = new ArrayList<>();
      part.path("patterns")
          .forEach(p -> patterns.add(text(p, "name") + " (" + text(p, "plays") + ")"));
      line(
          "%-20s %-7s %-16s %5.1f dB, pan %d, %d notes; %s",
          text(part, "name"),
          text(part, "role"),
          text(part, "instrument"),
          part.path("levelDb").asDouble(),
          part.path("pan").asInt(),
          part.path("notes").asInt(),
          String.join("; ", patterns));
    }
    out.println();
    song.path("form").forEach(this::printSection);
    if (song.has("notes")) {
      out.println();
      song.path("notes").forEach(this::printNote);
    }
  }

  private void printBrief() {
    JsonNode brief = song.path("brief");
    line(
        "%s: %s, %s BPM (%s), %s, %s, swing %s %%, %d bars, %.1f s",
        text(song, "title"),
        text(brief, "style"),
        text(brief, "tempo"),
        text(brief, "feel"),
        text(brief, "key"),
        text(brief, "meter"),
        text(brief, "swing"),
        brief.path("bars").asInt(),
        brief.path("seconds").asDouble());
  }

  private void printSection(JsonNode section) {
    line(
        "bar %d, %s, %d bars over %s",
        section.path("fromBar").asInt(),
        text(section, "section"),
        section.path("bars").asInt(),
        text(section, "progression"));
    for (JsonNode transition : section.path("enteredBy")) {
      line("  entered by %s", transition.asText());
    }
    for (JsonNode mark : section.path("marks")) {
      line("  at %s", mark.asText());
    }
    for (JsonNode curve : section.path("moves")) {
      line("  moves %s", curve.asText());
    }
    for (JsonNode play : section.path("plays")) {
      int from = play.path("fromBar").asInt();
      int to = play.path("toBar").asInt();
      line(
          "  %-20s %-6s %-12s %s",
          text(play, "part"),
          text(play, "level"),
          text(play, "pattern"),
          from == to ? "bar " + from : "bars " + from + " to " + to);
    }
  }

  private void printNote(JsonNode note) {
    JsonNode source = note.path("source");
    String place =
        source.has("step")
            ? ", step " + source.path("step").asInt()
            : source.has("note") ? ", note " + source.path("note").asInt() : "";
    line(
        "%-10s %-20s %-10s key %3d velocity %3d ticks %5d from %s%s",
        text(note, "at"),
        text(note, "part"),
        text(note, "name"),
        note.path("key").asInt(),
        note.path("velocity").asInt(),
        note.path("ticks").asInt(),
        text(source, "pattern"),
        place);
  }

  private void line(String format, Object... values) {
    out.println(String.format(Locale.ROOT, format, values));
  }

  private static String text(JsonNode node, String field) {
    return Plain.of(node.path(field).asText(), LONGEST);
  }
}
