package westtide.style;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import westtide.json.Field;
import westtide.json.Kinds;
import westtide.json.ObjectShape;
import westtide.json.RecordShape;
import westtide.json.Shape;
import westtide.json.SongShapes;
import westtide.rhythm.Figure;
import westtide.song.mix.DelayTime;
import westtide.song.mix.Master;
import westtide.song.pattern.Arpeggio;
import westtide.theory.voicing.ChordMember;

/** Who plays in a style, in its document; whoever is not named does not play. */
final class EnsembleFields {
  /** Tenths of a decibel, in decibels. */
  private static final Shape<Integer> TENTHS =
      Shape.DECIMAL.as(value -> (int) Math.round(10 * value), value -> value / 10.0);

  private static final RecordShape<MixHabit> MIX =
      RecordShape.of(
          MixHabit.class,
          Field.of("level", TENTHS).earlier(0),
          Field.number("pan").earlier(0),
          Field.number("width").earlier(0),
          Field.number("reverb").earlier(0),
          Field.number("delay").earlier(0),
          Field.named("every", DelayTime.class).earlier(DelayTime.DOTTED_EIGHTH).holds("delayTime"),
          Field.number("lowCut").earlier(0),
          Field.of("clip", TENTHS).earlier(0));

  private static final Field<Integer> OCTAVES = Field.number("octaves").earlier(0);

  private static final Field<Set<ChordMember>> WITHOUT =
      Field.of("without", Shape.set(Shape.named(ChordMember.class))).earlier(Set.of());

  /** No figure is an empty text. */
  private static final Shape<Optional<Figure>> FIGURE =
      Shape.TEXT.as(
          text -> Optional.of(text).filter(some -> !some.isEmpty()).map(Figure::new),
          figure -> figure.map(Figure::text).orElse(""));

  private static final RecordShape<Arpeggio> ARPEGGIO =
      RecordShape.of(
          Arpeggio.class,
          Field.named("order", Arpeggio.Order.class).earlier(Arpeggio.Order.UP),
          Field.named("rate", Arpeggio.Rate.class).earlier(Arpeggio.Rate.EIGHTH),
          Field.number("span").earlier(1).holds("octaves"),
          Field.number("gate").earlier(80),
          Field.of("figure", SongShapes.FIGURE).earlier(new Figure("x")).holds("steps"),
          Field.number("lowest"),
          Field.number("swell").earlier(0).holds("swellBars"),
          Field.unwritten("flourishBars", 0),
          Field.unwritten("seed", 1L));

  private static final ObjectShape<Job> JOB = Kinds.of(Job.class, "job", "job", jobs());

  private static final RecordShape<EnsembleHabit.Member> MEMBER =
      RecordShape.of(
          EnsembleHabit.Member.class,
          Field.of("id", SongShapes.PART),
          Field.text("name"),
          Field.number("program").earlier(0),
          Field.text("instrument").earlier(""),
          Field.spread("job", JOB),
          Field.of("mix", MIX).earlier(MixHabit.PLAIN),
          Field.of(
              "plays", Shape.map(EnsembleFields::occasion, occasion -> occasion, HabitShapes.PLAN)),
          Field.text("why"));

  static final RecordShape<EnsembleHabit> ENSEMBLE =
      RecordShape.of(
          EnsembleHabit.class,
          Field.number("timing").earlier(0),
          Field.spread(
              "master",
              RecordShape.of(
                  Master.class,
                  Field.number("gain").earlier(0),
                  Field.number("glue").earlier(0),
                  Field.number("drumGlue").earlier(0),
                  Field.number("drumAttack").earlier(0),
                  Field.number("drumSustain").earlier(0),
                  Field.number("target").earlier(0))),
          Field.of(
                  "heard",
                  RecordShape.of(
                      Calibration.class,
                      Field.number("lead").earlier(Calibration.USUAL.lead()),
                      Field.number("mix").earlier(Calibration.USUAL.mix())))
              .earlier(Calibration.USUAL),
          Field.of("mix", SongShapes.byPart(MIX)).earlier(Map.of()).holds("mixes"),
          Field.of(
                  "returns",
                  Shape.map(
                      EnsembleFields::occasion,
                      occasion -> occasion,
                      SongShapes.byPart(HabitShapes.PLAN)))
              .earlier(Map.of()),
          Field.of("members", Shape.list(MEMBER)).earlier(List.of()));

  private EnsembleFields() {}

  private static Kinds.Kind<?>[] jobs() {
    Stream<Kinds.Kind<?>> plain =
        Stream.of(
            new Kinds.Kind<>(
                "bed",
                Job.Bed.class,
                RecordShape.of(
                    Job.Bed.class,
                    OCTAVES,
                    Field.number("strum").earlier(0),
                    Field.of("figure", FIGURE).earlier(Optional.empty()),
                    WITHOUT)),
            new Kinds.Kind<>(
                "double",
                Job.Twin.class,
                RecordShape.of(
                    Job.Twin.class,
                    Field.of("of", SongShapes.PART),
                    OCTAVES,
                    Field.number("velocity").earlier(0),
                    WITHOUT)),
            new Kinds.Kind<>(
                "broken",
                Job.Broken.class,
                RecordShape.of(Job.Broken.class, Field.spread("rule", ARPEGGIO))),
            new Kinds.Kind<>(
                "percussion",
                Job.Percussion.class,
                RecordShape.of(
                    Job.Percussion.class,
                    Field.number("bars"),
                    Field.of("lanes", HabitShapes.LANES))));
    return Stream.concat(plain, Stream.of(Job.Beside.Kind.values()).map(EnsembleFields::beside))
        .toArray(Kinds.Kind<?>[]::new);
  }

  /** Each kind of line beside the lead has a word of its own. */
  private static Kinds.Kind<Job.Beside> beside(Job.Beside.Kind kind) {
    return new Kinds.Kind<>(
        kind.name().toLowerCase(Locale.ROOT),
        Job.Beside.class,
        RecordShape.of(Job.Beside.class, Field.unwritten("kind", kind), OCTAVES),
        job -> job.kind() == kind);
  }

  private static String occasion(String text) {
    EnsembleHabit.check(text);
    return text;
  }
}
