package westtide.review.chords;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import westtide.review.finding.Check;
import westtide.review.finding.Finding;
import westtide.review.finding.FindingId;
import westtide.review.finding.Fix;
import westtide.review.finding.Severity;
import westtide.song.HeardPlace;
import westtide.song.Song;
import westtide.song.chord.ChordSpan;
import westtide.song.chord.PlacedChord;
import westtide.song.chord.Progression;
import westtide.song.edit.Edit;
import westtide.song.edit.part.ChordEdits;
import westtide.song.edit.part.ChordPartEdits;
import westtide.theory.Chord;
import westtide.theory.Interval;
import westtide.theory.Key;
import westtide.theory.voicing.ChordMember;
import westtide.theory.voicing.Voicing;
import westtide.theory.voicing.VoicingKind;

/**
 * Finds mud in how chord parts lay out chords, colours that are typed but that no part plays, and
 * rows that turn in a circle.
 */
final class VoicingFindings {
  private static final int ALTERNATIONS = 3;
  private static final int PLAIN_FIFTH = 7;
  private static final Set<VoicingKind> THIN =
      EnumSet.of(VoicingKind.TWO_NOTES, VoicingKind.OCTAVE_STACK, VoicingKind.SHELL);

  private final Song song;
  private final ChordLanguage language;
  private final Key key;
  private final List<LaidChords> all;

  /** Findings in a song whose chords are laid out like this. */
  VoicingFindings(Song song, List<LaidChords> all, ChordLanguage language) {
    this.language = language;
    this.song = song;
    this.key = song.brief().key();
    this.all = all;
  }

  List<Finding> of(LaidChords laid) {
    List<Finding> out = new ArrayList<>();
    List<PlacedChord> placed = laid.row().placed();
    for (int i = 0; i < placed.size(); i++) {
      List<Integer> muddy = laid.voicings().get(i).muddy();
      if (!muddy.isEmpty() && !placed.get(i).span().articulation().rest()) {
        out.add(mud(laid, i, placed.get(i), muddy));
      }
    }
    lost(laid).ifPresent(out::add);
    return out;
  }

  private Finding mud(LaidChords laid, int index, PlacedChord chord, List<Integer> muddy) {
    Voicing voicing = laid.voicings().get(index);
    String notes =
        muddy.stream().map(k -> key.pitch(k).toString()).collect(Collectors.joining(", "));
    Set<ChordMember> without = EnumSet.noneOf(ChordMember.class);
    without.addAll(chord.span().articulation().without(laid.part().id()));
    voicing.keys().stream()
        .filter(k -> k != voicing.bass() && crowds(k, voicing, muddy))
        .forEach(k -> without.add(member(k, voicing, chord.chord())));
    return new Finding(
        FindingId.of(Check.CHORDS_MUD, laid.part().id()).at(laid.row().name(), index, notes),
        Severity.NOTE,
        chord.chord() + " crowds above " + notes,
        laid.part().name() + ", " + where(laid.row(), chord),
        "Less than a fourth between two notes below E3 is heard as mud; leave one out or raise it.",
        Optional.of(
            new Fix(
                "leave the crowding note out",
                new ChordPartEdits(laid.part().id()).without(laid.row().name(), index, without))));
  }

  private static ChordMember member(int key, Voicing voicing, Chord chord) {
    for (ChordMember member : ChordMember.values()) {
      boolean end = member == ChordMember.BASS || member == ChordMember.TOP;
      if (!end && member.is(key, voicing, chord)) {
        return member;
      }
    }
    return ChordMember.TOP;
  }

  private static boolean crowds(int key, Voicing voicing, List<Integer> muddy) {
    int index = voicing.keys().indexOf(key);
    return index > 0 && muddy.contains(voicing.keys().get(index - 1));
  }

  /** The first chord whose colour is typed but played by no part, because its voicing is thin. */
  private Optional<Finding> lost(LaidChords laid) {
    List<ChordSpan> spans = laid.row().spans();
    List<Integer> thin = new ArrayList<>();
    for (int i = 0; i < spans.size(); i++) {
      boolean meant = language.spreads(kind(laid, spans.get(i)));
      if (!meant && !lost(laid, spans.get(i)).isEmpty() && !playedElsewhere(laid, i)) {
        thin.add(i);
      }
    }
    if (thin.isEmpty()) {
      return Optional.empty();
    }
    int first = thin.get(0);
    Chord chord = spans.get(first).chord();
    VoicingKind kind = kind(laid, spans.get(first));
    String tones =
        lost(laid, spans.get(first)).stream()
            .map(tone -> key.pitch(60 + chord.root().plus(tone).pitchClass()).name().toString())
            .collect(Collectors.joining(", "));
    return Optional.of(
        new Finding(
            FindingId.of(Check.CHORDS_LOST, laid.part().id()).at(laid.row().name(), kind.name()),
            Severity.NOTE,
            tones + " of " + chord + " is not played",
            laid.part().name() + ", " + where(laid.row(), laid.row().placed().get(first)),
            "A " + kind + " has no place for it, so the colour that is typed is not heard.",
            Optional.of(new Fix("play such chords close", close(laid.row(), thin)))));
  }

  private static Edit close(Progression row, List<Integer> chords) {
    return Edit.of(
        "Play chords close",
        song -> {
          Song out = song;
          for (int index : chords) {
            out =
                new ChordEdits(row.name())
                    .articulation("", index, m -> m.withKind(Optional.of(VoicingKind.CLOSE)))
                    .apply(out);
          }
          return out;
        });
  }

  private boolean playedElsewhere(LaidChords laid, int chord) {
    return all.stream()
        .anyMatch(
            other ->
                other.row().equals(laid.row())
                    && !other.part().equals(laid.part())
                    && lost(other, laid.row().spans().get(chord)).isEmpty());
  }

  /** What is typed beyond the triad and left out by a thin voicing. */
  private static List<Interval> lost(LaidChords laid, ChordSpan span) {
    VoicingKind kind = kind(laid, span);
    if (!THIN.contains(kind)
        || span.articulation().own().isPresent()
        || span.articulation().rest()) {
      return List.of();
    }
    return kind.leavesOut(span.chord()).stream().filter(VoicingFindings::colours).toList();
  }

  private static boolean colours(Interval tone) {
    return switch (tone.degree()) {
      case 1, 3 -> false;
      case 5 -> tone.semitones() != PLAIN_FIFTH;
      default -> true;
    };
  }

  private static VoicingKind kind(LaidChords laid, ChordSpan span) {
    return span.articulation().kind().orElse(laid.rule().kind());
  }

  /** A row in which two chords take turns and nothing else happens. */
  static List<Finding> turning(Progression row) {
    var chords = row.chords();
    int pairs = chords.size() / 2;
    boolean turns = pairs >= ALTERNATIONS;
    for (int i = 2; i < chords.size(); i++) {
      turns &= chords.get(i).equals(chords.get(i - 2));
    }
    if (!turns || chords.get(0).equals(chords.get(1))) {
      return List.of();
    }
    return List.of(
        new Finding(
            FindingId.of(Check.CHORDS_TURNING).at(row.name(), chords.get(0), chords.get(1)),
            Severity.NOTE,
            chords.get(0) + " and " + chords.get(1) + " take turns " + pairs + " times",
            row.name(),
            "The same change wears out when it is all there is; repeating styles mean it, others"
                + " replace the last chord. Ask for the next chord on the sheet.",
            Optional.empty()));
  }

  private String where(Progression row, PlacedChord chord) {
    return row.name() + ", " + new HeardPlace(song).of(row, chord.start());
  }
}
