package westtide.desktop.brief;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.TypedLine;
import westtide.desktop.kit.sheet.NoteStrip;
import westtide.desktop.room.RoomContext;
import westtide.score.event.ScoredNote;
import westtide.song.Role;
import westtide.song.edit.BriefEdits;
import westtide.text.Reading;
import westtide.theory.Key;
import westtide.theory.KeyFinder;
import westtide.theory.NoteLine;

/** Finds the key of typed notes or chords, or of what the song already plays. */
final class KeyPanel extends VBox {
  private static final int SHOWN = 5;

  private final RoomContext context;
  private final Runnable close;
  private static final int TOUCH = 90;

  private final VBox guesses = Controls.column(4);

  private final TypedLine line =
      new TypedLine("key-notes", "notes or chords, such as A C E D or Am7 Dm G", this::take);
  private final NoteStrip strip = new NoteStrip("key-strip", this::play);
  private final List<Integer> played = new ArrayList<>();

  KeyPanel(RoomContext context, Runnable close) {
    this.context = context;
    this.close = close;
    setId("key-panel");
    getStyleClass().add("card");
    setPrefWidth(640);
    strip.setPrefHeight(46);
    strip.setMinHeight(46);
    strip.show(context.open().song().brief().key(), Set.of());
    getChildren()
        .addAll(
            Controls.title("Find the key"),
            Controls.wrapped(
                "Type what you hear: notes (F#, F#2 or 54) or chords (F#m7), with a length behind a colon if it matters (A:2). Keys are ranked by how long each note sounds and by where the line ends.",
                "small"),
            line,
            Controls.label("or play: click notes in the order you hear them", "small"),
            strip,
            guesses,
            Controls.row(
                8,
                Controls.action("key-of-song", "use what the song plays", this::takeSong),
                Controls.spring(),
                Controls.primary("key-panel-close", "done", close)));
  }

  private Optional<Reading.Problem<?>> take(String text) {
    if (text.isBlank()) {
      return Optional.empty();
    }
    try {
      show(NoteLine.parse(text));
      return Optional.empty();
    } catch (IllegalArgumentException e) {
      return Optional.of(new Reading.Problem<>(1, e.getMessage()));
    }
  }

  /** A note played on the strip: it sounds, and is added to the line. */
  private void play(int midi) {
    Key key = context.open().song().brief().key();
    context.open().part(Role.CHORDS).ifPresent(part -> context.play().touch(part, midi, TOUCH));
    played.add(midi);
    strip.show(key, Set.of(midi));
    line.show(
        played.stream().map(note -> key.pitch(note).toString()).collect(Collectors.joining(" ")));
    show(played.stream().map(note -> new KeyFinder.Heard(note % 12, 1)).toList());
  }

  private void takeSong() {
    List<KeyFinder.Heard> heard = new ArrayList<>(heard());
    if (heard.isEmpty()) {
      guesses.getChildren().setAll(Controls.label("The song plays no notes yet."));
      return;
    }
    heard.add(new KeyFinder.Heard(heard.get(0).pitchClass(), 1));
    show(heard);
  }

  /**
   * What the song plays but its drums, each chord from its bass up; a loop comes home to its start.
   */
  private List<KeyFinder.Heard> heard() {
    return context.open().view().orElseThrow().score().parts().stream()
        .filter(part -> part.part().role() != Role.DRUMS)
        .flatMap(part -> part.notes().stream())
        .sorted(Comparator.comparingInt(ScoredNote::start).thenComparingInt(ScoredNote::key))
        .map(note -> new KeyFinder.Heard(note.key() % 12, note.ticks()))
        .toList();
  }

  private void show(List<KeyFinder.Heard> heard) {
    guesses.getChildren().clear();
    List<KeyFinder.Guess> ranked = KeyFinder.rank(heard);
    for (int i = 0; i < SHOWN; i++) {
      guesses.getChildren().add(row(ranked.get(i), i));
    }
  }

  private HBox row(KeyFinder.Guess guess, int index) {
    var key = Controls.label(guess.key().toString(), index == 0 ? "figure" : "strong");
    key.setId("key-guess-" + index);
    key.setMinWidth(150);
    var sure = Controls.label(Math.round(100 * guess.sureness()) + " %", "strong");
    sure.setMinWidth(54);
    var reason = Controls.wrapped(guess.reason(), "small");
    HBox.setHgrow(reason, Priority.ALWAYS);
    reason.setMaxWidth(Double.MAX_VALUE);
    return Controls.row(
        8,
        key,
        sure,
        reason,
        Controls.action(
            "key-take-" + index,
            "use this key",
            () -> {
              context.apply(BriefEdits.key(guess.key()));
              close.run();
            }));
  }
}
