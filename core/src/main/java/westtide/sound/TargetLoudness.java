package westtide.sound;

import java.io.IOException;
import java.util.EnumMap;
import java.util.Map;
import westtide.score.Score;
import westtide.score.SectionScore;
import westtide.song.Form;
import westtide.song.SectionKind;
import westtide.song.Song;
import westtide.song.mix.Master;
import westtide.sound.loudness.Loudness;

/**
 * Brings a draft to the loudness it aims at: it hears some bars of the last hook, reckons from the
 * lengths of the sections what the whole song will read (LUFS, integrated, ITU-R BS.1770), and
 * moves the gain of the mix by what is missing. Drafts heard in turn are as loud as one another
 * then, and none seems better for being louder. A fraction of a second; the whole song rendered and
 * measured ({@link Listening}) is nearer.
 */
final class TargetLoudness {
  private static final int BARS = 8;

  /** Half of what is written, since the top octave hardly counts for loudness. */
  private static final int RATE = 24_000;

  /** What it counts nevertheless, in LU, by the drafts of all styles. */
  private static final double TOP_OCTAVE = 0.35;

  /** How much of a step of the gain comes out behind glue and limiter. */
  private static final double COMES_OUT = 0.85;

  private static final int MOST = 240;
  private static final double SILENT = -60;

  /** How far kinds of section usually lie under the last hook, in LU (common practice). */
  private static final Map<SectionKind, Double> UNDER_HOOK = underHook();

  private TargetLoudness() {}

  private static Map<SectionKind, Double> underHook() {
    Map<SectionKind, Double> out = new EnumMap<>(SectionKind.class);
    out.put(SectionKind.HOOK, 1.0);
    out.put(SectionKind.GROOVE, 2.0);
    out.put(SectionKind.PRE_HOOK, 4.0);
    out.put(SectionKind.VERSE, 4.5);
    out.put(SectionKind.BRIDGE, 6.0);
    out.put(SectionKind.INTRO, 6.0);
    out.put(SectionKind.OUTRO, 7.0);
    out.put(SectionKind.GAP, 20.0);
    return out;
  }

  /** The draft at the loudness it aims at; as it is when it aims at none or is silent. */
  static Song reached(Song draft) {
    Master master = draft.master();
    if (master.target() == 0) {
      return draft;
    }
    double heard = reading(draft);
    if (heard < SILENT) {
      return draft;
    }
    int more = (int) Math.round(10 * (master.target() - heard) / COMES_OUT);
    int gain = Math.max(-MOST, Math.min(MOST, master.gain() + more));
    return draft.withMaster(master.withGain(gain));
  }

  /** What the whole song will read, in LUFS, as far as its last hook tells. */
  static double reading(Song song) {
    Form form = song.form();
    int hook = loudest(form);
    double energy = 0;
    int bars = 0;
    for (int place = 0; place < form.sections().size(); place++) {
      double apart = place == hook ? 0 : 1 + under(form, place) - under(form, hook);
      int length = form.sections().get(place).bars();
      energy += length * Math.pow(10, -apart / 10);
      bars += length;
    }
    return heard(song, hook) + TOP_OCTAVE + 10 * Math.log10(energy / bars);
  }

  private static int loudest(Form form) {
    int out = 0;
    for (int place = 1; place < form.sections().size(); place++) {
      if (under(form, place) <= under(form, out)) {
        out = place;
      }
    }
    return out;
  }

  private static double under(Form form, int place) {
    return UNDER_HOOK.get(form.sections().get(place).word().kind());
  }

  /** The first bars of a section as it is in the song, since lines go on from what was before. */
  private static double heard(Song song, int place) {
    Score section = SectionScore.of(Score.of(song), place, BARS);
    Loudness loudness = new Loudness(RATE);
    long[] left = {Math.round(section.song().millis() / 1000 * RATE)};
    try {
      Mixdown.of(section, RATE)
          .mix(
              (toLeft, toRight, frames) -> {
                int body = (int) Math.min(frames, left[0]);
                loudness.hear(toLeft, toRight, body);
                left[0] -= body;
              },
              new Mixdown.Watch(() -> left[0] == 0, share -> {}));
    } catch (IOException e) {
      throw new IllegalStateException("nothing is written while listening", e);
    }
    return loudness.integrated();
  }
}
