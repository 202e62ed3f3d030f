package westtide.song;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import westtide.rhythm.BarLines;
import westtide.song.chord.Progression;
import westtide.song.form.Form;
import westtide.song.id.PartId;
import westtide.song.mix.Master;
import westtide.song.pattern.FollowRule;

/**
 * The whole document.
 *
 * @param title the song's name
 * @param project what the song belongs to, such as a series or an album; may be empty
 * @param seed what drafts of this song start from
 * @param brief style, tempo, key and feel
 * @param progressions the chord rows, at least one, each with a name of its own
 * @param parts the instruments in any number and role, each with an id of its own
 * @param form the sections
 * @param main the part that dominates: verses keep it; empty where none is marked
 * @param alternatives other forms of the same material that wait beside this one
 * @param master what is done to all drums together and to the whole mix
 * @param dismissed ids of findings the producer chose to leave as they are
 * @param extras fields of a newer file version, as JSON text, kept for writing; {@code "{}"} when
 *     none
 */
public record Song(
    String title,
    String project,
    long seed,
    Brief brief,
    List<Progression> progressions,
    List<Part> parts,
    Form form,
    Optional<PartId> main,
    Alternatives alternatives,
    Master master,
    Set<String> dismissed,
    String extras) {

  /** Copies the lists and checks that names are unique and that what sections ask for exists. */
  public Song {
    progressions = List.copyOf(progressions);
    parts = List.copyOf(parts);
    dismissed = java.util.Collections.unmodifiableSet(new LinkedHashSet<>(dismissed));
    List<Part> there = parts;
    main = main.filter(id -> there.stream().anyMatch(part -> part.id().equals(id)));
    alternatives = alternatives.fitting(progressions, parts);
    new SongValidator(progressions, parts, form).check();
  }

  /** A song whose main part is not marked, with one form. */
  public Song(
      String title,
      String project,
      long seed,
      Brief brief,
      List<Progression> progressions,
      List<Part> parts,
      Form form,
      Set<String> dismissed,
      String extras) {
    this(
        title,
        project,
        seed,
        brief,
        progressions,
        parts,
        form,
        Optional.empty(),
        Alternatives.NONE,
        Master.PLAIN,
        dismissed,
        extras);
  }

  /** The progression of that name; throws {@link IllegalArgumentException} when there is none. */
  public Progression progression(String name) {
    return progressions.stream()
        .filter(progression -> progression.name().equals(name))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("no progression is called " + name));
  }

  /** The part of that id, if there is one. */
  public Optional<Part> part(PartId id) {
    return parts.stream().filter(part -> part.id().equals(id)).findFirst();
  }

  /** The parts with a role, in order. */
  public List<Part> parts(Role role) {
    return parts.stream().filter(part -> part.role() == role).toList();
  }

  /** All rules of a kind that parts follow, in the order of the parts and their patterns. */
  public <R extends FollowRule> List<R> rules(Class<R> kind) {
    return parts.stream().flatMap(part -> part.rules(kind).stream()).toList();
  }

  /** Length in ticks. */
  public int ticks() {
    return form.ticks(brief.meter());
  }

  /** Where its bars begin. */
  public BarLines barLines() {
    return form.barLines(brief.meter());
  }

  /** Length in milliseconds at the song's tempo. */
  public double millis() {
    return brief.tempo().millis(ticks());
  }

  /** The song under another title. */
  public Song withTitle(String other) {
    return with(copy -> copy.title = other);
  }

  /** The song as belonging to another project. */
  public Song withProject(String other) {
    return with(copy -> copy.project = other);
  }

  /** The song with another brief. */
  public Song withBrief(Brief other) {
    return with(copy -> copy.brief = other);
  }

  /** The song with other chord rows. */
  public Song withProgressions(List<Progression> other) {
    return with(copy -> copy.progressions = other);
  }

  /** The song with the progression of the same name replaced. */
  public Song withProgression(Progression changed) {
    return withProgressions(
        progressions.stream().map(p -> p.name().equals(changed.name()) ? changed : p).toList());
  }

  /** The song with other parts. */
  public Song withParts(List<Part> other) {
    return with(copy -> copy.parts = other);
  }

  /** The song with other parts in another form, where the old ones would not fit. */
  public Song withParts(List<Part> other, Form otherForm) {
    return with(
        copy -> {
          copy.parts = other;
          copy.form = otherForm;
        });
  }

  /** The song with other chord rows, parts and form, where the old ones would not fit. */
  public Song with(List<Progression> rows, List<Part> other, Form otherForm) {
    return with(
        copy -> {
          copy.progressions = rows;
          copy.parts = other;
          copy.form = otherForm;
        });
  }

  /** The song with one part changed. */
  public Song withPart(PartId id, UnaryOperator<Part> change) {
    return withParts(
        parts.stream().map(part -> part.id().equals(id) ? change.apply(part) : part).toList());
  }

  /** The song with another form. */
  public Song withForm(Form other) {
    return with(copy -> copy.form = other);
  }

  /** The song with other things done to the whole mix. */
  public Song withMaster(Master other) {
    return with(copy -> copy.master = other);
  }

  /** The song with other findings left alone. */
  public Song withDismissed(Set<String> other) {
    return with(copy -> copy.dismissed = other);
  }

  /** The song with other kept fields of a newer file version. */
  public Song withExtras(String json) {
    return with(copy -> copy.extras = json);
  }

  /** The song with another main part, or with none. */
  public Song withMain(Optional<PartId> other) {
    return with(copy -> copy.main = other);
  }

  /** The song with other forms beside this one. */
  public Song withAlternatives(Form present, Alternatives other) {
    return with(
        copy -> {
          copy.form = present;
          copy.alternatives = other;
        });
  }

  /** The song with other chord rows and parts, every form of it changed to fit them. */
  public Song withEachForm(List<Progression> rows, List<Part> other, UnaryOperator<Form> change) {
    return with(
        copy -> {
          copy.progressions = rows;
          copy.parts = other;
          copy.form = change.apply(form);
          copy.alternatives = alternatives.each(change);
        });
  }

  /** The song with every form of it changed, those that wait too. */
  public Song withEachForm(UnaryOperator<Form> change) {
    return withAlternatives(change.apply(form), alternatives.each(change));
  }

  private Song with(Consumer<Copy> change) {
    Copy copy = new Copy(this);
    change.accept(copy);
    return copy.song();
  }

  /** All of a song, to be changed on its way into another: nothing can be forgotten. */
  private static final class Copy {
    private String title;
    private String project;
    private final long seed;
    private Brief brief;
    private List<Progression> progressions;
    private List<Part> parts;
    private Form form;
    private Optional<PartId> main;
    private Alternatives alternatives;
    private Master master;
    private Set<String> dismissed;
    private String extras;

    Copy(Song song) {
      title = song.title;
      project = song.project;
      seed = song.seed;
      brief = song.brief;
      progressions = song.progressions;
      parts = song.parts;
      form = song.form;
      main = song.main;
      alternatives = song.alternatives;
      master = song.master;
      dismissed = song.dismissed;
      extras = song.extras;
    }

    Song song() {
      return new Song(
          title,
          project,
          seed,
          brief,
          progressions,
          parts,
          form,
          main,
          alternatives,
          master,
          dismissed,
          extras);
    }
  }
}
