package westtide.play;

import java.util.List;
import java.util.Map;
import westtide.rhythm.BarLines;
import westtide.song.mix.Mix;
import westtide.sound.Engine;
import westtide.sound.PreparedScore;
import westtide.sound.block.Stretch;
import westtide.sound.desk.Channel;
import westtide.sound.desk.Frames;
import westtide.sound.desk.Movements;
import westtide.sound.desk.Strip;
import westtide.sound.instrument.InstrumentBook;
import westtide.sound.voice.Instrument;
import westtide.sound.voice.Strike;

/** Clicks on the beats, the first of a bar higher. Belongs to the audio thread. */
final class Metronome {
  private static final double HIGH = 880;
  private static final double LOW = 440;
  private static final int LEVEL = -120;

  private final Channel channel;
  private final Stretch standing = new Stretch(Engine.BLOCK);
  private final float[] high;
  private final float[] low;
  private boolean on;

  Metronome(int rate) {
    Strip strip = Strip.of(Mix.PLAIN.withLevel(LEVEL), Movements.NONE, false);
    channel = new Channel(rate, Engine.BLOCK, strip);
    Instrument stick = InstrumentBook.shipped().get("stick");
    high = click(stick, rate, HIGH);
    low = click(stick, rate, LOW);
  }

  private static float[] click(Instrument stick, int rate, double hertz) {
    List<Strike.Pitched> pitch = List.of(new Strike.Pitched(0, hertz));
    return stick.recipe().play(new Strike(rate, rate, pitch, 0.7, stick.values(Map.of())));
  }

  void turn(boolean clicks) {
    on = clicks;
  }

  /** Clicks the beats of a stretch of ticks when it is on. */
  void play(PreparedScore score, int fromTick, int toTick, Frames frames) {
    if (!on) {
      return;
    }
    BarLines lines = score.lines();
    int beat = score.ticksPerBeat();
    for (int tick = (fromTick + beat - 1) / beat * beat; tick < toTick; tick += beat) {
      click(lines.tick(lines.bar(tick)) == tick, frames.of(tick));
    }
  }

  /** One click at a sample of the block. */
  void click(boolean first, int offset) {
    float[] table = first ? high : low;
    channel.audition(table, offset, 1, 1, table.length, 0.9f, 0);
  }

  /** Adds the clicks to a block; false when nothing sounds. */
  boolean mix(float[] left, float[] right) {
    if (!channel.render(standing, Engine.BLOCK, false)) {
      return false;
    }
    for (int i = 0; i < Engine.BLOCK; i++) {
      left[i] += channel.left()[i];
      right[i] += channel.right()[i];
    }
    return true;
  }
}
