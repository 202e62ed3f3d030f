package westtide.song;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import westtide.song.form.Form;
import westtide.song.id.PartId;

/**
 * A form kept from a song to be laid out over others: its sections, what its parts did in them and
 * its transitions. Laid out, the first line does what the first line did, the second what the
 * second did; parts it knows nothing of do what their style plans.
 *
 * @param name what it is called
 * @param form the form
 * @param roles the role of each part of it, in order
 */
public record OwnForm(String name, Form form, Map<PartId, Role> roles) {
  /** Copies the roles. */
  public OwnForm {
    if (name.isBlank()) {
      throw new IllegalArgumentException("a plan has a name");
    }
    roles = Collections.unmodifiableMap(new LinkedHashMap<>(roles));
  }

  /** The form of a song, under the song's title. */
  public static OwnForm of(Song song) {
    Map<PartId, Role> roles = new LinkedHashMap<>();
    song.parts().forEach(part -> roles.put(part.id(), part.role()));
    return new OwnForm("as " + song.title(), song.form(), roles);
  }
}
