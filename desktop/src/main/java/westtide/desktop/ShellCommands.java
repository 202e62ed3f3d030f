package westtide.desktop;

import java.util.ArrayList;
import java.util.List;
import westtide.desktop.brief.BriefRoom;
import westtide.desktop.deliver.DeliverRoom;
import westtide.desktop.drums.DrumsRoom;
import westtide.desktop.form.FormRoom;
import westtide.desktop.lines.LinesRoom;
import westtide.desktop.play.PlayDesk;
import westtide.review.Finding;
import westtide.review.Stage;
import westtide.review.Weight;
import westtide.song.KickLink;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.chord.Notation;
import westtide.song.edit.BriefEdits;
import westtide.song.edit.ChordEdits;
import westtide.song.edit.LowEndEdits;

/** Everything that can be done from the list of commands and by the keys of the house. */
final class ShellCommands {
  private final Shell shell;
  private final OpenSong open;
  private final SongFiles files;
  private final PlayDesk play;

  ShellCommands(Shell shell, OpenSong open, SongFiles files, PlayDesk play) {
    this.play = play;
    this.shell = shell;
    this.open = open;
    this.files = files;
  }

  List<Command> list(
      BriefRoom brief, DrumsRoom drums, LinesRoom lines, FormRoom form, DeliverRoom deliver) {
    List<Command> out = new ArrayList<>();
    addFiles(out);
    addHistory(out);
    addPlaying(out);
    for (Stage stage : Stage.values()) {
      out.add(
          Command.of(
                  "go-" + stage.name().toLowerCase().replace('_', '-'),
                  "Go to " + stage,
                  () -> shell.go(stage))
              .withKeys("Alt+" + (stage.ordinal() + 1)));
    }
    out.add(Command.of("tap", "Tap the tempo", brief::tap).withKeys("T"));
    out.add(Command.of("bench", "Reckon loops, pitch and delay times", brief::bench));
    out.add(Command.of("find-key", "Find the key of notes or chords", brief::findKey));
    out.add(tempo("faster", "One BPM faster", 1000).withKeys("Alt+UP"));
    out.add(tempo("slower", "One BPM slower", -1000).withKeys("Alt+DOWN"));
    out.add(Command.of("take-all", "Draft a new take of everything", brief::newTake));
    addDrums(out, drums);
    addLines(out, lines);
    addForm(out, form);
    out.add(notation("write-names", "Write chords as names", Notation.NAMES));
    out.add(notation("write-numerals", "Write chords as numerals", Notation.NUMERALS));
    out.add(link("lock-sub", "Lock the 808 to the kick", KickLink.LOCKED));
    out.add(link("free-sub", "Let the 808 go independent of the kick", KickLink.INDEPENDENT));
    out.add(section("next-section", "Select the next section", 1).withKeys("Alt+RIGHT"));
    out.add(section("last-section", "Select the section before", -1).withKeys("Alt+LEFT"));
    out.add(
        Command.of("fix-first", "Fix the first warning of the song", this::fixFirst)
            .when(() -> firstFixable() != null));
    out.add(
        Command.of("export-midi", "Write the MIDI file", deliver::writeWhole)
            .withKeys("Shortcut+E"));
    out.add(Command.of("bounce", "Write the mix as WAV", deliver::writeMix));
    out.add(Command.of("bounce-stems", "Write the stems as WAV", deliver::writeStems));
    out.add(Command.of("export-parts", "Write one MIDI file a part", deliver::writeParts));
    return out;
  }

  private void addFiles(List<Command> out) {
    out.add(
        Command.of("new", "New song, demo songs and recent files", this::start)
            .withKeys("Shortcut+N"));
    out.add(Command.of("open", "Open a song file", files::chooseAndOpen).withKeys("Shortcut+O"));
    out.add(Command.of("save", "Save the song", files::save).withKeys("Shortcut+S"));
    out.add(
        Command.of("save-as", "Save the song as another file", files::saveAs)
            .withKeys("Shortcut+Shift+S"));
    List<Song> demos = shell.demos();
    for (int i = 0; i < demos.size(); i++) {
      Song song = demos.get(i);
      out.add(
          Command.of(
              "demo-song-" + i, "Open the demo song " + song.title(), () -> shell.begin(song)));
    }
  }

  private static void addDrums(List<Command> out, DrumsRoom drums) {
    out.add(Command.of("take-groove", "Draft a new take of the groove", drums::newTake));
    out.add(Command.of("copy-groove", "Copy the groove", drums::copy));
  }

  private static void addLines(List<Command> out, LinesRoom lines) {
    out.add(Command.of("take-line", "Draft a new take of the lead", lines::newTake));
    out.add(Command.of("lead-up", "Move the lead a semitone up", () -> lines.transpose(1)));
    out.add(Command.of("lead-down", "Move the lead a semitone down", () -> lines.transpose(-1)));
    out.add(Command.of("lead-octave-up", "Move the lead an octave up", () -> lines.transpose(12)));
    out.add(
        Command.of("lead-octave-down", "Move the lead an octave down", () -> lines.transpose(-12)));
  }

  private static void addForm(List<Command> out, FormRoom form) {
    out.add(Command.of("add-section", "Add a section after the selected one", form::addAfter));
    out.add(Command.of("remove-section", "Remove the selected section", form::remove));
    out.add(
        Command.of("longer-section", "Make the section four bars longer", () -> form.resize(4)));
    out.add(
        Command.of("shorter-section", "Make the section four bars shorter", () -> form.resize(-4)));
    out.add(Command.of("move-section-later", "Move the section later", () -> form.move(1)));
    out.add(Command.of("move-section-earlier", "Move the section earlier", () -> form.move(-1)));
  }

  private void addPlaying(List<Command> out) {
    out.add(Command.of("play", "Play, or stop", play::toggle).withKeys("SPACE"));
    out.add(
        Command.of("play-section", "Play the section from its start", play::playSection)
            .withKeys("P"));
    out.add(
        Command.of("loop-section", "Loop this section, or play on", play::toggleLoop)
            .withKeys("L"));
    out.add(Command.of("loop-nothing", "Loop nothing", play::loopNothing));
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
        Command.of("listening", "Listening, breaks and hearing", shell::listening).withKeys("F1"));
  }

  private void start() {
    files.settled(shell::showStart);
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

  private Command tempo(String id, String title, int milli) {
    return Command.of(
        id, title, () -> open.apply(BriefEdits.tempo(open.song().brief().tempo().plus(milli))));
  }

  private Command notation(String id, String title, Notation notation) {
    return Command.of(
        id,
        title,
        () ->
            open.apply(
                new ChordEdits(open.song().progressions().get(0).name()).notation(notation)));
  }

  private Command link(String id, String title, KickLink link) {
    return Command.of(
            id,
            title,
            () -> open.apply(LowEndEdits.link(open.song().part(Role.SUB).orElseThrow().id(), link)))
        .when(() -> open.song().part(Role.SUB).isPresent());
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
                view.soundings().findings(Weight.WARNING).stream()
                    .filter(finding -> finding.fix().isPresent())
                    .findFirst())
        .orElse(null);
  }

  private void fixFirst() {
    firstFixable().fix().ifPresent(fix -> open.apply(fix.edit()));
  }
}
