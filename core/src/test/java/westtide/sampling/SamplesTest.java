package westtide.sampling;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class SamplesTest {
  private static final List<Integer> HUNDRED = IntStream.range(0, 100).boxed().toList();

  @Test
  void aFewAreDrawnInTheirOrderAndTheSameAgain() {
    List<Integer> few = Samples.few(7, HUNDRED);
    assertThat(few).hasSize(7).isSorted().doesNotHaveDuplicates().isSubsetOf(HUNDRED);
    assertThat(Samples.few(7, HUNDRED)).isEqualTo(few);
  }

  @Test
  void whatIsFewAnywayIsTriedWhole() {
    assertThat(Samples.few(3, List.of("a", "b", "c"))).containsExactly("a", "b", "c");
    assertThat(Samples.few(9, List.of("a", "b"))).containsExactly("a", "b");
  }
}
