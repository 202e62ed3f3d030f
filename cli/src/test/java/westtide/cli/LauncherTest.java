package westtide.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * The launcher on machines that lack something: a copy of it that is already built, with a path on
 * which only the tools stand that a case wants, and stand-ins that say what they were asked.
 */
class LauncherTest {
  private static final List<String> TOOLS =
      List.of(
          "bash",
          "dirname",
          "readlink",
          "sed",
          "head",
          "id",
          "locale",
          "find",
          "mktemp",
          "grep",
          "rm",
          "touch",
          "printf",
          "cat",
          "kill",
          "seq",
          "sleep",
          "tr",
          "ldconfig",
          "true",
          "false");
  private static final Path LAUNCHER =
      Path.of(System.getProperty("basedir", ""), "..", "west-tide").toAbsolutePath().normalize();

  @TempDir private Path folder;
  private Path home;
  private Path tools;
  private final Map<String, String> environment = new HashMap<>();

  private record Said(int status, String out, String err) {}

  @BeforeEach
  void aCopyThatIsBuilt() throws IOException {
    home = Files.createDirectories(folder.resolve("with space"));
    Files.createDirectories(home.resolve("docs/guide"));
    tools = Files.createDirectories(folder.resolve("tools"));
    Files.copy(LAUNCHER, home.resolve("west-tide"));
    home.resolve("west-tide").toFile().setExecutable(true);
    for (String module : List.of("core", "cli", "desktop")) {
      Files.createDirectories(home.resolve(module).resolve("src/main"));
      Files.createFile(home.resolve(module).resolve("pom.xml"));
      Files.createDirectories(home.resolve(module).resolve("target/lib"));
    }
    Files.createFile(home.resolve("pom.xml"));
    Files.createFile(home.resolve("desktop/target/built"));
    for (String tool : TOOLS) {
      for (String at : List.of("/usr/bin", "/bin", "/usr/sbin", "/sbin")) {
        if (Files.exists(Path.of(at, tool)) && !Files.exists(tools.resolve(tool))) {
          stub(tool, "exec " + Path.of(at, tool) + " \"$@\"\n");
        }
      }
    }
    environment.put("PATH", tools.toString());
    environment.put("HOME", folder.toString());
  }

  private void stub(String name, String script) throws IOException {
    Path file = Files.writeString(tools.resolve(name), "#!/bin/sh\n" + script);
    Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rwxr-xr-x"));
  }

  private void java(String version) throws IOException {
    stub(
        "java",
        "if [ \"$1\" = -version ]; then echo 'openjdk version \""
            + version
            + "\"' >&2; exit; fi\n"
            + "echo \"LC_ALL=${LC_ALL:-} words=$*\"\n");
  }

  private Said run(String... words) throws IOException, InterruptedException {
    List<String> command = new java.util.ArrayList<>(List.of("/bin/bash"));
    command.add(home.resolve("west-tide").toString());
    command.addAll(List.of(words));
    ProcessBuilder builder = new ProcessBuilder(command).directory(folder.toFile());
    builder.environment().clear();
    builder.environment().putAll(environment);
    Process process = builder.start();
    String out = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    String err = new String(process.getErrorStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
    return new Said(process.exitValue(), out, err);
  }

  private static void assertOneSentence(Said said, String... words) {
    assertThat(said.status()).isEqualTo(2);
    assertThat(said.err().strip().lines()).as(said.err()).hasSize(1);
    assertThat(said.err()).startsWith("west-tide: ").contains(words);
    assertThat(said.out()).isEmpty();
  }

  @Test
  void withoutJavaItSaysWhatToInstall() throws Exception {
    assertOneSentence(run("styles"), "please install openjdk-17-jdk-headless");
  }

  @ParameterizedTest
  @CsvSource({"11.0.22, 11", "1.8.0_402, 8"})
  void anOldJavaIsTold(String version, String number) throws Exception {
    java(version);
    assertOneSentence(run("styles"), "version " + number, "17 or newer");
  }

  @ParameterizedTest
  @CsvSource({"17.0.15", "21", "25-ea"})
  void aNewJavaRunsWithoutACompiler(String version) throws Exception {
    java(version);
    Said said = run("show", "a song.tide");
    assertThat(said.status()).isZero();
    assertThat(said.out()).contains("show a song.tide");
    assertThat(said.err()).isEmpty();
  }

  @Test
  void aBuildWithoutACompilerAndMavenNamesBothAtOnce() throws Exception {
    java("17.0.15");
    Files.delete(home.resolve("desktop/target/built"));
    assertOneSentence(run("styles"), "please install openjdk-17-jdk-headless maven");
  }

  @ParameterizedTest
  @CsvSource({
    "'Could not transfer artifact from central: Unknown host repo', there was no network",
    "'COMPILATION ERROR', the build failed"
  })
  void aBuildThatFailsIsOneSentence(String log, String told) throws Exception {
    java("17.0.15");
    stub("javac", "exit 0");
    stub("mvn", "echo '[ERROR] " + log + "'; exit 1");
    Files.delete(home.resolve("desktop/target/built"));
    Said said = run("styles");
    assertThat(said.status()).isEqualTo(2);
    assertThat(said.err()).contains("building once", told).doesNotContain("[ERROR]");
    assertThat(said.err().strip().lines()).hasSize(2);
  }

  @Test
  void lettersOfAnyKindPassInAnyLocaleAndWithoutAHome() throws Exception {
    java("17.0.15");
    environment.put("LC_ALL", "C");
    environment.remove("HOME");
    Said said = run("show", "C♯ minor.tide");
    assertThat(said.out()).contains("LC_ALL=C.UTF-8", "show C♯ minor.tide");
  }

  @Test
  void aDisplayThatIsNotThereIsTold() throws Exception {
    java("17.0.15");
    stub("ldconfig", "echo libgtk-3.so.0 libXtst.so.6 libGL.so.1 libXxf86vm.so.1");
    environment.put("DISPLAY", ":4711");
    assertOneSentence(run("demo"), "no display :4711");
  }

  @Test
  void everyMissingPackageOfTheWindowIsNamedAtOnce() throws Exception {
    stub("ldconfig", "true");
    assertOneSentence(
        run("demo"), "openjdk-17-jdk-headless libgtk-3-0 libxtst6 libgl1 libxxf86vm1 xvfb");
  }

  @ParameterizedTest
  @CsvSource({"bogus", "'--x y'", "'$(touch ran)'"})
  void oddWordsAreTold(String word) throws Exception {
    java("17.0.15");
    assertOneSentence(run(word), "is no word it knows");
    assertThat(folder.resolve("ran")).doesNotExist();
  }
}
