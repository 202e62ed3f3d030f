package westtide.review.chords;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import westtide.review.finding.Check;
import westtide.review.finding.Finding;
import westtide.review.finding.FindingId;
import westtide.review.finding.Fix;
import westtide.review.finding.Measure;
import westtide.review.finding.Severity;
import westtide.review.finding.StageSoundings;
import westtide.score.Score;
import westtide.song.HeardPlace;
import westtide.song.PlayedBars;
import westtide.song.Song;
import westtide.song.chord.PlacedChord;
import westtide.song.chord.Progression;
import westtide.song.edit.part.ChordEdits;
import westtide.style.Style;
import westtide.theory.Chord;
import westtide.theory.ChordQuality;
import westtide.theory.Key;
import westtide.theory.NoteName;
import westtide.theory.voicing.VoiceLeading;

/** Notes outside the key, changes that hold no note, crowded voicings and worn-out turns. */
public final class ChordSoundings {
  private final Score score;
  private final Song song;
  private final Style style;
  private final Key key;
  private final ChordLanguage language;

  /** Of a score. */
  public ChordSoundings(Score score, Style style) {
    this.score = score;
    this.song = score.song();
    this.style = style;
    this.key = song.brief().key();
    this.language = new ChordLanguage(style, song.brief());
  }

  /** What is measured and found. */
  public StageSoundings take() {
    List<Finding> findings = new ArrayList<>();
    List<LaidChords> all = LaidChords.all(score);
    for (Progression row : song.progressions()) {
      addOutside(row, findings);
      addStrangers(row, findings);
      findings.addAll(VoicingFindings.turning(row));
    }
    VoicingFindings voicings = new VoicingFindings(song, all, language);
    all.forEach(laid -> findings.addAll(voicings.of(laid)));
    return new StageSoundings(measures(new PlayedBars(song).progression(), all), findings);
  }

  /** The figures of one progression. */
  public List<Measure> measures(Progression row) {
    return measures(row, LaidChords.all(score));
  }

  private List<Measure> measures(Progression row, List<LaidChords> all) {
    return new ChordMeasures(row, all, style).take();
  }

  private void addOutside(Progression row, List<Finding> findings) {
    List<PlacedChord> placed = row.placed();
    for (int i = 0; i < placed.size(); i++) {
      Chord chord = placed.get(i).chord();
      List<NoteName> outside =
          chord.notes().stream().filter(note -> !inKey(note.pitchClass())).toList();
      if (outside.isEmpty() || language.speaks(chord, row)) {
        continue;
      }
      String notes = outside.stream().map(NoteName::toString).collect(Collectors.joining(", "));
      findings.add(
          new Finding(
              FindingId.of(Check.CHORDS_OUTSIDE).at(row.name(), i, chord),
              Severity.NOTE,
              notes + " in " + chord + " is outside " + key,
              where(row, placed.get(i)),
              OutsideReason.of(chord, outside.get(0), key),
              inside(chord, row, i)));
    }
  }

  private boolean inKey(int pitchClass) {
    Key chordScale = key.chordKey();
    return key.contains(pitchClass) || chordScale.contains(pitchClass);
  }

  private Optional<Fix> inside(Chord chord, Progression row, int index) {
    return DiatonicChord.like(chord, key)
        .map(
            own ->
                new Fix(
                    "play " + own + " instead", new ChordEdits(row.name()).replace(index, own)));
  }

  private void addStrangers(Progression row, List<Finding> findings) {
    List<PlacedChord> placed = row.placed();
    for (int i = 1; i < placed.size(); i++) {
      Chord before = placed.get(i - 1).chord();
      Chord chord = placed.get(i).chord();
      if (VoiceLeading.commonTones(before, chord) > 0 || language.moves(before, chord, row)) {
        continue;
      }
      findings.add(
          new Finding(
              FindingId.of(Check.CHORDS_STRANGER).at(row.name(), i, before, chord),
              Severity.NOTE,
              before + " to " + chord + " holds no note",
              where(row, placed.get(i)),
              "Every voice moves at once, which sounds like a step to another place; at least one"
                  + " held note is usual.",
              joined(before, chord, row, i)));
    }
  }

  /** The same chord with a seventh, ninth or sixth that the chord before holds already. */
  private Optional<Fix> joined(Chord before, Chord chord, Progression row, int index) {
    boolean minor = chord.quality().minorThird();
    for (String suffix : minor ? List.of("m7", "m9", "m11") : List.of("maj7", "7", "add9", "6")) {
      Chord other = chord.withQuality(ChordQuality.parse(suffix));
      boolean fits = other.pitchClasses().stream().allMatch(this::inKey);
      if (fits && VoiceLeading.commonTones(before, other) > 0) {
        return Optional.of(
            new Fix("make it " + other, new ChordEdits(row.name()).replace(index, other)));
      }
    }
    return Optional.empty();
  }

  private String where(Progression row, PlacedChord chord) {
    return row.name() + ", " + new HeardPlace(song).of(row, chord.start());
  }
}
