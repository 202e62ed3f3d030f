package westtide.file.midi;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import westtide.file.disk.UnusableFileException;
import westtide.file.disk.WholeFile;

/** Pieces of a song as files, for tests that read them back. */
public final class WrittenPieces {
  private WrittenPieces() {}

  /** Writes them into a folder, in their order. */
  public static List<Path> in(Path folder, List<MidiPieces.Piece> pieces)
      throws UnusableFileException {
    List<Path> out = new ArrayList<>();
    for (MidiPieces.Piece piece : pieces) {
      Path path = folder.resolve(piece.name());
      WholeFile.write(path, piece.made().with(MidiOptions.USUAL));
      out.add(path);
    }
    return out;
  }
}
