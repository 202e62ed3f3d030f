package westtide.desktop.files;

import java.util.function.BiConsumer;
import java.util.stream.Collectors;
import westtide.desktop.open.Background;
import westtide.desktop.open.Messages;
import westtide.desktop.open.OpenSong;
import westtide.desktop.open.Overlay;
import westtide.file.FileNames;
import westtide.file.midi.MidiFile;
import westtide.file.midi.MidiGroove;
import westtide.rhythm.Meter;
import westtide.rhythm.Swing;
import westtide.song.Song;
import westtide.song.id.PartId;
import westtide.song.pattern.Pattern;

/** Single grooves as MIDI files: read to be one more groove of the part, or written alone. */
public final class GrooveFiles {
  private static final String ENDING = ".mid";

  private final OpenSong open;
  private final Overlay overlay;
  private final Messages messages;
  private final Background background;
  private final SongFiles files;

  /** Reads and writes grooves of the open song. */
  public GrooveFiles(
      OpenSong open, Overlay overlay, Messages messages, Background background, SongFiles files) {
    this.open = open;
    this.overlay = overlay;
    this.messages = messages;
    this.background = background;
    this.files = files;
  }

  /** Lets a person choose a MIDI file, tells what is in it and hands it over with a name. */
  public void read(Meter meter, Swing swing, BiConsumer<String, Pattern.Drums> take) {
    new FilePanel(
            overlay,
            "Read a groove from MIDI",
            "read",
            files.folder(),
            path -> path.toString().endsWith(ENDING),
            path ->
                background.run(
                    () -> MidiGroove.read(path, meter, swing),
                    read -> {
                      overlay.close();
                      String name = path.getFileName().toString().replaceFirst("\\.midi?$", "");
                      messages.done(description(name, read));
                      take.accept(name, read.groove());
                    }))
        .open();
  }

  private static String description(String name, MidiGroove read) {
    String bars = read.groove().bars() + (read.groove().bars() == 1 ? " bar" : " bars");
    String lanes = read.groove().lanes().size() + " lanes";
    String cut = read.cut() ? " The file goes on; the first 16 bars were read." : "";
    String unknown =
        read.unknown().isEmpty()
            ? ""
            : " Notes "
                + read.unknown().stream().map(String::valueOf).collect(Collectors.joining(", "))
                + " are no drum of ours and were left out.";
    return "Groove " + name + ": " + bars + ", " + lanes + "." + cut + unknown;
  }

  /** Lets a person choose where to write one pattern of a part. */
  public void write(PartId part, String pattern) {
    Song song = open.song();
    String name = FileNames.stem(song) + "-" + pattern.replaceAll("[^A-Za-z0-9]+", "-") + ENDING;
    new FilePanel(
            overlay,
            "Write groove " + pattern + " as MIDI",
            "write",
            files.folder().resolve(name),
            path -> path.toString().endsWith(ENDING),
            path ->
                background.run(
                    () -> {
                      MidiFile.writePattern(song, part, pattern, path);
                      return path;
                    },
                    written -> {
                      overlay.close();
                      messages.done("Wrote " + written);
                    }))
        .open();
  }
}
