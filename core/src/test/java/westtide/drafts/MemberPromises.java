package westtide.drafts;

import static westtide.drafts.HeardDraft.middleKey;
import static westtide.drafts.HeardDraft.middleLength;
import static westtide.drafts.HeardDraft.octaves;
import static westtide.drafts.HeardDraft.over;
import static westtide.drafts.HeardDraft.perBar;
import static westtide.drafts.HeardDraft.share;
import static westtide.drafts.HeardDraft.together;

import java.util.ArrayList;
import java.util.List;
import westtide.Songs;
import westtide.song.Part;
import westtide.song.form.SectionKind;
import westtide.song.id.PartId;
import westtide.style.Job;

/** What texts promise of the parts that join an ensemble. */
final class MemberPromises {
  private static final PartId KEYS = PartId.of("keys");
  private static final PartId LEAD = PartId.of("lead");
  private static final PartId DRUMS = PartId.of("drums");
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

  private MemberPromises() {}

  static List<Promise> all() {
    List<Promise> out = new ArrayList<>();
    String member = "ensemble/members/";
    out.add(
        Promise.of(
            member,
            "an octave (up|higher|above)|octave above|in octaves",
            (d, s) -> middleKey(d.notes(s.part())) - middleKey(d.notes(model(d, s))) >= 6));
    out.add(
        Promise.of(
            member,
            "octave (below|lower|down)",
            (d, s) -> middleKey(d.notes(s.part())) - middleKey(d.notes(model(d, s))) <= -6));
    out.add(Promise.of(member, "last hook", (d, s) -> d.playsInLastHook(s.part())));
    out.add(
        Promise.of(
            member,
            "kept for the last hook|only when it has been heard|second hook",
            (d, s) -> d.playsInLastHook(s.part()) && !d.playsInFirstHook(s.part())));
    out.add(
        Promise.of(
            member,
            "second half|halfway|\\blate\\b",
            (d, s) ->
                d.joinsLate(s.part(), SectionKind.HOOK)
                    || d.joinsLate(s.part(), SectionKind.VERSE)
                    || !d.playsInFirstHook(s.part()) && d.playsInLastHook(s.part())));
    out.add(Promise.of(member, "\\bintro\\b", (d, s) -> d.plays(s.part(), SectionKind.INTRO)));
    out.add(Promise.of(member, "\\bverses?\\b", (d, s) -> d.plays(s.part(), SectionKind.VERSE)));
    out.add(Promise.of(member, "\\bbridge\\b", (d, s) -> d.plays(s.part(), SectionKind.BRIDGE)));
    out.add(Promise.of(member, "\\bbuild\\b", (d, s) -> d.plays(s.part(), SectionKind.PRE_HOOK)));
    out.add(
        Promise.of(
            member,
            "hooks only|behind the hook|under the (hook|drop)|over the drop|of the hook|lift the hook",
            (d, s) -> d.plays(s.part(), SectionKind.HOOK)));
    out.add(
        Promise.of(
            member,
            "hooks only|only under the hook",
            (d, s) ->
                d.plays(s.part(), SectionKind.HOOK)
                    && !d.plays(s.part(), SectionKind.VERSE)
                    && !d.plays(s.part(), SectionKind.INTRO)));
    out.add(
        Promise.of(
            member,
            "^(?!.*(left and right|left out|right:)).*\\bleft\\b",
            (d, s) -> pan(d, s.part()) < 0));
    out.add(
        Promise.of(
            member, "^(?!.*(left and right|right:)).*\\bright\\b", (d, s) -> pan(d, s.part()) > 0));
    out.add(
        Promise.of(
            member,
            "\\bother side\\b",
            (d, s) -> pan(d, s.part()) * pan(d, model(d, s)) < 0 || pan(d, s.part()) != 0));
    out.add(
        Promise.of(
            member,
            "left and right|left, .* right:|wide apart|between the sides",
            (d, s) ->
                d.part(s.part()).stream()
                    .anyMatch(part -> bothSides(d, part) || part.mix().width() >= 40)));
    out.add(Promise.of(member, "\\bwide\\b(?! apart)", (d, s) -> width(d, s.part()) >= 40));
    out.add(
        Promise.of(
            member,
            "\\bwet\\b|far (away|behind|back)",
            (d, s) -> d.part(s.part()).orElseThrow().mix().reverb() >= 20));
    out.add(Promise.of(member, "\\bstrummed\\b(?! keys)", (d, s) -> d.strums(s.part())));
    out.add(
        Promise.of(
            member,
            "in the rests? of|where the \\w+ (rests?|breathes|is silent)|answers(?! to the kick)",
            (d, s) -> over(d.usual(s.part()), d.notes(LEAD)) <= 0.5));
    out.add(
        Promise.of(
            member,
            "broken chords",
            (d, s) ->
                HeardDraft.atOnce(d.notes(s.part())) < 1.1 && perBar(d.notes(s.part())) >= 4));
    out.add(
        Promise.of(
            member,
            "long (notes|strings)|^held\\b(?! under (all|every))|\\bheld strings",
            (d, s) -> middleLength(d.notes(s.part())) >= HALF_BAR * 0.8));
    out.add(
        Promise.of(
            member,
            "doubles the (bass|keys|piano|stack|riff)|once more",
            (d, s) -> together(d.notes(s.part()), d.notes(model(d, s))) >= 0.7));
    out.add(Promise.of(member, "^sixteenths", (d, s) -> perBar(d.notes(s.part())) >= 9));
    out.add(
        Promise.of(
            member, "\\bslides?\\b", (d, s) -> share(d.notes(s.part()), n -> n.slide() > 0) > 0));
    out.add(
        Promise.of(
            member, "level rises over eight", (d, s) -> HeardDraft.rise(d.full(s.part()), 8) > 6));
    out.add(
        Promise.of(
            member,
            "copy the rhythm of the bass",
            (d, s) -> together(d.full(s.part()), d.full(BASS)) >= 0.6));
    out.add(
        Promise.of(member, "two octaves|octave stack", (d, s) -> octaves(d.notes(s.part())) > 0));
    return out;
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

  /** The part a member stands beside: the one it doubles, the keys for chords, else the lead. */
  private static PartId model(HeardDraft draft, Promise.Subject subject) {
    return Songs.book().get(draft.song().brief().style()).ensemble().members().stream()
        .filter(member -> member.id().equals(subject.part()))
        .findFirst()
        .map(member -> member.job().accept(BESIDE))
        .orElse(LEAD);
  }
}
