package westtide.file;

import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.Locale;
import java.util.Set;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.drum.LaneId;

/** The names files are delivered under: title, BPM and key, and the part for one part alone. */
public final class FileNames {
  /** Bytes of the longest title, and of the longest name of a part, in a file's name. */
  private static final int MOST_BYTES = 90;

  private FileNames() {}

  /** For example {@code "Lamp Room 146 F#m"}. */
  public static String stem(Song song) {
    return safe(song.title()) + " " + song.brief().tempo() + " " + song.brief().key().shortName();
  }

  /** For example {@code "Lamp Room 146 F#m.wav"}. */
  public static String wav(Song song) {
    return stem(song) + ".wav";
  }

  /** For example {@code "Lamp Room 146 F#m 808.wav"}. */
  public static String wav(Song song, Part part) {
    return stem(song) + " " + safe(song, part) + ".wav";
  }

  /** For example {@code "Lamp Room 146 F#m.mid"}. */
  public static String midi(Song song) {
    return stem(song) + ".mid";
  }

  /** For example {@code "Lamp Room 146 F#m 808.mid"}. */
  public static String midi(Song song, Part part) {
    return stem(song) + " " + safe(song, part) + ".mid";
  }

  /** For example {@code "Lamp Room 146 F#m Drums Clap 2.mid"}. */
  public static String midi(Song song, Part part, LaneId lane) {
    return stem(song) + " " + safe(song, part) + " " + part.name(lane) + ".mid";
  }

  /** For example {@code "Lamp Room 146 F#m Harbour 036 A.wav"}. */
  public static String piece(Song song, Part part, int key, String word) {
    String letter = word.equals("*") ? "whole" : word.replace(",", "back ").replace("*", "whole");
    return stem(song)
        + " "
        + safe(song, part)
        + String.format(Locale.ROOT, " %03d ", key)
        + letter
        + ".wav";
  }

  /** For example {@code "Lamp Room 146 F#m Harbour pieces.txt"}. */
  public static String pieces(Song song, Part part) {
    return stem(song) + " " + safe(song, part) + " pieces.txt";
  }

  /** For example {@code "Lamp Room 146 F#m 03 verse.mid"}: numbered, so that they sort. */
  public static String midiSection(Song song, int place) {
    String number = String.format(Locale.ROOT, "%02d", place + 1);
    return stem(song) + " " + number + " " + safe(song.form().label(place)) + ".mid";
  }

  /** A part's name as a file can have it, numbered where an earlier part's comes out the same. */
  private static String safe(Song song, Part part) {
    Set<String> taken = new HashSet<>();
    for (Part other : song.parts()) {
      String stem = safe(other.name());
      String name = stem;
      for (int i = 2; !taken.add(name.toLowerCase(Locale.ROOT)); i++) {
        name = stem + " " + i;
      }
      if (other.id().equals(part.id())) {
        return name;
      }
    }
    return safe(part.name());
  }

  private static String safe(String name) {
    String kept = name.replaceAll("[\\\\/:*?\"<>|\\p{Cntrl}]", "").strip();
    return kept.isEmpty() || kept.startsWith(".") ? "Untitled" : shortened(kept);
  }

  /** A name of several pieces stays inside the 255 bytes that file systems allow. */
  private static String shortened(String name) {
    StringBuilder out = new StringBuilder();
    int bytes = 0;
    for (int i = 0; i < name.length(); i = name.offsetByCodePoints(i, 1)) {
      String letter = Character.toString(name.codePointAt(i));
      bytes += letter.getBytes(StandardCharsets.UTF_8).length;
      if (bytes > MOST_BYTES) {
        return out.toString().strip();
      }
      out.append(letter);
    }
    return name;
  }
}
