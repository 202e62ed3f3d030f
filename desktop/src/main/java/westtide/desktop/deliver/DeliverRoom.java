package westtide.desktop.deliver;

import java.io.File;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.stage.DirectoryChooser;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Chooser;
import westtide.desktop.kit.Confirm;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.Fold;
import westtide.desktop.kit.TypedLine;
import westtide.desktop.open.SongView;
import westtide.desktop.room.Command;
import westtide.desktop.room.Room;
import westtide.desktop.room.RoomContext;
import westtide.file.audio.WavFormat;
import westtide.file.deliver.DeliverOptions;
import westtide.file.deliver.Deliverable;
import westtide.file.deliver.Delivery;
import westtide.file.midi.MidiFile;
import westtide.file.midi.MidiPlan;
import westtide.file.midi.Ports;
import westtide.file.midi.Slides;
import westtide.review.finding.Stage;
import westtide.song.Role;
import westtide.sound.Mixdown;
import westtide.text.Reading;

/**
 * What is written, where and under which names: a list to tick, the files by name, and one button.
 * Nothing is written before it is pressed, and nothing is replaced unasked.
 */
public final class DeliverRoom implements Room {
  private static final String SHARED = "drum parts share channel 10";
  private static final String OWN_PORTS = "a port for each drum part";

  private final RoomContext context;
  private final VBox sheet = new VBox(12);
  private final TypedLine folder =
      new TypedLine("deliver-folder", "folder to write into", this::takeFolder);
  private final DeliverList list =
      new DeliverList(EnumSet.of(Deliverable.MIDI, Deliverable.PARTS), this::refresh);
  private final FilesSheet files;
  private final Button write = Controls.primary("deliver-write", "write", this::writeTicked);
  private final ProgressBar progress = new ProgressBar(0);
  private final HBox running;
  private final Label notices = Controls.wrapped("", "small");
  private final Chooser<Slides> slides =
      new Chooser<>("deliver-slides", "slides in MIDI", List.of(Slides.values()), this::takeSlides);
  private final Chooser<String> ports =
      new Chooser<>(
          "deliver-ports", "MIDI ports of drum parts", List.of(SHARED, OWN_PORTS), this::takePorts);
  private final Chips<Integer> bits = new Chips<>("bits-", b -> b + " bit", this::takeBits);
  private final Chips<Integer> rates =
      new Chips<>("rate-", r -> r == 44_100 ? "44.1 kHz" : "48 kHz", this::takeRate);
  private final TextField command = Controls.field("deliver-command", "command line");
  private Optional<Path> typed = Optional.empty();
  private DeliverOptions options = DeliverOptions.USUAL;
  private AtomicBoolean cancelled = new AtomicBoolean();

  /** The room. */
  public DeliverRoom(RoomContext context) {
    this.context = context;
    this.files = new FilesSheet(() -> context.exports().reveal(folder()));
    progress.setId("bounce-progress");
    progress.setPrefWidth(150);
    this.running =
        Controls.row(
            8, progress, Controls.action("bounce-cancel", "cancel", () -> cancelled.set(true)));
    running.setVisible(false);
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
    slides.display(options.midi().slides());
    ports.display(options.midi().ports() == Ports.ONE ? SHARED : OWN_PORTS);
    ports.setVisible(view.score().parts(Role.DRUMS).size() > 1);
    ports.setManaged(ports.isVisible());
    bits.show(List.of(16, 24), options.wav().bits());
    rates.show(List.of(44_100, 48_000), options.wav().rate());
    notices.setText(
        String.join("\n", MidiPlan.of(view.score().parts(), options.midi().ports()).notices()));
    list.show(view.score());
    showFiles(delivery(view, list.chosen()));
    command.setText(words(view));
  }

  @Override
  public List<Command> commands() {
    Command ticked = Command.of("deliver-ticked", "Write the ticked files", this::writeTicked);
    return Stream.concat(Stream.of(ticked), Arrays.stream(Deliverable.values()).map(this::command))
        .toList();
  }

  private Command command(Deliverable one) {
    String id = "export-" + one.name().toLowerCase(Locale.ROOT);
    Command command =
        Command.of(id, "Write now: " + one + ", " + one.group(), () -> write(Set.of(one)));
    return one == Deliverable.MIDI ? command.withKeys("Shortcut+E") : command;
  }

  private void build() {
    sheet.getStyleClass().add("sheet");
    command.setEditable(false);
    command.getStyleClass().addAll("typed", "small-typed");
    HBox.setHgrow(command, Priority.ALWAYS);
    HBox.setHgrow(folder, Priority.ALWAYS);
    Fold line =
        new Fold(
            "deliver-line",
            "the same from the command line",
            "What to type in a terminal for the files that are ticked, once the song is saved",
            Controls.row(8, command, Controls.action("copy-command", "copy", this::copyCommand)));
    Fold omitted =
        new Fold(
            "deliver-notices",
            "what MIDI says otherwise",
            "What a MIDI file cannot hold, and where it went",
            notices);
    VBox left =
        Controls.column(
            14,
            list,
            Controls.flow(
                Controls.label("slides as", "small"),
                Controls.explained(slides, "How MIDI says a slide, which has no sign of its own"),
                Controls.explained(
                    ports,
                    "On one channel velocities carry the levels of the drum parts; on a port of"
                        + " its own each has its level, its side and what moves of it")),
            Controls.flow(Controls.label("WAV at", "small"), bits, rates, running),
            Controls.flow(omitted.head(), line.head()),
            omitted,
            line);
    left.setPadding(new Insets(0, 12, 0, 0));
    ScrollPane scroll = new ScrollPane(left);
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    HBox.setHgrow(scroll, Priority.ALWAYS);
    HBox body = new HBox(22, scroll, files);
    VBox.setVgrow(body, Priority.ALWAYS);
    sheet
        .getChildren()
        .addAll(
            Controls.row(
                12,
                Controls.title("Deliver"),
                Controls.label("into", "small"),
                folder,
                Controls.action("deliver-choose", "choose …", this::chooseFolder),
                write),
            body,
            Controls.wrapped(
                "Nothing is written before you press the button; a file that is there is asked"
                    + " about.",
                "small"));
  }

  private Delivery delivery(SongView view, Set<Deliverable> what) {
    return new Delivery(view.score(), what, options, folder());
  }

  private void showFiles(Delivery delivery) {
    List<Path> all = delivery.files();
    write.setText(all.size() == 1 ? "write 1 file" : "write " + all.size() + " files");
    write.setDisable(all.isEmpty());
    context.compute(
        () -> new HashSet<>(delivery.there()),
        there -> files.show(delivery.score().song(), all, there));
  }

  private void refresh() {
    context.open().view().ifPresent(this::show);
  }

  /** Writes what is ticked. */
  private void writeTicked() {
    write(list.chosen());
  }

  private void write(Set<Deliverable> what) {
    Delivery delivery = delivery(context.open().view().orElseThrow(), what);
    context.compute(
        () -> new Asked(Files.notExists(delivery.folder()), delivery.there()),
        asked -> ask(delivery, asked));
  }

  /** What to ask about before writing: a folder to be made, files to be replaced. */
  private record Asked(boolean makesFolder, List<Path> replaces) {}

  private void ask(Delivery delivery, Asked asked) {
    if (asked.makesFolder()) {
      Confirm.under(
          write,
          "This folder is not there yet",
          delivery.folder().toString(),
          "make it and write",
          () -> run(delivery));
    } else if (!asked.replaces().isEmpty()) {
      Confirm.under(
          write,
          asked.replaces().size() + " of " + delivery.files().size() + " files are there already",
          "Would be replaced: " + names(asked.replaces()),
          asked.replaces().size() == 1 ? "replace it" : "replace them",
          () -> run(delivery));
    } else {
      run(delivery);
    }
  }

  private static String names(List<Path> files) {
    int shown = Math.min(3, files.size());
    String names =
        String.join(
            ", ",
            files.subList(0, shown).stream().map(file -> file.getFileName().toString()).toList());
    return files.size() == shown ? names : names + " and " + (files.size() - shown) + " more";
  }

  private void run(Delivery delivery) {
    AtomicBoolean mine = new AtomicBoolean();
    cancelled.set(true);
    cancelled = mine;
    progress.setProgress(0);
    boolean sound = delivery.what().stream().anyMatch(d -> d.group() == Deliverable.Group.SOUND);
    running.setVisible(sound);
    Mixdown.Watch watch =
        new Mixdown.Watch(mine::get, share -> Platform.runLater(() -> progress.setProgress(share)));
    context
        .exports()
        .deliver(
            delivery,
            watch,
            written -> {
              running.setVisible(false);
              files.wrote(written);
              refresh();
            });
  }

  private String words(SongView view) {
    StringBuilder out = new StringBuilder("./west-tide export ");
    out.append(ShellWord.of(context.open().file().map(Path::toString).orElse("FILE.tide")));
    for (Deliverable one : list.chosen()) {
      Path target =
          one.option().folder() ? folder() : folder().resolve(one.names(view.score()).get(0));
      out.append(' ').append(one.option().name()).append(' ');
      out.append(ShellWord.of(target.toString()));
    }
    if (options.midi().slides() == Slides.BEND) {
      out.append(" --slides bend");
    }
    if (options.midi().ports() != Ports.ONE) {
      out.append(" --ports");
    }
    if (!options.wav().equals(WavFormat.USUAL)) {
      out.append(" --bits ").append(options.wav().bits());
      out.append(" --rate ").append(options.wav().rate());
    }
    return out.toString();
  }

  private void takeSlides(Slides chosen) {
    take(options.withMidi(options.midi().withSlides(chosen)));
  }

  private void takePorts(String chosen) {
    Ports how = chosen.equals(OWN_PORTS) ? Ports.EACH_DRUM_PART : Ports.ONE;
    take(options.withMidi(options.midi().withPorts(how)));
  }

  private void takeBits(int chosen) {
    take(options.withWav(new WavFormat(options.wav().rate(), chosen)));
  }

  private void takeRate(int chosen) {
    take(options.withWav(new WavFormat(chosen, options.wav().bits())));
  }

  private void take(DeliverOptions other) {
    options = other;
    refresh();
  }

  private void copyCommand() {
    ClipboardContent content = new ClipboardContent();
    content.putString(command.getText());
    Clipboard.getSystemClipboard().setContent(content);
    context.messages().done("Copied the command line");
  }

  private void chooseFolder() {
    DirectoryChooser chooser = new DirectoryChooser();
    chooser.setTitle("Write into");
    File there = folder().toFile();
    if (there.isDirectory()) {
      chooser.setInitialDirectory(there);
    }
    Optional.ofNullable(chooser.showDialog(sheet.getScene().getWindow()))
        .ifPresent(chosen -> takeFolder(chosen.getPath()));
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
    refresh();
    return Optional.empty();
  }
}
