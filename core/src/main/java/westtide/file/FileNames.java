package westtide.file;

import westtide.song.Part;
import westtide.song.Song;

/** The names files are delivered under: title, BPM and key, and the part for one part alone. */
public final class FileNames {
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
    return stem(song) + " " + safe(part.name()) + ".wav";
  }

  /** For example {@code "Lamp Room 146 F#m.mid"}. */
  public static String midi(Song song) {
    return stem(song) + ".mid";
  }

  /** For example {@code "Lamp Room 146 F#m 808.mid"}. */
  public static String midi(Song song, Part part) {
    return stem(song) + " " + safe(part.name()) + ".mid";
  }

  private static String safe(String name) {
    String kept = name.replaceAll("[\\\\/:*?\"<>|\\p{Cntrl}]", "").strip();
    return kept.isEmpty() || kept.startsWith(".") ? "Untitled" : kept;
  }
}
