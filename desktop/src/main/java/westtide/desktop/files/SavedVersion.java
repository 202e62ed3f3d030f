package westtide.desktop.files;

import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import westtide.compose.SongChanges;
import westtide.file.SongVersions;
import westtide.file.disk.UnusableFileException;
import westtide.rhythm.Clock;
import westtide.song.Song;

/**
 * A saved version as a person chooses between them.
 *
 * @param time when it was saved, in words
 * @param length its length in words
 * @param song the song as it was
 * @param changes what it changed of the version before it
 * @param away what it would change of the song as it is now
 */
record SavedVersion(
    String time, String length, Song song, List<String> changes, List<String> away) {
  private static final DateTimeFormatter TIME =
      DateTimeFormatter.ofPattern("d MMMM, HH:mm:ss", Locale.ENGLISH);

  /** The versions that can be read, the latest first. */
  static List<SavedVersion> of(List<SongVersions.Version> versions, Song present) {
    List<SavedVersion> out = new ArrayList<>();
    Song before = null;
    for (int i = versions.size() - 1; i >= 0; i--) {
      try {
        Song song = versions.get(i).song();
        List<String> changes = before == null ? List.of() : SongChanges.between(before, song);
        out.add(0, version(versions.get(i), song, changes, present));
        before = song;
      } catch (UnusableFileException e) {
        continue;
      }
    }
    return out;
  }

  private static SavedVersion version(
      SongVersions.Version version, Song song, List<String> changes, Song present) {
    String length = song.form().bars() + " bars · " + Clock.of(song.millis());
    String time = LocalDateTime.ofInstant(version.saved(), ZoneId.systemDefault()).format(TIME);
    return new SavedVersion(time, length, song, changes, SongChanges.between(present, song));
  }
}
