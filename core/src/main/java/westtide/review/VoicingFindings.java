package westtide.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import westtide.follow.ChordVoicings;
import westtide.rhythm.Position;
import westtide.song.Song;
import westtide.song.chord.PlacedChord;
import westtide.song.chord.Progression;
import westtide.song.edit.ChordEdits;
import westtide.theory.Key;
import westtide.theory.voicing.Voicing;

/** Finds mud in how chords are laid out, and rows that turn in a circle. */
final class VoicingFindings {
  private static final int ALTERNATIONS = 3;

  private final Song song;
  private final Key key;

  VoicingFindings(Song song) {
    this.song = song;
    this.key = song.brief().key();
  }

  List<Finding> of(Progression row) {
    List<Finding> out = new ArrayList<>();
    List<Voicing> voicings = ChordVoicings.of(song, row);
    List<PlacedChord> placed = row.placed();
    for (int i = 0; i < placed.size(); i++) {
      List<Integer> muddy = voicings.get(i).muddy();
      if (!muddy.isEmpty()) {
        out.add(mud(row, i, placed.get(i), voicings.get(i), muddy));
      }
    }
    alternation(row).ifPresent(out::add);
    return out;
  }

  private Finding mud(
      Progression row, int index, PlacedChord chord, Voicing voicing, List<Integer> muddy) {
    String notes =
        muddy.stream().map(k -> key.pitch(k).toString()).collect(Collectors.joining(", "));
    Voicing thinner =
        new Voicing(
            voicing.keys().stream()
                .filter(k -> k == voicing.bass() || !crowds(k, voicing, muddy))
                .toList());
    return new Finding(
        "chords.mud." + row.name() + "." + index + "." + notes,
        Weight.NOTE,
        chord.chord() + " crowds above " + notes,
        where(row, chord),
        "Less than a fourth between two notes below E3 is heard as mud; leave one out or raise it.",
        Optional.of(
            new Fix(
                "leave the crowding note out",
                new ChordEdits(row.name())
                    .manner("Thin a chord", index, m -> m.withOwn(Optional.of(thinner))))));
  }

  private static boolean crowds(int key, Voicing voicing, List<Integer> muddy) {
    int index = voicing.keys().indexOf(key);
    return index > 0 && muddy.contains(voicing.keys().get(index - 1));
  }

  private Optional<Finding> alternation(Progression row) {
    var chords = row.chords();
    int pairs = chords.size() / 2;
    boolean turns = pairs >= ALTERNATIONS;
    for (int i = 2; i < chords.size(); i++) {
      turns &= chords.get(i).equals(chords.get(i - 2));
    }
    if (!turns || chords.get(0).equals(chords.get(1))) {
      return Optional.empty();
    }
    return Optional.of(
        new Finding(
            "chords.turning." + row.name() + "." + chords.get(0) + "." + chords.get(1),
            Weight.NOTE,
            chords.get(0) + " and " + chords.get(1) + " take turns " + pairs + " times",
            row.name(),
            "The same change wears out when it is all there is; hypnotic styles mean it, others"
                + " replace the last chord. Ask for the next chord on the sheet.",
            Optional.empty()));
  }

  private String where(Progression row, PlacedChord chord) {
    Position at = Position.of(chord.start(), song.brief().meter());
    return row.name() + ", bar " + at.bar() + "." + at.beat();
  }
}
