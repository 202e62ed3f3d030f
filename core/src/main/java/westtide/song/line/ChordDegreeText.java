package westtide.song.line;

import java.util.Optional;

/** Pitches as degrees of the chord heard. */
public record ChordDegreeText() implements PitchText<ChordDegree> {
  @Override
  public Optional<ChordDegree> parse(String body) {
    return ChordDegree.find(body);
  }

  @Override
  public String format(ChordDegree pitch) {
    return pitch.toString();
  }

  @Override
  public String allowed() {
    return "R for the heard bass, or a degree of the chord such as 3, 5 or 8";
  }
}
