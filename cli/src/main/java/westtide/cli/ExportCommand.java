package westtide.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import westtide.file.FileNames;
import westtide.file.audio.Bounce;
import westtide.file.audio.WavFormat;
import westtide.file.disk.OutputFolder;
import westtide.file.midi.MidiFile;
import westtide.file.midi.MidiOptions;
import westtide.file.midi.MidiPlan;
import westtide.file.midi.Ports;
import westtide.file.midi.Slides;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.song.Role;
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
      names = "--midi",
      paramLabel = "FILE.mid",
      description = "the whole song; a folder for several; - for the standard output")
  private Path midi;

  @Option(names = "--parts", paramLabel = "DIR", description = "one file for each part that plays")
  private Path parts;

  @Option(
      names = "--sections",
      paramLabel = "DIR",
      description = "one file for each section, transitions and curves included")
  private Path sections;

  @Option(
      names = "--lanes",
      paramLabel = "DIR",
      description = "one file for each lane of every drum part")
  private Path lanes;

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

  @Option(
      names = "--wav",
      paramLabel = "FILE.wav",
      description = "the mix; a folder for several; - for the standard output")
  private Path wav;

  @Option(names = "--stems", paramLabel = "DIR", description = "one WAV for each part that plays")
  private Path stems;

  @Option(names = "--bits", paramLabel = "N", description = "of WAV files: 16, or 24 as usual")
  private int bits = WavFormat.USUAL.bits();

  @Option(names = "--rate", paramLabel = "HZ", description = "44100, or 48000 as usual")
  private int rate = WavFormat.USUAL.rate();

  private static final int LONGEST = 1000;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws Exception {
    if (Stream.of(midi, parts, sections, lanes, wav, stems).allMatch(Objects::isNull)) {
      throw new IllegalArgumentException(
          "say what to write: --midi FILE.mid, --parts DIR, --sections DIR, --lanes DIR,"
              + " --wav FILE.wav or --stems DIR");
    }
    WavFormat format = new WavFormat(rate, bits);
    ending(midi, "--midi", List.of(".mid", ".midi"));
    ending(wav, "--wav", List.of(".wav"));
    boolean several = songs.size() > 1;
    if (several
        && Stream.of(midi, wav).anyMatch(file -> file != null && StandardOutput.means(file))) {
      throw new IllegalArgumentException(
          "several songs cannot go to the standard output; name a folder instead of -");
    }
    List<Score> opened = new ArrayList<>();
    for (Path song : songs) {
      opened.add(OpenedSong.in(song, spec.commandLine().getErr()));
    }
    Set<String> taken = new HashSet<>();
    for (Score score : opened) {
      String name = several ? unlike(taken, FileNames.stem(score.song())) : "";
      writeNotes(score, several ? in(midi, name + ".mid") : midi);
      writeSound(Bounce.of(score, format), several ? in(wav, name + ".wav") : wav);
    }
    return 0;
  }

  /** A name that says another kind of file is a slip; a folder or no ending at all may be meant. */
  private static void ending(Path file, String option, List<String> right) {
    if (file == null || StandardOutput.means(file) || Files.exists(file)) {
      return;
    }
    String name = file.getFileName() == null ? "" : file.getFileName().toString();
    int dot = name.lastIndexOf('.');
    String ending = dot < 1 ? "" : name.substring(dot).toLowerCase(Locale.ROOT);
    if (ending.matches("\\.[a-z][a-z0-9]{0,4}") && !right.contains(ending)) {
      throw new IllegalArgumentException(
          option
              + " writes "
              + right.get(0)
              + ", but the file is called "
              + name
              + "; call it "
              + name.substring(0, dot)
              + right.get(0));
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

  private static Path in(Path folder, String name) throws IOException {
    if (folder == null) {
      return null;
    }
    OutputFolder.make(folder);
    return folder.resolve(name);
  }

  private MidiOptions options() {
    return new MidiOptions(slides, ports ? Ports.EACH_DRUM_PART : Ports.ONE);
  }

  private void writeNotes(Score score, Path whole) throws IOException {
    PrintWriter out = spec.commandLine().getOut();
    if (whole != null) {
      if (StandardOutput.write(whole, to -> MidiFile.write(score, options(), to))) {
        out.println(whole);
      }
      MidiPlan.of(score.parts(), options().ports())
          .notices()
          .forEach(told -> spec.commandLine().getErr().println(Plain.of(told, LONGEST)));
    }
    if (parts != null) {
      OutputFolder.make(parts);
      MidiFile.writeParts(score, options(), parts).forEach(out::println);
    }
    if (sections != null) {
      OutputFolder.make(sections);
      MidiFile.writeSections(score, options(), sections).forEach(out::println);
    }
    if (lanes != null) {
      OutputFolder.make(lanes);
      for (ScoredPart drums : score.parts(Role.DRUMS)) {
        MidiFile.writeLanes(score, drums.part().id(), lanes).forEach(out::println);
      }
    }
  }

  private void writeSound(Bounce bounce, Path mix) throws IOException {
    if (stems != null) {
      OutputFolder.make(stems);
    }
    if (mix != null) {
      List<Bounce.Written> written = new ArrayList<>();
      boolean file = StandardOutput.write(mix, to -> written.addAll(bounced(bounce, to)));
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
  private List<Bounce.Written> bounced(Bounce bounce, Path mix) throws IOException {
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
