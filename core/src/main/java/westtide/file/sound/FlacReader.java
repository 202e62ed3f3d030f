package westtide.file.sound;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.util.Arrays;
import org.jflac.FLACDecoder;
import org.jflac.PCMProcessor;
import org.jflac.metadata.Metadata;
import org.jflac.metadata.StreamInfo;
import org.jflac.metadata.VorbisComment;
import org.jflac.util.ByteData;
import westtide.found.SoundNotes;
import westtide.song.found.Recording;
import westtide.text.Plain;

/** Reads FLAC with the library that decodes it, and its comments. */
final class FlacReader {
  private final FileChannel channel;

  FlacReader(FileChannel channel) {
    this.channel = channel;
  }

  SoundFile.Sound read(String name) throws IOException {
    channel.position(0);
    FLACDecoder decoder =
        new FLACDecoder(new BufferedInputStream(Channels.newInputStream(channel), 1 << 16));
    SoundNotes notes = SoundNotes.NONE;
    for (Metadata one : decoder.readMetadata()) {
      notes = one instanceof VorbisComment comment ? told(notes, comment) : notes;
    }
    Taking samples = new Taking(decoder.getStreamInfo());
    decoder.addPCMProcessor(samples);
    decoder.decodeFrames();
    return new SoundFile.Sound(samples.recording(name), notes);
  }

  private static SoundNotes told(SoundNotes notes, VorbisComment comment) {
    return notes
        .withOrigin(
            origin ->
                origin
                    .withSource(said(comment, "TITLE"))
                    .withAuthor(said(comment, "ARTIST"))
                    .withLicence(said(comment, "LICENSE"))
                    .withCredit(said(comment, "DESCRIPTION")))
        .withTempo(number(said(comment, "BPM")));
  }

  private static String said(VorbisComment comment, String what) {
    String[] all = comment.getCommentByName(what);
    return all == null || all.length == 0 ? "" : Plain.of(all[0]).strip();
  }

  private static double number(String said) {
    try {
      return Double.parseDouble(said);
    } catch (NumberFormatException e) {
      return 0;
    }
  }

  /** Takes the decoder's bytes, which come frame by frame, smallest byte first. */
  private static final class Taking implements PCMProcessor {
    private final StreamInfo info;
    private final int bytes;
    private final long most;
    private float[][] sides;
    private int frames;

    Taking(StreamInfo info) {
      this.info = info;
      this.bytes = (info.getBitsPerSample() + 7) / 8;
      this.most = (long) Recording.MOST_SECONDS * info.getSampleRate();
      if (info.getChannels() > 2 || bytes < 1 || bytes > 3) {
        throw new IllegalArgumentException(
            "it has "
                + info.getChannels()
                + " channels of "
                + info.getBitsPerSample()
                + " bits; recordings of one or two, of up to 24 bits, are read");
      }
      int start = (int) Math.max(1, Math.min(info.getTotalSamples(), 1 << 20));
      this.sides = new float[info.getChannels()][start];
    }

    @Override
    public void processStreamInfo(StreamInfo unused) {
      // it was read before the samples
    }

    @Override
    public void processPCM(ByteData pcm) {
      int count = pcm.getLen() / (bytes * sides.length);
      if (frames + (long) count > most) {
        throw new IllegalArgumentException(
            "it is longer than " + Recording.MOST_SECONDS / 60 + " minutes");
      }
      if (frames + count > sides[0].length) {
        int more = (int) Math.min(most, Math.max(frames + count, 2L * sides[0].length));
        for (int side = 0; side < sides.length; side++) {
          sides[side] = Arrays.copyOf(sides[side], more);
        }
      }
      int at = 0;
      for (int i = 0; i < count; i++) {
        for (float[] side : sides) {
          side[frames + i] = sample(pcm.getData(), at);
          at += bytes;
        }
      }
      frames += count;
    }

    private float sample(byte[] data, int at) {
      return switch (bytes) {
        case 1 -> ((data[at] & 0xFF) - 128) / 128f;
        case 2 -> (short) (data[at] & 0xFF | data[at + 1] << 8) / 32768f;
        default -> (data[at] & 0xFF | (data[at + 1] & 0xFF) << 8 | data[at + 2] << 16) / 8388608f;
      };
    }

    Recording recording(String name) {
      float[][] cut = new float[sides.length][];
      for (int side = 0; side < sides.length; side++) {
        cut[side] = frames == sides[side].length ? sides[side] : Arrays.copyOf(sides[side], frames);
      }
      return Recording.of(name, info.getSampleRate(), 8 * bytes, cut);
    }
  }
}
