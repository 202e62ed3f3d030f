package westtide.desktop.chords;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.Desk;
import westtide.desktop.Room;
import westtide.desktop.SongView;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.TypedLine;
import westtide.desktop.play.Moment;
import westtide.follow.ChordVoicings;
import westtide.review.Stage;
import westtide.song.Brief;
import westtide.song.FollowRule;
import westtide.song.Part;
import westtide.song.Pattern;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.chord.ChordLine;
import westtide.song.chord.ChordSpan;
import westtide.song.chord.Notation;
import westtide.song.chord.Progression;
import westtide.song.edit.ChordEdits;
import westtide.text.Reading;
import westtide.theory.Chord;
import westtide.theory.NoteName;
import westtide.theory.VoiceLeading;
import westtide.theory.Voicing;
import westtide.theory.VoicingRange;

/** Progressions: a typed line, cards and the ladder of voices. */
public final class ChordsRoom implements Room {
  private static final int TOUCH = 90;
  private static final VoicingRange USUAL = new VoicingRange(51, 58, 76);

  private final Desk desk;
  private final VBox sheet = new VBox();
  private final Chips<String> rows;
  private final Chips<Notation> notation;
  private final Label used = Controls.label("", "small");
  private final TypedLine line;
  private final VoiceLadder ladder = new VoiceLadder(this::select);
  private final Label told = Controls.wrapped("");
  private String row = "";
  private int chord;

  /** The room. */
  public ChordsRoom(Desk desk) {
    this.desk = desk;
    this.rows = new Chips<>("progression-", name -> name, this::choose);
    this.notation =
        new Chips<>(
            "notation-",
            n -> n == Notation.NAMES ? "names" : "numerals",
            n -> desk.apply(ChordEdits.notation(row, n)));
    this.line = new TypedLine("chord-line", "such as i9 | VImaj7 . . III | iv7", this::take);
    build();
  }

  @Override
  public Stage stage() {
    return Stage.CHORDS;
  }

  @Override
  public Node node() {
    return sheet;
  }

  @Override
  public String fact(SongView view) {
    Progression hook = view.song().progressions().get(0);
    int chords = hook.spans().size();
    return hook.bars(view.song().brief().meter()) + " bars · " + chords + " chords";
  }

  @Override
  public void show(SongView view) {
    Song song = view.song();
    List<String> names = song.progressions().stream().map(Progression::name).toList();
    if (!names.contains(row)) {
      row = names.get(0);
      chord = 0;
    }
    Progression shown = song.progression(row);
    chord = Math.min(chord, shown.spans().size() - 1);
    rows.show(names, row);
    notation.show(List.of(Notation.values()), shown.notation());
    used.setText(usedBy(song));
    line.show(ChordLine.in(song.brief().key(), song.brief().meter()).format(shown));
    List<Voicing> voicings = voicings(song, shown);
    ladder.show(song.brief(), shown, voicings, chord);
    told.setText(tell(song.brief(), shown, voicings));
  }

  @Override
  public void follow(Moment moment) {
    Song song = desk.open().song();
    boolean shown = song.form().sections().get(moment.section()).progression().equals(row);
    if (shown && moment.playing()) {
      ladder.playAt(moment.sectionTick() % song.progression(row).ticks());
    } else {
      ladder.playNowhere();
    }
  }

  private void build() {
    sheet.getStyleClass().add("sheet");
    VBox.setVgrow(ladder, Priority.ALWAYS);
    told.setId("chord-told");
    sheet
        .getChildren()
        .addAll(
            Controls.row(14, Controls.title("Chords"), rows, used, Controls.spring(), notation),
            line,
            Controls.label(
                "one bar between |, words share it, . holds the chord before; Enter takes the line",
                "small"),
            ladder,
            told);
  }

  private Optional<TypedLine.Trouble> take(String text) {
    Brief brief = desk.open().song().brief();
    Reading<List<ChordSpan>> reading = ChordLine.in(brief.key(), brief.meter()).parse(text);
    if (reading instanceof Reading.Problem<List<ChordSpan>> problem) {
      return Optional.of(new TypedLine.Trouble(problem.column(), problem.message()));
    }
    desk.apply(ChordEdits.line(row, reading.orElseThrow()));
    touch();
    return Optional.empty();
  }

  private void choose(String name) {
    row = name;
    chord = 0;
    refresh();
  }

  private void select(int index) {
    chord = index;
    refresh();
    touch();
  }

  /** Lets the chosen chord sound as it is laid out. */
  private void touch() {
    Song song = desk.open().song();
    Optional<Part> keys = song.part(Role.CHORDS);
    keys.ifPresent(
        part ->
            voicings(song, song.progression(row))
                .get(chord)
                .keys()
                .forEach(key -> desk.play().touch(part, key, TOUCH)));
  }

  private void refresh() {
    desk.open().view().ifPresent(this::show);
  }

  private String usedBy(Song song) {
    long sections =
        song.form().sections().stream().filter(s -> s.progression().equals(row)).count();
    return "used by " + sections + " of " + song.form().sections().size() + " sections";
  }

  private static List<Voicing> voicings(Song song, Progression shown) {
    Optional<Pattern> pattern =
        song.part(Role.CHORDS).map(part -> part.variants().get(0).pattern());
    FollowRule.Chords rule = FollowRule.Chords.of(USUAL, Optional.empty());
    if (pattern.isPresent()
        && pattern.get() instanceof Pattern.Following following
        && following.rule() instanceof FollowRule.Chords own) {
      rule = own;
    }
    return ChordVoicings.of(rule, shown.spans(), shown.octave());
  }

  private String tell(Brief brief, Progression shown, List<Voicing> voicings) {
    Chord here = shown.spans().get(chord).chord();
    String notes =
        voicings.get(chord).keys().stream()
            .map(key -> brief.key().pitch(key).toString())
            .collect(Collectors.joining(" "));
    String tones = here.notes().stream().map(NoteName::toString).collect(Collectors.joining(" "));
    StringBuilder out = new StringBuilder(here + " is " + tones + ", laid out " + notes);
    if (chord + 1 < voicings.size()) {
      int moved = VoiceLeading.movement(voicings.get(chord), voicings.get(chord + 1));
      Chord next = shown.spans().get(chord + 1).chord();
      int held = VoiceLeading.commonTones(here, next);
      out.append("; to ").append(next).append(" the voices move ").append(moved);
      out.append(" semitones and ")
          .append(held)
          .append(held == 1 ? " note" : " notes")
          .append(" can stay");
    }
    return out + ".";
  }
}
