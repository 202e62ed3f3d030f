package westtide.file.deliver;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import westtide.file.FileNames;
import westtide.file.sound.SoundWriter;
import westtide.rhythm.Tempo;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.found.FoundSound;
import westtide.song.found.Origin;
import westtide.song.found.PieceLine;
import westtide.song.found.Recording;
import westtide.song.found.Take;
import westtide.sound.found.FittedSounds;
import westtide.theory.NoteName;

/**
 * The pieces of loops as they sound in the song, one WAV a piece under the number of the MIDI note
 * that plays it, and a text that says which is which and where the loop is from.
 */
final class LoopPieces {
  private static final int RATE = 48_000;
  private static final int BITS = 24;

  private LoopPieces() {}

  /** The files of every loop whose sound is there. */
  static List<MadeFile> of(Score score) {
    List<MadeFile> out = new ArrayList<>();
    for (ScoredPart scored : score.parts(Role.FOUND)) {
      FoundSound sound = scored.part().found().orElseThrow();
      if (sound.recording().isThere()) {
        add(score, scored.part(), sound, out);
      }
    }
    return out;
  }

  private static void add(Score score, Part part, FoundSound sound, List<MadeFile> out) {
    Tempo tempo = score.song().brief().tempo();
    FittedSounds fitted = new FittedSounds(RATE);
    StringBuilder list = new StringBuilder();
    list.append(part.name()).append(", at ").append(tempo).append(" BPM\n");
    list.append(credits(sound.origin())).append("\n\n");
    for (int key : keys(sound)) {
      Take take = sound.take(key).orElseThrow();
      String name = FileNames.piece(score.song(), part, key, PieceLine.word(take));
      list.append(note(key)).append("  ").append(PieceLine.word(take)).append("  ");
      list.append(name).append('\n');
      out.add(
          new MadeFile(
              name,
              options ->
                  SoundWriter.bytes(recording(name, fitted, sound, take, tempo), sound.origin())));
    }
    String text = list.toString();
    out.add(
        new MadeFile(
            FileNames.pieces(score.song(), part),
            options -> text.getBytes(StandardCharsets.UTF_8)));
  }

  private static List<Integer> keys(FoundSound sound) {
    List<Integer> out = new ArrayList<>();
    out.add(FoundSound.WHOLE_KEY);
    for (int piece = 0; piece < sound.pieces(); piece++) {
      out.add(FoundSound.FIRST_KEY + piece);
    }
    for (int take = 0; take < sound.takes().size(); take++) {
      out.add(FoundSound.LAST_KEY - take);
    }
    return out;
  }

  private static Recording recording(
      String name, FittedSounds fitted, FoundSound sound, Take take, Tempo tempo) {
    float[][] sides = new float[sound.recording().channels()][];
    for (int side = 0; side < sides.length; side++) {
      sides[side] = fitted.samples(sound, take, tempo, side);
    }
    return Recording.of(name, RATE, BITS, sides);
  }

  private static String note(int key) {
    String name = NoteName.ofPitchClass(key % 12).get(0).toString();
    return name + (key / 12 - 1) + " (" + key + ")";
  }

  private static String credits(Origin origin) {
    String from = origin.line().isEmpty() ? "where it is from is not known" : origin.line();
    String credit = origin.credit().isEmpty() ? "" : "; credit: " + origin.credit();
    return from + credit + (origin.cleared() ? "; cleared" : "; NOT CLEARED YET");
  }
}
