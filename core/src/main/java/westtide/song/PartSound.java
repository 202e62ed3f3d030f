package westtide.song;

import westtide.song.mix.Duck;
import westtide.song.mix.Mix;
import westtide.song.mix.Patch;

/** How a part of each role usually sounds, until something else is chosen. */
public final class PartSound {
  private PartSound() {}

  /** The preview instrument of a role. */
  public static Patch patch(Role role) {
    return Patch.of(
        switch (role) {
          case CHORDS -> "electric piano";
          case LINE -> "bell";
          case DRUMS -> "tide kit";
          case SUB -> "808";
          case BASS -> "finger bass";
          case MARKS -> "riser";
          case FOUND -> "electric piano";
        });
  }

  /** Melodic parts leave everything below 150 Hz to the low end (common practice). */
  public static Mix mix(Role role) {
    Duck kick = new Duck(Duck.Trigger.KICK, 60, 120, 0);
    return switch (role) {
      case CHORDS -> Mix.PLAIN.withLevel(-110).withLowCut(150).withReverb(22).withWidth(35);
      case LINE -> Mix.PLAIN.withLevel(-110).withLowCut(150).withReverb(26).withDelay(18);
      case DRUMS -> Mix.PLAIN.withLevel(-40).withReverb(6);
      case SUB -> Mix.PLAIN.withLevel(-70).withClip(30).withDuck(kick);
      case FOUND -> Mix.PLAIN.withLevel(-80);
      case MARKS -> Mix.PLAIN.withLevel(-80).withReverb(18).withWidth(40);
      case BASS -> Mix.PLAIN.withLevel(-90).withDuck(kick);
    };
  }
}
