package westtide.desktop.files;

import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import westtide.compose.SongChanges;
import westtide.file.Recovery;

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
    if (left.file().isEmpty() || left.saved().isEmpty()) {
      return ", " + left.note().orElse("in no file");
    }
    List<String> changes = SongChanges.between(left.saved().get(), left.song());
    String more = changes.size() > MOST_WORDS ? " and " + (changes.size() - MOST_WORDS) : "";
    return changes.stream().limit(MOST_WORDS).collect(Collectors.joining(" · ", ": ", more));
  }
}
