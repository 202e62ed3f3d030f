package westtide.drafts;

import static westtide.drafts.HeardDraft.late;
import static westtide.drafts.HeardDraft.perBar;
import static westtide.drafts.HeardDraft.share;
import static westtide.drafts.HeardDraft.together;

import java.util.ArrayList;
import java.util.List;
import westtide.score.event.ScoredNote;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.form.SectionKind;
import westtide.song.id.PartId;

/** What texts promise of lanes of drums. */
final class LanePromises {
  private static final PartId DRUMS = PartId.of("drums");
  private static final PartId BASS = PartId.of("bass");

  private LanePromises() {}

  static List<Promise> all() {
    List<Promise> out = new ArrayList<>();
    String kick = "lanes/KICK$";
    String backbeat = "lanes/(SNARE|CLAP|TAMBOURINE)$";
    String any = "drums/lanes/";
    out.add(Promise.of(kick, "four to the floor|four soft|four kicks", struck(0.75, 0, 4, 8, 12)));
    out.add(Promise.of(backbeat, "two and four|\\b2 and 4\\b", struck(0.7, 4, 12)));
    out.add(Promise.of(backbeat, "\\bbeat 3\\b", struck(0.45, 8)));
    out.add(Promise.of("lanes/SNARE$", "ghost on step 8", struck(0.3, 7)));
    out.add(
        Promise.of(
            "lanes/OPEN_HAT$",
            "off-beats?\\b",
            (d, s) -> share(lane(d, s.lane()), n -> n.written() % 960 == 480) > 0.7));
    out.add(
        Promise.of(
            "lanes/(CLOSED_HAT|SHAKER)$",
            "^(all |soft )?sixteenths",
            (d, s) -> perBar(lane(d, s.lane())) >= 9));
    out.add(
        Promise.of(
            any, "shaker has the sixteenths", (d, s) -> perBar(d.drum(DrumVoice.SHAKER)) >= 11));
    out.add(
        Promise.of(
            "lanes/CLOSED_HAT$",
            "\\beighths",
            (d, s) -> perBar(lane(d, s.lane())) >= 4.5 && perBar(lane(d, s.lane())) <= 11));
    out.add(
        Promise.of(
            "lanes/CLOSED_HAT$", "\\brolls\\b", (d, s) -> HeardDraft.rolls(lane(d, s.lane()))));
    out.add(
        Promise.of(
            any, "loud and soft", (d, s) -> HeardDraft.velocityRange(lane(d, s.lane())) >= 25));
    out.add(
        Promise.of(
            any,
            "every (fourth|4th) (bar|pass)|end of the fourth bar",
            (d, s) -> {
              int bars = HeardDraft.bars(lane(d, s.lane())).size();
              int all = HeardDraft.bars(d.full(DRUMS)).size();
              return bars > 0 && bars <= 0.4 * all;
            }));
    out.add(
        Promise.of(
            "lanes/TOM$",
            "\\bpitched\\b|tuned",
            (d, s) -> HeardDraft.pitches(lane(d, s.lane())) >= 2));
    out.add(
        Promise.of(
            "lanes/CRASH$",
            "on the one",
            (d, s) -> share(lane(d, s.lane()), n -> n.written() % 3840 == 0) > 0.8));
    out.add(Promise.of(any, "(a little|slightly) late", (d, s) -> late(lane(d, s.lane())) > 4));
    out.add(
        Promise.of(
            "lanes/CLAP$",
            "ticks before the snare",
            (d, s) -> {
              double early = late(d.drum(DrumVoice.SNARE)) - late(lane(d, s.lane()));
              return early >= 9 && early <= 21;
            }));
    out.add(
        Promise.of(
            any,
            "once in two bars|every second bar|end of the second bar",
            (d, s) -> {
              int bars = HeardDraft.bars(lane(d, s.lane())).size();
              return bars > 0 && bars <= 0.7 * HeardDraft.bars(d.full(DRUMS)).size();
            }));
    out.add(
        Promise.of(
            "lanes/OPEN_HAT$",
            "under the snare",
            (d, s) -> together(lane(d, s.lane()), d.drum(DrumVoice.SNARE)) >= 0.6));
    out.add(
        Promise.of(
            any,
            "from the fifth bar|after four bars|second half of",
            (d, s) ->
                d.places(SectionKind.HOOK).stream()
                    .anyMatch(
                        hook -> {
                          int start = d.song().form().startBar(hook);
                          List<ScoredNote> in =
                              lane(d, s.lane()).stream()
                                  .filter(n -> d.in(DRUMS, hook).contains(n))
                                  .toList();
                          return !in.isEmpty()
                              && in.stream().allMatch(n -> n.written() / 3840 >= start + 4);
                        })));
    out.add(
        Promise.of(
            any,
            "copies the rhythm of the bass",
            (d, s) -> together(lane(d, s.lane()), d.full(BASS)) >= 0.6));
    out.add(
        Promise.of(
            "lanes/PERCUSSION$",
            "gaps the kick leaves|in the gaps",
            (d, s) -> together(lane(d, s.lane()), d.drum(DrumVoice.KICK)) <= 0.25));
    out.add(
        Promise.of(
            "lanes/SNARE$",
            "\\bghosts?\\b|\\bsoft\\b",
            (d, s) -> share(lane(d, s.lane()), n -> n.velocity() <= 75) > 0));
    out.add(Promise.of("lanes/RIM$", "step 3", struck(0.7, 2)));
    return out;
  }

  private static List<ScoredNote> lane(HeardDraft draft, String code) {
    LaneId lane = LaneId.parse(code);
    return draft.full(DRUMS).stream()
        .filter(n -> n.struck().filter(s -> s.lane().equals(lane)).isPresent())
        .toList();
  }

  private static Promise.Kept struck(double least, Integer... steps) {
    return (draft, subject) -> share(lane(draft, subject.lane()), steps) >= least;
  }
}
