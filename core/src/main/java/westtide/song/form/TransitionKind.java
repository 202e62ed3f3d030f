package westtide.song.form;

import java.util.Arrays;
import java.util.Optional;
import westtide.song.form.TransitionEffect.Fill;
import westtide.song.form.TransitionEffect.Held;
import westtide.song.form.TransitionEffect.Run;
import westtide.song.form.TransitionEffect.Silence;
import westtide.song.form.TransitionEffect.Sound;
import westtide.song.form.TransitionEffect.StopOnBackbeat;
import westtide.song.form.TransitionEffect.Sweep;
import westtide.song.form.TransitionEffect.Who;

/** The kinds of transition: all there is to say of each. */
public enum TransitionKind {
  DRUMS_OUT(
      "drums-out",
      "drums out",
      Place.BEFORE,
      1,
      1,
      new Silence(Who.DRUMS),
      Need.DRUMS_BEFORE,
      Sign.HOLLOW,
      Length.LAST),
  STOP(
      "stop",
      "everything stops",
      Place.BEFORE,
      1,
      1,
      new Silence(Who.ALL),
      Need.NOTHING,
      Sign.BLOCK,
      Length.LAST),
  SNARE_STOP(
      "snare-stop",
      "all stop on the first snare",
      Place.AFTER,
      1,
      0,
      new StopOnBackbeat(),
      Need.BACKBEAT,
      Sign.BLOCK_AFTER,
      Length.TO_END_OF_BAR),
  GAP(
      "gap",
      "gap of the low end and drums",
      Place.BEFORE,
      8,
      1,
      new Silence(Who.LOW_END_AND_DRUMS),
      Need.NOTHING,
      Sign.HOLLOW,
      Length.OVER),
  LATE(
      "late",
      "enters late",
      Place.AFTER,
      2,
      1,
      new Silence(Who.MAIN_PART),
      Need.NOTHING,
      Sign.HOLLOW,
      Length.LATE),
  HOLD("hold", "held", Place.BEFORE, 8, 1, new Held(), Need.NOTHING, Sign.HELD, Length.HELD),
  FILL(
      "fill",
      "snare fill",
      Place.BEFORE,
      2,
      1,
      new Fill(Fill.Figure.SNARE),
      Need.DRUMS,
      Sign.STROKES,
      Length.OVER),
  TOM_FILL(
      "toms",
      "tom fill",
      Place.BEFORE,
      2,
      1,
      new Fill(Fill.Figure.TOMS),
      Need.DRUMS,
      Sign.STROKES,
      Length.OVER),
  HAT_FILL(
      "hat-roll",
      "hat roll",
      Place.BEFORE,
      1,
      1,
      new Fill(Fill.Figure.HATS),
      Need.DRUMS_BEFORE,
      Sign.STROKES,
      Length.OVER),
  KICKLESS(
      "kickless",
      "fill without kick",
      Place.BEFORE,
      2,
      1,
      new Fill(Fill.Figure.WITHOUT_KICK),
      Need.DRUMS_BEFORE,
      Sign.STROKES,
      Length.OVER),
  SNARE_BUILD(
      "build",
      "snare build 1/4 to 1/16",
      Place.BEFORE,
      16,
      2,
      new Fill(Fill.Figure.BUILD),
      Need.DRUMS,
      Sign.STROKES,
      Length.OVER),
  COUNT(
      "count",
      "stick count",
      Place.BEFORE,
      4,
      1,
      new Fill(Fill.Figure.STICKS),
      Need.DRUMS,
      Sign.STROKES,
      Length.UNTOLD),
  CRASH(
      "crash",
      "crash on the one",
      Place.AFTER,
      4,
      1,
      new Sound("crash", 69, true),
      Need.NOTHING,
      Sign.BURST,
      Length.UNTOLD),
  REVERSE(
      "reverse",
      "reversed crash",
      Place.BEFORE,
      4,
      1,
      new Sound("reversed crash", 67, false),
      Need.NOTHING,
      Sign.BURST_BACK,
      Length.OVER),
  RISER(
      "riser",
      "riser",
      Place.BEFORE,
      8,
      1,
      new Sound("riser", 60, false),
      Need.NOTHING,
      Sign.RISING,
      Length.OVER),
  SWEEP(
      "sweep",
      "sweep down",
      Place.AFTER,
      4,
      1,
      new Sound("sweep down", 62, false),
      Need.NOTHING,
      Sign.FALLING,
      Length.OVER),
  IMPACT(
      "impact",
      "impact",
      Place.AFTER,
      4,
      1,
      new Sound("impact", 64, false),
      Need.NOTHING,
      Sign.BURST,
      Length.UNTOLD),
  BASS_RUN(
      "run",
      "bass run",
      Place.BEFORE,
      2,
      1,
      new Run(Run.Way.BASS),
      Need.BASS_NEAR,
      Sign.STAIRS,
      Length.OVER),
  LINE_RUN(
      "line-run",
      "line run",
      Place.BEFORE,
      2,
      1,
      new Run(Run.Way.LINE),
      Need.LINE_BEFORE,
      Sign.STAIRS,
      Length.OVER),
  RAMP(
      "ramp",
      "808 ramp",
      Place.BEFORE,
      2,
      1,
      new Run(Run.Way.RAMP),
      Need.SUB_BEFORE,
      Sign.STAIRS,
      Length.OVER),
  TAIL(
      "tail",
      "tail at the tempo",
      Place.AFTER,
      4,
      1,
      new Run(Run.Way.TAIL),
      Need.LINE_BEFORE,
      Sign.FALLING,
      Length.OVER),
  OPEN(
      "open",
      "low-pass opens",
      Place.BEFORE,
      16,
      1,
      new Sweep(Sweep.Way.OPENING),
      Need.NOTHING,
      Sign.OPENING,
      Length.OVER),
  CLOSE(
      "close",
      "low-pass closes",
      Place.BEFORE,
      8,
      1,
      new Sweep(Sweep.Way.CLOSING),
      Need.NOTHING,
      Sign.CLOSING,
      Length.OVER),
  FADE(
      "fade",
      "fade out",
      Place.AFTER,
      0,
      0,
      new Sweep(Sweep.Way.FADING),
      Need.NOTHING,
      Sign.FALLING,
      Length.TO_END);

  private final String word;
  private final String title;
  private final Place place;
  private final int usual;
  private final int least;
  private final TransitionEffect effect;
  private final Need need;
  private final Sign sign;
  private final Length told;

  TransitionKind(
      String word,
      String title,
      Place place,
      int usual,
      int least,
      TransitionEffect effect,
      Need need,
      Sign sign,
      Length told) {
    this.word = word;
    this.title = title;
    this.place = place;
    this.usual = usual;
    this.least = least;
    this.effect = effect;
    this.need = need;
    this.sign = sign;
    this.told = told;
  }

  /** What it does. */
  public TransitionEffect effect() {
    return effect;
  }

  /** What the song must have for it. */
  public Need need() {
    return need;
  }

  /** How it is drawn. */
  public Sign sign() {
    return sign;
  }

  /** How its length is told. */
  Length told() {
    return told;
  }

  /** Whether some lanes of the drums alone can fall out of it. */
  public boolean takesLanes() {
    return effect instanceof Silence silence
        && (silence.who() == Who.DRUMS || silence.who() == Who.LOW_END_AND_DRUMS);
  }

  /** The word it is typed by. */
  public String word() {
    return word;
  }

  /** Where it lies. */
  public Place place() {
    return place;
  }

  /** How many beats it usually lasts. */
  public int usual() {
    return usual;
  }

  /** The fewest beats; 0 where it can last to the end of the bar or section. */
  public int least() {
    return least;
  }

  /** The kind of a typed word. */
  public static Optional<TransitionKind> find(String word) {
    return Arrays.stream(values()).filter(kind -> kind.word.equals(word)).findFirst();
  }

  @Override
  public String toString() {
    return title;
  }

  /** Where a transition lies. */
  public enum Place {
    /** Up to the bar. */
    BEFORE,
    /** From the bar on. */
    AFTER
  }

  /** What a song must have for a transition to be heard. */
  public enum Need {
    NOTHING,
    /** A part of drums. */
    DRUMS,
    /** Drums that play before the boundary. */
    DRUMS_BEFORE,
    /** A snare or clap behind it. */
    BACKBEAT,
    /** An 808 that plays before it. */
    SUB_BEFORE,
    /** A bass on one side of it, or an 808 instead. */
    BASS_NEAR,
    /** A line that plays before it. */
    LINE_BEFORE
  }

  /** The sign a transition is drawn as. */
  public enum Sign {
    /** Something is not there. */
    HOLLOW,
    /** Nothing sounds. */
    BLOCK,
    /** Nothing sounds after the first stroke. */
    BLOCK_AFTER,
    HELD,
    STROKES,
    BURST,
    BURST_BACK,
    RISING,
    FALLING,
    STAIRS,
    OPENING,
    CLOSING
  }

  /** How the length of a transition is told. */
  public enum Length {
    UNTOLD,
    LAST,
    LATE,
    HELD,
    OVER,
    TO_END_OF_BAR,
    TO_END
  }
}
