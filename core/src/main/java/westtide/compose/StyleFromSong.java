package westtide.compose;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import westtide.compose.groove.GrooveDraft;
import westtide.rhythm.StepLane;
import westtide.song.Brief;
import westtide.song.Part;
import westtide.song.PlayedBars;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.chord.ChordLine;
import westtide.song.chord.ChordRhythm;
import westtide.song.chord.ChordSpan;
import westtide.song.chord.Notation;
import westtide.song.chord.Progression;
import westtide.song.chord.Strum;
import westtide.song.drum.DrumLane;
import westtide.song.drum.LaneId;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.song.id.PartId;
import westtide.song.mix.Duck;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.KickLink;
import westtide.song.pattern.LowLine;
import westtide.song.pattern.Pattern;
import westtide.style.ChordHabit;
import westtide.style.EnsembleHabit;
import westtide.style.FormHabit;
import westtide.style.GrooveHabit;
import westtide.style.LaneHabit;
import westtide.style.LevelPlan;
import westtide.style.LowHabit;
import westtide.style.MixHabit;
import westtide.style.PartHabit;
import westtide.style.Reason;
import westtide.style.SoundHabit;
import westtide.style.Span;
import westtide.style.Style;
import westtide.theory.ChordQuality;

/**
 * Makes a style of one's own from a song: what the song does becomes the habit. Where the song has
 * nothing to show, the style it was made in lends its own.
 */
public final class StyleFromSong {
  private static final int TEMPO_AROUND = 5;
  private static final int SWING_AROUND = 3;

  private final Song song;
  private final Brief brief;
  private final Style base;

  private StyleFromSong(Song song, Style base) {
    this.song = song;
    this.brief = song.brief();
    this.base = base;
  }

  /** The style of a song made in {@code base}, under a name of its own. */
  public static Style of(Song song, Style base, String name) {
    return new StyleFromSong(song, base).style(name);
  }

  private Style style(String name) {
    double bpm = Math.round(brief.tempo().bpm());
    double swing = brief.swing().hundredths() / 100.0;
    return new Style(
        name.strip().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-"),
        name.strip(),
        "As in " + song.title() + ".",
        new Span(Math.max(20, bpm - TEMPO_AROUND), Math.min(300, bpm + TEMPO_AROUND), bpm),
        brief.feel(),
        new Span(Math.max(50, swing - SWING_AROUND), Math.min(75, swing + SWING_AROUND), swing),
        List.of(brief.key()),
        chords(),
        groove(),
        keys(),
        lead(),
        sub(),
        bass(),
        sound(),
        form(),
        base.boundaries(),
        ensemble(),
        base.checklist(),
        reasons());
  }

  /** A style has one part of each job; it is made from the one that is heard longest. */
  private Optional<Part> main(Role role) {
    return new PlayedBars(song).part(role);
  }

  private Optional<FollowRule.Chords> chordRule() {
    return new PlayedBars(song).rule(Role.CHORDS, FollowRule.Chords.class);
  }

  private ChordHabit chords() {
    List<ChordSpan> spans =
        song.progressions().stream().flatMap(row -> row.spans().stream()).toList();
    double share =
        spans.stream().filter(s -> s.chord().quality().seventh()).count() / (double) spans.size();
    Set<ChordQuality> colours = new LinkedHashSet<>();
    spans.forEach(span -> colours.add(span.chord().quality()));
    FollowRule.Chords rule =
        chordRule()
            .orElseGet(() -> FollowRule.Chords.of(base.keysPart().range(), Optional.empty()));
    return new ChordHabit(
        song.progressions().stream().map(this::line).distinct().toList(),
        song.progressions().size() > 1,
        song.form().sections().stream().anyMatch(s -> s.pedal().isPresent()),
        song.progressions().stream()
            .map(row -> row.rhythm().orElse(new ChordRhythm(rule.figure(), 0)))
            .distinct()
            .toList(),
        rule.kind(),
        spans.stream()
            .flatMap(span -> span.articulation().strum().stream())
            .mapToInt(Strum::millis)
            .findFirst()
            .orElse(0),
        rule.vary().amount(),
        List.copyOf(colours),
        new Span(Math.max(0, share - 0.3), Math.min(1, share + 0.3), share));
  }

  private String line(Progression row) {
    return ChordLine.in(brief.key(), brief.meter()).format(row.withNotation(Notation.NUMERALS));
  }

  private GrooveHabit groove() {
    Optional<Pattern.Drums> main = drums(GrooveDraft.MAIN);
    if (main.isEmpty()) {
      return base.groove();
    }
    Map<LaneId, LaneHabit> lanes = new LinkedHashMap<>();
    main.get().lanes().forEach(lane -> lanes.put(lane.id(), habit(lane)));
    int ticks = main.get().ticks(brief.meter());
    double hits =
        main.get().lanes().stream().mapToInt(l -> l.laid(ticks, ticks).size()).sum()
            / (double) main.get().bars();
    return new GrooveHabit(
        main.get().bars(),
        lanes,
        thin(main.get()),
        fills(),
        new Span(Math.floor(hits * 0.5), Math.ceil(hits * 1.5), hits),
        new GrooveHabit.Schools(
            School.KICK_VELOCITY.answer(song).equals(Optional.of("full")),
            School.EIGHT_BARS.answer(song).equals(Optional.of("evolving")),
            main.get().lanes().stream().mapToInt(l -> l.feel().velocity()).max().orElse(0)));
  }

  private LaneHabit habit(DrumLane lane) {
    int pan = main(Role.DRUMS).map(part -> part.sound(lane.id()).pan()).orElse(0);
    return new LaneHabit(
        List.of(lane.lane().toString()),
        lane.grid(),
        lane.feel().nudge(),
        pan,
        lane.accents().map(StepLane::toString).orElse(""),
        false);
  }

  private List<LaneId> thin(Pattern.Drums main) {
    Optional<Pattern.Drums> thin = drums(GrooveDraft.THIN);
    return main.lanes().stream()
        .map(DrumLane::id)
        .filter(
            id ->
                thin.map(t -> t.find(id).map(l -> l.lane().hits().isEmpty()).orElse(true))
                    .orElse(false))
        .toList();
  }

  private List<Map<LaneId, String>> fills() {
    Optional<Pattern.Drums> fill = drums(GrooveDraft.FILL);
    if (fill.isEmpty()) {
      return base.groove().fills();
    }
    Map<LaneId, String> lanes = new LinkedHashMap<>();
    fill.get().lanes().forEach(lane -> lanes.put(lane.id(), lane.lane().toString()));
    return List.of(lanes);
  }

  private Optional<Pattern.Drums> drums(String pattern) {
    return main(Role.DRUMS)
        .filter(part -> part.find(pattern).isPresent())
        .flatMap(part -> part.groove(pattern, brief.meter()));
  }

  private PartHabit.Keys keys() {
    return main(Role.CHORDS)
        .map(
            part ->
                new PartHabit.Keys(
                    part.name(),
                    part.program(),
                    chordRule().map(FollowRule.Chords::range).orElse(base.keysPart().range())))
        .orElse(base.keysPart());
  }

  private PartHabit.Lead lead() {
    return main(Role.LINE)
        .map(
            part ->
                new PartHabit.Lead(
                    part.name(),
                    part.program(),
                    base.lead().low(),
                    base.lead().high(),
                    base.lead().bright(),
                    base.lead().language()))
        .orElse(base.lead());
  }

  private PartHabit.Bass808 sub() {
    PartHabit.Bass808 own = base.sub();
    return main(Role.SUB)
        .map(
            part ->
                new PartHabit.Bass808(
                    part.name(),
                    part.program(),
                    grammar(Role.SUB).map(StyleFromSong::link).orElse(own.link()),
                    grammar(Role.SUB).map(rule -> List.of(rule.figure())).orElse(own.figures()),
                    grammar(Role.SUB).map(LowLine::lowest).orElse(own.lowest()),
                    grammar(Role.SUB).map(LowHabit::of).orElse(own.grammar())))
        .orElse(own);
  }

  private static KickLink link(LowLine rule) {
    return rule.rhythm() == LowLine.Rhythm.KICK ? KickLink.LOCKED : KickLink.INDEPENDENT;
  }

  private PartHabit.Bass bass() {
    PartHabit.Bass own = base.bass();
    return main(Role.BASS)
        .map(
            part ->
                new PartHabit.Bass(
                    part.name(),
                    part.program(),
                    grammar(Role.BASS).map(rule -> List.of(rule.figure())).orElse(own.figures()),
                    grammar(Role.BASS).map(LowLine::lowest).orElse(own.lowest()),
                    grammar(Role.BASS).map(LowHabit::of).orElse(own.grammar())))
        .orElse(own);
  }

  /** The grammar of a low part; a plainer rule of an older song is said in it. */
  private Optional<LowLine> grammar(Role role) {
    PlayedBars played = new PlayedBars(song);
    return played
        .rule(role, LowLine.class)
        .or(() -> played.rule(role, FollowRule.Bass808.class).map(LowLine::from))
        .or(() -> played.rule(role, FollowRule.Bass.class).map(LowLine::from));
  }

  private SoundHabit sound() {
    Map<String, String> instruments = new LinkedHashMap<>();
    Set<String> ducked = new LinkedHashSet<>();
    Duck.Trigger trigger = base.sound().trigger();
    for (Part part : song.parts()) {
      instruments.put(part.id().value(), part.patch().instrument());
      if (!part.mix().duck().equals(Duck.NONE)) {
        ducked.add(part.id().value());
        trigger = part.mix().duck().trigger();
      }
    }
    return new SoundHabit(instruments, ducked, trigger, base.sound().tilt());
  }

  /** The members that are still there, as they stand now. */
  private EnsembleHabit ensemble() {
    EnsembleHabit own = base.ensemble();
    List<EnsembleHabit.Member> members = new ArrayList<>();
    for (EnsembleHabit.Member member : own.members()) {
      song.part(member.id()).ifPresent(part -> members.add(member.as(part)));
    }
    Map<PartId, MixHabit> mixes = new LinkedHashMap<>();
    for (PartId id : own.mixes().keySet()) {
      song.part(id).ifPresent(part -> mixes.put(id, MixHabit.of(part.mix())));
    }
    return new EnsembleHabit(
        members, mixes, own.returns(), own.timing(), song.master(), own.heard());
  }

  private FormHabit form() {
    List<FormHabit.Template> templates = new ArrayList<>();
    templates.add(new FormHabit.Template("As in " + song.title(), song.form().toString()));
    templates.addAll(base.form().templates());
    Map<SectionKind, Map<String, LevelPlan>> levels = new EnumMap<>(SectionKind.class);
    levels.putAll(base.form().levels());
    for (Section section : song.form().sections()) {
      levels.put(section.word().kind(), plans(section));
    }
    return new FormHabit(templates, levels, base.form().energy(), base.form().lastHook());
  }

  /** What each part does in a section, halved where it changes halfway. */
  private Map<String, LevelPlan> plans(Section section) {
    Map<String, LevelPlan> out = new LinkedHashMap<>();
    for (Part part : song.parts()) {
      String first = plan(section, part, 0);
      String second = plan(section, part, section.bars() / 2);
      out.put(
          part.id().value(), new LevelPlan(first.equals(second) ? first : first + "/" + second));
    }
    return out;
  }

  private static String plan(Section section, Part part, int bar) {
    var cell = section.cell(part.id(), bar);
    String pattern = cell.pattern().isEmpty() ? SongDraft.MAIN : cell.pattern();
    return cell.level() + (pattern.equals(SongDraft.MAIN) ? "" : ":" + pattern);
  }

  private List<Reason> reasons() {
    String as = "As in " + song.title() + ".";
    return base.reasons().stream().map(r -> new Reason(r.topic(), r.habit(), as)).toList();
  }
}
