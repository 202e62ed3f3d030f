package westtide.desktop.form;

import java.util.List;
import java.util.Optional;
import westtide.desktop.kit.Window;
import westtide.rhythm.BarLines;
import westtide.rhythm.Meter;
import westtide.song.Song;
import westtide.song.form.Section;

/**
 * Where parts and sections stand on the sheet of tanks: rows of equal height, columns to scale but
 * none too narrow to use, of many those in view. Pixels.
 *
 * @param song the song that is shown
 * @param width of the sheet
 * @param height of the sheet
 * @param scale how large its text is against the usual, 0.9 to 2
 * @param closer how much wider a section is at least than it must be, 1 to {@link #CLOSEST}
 * @param firstRow parts before the first in view
 * @param firstColumn sections before the first in view
 */
record TankLayout(
    Song song,
    double width,
    double height,
    double scale,
    int closer,
    int firstRow,
    int firstColumn) {
  static final double LEFT = 116;
  private static final double TOP = 42;
  private static final double FOOT = 64;
  private static final double NARROWEST = 40;

  /** How near a section can be looked at. */
  static final int CLOSEST = 16;

  private static final double LOWEST_ROW = 15.5;
  private static final double HIGHEST_ROW = 74;
  private static final double OUT_OF_SIGHT = -10;

  /** A beat of a bar of a section under a pixel, all from 0. */
  record Place(int section, int bar, int beat) {}

  /** Where the names of the sections end and the first row begins. */
  double top() {
    return grown(TOP, 24);
  }

  private double lowestRow() {
    return grown(LOWEST_ROW, 24);
  }

  /** Room that is wanted for text of the usual size, and how much more for text twice as large. */
  private double grown(double usual, double more) {
    return usual + more * (scale - 1);
  }

  /** The parts in view. */
  Window rows() {
    double room = Math.max(lowestRow(), height - top() - grown(FOOT, 12));
    return new Window(song.parts().size(), room, lowestRow(), firstRow);
  }

  /** The sections in view. */
  Window columns() {
    double room = Math.max(NARROWEST, width - LEFT - 8);
    return new Window(sections().size(), room, NARROWEST * closer, firstColumn);
  }

  private List<Section> sections() {
    return song.form().sections();
  }

  /** Left edges of the sections in view and the right end of the last. */
  double[] edges() {
    Window columns = columns();
    int bars = 0;
    for (int i = columns.offset(); i < columns.end(); i++) {
      bars += sections().get(i).bars();
    }
    double least = Math.min(NARROWEST, columns.room() / columns.shown());
    double spare = Math.max(0, columns.room() - least * columns.shown());
    double[] out = new double[columns.shown() + 1];
    out[0] = LEFT;
    for (int i = 0; i < columns.shown(); i++) {
      int own = sections().get(columns.offset() + i).bars();
      out[i + 1] = out[i] + least + spare * own / bars;
    }
    return out;
  }

  /** The height of a part's row. */
  double rowHeight() {
    Window rows = rows();
    return Math.min(HIGHEST_ROW * scale, rows.room() / rows.shown());
  }

  /** The upper edge of a part's row. */
  double top(int row) {
    return top() + rowHeight() * (row - rows().offset());
  }

  /** The part whose row a height lies in; beyond the last part there are more numbers. */
  int rowAt(double y) {
    return rows().offset() + (int) ((y - top()) / rowHeight());
  }

  /** What stands under a distance from the left; empty beside the sections. */
  Optional<Place> placeAt(double x) {
    double[] edges = edges();
    for (int i = 0; i + 1 < edges.length; i++) {
      if (x >= edges[i] && x < edges[i + 1]) {
        int section = columns().offset() + i;
        double share = (x - edges[i]) / (edges[i + 1] - edges[i]);
        int beats = song.brief().meter().beats();
        int beat = (int) (share * sections().get(section).beats(song.brief().meter()));
        return Optional.of(new Place(section, beat / beats, beat % beats));
      }
    }
    return Optional.empty();
  }

  /** The beat of a section, from its start, that is nearest to a pixel. */
  int beatNear(int section, double x) {
    double[] edges = edges();
    int at = section - columns().offset();
    double width = edges[at + 1] - edges[at];
    double beats = sections().get(section).beats(song.brief().meter());
    return (int) Math.round((x - edges[at]) / width * beats);
  }

  /** Where a beat of a section, from its start, stands. */
  double beatX(int section, double beat) {
    double[] edges = edges();
    int at = section - columns().offset();
    double beats = sections().get(section).beats(song.brief().meter());
    return edges[at] + (edges[at + 1] - edges[at]) * beat / beats;
  }

  /** Where a bar counted from the start of a section stands, beyond its end too while in view. */
  double barX(int section, double bar) {
    int at = section;
    double left = bar;
    while (at + 1 < sections().size() && shows(at + 1) && left > sections().get(at).bars()) {
      left -= sections().get(at).bars();
      at++;
    }
    double beats = left * song.brief().meter().beats();
    return beatX(at, Math.min(beats, sections().get(at).beats(song.brief().meter())));
  }

  /** Whether a section is in view. */
  boolean shows(int section) {
    return section >= columns().offset() && section < columns().end();
  }

  /** Where the rows end and the signs begin. */
  double bottom() {
    return top(rows().end());
  }

  /** Where a tick of the song stands; out of sight where its section is. */
  double x(double tick) {
    BarLines lines = song.barLines();
    int bar = Math.min(song.form().bars() - 1, lines.bar((int) tick));
    int section = song.form().sectionAt(bar);
    int at = section - columns().offset();
    if (at < 0 || at >= columns().shown()) {
      return OUT_OF_SIGHT;
    }
    Meter meter = song.brief().meter();
    return beatX(section, (tick - song.form().startTick(section, meter)) / meter.ticksPerBeat());
  }
}
