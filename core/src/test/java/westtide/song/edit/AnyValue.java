package westtide.song.edit;

import java.lang.reflect.ParameterizedType;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import westtide.rhythm.BarLines;
import westtide.rhythm.Hit;
import westtide.rhythm.StepLane;
import westtide.rhythm.Swing;
import westtide.rhythm.Tempo;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.chord.RhythmFamily;
import westtide.song.chord.Strum;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.Restart;
import westtide.song.form.Transition;
import westtide.song.form.TransitionKind;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;
import westtide.song.line.Note;
import westtide.song.mix.Curve;
import westtide.song.mix.Mix;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.theory.Chord;
import westtide.theory.Key;
import westtide.theory.NoteName;

/** Values for the parameters of edits: mostly of the song, sometimes of none. */
final class AnyValue {
  private final Song song;
  private final Random random;
  private final List<Object> drawn = new ArrayList<>();

  AnyValue(Song song, Random random) {
    this.song = song;
    this.random = random;
  }

  /** A type of which no value is known. */
  static final class Unknown extends RuntimeException {
    private static final long serialVersionUID = 1L;

    Unknown(Type type) {
      super(type.getTypeName());
    }
  }

  @Override
  public String toString() {
    return drawn.toString();
  }

  Object of(Type type) {
    Object value = drawn(type);
    drawn.add(value);
    return value;
  }

  private Object drawn(Type type) {
    if (type instanceof ParameterizedType generic) {
      return generic((Class<?>) generic.getRawType(), generic.getActualTypeArguments()[0]);
    }
    Class<?> plain = (Class<?>) type;
    if (plain.isEnum()) {
      return from(List.of(plain.getEnumConstants()));
    }
    return switch (plain.getSimpleName()) {
      case "int" -> from(List.of(0, 1, 2, 3, 4, 7, 8, 16, -1, -5, 60, 100, 127, 240, 960, 5000));
      case "long" -> (long) random.nextInt();
      case "boolean" -> random.nextBoolean();
      case "String" -> text();
      case "PartId" -> random.nextInt(8) == 0 ? PartId.of("nobody") : part().id();
      case "SectionId" ->
          random.nextInt(8) == 0
              ? SectionId.of(999)
              : song.form().id(random.nextInt(song.form().sections().size()));
      case "LaneId" -> lane().id();
      case "DrumLane" -> lane();
      case "StepLane" -> lane().lane();
      case "Hit" -> Hit.of(random.nextInt(16), 1 + random.nextInt(127));
      case "Part" -> part().withId(PartId.of("new" + random.nextInt(99))).withName("New part");
      case "Drums" -> groove();
      case "Pattern" -> pattern().pattern();
      case "Note" -> note();
      case "ChordSpan" -> from(song.progressions().get(0).spans());
      case "Section" -> from(song.form().sections()).withId(SectionId.NEW);
      case "Transition" -> Transition.of(from(List.of(TransitionKind.values())));
      case "Chord" -> Chord.parse(from(List.of("Am7", "C#maj7", "F/C", "Bdim", "G7#9")));
      case "Key" -> Key.parse(from(List.of("C minor", "F# dorian", "Bb major")));
      case "Tempo" -> Tempo.of(60 + random.nextInt(120));
      case "Swing" -> Swing.of(50 + random.nextInt(20));
      case "Restart" -> Restart.WITH_GROOVE;
      case "Mix" -> part().mix();
      case "Plan" -> song.brief().plan();
      case "Strum" -> new Strum(random.nextBoolean(), 20, 10);
      case "NoteName" -> NoteName.parse(from(List.of("A", "Bb", "C#")));
      case "Stretch" -> new BarLines.Stretch(1 + random.nextInt(20), random.nextInt(4));
      case "Form" -> song.form();
      case "Curve" -> Curve.straight(Curve.Kind.LEVEL, -60, random.nextInt(40) - 20);
      case "Integer" -> random.nextInt(4);
      case "ChordRhythm" -> from(List.of(RhythmFamily.values())).rhythm();
      default -> throw new Unknown(type);
    };
  }

  private Object generic(Class<?> raw, Type of) {
    if (raw == Optional.class) {
      return random.nextInt(3) == 0 ? Optional.empty() : Optional.of(drawn(of));
    }
    if (raw == UnaryOperator.class) {
      return change(of);
    }
    if (raw == Predicate.class) {
      Predicate<Object> any = value -> value.hashCode() % 2 == 0;
      return any;
    }
    List<Object> some = new ArrayList<>();
    for (int i = random.nextInt(3); i > 0; i--) {
      some.add(drawn(of));
    }
    if (raw == List.class) {
      return some;
    }
    if (raw == java.util.Set.class) {
      return new HashSet<>(some);
    }
    throw new Unknown(raw);
  }

  private UnaryOperator<?> change(Type of) {
    if (of == Mix.class) {
      int level = -200 + random.nextInt(200);
      UnaryOperator<Mix> quieter = mix -> mix.withLevel(level);
      return quieter;
    }
    if (of == Note.class) {
      UnaryOperator<Note> longer = note -> note.withTicks(note.ticks() + 240);
      return longer;
    }
    return UnaryOperator.identity();
  }

  private String text() {
    int kind = random.nextInt(4);
    if (kind == 0) {
      return pattern().name();
    }
    if (kind == 1) {
      return from(song.progressions()).name();
    }
    return from(List.of("A", "New " + random.nextInt(99), "", "hook", "x", "♯", "level"));
  }

  private Part part() {
    return from(song.parts());
  }

  private NamedPattern pattern() {
    return from(part().patterns());
  }

  private Note note() {
    return new Note(240 * random.nextInt(16), 240, 40 + random.nextInt(40), 90);
  }

  private Pattern.Drums groove() {
    return song.parts().stream()
        .flatMap(part -> part.patterns().stream())
        .map(NamedPattern::pattern)
        .filter(Pattern.Drums.class::isInstance)
        .map(Pattern.Drums.class::cast)
        .findFirst()
        .orElseThrow();
  }

  private DrumLane lane() {
    List<DrumLane> lanes = groove().lanes();
    return lanes.isEmpty() || random.nextInt(8) == 0
        ? DrumLane.of(DrumVoice.COWBELL, StepLane.parse("x..."))
        : from(lanes);
  }

  private <T> T from(List<T> values) {
    return values.get(random.nextInt(values.size()));
  }
}
