package westtide.file.deliver;

import java.util.List;
import java.util.function.Function;
import westtide.file.FileNames;
import westtide.file.midi.MidiFile;
import westtide.file.midi.MidiPieces;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.song.Song;

/**
 * Something a song can be delivered as. The window's list, its commands and the options of {@code
 * export} are made from these; a new format is one more and the class that makes its files.
 */
public enum Deliverable {
  /** The whole song as one MIDI file. */
  MIDI(
      Group.NOTES,
      "whole song",
      new Option("--midi", "FILE.mid", "the whole song"),
      new Made(score -> made(MidiPieces.whole(score))),
      score ->
          count(MidiFile.playing(score).size(), "part")
              + " · "
              + count(score.song().form().sections().size(), "marker")),
  /** One MIDI file a part. */
  PARTS(
      Group.NOTES,
      "one file a part",
      new Option("--parts", "DIR", "one file for each part that plays"),
      new Made(score -> made(MidiPieces.parts(score))),
      score -> "all begin at bar 1" + silent(score)),
  /** One MIDI file a section. */
  SECTIONS(
      Group.NOTES,
      "one file a section",
      new Option("--sections", "DIR", "one file for each section, transitions and curves included"),
      new Made(score -> made(MidiPieces.sections(score))),
      score -> "transitions and curves included"),
  /** One MIDI file a drum lane. */
  LANES(
      Group.NOTES,
      "one file a drum lane",
      new Option("--lanes", "DIR", "one file for each lane of every drum part"),
      new Made(score -> made(MidiPieces.lanes(score))),
      score -> "each on the note chosen for it"),
  /** The pieces of found sound. */
  PIECES(
      Group.SOUND,
      "pieces of loops",
      new Option("--pieces", "DIR", "one WAV for each piece of every loop, and a list of them"),
      new Made(LoopPieces::of),
      score -> "each under the note that plays it, with where the loop is from"),
  /** The mix as WAV. */
  MIX(
      Group.SOUND,
      "the mix",
      new Option("--wav", "FILE.wav", "the mix"),
      new Rendered(score -> List.of(FileNames.wav(score.song()))),
      score -> "through its bus and a limiter at −1 dB true peak"),
  /** One WAV a part. */
  STEMS(
      Group.SOUND,
      "stems",
      new Option("--stems", "DIR", "one WAV for each part that plays"),
      new Rendered(score -> stems(score.song(), MidiFile.playing(score))),
      score -> "without the limiter: they add up to what enters it");

  /** Under which word a list shows it. */
  public enum Group {
    NOTES("Notes"),
    SOUND("Sound");

    private final String title;

    Group(String title) {
      this.title = title;
    }

    @Override
    public String toString() {
      return title;
    }
  }

  /**
   * How the command line asks for it.
   *
   * @param name such as {@code "--midi"}
   * @param value what follows: {@code DIR}, or a file's name with its ending
   * @param help what it is, in a few words
   */
  public record Option(String name, String value, String help) {
    /** Whether a folder follows; a single file otherwise. */
    public boolean folder() {
      return value.equals("DIR");
    }

    /** The ending of the single file, such as {@code ".mid"}. */
    public String ending() {
      return value.substring(value.indexOf('.'));
    }
  }

  /** How its files come to be. */
  sealed interface Files {
    /** What they are called. */
    List<String> names(Score score);
  }

  /** Made at once, each by itself. */
  record Made(Function<Score, List<MadeFile>> files) implements Files {
    @Override
    public List<String> names(Score score) {
      return files.apply(score).stream().map(MadeFile::name).toList();
    }
  }

  /** Rendered with all other sound in one pass. */
  record Rendered(Function<Score, List<String>> called) implements Files {
    @Override
    public List<String> names(Score score) {
      return called.apply(score);
    }
  }

  private final Group group;
  private final String title;
  private final Option option;
  private final Files files;
  private final Function<Score, String> facts;

  Deliverable(
      Group group, String title, Option option, Files files, Function<Score, String> facts) {
    this.group = group;
    this.title = title;
    this.option = option;
    this.files = files;
    this.facts = facts;
  }

  /** Where a list shows it. */
  public Group group() {
    return group;
  }

  /** How the command line asks for it. */
  public Option option() {
    return option;
  }

  /** The names of its files, in their order; none where nothing of the kind plays. */
  public List<String> names(Score score) {
    return files.names(score);
  }

  /** Whether a list has it for a song: pieces of loops stand there only where there is a loop. */
  public boolean isListed(Score score) {
    return this != PIECES || !names(score).isEmpty();
  }

  /** What one should know of it before it is written. */
  public String facts(Score score) {
    return facts.apply(score);
  }

  /** Its files where each is made by itself; none where they are rendered. */
  public List<MadeFile> made(Score score) {
    return files instanceof Made made ? made.files().apply(score) : List.of();
  }

  /** What people call it, such as {@code "one file a part"}. */
  @Override
  public String toString() {
    return title;
  }

  private static List<MadeFile> made(List<MidiPieces.Piece> pieces) {
    return pieces.stream()
        .map(piece -> new MadeFile(piece.name(), options -> piece.made().with(options.midi())))
        .toList();
  }

  private static List<String> stems(Song song, List<ScoredPart> playing) {
    return playing.stream().map(part -> FileNames.wav(song, part.part())).toList();
  }

  private static String silent(Score score) {
    int silent = score.parts().size() - MidiFile.playing(score).size();
    return silent == 0 ? "" : " · " + count(silent, "silent part") + " not written";
  }

  private static String count(int number, String what) {
    return number + " " + what + (number == 1 ? "" : "s");
  }
}
