package westtide.cli;

import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;
import picocli.CommandLine.Option;
import westtide.file.disk.UnusableFileException;
import westtide.file.sound.SoundFile;
import westtide.found.BringIn;
import westtide.found.FoundFacts;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.PartNames;
import westtide.song.edit.found.FoundEdits;
import westtide.song.found.Fit;
import westtide.song.id.PartId;

/** What can be said of a loop that comes into a song. */
final class FoundOptions {
  @Option(
      names = "--found",
      required = true,
      paramLabel = "FILE.wav",
      description = "a loop that comes in as a part: WAV, AIFF or FLAC")
  private Path found;

  @Option(
      names = "--fit",
      paramLabel = "WAY",
      description =
          "repitch, stretch, splice (drums) or slices; the one that costs least when not given")
  private Fit.Way way;

  @Option(
      names = "--pieces",
      paramLabel = "LINE",
      description =
          "what it plays, such as \"A A C:C ,B | E F . G+5\": letters are pieces, * the whole, a"
              + " comma plays backwards, : halves, - holds, . rests")
  private String pieces;

  @Option(
      names = "--lows",
      paramLabel = "HZ",
      description = "its lows below so many Hz to a part of their own, ducked by the kick")
  private Integer lows;

  /** A loop that was read. */
  record Read(SoundFile.Sound sound, FoundFacts facts) {}

  Read read() throws UnusableFileException {
    SoundFile.Sound sound = SoundFile.read(found);
    return new Read(sound, FoundFacts.of(sound.recording(), sound.notes()));
  }

  /** The song with the loop in it. */
  Song into(Song song, Read read) {
    Part part =
        BringIn.part(
            PartNames.freeId(song, Role.FOUND),
            read.sound().recording(),
            read.facts(),
            read.sound().notes().origin(),
            song);
    Song out = BringIn.into(part).apply(song);
    FoundEdits edits = new FoundEdits(part.id());
    if (way != null) {
      out = edits.loopToSong(way).apply(out);
    }
    if (pieces != null) {
      out = edits.line("A", pieces).apply(out);
      out =
          out.withForm(
              out.form()
                  .each(section -> section.withEachCell(part.id(), cell -> cell.withPattern("A"))));
    }
    if (lows != null) {
      PartId id = PartNames.freeId(out, Role.FOUND);
      out = edits.lowsApart(id, lows).apply(out);
    }
    return out;
  }

  /** What was found and how it fits, in a sentence. */
  String told(Song song, Read read) {
    Optional<Part> part =
        song.parts(Role.FOUND).stream()
            .filter(one -> one.found().orElseThrow().recording().equals(read.sound().recording()))
            .findFirst();
    return part.flatMap(Part::found)
        .map(
            sound ->
                String.format(
                    Locale.ROOT,
                    "%s: %d bars at %s, %s, %d pieces; %s, %+.2f semitones",
                    part.get().name(),
                    sound.bars(),
                    sound.tempo(),
                    sound.key().map(Object::toString).orElse("no key"),
                    sound.pieces(),
                    sound.fit().way(),
                    sound.semitones(song.brief().tempo())))
        .orElse("");
  }
}
