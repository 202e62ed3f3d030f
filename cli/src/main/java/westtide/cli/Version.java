package westtide.cli;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import picocli.CommandLine.IVersionProvider;

/** The name and version of the product, which the build writes from the parent POM. */
final class Version implements IVersionProvider {
  @Override
  public String[] getVersion() throws IOException {
    try (InputStream in = Version.class.getResourceAsStream("version.txt")) {
      return new String[] {new String(in.readAllBytes(), StandardCharsets.UTF_8).strip()};
    }
  }
}
