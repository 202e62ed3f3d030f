package westtide.compose;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import westtide.compose.chord.Palette;
import westtide.compose.form.FormDraft;
import westtide.song.Part;
import westtide.song.PlayedBars;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.chord.Progression;
import westtide.song.edit.Edit;
import westtide.song.edit.RowEdits;
import westtide.song.edit.form.FormEdits;
import westtide.song.edit.line.LowEndEdits;
import westtide.song.edit.part.ChordEdits;
import westtide.song.edit.part.ChordPartEdits;
import westtide.song.form.FormLine;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.KickLink;
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
  LOW_END(
      "808 and kick",
      "locked to the kick",
      "own rhythm",
      "Locked they hit as one; apart they converse."),
  OPENING("opening", "intro first", "hook first", "An intro builds; a hook at once sells."),
  COLOUR(
      "chord colour", "triads", "sevenths and more", "Triads are plain and dark, sevenths rich."),
  VERSE_BASS("bass in the verse", "moves", "stays", "A bass that stays lets the hook's move lift."),
  KICK_VELOCITY("kick velocity", "full", "shaped", "All at full is hard; shaped it walks."),
  COPIES("chord strikes", "identical", "varied", "Identical is a style; varied sounds played."),
  DRUM_COPIES("drum hits", "identical", "varied", "Alike they hypnotise; varied they breathe."),
  EIGHT_BARS(
      "drums over eight bars",
      "repeating",
      "evolving",
      "One groove kept lets lanes come and go; evolving, every two bars differ.");

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
          case KICK_VELOCITY -> !style.groove().schools().full();
          case DRUM_COPIES -> style.groove().schools().vary() > 0;
          case EIGHT_BARS -> style.groove().schools().throughWritten();
          case COPIES -> style.chords().vary() > 0;
        };
    return answer(second);
  }

  /** The answer a song gives now; empty where it has nothing that could answer. */
  public Optional<String> answer(Song song) {
    return switch (this) {
      case LOW_END ->
          new PlayedBars(song)
              .rule(Role.SUB, FollowRule.class)
              .flatMap(LowEndEdits::link)
              .map(link -> answer(link == KickLink.INDEPENDENT));
      case OPENING ->
          Optional.of(answer(song.form().sections().get(0).word().kind() == SectionKind.HOOK));
      case COLOUR -> Optional.of(answer(sevenths(song) >= 0.5));
      case VERSE_BASS -> verse(song).map(section -> answer(section.pedal().isPresent()));
      case KICK_VELOCITY -> DrumSchools.shaped(song).map(this::answer);
      case DRUM_COPIES -> DrumSchools.varied(song).map(this::answer);
      case EIGHT_BARS -> DrumSchools.throughWritten(song).map(this::answer);
      case COPIES -> {
        List<FollowRule.Chords> rules = song.rules(FollowRule.Chords.class);
        yield rules.isEmpty()
            ? Optional.empty()
            : Optional.of(answer(rules.stream().anyMatch(r -> r.vary().amount() > 0)));
      }
    };
  }

  /** The edit that gives an answer; nothing happens where the song cannot give it. */
  public Edit take(String answer, Song song, Style style) {
    boolean other = answer.equals(second);
    Edit edit =
        switch (this) {
          case LOW_END ->
              each(
                  Role.SUB,
                  part ->
                      LowEndEdits.link(part.id(), other ? KickLink.INDEPENDENT : KickLink.LOCKED));
          case OPENING -> opening(other, song, style);
          case COLOUR -> Edit.of("", s -> coloured(s, other, style));
          case VERSE_BASS ->
              RowEdits.pedal(
                  SectionKind.VERSE,
                  other ? Optional.of(song.brief().key().tonic()) : Optional.empty());
          case KICK_VELOCITY -> Edit.of("", s -> DrumSchools.withShaped(s, other));
          case DRUM_COPIES -> Edit.of("", s -> DrumSchools.withVaried(s, other));
          case EIGHT_BARS -> Edit.of("", s -> DrumSchools.withEightBars(s, other));
          case COPIES ->
              each(
                  Role.CHORDS,
                  part ->
                      new ChordPartEdits(part.id())
                          .varyIfItFollows(other ? VARIED : 0, song.seed()));
        };
    return Edit.of(title + ": " + answer, edit.change());
  }

  /** An edit of every part with a role. */
  private static Edit each(Role role, Function<Part, Edit> edit) {
    return Edit.of(
        "",
        song -> {
          Song out = song;
          for (Part part : song.parts(role)) {
            out = edit.apply(part).apply(out);
          }
          return out;
        });
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
                    FormDraft.in(style, song).form(FormLine.parse(template.line()).orElseThrow())))
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
}
