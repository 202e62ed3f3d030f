package westtide.file.midi;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import westtide.file.disk.BoundedFile;
import westtide.file.disk.UnusableFileException;
import westtide.rhythm.Ticks;

/**
 * The notes of a Standard MIDI File of any content (Standard MIDI Files 1.0, from memory: chunks
 * {@code MThd} and {@code MTrk}, times of variable length, running status). Lengths are measured
 * against what the file really has before anything is kept.
 */
final class MidiReading {
  private static final int BYTES = 16 << 20;
  private static final int HEADER = 0x4D546864;
  private static final int TRACK = 0x4D54726B;
  private static final int MOST_NOTES = 200_000;
  private static final int LONGEST_NUMBER = 4;
  private static final int NOTE_ON = 0x90;

  /** A song of four hours at 300 BPM; later times are nonsense. */
  private static final long LAST_TICK = 72_000L * Ticks.PER_QUARTER;

  private final byte[] bytes;
  private final List<Struck> notes = new ArrayList<>();
  private int at;
  private int division;

  /**
   * A note that begins.
   *
   * @param channel 0 to 15
   * @param key 0 to 127
   * @param tick when, 960 to the quarter note
   * @param velocity 1 to 127
   */
  record Struck(int channel, int key, long tick, int velocity) {}

  private MidiReading(byte[] bytes) {
    this.bytes = bytes;
  }

  /**
   * Reads the notes of all tracks.
   *
   * @throws UnusableFileException with one sentence when it is no MIDI file or a damaged one
   */
  static List<Struck> notes(Path path) throws UnusableFileException {
    byte[] bytes = BoundedFile.read(path, BYTES);
    try {
      MidiReading reading = new MidiReading(bytes);
      reading.read();
      return reading.notes;
    } catch (IllegalArgumentException e) {
      throw new UnusableFileException(
          path.getFileName() + " could not be read as a MIDI file: " + e.getMessage() + ".", e);
    }
  }

  private void read() {
    if (bytes.length < 14 || number(4) != HEADER) {
      throw new IllegalArgumentException("it does not begin as one; choose one that ends in .mid");
    }
    int length = number(4);
    int end = end(length, "its header");
    if (length < 6) {
      throw new IllegalArgumentException("its header is too short");
    }
    at += 4;
    division = number(2);
    if (division == 0) {
      throw new IllegalArgumentException("it has 0 ticks to a quarter note");
    }
    if (division > 0x7FFF) {
      throw new IllegalArgumentException(
          "its times are frames of a film; write it with ticks to a quarter note");
    }
    at = end;
    while (bytes.length - at >= 8) {
      chunk();
    }
  }

  private void chunk() {
    int kind = number(4);
    int end = end(number(4), "a track");
    if (kind == TRACK) {
      track(end);
    }
    at = end;
  }

  /** Where a chunk ends that says how long it is. */
  private int end(int length, String what) {
    long said = Integer.toUnsignedLong(length);
    if (said > bytes.length - at) {
      throw new IllegalArgumentException(
          what
              + " says it has "
              + said
              + " bytes, and the file has "
              + (bytes.length - at)
              + " more");
    }
    return at + length;
  }

  private void track(int end) {
    long tick = 0;
    int status = 0;
    while (at < end) {
      tick += variable(end);
      if (tick * Ticks.PER_QUARTER / division > LAST_TICK) {
        throw new IllegalArgumentException("it has a note after more than four hours");
      }
      int first = next(end);
      if (first >= 0x80) {
        status = first;
      } else if (status < 0x80) {
        throw new IllegalArgumentException("an event has no status");
      } else {
        at--;
      }
      if (status == 0xFF) {
        next(end);
        skip(variable(end), end);
        status = 0;
      } else if (status >= 0xF0) {
        skip(variable(end), end);
        status = 0;
      } else {
        voice(status, tick, end);
      }
    }
  }

  private void voice(int status, long tick, int end) {
    int kind = status & 0xF0;
    int one = data(end);
    boolean single = kind == 0xC0 || kind == 0xD0;
    int two = single ? 0 : data(end);
    if (kind == NOTE_ON && two > 0) {
      if (notes.size() == MOST_NOTES) {
        throw new IllegalArgumentException("it has over 200 000 notes");
      }
      notes.add(new Struck(status & 0x0F, one, tick * Ticks.PER_QUARTER / division, two));
    }
  }

  private int data(int end) {
    int value = next(end);
    if (value > 127) {
      throw new IllegalArgumentException("a value is over 127");
    }
    return value;
  }

  private void skip(long length, int end) {
    if (length > end - at) {
      throw new IllegalArgumentException("an event is longer than its track");
    }
    at += (int) length;
  }

  private int next(int end) {
    if (at >= end) {
      throw new IllegalArgumentException("a track ends inside an event");
    }
    return bytes[at++] & 0xFF;
  }

  private long variable(int end) {
    long value = 0;
    for (int i = 0; i < LONGEST_NUMBER; i++) {
      int part = next(end);
      value = value << 7 | part & 0x7F;
      if (part < 0x80) {
        return value;
      }
    }
    throw new IllegalArgumentException("a time is longer than four bytes");
  }

  private int number(int length) {
    int value = 0;
    for (int i = 0; i < length; i++) {
      value = value << 8 | bytes[at++] & 0xFF;
    }
    return value;
  }
}
