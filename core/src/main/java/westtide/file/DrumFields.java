package westtide.file;

import java.util.Map;
import westtide.json.Field;
import westtide.json.FieldKinds;
import westtide.json.RecordShape;
import westtide.json.RowShape;
import westtide.json.Shape;
import westtide.json.SongShapes;
import westtide.rhythm.Hit;
import westtide.rhythm.LaneFeel;
import westtide.rhythm.Roll;
import westtide.rhythm.StepGrid;
import westtide.rhythm.StepLane;
import westtide.rhythm.Swing;
import westtide.rhythm.When;
import westtide.song.drum.BorrowedLane;
import westtide.song.drum.DrumLane;
import westtide.song.drum.LaneId;
import westtide.song.drum.LaneSound;
import westtide.song.drum.PanSweep;
import westtide.song.drum.Restart;
import westtide.song.pattern.GrooveChange;
import westtide.song.pattern.Pattern;

/** What a song file says of drums: grooves, lanes, hits and how lanes sound. */
final class DrumFields {
  private static final int NEVER = -1;

  /** A swing and, in a field of its own, what it swings; earlier files swing sixteenths. */
  static final RecordShape<Swing> SWING =
      RecordShape.of(
          Swing.class,
          Field.of("swing", Shape.text(Swing::parse).as(Swing::hundredths, DrumFields::sixteenths))
              .holds("hundredths"),
          Field.named("swings", Swing.Grid.class).earlier(Swing.Grid.SIXTEENTHS).holds("grid"));

  private static final Shape<Restart> RESTART =
      Shape.NUMBER.as(
          steps -> steps == NEVER ? Restart.NEVER : new Restart(steps),
          restart -> restart.equals(Restart.NEVER) ? NEVER : restart.steps());

  private static final RecordShape<When> WHEN =
      RecordShape.of(
          When.class,
          Field.named("turn", When.Turn.class).earlier(When.Turn.COUNTED),
          Field.number("every").earlier(1),
          Field.number("on").earlier(1),
          Field.number("percent").earlier(100),
          Field.of("seed", Shape.LONG).earlier(1L));

  private static final RecordShape<Finer> FINER =
      RecordShape.of(
          Finer.class,
          Field.number("pitch").earlier(0),
          Field.number("over").earlier(1),
          Field.number("ramp").earlier(Roll.USUAL_RAMP),
          Field.number("rise").earlier(0),
          Field.number("flam").earlier(0),
          Field.spread("when", WHEN));

  private static final Shape<Hit> HIT =
      RowShape.of(HitRow.class, Shape.NUMBER, Shape.NUMBER, Shape.NUMBER, Shape.NUMBER, FINER)
          .or(Finer.PLAIN)
          .as(HitRow::hit, HitRow::of);

  private static final RecordShape<DrumLane> LANE =
      RecordShape.of(
          DrumLane.class,
          Field.of("voice", SongShapes.LANE).holds("id"),
          Field.named("grid", StepGrid.class).or(StepGrid.SIXTEENTHS),
          Field.spread("swing", SWING).maybe(),
          Field.maybe("accents", Shape.text(StepLane::parse)),
          Field.maybe("restart", RESTART),
          Field.spread(
                  "feel",
                  RecordShape.of(
                      LaneFeel.class,
                      Field.number("nudge").earlier(0),
                      Field.number("varyVelocity").earlier(0).holds("velocity"),
                      Field.number("varyTicks").earlier(0).holds("ticks"),
                      Field.of("seed", Shape.LONG).earlier(1L)))
              .or(LaneFeel.PLAIN),
          Field.spread(
              "lane",
              RecordShape.of(
                  StepLane.class,
                  Field.number("steps").holds("length"),
                  Field.of("hits", Shape.list(HIT)))));

  static final RecordShape<Pattern.Drums> DRUMS =
      RecordShape.of(
          Pattern.Drums.class,
          Field.number("bars"),
          Field.of("restart", RESTART).or(Restart.WITH_GROOVE),
          Field.of("lanes", Shape.list(LANE)));

  private static final FieldKinds<GrooveChange> CHANGE =
      FieldKinds.of(
          GrooveChange.class,
          new FieldKinds.Kind<>(
              GrooveChange.WholeLane.class,
              RecordShape.of(GrooveChange.WholeLane.class, Field.of("whole", LANE).holds("lane"))),
          new FieldKinds.Kind<>(
              GrooveChange.Without.class,
              RecordShape.of(
                  GrooveChange.Without.class, Field.of("without", SongShapes.LANE).holds("lane"))),
          new FieldKinds.Kind<>(
              GrooveChange.Restarting.class,
              RecordShape.of(GrooveChange.Restarting.class, Field.of("restart", RESTART))),
          new FieldKinds.Kind<>(
              GrooveChange.OnStep.class,
              RecordShape.of(
                  GrooveChange.OnStep.class,
                  Field.of("lane", SongShapes.LANE),
                  Field.number("step"),
                  Field.maybe("hit", HIT))));

  static final RecordShape<Pattern.Varied> VARIED =
      RecordShape.of(
          Pattern.Varied.class,
          Field.text("from").holds("parent"),
          Field.number("bars"),
          Field.of("changes", Shape.list(CHANGE)));

  static final Shape<Map<LaneId, LaneSound>> SOUNDS =
      SongShapes.byLane(
          RecordShape.of(
              LaneSound.class,
              Field.text("instrument"),
              Field.number("cents"),
              Field.number("level"),
              Field.number("pan"),
              Field.number("choke"),
              Field.number("note"),
              Field.number("reverb").or(0),
              Field.number("delay").or(0),
              MixFields.EFFECTS,
              Field.spread(
                      "sweep",
                      RecordShape.of(
                          PanSweep.class,
                          Field.number("panTo").earlier(0).holds("to"),
                          Field.number("panSteps").earlier(0).holds("steps")))
                  .or(PanSweep.NONE),
              Field.flag("reversed").or(false)));

  private static final RecordShape<BorrowedLane> IN_SOME =
      RecordShape.of(
          BorrowedLane.class,
          Field.of("part", SongShapes.PART).holds("model"),
          Field.of("grooves", Shape.list(Shape.TEXT)));

  /** The part alone where its rhythm is borrowed in all grooves. */
  static final Shape<Map<LaneId, BorrowedLane>> BORROWED =
      SongShapes.byLane(
          Shape.of(
              lane ->
                  lane.isEverywhere() ? SongShapes.PART.write(lane.model()) : IN_SOME.write(lane),
              (node, called) ->
                  node.isObject()
                      ? IN_SOME.read(node, called)
                      : BorrowedLane.everywhere(SongShapes.PART.read(node, called))));

  private DrumFields() {}

  private static Swing sixteenths(int hundredths) {
    return new Swing(hundredths, Swing.Grid.SIXTEENTHS);
  }

  /** What a hit says beyond its step, velocity, nudge and strokes. */
  record Finer(int pitch, int over, int ramp, int rise, int flam, When when) {
    static final Finer PLAIN = new Finer(0, 1, Roll.USUAL_RAMP, 0, 0, When.ALWAYS);
  }

  /** A hit as it stands in the file. */
  record HitRow(int step, int velocity, int nudge, int strokes, Finer finer) {
    static HitRow of(Hit hit) {
      Roll roll = hit.roll();
      Finer finer =
          new Finer(hit.pitch(), roll.steps(), roll.ramp(), roll.rise(), hit.flam(), hit.when());
      return new HitRow(hit.step(), hit.velocity(), hit.nudge(), hit.strokes(), finer);
    }

    Hit hit() {
      Roll roll = new Roll(strokes, finer.over(), finer.ramp(), finer.rise());
      return new Hit(step, velocity, nudge, finer.pitch(), roll, finer.flam(), finer.when());
    }
  }
}
