package westtide.review.finding;

import static westtide.review.finding.Input.BRIEF;
import static westtide.review.finding.Input.CHORDS;
import static westtide.review.finding.Input.DRUMS;
import static westtide.review.finding.Input.FORM;
import static westtide.review.finding.Input.FOUND;
import static westtide.review.finding.Input.LINES;
import static westtide.review.finding.Input.MAIN;
import static westtide.review.finding.Input.PARTS;
import static westtide.review.finding.Input.PROGRESSIONS;
import static westtide.review.finding.Input.RENDERING;

import java.util.Arrays;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** Every check there is: its stage, what it is called in song files, and what it reads. */
public enum Check {
  /** The tempo lies outside the band of the style. */
  BRIEF_TEMPO(Stage.BRIEF, "brief.tempo", BRIEF),
  /** The swing lies outside the band of the style. */
  BRIEF_SWING(Stage.BRIEF, "brief.swing", BRIEF),
  /** A chord has notes outside the key. */
  CHORDS_OUTSIDE(Stage.CHORDS, "chords.outside", BRIEF, PROGRESSIONS, FORM),
  /** Two neighbouring chords have no note in common. */
  CHORDS_STRANGER(Stage.CHORDS, "chords.stranger", BRIEF, PROGRESSIONS, FORM),
  /** A voicing is crowded down low. */
  CHORDS_MUD(Stage.CHORDS, "chords.mud", BRIEF, PROGRESSIONS, FORM, PARTS),
  /** A tone that names the chord is not played. */
  CHORDS_LOST(Stage.CHORDS, "chords.lost", BRIEF, PROGRESSIONS, FORM, PARTS),
  /** Two chords take turns all the time. */
  CHORDS_TURNING(Stage.CHORDS, "chords.turning", BRIEF, PROGRESSIONS, FORM),
  /** A hit is much louder than its lane. */
  DRUMS_SLIP(Stage.DRUMS, "drums.slip", BRIEF, FORM, DRUMS),
  /** Most hits of a lane are silenced by its choke group. */
  DRUMS_CHOKED(Stage.DRUMS, "drums.choked", BRIEF, FORM, DRUMS),
  /** Many drums start together. */
  DRUMS_CROWD(Stage.DRUMS, "drums.crowd", BRIEF, FORM, DRUMS),
  /** A hit every groove of the style has is not there. */
  DRUMS_MISSING(Stage.DRUMS, "drums.missing", BRIEF, FORM, DRUMS),
  /** The groove is fuller or emptier than the style. */
  DRUMS_FULL(Stage.DRUMS, "drums.full", BRIEF, FORM, DRUMS),
  /** A lane is busier or rarer than in the style. */
  DRUMS_DENSITY(Stage.DRUMS, "drums.density", BRIEF, FORM, DRUMS),
  /** Swing moves nothing. */
  DRUMS_SWING(Stage.DRUMS, "drums.swing", BRIEF, FORM, DRUMS),
  /** A hit waits for a pass that never comes. */
  DRUMS_NEVER(Stage.DRUMS, "drums.never", BRIEF, FORM, DRUMS),
  /** Bars repeat against the habit of the style. */
  DRUMS_REPEATS(Stage.DRUMS, "drums.repeats", BRIEF, FORM, DRUMS),
  /** A section ends without a fill. */
  DRUMS_NOFILL(Stage.DRUMS, "drums.nofill", BRIEF, FORM, DRUMS),
  /** 808 and kick sound at once for long. */
  LOWEND_KICK(Stage.LOW_END, "lowend.kick", BRIEF, FORM, PARTS),
  /** Notes lie outside the useful range. */
  LOWEND_RANGE(Stage.LOW_END, "lowend.range", BRIEF, FORM, PARTS),
  /** Another part dips into the 808. */
  LOWEND_CLASH(Stage.LOW_END, "lowend.clash", BRIEF, FORM, PARTS),
  /** Two low parts play one note. */
  LOWEND_UNISON(Stage.LOW_END, "lowend.unison", BRIEF, FORM, PARTS),
  /** A chord begins on another note than its bass. */
  LOWEND_DOWNBEAT(Stage.LOW_END, "lowend.downbeat", BRIEF, FORM, PARTS),
  /** A pick-up leads into its own note. */
  LOWEND_PICKUP(Stage.LOW_END, "lowend.pickup", BRIEF, FORM, PARTS),
  /** A loop keeps its lows under the 808. */
  LOWEND_LOOP(Stage.LOW_END, "lowend.loop", BRIEF, FORM, PARTS),
  /** The rendered 808 covers the kick. */
  LOWEND_OVERLAP(Stage.LOW_END, "lowend.overlap", BRIEF, FORM, PARTS, RENDERING),
  /** Kick and 808 cancel each other. */
  LOWEND_PHASE(Stage.LOW_END, "lowend.phase", BRIEF, FORM, PARTS, RENDERING),
  /** A note rubs a semitone above the chord. */
  LINES_RUB(Stage.LINES, "lines.rub", BRIEF, FORM, LINES),
  /** A phrase ends off the chord. */
  LINES_END(Stage.LINES, "lines.end", BRIEF, FORM, LINES),
  /** A note is in neither scale nor chord. */
  LINES_OUTSIDE(Stage.LINES, "lines.outside", BRIEF, FORM, LINES),
  /** A line lies under the top of the chords. */
  LINES_LOST(Stage.LINES, "lines.lost", BRIEF, FORM, MAIN, LINES, CHORDS),
  /** A note grates against a held chord. */
  LINES_CLASH(Stage.LINES, "lines.clash", BRIEF, FORM, LINES, CHORDS),
  /** Two lines play one note. */
  LINES_UNISON(Stage.LINES, "lines.unison", BRIEF, FORM, LINES),
  /** Two lines cross. */
  LINES_CROSSING(Stage.LINES, "lines.crossing", BRIEF, FORM, LINES),
  /** A note is so short that it clicks. */
  LINES_SHORT(Stage.LINES, "lines.short", BRIEF, FORM, LINES),
  /** A note stands out by its velocity. */
  LINES_LOUD(Stage.LINES, "lines.loud", BRIEF, FORM, LINES),
  /** A key is struck again while it sounds. */
  LINES_OVERLAP(Stage.LINES, "lines.overlap", BRIEF, FORM, LINES),
  /** A note is off the grid the others keep. */
  LINES_STRAGGLER(Stage.LINES, "lines.straggler", BRIEF, FORM, LINES),
  /** The sound of a part is missing. */
  LINES_SOUND_MISSING(Stage.LINES, "lines.soundmissing", FOUND),
  /** A loop is in another key than the song. */
  LINES_LOOP_KEY(Stage.LINES, "lines.loopkey", BRIEF, FOUND),
  /** A loop is out of tune with the song. */
  LINES_LOOP_TUNING(Stage.LINES, "lines.looptuning", BRIEF, FOUND),
  /** A loop goes round for long without any change. */
  LINES_LOOP_LONG(Stage.LINES, "lines.looplong", BRIEF, FORM, FOUND),
  /** A section enters from silence. */
  FORM_SILENCE(Stage.FORM, "form.silence", BRIEF, FORM, PARTS),
  /** Nothing announces a section. */
  FORM_UNANNOUNCED(Stage.FORM, "form.unannounced", BRIEF, FORM, PARTS),
  /** Nothing lands on the one of a section. */
  FORM_UNLANDED(Stage.FORM, "form.unlanded", BRIEF, FORM, PARTS),
  /** Many parts enter at once. */
  FORM_CROWD(Stage.FORM, "form.crowd", BRIEF, FORM, PARTS),
  /** Bars pass without any change. */
  FORM_STILL(Stage.FORM, "form.still", BRIEF, FORM, PARTS),
  /** A part breaks off within a section. */
  FORM_UNEVEN(Stage.FORM, "form.uneven", BRIEF, FORM, PARTS),
  /** A section is an earlier one note for note. */
  FORM_SAME(Stage.FORM, "form.same", BRIEF, FORM, PARTS),
  /** A section does not rise. */
  FORM_FLAT(Stage.FORM, "form.flat", BRIEF, FORM, PARTS),
  /** Nothing plays. */
  FORM_EMPTY(Stage.FORM, "form.empty", BRIEF, FORM, PARTS),
  /** The song is shorter or longer than usual. */
  FORM_LENGTH(Stage.FORM, "form.length", BRIEF, FORM, PARTS),
  /** The intro is far under the hook. */
  FORM_QUIETINTRO(Stage.FORM, "form.quietintro", BRIEF, FORM, PARTS, RENDERING),
  /** A build falls. */
  FORM_BUILDFALLS(Stage.FORM, "form.buildfalls", BRIEF, FORM, PARTS),
  /** A section does not dip before the next. */
  FORM_NODIP(Stage.FORM, "form.nodip", BRIEF, FORM, PARTS),
  /** The last hook is lower than an earlier one. */
  FORM_LASTHOOK(Stage.FORM, "form.lasthook", BRIEF, FORM, PARTS),
  /** The intro is long or short. */
  FORM_INTRO(Stage.FORM, "form.intro", BRIEF, FORM, PARTS),
  /** The main part is out of a section. */
  FORM_MAIN(Stage.FORM, "form.main", BRIEF, FORM, MAIN, PARTS),
  /** A part never rests. */
  FORM_RESTLESS(Stage.FORM, "form.restless", BRIEF, FORM, PARTS),
  /** The main part never stands alone. */
  FORM_NEVERALONE(Stage.FORM, "form.neveralone", BRIEF, FORM, MAIN, PARTS),
  /** The main part is never hinted at. */
  FORM_UNTEASED(Stage.FORM, "form.unteased", BRIEF, FORM, MAIN, PARTS),
  /** The limiter works hard. */
  LEVELS_PUSHED(Stage.LEVELS, "levels.pushed", BRIEF, FORM, PARTS, RENDERING),
  /** A low part stands at a side. */
  LEVELS_MIDDLE(Stage.LEVELS, "levels.middle", BRIEF, PARTS),
  /** A part keeps its lows under the 808. */
  LEVELS_LOWS(Stage.LEVELS, "levels.lows", BRIEF, PARTS),
  /** A region of the spectrum is heavy or hollow. */
  LEVELS_SPECTRUM(Stage.LEVELS, "levels.spectrum", BRIEF, FORM, PARTS, RENDERING),
  /** It is open whether a found sound may be used. */
  DELIVER_CLEARANCE(Stage.DELIVER, "deliver.clearance", FOUND),
  /** MIDI leaves out the pitch of hits. */
  DELIVER_UNTUNED(Stage.DELIVER, "deliver.untuned", BRIEF, FORM, PARTS),
  /** A part plays nothing. */
  DELIVER_SILENT(Stage.DELIVER, "deliver.silent", BRIEF, FORM, PARTS);

  private static final Map<Stage, Set<Input>> BY_STAGE =
      Arrays.stream(Stage.values())
          .collect(Collectors.toUnmodifiableMap(stage -> stage, Check::read));

  private final Stage stage;
  private final String code;
  private final Set<Input> inputs;

  Check(Stage stage, String code, Input... inputs) {
    this.stage = stage;
    this.code = code;
    this.inputs = Set.of(inputs);
  }

  /** What it is called in song files, such as {@code "drums.slip"}. */
  public String code() {
    return code;
  }

  /** What the checks of a stage read, together. */
  public static Set<Input> inputs(Stage stage) {
    return BY_STAGE.get(stage);
  }

  private static Set<Input> read(Stage stage) {
    return Arrays.stream(values())
        .filter(check -> check.stage == stage)
        .flatMap(check -> check.inputs.stream())
        .collect(Collectors.toUnmodifiableSet());
  }
}
