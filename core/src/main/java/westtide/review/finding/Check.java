package westtide.review.finding;

/** Every check there is, by the stage it belongs to. */
public enum Check {
  /** The tempo lies outside the band of the style. */
  BRIEF_TEMPO("brief.tempo"),
  /** The swing lies outside the band of the style. */
  BRIEF_SWING("brief.swing"),
  /** A chord has notes outside the key. */
  CHORDS_OUTSIDE("chords.outside"),
  /** Two neighbouring chords have no note in common. */
  CHORDS_STRANGER("chords.stranger"),
  /** A voicing is crowded down low. */
  CHORDS_MUD("chords.mud"),
  /** A tone that names the chord is not played. */
  CHORDS_LOST("chords.lost"),
  /** Two chords take turns all the time. */
  CHORDS_TURNING("chords.turning"),
  /** A hit is much louder than its lane. */
  DRUMS_SLIP("drums.slip"),
  /** Most hits of a lane are silenced by its choke group. */
  DRUMS_CHOKED("drums.choked"),
  /** Many drums start together. */
  DRUMS_CROWD("drums.crowd"),
  /** A hit every groove of the style has is not there. */
  DRUMS_MISSING("drums.missing"),
  /** The groove is fuller or emptier than the style. */
  DRUMS_FULL("drums.full"),
  /** A lane is busier or rarer than in the style. */
  DRUMS_DENSITY("drums.density"),
  /** Swing moves nothing. */
  DRUMS_SWING("drums.swing"),
  /** A hit waits for a pass that never comes. */
  DRUMS_NEVER("drums.never"),
  /** Bars repeat against the habit of the style. */
  DRUMS_REPEATS("drums.repeats"),
  /** A section ends without a fill. */
  DRUMS_NOFILL("drums.nofill"),
  /** 808 and kick sound at once for long. */
  LOWEND_KICK("lowend.kick"),
  /** Notes lie outside the useful range. */
  LOWEND_RANGE("lowend.range"),
  /** Another part dips into the 808. */
  LOWEND_CLASH("lowend.clash"),
  /** Two low parts play one note. */
  LOWEND_UNISON("lowend.unison"),
  /** A chord begins on another note than its bass. */
  LOWEND_DOWNBEAT("lowend.downbeat"),
  /** A pick-up leads into its own note. */
  LOWEND_PICKUP("lowend.pickup"),
  /** The rendered 808 covers the kick. */
  LOWEND_OVERLAP("lowend.overlap"),
  /** Kick and 808 cancel each other. */
  LOWEND_PHASE("lowend.phase"),
  /** A note rubs a semitone above the chord. */
  LINES_RUB("lines.rub"),
  /** A phrase ends off the chord. */
  LINES_END("lines.end"),
  /** A note is in neither scale nor chord. */
  LINES_OUTSIDE("lines.outside"),
  /** A line lies under the top of the chords. */
  LINES_LOST("lines.lost"),
  /** A note grates against a held chord. */
  LINES_CLASH("lines.clash"),
  /** Two lines play one note. */
  LINES_UNISON("lines.unison"),
  /** Two lines cross. */
  LINES_CROSSING("lines.crossing"),
  /** A note is so short that it clicks. */
  LINES_SHORT("lines.short"),
  /** A note stands out by its velocity. */
  LINES_LOUD("lines.loud"),
  /** A key is struck again while it sounds. */
  LINES_OVERLAP("lines.overlap"),
  /** A note is off the grid the others keep. */
  LINES_STRAGGLER("lines.straggler"),
  /** A section enters from silence. */
  FORM_SILENCE("form.silence"),
  /** Nothing announces a section. */
  FORM_UNANNOUNCED("form.unannounced"),
  /** Nothing lands on the one of a section. */
  FORM_UNLANDED("form.unlanded"),
  /** Many parts enter at once. */
  FORM_CROWD("form.crowd"),
  /** Bars pass without any change. */
  FORM_STILL("form.still"),
  /** A part breaks off within a section. */
  FORM_UNEVEN("form.uneven"),
  /** A section is an earlier one note for note. */
  FORM_SAME("form.same"),
  /** A section does not rise. */
  FORM_FLAT("form.flat"),
  /** Nothing plays. */
  FORM_EMPTY("form.empty"),
  /** The song is shorter or longer than usual. */
  FORM_LENGTH("form.length"),
  /** The intro is far under the hook. */
  FORM_QUIETINTRO("form.quietintro"),
  /** A build falls. */
  FORM_BUILDFALLS("form.buildfalls"),
  /** A section does not dip before the next. */
  FORM_NODIP("form.nodip"),
  /** The last hook is lower than an earlier one. */
  FORM_LASTHOOK("form.lasthook"),
  /** The intro is long or short. */
  FORM_INTRO("form.intro"),
  /** The main part is out of a section. */
  FORM_MAIN("form.main"),
  /** A part never rests. */
  FORM_RESTLESS("form.restless"),
  /** The main part never stands alone. */
  FORM_NEVERALONE("form.neveralone"),
  /** The main part is never hinted at. */
  FORM_UNTEASED("form.unteased"),
  /** The limiter works hard. */
  LEVELS_PUSHED("levels.pushed"),
  /** A low part stands at a side. */
  LEVELS_MIDDLE("levels.middle"),
  /** A part keeps its lows under the 808. */
  LEVELS_LOWS("levels.lows"),
  /** A region of the spectrum is heavy or hollow. */
  LEVELS_SPECTRUM("levels.spectrum"),
  /** MIDI leaves out the pitch of hits. */
  DELIVER_UNTUNED("deliver.untuned"),
  /** A part plays nothing. */
  DELIVER_SILENT("deliver.silent");

  private final String code;

  Check(String code) {
    this.code = code;
  }

  /** What it is called in song files, such as {@code "drums.slip"}. */
  public String code() {
    return code;
  }
}
