package westtide.compose;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.compose.form.FormChanges;
import westtide.song.Brief;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.chord.Progression;
import westtide.song.pattern.NamedPattern;

/** What differs between two versions of a song, in words a producer would use. */
public final class SongChanges {
  private SongChanges() {}

  /** The differences of {@code then} from {@code now}; empty when they are the same. */
  public static List<String> between(Song now, Song then) {
    List<String> out = new ArrayList<>();
    if (!now.title().equals(then.title())) {
      out.add("called " + then.title());
    }
    brief(now.brief(), then.brief(), out);
    progressions(now, then, out);
    parts(now, then, out);
    out.addAll(FormChanges.between(then, now.form(), then.form()));
    if (out.isEmpty() && !now.equals(then)) {
      out.add("details");
    }
    return List.copyOf(out);
  }

  private static void brief(Brief now, Brief then, List<String> out) {
    differs("style", now.style(), then.style(), out);
    differs("tempo", now.tempo(), then.tempo(), out);
    differs("key", now.key(), then.key(), out);
    differs("meter", now.meter(), then.meter(), out);
    differs("swing", now.swing(), then.swing(), out);
  }

  private static void differs(String what, Object now, Object then, List<String> out) {
    if (!now.equals(then)) {
      out.add(what + " " + then + " for " + now);
    }
  }

  private static void progressions(Song now, Song then, List<String> out) {
    for (Progression row : then.progressions()) {
      Optional<Progression> old =
          now.progressions().stream().filter(r -> r.name().equals(row.name())).findFirst();
      if (old.isEmpty()) {
        out.add("progression " + row.name() + " is new");
      } else if (!old.get().equals(row)) {
        out.add("chords of " + row.name());
      }
    }
    for (Progression row : now.progressions()) {
      if (then.progressions().stream().noneMatch(r -> r.name().equals(row.name()))) {
        out.add("progression " + row.name() + " goes");
      }
    }
  }

  private static void parts(Song now, Song then, List<String> out) {
    for (Part part : then.parts()) {
      Optional<Part> old = now.part(part.id());
      if (old.isEmpty()) {
        out.add(part.name() + " is new");
      } else if (!old.get().equals(part)) {
        out.add(part.name() + ": " + details(old.get(), part));
      }
    }
    for (Part part : now.parts()) {
      if (then.part(part.id()).isEmpty()) {
        out.add(part.name() + " goes");
      }
    }
  }

  private static String details(Part now, Part then) {
    List<String> out = new ArrayList<>();
    if (!now.name().equals(then.name())) {
      out.add("called " + now.name() + " before");
    }
    for (NamedPattern pattern : then.patterns()) {
      if (!now.patterns().contains(pattern)) {
        out.add(now.find(pattern.name()).isPresent() ? pattern.name() : pattern.name() + " is new");
      }
    }
    for (NamedPattern pattern : now.patterns()) {
      if (then.find(pattern.name()).isEmpty()) {
        out.add(pattern.name() + " goes");
      }
    }
    if (!now.mix().equals(then.mix())) {
      out.add("mix");
    }
    if (!now.patch().equals(then.patch()) || now.program() != then.program()) {
      out.add("sound");
    }
    return out.isEmpty() ? "otherwise" : String.join(", ", out);
  }
}
