package westtide.compose.form;

import java.util.ArrayList;
import java.util.List;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionWord;
import westtide.song.form.TransitionKind;
import westtide.song.mix.Curve;
import westtide.song.mix.Mix;

/**
 * Has builds rise: all that plays in one comes from afar and is above its usual level, and open,
 * where it ends (common practice).
 */
public final class RisingBuilds {
  private static final int FAR = -55;
  private static final int NEAR = 30;
  private static final int DARK_HZ = 900;

  private RisingBuilds() {}

  /** The song with every build risen in. */
  public static Song in(Song song) {
    List<Section> sections = song.form().sections();
    List<Section> out = new ArrayList<>();
    for (int i = 0; i < sections.size(); i++) {
      Section section = sections.get(i);
      boolean build = section.word() == SectionWord.BUILD;
      boolean opened = i + 1 < sections.size() && opens(sections.get(i + 1));
      out.add(build ? rising(song, section, opened) : section);
    }
    return song.withForm(new Form(out));
  }

  /** Whether a section is announced by a low-pass that opens anyway. */
  private static boolean opens(Section section) {
    return section.entry().stream().anyMatch(mark -> mark.kind() == TransitionKind.OPEN);
  }

  private static Section rising(Song song, Section section, boolean opened) {
    Section out = section;
    for (Part part : song.parts()) {
      boolean plays = section.cells(part.id()).stream().anyMatch(cell -> cell.level() != Level.OUT);
      if (!plays || part.role() == Role.MARKS) {
        continue;
      }
      List<Curve> curves = new ArrayList<>(section.curves().getOrDefault(part.id(), List.of()));
      curves.add(Curve.straight(Curve.Kind.LEVEL, FAR, NEAR));
      if (!opened && (part.role() == Role.CHORDS || part.role() == Role.LINE)) {
        curves.add(Curve.straight(Curve.Kind.LOW_PASS, DARK_HZ, Mix.OPEN));
      }
      out = out.withCurves(part.id(), curves);
    }
    return out;
  }
}
