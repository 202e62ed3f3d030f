package westtide.compose;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import westtide.compose.form.FormDraft;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.chord.ChordLine;
import westtide.song.chord.Progression;
import westtide.song.form.Cell;
import westtide.song.form.Form;
import westtide.song.form.Section;
import westtide.song.id.Seed;
import westtide.style.Style;

/**
 * New drafts of a song from other seeds, in which some of it stays as it is.
 *
 * @param song the song as it is
 * @param style the style they are drawn in
 * @param kept what stays
 */
public record SongRedraft(Song song, Style style, Set<Keep> kept) {
  /** What of a song can stay in a new draft. */
  public enum Keep {
    PACE("tempo, key and swing"),
    CHORDS("chords"),
    DRUMS("drums"),
    LINES("lines"),
    LOWS("808 and bass"),
    FORM("form"),
    LEVELS("levels");

    private final String title;

    Keep(String title) {
      this.title = title;
    }

    @Override
    public String toString() {
      return title;
    }
  }

  /** Copies what stays. */
  public SongRedraft {
    Set<Keep> copy = EnumSet.noneOf(Keep.class);
    copy.addAll(kept);
    kept = copy;
  }

  /** So many drafts from the seeds after the song's, or after another one. */
  public List<Song> takes(int count, long after) {
    List<Song> out = new ArrayList<>();
    for (int i = 1; i <= count; i++) {
      out.add(take(after + i));
    }
    return out;
  }

  /** The draft from a seed. */
  public Song take(long seed) {
    Song base = draft(seed).drawn().song();
    Song over = kept.contains(Keep.CHORDS) ? overChordsOf(base) : base;
    Song drafted = new Arranger(style, new Seed(seed)).arrange(over);
    Song out = drafted.withProject(song.project());
    if (kept.contains(Keep.PACE)) {
      out = out.withBrief(song.brief());
    }
    for (Role role : roles()) {
      for (Part part : song.parts(role)) {
        out = withPart(out, part);
      }
    }
    return kept.contains(Keep.LEVELS) ? levelled(out) : out;
  }

  /** A draft over the song's progressions where it has them by the same name. */
  private Song overChordsOf(Song draft) {
    List<Progression> out = new ArrayList<>();
    for (Progression drawn : draft.progressions()) {
      out.add(
          song.progressions().stream()
              .filter(own -> own.name().equals(drawn.name()))
              .findFirst()
              .orElse(drawn));
    }
    return draft.withProgressions(out);
  }

  private SongDraft draft(long seed) {
    SongDraft draft = SongDraft.in(style).withSeed(seed).withTitle(song.title());
    boolean chords = kept.contains(Keep.CHORDS);
    if (kept.contains(Keep.PACE)) {
      draft = draft.withTempo(song.brief().tempo());
    }
    if (kept.contains(Keep.PACE) || chords) {
      draft = draft.withKey(song.brief().key());
    }
    if (chords) {
      ChordLine line = ChordLine.in(song.brief().key(), song.brief().meter());
      draft = draft.withChords(line.format(song.progressions().get(0)));
    }
    return kept.contains(Keep.FORM) ? draft.withPlan(song.form().toString()) : draft;
  }

  private Set<Role> roles() {
    Set<Role> out = EnumSet.noneOf(Role.class);
    if (kept.contains(Keep.DRUMS)) {
      out.add(Role.DRUMS);
    }
    if (kept.contains(Keep.LINES)) {
      out.add(Role.LINE);
    }
    if (kept.contains(Keep.LOWS)) {
      out.add(Role.SUB);
      out.add(Role.BASS);
    }
    return out;
  }

  /** The draft with a part as it was; where it asks for a pattern the part lacks, its first. */
  private static Song withPart(Song drafted, Part part) {
    Optional<Part> other = drafted.part(part.id());
    if (other.isEmpty()) {
      return drafted;
    }
    List<Section> sections = new ArrayList<>();
    for (Section section : drafted.form().sections()) {
      List<Cell> cells = FormDraft.fitting(part, section.cells(part.id()));
      sections.add(section.withCells(part.id(), cells));
    }
    Part kept = part.withName(other.get().name()).withMix(other.get().mix());
    return drafted.withForm(new Form(sections)).withPart(part.id(), p -> kept);
  }

  private Song levelled(Song drafted) {
    Song out = drafted.withMaster(song.master());
    for (Part part : song.parts()) {
      if (drafted.part(part.id()).isPresent()) {
        out = out.withPart(part.id(), p -> p.withMix(part.mix()));
      }
    }
    return out;
  }
}
