package westtide.drafts;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;

/** The measuring programs beside the tests, which share nothing with the application. */
final class Reference {
  private Reference() {}

  /** Whether a program is on this machine; where tests are run for everybody it has to be. */
  static boolean installed(String program) throws InterruptedException {
    try {
      Process process =
          new ProcessBuilder(program, "-version")
              .redirectErrorStream(true)
              .redirectOutput(ProcessBuilder.Redirect.DISCARD)
              .start();
      return process.waitFor() == 0;
    } catch (IOException missing) {
      assertThat(System.getenv("CI")).as("CI installs " + program).isNull();
      return false;
    }
  }

  /** What a program prints about a folder of drafts. */
  static JsonNode run(String program, Path folder) throws IOException, InterruptedException {
    Process process =
        new ProcessBuilder("/usr/bin/python3", "src/test/reference/" + program, folder.toString())
            .redirectError(ProcessBuilder.Redirect.INHERIT)
            .start();
    String out = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(process.waitFor(300, TimeUnit.SECONDS)).isTrue();
    assertThat(process.exitValue()).as(program).isZero();
    return new ObjectMapper().readTree(out);
  }
}
