package westtide.song.edit.drum;

import java.util.Optional;
import westtide.rhythm.Hit;
import westtide.rhythm.Meter;
import westtide.rhythm.StepLane;
import westtide.rhythm.Velocity;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.edit.Edit;
import westtide.song.pattern.Pattern;

/**
 * Drums stacked on one line, as they usually are (common practice): two kicks, claps apart around a
 * snare, an open hat under the snare, the clap a hair before it.
 *
 * @param edits the groove they are stacked in
 */
public record DrumStackEdits(DrumEdits edits) {
  private static final LaneId SECOND_KICK = new LaneId(DrumVoice.KICK, 2);
  private static final LaneId SECOND_CLAP = new LaneId(DrumVoice.CLAP, 2);
  private static final int APART = 45;
  private static final int BEHIND = 10;
  private static final int BEFORE = -14;
  private static final int UNDER = 64;
  private static final int CLICK_BELOW = -60;

  /** A short kick for the click on top of the body. */
  public Edit twoKicks() {
    return Edit.of(
        "Stack two kicks",
        song -> {
          Song stacked = has(song, SECOND_KICK) ? song : edits.stack(kick()).apply(song);
          return edits
              .sound("", SECOND_KICK, s -> s.withInstrument("click kick").withLevel(CLICK_BELOW))
              .apply(stacked);
        });
  }

  /** A clap on either side, the second a little behind, and the snare in the middle. */
  public Edit clapsApart() {
    return Edit.of(
        "Spread claps",
        song -> {
          Song out = has(song, SECOND_CLAP) ? song : edits.stack(clap()).apply(song);
          out = edits.sound("", clap(), s -> s.withPan(-APART)).apply(out);
          out = edits.sound("", SECOND_CLAP, s -> s.withPan(APART)).apply(out);
          out = edits.feel("", SECOND_CLAP, f -> f.withNudge(BEHIND)).apply(out);
          return has(out, snare()) ? out : under(clap(), DrumVoice.SNARE, Velocity.HIT).apply(out);
        });
  }

  /** An open hat under every snare that is not a ghost, to harden it. */
  public Edit openHatUnderSnare() {
    LaneId backbeat = snare();
    return Edit.of(
        "Put an open hat under the snare",
        song -> {
          LaneId above = has(song, backbeat) ? backbeat : clap();
          return under(above, DrumVoice.OPEN_HAT, UNDER).apply(song);
        });
  }

  /** The clap a hair before the snare; again takes it back. */
  public Edit clapBeforeSnare() {
    return edits.feel(
        "Move the clap before the snare",
        clap(),
        feel -> feel.withNudge(feel.nudge() < 0 ? 0 : BEFORE));
  }

  /** The hits of a lane that are no ghosts, on a lane of another drum at one velocity. */
  private Edit under(LaneId above, DrumVoice voice, int velocity) {
    return Edit.of(
        "Put " + voice + " under " + above,
        song -> {
          Song with = edits.addVoice(voice).apply(song);
          Optional<DrumLane> model = groove(with).flatMap(g -> g.find(above));
          return model.isEmpty()
              ? song
              : edits.lane(voice.lane(), merged(with, voice, model.get(), velocity)).apply(with);
        });
  }

  private StepLane merged(Song song, DrumVoice voice, DrumLane model, int velocity) {
    Pattern.Drums groove = groove(song).orElseThrow();
    int steps = groove.bars() * meter(song).stepsPerBar();
    StepLane old = groove.find(voice.lane()).orElseThrow().lane();
    StepLane out = new StepLane(steps, old.over(steps));
    for (Hit hit : model.lane().over(steps)) {
      if (hit.velocity() > Velocity.SOFT && out.at(hit.step()).isEmpty()) {
        out = out.with(Hit.of(hit.step(), velocity));
      }
    }
    return out;
  }

  private boolean has(Song song, LaneId id) {
    return groove(song).flatMap(groove -> groove.find(id)).isPresent();
  }

  private Optional<Pattern.Drums> groove(Song song) {
    Optional<Part> part = song.part(edits.part());
    return part.flatMap(p -> p.groove(edits.pattern(), meter(song)));
  }

  private static Meter meter(Song song) {
    return song.brief().meter();
  }

  private static LaneId kick() {
    return DrumVoice.KICK.lane();
  }

  private static LaneId clap() {
    return DrumVoice.CLAP.lane();
  }

  private static LaneId snare() {
    return DrumVoice.SNARE.lane();
  }
}
