package westtide.compose.form;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.edit.Edit;
import westtide.song.edit.MarksPart;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.song.form.Transition;
import westtide.song.form.TransitionKind;
import westtide.song.id.SectionId;
import westtide.style.BoundaryHabit;
import westtide.style.Style;

/**
 * How a style would announce and land the sections of a song: its habits for each kind of section,
 * cut to what the song has and to how long the section before is. Hooks that return are announced
 * in turn by each of its ways, the last one by the last.
 *
 * @param style the style
 * @param song the song
 */
public record TransitionDraft(Style style, Song song) {
  /**
   * What is proposed for one boundary.
   *
   * @param section the section that is entered
   * @param marks what announces and lands it
   * @param why the reason, one sentence
   */
  public record Proposal(SectionId section, List<Transition> marks, String why) {
    /** Copies the marks. */
    public Proposal {
      marks = List.copyOf(marks);
    }
  }

  /** A proposal for every boundary for which the style has one, in order. */
  public List<Proposal> proposals() {
    List<Proposal> out = new ArrayList<>();
    Map<SectionKind, Integer> seen = new EnumMap<>(SectionKind.class);
    Form form = song.form();
    for (int i = 0; i < form.sections().size(); i++) {
      SectionKind kind = form.sections().get(i).word().kind();
      int turn = seen.merge(kind, 1, Integer::sum) - 1;
      List<BoundaryHabit> habits = style.boundaries().getOrDefault(kind, List.of());
      if (i > 0 && !habits.isEmpty()) {
        boolean last = turn > 0 && form.last(SectionKind.HOOK).orElse(-1) == i;
        BoundaryHabit habit = habits.get(last ? habits.size() - 1 : turn % habits.size());
        out.add(proposal(i, habit));
      }
    }
    return out;
  }

  /** A proposal for the entry of one section. */
  public Optional<Proposal> of(SectionId section) {
    return proposals().stream().filter(one -> one.section().equals(section)).findFirst();
  }

  private Proposal proposal(int place, BoundaryHabit habit) {
    List<Transition> marks = new ArrayList<>();
    for (Transition mark : habit.marks()) {
      fitted(mark, place).ifPresent(marks::add);
    }
    boolean announced =
        marks.stream().anyMatch(m -> m.kind().place() == TransitionKind.Place.BEFORE);
    boolean hook = song.form().sections().get(place).word().kind() == SectionKind.HOOK;
    if (marks.isEmpty() || hook && !announced) {
      boolean drums = !hook && plays(song.form().sections().get(place), Role.DRUMS, 0);
      marks.add(Transition.of(drums ? TransitionKind.FILL : TransitionKind.REVERSE));
    }
    return new Proposal(song.form().id(place), marks, habit.why());
  }

  /** The mark as long as there is room for, where the song has what it needs. */
  private Optional<Transition> fitted(Transition mark, int place) {
    Section before = song.form().sections().get(place - 1);
    boolean fits =
        switch (mark.kind().need()) {
          case NOTHING -> true;
          case DRUMS -> !song.parts(Role.DRUMS).isEmpty();
          case DRUMS_BEFORE -> plays(before, Role.DRUMS, before.bars() - 1);
          case BACKBEAT -> backbeat(song.form().sections().get(place));
          case SUB_BEFORE -> plays(before, Role.SUB, before.bars() - 1);
          case BASS_NEAR ->
              plays(before, Role.BASS, before.bars() - 1)
                  || plays(song.form().sections().get(place), Role.BASS, 0)
                  || song.parts(Role.BASS).isEmpty() && !song.parts(Role.SUB).isEmpty();
          case LINE_BEFORE -> plays(before, Role.LINE, before.bars() - 1);
        };
    if (!fits) {
      return Optional.empty();
    }
    boolean announces = mark.kind().place() == TransitionKind.Place.BEFORE;
    int room = before.bars() * song.brief().meter().beats();
    return Optional.of(announces && mark.beats() > room ? mark.withBeats(room) : mark);
  }

  private boolean plays(Section section, Role role, int bar) {
    return song.parts(role).stream()
        .anyMatch(part -> section.cell(part.id(), bar).level() != Level.OUT);
  }

  private boolean backbeat(Section section) {
    return song.parts(Role.DRUMS).stream()
        .filter(part -> section.cell(part.id(), 0).level() != Level.OUT)
        .anyMatch(part -> strikesBackbeat(part, section));
  }

  private boolean strikesBackbeat(Part part, Section section) {
    return part.groove(section.cell(part.id(), 0).pattern(), song.brief().meter()).stream()
        .flatMap(groove -> groove.lanes().stream())
        .anyMatch(
            lane ->
                (lane.voice() == DrumVoice.SNARE || lane.voice() == DrumVoice.CLAP)
                    && !lane.lane().hits().isEmpty());
  }

  /** Announces every section that has no transition yet; where all have some, all of them anew. */
  public Edit propose() {
    return Edit.of("Propose transitions", before -> new TransitionDraft(style, before).proposed());
  }

  private Song proposed() {
    List<Proposal> all = proposals();
    List<Proposal> open = all.stream().filter(one -> entry(one.section()).isEmpty()).toList();
    return MarksPart.with(song.withForm(entered(open.isEmpty() ? all : open)));
  }

  /** The form with every section for which there is a proposal announced by it. */
  public Form announced() {
    return entered(proposals());
  }

  private Form entered(List<Proposal> proposals) {
    Form form = song.form();
    for (Proposal one : proposals) {
      form = form.with(one.section(), section -> section.withEntry(one.marks()));
    }
    return form;
  }

  private List<Transition> entry(SectionId id) {
    return song.form().find(id).orElseThrow().entry();
  }
}
