package westtide.file.midi;

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
import westtide.file.disk.UnusableFileException;
import westtide.file.disk.WholeFile;
import westtide.rhythm.BarLines;
import westtide.rhythm.Meter;
import westtide.rhythm.Ticks;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.score.event.ScoredNote;
import westtide.song.Brief;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.form.Form;
import westtide.song.id.PartId;

/**
 * A score as a Standard MIDI File of type 1 at 960 ticks to the quarter: a first track with tempo,
 * meter, key signature and a marker at every section, then a track for each part that plays, with
 * its name, General MIDI program, level (controller 7), pan (controller 10), expression (controller
 * 11) and what moves of it. Drums are on channel 10 and list their lanes with the notes they are
 * written as, drum parts beside one another on it; what does not fit sixteen channels goes on to
 * further ports. Tuning by cents is said on every pitched channel.
 */
public final class MidiFile {
  private static final int TYPE = 1;
  private static final int TRACK_NAME = 0x03;
  private static final int MARKER = 0x06;
  private static final int END_OF_TRACK = 0x2F;
  private static final int TEMPO = 0x51;
  private static final int TIME_SIGNATURE = 0x58;
  private static final int KEY_SIGNATURE = 0x59;
  private static final int TEXT = 0x01;
  private static final int PORT = 0x21;
  private static final int VOLUME = 7;
  private static final int PAN = 10;

  private MidiFile() {}

  /**
   * Writes the whole song, its slides as overlapping notes.
   *
   * @throws UnusableFileException when the place cannot be written
   */
  public static void write(Score score, Path path) throws UnusableFileException {
    write(score, MidiOptions.USUAL, path);
  }

  /**
   * Writes the whole song as these options say.
   *
   * @throws UnusableFileException when the place cannot be written
   */
  public static void write(Score score, MidiOptions options, Path path)
      throws UnusableFileException {
    WholeFile.write(path, bytes(score, score.parts(), options));
  }

  /**
   * Writes one pattern of a part alone, from its first bar to its last, as it sounds: with swing,
   * nudges and rolls as exact ticks.
   *
   * @throws UnusableFileException when the place cannot be written
   */
  public static void writePattern(Song song, PartId part, String pattern, Path path)
      throws UnusableFileException {
    Score score = Score.of(PatternSong.of(song, part, pattern));
    WholeFile.write(path, bytes(score, score.parts(), MidiOptions.USUAL));
  }

  /** The parts that have a note, in their order. */
  public static List<ScoredPart> playing(Score score) {
    return score.parts().stream().filter(part -> !part.notes().isEmpty()).toList();
  }

  static byte[] bytes(Score score, List<ScoredPart> parts, MidiOptions options) {
    try {
      Sequence sequence = new Sequence(Sequence.PPQ, Ticks.PER_QUARTER);
      addConductor(sequence.createTrack(), score);
      MidiPlan plan = MidiPlan.of(parts, options.ports());
      for (ScoredPart part : parts) {
        if (part.plays()) {
          addPart(sequence.createTrack(), part, plan, score, options.slides());
        }
      }
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      MidiSystem.write(sequence, TYPE, out);
      return out.toByteArray();
    } catch (InvalidMidiDataException | IOException e) {
      throw new IllegalStateException("the score could not be written as MIDI", e);
    }
  }

  private static void addConductor(Track track, Score score) throws InvalidMidiDataException {
    Brief brief = score.song().brief();
    track.add(new MidiEvent(text(TRACK_NAME, score.song().title()), 0));
    int micros = brief.tempo().microsPerQuarter();
    track.add(meta(TEMPO, 0, micros >> 16, micros >> 8, micros));
    track.add(meter(0, brief.meter().beats(), brief.meter()));
    addShortBars(track, score.song());
    track.add(meta(KEY_SIGNATURE, 0, brief.key().signature(), brief.key().minor() ? 1 : 0));
    Form form = score.song().form();
    for (int i = 0; i < form.sections().size(); i++) {
      long tick = form.startTick(i, brief.meter());
      track.add(new MidiEvent(text(MARKER, form.label(i)), tick));
    }
    track.add(meta(END_OF_TRACK, score.ticks()));
  }

  /** A bar that is cut short has a signature of its own, and the bar after it the song's again. */
  private static void addShortBars(Track track, Song song) throws InvalidMidiDataException {
    Meter meter = song.brief().meter();
    BarLines lines = song.barLines();
    int beats = meter.beats();
    for (int bar = 0; bar < song.form().bars(); bar++) {
      int here = lines.length(bar) / meter.ticksPerBeat();
      if (here != beats) {
        track.add(meter(lines.tick(bar), here, meter));
        beats = here;
      }
    }
  }

  private static MidiEvent meter(int tick, int beats, Meter meter) throws InvalidMidiDataException {
    int unit = Integer.numberOfTrailingZeros(meter.unit());
    return meta(TIME_SIGNATURE, tick, beats, unit, 24, 8);
  }

  private static void addPart(
      Track track, ScoredPart part, MidiPlan plan, Score score, Slides slides)
      throws InvalidMidiDataException {
    MidiPlan.Place place = plan.places().get(part.part().id());
    int channel = place.channel();
    boolean drums = part.part().role() == Role.DRUMS;
    boolean joins = drums && plan.drums().shared();
    track.add(new MidiEvent(text(TRACK_NAME, part.part().name()), 0));
    if (plan.ports()) {
      track.add(meta(PORT, 0, place.port()));
    }
    if (drums) {
      track.add(new MidiEvent(text(TEXT, plan.notes().list(part.part())), 0));
    }
    int program = drums ? 0 : part.part().program();
    track.add(new MidiEvent(new ShortMessage(ShortMessage.PROGRAM_CHANGE, channel, program, 0), 0));
    if (!joins || plan.drums().leads(part)) {
      ScoredPart said = joins ? plan.drums().said() : part;
      control(track, channel, VOLUME, MidiMix.volume(said.part().mix()));
      control(track, channel, PAN, MidiMix.pan(said.part().mix()));
      for (MidiEvent event :
          MidiMotions.of(said, channel, score.ticks(), score.song().brief().tempo())) {
        track.add(event);
      }
    }
    int cents = score.song().brief().cents() + part.part().transposition().cents();
    if (cents != 0 && !drums) {
      addTuning(track, channel, cents);
    }
    List<ScoredNote> notes = plan.written(part);
    if (slides == Slides.BEND && MidiSlides.any(notes)) {
      registered(track, channel, 0, MidiSlides.RANGE, 0);
    }
    for (MidiEvent event : MidiPrograms.among(notes(notes, channel, slides), notes, program)) {
      track.add(event);
    }
    track.add(meta(END_OF_TRACK, score.ticks()));
  }

  private static void control(Track track, int channel, int control, int value)
      throws InvalidMidiDataException {
    track.add(
        new MidiEvent(new ShortMessage(ShortMessage.CONTROL_CHANGE, channel, control, value), 0));
  }

  /**
   * Tuning of a channel: registered parameter 0, 1 with 14 bits around 8192, a semitone each way;
   * beyond that whole semitones are registered parameter 0, 2 around 64 (MIDI 1.0, from memory).
   */
  private static void addTuning(Track track, int channel, int cents)
      throws InvalidMidiDataException {
    int semitones = Math.abs(cents) > 100 ? cents / 100 : 0;
    int fine = cents - 100 * semitones;
    int value = Math.min(16383, 8192 + (int) Math.round(fine * 8192 / 100.0));
    registered(track, channel, 1, value >> 7, value & 0x7F);
    if (semitones != 0) {
      registered(track, channel, 2, 64 + semitones, 0);
    }
  }

  private static void registered(Track track, int channel, int parameter, int coarse, int fine)
      throws InvalidMidiDataException {
    int[][] controls = {
      {101, 0}, {100, parameter}, {6, coarse}, {38, fine}, {101, 127}, {100, 127}
    };
    for (int[] one : controls) {
      control(track, channel, one[0], one[1]);
    }
  }

  /** Note events in order; at the same tick every end comes first, then bends, then starts. */
  private static List<MidiEvent> notes(List<ScoredNote> notes, int channel, Slides slides)
      throws InvalidMidiDataException {
    List<MidiEvent> out = new ArrayList<>(MidiSlides.events(notes, channel, slides));
    out.sort(Comparator.comparingLong(MidiEvent::getTick).thenComparingInt(MidiFile::order));
    return out;
  }

  private static int order(MidiEvent event) {
    return switch (((ShortMessage) event.getMessage()).getCommand()) {
      case ShortMessage.NOTE_OFF -> 0;
      case ShortMessage.PITCH_BEND -> 1;
      default -> 2;
    };
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
