package westtide.desktop.brief;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Controls;
import westtide.desktop.room.RoomContext;
import westtide.rhythm.Clock;
import westtide.rhythm.LoopLength;
import westtide.rhythm.NoteValue;
import westtide.rhythm.Repitch;
import westtide.rhythm.Tempo;
import westtide.song.Song;
import westtide.theory.Pitch;

/**
 * A bench of calculators at the tempo of the song. Every pair of fields goes both ways: Enter in
 * one reckons the other. Results stand in fields, so that they can be copied.
 */
final class BenchPanel extends VBox {
  private static final double MOST_SEMITONES = 48;
  private static final int USUAL_BARS = 4;
  private static final int LOW_OCTAVE = 1;

  private final Song song;
  private final Tempo tempo;
  private final Label problem = Controls.wrapped("", "problem");

  BenchPanel(RoomContext context, Runnable close) {
    this.song = context.open().song();
    this.tempo = song.brief().tempo();
    setId("bench-panel");
    getStyleClass().add("card");
    setPrefWidth(850);
    problem.setId("bench-problem");
    getChildren()
        .addAll(
            Controls.title("Calculators"),
            Controls.label(
                "at " + tempo + " BPM, four beats to the bar; Enter works out the other side",
                "small"),
            loop(),
            repitch(),
            pitch(),
            form(),
            values(),
            problem,
            Controls.row(8, Controls.spring(), Controls.primary("bench-close", "done", close)));
  }

  private Node loop() {
    TextField seconds = number("bench-seconds");
    TextField bars = number("bench-bars");
    Label readings = Controls.label("", "small");
    readings.setId("bench-readings");
    on(
        seconds,
        text -> {
          double length = parse(text, "seconds");
          bars.setText(shown(LoopLength.bars(length, tempo), 3));
          readings.setText(
              "it may be "
                  + LoopLength.candidates(length).stream()
                      .map(
                          c ->
                              c.bars()
                                  + (c.bars() == 1 ? " bar at " : " bars at ")
                                  + shown(c.tempo().bpm(), 2))
                      .collect(Collectors.joining(", ")));
        });
    on(bars, text -> seconds.setText(shown(LoopLength.seconds(parse(text, "bars"), tempo), 3)));
    start(bars, String.valueOf(USUAL_BARS));
    return row("a loop of", seconds, "s has", bars, "bars", readings);
  }

  private Node repitch() {
    TextField from = number("bench-from");
    TextField semitones = number("bench-semitones");
    Label summary = Controls.label("", "small");
    summary.setId("bench-repitched");
    on(
        from,
        text -> {
          Repitch repitch = Repitch.between(Tempo.parse(text), tempo);
          semitones.setText(shown(repitch.semitones(), 2));
          summary.setText(summary(repitch));
        });
    on(
        semitones,
        text -> {
          Repitch repitch = Repitch.ofSemitones(semitones(text));
          from.setText(shown(new Repitch(1 / repitch.ratio()).tempo(tempo).bpm(), 2));
          summary.setText(summary(repitch));
        });
    start(semitones, "0");
    return Controls.column(
        2, row("repitched from", from, "BPM it moves", semitones, "semitones"), summary);
  }

  /** Sounds moved by more than four octaves are no longer theirs. */
  private static double semitones(String text) {
    double semitones = parse(text, "semitones");
    if (Math.abs(semitones) > MOST_SEMITONES) {
      throw new IllegalArgumentException(
          "a sound is repitched by −48 to 48 semitones, but was " + text.strip());
    }
    return semitones;
  }

  private static String summary(Repitch repitch) {
    return shown(repitch.cents(), 0)
        + " cents, "
        + shown(100 * repitch.ratio(), 1)
        + " % speed; stretched instead, the pitch stays and transients smear";
  }

  private Node pitch() {
    TextField note = number("bench-note");
    TextField hertz = number("bench-hertz");
    TextField midi = number("bench-midi");
    on(note, text -> showPitch(Pitch.parse(text.strip()), note, hertz, midi));
    on(midi, text -> showPitch(Pitch.of((int) parse(text, "a MIDI note")), note, hertz, midi));
    on(
        hertz,
        text -> {
          double key = 69 + 12 * Math.log(parse(text, "Hz") / 440) / Math.log(2);
          Pitch nearest = Pitch.of((int) Math.round(key));
          note.setText(nearest.toString());
          midi.setText(shown(key, 2));
        });
    start(note, song.brief().key().tonic().toString() + LOW_OCTAVE);
    return row("the note", note, "is", hertz, "Hz, MIDI", midi);
  }

  private static void showPitch(Pitch pitch, TextField note, TextField hertz, TextField midi) {
    note.setText(pitch.toString());
    hertz.setText(shown(pitch.hertz(), 2));
    midi.setText(String.valueOf(pitch.midi()));
  }

  private Node form() {
    TextField bars = number("bench-form-bars");
    TextField time = number("bench-form-time");
    on(bars, text -> time.setText(Clock.of(1000 * LoopLength.seconds(parse(text, "bars"), tempo))));
    on(time, text -> bars.setText(shown(LoopLength.bars(seconds(text), tempo), 1)));
    start(bars, String.valueOf(song.form().bars()));
    return row("a form of", bars, "bars lasts", time, "min:s");
  }

  private Node values() {
    GridPane grid = new GridPane();
    grid.setHgap(18);
    grid.setVgap(2);
    int column = 0;
    for (NoteValue value : NoteValue.values()) {
      int row = column % 4;
      int left = column / 4 * 2;
      TextField field = number("bench-value-" + value.name().toLowerCase().replace('_', '-'));
      field.setEditable(false);
      field.setPrefWidth(178);
      field.setMinWidth(178);
      field.setText(
          shown(value.millis(tempo), 2) + " ms · " + shown(value.hertz(tempo), 3) + " Hz");
      grid.add(Controls.whole(Controls.label(value.toString(), "small")), left, row);
      grid.add(field, left + 1, row);
      column++;
    }
    return grid;
  }

  private interface Taken {
    void take(String text);
  }

  private void on(TextField field, Taken taken) {
    field.setOnAction(
        event -> {
          try {
            taken.take(field.getText());
            problem.setText("");
          } catch (IllegalArgumentException e) {
            problem.setText(e.getMessage());
          }
        });
  }

  /** Puts something to begin with into a field and reckons from it. */
  private static void start(TextField field, String text) {
    field.setText(text);
    field.fireEvent(new javafx.event.ActionEvent());
  }

  private static TextField number(String id) {
    TextField field = Controls.field(id, id.replace("bench-", "").replace('-', ' '));
    field.setPromptText("");
    field.setPrefWidth(76);
    field.setMinWidth(76);
    return field;
  }

  private static Node row(Object... words) {
    Node[] nodes = new Node[words.length];
    for (int i = 0; i < words.length; i++) {
      nodes[i] =
          words[i] instanceof Node node ? node : Controls.whole(Controls.label((String) words[i]));
    }
    return Controls.row(8, nodes);
  }

  private static double parse(String text, String what) {
    String trimmed = text.strip().replace('−', '-').replace(',', '.');
    if (!trimmed.matches("-?\\d{1,6}(\\.\\d+)?")) {
      throw new IllegalArgumentException("type " + what + " as a number, not \"" + text + "\"");
    }
    return Double.parseDouble(trimmed);
  }

  private static double seconds(String text) {
    String[] parts = text.strip().split(":");
    if (parts.length == 2 && parts[0].matches("\\d{1,3}") && parts[1].matches("\\d{1,2}")) {
      return 60.0 * Integer.parseInt(parts[0]) + Integer.parseInt(parts[1]);
    }
    throw new IllegalArgumentException("type a time as 2:45, not \"" + text + "\"");
  }

  private static String shown(double value, int digits) {
    BigDecimal rounded = BigDecimal.valueOf(value).setScale(digits, RoundingMode.HALF_UP);
    return rounded.stripTrailingZeros().toPlainString();
  }
}
