package westtide.fuzz;

import java.util.Arrays;
import java.util.List;
import java.util.random.RandomGenerator;

/** Ways in which bytes come out of a broken disk, a bad program or an unkind hand. */
final class Mutations {
  private static final byte[] UNKIND = {0, 1, -1, 127, -128, '"', '{', '[', ']', '9', '-', '\\'};

  private Mutations() {}

  /** One to six alterations of the bytes, sometimes with a piece of another input. */
  static byte[] of(byte[] input, List<byte[]> others, RandomGenerator random) {
    byte[] out = input.clone();
    int times = 1 + random.nextInt(6);
    for (int i = 0; i < times && out.length > 0; i++) {
      out = once(out, others.get(random.nextInt(others.size())), random);
    }
    return out;
  }

  private static byte[] once(byte[] input, byte[] other, RandomGenerator random) {
    int at = random.nextInt(input.length);
    int length = 1 + random.nextInt(Math.min(64, input.length - at));
    switch (random.nextInt(7)) {
      case 0:
        byte[] flipped = input.clone();
        flipped[at] ^= (byte) (1 << random.nextInt(8));
        return flipped;
      case 1:
        byte[] set = input.clone();
        set[at] = UNKIND[random.nextInt(UNKIND.length)];
        return set;
      case 2:
        return without(input, at, length);
      case 3:
        return inserted(input, at, Arrays.copyOfRange(input, at, at + length));
      case 4:
        return random.nextInt(8) == 0 ? Arrays.copyOf(input, at) : without(input, at, 1);
      case 5:
        int from = random.nextInt(Math.max(1, other.length));
        int to = Math.min(other.length, from + 1 + random.nextInt(64));
        return inserted(input, at, Arrays.copyOfRange(other, from, to));
      default:
        byte[] noise = new byte[1 + random.nextInt(8)];
        random.nextBytes(noise);
        return inserted(input, at, noise);
    }
  }

  static byte[] without(byte[] input, int at, int length) {
    byte[] out = Arrays.copyOf(input, input.length - length);
    System.arraycopy(input, at + length, out, at, input.length - at - length);
    return out;
  }

  private static byte[] inserted(byte[] input, int at, byte[] more) {
    byte[] out = Arrays.copyOf(input, input.length + more.length);
    System.arraycopy(more, 0, out, at, more.length);
    System.arraycopy(input, at, out, at + more.length, input.length - at);
    return out;
  }
}
