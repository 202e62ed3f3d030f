package westtide.compose.groove;

import java.util.List;
import westtide.rhythm.Meter;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;

/**
 * Makes a drafted drum part one groove and its variations: whatever was grown, thinned or filled
 * from the main groove plays the same, and from then on follows it but for what it changes, so that
 * a kick moved in the groove is moved everywhere.
 */
public final class GrooveVariations {
  private GrooveVariations() {}

  /** The song with the grooves of every drum part following its main one. */
  public static Song in(Song song) {
    Song out = song;
    for (Part part : song.parts(Role.DRUMS)) {
      out = out.withPart(part.id(), p -> following(p, song.brief().meter()));
    }
    return out;
  }

  private static Part following(Part part, Meter meter) {
    Part out = part;
    if (part.find(GrooveDraft.MAIN).isPresent()) {
      Pattern.Drums main = part.groove(GrooveDraft.MAIN, meter).orElseThrow();
      for (NamedPattern named : part.patterns()) {
        out = out.with(named.withPattern(following(named, main, meter)));
      }
    }
    return out;
  }

  private static Pattern following(NamedPattern named, Pattern.Drums main, Meter meter) {
    boolean other = !named.name().equals(GrooveDraft.MAIN);
    return other && named.pattern() instanceof Pattern.Drums groove
        ? new Pattern.Varied(GrooveDraft.MAIN, groove.bars(), List.of())
            .leadingTo(groove, main, meter)
        : named.pattern();
  }
}
