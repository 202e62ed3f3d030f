package westtide.desktop.room;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.text.Text;
import javafx.scene.text.TextFlow;
import westtide.desktop.files.SongOutline;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.EnergySketch;
import westtide.desktop.kit.GrooveSketch;
import westtide.rhythm.Meter;
import westtide.score.Score;
import westtide.score.event.ScoredNote;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.form.SectionKind;

/**
 * A draft as it differs from others: its energy, a bar of its hook's drums, and who plays; who is
 * new against the open song stands out.
 *
 * @param song the draft
 * @param outline its form and energy
 * @param drums sixteenths of hats, backbeat and kick in the first bar of its hook
 */
record DraftPicture(Song song, SongOutline outline, List<Set<Integer>> drums) {
  /** Snares softer than this are ghosts, and not the backbeat. */
  private static final int SOFT = 70;

  /** Measures a draft. */
  static DraftPicture of(Song song) {
    Score score = Score.of(song);
    Meter meter = song.brief().meter();
    int hook = song.form().startTick(song.form().first(SectionKind.HOOK).orElse(0), meter);
    List<ScoredNote> bar =
        score.parts().stream()
            .filter(part -> part.part().role() == Role.DRUMS)
            .flatMap(part -> part.between(hook, hook + meter.ticksPerBar()).stream())
            .toList();
    return new DraftPicture(
        song,
        SongOutline.of(score),
        List.of(
            columns(bar, hook, meter, 1, DrumVoice.CLOSED_HAT, DrumVoice.SHAKER),
            columns(bar, hook, meter, SOFT, DrumVoice.SNARE, DrumVoice.CLAP),
            columns(bar, hook, meter, 1, DrumVoice.KICK)));
  }

  private static Set<Integer> columns(
      List<ScoredNote> bar, int from, Meter meter, int least, DrumVoice... voices) {
    Set<Integer> out = new TreeSet<>();
    for (DrumVoice voice : voices) {
      bar.stream()
          .filter(note -> note.of(voice) && note.velocity() >= least)
          .map(note -> (note.start() - from) * GrooveSketch.COLUMNS / meter.ticksPerBar())
          .filter(column -> column >= 0 && column < GrooveSketch.COLUMNS)
          .forEach(out::add);
    }
    return out;
  }

  /** The picture beside that of the open song. */
  HBox drawn(Song open) {
    EnergySketch energy = new EnergySketch();
    energy.show(outline.sections());
    energy.setMinSize(190, 40);
    energy.setPrefSize(190, 40);
    GrooveSketch groove = new GrooveSketch("A bar of its hook's drums", drums);
    groove.setMinSize(150, 36);
    groove.setPrefSize(150, 36);
    TextFlow players = players(open);
    HBox.setHgrow(players, Priority.ALWAYS);
    HBox row = Controls.row(16, energy, groove, players);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private TextFlow players(Song open) {
    Set<String> known = open.parts().stream().map(Part::name).collect(Collectors.toSet());
    TextFlow flow = new TextFlow();
    for (Part part : song.parts()) {
      if (part.role() != Role.MARKS) {
        String before = flow.getChildren().isEmpty() ? "" : " · ";
        Text name = new Text(before + part.name());
        name.getStyleClass().add(known.contains(part.name()) ? "player" : "new-player");
        flow.getChildren().add(name);
      }
    }
    return flow;
  }
}
