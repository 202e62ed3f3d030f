package westtide.song.edit.drum;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import westtide.rhythm.Hit;
import westtide.rhythm.LaneFeel;
import westtide.rhythm.StepLane;
import westtide.rhythm.Velocity;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.drum.BorrowedLane;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.drum.LaneSound;
import westtide.song.edit.Edit;
import westtide.song.id.PartId;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;

/**
 * Edits of the lanes and hits of one groove of a drum part. A groove that follows another goes on
 * following it wherever an edit leaves it as it was.
 *
 * @param part the part's id
 * @param pattern the groove's name
 */
public record DrumEdits(PartId part, String pattern) {
  private static final int STEPS = 16;

  /** Edits of the groove as a whole. */
  public GrooveEdits groove() {
    return new GrooveEdits(part, pattern);
  }

  /** Puts a hit on a lane, in place of what stood on its step. */
  public Edit place(LaneId id, Hit hit) {
    return lane("Place " + id + " on step " + (hit.step() + 1), id, lane -> lane.with(hit));
  }

  /** Carries the hit of a step elsewhere; one that stands where it goes gives way. */
  public Edit carry(LaneId id, int from, Hit to) {
    return lane(
        "Move " + id + " to step " + (to.step() + 1), id, lane -> lane.without(from).with(to));
  }

  /** Takes a hit off a lane. */
  public Edit remove(LaneId id, int step) {
    return lane("Delete " + id + " on step " + (step + 1), id, lane -> lane.without(step));
  }

  /** Changes a hit that stands on a step; nothing happens on an empty step. */
  public Edit change(String name, LaneId id, int step, UnaryOperator<Hit> change) {
    return lane(name, id, lane -> lane.at(step).map(change).map(lane::with).orElse(lane));
  }

  /** Sets the velocity of a hit. */
  public Edit velocity(LaneId id, int step, int velocity) {
    return change(
        "Set " + id + " to velocity " + velocity, id, step, h -> h.withVelocity(velocity));
  }

  /** Sets how late a hit is, in ticks. */
  public Edit nudge(LaneId id, int step, int ticks) {
    String way = ticks < 0 ? "early by " : "late by ";
    return change(
        "Move " + id + " " + way + Math.abs(ticks) + " ticks",
        id,
        step,
        hit -> hit.withNudge(ticks));
  }

  /** Replaces the steps of a lane. */
  public Edit lane(LaneId id, StepLane lane) {
    return lane("Write the " + id + " lane", id, old -> lane);
  }

  /**
   * Replaces a lane by a typed one; hits written the same keep what text cannot say. Accents in the
   * text win over accents that run along the lane.
   */
  public Edit typed(LaneId id, StepLane lane) {
    boolean accents =
        lane.hits().stream()
            .anyMatch(h -> h.velocity() == Velocity.ACCENT || h.velocity() == Velocity.SOFT);
    return whole(
        "Write the " + id + " lane",
        id,
        old -> {
          DrumLane typed = old.withLane(old.lane().refining(lane));
          return accents ? typed.withAccents(Optional.empty()) : typed;
        });
  }

  /** Changes the shape of a lane. */
  public Edit shape(String name, LaneId id, UnaryOperator<StepLane> change) {
    return lane(name, id, change);
  }

  /** Changes a whole lane, its grid, swing or accents. */
  public Edit whole(String name, LaneId id, UnaryOperator<DrumLane> change) {
    return pattern(name, groove -> groove.each(l -> l.id().equals(id) ? change.apply(l) : l));
  }

  /**
   * Changes how a whole lane is played. One that begins to differ does so as no other part does.
   */
  public Edit feel(String name, LaneId id, UnaryOperator<LaneFeel> change) {
    return whole(name, id, lane -> lane.withFeel(ofThisPart(lane.feel(), change)));
  }

  /**
   * Changes a whole lane in every groove of the part that has it, each from what it is there;
   * grooves that follow another go on following it.
   */
  public Edit everywhere(String name, LaneId id, UnaryOperator<DrumLane> change) {
    return Edit.of(
        name + " in all grooves",
        song -> {
          Part before = song.part(part).orElseThrow();
          Song out = song;
          for (NamedPattern named : parentsFirst(before)) {
            Pattern.Drums groove = before.groove(named.name(), song.brief().meter()).orElseThrow();
            Pattern.Drums next =
                groove.each(lane -> lane.id().equals(id) ? change.apply(lane) : lane);
            out = new GrooveEdits(part, named.name()).replace("", next).apply(out);
          }
          return out;
        });
  }

  /** As {@link #feel}, in every groove of the part that has the lane. */
  public Edit feelEverywhere(String name, LaneId id, UnaryOperator<LaneFeel> change) {
    return everywhere(name, id, lane -> lane.withFeel(ofThisPart(lane.feel(), change)));
  }

  private static List<NamedPattern> parentsFirst(Part of) {
    List<NamedPattern> grooves =
        new ArrayList<>(
            of.patterns().stream()
                .filter(
                    named ->
                        named.pattern() instanceof Pattern.Drums
                            || named.pattern() instanceof Pattern.Varied)
                .toList());
    grooves.sort(Comparator.comparingInt(named -> of.lineage(named.name()).size()));
    return grooves;
  }

  /** Puts a lane as it is here into another groove of the part, in place of the one it has. */
  public Edit copyToGroove(LaneId id, String groove) {
    return Edit.of(
        "Copy " + id + " to groove " + groove,
        song ->
            song.part(part)
                .flatMap(p -> p.groove(pattern, song.brief().meter()))
                .flatMap(from -> from.find(id))
                .map(lane -> new DrumEdits(part, groove).with("", lane).apply(song))
                .orElse(song));
  }

  private LaneFeel ofThisPart(LaneFeel before, UnaryOperator<LaneFeel> change) {
    LaneFeel after = change.apply(before);
    return after.differs() && !before.differs() ? after.withSeed(part.seed()) : after;
  }

  /** Changes how a lane sounds, in all grooves of the part. */
  public Edit sound(String name, LaneId id, UnaryOperator<LaneSound> change) {
    return Edit.of(
        name, song -> song.withPart(part, p -> p.withSound(id, change.apply(p.sound(id)))));
  }

  /** Tunes every lane of the part by cents more or less, each held inside its range. */
  public Edit tuneAll(int cents) {
    return Edit.of(
        "Tune all drums by " + cents + " cents",
        song -> {
          Part drums = song.part(part).orElseThrow();
          Part out = drums;
          for (LaneId id : allLanes(drums, song)) {
            LaneSound sound = drums.sound(id);
            int tuned = Math.max(-2400, Math.min(2400, sound.cents() + cents));
            out = out.withSound(id, sound.withCents(tuned));
          }
          Part tuned = out;
          return song.withPart(part, p -> tuned);
        });
  }

  private static List<LaneId> allLanes(Part drums, Song song) {
    return drums.grooves(song.brief().meter()).values().stream()
        .flatMap(groove -> groove.lanes().stream())
        .map(DrumLane::id)
        .distinct()
        .toList();
  }

  /** Lets a lane take its rhythm from a part, in every groove, or gives it its own again. */
  public Edit borrow(LaneId id, Optional<PartId> model) {
    return Edit.named(
        song -> rhythm(song, id, model),
        song -> song.withPart(part, p -> p.withBorrowed(id, model.map(BorrowedLane::everywhere))));
  }

  /**
   * Lets a lane take its rhythm from a part in this groove and those that follow it, or gives it
   * its own again here; other grooves keep what they play as far as one part is listened to.
   */
  public Edit borrowHere(LaneId id, Optional<PartId> model) {
    return Edit.named(
        song -> rhythm(song, id, model) + " in " + pattern,
        song -> song.withPart(part, p -> p.withBorrowed(id, here(p, id, model))));
  }

  private Optional<BorrowedLane> here(Part p, LaneId id, Optional<PartId> model) {
    if (p.rhythmOf(id, pattern).equals(model)) {
      return Optional.ofNullable(p.borrowed().get(id));
    }
    List<String> grooves = new ArrayList<>();
    for (NamedPattern named : p.patterns()) {
      Optional<PartId> kept =
          named.name().equals(pattern) ? Optional.empty() : p.rhythmOf(id, named.name());
      if (kept.isPresent() && model.map(kept.get()::equals).orElse(true)) {
        grooves.add(named.name());
      }
    }
    if (model.isPresent()) {
      return Optional.of(new BorrowedLane(model.get(), with(grooves, pattern)));
    }
    grooves.removeIf(name -> p.follows(name, List.of(pattern)));
    return grooves.isEmpty()
        ? Optional.empty()
        : Optional.of(new BorrowedLane(p.borrowed().get(id).model(), grooves));
  }

  private static List<String> with(List<String> names, String name) {
    List<String> out = new ArrayList<>(names);
    out.add(name);
    return out;
  }

  private static String rhythm(Song song, LaneId id, Optional<PartId> model) {
    return model
        .flatMap(song::part)
        .map(of -> id + " in the rhythm of " + of.name())
        .orElse(id + " in its own rhythm");
  }

  /** Puts a lane into the groove, in place of the one of its name or as its last. */
  public Edit with(String name, DrumLane lane) {
    return pattern(name, groove -> groove.with(lane));
  }

  /** Adds an empty lane the groove lacks, to the groove it follows and so to all that follow it. */
  public Edit addLane(LaneId id) {
    String name = "Add " + id;
    return Edit.of(
        name,
        song ->
            followed(song)
                .pattern(
                    name,
                    groove -> groove.find(id).isPresent() ? groove : groove.with(empty(groove, id)))
                .apply(song));
  }

  /** Adds an empty lane for a drum the groove lacks. */
  public Edit addVoice(DrumVoice voice) {
    return addLane(voice.lane());
  }

  /**
   * Stacks another lane of the same drum on a lane: a copy under the next free number, in the
   * groove that is followed where that has the lane, and so in all that follow it. The copy sounds
   * with the lane it was made of: it is in no choke group, which would let one silence the other.
   * Nothing happens when nine stand already.
   */
  public Edit stack(LaneId id) {
    String name = "Stack another " + id.voice();
    return Edit.of(
        name,
        song -> {
          DrumEdits root = followed(song);
          DrumEdits where = root.lanes(song).contains(id) ? root : this;
          Song out = where.pattern(name, groove -> stacked(groove, id)).apply(song);
          for (LaneId copy : where.lanes(out)) {
            if (!where.lanes(song).contains(copy)) {
              out = layered(song, out, id, copy);
            }
          }
          return out;
        });
  }

  /**
   * The copy doubles its lane in every groove that got it, also where that lane is varied; grooves
   * that had a lane of its name before keep theirs.
   */
  private Song layered(Song before, Song song, LaneId id, LaneId copy) {
    Song out = song.withPart(part, p -> p.withSound(copy, layer(p.sound(copy))));
    for (NamedPattern named : song.part(part).orElseThrow().patterns()) {
      DrumEdits groove = new DrumEdits(part, named.name());
      if (groove.lanes(before).contains(copy)) {
        continue;
      }
      out =
          groove
              .pattern(
                  "",
                  lanes ->
                      lanes.each(
                          lane ->
                              lane.id().equals(copy)
                                  ? lanes.find(id).map(l -> l.withId(copy)).orElse(lane)
                                  : lane))
              .apply(out);
    }
    return out;
  }

  private static LaneSound layer(LaneSound sound) {
    return sound.choke() == 0 ? sound : sound.withChoke(0);
  }

  /**
   * The same edits of the groove that is followed in the end; of this one where it follows none.
   */
  private DrumEdits followed(Song song) {
    List<NamedPattern> lineage = song.part(part).orElseThrow().lineage(pattern);
    return lineage.isEmpty() ? this : new DrumEdits(part, lineage.get(lineage.size() - 1).name());
  }

  private List<LaneId> lanes(Song song) {
    return song.part(part)
        .flatMap(p -> p.groove(pattern, song.brief().meter()))
        .map(groove -> groove.lanes().stream().map(DrumLane::id).toList())
        .orElse(List.of());
  }

  /** Takes a lane away; the last one stays. */
  public Edit drop(LaneId id) {
    return pattern(
        "Delete the " + id + " lane",
        groove -> groove.lanes().size() == 1 ? groove : groove.without(id));
  }

  /** Puts the steps of a lane on another one. */
  public Edit copyTo(LaneId from, LaneId to) {
    return pattern(
        "Copy " + from + " to " + to,
        groove ->
            groove
                .find(from)
                .map(
                    lane ->
                        groove.each(
                            l -> l.id().equals(to) ? lane.withId(to).withFeel(l.feel()) : l))
                .orElse(groove));
  }

  /**
   * Writes what a lane plays in one bar into another bar, or into all others when {@code to} is
   * empty. A lane shorter than the groove is written out first.
   */
  public Edit copyBar(LaneId id, int from, Optional<Integer> to) {
    String where = to.map(bar -> "bar " + (bar + 1)).orElse("all bars");
    return groove()
        .change(
            "Copy bar " + (from + 1) + " of " + id + " to " + where,
            (groove, meter) -> {
              BarCopy copy = new BarCopy(groove.bars(), meter.ticksPerBar(), from, to);
              return groove.each(l -> l.id().equals(id) ? copy.of(l) : l);
            });
  }

  private Edit lane(String name, LaneId id, UnaryOperator<StepLane> change) {
    return pattern(name, groove -> groove.withLane(id, change));
  }

  private Edit pattern(String name, UnaryOperator<Pattern.Drums> change) {
    return groove().change(name, change);
  }

  private static DrumLane empty(Pattern.Drums groove, LaneId id) {
    int steps = groove.lanes().stream().mapToInt(l -> l.lane().length()).max().orElse(STEPS);
    return DrumLane.of(id, StepLane.empty(steps));
  }

  private static Pattern.Drums stacked(Pattern.Drums groove, LaneId id) {
    int last =
        groove.lanes().stream()
            .map(DrumLane::id)
            .filter(other -> other.voice() == id.voice())
            .max(Comparator.comparingInt(LaneId::number))
            .map(LaneId::number)
            .orElse(0);
    Optional<DrumLane> model = groove.find(id);
    if (model.isEmpty() || last == LaneId.MOST) {
      return groove;
    }
    List<DrumLane> lanes = new ArrayList<>(groove.lanes());
    lanes.add(lanes.indexOf(model.get()) + 1, model.get().withId(new LaneId(id.voice(), last + 1)));
    return groove.withLanes(lanes);
  }
}
