package westtide.song.edit;

import westtide.song.Role;
import westtide.song.Song;
import westtide.song.id.PartId;

/** Names, ids and places that are free for another part. */
public final class PartNames {
  private PartNames() {}

  /** The name, with a number from 2 on where another part has it. */
  public static String free(Song song, String wanted) {
    String stem = wanted.strip().replaceFirst(" \\d{1,3}$", "");
    String name = wanted.strip();
    for (int number = 2; taken(song, name); number++) {
      name = stem + " " + number;
    }
    return name;
  }

  private static boolean taken(Song song, String name) {
    return song.parts().stream().anyMatch(part -> part.name().equals(name));
  }

  /** An id no part has yet. */
  public static PartId freeId(Song song, Role role) {
    return freeId(song, role.name().toLowerCase(java.util.Locale.ROOT));
  }

  /** As {@link #freeId(Song, Role)}, beginning with a stem. */
  public static PartId freeId(Song song, String stem) {
    int number = 1;
    while (song.part(PartId.of(stem + "-" + number)).isPresent()) {
      number++;
    }
    return PartId.of(stem + "-" + number);
  }

  /** The place behind the last part of a role, or behind all. */
  public static int behindRole(Song song, Role role) {
    for (int i = song.parts().size() - 1; i >= 0; i--) {
      if (song.parts().get(i).role() == role) {
        return i + 1;
      }
    }
    return song.parts().size();
  }
}
