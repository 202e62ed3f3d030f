package westtide.desktop.brief;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.LongSupplier;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.NumberField;
import westtide.desktop.room.RoomContext;
import westtide.rhythm.Clock;
import westtide.rhythm.Feel;
import westtide.rhythm.NoteValue;
import westtide.rhythm.TapTempo;
import westtide.rhythm.Tempo;
import westtide.rhythm.TempoChange;
import westtide.song.Brief;
import westtide.song.Song;
import westtide.song.edit.BriefEdits;
import westtide.style.Style;

/** Tempo typed, nudged or tapped, both its readings, and what a late change does to times. */
final class TempoBox extends VBox {
  private final RoomContext context;
  private final LongSupplier millis;
  private final NumberField tempo;
  private final Chips<Feel> feel;
  private final BandRule rule =
      new BandRule(
          new BandRule.Of(
              "tempo-rule", "tempo, BPM", 60, 180, 10, 1, bpm -> Tempo.nearest(bpm).toString()),
          bpm -> set(Tempo.nearest(bpm)));
  private final Label tapped = Controls.label("tap on the beat, or press T", "small");
  private final Label effect;
  private TapTempo taps = TapTempo.none();
  private int run;
  private Tempo opened = Tempo.of(120);
  private boolean fresh = true;

  /** {@code millis} times taps; {@code effect} says what a late change does. */
  TempoBox(RoomContext context, LongSupplier millis, Label effect) {
    super(2);
    this.effect = effect;
    this.context = context;
    this.millis = millis;
    this.feel = new Chips<>("feel-", Feel::toString, f -> context.apply(BriefEdits.feel(f)));
    this.tempo =
        new NumberField(
                "tempo",
                "tempo, BPM",
                text -> set(Tempo.parse(text)),
                units -> set(brief().tempo().plus(units * 1000)))
            .inline();
    context.open().watchOpening(() -> fresh = true);
    tapped.setId("tapped");
    Button tap = Controls.action("tap-tempo", "tap", this::tap);
    getChildren().addAll(Controls.wholeFlow(tempo, feel, tap, tapped), rule);
  }

  private void set(Tempo wanted) {
    context.apply(BriefEdits.tempo(wanted));
  }

  void show(Song song, Style style) {
    Brief brief = song.brief();
    if (fresh) {
      opened = brief.tempo();
      fresh = false;
    }
    tempo.show(brief.tempo().toString());
    feel.show(List.of(Feel.values()), brief.feel());
    rule.show(state(brief, style));
    showEffect(song);
  }

  private void showEffect(Song song) {
    boolean changed = !opened.equals(song.brief().tempo());
    effect.setText(
        changed ? words(new TempoChange(opened, song.brief().tempo()), song.ticks()) : "");
  }

  private static BandRule.State state(Brief brief, Style style) {
    boolean half = !brief.felt().equals(brief.tempo());
    String bar = Math.round(brief.tempo().millis(brief.meter().ticksPerBar())) + " ms a bar";
    return new BandRule.State(
        style.tempo().low(),
        style.tempo().high(),
        "usual for "
            + style.name().toLowerCase(Locale.ROOT)
            + ", "
            + Math.round(style.tempo().low())
            + " to "
            + Math.round(style.tempo().high()),
        brief.tempo().bpm(),
        half ? Optional.of(Double.parseDouble(brief.felt())) : Optional.empty(),
        false,
        (half ? "felt as " + brief.felt() + " · " : "") + bar);
  }

  /** What a change does, in one sentence a producer can use. */
  private static String words(TempoChange change, int ticks) {
    int dotted = NoteValue.DOTTED_EIGHTH.ticks();
    return String.format(
            Locale.ROOT,
            "From %s: %s becomes %s, a dotted eighth %.0f becomes %.0f ms. Audio played to fit moves"
                + " %+.2f semitones, or is stretched by %+.1f %%. Notes keep their places.",
            change.from(),
            Clock.of(change.before(ticks)),
            Clock.of(change.after(ticks)),
            change.before(dotted),
            change.after(dotted),
            change.repitch().semitones(),
            change.stretchPercent())
        .replace('-', '−');
  }

  /** Counts one tap at the present time; from the third on the tempo follows. */
  void tap() {
    taps = taps.plus(millis.getAsLong());
    run += taps.taps().size() == 1 ? 1 : 0;
    taps.reading()
        .ifPresentOrElse(
            found -> {
              context.open().apply(BriefEdits.tempo(found.tempo()), "tapping " + run);
              tapped.setText(words(found));
            },
            () -> tapped.setText("go on tapping"));
  }

  private static String words(TapTempo.Reading found) {
    String slips =
        found.dropped() == 0
            ? ""
            : ", " + found.dropped() + (found.dropped() == 1 ? " slip" : " slips") + " left out";
    return "tapped "
        + found.tempo()
        + " BPM, "
        + (found.steady() ? "steady" : "not steady yet")
        + " within "
        + Math.round(found.spread())
        + " ms"
        + slips;
  }

  private Brief brief() {
    return context.open().song().brief();
  }
}
