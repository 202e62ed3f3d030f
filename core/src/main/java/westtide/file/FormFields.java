package westtide.file;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import westtide.json.Field;
import westtide.json.FieldKinds;
import westtide.json.ObjectShape;
import westtide.json.RecordShape;
import westtide.json.RowShape;
import westtide.json.Shape;
import westtide.json.SongShapes;
import westtide.song.Alternatives;
import westtide.song.drum.LaneId;
import westtide.song.form.Cell;
import westtide.song.form.CellSound;
import westtide.song.form.ChordOption;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Mark;
import westtide.song.form.Section;
import westtide.song.form.SectionLink;
import westtide.song.form.SectionWord;
import westtide.song.form.Thinning;
import westtide.song.form.Transition;
import westtide.song.form.TransitionKind;
import westtide.song.id.PartId;
import westtide.song.id.SectionId;
import westtide.song.mix.Curve;
import westtide.song.mix.CurveShape;
import westtide.theory.NoteName;

/** How a song is laid out in its file: sections, cells, curves, marks. */
final class FormFields {
  private static final int WHOLE = 100;

  private static final Shape<Set<LaneId>> LANES = Shape.set(SongShapes.LANE);
  private static final Shape<Set<PartId>> PARTS = Shape.set(SongShapes.PART);

  /** In the order of the enum, which a set has not. */
  private static final Shape<Set<ChordOption>> OPTIONS =
      Shape.set(Shape.named(ChordOption.class, "way of chords"))
          .as(options -> options, TreeSet::new);

  private static final RecordShape<Thinning> THINNING =
      RecordShape.of(
          Thinning.class,
          Field.of("without", ChordFields.MEMBERS),
          Field.of("lanesOut", LANES).holds("lanes"),
          Field.number("softest"));

  private static final RecordShape<Cell> CELL =
      RecordShape.of(
          Cell.class,
          Field.number("from").holds("fromBar"),
          Field.number("beat").or(0),
          Field.of("level", Shape.text(Level::parse)),
          Field.text("pattern"),
          Field.of(
                  "sound",
                  RecordShape.of(
                      CellSound.class,
                      Field.number("octave"),
                      Field.number("lowPass"),
                      Field.text("instrument"),
                      Field.spread("thinning", THINNING).or(Thinning.NONE)))
              .or(CellSound.USUAL));

  private static final FieldKinds<CurveShape> SHAPE =
      FieldKinds.of(
          CurveShape.class,
          new FieldKinds.Kind<>(
              CurveShape.Cycle.class,
              ObjectShape.within(
                  "cycle",
                  RecordShape.of(
                      CurveShape.Cycle.class,
                      Field.number("low"),
                      Field.number("high"),
                      Field.number("ticks"),
                      Field.named("wave", CurveShape.Wave.class)))),
          new FieldKinds.Kind<>(
              CurveShape.Points.class,
              RecordShape.of(
                  CurveShape.Points.class,
                  Field.of(
                      "points",
                      Shape.list(
                          RowShape.of(
                              CurveShape.Point.class,
                              Shape.NUMBER,
                              Shape.NUMBER,
                              Shape.named(CurveShape.Bend.class)))))));

  private static final RecordShape<Curve> CURVE =
      RecordShape.of(
          Curve.class,
          Field.named("moves", Curve.Kind.class).holds("kind"),
          Field.number("from").holds("fromBar"),
          Field.number("bars"),
          Field.spread("shape", SHAPE));

  private static final RecordShape<Mark> MARK =
      RecordShape.of(
          Mark.class,
          Field.number("bar"),
          Field.spread(
              "transition",
              RecordShape.of(
                  Transition.class,
                  Field.of(
                          "is",
                          Shape.found("transition", TransitionKind::find, TransitionKind::word))
                      .holds("kind"),
                  Field.number("beats"),
                  Field.number("depth").or(WHOLE),
                  Field.of("parts", PARTS).or(Set.of()),
                  Field.of("lanes", LANES).or(Set.of()))));

  private static final RecordShape<SectionLink> LINK =
      RecordShape.of(
          SectionLink.class,
          Field.number("group"),
          Field.flag("different"),
          Field.of("own", PARTS));

  static final Shape<Section> SECTION =
      RecordShape.of(
              Section.class,
              Field.of("id", Shape.NUMBER.as(SectionId::of, SectionId::number)),
              Field.of("section", Shape.found("section", SectionWord::find, SectionWord::toString))
                  .holds("word"),
              Field.number("bars"),
              Field.text("progression"),
              Field.of("cells", SongShapes.byPart(Shape.list(CELL))),
              Field.maybe("pedal", Shape.text(NoteName::parse)),
              Field.of("chordOptions", OPTIONS).or(Set.of()).holds("options"),
              Field.of("curves", SongShapes.byPart(Shape.list(CURVE))).or(Map.of()),
              Field.number("lastBeats").or(0),
              Field.maybe("name", Shape.TEXT),
              Field.of("marks", Shape.list(MARK)).or(List.of()),
              Field.maybe("link", LINK))
          .placed("section", "name", "section");

  static final Shape<Form> FORM = Shape.list(SECTION).as(Form::new, Form::sections);

  /** The forms that wait beside the one in front. */
  static final RecordShape<Alternatives> ALTERNATIVES =
      RecordShape.of(
          Alternatives.class,
          Field.of("before", Shape.list(FORM)),
          Field.of("after", Shape.list(FORM)));

  private FormFields() {}
}
