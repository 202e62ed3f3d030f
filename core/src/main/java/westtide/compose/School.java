package westtide.compose;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import westtide.rhythm.Hit;
import westtide.rhythm.StepLane;
import westtide.song.DrumLane;
import westtide.song.DrumVoice;
import westtide.song.FollowRule;
import westtide.song.FormLine;
import westtide.song.KickLink;
import westtide.song.Pattern;
import westtide.song.Role;
import westtide.song.Section;
import westtide.song.SectionKind;
import westtide.song.Song;
import westtide.song.Variant;
import westtide.song.chord.Progression;
import westtide.song.edit.ChordEdits;
import westtide.song.edit.ChordPartEdits;
import westtide.song.edit.Edit;
import westtide.song.edit.FormEdits;
import westtide.song.edit.LowEndEdits;
import westtide.song.edit.RowEdits;
import westtide.style.FormHabit;
import westtide.style.Style;
import westtide.theory.Chord;
import westtide.theory.ChordQuality;
import westtide.theory.Key;

/**
 * A question practitioners answer in two ways. A style has its habit; a song may take the other
 * answer with one edit.
 */
public enum School {
  LOW_END("808 and kick", "locked", "independent", "Locked they hit as one; apart they converse."),
  OPENING("opening", "intro first", "hook first", "An intro builds; a hook at once sells."),
  COLOUR(
      "chord colour", "triads", "sevenths and more", "Triads are plain and dark, sevenths rich."),
  VERSE_BASS("bass in the verse", "moves", "stays", "A bass that stays lets the hook's move lift."),
  KICK_VELOCITY("kick velocity", "full", "shaped", "All at full is hard; shaped it walks."),
  COPIES("chord strikes", "identical", "varied", "Identical is a style; varied sounds played.");

  private static final int FULL = 120;
  private static final int ON_BEAT = 112;
  private static final int OFF_BEAT = 98;
  private static final int VARIED = 10;

  private final String title;
  private final String first;
  private final String second;
  private final String words;

  School(String title, String first, String second, String words) {
    this.title = title;
    this.first = first;
    this.second = second;
    this.words = words;
  }

  /** What is asked. */
  public String title() {
    return title;
  }

  /** The two answers. */
  public List<String> answers() {
    return List.of(first, second);
  }

  /** What speaks for either, one sentence. */
  public String words() {
    return words;
  }

  /** The answer a style gives. */
  public String habit(Style style) {
    boolean second =
        switch (this) {
          case LOW_END -> style.sub().link() == KickLink.INDEPENDENT;
          case OPENING -> hookFirst(style.form().templates().get(0));
          case COLOUR -> style.chords().colours().get(0).seventh();
          case VERSE_BASS -> style.chords().pedal();
          case KICK_VELOCITY -> !style.groove().full();
          case COPIES -> style.chords().vary() > 0;
        };
    return answer(second);
  }

  /** The answer a song gives now; empty where it has nothing that could answer. */
  public Optional<String> answer(Song song) {
    return switch (this) {
      case LOW_END ->
          song.rule(FollowRule.Sub.class).map(rule -> answer(rule.link() == KickLink.INDEPENDENT));
      case OPENING ->
          Optional.of(answer(song.form().sections().get(0).word().kind() == SectionKind.HOOK));
      case COLOUR -> Optional.of(answer(sevenths(song) >= 0.5));
      case VERSE_BASS -> verse(song).map(section -> answer(section.pedal().isPresent()));
      case KICK_VELOCITY -> kicks(song).findAny().map(hit -> answer(!allFull(song)));
      case COPIES -> song.rule(FollowRule.Chords.class).map(r -> answer(r.vary().amount() > 0));
    };
  }

  /** The edit that gives an answer; nothing happens where the song cannot give it. */
  public Edit take(String answer, Song song, Style style) {
    boolean other = answer.equals(second);
    Edit edit =
        switch (this) {
          case LOW_END ->
              song.part(Role.SUB)
                  .map(
                      part ->
                          LowEndEdits.link(
                              part.id(), other ? KickLink.INDEPENDENT : KickLink.LOCKED))
                  .orElseGet(() -> Edit.of("", s -> s));
          case OPENING -> opening(other, song, style);
          case COLOUR -> Edit.of("", s -> coloured(s, other, style));
          case VERSE_BASS ->
              RowEdits.pedal(
                  SectionKind.VERSE,
                  other ? Optional.of(song.brief().key().tonic()) : Optional.empty());
          case KICK_VELOCITY -> Edit.of("", s -> withKicks(s, !other));
          case COPIES ->
              song.part(Role.CHORDS)
                  .map(part -> new ChordPartEdits(part.id()).vary(other ? VARIED : 0, song.seed()))
                  .orElseGet(() -> Edit.of("", s -> s));
        };
    return Edit.of(title + ": " + answer, edit.change());
  }

  private String answer(boolean isSecond) {
    return isSecond ? second : first;
  }

  private static boolean hookFirst(FormHabit.Template template) {
    return template.line().matches("(hook|chorus|drop).*");
  }

  private static Edit opening(boolean hookFirst, Song song, Style style) {
    return style.form().templates().stream()
        .filter(template -> hookFirst(template) == hookFirst)
        .findFirst()
        .map(
            template ->
                FormEdits.replace(
                    "",
                    FormDraft.in(style, song.progressions())
                        .form(FormLine.parse(template.line()).orElseThrow())))
        .orElseGet(() -> Edit.of("", s -> s));
  }

  private static double sevenths(Song song) {
    List<ChordQuality> all =
        song.progressions().stream()
            .flatMap(row -> row.chords().stream())
            .map(chord -> chord.quality())
            .toList();
    return all.stream().filter(ChordQuality::seventh).count() / (double) all.size();
  }

  private static Song coloured(Song song, boolean rich, Style style) {
    Song out = song;
    for (Progression row : song.progressions()) {
      for (int i = 0; i < row.spans().size(); i++) {
        var chord = row.spans().get(i).chord();
        var other = rich ? richer(chord, song.brief().key(), style) : plainer(chord);
        out = other.equals(chord) ? out : new ChordEdits(row.name()).replace(i, other).apply(out);
      }
    }
    return out;
  }

  private static Chord plainer(Chord chord) {
    ChordQuality quality = chord.quality();
    if (quality.tones().size() <= 3) {
      return chord;
    }
    String suffix =
        quality.tone(3).isEmpty()
            ? "sus4"
            : quality.has(5, -1) ? "dim" : quality.minorThird() ? "m" : "";
    return chord.withQuality(ChordQuality.parse(suffix));
  }

  private static Chord richer(Chord chord, Key key, Style style) {
    if (chord.quality().seventh()) {
      return chord;
    }
    boolean minor = chord.quality().minorThird();
    Palette palette = new Palette(key, style.chords().colours());
    List<ChordQuality> usual =
        Stream.of("m7", "maj7", "7", "m7b5", "7sus4").map(ChordQuality::parse).toList();
    return Stream.concat(style.chords().colours().stream(), usual.stream())
        .filter(q -> q.seventh() && (q.minorThird() == minor || chord.quality().tone(3).isEmpty()))
        .map(chord::withQuality)
        .filter(palette::inside)
        .findFirst()
        .orElse(chord);
  }

  private static Optional<Section> verse(Song song) {
    return song.form().sections().stream()
        .filter(section -> section.word().kind() == SectionKind.VERSE)
        .findFirst();
  }

  private static Stream<Hit> kicks(Song song) {
    return song.part(Role.DRUMS).stream()
        .flatMap(part -> part.variants().stream())
        .map(Variant::pattern)
        .filter(Pattern.Drums.class::isInstance)
        .flatMap(pattern -> ((Pattern.Drums) pattern).lane(DrumVoice.KICK).stream())
        .flatMap(lane -> lane.hits().stream());
  }

  private static boolean allFull(Song song) {
    return kicks(song).allMatch(hit -> hit.velocity() == FULL);
  }

  private static Song withKicks(Song song, boolean full) {
    return song.part(Role.DRUMS)
        .map(
            part ->
                song.withPart(
                    part.id(),
                    p ->
                        p.withVariants(
                            p.variants().stream().map(v -> withKicks(v, full)).toList())))
        .orElse(song);
  }

  private static Variant withKicks(Variant variant, boolean full) {
    if (!(variant.pattern() instanceof Pattern.Drums drums)) {
      return variant;
    }
    List<DrumLane> lanes =
        drums.lanes().stream()
            .map(
                lane ->
                    lane.voice() == DrumVoice.KICK
                        ? lane.withLane(
                            new StepLane(
                                lane.lane().length(),
                                lane.lane().hits().stream().map(h -> shaped(h, full)).toList()))
                        : lane)
            .toList();
    return variant.withPattern(new Pattern.Drums(drums.bars(), lanes));
  }

  private static Hit shaped(Hit hit, boolean full) {
    return hit.withVelocity(full ? FULL : hit.step() % 4 == 0 ? ON_BEAT : OFF_BEAT);
  }
}
