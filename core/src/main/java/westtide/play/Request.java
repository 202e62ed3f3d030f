package westtide.play;

import westtide.sound.Audition;
import westtide.sound.PreparedScore;

/** What the audio thread is asked to do before its next block. */
sealed interface Request {
  /** Hands itself to whoever does it. */
  void by(Doer doer);

  /** Does every kind of request. */
  interface Doer {
    /** Does it. */
    void take(Take request);

    /** Does it. */
    void start(Start request);

    /** Does it. */
    void stop(Stop request);

    /** Does it. */
    void locate(Locate request);

    /** Does it. */
    void loop(Loop request);

    /** Does it. */
    void hear(Hear request);

    /** Does it. */
    void click(Click request);

    /** Does it. */
    void through(Through request);

    /** Does it. */
    void listen(Listen request);
  }

  /** Play from another score from here on. */
  record Take(PreparedScore score) implements Request {
    @Override
    public void by(Doer doer) {
      doer.take(this);
    }
  }

  /** Start from a tick, after a count-in of beats. */
  record Start(double tick, int countIn) implements Request {
    @Override
    public void by(Doer doer) {
      doer.start(this);
    }
  }

  /** Stop where it is. */
  record Stop() implements Request {
    @Override
    public void by(Doer doer) {
      doer.stop(this);
    }
  }

  /** Go to a tick. */
  record Locate(double tick) implements Request {
    @Override
    public void by(Doer doer) {
      doer.locate(this);
    }
  }

  /** Loop over ticks; −1 and −1 for no loop. */
  record Loop(int from, int to) implements Request {
    @Override
    public void by(Doer doer) {
      doer.loop(this);
    }
  }

  /** Hear one note. */
  record Hear(Audition trial) implements Request {
    @Override
    public void by(Doer doer) {
      doer.hear(this);
    }
  }

  /** Click on every beat, or not. */
  record Click(boolean on) implements Request {
    @Override
    public void by(Doer doer) {
      doer.click(this);
    }
  }

  /** Listen through another loudspeaker. */
  record Through(Loudspeaker speaker) implements Request {
    @Override
    public void by(Doer doer) {
      doer.through(this);
    }
  }

  /** Listen at a level in dB. */
  record Listen(double decibels) implements Request {
    @Override
    public void by(Doer doer) {
      doer.listen(this);
    }
  }
}
