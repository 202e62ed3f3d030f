package westtide.file;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import javax.sound.midi.InvalidMidiDataException;
import javax.sound.midi.MetaMessage;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.MidiMessage;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.Sequence;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;
import westtide.rhythm.Ticks;
import westtide.score.Score;
import westtide.score.ScoredNote;
import westtide.score.ScoredPart;
import westtide.song.Brief;
import westtide.song.Form;
import westtide.song.Role;
import westtide.song.Song;

/**
 * A score as a Standard MIDI File of type 1 at 960 ticks to the quarter: a first track with tempo,
 * meter, key signature and a marker at every section, then a track for each part that plays, with
 * its name and General MIDI program; drums are on channel 10. A song tuned by cents says so on
 * every pitched channel.
 */
public final class MidiFile {
  private static final int TYPE = 1;
  private static final int TRACK_NAME = 0x03;
  private static final int MARKER = 0x06;
  private static final int END_OF_TRACK = 0x2F;
  private static final int TEMPO = 0x51;
  private static final int TIME_SIGNATURE = 0x58;
  private static final int KEY_SIGNATURE = 0x59;
  private static final int DRUM_CHANNEL = 9;

  private MidiFile() {}

  /**
   * Writes the whole song.
   *
   * @throws UnusableFileException when the place cannot be written
   */
  public static void write(Score score, Path path) throws UnusableFileException {
    WholeFile.write(path, bytes(score, score.parts()));
  }

  /**
   * Writes one file for each part that plays, under the names of {@link FileNames}, and returns
   * them.
   *
   * @throws UnusableFileException when the folder cannot be written
   */
  public static List<Path> writeParts(Score score, Path folder) throws UnusableFileException {
    List<Path> out = new ArrayList<>();
    for (ScoredPart part : playing(score)) {
      Path path = folder.resolve(FileNames.midi(score.song(), part.part()));
      WholeFile.write(path, bytes(score, List.of(part)));
      out.add(path);
    }
    return out;
  }

  /**
   * Writes one pattern of a part alone, from its first bar to its last, as it sounds: with swing,
   * nudges and rolls as exact ticks.
   *
   * @throws UnusableFileException when the place cannot be written
   */
  public static void writePattern(Song song, String part, String variant, Path path)
      throws UnusableFileException {
    Score score = Score.of(PatternSong.of(song, part, variant));
    WholeFile.write(path, bytes(score, score.parts()));
  }

  /** The parts that have a note, in their order. */
  public static List<ScoredPart> playing(Score score) {
    return score.parts().stream().filter(part -> !part.notes().isEmpty()).toList();
  }

  private static byte[] bytes(Score score, List<ScoredPart> parts) {
    try {
      Sequence sequence = new Sequence(Sequence.PPQ, Ticks.PER_QUARTER);
      addConductor(sequence.createTrack(), score);
      int channel = 0;
      for (ScoredPart part : parts) {
        boolean drums = part.part().role() == Role.DRUMS;
        if (!part.notes().isEmpty()) {
          Track track = sequence.createTrack();
          addPart(track, part, drums ? DRUM_CHANNEL : channel, score);
        }
        channel = drums ? channel : nextChannel(channel);
      }
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      MidiSystem.write(sequence, TYPE, out);
      return out.toByteArray();
    } catch (InvalidMidiDataException | IOException e) {
      throw new IllegalStateException("the score could not be written as MIDI", e);
    }
  }

  private static int nextChannel(int channel) {
    int next = (channel + 1) % 16;
    return next == DRUM_CHANNEL ? next + 1 : next;
  }

  private static void addConductor(Track track, Score score) throws InvalidMidiDataException {
    Brief brief = score.song().brief();
    track.add(new MidiEvent(text(TRACK_NAME, score.song().title()), 0));
    int micros = brief.tempo().microsPerQuarter();
    track.add(meta(TEMPO, 0, micros >> 16, micros >> 8, micros));
    int unit = Integer.numberOfTrailingZeros(brief.meter().unit());
    track.add(meta(TIME_SIGNATURE, 0, brief.meter().beats(), unit, 24, 8));
    track.add(meta(KEY_SIGNATURE, 0, brief.key().signature(), brief.key().minor() ? 1 : 0));
    Form form = score.song().form();
    for (int i = 0; i < form.sections().size(); i++) {
      long tick = (long) form.startBar(i) * brief.meter().ticksPerBar();
      track.add(new MidiEvent(text(MARKER, form.label(i)), tick));
    }
    track.add(meta(END_OF_TRACK, score.ticks()));
  }

  private static void addPart(Track track, ScoredPart part, int channel, Score score)
      throws InvalidMidiDataException {
    track.add(new MidiEvent(text(TRACK_NAME, part.part().name()), 0));
    int program = channel == DRUM_CHANNEL ? 0 : part.part().program();
    track.add(new MidiEvent(new ShortMessage(ShortMessage.PROGRAM_CHANGE, channel, program, 0), 0));
    int cents = score.song().brief().cents();
    if (cents != 0 && channel != DRUM_CHANNEL) {
      addTuning(track, channel, cents);
    }
    for (MidiEvent event : notes(part.notes(), channel)) {
      track.add(event);
    }
    track.add(meta(END_OF_TRACK, score.ticks()));
  }

  /**
   * Fine tuning of a channel: registered parameter 0, 1 with 14 bits around 8192, a semitone each
   * way (MIDI 1.0, from memory).
   */
  private static void addTuning(Track track, int channel, int cents)
      throws InvalidMidiDataException {
    int value = Math.min(16383, 8192 + (int) Math.round(cents * 8192 / 100.0));
    int[][] controls = {
      {101, 0}, {100, 1}, {6, value >> 7}, {38, value & 0x7F}, {101, 127}, {100, 127}
    };
    for (int[] control : controls) {
      track.add(
          new MidiEvent(
              new ShortMessage(ShortMessage.CONTROL_CHANGE, channel, control[0], control[1]), 0));
    }
  }

  /** Note events in order; at the same tick every end comes before the starts. */
  private static List<MidiEvent> notes(List<ScoredNote> notes, int channel)
      throws InvalidMidiDataException {
    List<MidiEvent> out = new ArrayList<>();
    for (ScoredNote note : channel == DRUM_CHANNEL ? MidiDrums.written(notes) : notes) {
      MidiMessage on = new ShortMessage(ShortMessage.NOTE_ON, channel, note.key(), note.velocity());
      out.add(new MidiEvent(on, note.start()));
      MidiMessage off = new ShortMessage(ShortMessage.NOTE_OFF, channel, note.key(), 0);
      out.add(new MidiEvent(off, note.end()));
    }
    out.sort(
        Comparator.comparingLong(MidiEvent::getTick)
            .thenComparingInt(event -> ((ShortMessage) event.getMessage()).getCommand()));
    return out;
  }

  private static MidiMessage text(int type, String text) throws InvalidMidiDataException {
    byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
    return new MetaMessage(type, bytes, bytes.length);
  }

  private static MidiEvent meta(int type, long tick, int... data) throws InvalidMidiDataException {
    byte[] bytes = new byte[data.length];
    for (int i = 0; i < data.length; i++) {
      bytes[i] = (byte) data[i];
    }
    return new MidiEvent(new MetaMessage(type, bytes, bytes.length), tick);
  }
}
