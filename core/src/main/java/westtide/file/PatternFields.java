package westtide.file;

import java.util.List;
import westtide.json.Field;
import westtide.json.Kinds;
import westtide.json.RecordShape;
import westtide.json.RowShape;
import westtide.json.Shape;
import westtide.json.SongShapes;
import westtide.song.line.ChordDegree;
import westtide.song.line.ChordNote;
import westtide.song.line.Note;
import westtide.song.pattern.Arpeggio;
import westtide.song.pattern.BorrowedRhythm;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.KickLink;
import westtide.song.pattern.LineCycle;
import westtide.song.pattern.LowLine;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.song.pattern.PhraseUnit;

/** What a song file says of patterns: written, following the chords, attached to them. */
final class PatternFields {
  private static final Shape<List<Note>> NOTES =
      Shape.list(
          RowShape.of(
                  Note.class,
                  Shape.NUMBER,
                  Shape.NUMBER,
                  Shape.NUMBER,
                  Shape.NUMBER,
                  Shape.NUMBER,
                  Shape.NUMBER)
              .or(0, 1));

  private static final Shape<ChordNote> CHORD_NOTE =
      RowShape.of(
          ChordNote.class,
          Shape.NUMBER,
          Shape.NUMBER,
          Shape.text(ChordDegree::parse),
          Shape.NUMBER,
          Shape.NUMBER,
          Shape.NUMBER);

  private static final RecordShape<Pattern.Written> WRITTEN =
      RecordShape.of(
          Pattern.Written.class,
          Field.number("bars"),
          Field.spread(
                  "cycle",
                  RecordShape.of(
                      LineCycle.class,
                      Field.number("cycle").earlier(0).holds("steps"),
                      Field.number("restart").earlier(0).holds("restartBars")))
              .or(LineCycle.NONE),
          Field.of("notes", NOTES));

  private static final RecordShape<Pattern.Phrase> PHRASE =
      RecordShape.of(
          Pattern.Phrase.class,
          Field.number("unitBars"),
          Field.of("motif", NOTES),
          Field.of(
              "units",
              Shape.list(
                  RecordShape.of(
                      PhraseUnit.class,
                      Field.named("change", PhraseUnit.Change.class),
                      Field.maybe("own", NOTES)))));

  private static final RecordShape<Pattern.Attached> ATTACHED =
      RecordShape.of(
          Pattern.Attached.class,
          Field.number("bars"),
          Field.number("lowest"),
          Field.of("notes", Shape.list(CHORD_NOTE)));

  private static final RecordShape<FollowRule.Bass808> BASS_808 =
      RecordShape.of(
          FollowRule.Bass808.class,
          Field.named("link", KickLink.class),
          Field.of("figure", SongShapes.FIGURE),
          Field.number("lowest"));

  private static final RecordShape<FollowRule.Bass> BASS =
      RecordShape.of(
          FollowRule.Bass.class,
          Field.of("figure", SongShapes.FIGURE),
          Field.number("lowest"),
          Field.flag("pickUp"),
          Field.flag("fifths"));

  private static final RecordShape<Arpeggio> ARPEGGIO =
      RecordShape.of(
          Arpeggio.class,
          Field.named("order", Arpeggio.Order.class),
          Field.named("rate", Arpeggio.Rate.class),
          Field.number("octaves"),
          Field.number("gate"),
          Field.of("steps", SongShapes.FIGURE),
          Field.number("lowest"),
          Field.number("swellBars"),
          Field.number("flourishBars"),
          Field.of("seed", Shape.LONG));

  private static final RecordShape<LowLine> LOW_LINE =
      RecordShape.of(
          LowLine.class,
          Field.maybe("model", SongShapes.PART),
          Field.named("rhythm", LowLine.Rhythm.class),
          Field.of("figure", SongShapes.FIGURE),
          Field.named("pitches", LowLine.Pitches.class),
          Field.named("pickUp", LowLine.PickUp.class),
          Field.number("phraseBars"),
          Field.number("rest"),
          Field.flag("shaped"),
          Field.flag("slides"),
          Field.number("lowest"),
          Field.of("seed", Shape.LONG));

  private static final RecordShape<BorrowedRhythm> RHYTHM =
      RecordShape.of(
          BorrowedRhythm.class,
          Field.of("part", SongShapes.PART).holds("model"),
          Field.of("notes", NOTES));

  private static final RecordShape<FollowRule.Doubling> DOUBLING =
      RecordShape.of(
          FollowRule.Doubling.class,
          Field.of("part", SongShapes.PART).holds("model"),
          Field.number("octaves"),
          Field.number("velocity"),
          Field.of("without", ChordFields.MEMBERS));

  private static final Kinds<FollowRule> RULE =
      Kinds.of(
          FollowRule.class,
          "follows",
          "following rule",
          new Kinds.Kind<>("chords", FollowRule.Chords.class, ChordFields.RULE),
          new Kinds.Kind<>("808", FollowRule.Bass808.class, BASS_808),
          new Kinds.Kind<>("bass", FollowRule.Bass.class, BASS),
          new Kinds.Kind<>("arpeggio", Arpeggio.class, ARPEGGIO),
          new Kinds.Kind<>("low line", LowLine.class, LOW_LINE),
          new Kinds.Kind<>("rhythm", BorrowedRhythm.class, RHYTHM),
          new Kinds.Kind<>("part", FollowRule.Doubling.class, DOUBLING));

  private static final Kinds<Pattern> PATTERN =
      Kinds.of(
          Pattern.class,
          "kind",
          "kind of pattern",
          new Kinds.Kind<>("drums", Pattern.Drums.class, DrumFields.DRUMS),
          new Kinds.Kind<>("varied", Pattern.Varied.class, DrumFields.VARIED),
          new Kinds.Kind<>("written", Pattern.Written.class, WRITTEN),
          new Kinds.Kind<>("phrase", Pattern.Phrase.class, PHRASE),
          new Kinds.Kind<>("attached", Pattern.Attached.class, ATTACHED),
          new Kinds.Kind<>(
              "following",
              Pattern.Following.class,
              RecordShape.of(Pattern.Following.class, Field.of("rule", RULE))));

  static final RecordShape<NamedPattern> NAMED =
      RecordShape.of(NamedPattern.class, Field.text("name"), Field.spread("pattern", PATTERN));

  private PatternFields() {}
}
