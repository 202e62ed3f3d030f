package westtide.drafts;

import static westtide.drafts.HeardDraft.middleKey;
import static westtide.drafts.HeardDraft.middleLength;
import static westtide.drafts.HeardDraft.octaves;
import static westtide.drafts.HeardDraft.share;
import static westtide.drafts.HeardDraft.together;

import java.util.ArrayList;
import java.util.List;
import westtide.song.drum.DrumVoice;
import westtide.song.id.PartId;
import westtide.song.mix.Duck;

/** What texts promise of the low end, the chords and the sound. */
final class SongPromises {
  private static final PartId KEYS = PartId.of("keys");
  private static final PartId DRUMS = PartId.of("drums");
  private static final PartId SUB = PartId.of("808");
  private static final PartId BASS = PartId.of("bass");
  private static final int HALF_BAR = 1920;

  private SongPromises() {}

  static List<Promise> all() {
    List<Promise> out = new ArrayList<>();
    out.add(Promise.of("^sub$|^summary$", "slid(es?|ing)", (d, s) -> slides(d, SUB)));
    out.add(Promise.of("^bass$", "octaves|octave bass", (d, s) -> octaves(d.usual(BASS)) >= 0.2));
    out.add(
        Promise.of(
            "^sub$",
            "octave below",
            (d, s) -> middleKey(d.usual(BASS)) - middleKey(d.usual(SUB)) >= 7));
    out.add(
        Promise.of(
            "^sub$",
            "locked to the kick|starts with the kick|under the kick",
            (d, s) -> together(d.full(SUB), d.drum(DrumVoice.KICK)) >= 0.65));
    out.add(
        Promise.of(
            "^(sub|bass)$",
            "between the kicks",
            (d, s) -> together(d.full(s.part()), d.drum(DrumVoice.KICK)) <= 0.3));
    out.add(
        Promise.of(
            "^sub$",
            "11, 13 and 15",
            (d, s) -> share(d.full(SUB), n -> n.written() % 3840 / 240 >= 10) >= 0.15));
    out.add(
        Promise.of(
            "^sub$", "full velocity", (d, s) -> HeardDraft.velocityRange(d.full(SUB)) <= 15));
    out.add(Promise.of("^(sub|bass)$", "\\broots\\b", (d, s) -> d.roots(s.part()) >= 0.6));
    out.add(Promise.of("^bass$", "rests longer than its notes", (d, s) -> d.sounding(BASS) <= 0.5));
    out.add(Promise.of("^bass$", "long rests", (d, s) -> d.sounding(BASS) <= 0.6));
    out.add(
        Promise.of(
            "^bass$",
            "^held|one long note",
            (d, s) -> middleLength(d.notes(BASS)) >= HALF_BAR * 0.8));
    out.add(Promise.of("^bass$", "steps? into|step down", (d, s) -> d.roots(BASS) < 1));
    out.add(
        Promise.of(
            "^sound$",
            "\\bdips?\\b|duck|step back|makes way|\\bpump|take turns",
            (d, s) ->
                d.song().parts().stream()
                    .anyMatch(p -> p.mix().duck().trigger() != Duck.Trigger.NONE)));
    String chords = "^(chords|keys-part)$";
    out.add(Promise.of(chords, "strummed|rolled", (d, s) -> d.strums(KEYS)));
    out.add(
        Promise.of(
            "^chords$",
            "\\bpushed\\b",
            (d, s) ->
                d.song().progressions().stream()
                        .anyMatch(p -> p.rhythm().filter(r -> r.push() > 0).isPresent())
                    || share(d.full(KEYS), n -> n.written() % 960 >= 720) > 0));
    out.add(
        Promise.of(
            "^chords$",
            "sevenths|ninths",
            (d, s) ->
                d.song().progressions().get(0).spans().stream()
                            .filter(span -> span.chord().pitchClasses().size() >= 4)
                            .count()
                        * 2
                    >= d.song().progressions().get(0).spans().size()));
    out.add(
        Promise.of(
            "^chords$",
            "^triads",
            (d, s) ->
                d.song().progressions().get(0).spans().stream()
                    .anyMatch(span -> span.chord().pitchClasses().size() == 3)));
    out.add(
        Promise.of(
            "^chords$",
            "root and fifth",
            (d, s) ->
                d.song().progressions().get(0).spans().stream()
                    .anyMatch(span -> span.chord().pitchClasses().size() == 2)));
    out.add(
        Promise.of(
            "^(chords|keys-part)$",
            "off-beats?\\b",
            (d, s) -> share(d.full(KEYS), n -> n.written() % 960 != 0) >= 0.5));
    out.add(
        Promise.of(
            "^(chords|keys-part)$",
            "every other bar",
            (d, s) ->
                HeardDraft.bars(d.full(KEYS)).size()
                    <= 0.7 * HeardDraft.bars(d.full(DRUMS)).size()));
    return out;
  }

  private static boolean slides(HeardDraft draft, PartId part) {
    return share(draft.notes(part), n -> n.slide() > 0) > 0;
  }
}
