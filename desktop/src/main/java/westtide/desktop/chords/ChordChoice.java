package westtide.desktop.chords;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.animation.PauseTransition;
import javafx.util.Duration;
import westtide.desktop.room.RoomContext;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.edit.Edit;
import westtide.song.edit.part.ChordEdits;
import westtide.theory.Chord;
import westtide.theory.voicing.Voicing;
import westtide.theory.voicing.VoicingPlan;
import westtide.theory.voicing.VoicingWish;

/** Which row, chord and note are chosen on the sheet, and hearing them. */
final class ChordChoice {
  private static final int TOUCH = 90;
  private static final Duration BETWEEN = Duration.millis(650);

  private final RoomContext context;
  private final Runnable refresh;
  private int chord;
  private int note = -1;

  /** Choices on a desk; {@code refresh} shows the sheet anew. */
  ChordChoice(RoomContext context, Runnable refresh) {
    this.context = context;
    this.refresh = refresh;
  }

  RoomContext context() {
    return context;
  }

  /** The name of the progression in front. */
  String row() {
    return context.open().selection().progression(context.open().song()).name();
  }

  int chord() {
    return chord;
  }

  /** The chord part in front; empty when the song has none. */
  Optional<Part> part() {
    return context.open().part(Role.CHORDS);
  }

  /** The MIDI note chosen in the chosen chord, or −1. */
  int note() {
    return note;
  }

  ChordEdits edits() {
    return new ChordEdits(row());
  }

  ChordScene scene() {
    return ChordScene.of(context.open().view().orElseThrow(), part(), row(), chord);
  }

  void chooseRow(String name) {
    chord = 0;
    note = -1;
    context.open().select(context.open().selection().withProgression(name));
    refresh.run();
  }

  /** Chooses a chord and lets it sound. */
  void chooseChord(int index) {
    chord = Math.max(0, index);
    note = -1;
    refresh.run();
    hear();
  }

  void chooseNote(int key) {
    note = key;
    refresh.run();
  }

  /** Keeps the choice inside what the song has. */
  void settle(ChordScene scene) {
    chord = scene.chord();
    if (!scene.voicing().keys().contains(note)) {
      note = -1;
    }
  }

  void apply(Edit edit) {
    context.apply(edit);
  }

  /** Applies an edit after which another chord is the chosen one. */
  void apply(Edit edit, int chosen) {
    chord = Math.max(0, chosen);
    note = -1;
    context.apply(edit);
    hear();
  }

  /** Gives the chosen chord notes of its own and lets them sound. */
  void lay(List<Integer> keys, int chosenNote) {
    note = chosenNote;
    Optional<Voicing> own = Optional.of(new Voicing(keys));
    context.apply(edits().articulation("Move a note of a chord", chord, m -> m.withOwn(own)));
  }

  /** Lets the chosen chord sound as it is laid out. */
  void hear() {
    if (context.open().view().isPresent()) {
      sound(scene().voicing());
    }
  }

  /** Lets notes sound on the song's chord part. */
  void sound(Voicing voicing) {
    Optional<Part> keys = part();
    keys.ifPresent(part -> voicing.keys().forEach(key -> context.play().touch(part, key, TOUCH)));
  }

  /** Lets the chosen chord sound and then others, led from it. */
  void hearThen(List<Chord> chords) {
    ChordScene scene = scene();
    List<VoicingWish> wishes = new ArrayList<>();
    wishes.add(
        new VoicingWish(
            scene.span().chord(),
            Optional.empty(),
            Optional.empty(),
            Optional.of(scene.voicing())));
    chords.forEach(next -> wishes.add(VoicingWish.of(next)));
    var rule = scene.rule();
    hear(VoicingPlan.in(rule.range()).spread(rule.kind()).lay(wishes), 0);
  }

  /** Lets a whole progression sound, a chord after the other. */
  void hearAll(List<Chord> chords) {
    var rule = scene().rule();
    hear(VoicingPlan.in(rule.range()).spread(rule.kind()).voice(chords), 0);
  }

  private void hear(List<Voicing> voicings, int index) {
    if (index >= voicings.size()) {
      return;
    }
    sound(voicings.get(index));
    PauseTransition pause = new PauseTransition(BETWEEN);
    pause.setOnFinished(event -> hear(voicings, index + 1));
    pause.play();
  }
}
