package westtide.desktop.room;

import java.io.File;
import java.nio.file.Path;
import java.util.Optional;
import javafx.stage.FileChooser;
import javafx.stage.Window;
import westtide.crate.Crate;
import westtide.crate.CrateLoop;
import westtide.file.sound.SoundFile;
import westtide.found.BringIn;
import westtide.found.FoundFacts;
import westtide.found.SoundNotes;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.PartNames;
import westtide.song.edit.found.FoundEdits;
import westtide.song.found.Origin;
import westtide.song.found.Recording;

/** Brings loops into the open song: from a file, or from the crate. */
public final class BringLoop {
  private static final String LISTENING = "Listening to ";

  private final RoomContext context;

  /** For the open song. */
  public BringLoop(RoomContext context) {
    this.context = context;
  }

  private record Heard(Recording recording, Origin origin, FoundFacts facts) {}

  /** Asks for a file with the system's chooser. */
  public void choose(Window owner) {
    FileChooser chooser = new FileChooser();
    chooser.setTitle("Bring in a loop");
    chooser
        .getExtensionFilters()
        .addAll(
            new FileChooser.ExtensionFilter(
                "Sounds", SoundFile.ENDINGS.stream().map(ending -> "*" + ending).toList()),
            new FileChooser.ExtensionFilter("All files", "*.*"));
    File folder = context.files().folder().toFile();
    if (folder.isDirectory()) {
      chooser.setInitialDirectory(folder);
    }
    Optional.ofNullable(chooser.showOpenDialog(owner)).ifPresent(file -> file(file.toPath()));
  }

  /** Brings in a file. */
  public void file(Path path) {
    context.messages().notice(LISTENING + path.getFileName() + " …");
    context
        .background()
        .runLong(
            () -> {
              SoundFile.Sound sound = SoundFile.read(path);
              return new Heard(
                  sound.recording(),
                  sound.notes().origin(),
                  FoundFacts.of(sound.recording(), sound.notes()));
            },
            this::take);
  }

  /** Brings in an invented loop of the crate. */
  public void crate(long seed) {
    context.messages().notice(LISTENING + "a loop of the crate …");
    context
        .background()
        .runLong(
            () -> {
              CrateLoop loop = Crate.of(seed).loop();
              FoundFacts facts = FoundFacts.of(loop.recording(), SoundNotes.NONE);
              return new Heard(loop.recording(), loop.origin(), facts);
            },
            this::take);
  }

  /** A sound that a part misses takes its place; any other becomes a part. */
  private void take(Heard heard) {
    context.messages().withdraw(LISTENING);
    context.loops().keep(heard.recording(), heard.facts());
    Song song = context.open().song();
    Optional<Part> misses =
        song.parts(Role.FOUND).stream()
            .filter(part -> !part.found().orElseThrow().recording().isThere())
            .filter(
                part -> part.found().orElseThrow().recording().id().equals(heard.recording().id()))
            .findFirst();
    if (misses.isPresent()) {
      context.apply(new FoundEdits(misses.get().id()).recording(heard.recording()));
      return;
    }
    Part part =
        BringIn.part(
            PartNames.freeId(song, Role.FOUND),
            heard.recording(),
            heard.facts(),
            heard.origin(),
            song);
    context.open().apply(BringIn.into(part), selection -> selection.withPart(part));
  }
}
