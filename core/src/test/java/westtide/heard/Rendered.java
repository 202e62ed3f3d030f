package westtide.heard;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import westtide.Songs;
import westtide.rhythm.StepLane;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.line.Note;
import westtide.song.mix.Mix;
import westtide.song.mix.Patch;
import westtide.song.pattern.Pattern;
import westtide.sound.Mixdown;

/** Both sides of something rendered at 48 kHz. */
record Rendered(float[] left, float[] right) {
  static final int RATE = 48_000;

  /** Ticks a second at the tempo of the test songs. */
  private static final int TICKS_A_SECOND = 1920;

  /** A song as it enters the limiter. */
  static Rendered beforeLimiter(Song song) {
    Mixdown mixdown = Mixdown.of(Score.of(song), RATE);
    return of(mixdown, sink -> mixdown.beforeLimiter(sink, Mixdown.Watch.NOBODY));
  }

  /** A written file of 24 bits in two channels, as it is read back. */
  static Rendered read(Path wav) throws IOException {
    ByteBuffer samples =
        ByteBuffer.wrap(Files.readAllBytes(wav)).order(ByteOrder.LITTLE_ENDIAN).position(44);
    int frames = samples.remaining() / 6;
    Rendered out = new Rendered(new float[frames], new float[frames]);
    for (int i = 0; i < frames; i++) {
      out.left[i] = sample(samples);
      out.right[i] = sample(samples);
    }
    return out;
  }

  private static float sample(ByteBuffer bytes) {
    int low = bytes.get() & 0xFF;
    int middle = bytes.get() & 0xFF;
    return (low | middle << 8 | bytes.get() << 16) / (float) (1 << 23);
  }

  /** What renders into a sink. */
  interface Rendering {
    boolean into(Mixdown.Sink sink) throws IOException;
  }

  static Rendered of(Mixdown mixdown, Rendering rendering) {
    int frames = (int) mixdown.frames();
    Rendered out = new Rendered(new float[frames], new float[frames]);
    int[] at = {0};
    try {
      rendering.into(
          (left, right, count) -> {
            System.arraycopy(left, 0, out.left, at[0], count);
            System.arraycopy(right, 0, out.right, at[0], count);
            at[0] += count;
          });
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out;
  }

  /** Equal notes of an instrument, dry, so many seconds from one to the next. */
  static Rendered notes(String instrument, int key, int velocity, double seconds, int count) {
    int ticks = (int) (seconds * TICKS_A_SECOND);
    List<Note> notes = new ArrayList<>();
    int apart = ticks + TICKS_A_SECOND / 2;
    for (int i = 0; i < count; i++) {
      notes.add(new Note(i * apart, ticks, key, velocity));
    }
    int bars = Math.max(1, (count * apart + 3839) / 3840);
    Part part =
        Songs.part("line", Role.LINE, new Pattern.Written(bars, notes))
            .withPatch(new Patch(instrument, Map.of()), 0)
            .withMix(Mix.PLAIN.withLevel(-60));
    return beforeLimiter(Songs.oneHook(Songs.brief("C minor", 50), "Cm", bars, part));
  }

  /** One note of an instrument. */
  static Rendered note(String instrument, int key, int velocity, double seconds) {
    return notes(instrument, key, velocity, seconds, 1);
  }

  /** Equal strokes of a drum on every beat, two seconds to a bar. */
  static Rendered strokes(String instrument, String sign, int bars) {
    String beat = sign + "...";
    Pattern.Drums groove =
        new Pattern.Drums(
            bars,
            List.of(DrumLane.of(DrumVoice.TOM, StepLane.parse((beat.repeat(4)).repeat(bars)))));
    Part part = Songs.part("drums", Role.DRUMS, groove).withMix(Mix.PLAIN.withLevel(-60));
    part =
        part.withSound(
            DrumVoice.TOM.lane(),
            part.sound(DrumVoice.TOM.lane()).withInstrument(instrument).withPan(20));
    return beforeLimiter(Songs.oneHook(Songs.brief("C minor", 50), "Cm", bars, part));
  }

  /** A stretch of the middle of both sides. */
  float[] middle(double fromSeconds, double seconds) {
    int from = (int) (fromSeconds * RATE);
    int length = Math.min((int) (seconds * RATE), left.length - from);
    float[] out = new float[length];
    for (int i = 0; i < length; i++) {
      out[i] = 0.5f * (left[from + i] + right[from + i]);
    }
    return out;
  }

  /** A stretch of half the difference of both sides. */
  float[] side(double fromSeconds, double seconds) {
    int from = (int) (fromSeconds * RATE);
    int length = Math.min((int) (seconds * RATE), left.length - from);
    float[] out = new float[length];
    for (int i = 0; i < length; i++) {
      out[i] = 0.5f * (left[from + i] - right[from + i]);
    }
    return out;
  }
}
