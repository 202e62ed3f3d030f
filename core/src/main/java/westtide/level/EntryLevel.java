package westtide.level;

import java.util.List;
import java.util.Optional;
import westtide.song.Part;
import westtide.song.PartSound;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.mix.Mix;
import westtide.style.MixHabit;
import westtide.style.Style;

/**
 * The level a new part enters at: as loud as the part of its role that joined last, or as the style
 * has that role where the song has none of it. Instruments differ by 20 dB at one level, so it is
 * their loudness that is made alike, not the figure.
 */
public final class EntryLevel {
  private static final int MIDDLE = 64;
  private static final int LOW = 36;
  private static final double USUAL_FORCE = 92 / 127.0;
  private static final double HEARD_SECONDS = 0.4;
  private static final double STEP_SECONDS = 0.05;
  private static final int MOST_TENTHS = 240;

  private EntryLevel() {}

  /** The part at the level it enters a song of that style with. */
  public static Part of(Part fresh, Song song, Style style) {
    if (fresh.role() == Role.MARKS || fresh.role() == Role.FOUND) {
      return fresh;
    }
    List<Part> same = song.parts(fresh.role());
    Optional<Part> model =
        same.isEmpty() ? Optional.empty() : Optional.of(same.get(same.size() - 1));
    Mix mix = model.map(Part::mix).orElseGet(() -> usual(fresh.role(), style));
    String instrument =
        model
            .map(part -> part.patch().instrument())
            .orElse(PartSound.patch(fresh.role()).instrument());
    double softer =
        loudness(instrument, fresh.role()) - loudness(fresh.patch().instrument(), fresh.role());
    int moved = (int) Math.round(10 * softer);
    int level = mix.level() + Math.max(-MOST_TENTHS, Math.min(MOST_TENTHS, moved));
    int held = Math.max(Mix.SILENT + 1, Math.min(Mix.LOUDEST, level));
    return fresh.withMix(fresh.mix().withLevel(held));
  }

  private static Mix usual(Role role, Style style) {
    return style.ensemble().mixes().entrySet().stream()
        .filter(entry -> entry.getKey().value().equals(id(role)))
        .findFirst()
        .map(entry -> entry.getValue().on(PartSound.mix(role)))
        .orElseGet(() -> MixHabit.of(PartSound.mix(role)).on(PartSound.mix(role)));
  }

  private static String id(Role role) {
    return switch (role) {
      case CHORDS -> "keys";
      case LINE -> "lead";
      case DRUMS -> "drums";
      case SUB -> "808";
      case BASS -> "bass";
      case MARKS -> "marks";
      case FOUND -> "keys";
    };
  }

  /** How loud a note of usual length is, in dB; 0 for what was not measured, such as kits. */
  private static double loudness(String instrument, Role role) {
    int key = role == Role.SUB || role == Role.BASS ? LOW : MIDDLE;
    return VoiceLoudness.shipped()
        .powers(instrument, key, USUAL_FORCE)
        .map(EntryLevel::mean)
        .orElse(0.0);
  }

  private static double mean(double[] powers) {
    double sum = 0;
    int count = 0;
    for (double at = STEP_SECONDS / 2; at < HEARD_SECONDS; at += STEP_SECONDS) {
      sum += VoiceLoudness.at(powers, at);
      count++;
    }
    return 10 * Math.log10(Math.max(1e-9, sum / count));
  }
}
