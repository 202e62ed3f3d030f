package westtide.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Model.OptionSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import westtide.file.FileNames;
import westtide.file.audio.Bounce;
import westtide.file.audio.WavFormat;
import westtide.file.deliver.DeliverOptions;
import westtide.file.deliver.Deliverable;
import westtide.file.deliver.MadeFile;
import westtide.file.disk.OutputFolder;
import westtide.file.disk.WholeFile;
import westtide.file.midi.MidiOptions;
import westtide.file.midi.MidiPlan;
import westtide.file.midi.Ports;
import westtide.file.midi.Slides;
import westtide.score.Score;
import westtide.sound.Mixdown;
import westtide.text.Plain;

/** Writes a song as MIDI and as WAV. */
@Command(
    name = "export",
    mixinStandardHelpOptions = true,
    description = "Writes a song as MIDI or WAV, whole or one file a part.")
final class ExportCommand implements Callable<Integer> {
  @Parameters(
      arity = "1..*",
      paramLabel = "FILE.tide",
      description = "the song, or several; then --midi and --wav take a folder")
  private List<Path> songs;

  @Option(
      names = "--slides",
      paramLabel = "HOW",
      description = "how MIDI says slides: overlap (notes that overlap, as usual) or bend")
  private Slides slides = Slides.OVERLAP;

  @Option(
      names = "--ports",
      description =
          "a port of its own for each drum part; as usual they share channel 10 and their"
              + " velocities carry the levels")
  private boolean ports;

  @Option(names = "--bits", paramLabel = "N", description = "of WAV files: 16, or 24 as usual")
  private int bits = WavFormat.USUAL.bits();

  @Option(names = "--rate", paramLabel = "HZ", description = "44100, or 48000 as usual")
  private int rate = WavFormat.USUAL.rate();

  private static final int LONGEST = 1000;

  @Spec private CommandSpec spec;

  /** Adds the option of everything a song can be delivered as. */
  static void addDeliverables(CommandSpec export) {
    for (Deliverable one : Deliverable.values()) {
      Deliverable.Option option = one.option();
      String single = "; a folder for several; - for the standard output";
      export.addOption(
          OptionSpec.builder(option.name())
              .type(Path.class)
              .paramLabel(option.value())
              .description(option.help() + (option.folder() ? "" : single))
              .build());
    }
  }

  @Override
  public Integer call() throws Exception {
    Map<Deliverable, Path> targets = targets();
    boolean several = songs.size() > 1;
    if (several && targets.values().stream().anyMatch(StandardOutput::means)) {
      throw new IllegalArgumentException(
          "several songs cannot go to the standard output; name a folder instead of -");
    }
    DeliverOptions options =
        new DeliverOptions(
            new MidiOptions(slides, ports ? Ports.EACH_DRUM_PART : Ports.ONE),
            new WavFormat(rate, bits));
    List<Score> opened = new ArrayList<>();
    for (Path song : songs) {
      opened.add(OpenedSong.in(song, spec.commandLine().getErr()));
    }
    Set<String> taken = new HashSet<>();
    for (Score score : opened) {
      write(score, options, several ? inFolders(score, targets, taken) : targets);
    }
    return 0;
  }

  /** What to write, and where to. */
  private Map<Deliverable, Path> targets() {
    Map<Deliverable, Path> targets = new EnumMap<>(Deliverable.class);
    for (Deliverable one : Deliverable.values()) {
      Path target = spec.findOption(one.option().name()).getValue();
      if (target != null) {
        targets.put(one, target);
        if (!one.option().folder()) {
          ending(target, one.option());
        }
      }
    }
    if (targets.isEmpty()) {
      throw new IllegalArgumentException(
          Arrays.stream(Deliverable.values())
              .map(one -> one.option().name() + " " + one.option().value())
              .collect(Collectors.joining(", ", "say what to write: ", "")));
    }
    return targets;
  }

  /** The same with a file of its own in the folder that was named for several songs. */
  private static Map<Deliverable, Path> inFolders(
      Score score, Map<Deliverable, Path> targets, Set<String> taken) throws IOException {
    String name = unlike(taken, FileNames.stem(score.song()));
    Map<Deliverable, Path> out = new EnumMap<>(targets);
    for (Map.Entry<Deliverable, Path> target : targets.entrySet()) {
      Deliverable.Option option = target.getKey().option();
      if (!option.folder()) {
        OutputFolder.make(target.getValue());
        out.put(target.getKey(), target.getValue().resolve(name + option.ending()));
      }
    }
    return out;
  }

  /** A name that says another kind of file is a slip; a folder or no ending at all may be meant. */
  private static void ending(Path file, Deliverable.Option option) {
    if (StandardOutput.means(file) || Files.exists(file)) {
      return;
    }
    String name = file.getFileName() == null ? "" : file.getFileName().toString();
    int dot = name.lastIndexOf('.');
    String ending = dot < 1 ? "" : name.substring(dot).toLowerCase(Locale.ROOT);
    boolean right = ending.startsWith(option.ending());
    if (ending.matches("\\.[a-z][a-z0-9]{0,4}") && !right) {
      throw new IllegalArgumentException(
          option.name()
              + " writes "
              + option.ending()
              + ", but the file is called "
              + name
              + "; call it "
              + name.substring(0, dot)
              + option.ending());
    }
  }

  /** A name none of the songs before had. */
  private static String unlike(Set<String> taken, String stem) {
    String name = stem;
    for (int i = 2; !taken.add(name.toLowerCase(Locale.ROOT)); i++) {
      name = stem + " " + i;
    }
    return name;
  }

  private void write(Score score, DeliverOptions options, Map<Deliverable, Path> targets)
      throws IOException {
    for (Map.Entry<Deliverable, Path> target : targets.entrySet()) {
      if (target.getKey().option().folder()) {
        OutputFolder.make(target.getValue());
      }
      for (MadeFile file : target.getKey().made(score)) {
        Path path =
            target.getKey().option().folder()
                ? target.getValue().resolve(file.name())
                : target.getValue();
        byte[] bytes = file.bytes().apply(options);
        if (StandardOutput.write(path, to -> WholeFile.write(to, bytes))) {
          spec.commandLine().getOut().println(path);
        }
      }
    }
    if (targets.containsKey(Deliverable.MIDI)) {
      MidiPlan.of(score.parts(), options.midi().ports())
          .notices()
          .forEach(told -> spec.commandLine().getErr().println(Plain.of(told, LONGEST)));
    }
    writeSound(
        Bounce.of(score, options.wav()),
        targets.get(Deliverable.MIX),
        targets.get(Deliverable.STEMS));
  }

  private void writeSound(Bounce bounce, Path mix, Path stems) throws IOException {
    if (mix != null) {
      List<Bounce.Written> written = new ArrayList<>();
      boolean file = StandardOutput.write(mix, to -> written.addAll(bounced(bounce, to, stems)));
      CommandLine line = spec.commandLine();
      written.stream()
          .skip(file ? 0 : 1)
          .forEach(each -> say(file ? line.getOut() : line.getErr(), each));
    } else if (stems != null) {
      bounce
          .stems(stems, Mixdown.Watch.NOBODY)
          .orElseThrow()
          .forEach(each -> say(spec.commandLine().getOut(), each));
    }
  }

  /** The mix, and the stems in the same pass when they are asked for too. */
  private static List<Bounce.Written> bounced(Bounce bounce, Path mix, Path stems)
      throws IOException {
    return stems == null
        ? List.of(bounce.mix(mix, Mixdown.Watch.NOBODY).orElseThrow())
        : bounce.mixAndStems(mix, stems, Mixdown.Watch.NOBODY).orElseThrow();
  }

  private static void say(PrintWriter out, Bounce.Written written) {
    String over =
        written.over() == 0
            ? ""
            : String.format(
                Locale.ROOT,
                ": %.1f dB over full scale and cut; turn the part down",
                written.over());
    out.println(written.path() + over);
  }
}
