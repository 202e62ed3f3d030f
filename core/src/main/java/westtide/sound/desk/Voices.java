package westtide.sound.desk;

import westtide.sound.voice.Fade;

/**
 * The sounding notes of a channel: started and ended by a track, choked by one another, chased into
 * the middle, and mixed into a bus. Belongs to the audio thread.
 */
final class Voices {
  private static final int MOST = 64;
  private static final double CHASE_MILLIS = 5;

  private final Voice[] voices = new Voice[MOST];
  private final float[] taken;
  private final float choke;
  private final int chaseFrames;
  private Track track = Track.EMPTY;
  private int inUse;

  Voices(int rate, int blockFrames) {
    taken = new float[blockFrames];
    for (int i = 0; i < voices.length; i++) {
      voices[i] = new Voice();
    }
    choke = (float) Fade.perSample(Fade.CHOKE_MILLIS, rate);
    chaseFrames = (int) (CHASE_MILLIS / 1000 * rate);
  }

  /** Whether every note of the track stands in the middle. */
  boolean middle() {
    return track.middle();
  }

  /**
   * Plays from another track from now on. Notes that are no longer in it are released; with {@code
   * from} at or above 0, notes that should be sounding at that tick come in.
   */
  void take(Track next, int from, double framesPerTick) {
    track = next;
    for (Voice voice : voices) {
      if (voice.sounding() && !voice.released() && voice.holdFrames < 0) {
        keepOrRelease(voice);
      }
    }
    if (from >= 0) {
      chase(from, 0, framesPerTick);
    }
  }

  /** Starts the notes of a stretch; {@code frames} tells where in the block each begins. */
  void start(int fromTick, int toTick, Frames frames) {
    for (int i = track.firstFrom(fromTick); i < track.size() && track.starts()[i] < toTick; i++) {
      int into = track.into()[i];
      startNote(i, into, frames.of(track.starts()[i]), into == 0 ? 0 : chaseFrames);
    }
  }

  /** Ends notes whose end lies before a tick. */
  void end(int toTick, Frames frames) {
    for (int i = 0; i < inUse; i++) {
      Voice voice = voices[i];
      boolean held = voice.sounding() && !voice.struck && voice.holdFrames < 0;
      if (held && voice.endTick < toTick) {
        voice.release(frames.of(voice.endTick), voice.fallOnEnd);
      }
    }
  }

  /** Starts notes that began before a tick and last beyond it, in the middle of their sound. */
  void chase(int tick, int offset, double framesPerTick) {
    for (int i = track.firstFrom(tick - track.longest()); i < track.firstFrom(tick); i++) {
      if (track.ends()[i] > tick && !track.struck()[i] && !sounds(i)) {
        int passed = (int) ((tick - track.starts()[i]) * framesPerTick);
        int place = track.into()[i] + passed;
        startNote(i, place, offset, chaseFrames);
      }
    }
  }

  /** Ends every held note, as when the song stops or jumps. */
  void releaseHeld(int offset) {
    for (Voice voice : voices) {
      if (voice.sounding() && !voice.struck) {
        voice.release(offset, voice.fallOnEnd);
      }
    }
  }

  /**
   * Plays one note from a sample of the block on, for a number of samples, apart from the track.
   */
  void audition(
      float[] table,
      int offset,
      float toLeft,
      float toRight,
      int holdFrames,
      float fall,
      int chokeGroup) {
    chokeOthers(chokeGroup, offset);
    Voice voice = free();
    voice.start(table, 0, offset, toLeft, toRight, 0);
    voice.holdFrames = holdFrames;
    voice.fallOnEnd = fall;
    voice.chokeGroup = chokeGroup;
    voice.struck = false;
    voice.startTick = -1;
  }

  private void keepOrRelease(Voice voice) {
    for (int i = track.firstFrom(voice.startTick);
        i < track.size() && track.starts()[i] == voice.startTick;
        i++) {
      if (voice.plays(track.tables()[i])) {
        voice.endTick = track.ends()[i];
        return;
      }
    }
    voice.release(0, voice.struck ? choke : voice.fallOnEnd);
  }

  private boolean sounds(int note) {
    for (Voice voice : voices) {
      if (voice.sounding()
          && !voice.released()
          && voice.startTick == track.starts()[note]
          && voice.plays(track.tables()[note])) {
        return true;
      }
    }
    return false;
  }

  private void startNote(int note, int place, int offset, int rise) {
    chokeOthers(track.chokes()[note], offset);
    Voice voice = free();
    voice.start(track.tables()[note], place, offset, track.left()[note], track.right()[note], rise);
    voice.startTick = track.starts()[note];
    voice.endTick = track.ends()[note];
    voice.chokeGroup = track.chokes()[note];
    voice.fallOnEnd = track.falls()[note];
    voice.struck = track.struck()[note];
    voice.reverb = track.reverb()[note];
    voice.delay = track.delay()[note];
  }

  private void chokeOthers(int group, int offset) {
    if (group == 0) {
      return;
    }
    for (int i = 0; i < inUse; i++) {
      Voice voice = voices[i];
      if (voice.sounding() && voice.chokeGroup == group) {
        voice.release(offset, choke);
      }
    }
  }

  private Voice free() {
    Voice oldest = voices[0];
    for (int i = 0; i < voices.length; i++) {
      Voice voice = voices[i];
      if (!voice.sounding()) {
        inUse = Math.max(inUse, i + 1);
        return voice;
      }
      oldest = voice.place() > oldest.place() ? voice : oldest;
    }
    return oldest;
  }

  /** Adds a block of every sounding note to the bus; false when there was none. */
  boolean mix(float[] left, float[] right, int frames, boolean middle, Sends sends) {
    boolean sounding = false;
    int last = 0;
    for (int i = 0; i < inUse; i++) {
      Voice voice = voices[i];
      if (!voice.sounding()) {
        continue;
      }
      last = i + 1;
      sounding = true;
      if (voice.holdFrames >= 0) {
        if (voice.holdFrames < frames) {
          voice.release(voice.holdFrames, voice.fallOnEnd);
        }
        voice.holdFrames = Math.max(0, voice.holdFrames - frames);
      }
      if (voice.reverb > 0 || voice.delay > 0) {
        sends.mix(voice, left, right, frames, middle, taken);
      } else {
        voice.mix(left, right, frames, middle, taken);
      }
    }
    inUse = last;
    return sounding;
  }
}
