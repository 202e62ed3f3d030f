package westtide.desktop;

import java.util.ArrayList;
import java.util.List;
import westtide.desktop.files.DemoSong;
import westtide.desktop.files.SongFiles;
import westtide.desktop.open.OpenSong;
import westtide.desktop.play.Comparison;
import westtide.desktop.play.PlayDesk;
import westtide.desktop.room.Command;
import westtide.review.finding.Finding;
import westtide.review.finding.Severity;
import westtide.review.finding.Stage;
import westtide.song.edit.History;

/** What can be done whichever room is in front: files, history, playing and going elsewhere. */
final class ShellCommands {
  private final Shell shell;
  private final OpenSong open;
  private final SongFiles files;
  private final PlayDesk play;

  private final Comparison comparison;

  ShellCommands(Shell shell, OpenSong open, SongFiles files, PlayDesk play, Comparison comparison) {
    this.comparison = comparison;
    this.play = play;
    this.shell = shell;
    this.open = open;
    this.files = files;
  }

  List<Command> list() {
    List<Command> out = new ArrayList<>();
    addFiles(out);
    addHistory(out);
    addPlaying(out);
    addHelp(out);
    for (Stage stage : Stage.values()) {
      out.add(
          Command.of(
                  "go-" + stage.name().toLowerCase().replace('_', '-'),
                  "Go to " + stage,
                  () -> shell.go(stage))
              .withKeys("Alt+" + (stage.ordinal() + 1)));
    }
    out.add(section("next-section", "Select the next section", 1).withKeys("Alt+RIGHT"));
    out.add(section("last-section", "Select the section before", -1).withKeys("Alt+LEFT"));
    out.add(
        Command.of(
                "soundings",
                "Soundings: open what is measured and found, or fold it",
                shell::turnSoundings)
            .withKeys("Shortcut+I")
            .when(open::isOpen));
    out.add(
        Command.of("next-area", "Go to the next area of the window", shell::nextArea)
            .withKeys("F6")
            .when(open::isOpen));
    out.add(
        Command.of("fix-first", "Fix the first warning of the song", this::fixFirst)
            .when(() -> firstFixable() != null));
    return out;
  }

  private void addFiles(List<Command> out) {
    out.add(
        Command.of("new", "New song, demo songs and recent files", shell::showStart)
            .withKeys("Shortcut+N"));
    out.add(Command.of("open", "Open a song file", files::chooseAndOpen).withKeys("Shortcut+O"));
    out.add(Command.of("save", "Save the song", files::save).withKeys("Shortcut+S"));
    out.add(
        Command.of("save-as", "Save the song as another file", files::saveAs)
            .withKeys("Shortcut+Shift+S"));
    out.add(
        Command.of("versions", "Saved versions of this song: open or compare", files::versions));
    List<DemoSong> demos = shell.demos();
    for (int i = 0; i < demos.size(); i++) {
      DemoSong demo = demos.get(i);
      String title = "Open the demo song " + demo.outline().title();
      out.add(Command.of("demo-song-" + i, title, () -> shell.begin(demo)));
    }
  }

  private boolean reaches(int step) {
    return open.steps().map(history -> history.at() >= step).orElse(false);
  }

  private void compare(String name, int step) {
    open.steps().ifPresent(history -> comparison.with(name, history.steps().get(step).song()));
  }

  private void addPlaying(List<Command> out) {
    out.add(
        Command.of("play", "Play what is in front round and round, or stop", shell::playInFront)
            .withKeys("SPACE"));
    out.add(
        Command.of("play-song", "Play the song, or stop", play::toggle).withKeys("Shift+SPACE"));
    out.add(
        Command.of("play-section", "Play the section from its start", play::playSection)
            .withKeys("P"));
    out.add(Command.of("play-bar", "Play from the chosen bar", play::playBar).withKeys("Shift+P"));
    out.add(
        Command.of("loop-section", "Loop this section, or play on", play::toggleLoop)
            .withKeys("L"));
    out.add(Command.of("loop-nothing", "Loop nothing", play::loopNothing));
    out.add(
        Command.of(
                "compare-opened",
                "Compare by ear with the song as it was opened (A/B at one loudness)",
                () -> compare("the song as it was opened", 0))
            .when(() -> reaches(1)));
    out.add(
        Command.of(
                "compare-step",
                "Compare by ear with the song before the last step (A/B at one loudness)",
                () ->
                    compare(
                        "the song before the last step",
                        open.steps().map(History::at).orElse(1) - 1))
            .when(() -> reaches(1)));
    out.add(
        Command.of("compare-turn", "Hear the other of the two versions", comparison::turn)
            .withKeys("B")
            .when(comparison::there));
    out.add(
        Command.of(
                "metronome",
                "Click on every beat, or not",
                () ->
                    play.setPreferences(
                        play.preferences().withMetronome(!play.preferences().metronome())))
            .withKeys("K"));
    out.add(
        Command.of(
            "count-in",
            "Count four beats in before playing, or not",
            () ->
                play.setPreferences(
                    play.preferences().withCountIn(!play.preferences().countIn()))));
    out.add(
        Command.of("louder", "Listen louder by 2 dB", () -> play.louder(2))
            .withKeys("Shortcut+UP"));
    out.add(
        Command.of("quieter", "Listen more quietly by 2 dB", () -> play.louder(-2))
            .withKeys("Shortcut+DOWN"));
    out.add(
        Command.of("listening", "Listening, breaks and hearing", shell::listening)
            .withKeys("Shift+F1"));
  }

  private void addHistory(List<Command> out) {
    out.add(
        Command.of("undo", "Undo", open::undo)
            .withKeys("Shortcut+Z")
            .when(() -> open.undoable().isPresent()));
    out.add(
        Command.of("redo", "Redo", open::redo)
            .withKeys("Shortcut+Shift+Z")
            .when(() -> open.redoable().isPresent()));
  }

  private void addHelp(List<Command> out) {
    out.add(
        Command.of(
                "palette",
                "Palette: night watch, or day again",
                () -> shell.appearance().otherPalette())
            .everywhere());
    out.add(
        Command.of("text-larger", "Larger text", () -> shell.appearance().scaleText(10))
            .withKeys("Shortcut+Shift+PERIOD")
            .everywhere());
    out.add(
        Command.of("text-smaller", "Smaller text", () -> shell.appearance().scaleText(-10))
            .withKeys("Shortcut+Shift+COMMA")
            .everywhere());
    out.add(
        Command.of("text-usual", "Text of usual size", () -> shell.appearance().usualText())
            .everywhere());
    out.add(
        Command.of("guide", "Guide: help for this room, and what would I do to …", shell::guide)
            .withKeys("F1"));
    out.add(Command.of("keys", "Every key: the key card", shell::keys).withKeys("Shift+SLASH"));
    out.add(Command.of("history", "History: go to any step of this session", shell::history));
  }

  private Command section(String id, String title, int by) {
    return Command.of(
        id,
        title,
        () -> {
          int last = open.song().form().sections().size() - 1;
          open.select(Math.max(0, Math.min(last, open.section() + by)));
        });
  }

  private Finding firstFixable() {
    return open.view()
        .flatMap(
            view ->
                view.soundings().findings(Severity.WARNING).stream()
                    .filter(finding -> finding.fix().isPresent())
                    .findFirst())
        .orElse(null);
  }

  private void fixFirst() {
    firstFixable().fix().ifPresent(fix -> open.apply(fix.edit()));
  }
}
