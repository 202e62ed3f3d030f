package westtide.drafts;

import static westtide.drafts.HeardDraft.late;
import static westtide.drafts.HeardDraft.middleKey;
import static westtide.drafts.HeardDraft.middleLength;
import static westtide.drafts.HeardDraft.octaves;
import static westtide.drafts.HeardDraft.over;
import static westtide.drafts.HeardDraft.perBar;
import static westtide.drafts.HeardDraft.share;
import static westtide.drafts.HeardDraft.together;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import westtide.Songs;
import westtide.score.ScoredNote;
import westtide.song.Part;
import westtide.song.SectionKind;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.id.PartId;
import westtide.song.mix.Duck;
import westtide.style.Job;

/**
 * Words a text can hold, and what a draft has to play for them.
 *
 * @param where where in a style such a text stands, as a pattern of its place
 * @param words the words, as a pattern
 * @param kept whether a draft keeps it
 */
record Promise(Pattern where, Pattern words, Kept kept) {
  /** What a text speaks of. */
  record Subject(PartId part, String lane) {}

  /** Whether a draft keeps what was promised. */
  @FunctionalInterface
  interface Kept {
    boolean by(HeardDraft draft, Subject subject);
  }

  private static final PartId KEYS = PartId.of("keys");
  private static final PartId LEAD = PartId.of("lead");
  private static final PartId DRUMS = PartId.of("drums");
  private static final PartId SUB = PartId.of("808");
  private static final PartId BASS = PartId.of("bass");
  private static final int HALF_BAR = 1920;

  private static final Job.Kinds<PartId> BESIDE =
      new Job.Kinds<>() {
        @Override
        public PartId bed(Job.Bed job) {
          return KEYS;
        }

        @Override
        public PartId twin(Job.Twin job) {
          return job.of();
        }

        @Override
        public PartId broken(Job.Broken job) {
          return PartId.of("left-arp");
        }

        @Override
        public PartId beside(Job.Beside job) {
          return LEAD;
        }

        @Override
        public PartId percussion(Job.Percussion job) {
          return DRUMS;
        }
      };

  static final List<Promise> ALL = all();

  private static List<Promise> all() {
    List<Promise> out = new ArrayList<>();
    lanes(out);
    members(out);
    lows(out);
    chords(out);
    return List.copyOf(out);
  }

  boolean made(String place, String text) {
    return where.matcher(place).find() && words.matcher(text).find();
  }

  private static Promise of(String where, String words, Kept kept) {
    return new Promise(
        Pattern.compile(where), Pattern.compile(words, Pattern.CASE_INSENSITIVE), kept);
  }

  private static List<ScoredNote> lane(HeardDraft draft, String code) {
    LaneId lane = LaneId.parse(code);
    return draft.full(DRUMS).stream()
        .filter(n -> n.struck().filter(s -> s.lane().equals(lane)).isPresent())
        .toList();
  }

  private static List<ScoredNote> drum(HeardDraft draft, DrumVoice voice) {
    return draft.full(DRUMS).stream().filter(n -> n.of(voice)).toList();
  }

  private static Kept struck(double least, Integer... steps) {
    return (draft, subject) -> share(lane(draft, subject.lane()), steps) >= least;
  }

  private static void lanes(List<Promise> out) {
    String kick = "lanes/KICK$";
    String backbeat = "lanes/(SNARE|CLAP|TAMBOURINE)$";
    String any = "drums/lanes/";
    out.add(of(kick, "four to the floor|four soft|four kicks", struck(0.75, 0, 4, 8, 12)));
    out.add(of(backbeat, "two and four|\\b2 and 4\\b", struck(0.7, 4, 12)));
    out.add(of(backbeat, "\\bbeat 3\\b", struck(0.45, 8)));
    out.add(of("lanes/SNARE$", "ghost on step 8", struck(0.3, 7)));
    out.add(
        of(
            "lanes/OPEN_HAT$",
            "off-beats?\\b",
            (d, s) -> share(lane(d, s.lane()), n -> n.written() % 960 == 480) > 0.7));
    out.add(
        of(
            "lanes/(CLOSED_HAT|SHAKER)$",
            "^(all |soft )?sixteenths",
            (d, s) -> perBar(lane(d, s.lane())) >= 9));
    out.add(
        of(any, "shaker has the sixteenths", (d, s) -> perBar(drum(d, DrumVoice.SHAKER)) >= 11));
    out.add(
        of(
            "lanes/CLOSED_HAT$",
            "\\beighths",
            (d, s) -> perBar(lane(d, s.lane())) >= 4.5 && perBar(lane(d, s.lane())) <= 11));
    out.add(of("lanes/CLOSED_HAT$", "\\brolls\\b", (d, s) -> HeardDraft.rolls(lane(d, s.lane()))));
    out.add(of(any, "loud and soft", (d, s) -> HeardDraft.velocityRange(lane(d, s.lane())) >= 25));
    out.add(
        of(
            any,
            "every (fourth|4th) (bar|pass)|end of the fourth bar",
            (d, s) -> {
              int bars = HeardDraft.bars(lane(d, s.lane())).size();
              int all = HeardDraft.bars(d.full(DRUMS)).size();
              return bars > 0 && bars <= 0.4 * all;
            }));
    out.add(
        of(
            "lanes/TOM$",
            "\\bpitched\\b|tuned",
            (d, s) -> HeardDraft.pitches(lane(d, s.lane())) >= 2));
    out.add(
        of(
            "lanes/CRASH$",
            "on the one",
            (d, s) -> share(lane(d, s.lane()), n -> n.written() % 3840 == 0) > 0.8));
    out.add(of(any, "(a little|slightly) late", (d, s) -> late(lane(d, s.lane())) > 4));
    out.add(
        of(
            "lanes/CLAP$",
            "ticks before the snare",
            (d, s) -> {
              double early = late(drum(d, DrumVoice.SNARE)) - late(lane(d, s.lane()));
              return early >= 9 && early <= 21;
            }));
    out.add(
        of(
            any,
            "once in two bars|every second bar|end of the second bar",
            (d, s) -> {
              int bars = HeardDraft.bars(lane(d, s.lane())).size();
              return bars > 0 && bars <= 0.7 * HeardDraft.bars(d.full(DRUMS)).size();
            }));
    out.add(
        of(
            "lanes/OPEN_HAT$",
            "under the snare",
            (d, s) -> together(lane(d, s.lane()), drum(d, DrumVoice.SNARE)) >= 0.6));
    out.add(
        of(
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
        of(
            any,
            "copies the rhythm of the bass",
            (d, s) -> together(lane(d, s.lane()), d.full(BASS)) >= 0.6));
    out.add(
        of(
            "lanes/PERCUSSION$",
            "gaps the kick leaves|in the gaps",
            (d, s) -> together(lane(d, s.lane()), drum(d, DrumVoice.KICK)) <= 0.25));
    out.add(
        of(
            "lanes/SNARE$",
            "\\bghosts?\\b|\\bsoft\\b",
            (d, s) -> share(lane(d, s.lane()), n -> n.velocity() <= 75) > 0));
    out.add(of("lanes/RIM$", "step 3", struck(0.7, 2)));
  }

  private static void members(List<Promise> out) {
    String member = "ensemble/members/";
    out.add(
        of(
            member,
            "an octave (up|higher|above)|octave above|in octaves",
            (d, s) -> middleKey(d.notes(s.part())) - middleKey(d.notes(model(d, s))) >= 6));
    out.add(
        of(
            member,
            "octave (below|lower|down)",
            (d, s) -> middleKey(d.notes(s.part())) - middleKey(d.notes(model(d, s))) <= -6));
    out.add(of(member, "last hook", (d, s) -> d.playsInLastHook(s.part())));
    out.add(
        of(
            member,
            "kept for the last hook|only when it has been heard|second hook",
            (d, s) -> d.playsInLastHook(s.part()) && !d.playsInFirstHook(s.part())));
    out.add(
        of(
            member,
            "second half|halfway|\\blate\\b",
            (d, s) ->
                d.joinsLate(s.part(), SectionKind.HOOK)
                    || d.joinsLate(s.part(), SectionKind.VERSE)
                    || !d.playsInFirstHook(s.part()) && d.playsInLastHook(s.part())));
    out.add(of(member, "\\bintro\\b", (d, s) -> d.plays(s.part(), SectionKind.INTRO)));
    out.add(of(member, "\\bverses?\\b", (d, s) -> d.plays(s.part(), SectionKind.VERSE)));
    out.add(of(member, "\\bbridge\\b", (d, s) -> d.plays(s.part(), SectionKind.BRIDGE)));
    out.add(of(member, "\\bbuild\\b", (d, s) -> d.plays(s.part(), SectionKind.PRE_HOOK)));
    out.add(
        of(
            member,
            "hooks only|behind the hook|under the (hook|drop)|over the drop|of the hook|lift the hook",
            (d, s) -> d.plays(s.part(), SectionKind.HOOK)));
    out.add(
        of(
            member,
            "hooks only|only under the hook",
            (d, s) ->
                d.plays(s.part(), SectionKind.HOOK)
                    && !d.plays(s.part(), SectionKind.VERSE)
                    && !d.plays(s.part(), SectionKind.INTRO)));
    out.add(
        of(
            member,
            "^(?!.*(left and right|left out|right:)).*\\bleft\\b",
            (d, s) -> pan(d, s.part()) < 0));
    out.add(
        of(member, "^(?!.*(left and right|right:)).*\\bright\\b", (d, s) -> pan(d, s.part()) > 0));
    out.add(
        of(
            member,
            "\\bother side\\b",
            (d, s) -> pan(d, s.part()) * pan(d, model(d, s)) < 0 || pan(d, s.part()) != 0));
    out.add(
        of(
            member,
            "left and right|left, .* right:|wide apart|between the sides",
            (d, s) ->
                d.part(s.part()).stream()
                    .anyMatch(part -> bothSides(d, part) || part.mix().width() >= 40)));
    out.add(of(member, "\\bwide\\b(?! apart)", (d, s) -> width(d, s.part()) >= 40));
    out.add(
        of(
            member,
            "\\bwet\\b|far (away|behind|back)",
            (d, s) -> d.part(s.part()).orElseThrow().mix().reverb() >= 20));
    out.add(of(member, "\\bstrummed\\b(?! keys)", (d, s) -> d.strums(s.part())));
    out.add(
        of(
            member,
            "in the rests? of|where the \\w+ (rests?|breathes|is silent)|answers(?! to the kick)",
            (d, s) -> over(d.usual(s.part()), d.notes(LEAD)) <= 0.5));
    out.add(
        of(
            member,
            "broken chords",
            (d, s) ->
                HeardDraft.atOnce(d.notes(s.part())) < 1.1 && perBar(d.notes(s.part())) >= 4));
    out.add(
        of(
            member,
            "long (notes|strings)|^held\\b(?! under (all|every))|\\bheld strings",
            (d, s) -> middleLength(d.notes(s.part())) >= HALF_BAR * 0.8));
    out.add(
        of(
            member,
            "doubles the (bass|keys|piano|stack|riff)|once more",
            (d, s) -> together(d.notes(s.part()), d.notes(model(d, s))) >= 0.7));
    out.add(of(member, "^sixteenths", (d, s) -> perBar(d.notes(s.part())) >= 9));
    out.add(
        of(member, "\\bslides?\\b", (d, s) -> share(d.notes(s.part()), n -> n.slide() > 0) > 0));
    out.add(
        of(member, "level rises over eight", (d, s) -> HeardDraft.rise(d.full(s.part()), 8) > 6));
    out.add(
        of(
            member,
            "copy the rhythm of the bass",
            (d, s) -> together(d.full(s.part()), d.full(BASS)) >= 0.6));
    out.add(of(member, "two octaves|octave stack", (d, s) -> octaves(d.notes(s.part())) > 0));
  }

  private static void lows(List<Promise> out) {
    out.add(of("^sub$|^summary$", "slid(es?|ing)", (d, s) -> slides(d, SUB)));
    out.add(of("^bass$", "octaves|octave bass", (d, s) -> octaves(d.usual(BASS)) >= 0.2));
    out.add(
        of(
            "^sub$",
            "octave below",
            (d, s) -> middleKey(d.usual(BASS)) - middleKey(d.usual(SUB)) >= 7));
    out.add(
        of(
            "^sub$",
            "locked to the kick|starts with the kick|under the kick",
            (d, s) -> together(d.full(SUB), drum(d, DrumVoice.KICK)) >= 0.65));
    out.add(
        of(
            "^(sub|bass)$",
            "between the kicks",
            (d, s) -> together(d.full(s.part()), drum(d, DrumVoice.KICK)) <= 0.3));
    out.add(
        of(
            "^sub$",
            "11, 13 and 15",
            (d, s) -> share(d.full(SUB), n -> n.written() % 3840 / 240 >= 10) >= 0.15));
    out.add(of("^sub$", "full velocity", (d, s) -> HeardDraft.velocityRange(d.full(SUB)) <= 15));
    out.add(of("^(sub|bass)$", "\\broots\\b", (d, s) -> d.roots(s.part()) >= 0.6));
    out.add(of("^bass$", "rests longer than its notes", (d, s) -> d.sounding(BASS) <= 0.5));
    out.add(of("^bass$", "long rests", (d, s) -> d.sounding(BASS) <= 0.6));
    out.add(
        of(
            "^bass$",
            "^held|one long note",
            (d, s) -> middleLength(d.notes(BASS)) >= HALF_BAR * 0.8));
    out.add(of("^bass$", "steps? into|step down", (d, s) -> d.roots(BASS) < 1));
    out.add(
        of(
            "^sound$",
            "\\bdips?\\b|duck|step back|makes way|\\bpump|take turns",
            (d, s) ->
                d.song().parts().stream()
                    .anyMatch(p -> p.mix().duck().trigger() != Duck.Trigger.NONE)));
  }

  private static void chords(List<Promise> out) {
    String chords = "^(chords|keys-part)$";
    out.add(of(chords, "strummed|rolled", (d, s) -> d.strums(KEYS)));
    out.add(
        of(
            "^chords$",
            "\\bpushed\\b",
            (d, s) ->
                d.song().progressions().stream()
                        .anyMatch(p -> p.rhythm().filter(r -> r.push() > 0).isPresent())
                    || share(d.full(KEYS), n -> n.written() % 960 >= 720) > 0));
    out.add(
        of(
            "^chords$",
            "sevenths|ninths",
            (d, s) ->
                d.song().progressions().get(0).spans().stream()
                            .filter(span -> span.chord().pitchClasses().size() >= 4)
                            .count()
                        * 2
                    >= d.song().progressions().get(0).spans().size()));
    out.add(
        of(
            "^chords$",
            "^triads",
            (d, s) ->
                d.song().progressions().get(0).spans().stream()
                    .anyMatch(span -> span.chord().pitchClasses().size() == 3)));
    out.add(
        of(
            "^chords$",
            "root and fifth",
            (d, s) ->
                d.song().progressions().get(0).spans().stream()
                    .anyMatch(span -> span.chord().pitchClasses().size() == 2)));
    out.add(
        of(
            "^(chords|keys-part)$",
            "off-beats?\\b",
            (d, s) -> share(d.full(KEYS), n -> n.written() % 960 != 0) >= 0.5));
    out.add(
        of(
            "^(chords|keys-part)$",
            "every other bar",
            (d, s) ->
                HeardDraft.bars(d.full(KEYS)).size()
                    <= 0.7 * HeardDraft.bars(d.full(DRUMS)).size()));
  }

  private static int pan(HeardDraft draft, PartId part) {
    return draft.part(part).map(p -> p.mix().pan()).orElse(0);
  }

  private static int width(HeardDraft draft, PartId part) {
    return draft.part(part).map(p -> p.mix().width()).orElse(0);
  }

  private static boolean bothSides(HeardDraft draft, Part part) {
    List<Integer> pans =
        part.grooves(draft.song().brief().meter()).values().stream()
            .flatMap(groove -> groove.lanes().stream())
            .map(lane -> part.sound(lane.id()).pan())
            .toList();
    return pans.stream().anyMatch(pan -> pan < 0) && pans.stream().anyMatch(pan -> pan > 0);
  }

  private static boolean slides(HeardDraft draft, PartId part) {
    return share(draft.notes(part), n -> n.slide() > 0) > 0;
  }

  /** The part a member stands beside: the one it doubles, the keys for chords, else the lead. */
  private static PartId model(HeardDraft draft, Subject subject) {
    return Songs.book().get(draft.song().brief().style()).ensemble().members().stream()
        .filter(member -> member.id().equals(subject.part()))
        .findFirst()
        .map(member -> member.job().accept(BESIDE))
        .orElse(LEAD);
  }

  @Override
  public String toString() {
    return "(" + words + ")";
  }
}
