package westtide.compose.chord;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.SplittableRandom;
import westtide.rhythm.Meter;
import westtide.song.chord.ChordLine;
import westtide.song.chord.ChordSpan;
import westtide.song.id.Seed;
import westtide.style.Style;
import westtide.theory.Key;

/**
 * Draws the chords of a hook by a small grammar over the style's own lines: a line is begun
 * elsewhere, one of its bars is shared by two chords or turned over its third, its end turns back,
 * and eight bars are made of four said twice with another end (common practice). What the style's
 * lines do not read as in the key is left as it was.
 */
public final class ChordTurns {
  private static final int EIGHT = 8;

  private final Style style;
  private final Key key;
  private final Random random;

  /** Turns of a style in a key from a seed. */
  public ChordTurns(Style style, Key key, Seed seed) {
    this.style = style;
    this.key = key;
    this.random = new Random(new SplittableRandom(seed.value()).nextLong());
  }

  /** A line for the hook; empty where the style's lines cannot be turned. */
  public Optional<String> line() {
    List<String> lines = fitting();
    if (lines.isEmpty()) {
      return Optional.empty();
    }
    List<String> bars = bars(Seed.pick(lines, random));
    if (bars.size() > 2 && random.nextInt(4) == 0) {
      bars = begunElsewhere(bars);
    }
    List<String> turned = new ArrayList<>(bars);
    if (random.nextInt(2) == 0) {
      share(turned, random.nextInt(turned.size()));
    }
    if (2 * turned.size() <= EIGHT && random.nextInt(5) < 2) {
      List<String> again = new ArrayList<>(bars);
      again.set(again.size() - 1, turnedBack(bars));
      turned.addAll(again);
    } else if (random.nextInt(3) == 0) {
      turned.set(turned.size() - 1, turnedBack(turned));
    }
    String line = String.join(" | ", turned);
    return Optional.of(reads(line) ? line : String.join(" | ", bars));
  }

  /** Lines that stay in the key; all of them when none does. */
  private List<String> fitting() {
    List<String> all = style.chords().progressions();
    List<String> home = all.stream().filter(this::atHome).toList();
    return home.isEmpty() ? all.stream().filter(this::reads).toList() : home;
  }

  private boolean atHome(String line) {
    return parsed(line).stream()
            .flatMap(List::stream)
            .flatMap(span -> span.chord().pitchClasses().stream())
            .filter(pitch -> !key.chordKey().contains(pitch))
            .count()
        <= 1;
  }

  private boolean reads(String line) {
    return parsed(line).isPresent();
  }

  private Optional<List<ChordSpan>> parsed(String line) {
    try {
      return Optional.of(ChordLine.in(key, Meter.COMMON).parse(line).orElseThrow());
    } catch (IllegalArgumentException unread) {
      return Optional.empty();
    }
  }

  private static List<String> bars(String line) {
    List<String> out = new ArrayList<>();
    for (String bar : line.split("\\|")) {
      out.add(bar.strip());
    }
    return out;
  }

  private List<String> begunElsewhere(List<String> bars) {
    int from = 1 + random.nextInt(bars.size() - 1);
    List<String> out = new ArrayList<>(bars.subList(from, bars.size()));
    out.addAll(bars.subList(0, from));
    return out;
  }

  /** A bar of one chord has, in its second half, the next one early or its own first inversion. */
  private void share(List<String> bars, int at) {
    String chord = bars.get(at);
    if (!plain(chord)) {
      return;
    }
    String next = bars.get((at + 1) % bars.size());
    boolean early = plain(next) && !next.equals(chord) && random.nextBoolean();
    bars.set(at, chord + " " + (early ? next : chord + "@1"));
  }

  /** The last bar goes on from its chord to one that leads back to the first. */
  private String turnedBack(List<String> bars) {
    String last = bars.get(bars.size() - 1);
    if (!plain(last)) {
      return last;
    }
    List<String> back =
        key.scale().minorThird() ? List.of("VII", "v7", "iv7") : List.of("V", "IV", "ii7");
    String turn = Seed.pick(back, random);
    return turn.equals(last) ? last : last + " " + turn;
  }

  private static boolean plain(String bar) {
    return !bar.isEmpty() && bar.chars().noneMatch(c -> " :.-<>%()@".indexOf(c) >= 0);
  }
}
