package westtide.desktop.files;

import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import westtide.compose.SongChanges;
import westtide.file.Recovery;
import westtide.file.SongFile;
import westtide.file.disk.UnusableFileException;
import westtide.song.Song;

/**
 * Work that a crash left, as a person decides about it.
 *
 * @param left the work
 * @param words when it was kept, and how it differs from the file it belongs to
 */
public record UnsavedWork(Recovery.Left left, String words) {
  private static final DateTimeFormatter TIME =
      DateTimeFormatter.ofPattern("d MMMM, HH:mm", Locale.ENGLISH);
  private static final int MOST_WORDS = 4;

  /** The work in words. */
  public static UnsavedWork of(Recovery.Left left) {
    String time = LocalDateTime.ofInstant(left.kept(), ZoneId.systemDefault()).format(TIME);
    return new UnsavedWork(left, time + differences(left));
  }

  private static String differences(Recovery.Left left) {
    if (left.file().isEmpty()) {
      return ", in no file";
    }
    Optional<Song> saved = saved(left);
    if (saved.isEmpty()) {
      return ", its file is gone";
    }
    List<String> changes = SongChanges.between(saved.get(), left.song());
    String more = changes.size() > MOST_WORDS ? " and " + (changes.size() - MOST_WORDS) : "";
    return changes.stream().limit(MOST_WORDS).collect(Collectors.joining(" · ", ": ", more));
  }

  private static Optional<Song> saved(Recovery.Left left) {
    try {
      return Optional.of(SongFile.read(left.file().orElseThrow()));
    } catch (UnusableFileException e) {
      return Optional.empty();
    }
  }
}
