package westtide.cli;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.Callable;
import picocli.CommandLine.ArgGroup;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;
import westtide.compose.SongDraft;
import westtide.draft.Draft;
import westtide.file.SongFile;
import westtide.file.SongVersions;
import westtide.file.StyleFile;
import westtide.file.disk.Folders;
import westtide.file.disk.UnusableFileException;
import westtide.found.BringIn;
import westtide.review.StyleTrial;
import westtide.rhythm.Swing;
import westtide.rhythm.Tempo;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.LaneId;
import westtide.song.edit.BriefEdits;
import westtide.song.edit.LinkedSections;
import westtide.song.form.FormLine;
import westtide.song.found.FoundSound;
import westtide.style.Style;
import westtide.style.StyleBook;
import westtide.theory.Key;

/** Drafts a song and writes its file. */
@Command(
    name = "new",
    mixinStandardHelpOptions = true,
    description = "Drafts a song from a style and writes its file.")
final class NewCommand implements Callable<Integer> {
  @Option(
      names = "--style",
      required = true,
      paramLabel = "NAME",
      description = "the style, see: styles; or a file of your own, NAME.style.json")
  private String style;

  @Option(names = "--tempo", paramLabel = "BPM", description = "20 to 300")
  private String tempo;

  @Option(names = "--key", paramLabel = "KEY", description = "such as \"F# minor\" or \"A dorian\"")
  private String key;

  @Option(
      names = "--chords",
      paramLabel = "LINE",
      description =
          "the hook's chords, such as \"i9 | VI:12 <<III@1 | iv7 - | %%\": | bar, : sixteenths,"
              + " . hold, - rest, < early, @ inversion, %% again, ( )x2 repeat")
  private String chords;

  @Option(
      names = "--lane",
      paramLabel = "\"VOICE: TEXT\"",
      description =
          "a lane of the hook's groove, such as \"hat: x.o.x.x3.\"; may be given again for others")
  private List<String> lanes = List.of();

  @Option(
      names = "--line",
      paramLabel = "\"PART: TEXT\"",
      description =
          "a line in the hooks, such as \"Bell: 5 - . b6 ^5' - - -\": degrees of the key, - hold,"
              + " . rest, | bar, ' octave up, , octave down, ^ accent, _ soft, ~ slide; may be given"
              + " again")
  private List<String> lines = List.of();

  @Option(
      names = "--low",
      paramLabel = "\"PART: TEXT\"",
      description =
          "a low line in the hooks, such as \"808: R - - . ~R8 - R -\": R the heard bass, R5 a"
              + " member of the chord, b7 a degree of the key; may be given again")
  private List<String> lows = List.of();

  @Option(names = "--swing", paramLabel = "PERCENT", description = "50 to 75")
  private String swing;

  @Option(
      names = "--form",
      paramLabel = "LINE",
      description =
          "such as \"intro 8, main 16 drums-out crash, groove 4 x2\"; after the bars stands how a"
              + " section is entered: fill, crash, stop, drums-out, riser, reverse, ramp, open, run,"
              + " count, gap 2 (bars), riser:8 (beats) and others, or none")
  private String form;

  @Option(
      names = "--seed",
      paramLabel = "N",
      description = "the take; one is drawn and told when not given")
  private Long seed;

  @Option(
      names = "--parts",
      paramLabel = "full|core",
      description =
          "full is an arrangement of all the parts of the style, core the first five for who wants"
              + " to add by hand; full when not given")
  private String parts = "full";

  @Option(names = "--title", paramLabel = "TITLE", description = "the song's name")
  private String title;

  @Option(
      names = "-o",
      required = true,
      paramLabel = "FILE.tide",
      description = "the file to write; - for the standard output")
  private Path file;

  @Option(
      names = "--force",
      description = "replaces a song that is there already; what it holds stays among its versions")
  private boolean force;

  @ArgGroup(exclusive = false)
  private FoundOptions found;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws Exception {
    long take = seed == null ? 1 + new Random().nextInt(9999) : seed;
    Style wanted = wanted();
    refuseToReplace();
    SongDraft draft = SongDraft.in(wanted).withSeed(take).withTitle(title());
    draft = tempo == null ? draft : draft.withTempo(Tempo.parse(tempo));
    draft = key == null ? draft : draft.withKey(Key.parse(key));
    FoundOptions.Read loop = found == null ? null : found.read();
    draft = loop == null ? draft : begunWith(draft, loop);
    Song song = repeated(drafted(draft).song());
    song = loop == null ? song : with(song, loop);
    tellLows(song);
    if (!StandardOutput.means(file)) {
      replacing();
    }
    Song made = song;
    if (!StandardOutput.write(file, to -> SongFile.write(made, to))) {
      return 0;
    }
    spec.commandLine()
        .getOut()
        .println(
            file
                + ": "
                + song.form().bars()
                + " bars in "
                + song.brief().key()
                + " at "
                + song.brief().tempo()
                + " BPM, "
                + song.parts().size()
                + " parts, seed "
                + take);
    return 0;
  }

  /** A draft at tempo and key of a loop, where others were not wished for. */
  private SongDraft begunWith(SongDraft draft, FoundOptions.Read loop) {
    SongDraft paced = tempo == null ? draft.withTempo(Tempo.nearest(loop.facts().tempo())) : draft;
    return key == null ? loop.facts().key().map(paced::withKey).orElse(paced) : paced;
  }

  /** The song round a loop: in its tuning, over its chords where no others were wished for. */
  private Song with(Song song, FoundOptions.Read loop) {
    int cents = tempo == null ? (int) Math.round(loop.facts().cents()) : 0;
    Song out = found.into(BriefEdits.cents(cents).apply(song), loop);
    FoundSound sound = out.parts(Role.FOUND).get(0).found().orElseThrow();
    out = chords == null ? BringIn.withChordsOf(sound, out) : out;
    spec.commandLine().getOut().println(found.told(out, loop));
    return out;
  }

  /** The song whose sections stay the same where that was typed. */
  private Song repeated(Song song) {
    return form == null
        ? song
        : LinkedSections.repeated(song, FormLine.parse(form, song.brief().meter()).orElseThrow());
  }

  /** A song that is there is not written over unasked. */
  private void refuseToReplace() {
    if (!force && !StandardOutput.means(file) && Files.isRegularFile(file)) {
      throw new IllegalArgumentException(
          file + " is there already; give another name, or --force to replace it");
    }
  }

  /** What is about to be replaced stays among the versions of the file. */
  private void replacing() throws IOException {
    Path versions = Folders.ofUser().data().resolve(SongVersions.FOLDER);
    new SongVersions(versions, Clock.systemUTC()).keepReplaced(file);
  }

  /** The style of that name, or of that file. */
  private Style wanted() throws UnusableFileException {
    return style.endsWith(StyleFile.ENDING)
        ? StyleTrial.checked(StyleFile.read(Path.of(style)))
        : StyleBook.shipped().get(style);
  }

  /** The draft with all that was wished for. */
  private Draft drafted(SongDraft sketch) {
    SongDraft wished = chords == null ? sketch : sketch.withChords(chords);
    Draft draft = Draft.of(form == null ? wished : wished.withForm(form));
    draft = draft.withGroove(this::grooved, !lanes.isEmpty());
    for (String text : lines) {
      draft = draft.withLine(new TypedPart(text).asLine());
    }
    for (String text : lows) {
      draft = draft.withLine(new TypedPart(text).asLow());
    }
    return switch (parts) {
      case "full" -> draft;
      case "core" -> draft.core();
      default ->
          throw new IllegalArgumentException("--parts is full or core, but was \"" + parts + "\"");
    };
  }

  /** The song with the lanes and the swing that were wished for. */
  private Song grooved(Song drafted) {
    Song song = drafted;
    Set<LaneId> typed = new HashSet<>();
    for (String text : lanes) {
      TypedLane lane = new TypedLane(text);
      if (!typed.add(lane.voice())) {
        throw new IllegalArgumentException(
            "two lanes are called "
                + lane.voice()
                + "; give the second a number, such as \"hat 2\"");
      }
      song = lane.into(song);
    }
    return swing == null ? song : BriefEdits.swing(Swing.parse(swing)).apply(song);
  }

  /** Says where the figures of a low line could have been meant otherwise. */
  private void tellLows(Song song) {
    for (String text : lows) {
      new TypedPart(text).told(song).ifPresent(spec.commandLine().getErr()::println);
    }
  }

  private String title() {
    if (title != null) {
      return title;
    }
    if (StandardOutput.means(file)) {
      return "Untitled";
    }
    String name = file.getFileName().toString();
    return name.endsWith(SongFile.ENDING)
        ? name.substring(0, name.length() - SongFile.ENDING.length())
        : name;
  }
}
