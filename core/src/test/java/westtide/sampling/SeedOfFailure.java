package westtide.sampling;

import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.TestExecutionExceptionHandler;

/** Says beside a failure which seed its cases were drawn from. */
final class SeedOfFailure implements TestExecutionExceptionHandler {
  @Override
  public void handleTestExecutionException(ExtensionContext test, Throwable failure)
      throws Throwable {
    if (!Samples.all()) {
      failure.addSuppressed(
          new AssertionError(
              "its cases were drawn from seed "
                  + Samples.seed()
                  + "; the same ones again: ./west-tide test "
                  + test.getRequiredTestClass().getSimpleName()
                  + " --seed "
                  + Samples.seed()));
    }
    throw failure;
  }
}
