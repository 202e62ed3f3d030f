package westtide.desktop.deliver;

import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chooser;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.TypedLine;
import westtide.desktop.open.SongView;
import westtide.desktop.room.Command;
import westtide.desktop.room.Room;
import westtide.desktop.room.RoomContext;
import westtide.file.FileNames;
import westtide.file.midi.MidiFile;
import westtide.file.midi.MidiOptions;
import westtide.file.midi.MidiPlan;
import westtide.file.midi.Ports;
import westtide.review.finding.Stage;
import westtide.score.ScoredPart;
import westtide.song.Role;
import westtide.text.Reading;

/**
 * MIDI of the whole song and of each part, with the names they get and the command line that does
 * the same.
 */
public final class DeliverRoom implements Room {
  private final RoomContext context;
  private static final double BETWEEN = 10;
  private static final int ACROSS = 3;
  private static final String SHARED = "drum parts share channel 10";
  private static final String OWN_PORTS = "a port for each drum part";

  private final VBox sheet = new VBox();
  private final TypedLine folder =
      new TypedLine("deliver-folder", "folder to write into", this::takeFolder);
  private Optional<Path> typed = Optional.empty();
  private final Label whole = Controls.label("", "strong");
  private final Label facts = Controls.wrapped("", "small");
  private final SoundBox sound;
  private final GridPane parts = new GridPane();
  private final Label summary = Controls.wrapped("", "small");
  private final Chooser<String> ports =
      new Chooser<>(
          "deliver-ports", "MIDI ports of drum parts", List.of(SHARED, OWN_PORTS), this::takePorts);
  private MidiOptions options = MidiOptions.USUAL;
  private final TextField command = Controls.field("deliver-command", "command line");

  /** The room. */
  public DeliverRoom(RoomContext context) {
    this.context = context;
    this.sound = new SoundBox(context.exports(), this::into);
    build();
    context.open().watchOpening(() -> typed = Optional.empty());
  }

  @Override
  public Stage stage() {
    return Stage.DELIVER;
  }

  @Override
  public Node node() {
    return sheet;
  }

  @Override
  public String summary(SongView view) {
    int playing = MidiFile.playing(view.score()).size();
    return playing + (playing == 1 ? " part" : " parts") + " · MIDI";
  }

  @Override
  public void show(SongView view) {
    folder.show(folder().toString());
    whole.setText(FileNames.midi(view.song()));
    facts.setText(
        view.song().form().sections().size()
            + " markers, tempo "
            + view.song().brief().tempo()
            + ", "
            + view.song().brief().meter()
            + ", "
            + view.song().brief().key()
            + ", 960 ticks to the quarter, type 1");
    summary.setText(
        String.join("\n", MidiPlan.of(view.score().parts(), options.ports()).notices()));
    ports.display(options.ports() == Ports.ONE ? SHARED : OWN_PORTS);
    ports.setVisible(view.score().parts(Role.DRUMS).size() > 1);
    ports.setManaged(ports.isVisible());
    summary.setVisible(!summary.getText().isEmpty());
    summary.setManaged(summary.isVisible());
    sound.show(FileNames.wav(view.song()));
    showParts(view);
    showCommand(view);
  }

  /** Writes the whole song. */
  public void writeWhole() {
    into(folder -> context.exports().exportMidi(folder, options));
  }

  /** Writes one file a part. */
  public void writeParts() {
    into(context.exports()::exportParts);
  }

  /** Writes one file a section. */
  public void writeSections() {
    into(folder -> context.exports().exportSections(folder, options));
  }

  /** Writes one file a lane of every drum part. */
  public void writeLanes() {
    into(context.exports()::exportLanes);
  }

  /** Writes the mix as WAV. */
  public void writeMix() {
    sound.mix();
  }

  /** Writes the stems as WAV. */
  public void writeStems() {
    sound.stems();
  }

  @Override
  public List<Command> commands() {
    return List.of(
        Command.of("export-midi", "Write the MIDI file", this::writeWhole).withKeys("Shortcut+E"),
        Command.of("bounce", "Write the mix as WAV", this::writeMix),
        Command.of("bounce-stems", "Write the stems as WAV", this::writeStems),
        Command.of("export-parts", "Write one MIDI file a part", this::writeParts),
        Command.of("export-sections", "Write one MIDI file a section", this::writeSections),
        Command.of("export-lanes", "Write one MIDI file a drum lane", this::writeLanes));
  }

  private void build() {
    sheet.getStyleClass().add("sheet");
    whole.setId("deliver-name");
    command.setEditable(false);
    command.getStyleClass().addAll("typed", "small-typed");
    HBox.setHgrow(command, Priority.ALWAYS);
    HBox.setHgrow(folder, Priority.ALWAYS);
    parts.setHgap(22);
    parts.setVgap(3);
    summary.setId("deliver-summary");
    VBox body =
        Controls.column(
            BETWEEN,
            Controls.row(10, Controls.label("into the folder"), folder),
            midi(),
            sound,
            Controls.label("The same from the command line, once the song is saved", "small"),
            Controls.row(8, command, Controls.action("copy-command", "copy", this::copyCommand)));
    body.setPadding(new Insets(0, 12, 0, 0));
    ScrollPane all = new ScrollPane(body);
    all.setFitToWidth(true);
    all.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    VBox.setVgrow(all, Priority.ALWAYS);
    sheet.getChildren().addAll(Controls.title("Deliver"), all);
  }

  private Node midi() {
    VBox box =
        Controls.column(
            4,
            Controls.flow(
                Controls.label("MIDI", "stop-name"),
                Controls.primary("write-midi", "write the whole song", this::writeWhole),
                Controls.action("write-parts", "one file a part", this::writeParts),
                Controls.explained(
                    Controls.action("write-sections", "one file a section", this::writeSections),
                    "Each section by itself, its transitions and curves included"),
                Controls.explained(
                    Controls.action("write-lanes", "one file a drum lane", this::writeLanes),
                    "Each lane of each drum part by itself, on the note chosen for it"),
                Controls.explained(
                    ports,
                    "On one channel velocities carry the levels of the drum parts; on a port of"
                        + " its own each has its level, its side and what moves of it")),
            whole,
            facts,
            summary,
            parts);
    box.getStyleClass().add("finding");
    box.setPadding(new javafx.geometry.Insets(12, 16, 12, 16));
    return box;
  }

  private void showParts(SongView view) {
    parts.getChildren().clear();
    List<ScoredPart> all = view.score().parts();
    for (int i = 0; i < all.size(); i++) {
      ScoredPart part = all.get(i);
      boolean plays = !part.notes().isEmpty();
      String file =
          plays ? FileNames.midi(view.song(), part.part()) : "not written, it plays nothing";
      Label name = Controls.explained(whole(part.part().name(), "strong"), file);
      String notes = plays ? part.notes().size() + " notes" : "silent, not written";
      parts.add(name, 2 * (i % ACROSS), i / ACROSS);
      parts.add(Controls.explained(whole(notes, "plain"), file), 2 * (i % ACROSS) + 1, i / ACROSS);
    }
  }

  private static Label whole(String words, String style) {
    Label label = Controls.label(words, style);
    label.setMinWidth(javafx.scene.layout.Region.USE_PREF_SIZE);
    return label;
  }

  private void showCommand(SongView view) {
    String song = context.open().file().map(Path::toString).orElse("FILE.tide");
    String target = folder() + "/" + FileNames.midi(view.song());
    command.setText(
        "./west-tide export "
            + ShellWord.of(song)
            + " --midi "
            + ShellWord.of(target)
            + (options.ports() == Ports.ONE ? "" : " --ports")
            + " --parts "
            + ShellWord.of(folder().toString())
            + " --wav "
            + ShellWord.of(folder() + "/" + FileNames.wav(view.song()))
            + " --stems "
            + ShellWord.of(folder().toString()));
  }

  private void takePorts(String chosen) {
    options = options.withPorts(chosen.equals(OWN_PORTS) ? Ports.EACH_DRUM_PART : Ports.ONE);
    context.open().view().ifPresent(this::show);
  }

  private void copyCommand() {
    ClipboardContent content = new ClipboardContent();
    content.putString(command.getText());
    Clipboard.getSystemClipboard().setContent(content);
    context.messages().done("Copied the command line");
  }

  private void into(Consumer<Path> write) {
    write.accept(folder());
  }

  /** The folder that was typed, now or when the song was open before, else that of the song. */
  private Path folder() {
    return typed.orElseGet(context.files()::deliverFolder);
  }

  private Optional<Reading.Problem<?>> takeFolder(String text) {
    try {
      typed = Optional.of(text.strip()).filter(t -> !t.isEmpty()).map(Path::of);
      context.files().deliverInto(typed);
    } catch (InvalidPathException e) {
      String instead = "type the folder to write into, such as " + context.files().folder();
      return Optional.of(new Reading.Problem<>(Math.max(1, e.getIndex() + 1), instead));
    }
    context.open().view().ifPresent(this::show);
    return Optional.empty();
  }
}
