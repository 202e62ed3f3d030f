package westtide.song;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import westtide.rhythm.Meter;
import westtide.song.drum.BorrowedLane;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.drum.LaneSound;
import westtide.song.found.FoundSound;
import westtide.song.id.PartId;
import westtide.song.mix.Mix;
import westtide.song.mix.Patch;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.song.pattern.Transposition;

/**
 * An instrument's part: a name, a job and the patterns it can play.
 *
 * @param id what cells call it by; never shown and never changed
 * @param name what people call it
 * @param role what it is for
 * @param program General MIDI program, 0 to 127; drums ignore it
 * @param patch the preview instrument it is heard with
 * @param mix its place in the mix
 * @param transposition how far it sounds from where it is written; drums stay
 * @param lanes how lanes of drums sound where not as the kit has them
 * @param borrowed lanes of drums that take their rhythm from a pitched part, in all grooves or in
 *     some, whatever is written in them; the kick leads and borrows none
 * @param patterns the patterns it can play, at least one, the first being the usual one
 * @param found the sound it plays pieces of; there exactly where its role is found sound
 */
public record Part(
    PartId id,
    String name,
    Role role,
    int program,
    Patch patch,
    Mix mix,
    Transposition transposition,
    Map<LaneId, LaneSound> lanes,
    Map<LaneId, BorrowedLane> borrowed,
    List<NamedPattern> patterns,
    Optional<FoundSound> found) {
  /** Copies the patterns and checks them. */
  public Part {
    lanes = Collections.unmodifiableMap(new LinkedHashMap<>(lanes));
    borrowed = Collections.unmodifiableMap(new LinkedHashMap<>(borrowed));
    patterns = List.copyOf(patterns);
    if (borrowed.keySet().stream().anyMatch(lane -> lane.voice() == DrumVoice.KICK)) {
      throw new IllegalArgumentException(
          "the kick leads and borrows no rhythm, but one of " + name + " did");
    }
    if (patterns.isEmpty()) {
      throw new IllegalArgumentException("part " + name + " has no pattern");
    }
    if (patterns.stream().map(NamedPattern::name).distinct().count() != patterns.size()) {
      throw new IllegalArgumentException("part " + name + " has two patterns of one name");
    }
    checkParents(name, patterns);
    if (program < 0 || program > 127) {
      throw new IllegalArgumentException("a MIDI program is 0 to 127, but was " + program);
    }
    if (name.isBlank()) {
      throw new IllegalArgumentException("a part has a name");
    }
    if (role == Role.DRUMS && !transposition.equals(Transposition.NONE)) {
      throw new IllegalArgumentException("drums are not transposed, but " + name + " was");
    }
    if (found.isPresent() != (role == Role.FOUND)) {
      throw new IllegalArgumentException(
          "part " + name + (found.isPresent() ? " has" : " lacks") + " a found sound");
    }
    checkKinds(name, role, patterns);
  }

  /** A part that sounds as its role usually does. */
  public static Part of(
      PartId id, String name, Role role, int program, List<NamedPattern> patterns) {
    return new Part(
        id,
        name,
        role,
        program,
        PartSound.patch(role),
        PartSound.mix(role),
        Transposition.NONE,
        Map.of(),
        Map.of(),
        patterns,
        Optional.empty());
  }

  /** A part that plays pieces of a sound. */
  public static Part of(PartId id, String name, FoundSound sound, List<NamedPattern> patterns) {
    return new Part(
        id,
        name,
        Role.FOUND,
        0,
        PartSound.patch(Role.FOUND),
        PartSound.mix(Role.FOUND),
        Transposition.NONE,
        Map.of(),
        Map.of(),
        patterns,
        Optional.of(sound));
  }

  /** The part with its sound changed; one that has none stays. */
  public Part withFound(UnaryOperator<FoundSound> change) {
    return with(copy -> copy.found = found.map(change));
  }

  /** Whether its keys are pitches; drums and pieces of a sound have other uses for them. */
  public boolean pitched() {
    return role.pitched();
  }

  /** The part under another id. */
  public Part withId(PartId other) {
    return with(copy -> copy.id = other);
  }

  /** The part called something else. */
  public Part withName(String other) {
    return with(copy -> copy.name = other);
  }

  /** The part with another job. */
  public Part withRole(Role other) {
    return with(copy -> copy.role = other);
  }

  /** The part sounding elsewhere than it is written. */
  public Part withTransposition(Transposition other) {
    return with(copy -> copy.transposition = other);
  }

  /** The pattern it plays where nothing else is asked for: its first. */
  public NamedPattern usual() {
    return patterns.get(0);
  }

  /** The pattern of that name, or the usual one when there is none. */
  public NamedPattern pattern(String wanted) {
    return find(wanted).orElse(usual());
  }

  /** The pattern of that name, if there is one. */
  public Optional<NamedPattern> find(String wanted) {
    return patterns.stream().filter(named -> named.name().equals(wanted)).findFirst();
  }

  /** The part with a pattern replaced, or added at the end when its name is new. */
  public Part with(NamedPattern named) {
    List<NamedPattern> out = new ArrayList<>(patterns);
    for (int i = 0; i < out.size(); i++) {
      if (out.get(i).name().equals(named.name())) {
        out.set(i, named);
        return withPatterns(out);
      }
    }
    out.add(named);
    return withPatterns(out);
  }

  /** The part with other patterns. */
  public Part withPatterns(List<NamedPattern> other) {
    return with(copy -> copy.patterns = other);
  }

  /** The part heard with another instrument, and its General MIDI program. */
  public Part withPatch(Patch other, int otherProgram) {
    return with(
        copy -> {
          copy.program = otherProgram;
          copy.patch = other;
        });
  }

  /** The part at another place in the mix. */
  public Part withMix(Mix other) {
    return with(copy -> copy.mix = other);
  }

  /**
   * What people call a lane of drums: percussion that is heard with an instrument of its own by
   * that instrument, such as "Zap", any other by its drum.
   */
  public String name(LaneId lane) {
    String instrument = sound(lane).instrument();
    if (lane.voice() != DrumVoice.PERCUSSION || instrument.isEmpty()) {
      return lane.toString();
    }
    long before =
        lanes.entrySet().stream()
            .filter(other -> other.getKey().voice() == lane.voice())
            .filter(other -> other.getKey().number() < lane.number())
            .filter(other -> other.getValue().instrument().equals(instrument))
            .count();
    String name = instrument.substring(0, 1).toUpperCase(Locale.ROOT) + instrument.substring(1);
    return before == 0 ? name : name + " " + (before + 1);
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
    return with(copy -> copy.lanes = more);
  }

  /** The same with a lane in the rhythm of a part, or in its own again. */
  public Part withBorrowed(LaneId lane, Optional<BorrowedLane> other) {
    Map<LaneId, BorrowedLane> more = new LinkedHashMap<>(borrowed);
    more.remove(lane);
    other.ifPresent(rhythm -> more.put(lane, rhythm));
    return withBorrowed(more);
  }

  /** The same listening to a part no longer. */
  public Part withoutBorrowed(PartId model) {
    Map<LaneId, BorrowedLane> other = new LinkedHashMap<>(borrowed);
    other.values().removeIf(lane -> lane.model().equals(model));
    return withBorrowed(other);
  }

  /** The same with other lanes that borrow. */
  public Part withBorrowed(Map<LaneId, BorrowedLane> other) {
    return with(copy -> copy.borrowed = other);
  }

  /** The part whose rhythm a lane plays in a groove, or in one that groove follows; or none. */
  public Optional<PartId> rhythmOf(LaneId lane, String groove) {
    BorrowedLane rhythm = borrowed.get(lane);
    if (rhythm == null || !rhythm.isEverywhere() && !follows(groove, rhythm.grooves())) {
      return Optional.empty();
    }
    return Optional.of(rhythm.model());
  }

  /** Whether a groove is one of those, or follows one of them. */
  public boolean follows(String groove, List<String> any) {
    return lineage(groove).stream().anyMatch(named -> any.contains(named.name()));
  }

  /** A pattern and those it follows, the nearest first; empty where there is none of that name. */
  public List<NamedPattern> lineage(String wanted) {
    List<NamedPattern> out = new ArrayList<>();
    Optional<NamedPattern> at = find(wanted);
    while (at.isPresent()) {
      out.add(at.get());
      at =
          at.get().pattern() instanceof Pattern.Varied varied
              ? find(varied.parent())
              : Optional.empty();
    }
    return out;
  }

  /** The parts it listens to. */
  public List<PartId> hears() {
    List<PartId> out =
        new ArrayList<>(borrowed.values().stream().map(BorrowedLane::model).toList());
    rules(FollowRule.class).forEach(rule -> rule.hears().ifPresent(out::add));
    return out;
  }

  /** The groove of that name, or the first, worked out where it follows another; empty if none. */
  public Optional<Pattern.Drums> groove(String wanted, Meter meter) {
    return groove(pattern(wanted), meter);
  }

  private Optional<Pattern.Drums> groove(NamedPattern named, Meter meter) {
    return named
        .pattern()
        .accept(
            new Pattern.Kinds<>() {
              @Override
              public Optional<Pattern.Drums> drums(Pattern.Drums drums) {
                return Optional.of(drums);
              }

              @Override
              public Optional<Pattern.Drums> varied(Pattern.Varied varied) {
                return groove(varied.parent(), meter).map(parent -> varied.groove(parent, meter));
              }

              @Override
              public Optional<Pattern.Drums> written(Pattern.Written written) {
                return Optional.empty();
              }

              @Override
              public Optional<Pattern.Drums> phrase(Pattern.Phrase phrase) {
                return Optional.empty();
              }

              @Override
              public Optional<Pattern.Drums> attached(Pattern.Attached attached) {
                return Optional.empty();
              }

              @Override
              public Optional<Pattern.Drums> following(Pattern.Following following) {
                return Optional.empty();
              }
            });
  }

  /** All its grooves by name, in order. */
  public Map<String, Pattern.Drums> grooves(Meter meter) {
    Map<String, Pattern.Drums> out = new LinkedHashMap<>();
    patterns.forEach(v -> groove(v, meter).ifPresent(groove -> out.put(v.name(), groove)));
    return out;
  }

  private static void checkKinds(String name, Role role, List<NamedPattern> patterns) {
    for (NamedPattern named : patterns) {
      boolean groove =
          named.pattern() instanceof Pattern.Drums || named.pattern() instanceof Pattern.Varied;
      if (groove != (role == Role.DRUMS)) {
        throw new IllegalArgumentException(
            "part "
                + name
                + (groove
                    ? " is no drums and cannot play the groove "
                    : " is drums and plays grooves only, but has the line ")
                + named.name());
      }
    }
  }

  private static void checkParents(String name, List<NamedPattern> patterns) {
    List<String> earlier = new ArrayList<>();
    for (NamedPattern named : patterns) {
      if (named.pattern() instanceof Pattern.Varied varied && !earlier.contains(varied.parent())) {
        throw new IllegalArgumentException(
            "part " + name + " has no groove " + varied.parent() + " before " + named.name());
      }
      if (!(named.pattern() instanceof Pattern.Following)) {
        earlier.add(named.name());
      }
    }
  }

  /** The rules of a kind that its patterns follow, in their order. */
  public <R extends FollowRule> List<R> rules(Class<R> kind) {
    return patterns.stream().flatMap(named -> named.rule(kind).stream()).toList();
  }

  /** The part with its rules of a kind changed; other patterns stay. */
  public <R extends FollowRule> Part withRule(Class<R> kind, UnaryOperator<R> change) {
    return withPatterns(patterns.stream().map(named -> named.withRule(kind, change)).toList());
  }

  private Part with(Consumer<Copy> change) {
    Copy copy = new Copy(this);
    change.accept(copy);
    return copy.made();
  }

  /** Its values by their names, so that one of them can be another. */
  private static final class Copy {
    private PartId id;
    private String name;
    private Role role;
    private int program;
    private Patch patch;
    private Mix mix;
    private Transposition transposition;
    private Map<LaneId, LaneSound> lanes;
    private Map<LaneId, BorrowedLane> borrowed;
    private List<NamedPattern> patterns;
    private Optional<FoundSound> found;

    Copy(Part from) {
      id = from.id;
      name = from.name;
      role = from.role;
      program = from.program;
      patch = from.patch;
      mix = from.mix;
      transposition = from.transposition;
      lanes = from.lanes;
      borrowed = from.borrowed;
      patterns = from.patterns;
      found = from.found;
    }

    Part made() {
      return new Part(
          id, name, role, program, patch, mix, transposition, lanes, borrowed, patterns, found);
    }
  }
}
