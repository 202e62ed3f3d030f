package westtide.sound;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import westtide.rhythm.Tempo;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.score.event.AutomationTarget;
import westtide.score.event.Motion;
import westtide.score.event.ScoredNote;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.drum.DrumVoice;
import westtide.song.id.PartId;
import westtide.sound.desk.Automation;
import westtide.sound.desk.Channel;
import westtide.sound.desk.Movements;
import westtide.sound.desk.Strip;
import westtide.sound.desk.Track;
import westtide.theory.Pitch;

/**
 * Makes scores ready to be heard. It keeps the tables and channels from one score to the next, so
 * that after an edit only what changed is made anew. Used by one thread, which is not the audio
 * thread.
 */
public final class Preparation {
  private final int rate;
  private final TableStore tables;
  private final Map<PartId, Channel> channels = new LinkedHashMap<>();
  private final Map<String, Channel> laneChannels = new HashMap<>();

  /** The tuning of the score made ready last, which single notes are tried in. */
  private volatile double tuning = 1;

  /** Its tempo. */
  private volatile Tempo tempo = Tempo.of(120);

  /** A preparation at a sample rate. */
  public Preparation(int rate) {
    this(rate, SharedTables.none());
  }

  /** A preparation at a sample rate that makes no table which another one made. */
  public Preparation(int rate, SharedTables shared) {
    this(rate, new TableStore(rate, shared));
  }

  Preparation(int rate, TableStore tables) {
    this.rate = rate;
    this.tables = tables;
  }

  /** The sample rate in Hz. */
  public int rate() {
    return rate;
  }

  /** The same tables with channels of its own, to render beside another. */
  Preparation fresh() {
    return new Preparation(rate, tables);
  }

  /** Makes a score ready, with what is muted left out. */
  public PreparedScore prepare(Score score, Audible audible) {
    return prepare(score, audible, part -> true);
  }

  /** Makes some parts of a score ready; they step back from the others all the same. */
  PreparedScore prepare(Score score, Audible audible, Predicate<Part> wanted) {
    List<PreparedScore.Prepared> parts = new ArrayList<>();
    double ticksPerSecond = ticksPerSecond(score);
    tuning = Pitch.ratio(score.song().brief().cents());
    tempo = score.song().brief().tempo();
    Triggers triggers = new Triggers(score);
    List<PlannedPart> planned = new ArrayList<>();
    for (ScoredPart part : score.parts()) {
      if (wanted.test(part.part())) {
        planned.add(plan(part, audible, ticksPerSecond, triggers, score.ticks()));
      }
    }
    tables.make();
    planned.forEach(part -> parts.add(part.prepared()));
    for (PartId id : channels.keySet()) {
      if (score.part(id).isEmpty()) {
        Channel gone = channels.get(id);
        parts.add(new PreparedScore.Prepared(id, gone, Track.EMPTY, silentStrip(), false));
      }
    }
    tables.tidy();
    return new PreparedScore(
        parts, score.ticks(), ticksPerSecond, score.song().barLines(), score.song().master());
  }

  /** One note of a part, ready to be heard by itself; nothing for a drum the kit lacks. */
  public Optional<Audition> trial(Part part, int key, int velocity, int millis) {
    Optional<ScoredNote.Struck> struck =
        part.role() == Role.DRUMS
            ? DrumVoice.ofNote(key).map(voice -> new ScoredNote.Struck(voice.lane(), 0))
            : Optional.empty();
    return trial(part, new ScoredNote(0, frames(millis), key, velocity, struck));
  }

  /** One stroke of a lane of drums, ready to be heard by itself. */
  public Optional<Audition> trial(Part part, ScoredNote.Struck struck, int velocity, int millis) {
    int key = part.sound(struck.lane()).note();
    return trial(part, new ScoredNote(0, frames(millis), key, velocity, Optional.of(struck)));
  }

  private Optional<Audition> trial(Part part, ScoredNote note) {
    return new PartPlayer(part, tables, rate, tuning(part), tempo).trial(note);
  }

  private double tuning(Part part) {
    return tuning * Pitch.ratio(part.transposition().cents());
  }

  private int frames(int millis) {
    return Math.max(1, (int) (millis / 1000.0 * rate));
  }

  /** A part whose tables are still to be made. */
  private record PlannedPart(
      Part part, Channel channel, TrackBuilder notes, Strip strip, List<PlannedLane> lanes) {
    PreparedScore.Prepared prepared() {
      return new PreparedScore.Prepared(
          part.id(),
          channel,
          notes.track(),
          strip,
          part.role() == Role.DRUMS,
          lanes.stream().map(PlannedLane::prepared).toList());
    }
  }

  private record PlannedLane(Channel channel, TrackBuilder notes, Strip strip) {
    PreparedScore.Lane prepared() {
      return new PreparedScore.Lane(channel, notes.track(), strip);
    }
  }

  private PlannedPart plan(
      ScoredPart scored, Audible audible, double ticksPerSecond, Triggers triggers, int end) {
    Part part = scored.part();
    boolean muted = !audible.part(part.id().value());
    Strip strip = Strip.of(part.mix(), moves(scored, end), muted, triggers.of(part.mix().duck()));
    Channel channel =
        channels.computeIfAbsent(part.id(), id -> new Channel(rate, Engine.BLOCK, strip));
    List<ScoredNote> heard =
        scored.notes().stream().filter(note -> heard(part, note, audible)).toList();
    if (delays(part, scored)) {
      channel.giveDelay();
    }
    PartPlayer player = new PartPlayer(part, tables, rate, tuning(part), tempo);
    double framesPerTick = rate / ticksPerSecond;
    if (part.role() != Role.DRUMS) {
      TrackBuilder notes = player.plan(heard, framesPerTick);
      return new PlannedPart(part, channel, notes, strip, List.of());
    }
    LaneChannels split = LaneChannels.of(part, heard);
    List<PlannedLane> lanes = new ArrayList<>();
    split
        .own()
        .forEach(
            (lane, strokes) -> {
              Strip own = Strip.lane(part.sound(lane));
              Channel through =
                  laneChannels.computeIfAbsent(
                      Audible.lane(part.id(), lane), id -> new Channel(rate, Engine.BLOCK, own));
              lanes.add(
                  new PlannedLane(
                      through, player.plan(strokes, split::chokedAt, framesPerTick), own));
            });
    TrackBuilder notes = player.plan(split.shared(), split::chokedAt, framesPerTick);
    return new PlannedPart(part, channel, notes, strip, lanes);
  }

  private static boolean delays(Part part, ScoredPart scored) {
    return part.mix().delay() > 0
        || !scored.motion(AutomationTarget.DELAY).pieces().isEmpty()
        || part.lanes().values().stream().anyMatch(sound -> sound.delay() > 0);
  }

  private static boolean heard(Part part, ScoredNote note, Audible audible) {
    return note.struck()
        .map(struck -> audible.lane(Audible.lane(part.id(), struck.lane())))
        .orElse(true);
  }

  private static double ticksPerSecond(Score score) {
    return 1000 / score.song().brief().tempo().millis(1);
  }

  private static Strip silentStrip() {
    return Strip.of(westtide.song.mix.Mix.PLAIN, Movements.NONE, true);
  }

  /** A fade or a filter that moves up to the end of the song stays there while tails ring. */
  private static Movements moves(ScoredPart part, int end) {
    Motion level =
        Motion.together(
            AutomationTarget.LEVEL,
            part.motion(AutomationTarget.LEVEL).held(end),
            part.motion(AutomationTarget.EXPRESSION));
    return new Movements(
        automation(level, AutomationTarget.LEVEL),
        automation(part.motion(AutomationTarget.LOW_PASS).held(end), AutomationTarget.LOW_PASS),
        automation(part.motion(AutomationTarget.HIGH_PASS).held(end), AutomationTarget.HIGH_PASS),
        automation(part.motion(AutomationTarget.PAN), AutomationTarget.PAN),
        automation(part.motion(AutomationTarget.ROOM), AutomationTarget.ROOM),
        automation(part.motion(AutomationTarget.DELAY), AutomationTarget.DELAY),
        automation(part.motion(AutomationTarget.WIDTH), AutomationTarget.WIDTH));
  }

  private static Automation automation(Motion motion, AutomationTarget what) {
    List<Motion.Piece> pieces = motion.pieces();
    return new Automation(
        pieces.stream().mapToInt(Motion.Piece::from).toArray(),
        pieces.stream().mapToInt(Motion.Piece::to).toArray(),
        pieces.stream().mapToDouble(Motion.Piece::first).toArray(),
        pieces.stream().mapToDouble(Motion.Piece::last).toArray(),
        what.rest());
  }
}
