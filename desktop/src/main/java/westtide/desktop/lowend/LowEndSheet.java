package westtide.desktop.lowend;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BiConsumer;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;
import westtide.desktop.kit.Axis;
import westtide.desktop.kit.Drawing;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.open.NotePlace;
import westtide.desktop.open.SongView;
import westtide.review.LowEndRange;
import westtide.rhythm.Position;
import westtide.score.ScoredNote;
import westtide.score.ScoredPart;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Section;
import westtide.song.Song;
import westtide.song.chord.PlacedChord;
import westtide.song.drum.DrumVoice;
import westtide.song.id.PartId;
import westtide.theory.Key;
import westtide.theory.Pitch;
import westtide.theory.RomanNumeral;

/**
 * Four bars of the low end: the 808 as bars on a ladder of note and Hz, the bass as outlines, kick
 * hits as verticals, the useful range of the 808 and the zone other parts leave to it shaded, and
 * notes that intrude there marked.
 */
final class LowEndSheet extends Drawing {
  private static final int BARS = 4;
  private static final List<Role> LOW = List.of(Role.SUB, Role.BASS);
  private static final double LEFT = 92;
  private static final double TOP = 30;
  private static final double FOOT = 34;
  private static final double BESIDE = 12;

  private final Runnable earlier;
  private final Runnable later;
  private final BiConsumer<Optional<NotePlace>, Optional<ScoredNote>> choose;
  private final KeyTable keys =
      new KeyTable("Low end")
          .key("note before", () -> walk(-1), "LEFT")
          .key("next note", () -> walk(1), "RIGHT")
          .key("earlier bars", () -> turn(false), "PAGE_UP")
          .key("later bars", () -> turn(true), "PAGE_DOWN");
  private Optional<SongView> view = Optional.empty();
  private PartId part;
  private int section;
  private int firstBar;
  private Set<NotePlace> notes = Set.of();

  LowEndSheet(
      Runnable earlier,
      Runnable later,
      BiConsumer<Optional<NotePlace>, Optional<ScoredNote>> choose) {
    super("Low end: 808 and bass against the kick", true);
    this.earlier = earlier;
    this.later = later;
    this.choose = choose;
    setId("low-end-sheet");
    setOnMousePressed(
        event -> {
          requestFocus();
          press(event.getX());
        });
    setOnKeyPressed(keys::handle);
  }

  /** What can be done here and by which keys. */
  KeyTable keys() {
    return keys;
  }

  private void turn(boolean forward) {
    (forward ? later : earlier).run();
  }

  /** Chooses the next note of the part, or the one before. */
  private void walk(int by) {
    List<ScoredNote> sub = chosen(view.orElseThrow(), firstTick(), endTick());
    int at = -1;
    for (int i = 0; i < sub.size(); i++) {
      at = notes.contains(place(sub.get(i))) ? i : at;
    }
    int next = at < 0 ? (by > 0 ? 0 : sub.size() - 1) : at + by;
    if (next >= 0 && next < sub.size()) {
      choose.accept(Optional.of(place(sub.get(next))), Optional.of(sub.get(next)));
    } else {
      turn(next > 0);
    }
  }

  /** Shows the four bars of a section that begin with a bar of it, from 0. */
  void show(SongView shown, PartId chosen, int of, int fromBar, Set<NotePlace> chosenNotes) {
    view = Optional.of(shown);
    part = chosen;
    section = of;
    firstBar = fromBar;
    notes = chosenNotes;
    redraw();
  }

  /** Shows a tick of the song, if it is in the bars shown. */
  void follow(double tick) {
    if (view.isPresent() && tick >= firstTick() && tick < endTick()) {
      playAt(tick);
    } else {
      playNowhere();
    }
  }

  @Override
  protected double playX(double tick) {
    return time().at(tick);
  }

  private int firstTick() {
    SongView v = view.orElseThrow();
    int bar = v.song().form().startBar(section) + firstBar;
    return bar * v.song().brief().meter().ticksPerBar();
  }

  private int endTick() {
    SongView v = view.orElseThrow();
    int bars = Math.min(BARS, v.song().form().sections().get(section).bars() - firstBar);
    return firstTick() + bars * v.song().brief().meter().ticksPerBar();
  }

  private Axis time() {
    return new Axis(firstTick(), endTick(), LEFT, getWidth() - 10);
  }

  /** Chooses the note of the part in front under a pixel of the time axis, or none. */
  private void press(double pixel) {
    if (view.isPresent()) {
      double tick = time().value(pixel);
      Optional<ScoredNote> note =
          chosen(view.get(), firstTick(), endTick()).stream()
              .filter(n -> tick >= n.start() && tick < n.end())
              .findFirst();
      choose.accept(note.map(this::place), note);
    }
  }

  /** The place of a note in what the part plays over the section. */
  private NotePlace place(ScoredNote note) {
    Song song = view.orElseThrow().song();
    int start = song.form().startBar(section) * song.brief().meter().ticksPerBar();
    return new NotePlace("", note.written() - start, note.key());
  }

  @Override
  protected void draw() {
    if (view.isEmpty()) {
      return;
    }
    SongView v = view.get();
    int from = firstTick();
    int to = endTick();
    Axis x = time();
    List<ScoredNote> sub = chosen(v, from, to);
    List<ScoredNote> bass = others(v, from, to);
    Axis y = ladder(sub, bass);
    drawZones(y);
    drawRungs(v, y, sub, bass);
    drawBars(v, x, from, to);
    drawKicks(v, x, from, to);
    List<ScoredNote> low = new ArrayList<>(sub);
    low.addAll(bass);
    drawZoneNames(x, y, low);
    for (int i = 0; i < sub.size(); i++) {
      drawSub(v, sub.get(i), i, x, y);
    }
    bass.forEach(note -> drawBass(note, sub, x, y));
    List<ScoredNote> subs =
        v.score().parts(Role.SUB).stream()
            .flatMap(scored -> scored.between(from, to).stream())
            .toList();
    drawIntruders(v, x, y, from, to, subs);
    if (sub.isEmpty()) {
      text(
          LEFT + 14,
          y.at(LowEndRange.LOWEST_USEFUL) - 10,
          v.song().part(part).map(Part::name).orElse("it") + " is out in these bars",
          "section");
    }
    ring(2, 2, getWidth() - 4, getHeight() - 4);
  }

  /** The notes of the part in front. */
  private List<ScoredNote> chosen(SongView v, int from, int to) {
    return v.score().part(part).map(scored -> scored.between(from, to)).orElse(List.of());
  }

  /** The notes of every other low part. */
  private List<ScoredNote> others(SongView v, int from, int to) {
    return v.score().parts().stream()
        .filter(scored -> !scored.part().id().equals(part))
        .filter(scored -> LOW.contains(scored.part().role()))
        .flatMap(scored -> scored.between(from, to).stream())
        .toList();
  }

  private Axis ladder(List<ScoredNote> sub, List<ScoredNote> bass) {
    List<ScoredNote> all = new ArrayList<>(sub);
    all.addAll(bass);
    int low = all.stream().mapToInt(ScoredNote::key).min().orElse(LowEndRange.LOWEST_USEFUL);
    int high = all.stream().mapToInt(ScoredNote::key).max().orElse(LowEndRange.HIGHEST_LEFT_FREE);
    return new Axis(
        Math.min(LowEndRange.LOWEST_USEFUL, low) - 1.5,
        Math.max(LowEndRange.HIGHEST_LEFT_FREE, high) + 1.5,
        getHeight() - FOOT,
        TOP);
  }

  private void drawZones(Axis y) {
    double right = getWidth() - 10;
    double free = y.at(LowEndRange.HIGHEST_LEFT_FREE + 0.5);
    double useful = y.at(LowEndRange.HIGHEST_USEFUL + 0.5);
    double bottom = y.at(LowEndRange.LOWEST_USEFUL - 0.5);
    box(LEFT, free, right - LEFT, useful - free, "band", "leave");
    box(LEFT, useful, right - LEFT, bottom - useful, "band", "useful");
  }

  /** Over the verticals, each on a patch of its own band, where no note is in the way. */
  private void drawZoneNames(Axis x, Axis y, List<ScoredNote> notes) {
    patch(
        x,
        y,
        y.at(LowEndRange.HIGHEST_LEFT_FREE + 0.5) + 14,
        notes,
        "left free for it, up to 150 Hz",
        "leave");
    patch(
        x,
        y,
        y.at(LowEndRange.LOWEST_USEFUL - 0.5) - 6,
        notes,
        "useful range of the 808",
        "useful");
  }

  private void patch(
      Axis x, Axis y, double foot, List<ScoredNote> notes, String words, String band) {
    for (double bars = 0; bars < BARS; bars += 0.5) {
      Text text =
          textEnding(getWidth() - 18 - bars / BARS * (getWidth() - LEFT), foot, words, "soft");
      double left = text.getX() - 4;
      double width = text.getLayoutBounds().getWidth() + 8;
      boolean free =
          left > LEFT
              && notes.stream()
                  .filter(note -> Math.abs(y.at(note.key()) - (foot - 4)) < 16)
                  .noneMatch(
                      note -> x.at(note.start()) < left + width && x.at(note.end()) > left - 8);
      if (free) {
        box(left, foot - 11, width, 15, "band", band);
        raise(text);
        return;
      }
      remove(text);
    }
  }

  private void drawRungs(SongView v, Axis y, List<ScoredNote> sub, List<ScoredNote> bass) {
    TreeSet<Integer> keys =
        new TreeSet<>(
            List.of(
                LowEndRange.LOWEST_USEFUL,
                LowEndRange.HIGHEST_USEFUL,
                LowEndRange.HIGHEST_LEFT_FREE));
    sub.forEach(note -> keys.add(note.key()));
    bass.forEach(note -> keys.add(note.key()));
    Key key = v.song().brief().key();
    textEnding(LEFT - 8, TOP - 12, "Hz", "soft");
    double last = Double.MAX_VALUE;
    for (int midi : keys) {
      double at = y.at(midi);
      line(LEFT, at, getWidth() - 10, at, "rule", "faint");
      if (last - at >= 12) {
        text(8, at + 4, key.pitch(midi).toString());
        textEnding(
            LEFT - 8,
            at + 4,
            String.format(java.util.Locale.ROOT, "%.1f", Pitch.hertz(midi)),
            "soft");
        last = at;
      }
    }
  }

  private void drawBars(SongView v, Axis x, int from, int to) {
    int ticksPerBar = v.song().brief().meter().ticksPerBar();
    for (int tick = from; tick <= to; tick += ticksPerBar) {
      line(x.at(tick), TOP - 8, x.at(tick), getHeight() - FOOT, "rule", "bar");
    }
    int start = v.song().form().startBar(section) * ticksPerBar;
    for (PlacedChord chord : chords(v)) {
      int at = start + chord.start();
      if (at >= from && at < to) {
        Position position = Position.of(at, v.song().brief().meter());
        String numeral = RomanNumeral.of(chord.chord(), v.song().brief().key()).toString();
        String words =
            (at % ticksPerBar == 0 ? position.bar() + "  " : "") + numeral + "  " + chord.chord();
        squeeze(text(x.at(at) + 6, TOP - 12, words, "bold"), x.length(chord.ticks()) - 10);
      }
    }
  }

  /** The chords the part in front hears, or those of the section where it has no place in it. */
  private List<PlacedChord> chords(SongView v) {
    Section shown = v.song().form().sections().get(section);
    return v.score().part(part).stream()
        .flatMap(scored -> scored.passages().stream())
        .filter(passage -> passage.place() == section)
        .findFirst()
        .map(passage -> passage.harmony().chords())
        .orElseGet(
            () ->
                v.song()
                    .progression(shown.progression())
                    .over(shown.bars() * v.song().brief().meter().ticksPerBar()));
  }

  private static List<ScoredNote> drums(SongView v, int from, int to) {
    return v.score().parts(Role.DRUMS).stream()
        .flatMap(part -> part.between(from, to).stream())
        .toList();
  }

  private void drawKicks(SongView v, Axis x, int from, int to) {
    double bottom = getHeight() - FOOT;
    text(8, bottom + 18, "kick", "soft");
    for (ScoredNote note : drums(v, from, to)) {
      if (note.of(DrumVoice.KICK)) {
        line(x.at(note.start()), TOP, x.at(note.start()), bottom, "rule", "kick");
        dot(x.at(note.start()), bottom + 14, 5, "bead");
      }
    }
  }

  private void drawSub(SongView v, ScoredNote note, int index, Axis x, Axis y) {
    double height = 13;
    double width =
        Math.max(height, x.length(Math.min(note.ticks(), (int) x.high() - note.start())) - 3);
    Rectangle bar = box(x.at(note.start()), y.at(note.key()) - height / 2, width, height, "note");
    bar.setArcWidth(height);
    bar.setArcHeight(height);
    String name = v.song().part(part).map(Part::name).orElse("");
    String words = name + " " + v.song().brief().key().pitch(note.key());
    boolean isChosen = notes.contains(place(note));
    thing(bar, "sub-" + index, "note", words, isChosen);
    sounds(bar, note.start(), note.end());
    if (isChosen) {
      chosenRing(bar.getX() - 3, bar.getY() - 3, width + 6, height + 6);
    }
  }

  /** A note of another low part; beside the one in front where both would lie on one place. */
  private void drawBass(ScoredNote note, List<ScoredNote> sub, Axis x, Axis y) {
    boolean under =
        sub.stream()
            .anyMatch(
                s -> s.key() == note.key() && s.start() < note.end() && note.start() < s.end());
    double beside = under ? BESIDE : 0;
    Rectangle bar =
        box(
            x.at(note.start()),
            y.at(note.key()) - 4.5 + beside,
            x.length(note.ticks()) - 3,
            9,
            "tank-wall");
    bar.setArcWidth(9);
    bar.setArcHeight(9);
  }

  private void drawIntruders(SongView v, Axis x, Axis y, int from, int to, List<ScoredNote> sub) {
    for (ScoredPart part : v.score().parts()) {
      if (part.part().role() != Role.LINE && part.part().role() != Role.CHORDS) {
        continue;
      }
      for (ScoredNote note : part.between(from, to)) {
        boolean clash =
            sub.stream().anyMatch(s -> s.start() < note.end() && note.start() < s.end());
        if (LowEndRange.leftFree(note.key()) && clash) {
          box(
              x.at(note.start()),
              y.at(note.key()) - 4,
              x.length(note.ticks()) - 2,
              8,
              "note",
              "alarm");
          text(x.at(note.start()), y.at(note.key()) - 8, part.part().name(), "alarm");
        }
      }
    }
  }
}
