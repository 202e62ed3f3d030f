package westtide.compose;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Stream;
import westtide.compose.chord.ChordTurns;
import westtide.compose.chord.ProgressionDraft;
import westtide.compose.form.FormDraft;
import westtide.compose.form.TransitionDraft;
import westtide.compose.groove.GrooveDraft;
import westtide.compose.line.LineDraft;
import westtide.rhythm.Meter;
import westtide.rhythm.Swing;
import westtide.rhythm.Tempo;
import westtide.song.Brief;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.chord.ChordLine;
import westtide.song.chord.ChordRhythm;
import westtide.song.chord.ChordSpan;
import westtide.song.chord.Progression;
import westtide.song.chord.Strum;
import westtide.song.edit.MarksPart;
import westtide.song.form.Form;
import westtide.song.form.FormLine;
import westtide.song.form.SectionKind;
import westtide.song.id.PartId;
import westtide.song.id.Seed;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.style.CoreParts;
import westtide.style.FormHabit;
import westtide.style.PartHabit;
import westtide.style.Style;
import westtide.theory.Key;

/**
 * The first draft of a whole song. What is wished for is used; everything else comes from the style
 * and the seed.
 *
 * @param style the style
 * @param seed where the takes start
 * @param title the song's name
 * @param tempo the tempo wished for
 * @param key the key wished for
 * @param chordLine the hook's chords wished for, as typed
 * @param formLine the form wished for, as typed
 * @param plan the style's form that is taken where none is wished for; empty for its first
 */
public record SongDraft(
    Style style,
    Seed seed,
    String title,
    Optional<Tempo> tempo,
    Optional<Key> key,
    Optional<String> chordLine,
    Optional<String> formLine,
    Optional<String> plan) {
  /** The name of the usual pattern of a part. */
  public static final String MAIN = GrooveDraft.MAIN;

  /** The name of the short hint of a lead. */
  public static final String TEASE = "tease";

  /** A draft with nothing wished for. */
  public static SongDraft in(Style style) {
    return new SongDraft(
        style,
        new Seed(1),
        "Untitled",
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty());
  }

  /** The same draft from another seed. */
  public SongDraft withSeed(long value) {
    return with(copy -> copy.seed = new Seed(value));
  }

  /** The same draft under a title. */
  public SongDraft withTitle(String other) {
    return with(copy -> copy.title = other);
  }

  /** The same draft at a tempo. */
  public SongDraft withTempo(Tempo wished) {
    return with(copy -> copy.tempo = Optional.of(wished));
  }

  /** The same draft in a key. */
  public SongDraft withKey(Key wished) {
    return with(copy -> copy.key = Optional.of(wished));
  }

  /** The same draft over a typed chord line for the hook. */
  public SongDraft withChords(String wished) {
    return with(copy -> copy.chordLine = Optional.of(wished));
  }

  /** The same draft in a typed form. */
  public SongDraft withForm(String wished) {
    return with(copy -> copy.formLine = Optional.of(wished));
  }

  /** The same draft laid out like a form, its sections entered as the style does. */
  public SongDraft withPlan(String line) {
    return with(copy -> copy.plan = Optional.of(line));
  }

  /**
   * The same draft with tempo, key, chords and form drawn from what the style ranges over, each
   * where nothing is wished for.
   */
  public SongDraft drawn() {
    Random pace = seed.random("tempo");
    int slowest = (int) Math.ceil(style.tempo().low());
    int fastest = (int) Math.floor(style.tempo().high());
    Tempo drawnTempo = Tempo.of(slowest + pace.nextInt(fastest - slowest + 1));
    Key drawnKey = key.orElseGet(() -> Seed.pick(style.keys(), seed.random("key")));
    List<FormHabit.Template> forms = style.form().templates();
    return new SongDraft(
        style,
        seed,
        title,
        Optional.of(tempo.orElse(drawnTempo)),
        Optional.of(drawnKey),
        chordLine.or(() -> new ChordTurns(style, drawnKey, seed).line()),
        formLine,
        plan.or(() -> Optional.of(Seed.pick(forms, seed.random("form")).line())));
  }

  /**
   * The song.
   *
   * @throws IllegalArgumentException when the chord or form line is not understood; the message
   *     points
   */
  public Song song() {
    Brief brief = brief();
    Optional<List<ChordSpan>> given =
        chordLine.map(line -> ChordLine.in(brief.key(), brief.meter()).parse(line).orElseThrow());
    ChordRhythm rhythm = Seed.pick(style.chords().rhythms(), seed.random("chord figure"));
    List<Progression> progressions =
        new ProgressionDraft(style, brief, seed)
            .draw(given).stream().map(row -> played(row, rhythm)).toList();
    List<Part> parts =
        Stream.of(keys(rhythm), lead(brief, progressions.get(0)), drums(), sub(), bass())
            .map(style.sound()::dress)
            .toList();
    Form drafted =
        FormDraft.in(style, progressions, parts)
            .form(FormLine.parse(line(), brief.meter()).orElseThrow());
    Form form = style.chords().pedal() ? withPedal(drafted, brief.key()) : drafted;
    Song plain =
        new Song(title, "", seed.value(), brief, progressions, parts, form, Set.of(), "{}");
    Song song =
        formLine.isPresent()
            ? MarksPart.with(plain)
            : new TransitionDraft(style, plain).propose().apply(plain);
    return style.groove().schools().throughWritten() ? DrumSchools.withEightBars(song, true) : song;
  }

  private Brief brief() {
    return Brief.of(
        style.id(),
        tempo.orElseGet(() -> Tempo.of((int) style.tempo().start())),
        style.feel(),
        Meter.COMMON,
        key.orElseGet(() -> style.keys().get(0)),
        Swing.of((int) style.swing().start()));
  }

  private String line() {
    List<FormHabit.Template> templates = style.form().templates();
    return formLine.or(() -> plan).orElseGet(() -> templates.get(0).line());
  }

  /** Pushed as the rhythm says, and every second chord strummed where the style strums. */
  private Progression played(Progression row, ChordRhythm rhythm) {
    List<ChordSpan> spans = new ArrayList<>(row.spans());
    int strum = style.chords().strum();
    for (int i = 0; strum > 0 && i < spans.size(); i += 2) {
      spans.set(i, spans.get(i).withArticulation(m -> m.withStrum(Optional.of(Strum.up(strum)))));
    }
    Optional<ChordRhythm> own = Optional.of(rhythm).filter(r -> r.push() > 0);
    return row.withSpans(spans).withRhythm(own);
  }

  private static Form withPedal(Form form, Key key) {
    return new Form(
        form.sections().stream()
            .map(
                section ->
                    section.word().kind() == SectionKind.VERSE
                        ? section.withPedal(Optional.of(key.tonic()))
                        : section)
            .toList());
  }

  private Part keys(ChordRhythm rhythm) {
    FollowRule rule =
        FollowRule.Chords.of(style.keysPart().range(), rhythm.figure())
            .withKind(style.chords().spread())
            .withVary(new FollowRule.Vary(style.chords().vary(), seed.value()));
    return following(CoreParts.KEYS, style.keysPart(), Role.CHORDS, rule);
  }

  private Part lead(Brief brief, Progression hook) {
    LineDraft draft = new LineDraft(brief.key(), brief.meter(), style.lead());
    Pattern.Written line = draft.draw(hook, seed);
    return Part.of(
        CoreParts.LEAD,
        style.lead().name(),
        Role.LINE,
        style.lead().program(),
        List.of(new NamedPattern(MAIN, line), new NamedPattern(TEASE, draft.tease(line))));
  }

  private Part drums() {
    GrooveDraft draft = new GrooveDraft(style.groove(), seed);
    return draft.voiced(Part.of(CoreParts.DRUMS, "Drums", Role.DRUMS, 0, draft.draw()));
  }

  private Part sub() {
    PartHabit.Bass808 habit = style.sub();
    Random random = seed.random("808");
    FollowRule rule =
        habit
            .grammar()
            .draw(Seed.pick(habit.figures(), random), CoreParts.BASS, habit.lowest(), random);
    return following(CoreParts.SUB, habit, Role.SUB, rule);
  }

  private Part bass() {
    PartHabit.Bass habit = style.bass();
    Random random = seed.random("bass");
    FollowRule rule =
        habit
            .grammar()
            .draw(Seed.pick(habit.figures(), random), CoreParts.SUB, habit.lowest(), random);
    return following(CoreParts.BASS, habit, Role.BASS, rule);
  }

  private static Part following(PartId id, PartHabit habit, Role role, FollowRule rule) {
    return Part.of(
        id,
        habit.name(),
        role,
        habit.program(),
        List.of(new NamedPattern(MAIN, new Pattern.Following(rule))));
  }

  private SongDraft with(Consumer<Copy> change) {
    Copy copy = new Copy(this);
    change.accept(copy);
    return copy.made();
  }

  /** Its values by their names, so that one of them can be another. */
  private static final class Copy {
    private Style style;
    private Seed seed;
    private String title;
    private Optional<Tempo> tempo;
    private Optional<Key> key;
    private Optional<String> chordLine;
    private Optional<String> formLine;
    private Optional<String> plan;

    Copy(SongDraft from) {
      style = from.style;
      seed = from.seed;
      title = from.title;
      tempo = from.tempo;
      key = from.key;
      chordLine = from.chordLine;
      formLine = from.formLine;
      plan = from.plan;
    }

    SongDraft made() {
      return new SongDraft(style, seed, title, tempo, key, chordLine, formLine, plan);
    }
  }
}
