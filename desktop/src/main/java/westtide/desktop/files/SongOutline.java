package westtide.desktop.files;

import java.util.ArrayList;
import java.util.List;
import westtide.desktop.kit.EnergySketch;
import westtide.json.Field;
import westtide.json.RecordShape;
import westtide.json.Shape;
import westtide.review.form.Energy;
import westtide.rhythm.Clock;
import westtide.score.Score;
import westtide.song.Song;

/**
 * What a song is recognised by without opening it.
 *
 * @param title its title
 * @param style the id of its style
 * @param tempo its tempo in BPM, such as {@code "146"}
 * @param key its key, such as {@code "F♯ minor"}
 * @param length its length, such as {@code "2:38"}
 * @param sections its sections in order
 */
public record SongOutline(
    String title,
    String style,
    String tempo,
    String key,
    String length,
    List<EnergySketch.Stretch> sections) {
  /** Its document. */
  public static final RecordShape<SongOutline> SHAPE =
      RecordShape.of(
          SongOutline.class,
          Field.text("title"),
          Field.text("style"),
          Field.text("tempo"),
          Field.text("key"),
          Field.text("length"),
          Field.of(
              "sections",
              Shape.list(
                  RecordShape.of(
                      EnergySketch.Stretch.class, Field.number("bars"), Field.number("energy")))));

  /** Copies the list. */
  public SongOutline {
    sections = List.copyOf(sections);
  }

  /** The outline of a song. */
  public static SongOutline of(Song song) {
    return of(Score.of(song));
  }

  /** The outline of the song of a score, which its energy is measured from. */
  public static SongOutline of(Score score) {
    Song song = score.song();
    Energy energy = Energy.of(score);
    List<EnergySketch.Stretch> sections = new ArrayList<>();
    for (int i = 0; i < song.form().sections().size(); i++) {
      int bars = song.form().sections().get(i).bars();
      double mean = energy.mean(song.form().startBar(i), bars);
      sections.add(new EnergySketch.Stretch(bars, (int) Math.round(mean)));
    }
    return new SongOutline(
        song.title(),
        song.brief().style(),
        song.brief().tempo().toString(),
        song.brief().key().toString(),
        Clock.of(song.millis()),
        sections);
  }

  /** Tempo, key and length on one line. */
  public String facts() {
    return tempo + " · " + key + " · " + length;
  }
}
