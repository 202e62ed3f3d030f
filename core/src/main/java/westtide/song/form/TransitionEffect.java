package westtide.song.form;

/**
 * What a kind of transition does, by family. Whoever acts on transitions takes every family, so
 * that a new one does not compile until all of them do; a new kind of a known family needs none of
 * them.
 */
public sealed interface TransitionEffect {
  /**
   * Parts fall silent.
   *
   * @param who which parts, where none are chosen
   */
  record Silence(Who who) implements TransitionEffect {
    @Override
    public <R> R accept(Families<R> families) {
      return families.silence(this);
    }
  }

  /** All fall silent after the first snare or clap that is struck. */
  record StopOnBackbeat() implements TransitionEffect {
    @Override
    public <R> R accept(Families<R> families) {
      return families.stopOnBackbeat(this);
    }
  }

  /** What sounds is held up to the bar, chord by chord. */
  record Held() implements TransitionEffect {
    @Override
    public <R> R accept(Families<R> families) {
      return families.held(this);
    }
  }

  /**
   * The main drums play something else up to the bar.
   *
   * @param figure what they play
   */
  record Fill(Figure figure) implements TransitionEffect {
    @Override
    public <R> R accept(Families<R> families) {
      return families.fill(this);
    }

    /** Figures of the drums up to a boundary (common practice). */
    public enum Figure {
      SNARE,
      TOMS,
      HATS,
      WITHOUT_KICK,
      BUILD,
      STICKS
    }
  }

  /**
   * A sound of its own, in the part that holds such marks.
   *
   * @param instrument what it is heard with
   * @param key the MIDI note it is written on, one a sound, so that none ends another
   * @param onKit whether a kit plays it where there is one
   */
  record Sound(String instrument, int key, boolean onKit) implements TransitionEffect {
    @Override
    public <R> R accept(Families<R> families) {
      return families.sound(this);
    }
  }

  /**
   * A part runs towards the bar, or rings on after it.
   *
   * @param way how
   */
  record Run(Way way) implements TransitionEffect {
    @Override
    public <R> R accept(Families<R> families) {
      return families.run(this);
    }

    /** Ways to run, and whose they usually are. */
    public enum Way {
      /** The bass walks the scale to its next note. */
      BASS,
      /** The lead does so. */
      LINE,
      /** The 808 repeats faster and faster. */
      RAMP,
      /** The last strike of the lead rings on at the tempo. */
      TAIL
    }
  }

  /**
   * A filter or the level moves.
   *
   * @param way how
   */
  record Sweep(Way way) implements TransitionEffect {
    @Override
    public <R> R accept(Families<R> families) {
      return families.sweep(this);
    }

    /** Ways to move. */
    public enum Way {
      OPENING,
      CLOSING,
      FADING
    }
  }

  /** Which parts a transition takes where none are chosen. */
  enum Who {
    DRUMS,
    ALL,
    LOW_END_AND_DRUMS,
    MAIN_PART
  }

  /**
   * What a case per family makes.
   *
   * @param <R> what comes out
   */
  interface Families<R> {
    /** Parts fall silent. */
    R silence(Silence effect);

    /** All stop after the backbeat. */
    R stopOnBackbeat(StopOnBackbeat effect);

    /** What sounds is held. */
    R held(Held effect);

    /** The drums fill. */
    R fill(Fill effect);

    /** A sound of its own. */
    R sound(Sound effect);

    /** A part runs. */
    R run(Run effect);

    /** Filter or level move. */
    R sweep(Sweep effect);
  }

  /** The case of its family. */
  <R> R accept(Families<R> families);
}
