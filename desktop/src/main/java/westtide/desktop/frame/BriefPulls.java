package westtide.desktop.frame;

import westtide.desktop.open.OpenSong;
import westtide.rhythm.Swing;
import westtide.song.Brief;
import westtide.song.edit.BriefEdits;
import westtide.theory.Key;
import westtide.theory.Tonics;

/** Key, tempo and swing moved by steps, from the top bar. */
final class BriefPulls {
  private static final int BPM = 1000;
  private static final int PERCENT = 100;
  private static final int OCTAVE = 12;

  private final OpenSong open;

  BriefPulls(OpenSong open) {
    this.open = open;
  }

  /** The whole song by semitones. */
  void key(int steps) {
    Key key = brief().key();
    int home = Math.floorMod(key.tonic().pitchClass() + steps, OCTAVE);
    open.apply(BriefEdits.key(new Key(Tonics.of(key, home), key.scale())));
  }

  /** Tempo by BPM. */
  void tempo(int steps) {
    open.apply(BriefEdits.tempo(brief().tempo().plus(steps * BPM)));
  }

  /** Swing by percent, 50 to 75. */
  void swing(int steps) {
    Swing swing = brief().swing();
    open.apply(BriefEdits.swing(swing.withHeld(swing.hundredths() + steps * PERCENT)));
  }

  private Brief brief() {
    return open.song().brief();
  }
}
