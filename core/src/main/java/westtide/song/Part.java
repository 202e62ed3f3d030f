package westtide.song;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import westtide.rhythm.Meter;
import westtide.song.drum.LaneId;
import westtide.song.drum.LaneSound;
import westtide.song.mix.Mix;
import westtide.song.mix.Patch;

/**
 * An instrument's part: a name, a job and the patterns it can play.
 *
 * @param id what cells call it by; never shown and never changed
 * @param name what people call it
 * @param role what it is for
 * @param program General MIDI program, 0 to 127; drums ignore it
 * @param patch the preview instrument it is heard with
 * @param mix its place in the mix
 * @param lanes how lanes of drums sound where not as the kit has them
 * @param variants the patterns it can play, at least one, the first being the usual one
 */
public record Part(
    String id,
    String name,
    Role role,
    int program,
    Patch patch,
    Mix mix,
    Map<LaneId, LaneSound> lanes,
    List<Variant> variants) {
  /** Copies the variants and checks them. */
  public Part {
    lanes = Collections.unmodifiableMap(new LinkedHashMap<>(lanes));
    variants = List.copyOf(variants);
    if (variants.isEmpty()) {
      throw new IllegalArgumentException("part " + name + " has no pattern");
    }
    if (variants.stream().map(Variant::name).distinct().count() != variants.size()) {
      throw new IllegalArgumentException("part " + name + " has two patterns of one name");
    }
    checkParents(name, variants);
    if (program < 0 || program > 127) {
      throw new IllegalArgumentException("a MIDI program is 0 to 127, but was " + program);
    }
  }

  /** A part that sounds as its role usually does. */
  public static Part of(String id, String name, Role role, int program, List<Variant> variants) {
    return new Part(
        id, name, role, program, PartSound.patch(role), PartSound.mix(role), Map.of(), variants);
  }

  /** The variant of that name, or the first when there is none. */
  public Variant variant(String wanted) {
    return find(wanted).orElse(variants.get(0));
  }

  /** The variant of that name, if there is one. */
  public Optional<Variant> find(String wanted) {
    return variants.stream().filter(variant -> variant.name().equals(wanted)).findFirst();
  }

  /** The part with a variant replaced, or added at the end when its name is new. */
  public Part with(Variant variant) {
    List<Variant> out = new ArrayList<>(variants);
    for (int i = 0; i < out.size(); i++) {
      if (out.get(i).name().equals(variant.name())) {
        out.set(i, variant);
        return withVariants(out);
      }
    }
    out.add(variant);
    return withVariants(out);
  }

  /** The part with other patterns. */
  public Part withVariants(List<Variant> other) {
    return new Part(id, name, role, program, patch, mix, lanes, other);
  }

  /** The part heard with another instrument, and its General MIDI program. */
  public Part withPatch(Patch other, int otherProgram) {
    return new Part(id, name, role, otherProgram, other, mix, lanes, variants);
  }

  /** The part at another place in the mix. */
  public Part withMix(Mix other) {
    return new Part(id, name, role, program, patch, other, lanes, variants);
  }

  /** How a lane of drums sounds. */
  public LaneSound sound(LaneId lane) {
    return lanes.getOrDefault(lane, LaneSound.of(lane));
  }

  /** The part with a lane of drums that sounds otherwise, in all its grooves. */
  public Part withSound(LaneId lane, LaneSound sound) {
    Map<LaneId, LaneSound> more = new LinkedHashMap<>(lanes);
    if (sound.equals(LaneSound.of(lane))) {
      more.remove(lane);
    } else {
      more.put(lane, sound);
    }
    return new Part(id, name, role, program, patch, mix, more, variants);
  }

  /** The groove of that name, or the first, worked out where it follows another; empty if none. */
  public Optional<Pattern.Drums> groove(String wanted, Meter meter) {
    return groove(variant(wanted), meter);
  }

  private Optional<Pattern.Drums> groove(Variant variant, Meter meter) {
    if (variant.pattern() instanceof Pattern.Varied varied) {
      return groove(varied.parent(), meter).map(parent -> varied.groove(parent, meter));
    }
    return variant.pattern() instanceof Pattern.Drums drums ? Optional.of(drums) : Optional.empty();
  }

  /** All its grooves by name, in order. */
  public Map<String, Pattern.Drums> grooves(Meter meter) {
    Map<String, Pattern.Drums> out = new LinkedHashMap<>();
    variants.forEach(v -> groove(v, meter).ifPresent(groove -> out.put(v.name(), groove)));
    return out;
  }

  private static void checkParents(String name, List<Variant> variants) {
    List<String> earlier = new ArrayList<>();
    for (Variant variant : variants) {
      if (variant.pattern() instanceof Pattern.Varied varied
          && !earlier.contains(varied.parent())) {
        throw new IllegalArgumentException(
            "part " + name + " has no groove " + varied.parent() + " before " + variant.name());
      }
      if (!(variant.pattern() instanceof Pattern.Following)) {
        earlier.add(variant.name());
      }
    }
  }

  /** The rule of the first pattern that follows a rule of that kind. */
  public <R extends FollowRule> Optional<R> rule(Class<R> kind) {
    return variants.stream().flatMap(variant -> variant.rule(kind).stream()).findFirst();
  }

  /** The part with its rules of a kind changed; other patterns stay. */
  public <R extends FollowRule> Part withRule(Class<R> kind, UnaryOperator<R> change) {
    return withVariants(variants.stream().map(variant -> variant.withRule(kind, change)).toList());
  }
}
