package westtide.file;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import westtide.json.Field;
import westtide.json.RecordShape;
import westtide.json.Shape;
import westtide.json.SongShapes;
import westtide.rhythm.Figure;
import westtide.song.chord.ChordArticulation;
import westtide.song.chord.ChordRhythm;
import westtide.song.chord.ChordSpan;
import westtide.song.chord.Notation;
import westtide.song.chord.Progression;
import westtide.song.chord.Strum;
import westtide.song.pattern.FollowRule;
import westtide.theory.Chord;
import westtide.theory.voicing.ChordMember;
import westtide.theory.voicing.Voicing;
import westtide.theory.voicing.VoicingKind;

/** What a song file says of chords and how they are played. What is as usual is not written. */
final class ChordFields {
  private static final String HELD = "held";

  static final Shape<Set<ChordMember>> MEMBERS =
      Shape.set(Shape.named(ChordMember.class, "member of a chord"));

  private static final Shape<Chord> CHORD = Shape.text(Chord::parse);

  /** Held through without a figure. */
  private static final Shape<Optional<Figure>> FIGURE =
      Shape.TEXT.as(
          text -> text.equals(HELD) ? Optional.empty() : Optional.of(new Figure(text)),
          figure -> figure.map(Figure::text).orElse(HELD));

  private static final Shape<Voicing> VOICING =
      Shape.list(Shape.NUMBER.as(ChordFields::key, key -> key)).as(Voicing::new, Voicing::keys);

  private static final RecordShape<Strum> STRUM =
      RecordShape.of(Strum.class, Field.flag("up"), Field.number("millis"), Field.number("curve"));

  private static final RecordShape<ChordRhythm> RHYTHM =
      RecordShape.of(ChordRhythm.class, Field.of("figure", FIGURE), Field.number("push"));

  private static final RecordShape<ChordArticulation> ARTICULATION =
      RecordShape.of(
          ChordArticulation.class,
          Field.number("early").or(0).holds("push"),
          Field.flag("rest").or(false),
          Field.maybe("spread", Shape.named(VoicingKind.class)).holds("kind"),
          Field.maybe("inversion", Shape.NUMBER),
          Field.maybe("notes", VOICING).holds("own"),
          Field.maybe("strum", STRUM),
          Field.of("without", SongShapes.byPart(MEMBERS)).or(Map.of()));

  static final RecordShape<Progression> PROGRESSION =
      RecordShape.of(
          Progression.class,
          Field.text("name"),
          Field.named("notation", Notation.class),
          Field.maybe("rhythm", RHYTHM),
          Field.number("octave").or(0),
          Field.of(
                  "chords",
                  Shape.list(
                      RecordShape.of(
                          ChordSpan.class,
                          Field.of("chord", CHORD),
                          Field.number("ticks"),
                          Field.spread("articulation", ARTICULATION))))
              .holds("spans"));

  private static final RecordShape<FollowRule.Own> OWN =
      RecordShape.of(
          FollowRule.Own.class,
          Field.maybe("rhythm", RHYTHM),
          Field.maybe("strum", STRUM),
          Field.maybe("progression", Shape.TEXT),
          Field.of(
                  "kept",
                  Shape.list(
                      RecordShape.of(
                          FollowRule.Kept.class,
                          Field.text("progression"),
                          Field.of("chord", CHORD),
                          Field.of("notes", VOICING).holds("voicing"))))
              .or(List.of()));

  /** Earlier files know only where chords lie and their figure. */
  static final RecordShape<FollowRule.Chords> RULE =
      RecordShape.of(
          FollowRule.Chords.class,
          Field.spread("range", SongShapes.RANGE),
          Field.of("figure", FIGURE),
          Field.named("spread", VoicingKind.class).earlier(VoicingKind.CLOSE).holds("kind"),
          Field.spread(
                  "layer",
                  RecordShape.of(
                      FollowRule.Layer.class,
                      Field.number("octaves"),
                      Field.of("without", MEMBERS)))
              .earlier(FollowRule.Layer.WHOLE),
          Field.spread(
                  "vary",
                  RecordShape.of(
                      FollowRule.Vary.class,
                      Field.number("vary").holds("amount"),
                      Field.of("varySeed", Shape.LONG).holds("seed")))
              .earlier(FollowRule.Vary.NONE),
          Field.of("own", OWN).or(FollowRule.Own.NOTHING));

  private ChordFields() {}

  private static int key(int midi) {
    if (midi < 0 || midi > 127) {
      throw new IllegalArgumentException("a chord note is 0 to 127, but was " + midi);
    }
    return midi;
  }
}
