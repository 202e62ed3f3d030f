package westtide.file;

import java.util.List;
import westtide.json.Field;
import westtide.json.RecordShape;
import westtide.json.Shape;
import westtide.rhythm.Tempo;
import westtide.song.found.Fit;
import westtide.song.found.FoundSound;
import westtide.song.found.Origin;
import westtide.song.found.Recording;
import westtide.song.found.Take;
import westtide.theory.Key;

/**
 * What a song file says of found sound. The samples lie beside it in files of their own; a song is
 * read without them, and they are looked for afterwards.
 */
final class FoundFields {
  private static final Shape<Origin> ORIGIN =
      RecordShape.of(
          Origin.class,
          Field.text("source").or(""),
          Field.text("author").or(""),
          Field.text("licence").or(""),
          Field.text("credit").or(""),
          Field.flag("cleared"));

  private static final Shape<Fit> FIT =
      RecordShape.of(
          Fit.class,
          Field.named("way", Fit.Way.class),
          Field.named("feel", Fit.Feel.class).or(Fit.Feel.AS_IT_IS),
          Field.number("semitones").or(0),
          Field.number("cents").or(0));

  private static final Shape<Take> TAKE =
      RecordShape.of(
          Take.class,
          Field.number("piece"),
          Field.flag("reversed").or(false),
          Field.number("semitones").or(0));

  /** What stands for a recording in the document. */
  private record Named(String id, String name, int rate, int bits, int channels, int frames) {
    static Named of(Recording recording) {
      return new Named(
          recording.id(),
          recording.name(),
          recording.rate(),
          recording.bits(),
          recording.channels(),
          recording.frames());
    }

    Recording recording() {
      if (!id.matches("[0-9a-f]{8,64}")) {
        throw new IllegalArgumentException(
            "a sound is known by digits 0 to f, but was \"" + id + "\"");
      }
      return Recording.missing(id, name, rate, bits, channels, frames);
    }
  }

  private static final Shape<Recording> RECORDING =
      RecordShape.of(
              Named.class,
              Field.text("id"),
              Field.text("name"),
              Field.number("rate"),
              Field.number("bits"),
              Field.number("channels"),
              Field.number("frames"))
          .as(Named::recording, Named::of);

  static final Shape<FoundSound> FOUND =
      RecordShape.of(
          FoundSound.class,
          Field.of("recording", RECORDING),
          Field.of("origin", ORIGIN).or(Origin.UNKNOWN),
          Field.number("downbeat"),
          Field.of("tempo", Shape.text(Tempo::parse)),
          Field.number("bars"),
          Field.maybe("key", Shape.text(Key::parse)),
          Field.number("cents").or(0),
          Field.of("marks", Shape.list(Shape.NUMBER)),
          Field.of("takes", Shape.list(TAKE)).or(List.of()),
          Field.of("fit", FIT),
          Field.flag("chokes").or(false));

  private FoundFields() {}
}
